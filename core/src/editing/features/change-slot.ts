import { STEEPEST_SLANT_DEGREES } from '../../allowance/index.ts';
import type { Contour, Part, PlateSlot } from '../../part/index.ts';
import { canHoldPlate } from '../../resolve/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { lengthText } from '../../units/index.ts';

/** Play and press that a slot's fit may have, in mm. */
const LOOSEST_FIT_MM = 5;
const TIGHTEST_FIT_MM = -2;

/** Makes a hole the slot of a plate, whose thickness its width then follows; or a plain hole again. */
export function changeSlot(
  part: Part,
  args: { readonly pathId: string; readonly plate: PlateSlot | null },
): CommandResult {
  const hole = part.contours.find(({ id, role }) => id === args.pathId && role === 'hole');
  if (!hole) return refused('Only a hole can be the slot of a plate.');
  const { plate } = args;
  if (plate) {
    if (!canHoldPlate(hole)) return refused('A slot for a plate is a closed hole of straight runs: draw a rectangle.');
    if (plate.material.trim() === '') return refused('Choose the material of the plate.');
    if (!(Math.abs(plate.slantDegrees) <= STEEPEST_SLANT_DEGREES))
      return refused(`A plate may lean up to ${STEEPEST_SLANT_DEGREES}°, got ${plate.slantDegrees}.`);
    if (plate.keptWidthMm !== undefined && !(plate.keptWidthMm > 0 && plate.keptWidthMm <= 200))
      return refused(
        `A slot is more than 0 and up to ${lengthText(200, 0)} wide, got ${lengthText(plate.keptWidthMm)}.`,
      );
    if (!(plate.fitMm >= TIGHTEST_FIT_MM && plate.fitMm <= LOOSEST_FIT_MM))
      return refused(
        `A fit goes from ${TIGHTEST_FIT_MM} to ${lengthText(LOOSEST_FIT_MM)}, got ${lengthText(plate.fitMm)}.`,
      );
  }
  const change = (contour: Contour): Contour => {
    if (contour !== hole) return contour;
    const { plate: _plate, ...plain } = contour;
    return plate ? { ...plain, sizing: 'slot', plate } : plain;
  };
  return done({ ...part, contours: part.contours.map(change) }, plate ? 'Fit slot to plate' : 'Make a plain hole');
}
