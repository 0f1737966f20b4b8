import type { Point } from '../../geometry/index.ts';
import type { MadeHole } from '../form/index.ts';
import type { BodySite } from './body-site.ts';
import { onSheet } from './development.ts';
import type { BodyOpening } from './parameters.ts';

/** The openings in walls, floor or lid between two places along the body. */
export function openingsOn(site: BodySite, on: BodyOpening['on'], fromMm: number, toMm: number): readonly MadeHole[] {
  const sheet = on === 'walls' ? site.wall : on === 'floor' ? site.floor : site.lid;
  return site.body.openings
    .filter(
      (opening) =>
        opening.on === on &&
        opening.aftMm - opening.lengthMm / 2 > fromMm &&
        opening.aftMm + opening.lengthMm / 2 < toMm,
    )
    .map(({ id, aftMm, upMm, lengthMm, widthMm }) => {
      const middle = on === 'walls' ? upMm : 0;
      const at = (along: number, across: number): Point =>
        onSheet(sheet, aftMm + (along * lengthMm) / 2, middle + (across * widthMm) / 2);
      return { name: `opening-${id}`, sizing: 'fixed', corners: [at(-1, -1), at(1, -1), at(1, 1), at(-1, 1)] };
    });
}
