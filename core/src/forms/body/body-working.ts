import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { WorkingStep } from '../form/index.ts';
import type { BodyFigures } from './body-figures.ts';
import type { BodySite } from './body-site.ts';
import { foamLeft, stripCount } from './corner-strips.ts';
import { lengthWithin } from './development.ts';
import { tightestBend } from './tightest-bend.ts';

/** The hand calculation that the body replaces, step by step. */
export function bodyWorking(site: BodySite, figures: BodyFigures): readonly WorkingStep[] {
  const { body, board, wall, unit } = site,
    t = board.thicknessMm,
    length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, unit, digits);
  const turned = wall.turns.flatMap((turn, index) => (Math.abs(turn) > 0.02 ? [index] : []));
  const bent = tightestBend(wall);
  const first = body.formers.find(({ aftMm }) => aftMm > site.fromMm + t && aftMm < site.toMm - t);
  return [
    {
      words: 'Length of a wall, along its outer skin',
      formula: 'Σ √(Δx² + Δy²), y half of the width',
      result: `${length(figures.wallMm)}: ${length(figures.wallMm - figures.lengthMm, 2)} longer than the side view`,
      source: 'the wall is drawn as long as the line that it follows, not as long as it looks from the side',
    },
    ...(first
      ? [
          {
            words: 'Place of a former on the wall',
            formula: 's at the inner face, projected square on the outer skin',
            result: `former ${body.formers.indexOf(first) + 1} at ${length(first.aftMm)} lies ${length(lengthWithin(wall, first.aftMm, t))} along the wall`,
            source: 'the former touches the inside: its mark is moved by t·sin of the wall’s lean',
          },
        ]
      : []),
    ...(body.lid === 'none'
      ? []
      : [
          {
            words: 'Length of the lid, along its outer skin',
            formula: 'Σ √(Δx² + Δz²) over the top line',
            result: `${length(figures.lidMm)} over ${length(figures.lengthMm)} of body`,
            source: 'a lid over a curved top is longer than the body',
          },
        ]),
    ...turned.slice(0, 3).map((index) => ({
      words: `Turn of the wall at ${length(wall.base[index]!.x)}`,
      formula: 'atan(Δy/Δx) behind, less that before',
      result: formatAngle(wall.turns[index]!),
      source: 'toward the inside above 0',
    })),
    ...(bent === undefined || body.widthLine !== 'curved'
      ? []
      : [
          {
            words: 'Tightest bend of the walls',
            formula: 'r = Δs / Δangle',
            result: length(bent, 0),
            source: `${Math.round(bent / t)} boards: faced board takes 12, unfaced foam 25`,
          },
        ]),
    ...(body.strips
      ? [
          {
            words: 'Strips in a corner to be rounded',
            formula: 'c ≥ √2·(left + r·(√2 − 1)) − 2t, n = c/t',
            result: `${stripCount(body.strips, t)} strips; ${length(foamLeft(body.strips, stripCount(body.strips, t), t))} stays behind the rounding`,
            source: 'along the diagonal of a square corner',
          },
        ]
      : []),
    ...site.cuts.map(({ name, under, incidenceDegrees }) => ({
      words: `Seat of ${name}`,
      formula: 'its section at the wall, at its incidence',
      result: `${length(under[0]!.x)} to ${length(under.at(-1)!.x)}; ${formatAngle(incidenceDegrees)} nose up`,
      source: 'the outside of the wing cut by the planes of both faces of the wall',
    })),
    {
      words: 'Middle of the mass of what is made',
      formula: 'Σ m·x / Σ m',
      result: `${length(figures.massAt.x)} aft of the datum`,
      source: 'every part at the middle of its area',
    },
  ];
}
