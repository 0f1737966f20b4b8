import { type GrooveCut, USUAL_TOOL_DEGREES } from '../allowance/index.ts';
import type { HingeGround, Operation } from './operation.ts';

/** The styles in which a fold can be made of flat board. */
export type FoldStyle = 'groove' | 'trench' | 'crease' | 'slit';

/** How the folds of an airframe are made, where a fold does not say otherwise. */
export interface FoldDefaults extends GrooveCut {
  /** Style of folds that are drawn from wanted sizes. */
  readonly style: FoldStyle;
  /** What holds the plates of a groove, slit or hinge together. */
  readonly hingeOn: HingeGround;
}

/** Knife bevels on the skin that stays. */
export const USUAL_FOLDS: FoldDefaults = {
  style: 'groove',
  school: 'knife',
  toolDegrees: USUAL_TOOL_DEGREES,
  hingeOn: 'skin',
};

/** An operation that says all of how it is made: what it leaves open is taken from the airframe's defaults. */
export function withFoldDefaults(operation: Operation, defaults: FoldDefaults): Operation {
  const { school, toolDegrees, hingeOn } = defaults;
  switch (operation.kind) {
    case 'groove':
      return operation.school && operation.hingeOn && operation.toolDegrees !== undefined
        ? operation
        : { school, toolDegrees, hingeOn, ...operation };
    case 'slit':
    case 'hinge':
      return operation.hingeOn ? operation : { hingeOn, ...operation };
    default:
      return operation;
  }
}
