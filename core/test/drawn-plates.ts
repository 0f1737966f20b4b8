import { point3 } from '../src/geometry/index.ts';
import { madePart } from '../src/forms/form/index.ts';
import type { Part, Place } from '../src/part/index.ts';

/** A rectangle that the builder drew, where it stands: its corner at the place, long along x and wide along y of its own. */
export function drawnPlate(
  id: string,
  long: number,
  wide: number,
  place: Partial<Place>,
  more: Partial<Part> = {},
): Part {
  const { source: _source, ...part } = madePart({
    formId: 'x',
    role: id,
    name: id,
    group: '',
    material: 'foam',
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'any' },
    outline: [
      { at: { x: 0, y: 0 }, edge: 'a' },
      { at: { x: long, y: 0 }, edge: 'b' },
      { at: { x: long, y: wide }, edge: 'c' },
      { at: { x: 0, y: wide }, edge: 'd' },
    ],
  });
  const at = { at: point3(0, 0, 0), rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0, ...place };
  return { ...part, id, place: at, ...more };
}
