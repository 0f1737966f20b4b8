import type { Part } from '../part/index.ts';
import { defined } from '../units/index.ts';

/** Something that may exist only in some variants of the airframe. */
export interface Optional {
  readonly variants?: readonly string[];
}

/** Whether a thing exists in a variant. Without a chosen variant everything does. */
export const existsIn = (thing: Optional, variant: string | undefined): boolean =>
  variant === undefined || !thing.variants || thing.variants.includes(variant);

/** The part as it is in a variant: contours, operations and features that do not exist in it are left out. */
export function inVariant(part: Part, variant: string | undefined): Part {
  const isIn = (thing: Optional): boolean => existsIn(thing, variant);
  if (variant === undefined || [...part.contours, ...part.operations, ...(part.features ?? [])].every(isIn))
    return part;
  const contours = part.contours.filter(isIn);
  const isThere = (pathId: string): boolean =>
    contours.some(({ id }) => id === pathId) || part.lines.some(({ id }) => id === pathId);
  const operations = part.operations.filter((operation) => isIn(operation) && isThere(operation.on.pathId));
  // A line that bore only work of other variants is not there either.
  const lines = part.lines.filter(
    ({ id }) => operations.some(({ on }) => on.pathId === id) || !part.operations.some(({ on }) => on.pathId === id),
  );
  const features = part.features?.filter(
    (feature) => isIn(feature) && (!('on' in feature) || isThere(feature.on.pathId)),
  );
  return { ...part, contours, operations, lines, ...defined({ features }) };
}
