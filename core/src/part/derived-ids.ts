/**
 * Ids of what a part becomes but does not hold. They tell what they come from, so that a pointer, a fault or a mend leads back to the
 * drawing: `f3-1` belongs to feature f3, `s7~f3.2` is a piece of segment s7, `n5~mirror` is the mirror image of node n5.
 */
const MIRROR = '~mirror';

export const derivedId = (featureId: string, number: number): string => `${featureId}-${number}`;
export const pieceId = (segmentId: string, featureId: string, number: number): string =>
  `${segmentId}~${featureId}.${number}`;
export const mirrorId = (id: string): string => `${id}${MIRROR}`;
export const isMirrorId = (id: string): boolean => id.endsWith(MIRROR);
/** The feature that something belongs to, or undefined for what was drawn. */
export const featureIdOf = (id: string): string | undefined => /^(f\d+)-/.exec(id)?.[1];
/** Whether something was made by a form: the builder's own never begin so. */
export const isMadeId = (id: string): boolean => id.startsWith('m-');
/** The drawn thing that an id stands for. */
export const drawnId = (id: string): string => id.replace(/~.*$/, '');
