import { type FoldDefaults, withFoldDefaults } from '../operations/index.ts';
import type { Part } from '../part/index.ts';

/** Whether defaults say anything that an operation does not say by itself. */
const isUsual = ({ school, hingeOn }: FoldDefaults): boolean => school === 'knife' && hingeOn === 'skin';

/** A part whose folds all say how they are made. */
export function withFoldsMade(part: Part, defaults: FoldDefaults | undefined): Part {
  if (!defaults || isUsual(defaults)) return part;
  return { ...part, operations: part.operations.map((operation) => withFoldDefaults(operation, defaults)) };
}

/** Whether a part has folds that the defaults make differently. */
export const followsFoldDefaults = (part: Part, defaults: FoldDefaults | undefined): boolean =>
  defaults !== undefined &&
  !isUsual(defaults) &&
  part.operations.some(({ kind }) => kind === 'groove' || kind === 'slit' || kind === 'hinge');
