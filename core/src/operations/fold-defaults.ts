import { USUAL_TOOL_DEGREES, type GrooveCut } from '../allowance/index.ts';
import type { Operation } from './kinds.ts';
import type { HingeGround } from './operation-base.ts';
import { traitsOf } from './operation-traits.ts';

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

/** Whether an operation leaves something of how it is made to the airframe. */
export const leavesToAirframe = (operation: Operation): boolean =>
  traitsOf(operation.kind).fields.some(
    ({ key, isFromAirframe }) =>
      isFromAirframe === true && (operation as unknown as Record<string, unknown>)[key] === undefined,
  );

/** An operation that says all of how it is made: what it leaves open is taken from the airframe's defaults. */
export function withFoldDefaults(operation: Operation, defaults: FoldDefaults): Operation {
  if (!leavesToAirframe(operation)) return operation;
  const open = traitsOf(operation.kind).fields.filter(({ isFromAirframe }) => isFromAirframe);
  const filled = Object.fromEntries(open.map(({ key }) => [key, defaults[key as keyof FoldDefaults]]));
  return { ...filled, ...withoutUndefined(operation) } as unknown as Operation;
}

const withoutUndefined = (operation: Operation): object =>
  Object.fromEntries(Object.entries(operation).filter(([, value]) => value !== undefined));
