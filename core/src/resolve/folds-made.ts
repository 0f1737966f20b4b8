import { leavesToAirframe, USUAL_FOLDS, type FoldDefaults, withFoldDefaults } from '../operations/index.ts';
import type { Part } from '../part/index.ts';

/** Whether defaults say nothing that an operation does not say by itself. */
const isUsual = ({ school, toolDegrees, hingeOn }: FoldDefaults): boolean =>
  school === USUAL_FOLDS.school && toolDegrees === USUAL_FOLDS.toolDegrees && hingeOn === USUAL_FOLDS.hingeOn;

/** A part whose folds all say how they are made. */
export function withFoldsMade(part: Part, defaults: FoldDefaults | undefined): Part {
  if (!defaults || isUsual(defaults)) return part;
  return { ...part, operations: part.operations.map((operation) => withFoldDefaults(operation, defaults)) };
}

/** Whether a part has folds that the defaults make differently. */
export const followsFoldDefaults = (part: Part, defaults: FoldDefaults | undefined): boolean =>
  defaults !== undefined && !isUsual(defaults) && part.operations.some(leavesToAirframe);
