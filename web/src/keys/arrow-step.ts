import type { LengthUnit } from '@grain-fold/core/units';
import { isWith } from './held-keys.ts';

const DIRECTIONS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** One step of an arrow key: a millimetre, or a sixteenth of an inch. */
const STEP_MM = { mm: 1, in: 25.4 / 16 } as const;

/** How far an arrow key moves something in mm, across and up: ten steps with Shift, a tenth of one with Alt. */
export function arrowStep(event: KeyboardEvent, unit: LengthUnit): readonly [number, number] {
  const [x, y] = DIRECTIONS[event.key] ?? [0, 0];
  const size = STEP_MM[unit] * (isWith('Shift', event) ? 10 : isWith('Alt', event) ? 0.1 : 1);
  return [x * size, y * size];
}
