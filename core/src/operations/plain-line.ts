import type { OperationBase } from './operation-base.ts';
import type { OperationTraits } from './operation-kind.ts';

/** Traits of work that is a line and nothing more: no width, no angle, nothing that can be wrong with it. */
export const plainLine = {
  ground: 'line',
  fields: [],
  trueWidthMm: () => 0,
  area: () => [],
  angleDegrees: () => undefined,
  faults: () => [],
} as const satisfies Partial<OperationTraits<OperationBase>>;
