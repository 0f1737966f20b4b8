import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormFault } from '../form/index.ts';
import { leastRollRadius } from '../rolled/index.ts';
import { cutRing } from './ring-parts.ts';
import type { RoundFigures } from './round-figures.ts';
import type { RoundSite } from './round-site.ts';

/** A curve that frusta miss by more than this is seen, in mm. */
const SEEN_MM = 1.5;

function tightAdvice(site: RoundSite, { strain, tightestMm }: RoundFigures): readonly FormFault[] {
  const { round, board, unit } = site,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  if (strain.share <= strain.most) return [];
  const least = leastRollRadius(round, board.thicknessMm),
    station = round.stations.reduce(
      (best, { acrossMm }, index) => (acrossMm < round.stations[best]!.acrossMm ? index : best),
      0,
    );
  return [
    {
      code: 'ROLLED_TIGHT',
      path: round.skins === 'both' ? 'skins' : `stations.${station}.acrossMm`,
      title: `Rolled to ${length(2 * tightestMm)} across, ${strain.words}`,
      detail: `The board changes its length by ${Math.round(100 * strain.share)} %, of which ${Math.round(100 * strain.most)} % go well: from ${length(2 * least)} across${
        round.skins === 'both' ? ', or with its inner skin peeled' : ''
      }.`,
      isBlocking: false,
      mend:
        round.skins === 'both'
          ? { label: 'Peel the inner skin', changes: [{ path: 'skins', value: 'outer' }] }
          : {
              label: `Set ${length(Math.ceil(2 * least))}`,
              changes: [{ path: `stations.${station}.acrossMm`, value: Math.ceil(2 * least) }],
            },
    },
  ];
}

function boardAdvice({ board, unit }: RoundSite, { rows }: RoundFigures): readonly FormFault[] {
  const { longestMm = 0, widthMm = 0 } = board,
    length = (mm: number): string => formatLengthWithUnit(mm, unit, 0);
  if (longestMm === 0) return [];
  return rows.flatMap(({ longMm, wideMm }, index): readonly FormFault[] => {
    // The grain lies along the axis, and along the board.
    if (longMm <= longestMm && wideMm <= widthMm) return [];
    return [
      {
        code: 'SHEET_PAST_BOARD',
        path: 'stations',
        title: `Sheet ${index + 1} is ${length(longMm)} × ${length(wideMm)} on the flat`,
        detail: `The largest board is ${length(longestMm)} × ${length(widthMm)}, its grain along the axis: ${
          longMm > longestMm
            ? 'add a station, so that two tubes butt on a ring'
            : 'let the grain of this part lie as it likes, or make it narrower'
        }.`,
        isBlocking: false,
      },
    ];
  });
}

/** What is better otherwise, though a round can be made with it. */
export function roundAdvice(site: RoundSite, figures: RoundFigures): readonly FormFault[] {
  const { round, profile, unit } = site,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const off: readonly FormFault[] =
    profile.deviationMm > SEEN_MM && round.frusta < 12
      ? [
          {
            code: 'CURVE_MISSED',
            path: 'frusta',
            title: `${round.frusta} ${round.frusta === 1 ? 'frustum lies' : 'frusta lie'} ${length(profile.deviationMm)} off the curve at most`,
            detail: `At ${length(profile.deviationAftMm)} behind the datum. One frustum more lies nearer.`,
            isBlocking: false,
            mend: { label: `Take ${round.frusta + 1}`, changes: [{ path: 'frusta', value: round.frusta + 1 }] },
          },
        ]
      : [];
  const steep = figures.rows.flatMap(({ foreBevelDegrees, aftBevelDegrees }, index) =>
    [foreBevelDegrees, aftBevelDegrees]
      .filter((bevel) => Math.abs(bevel) > STEEPEST_BEVEL_DEGREES)
      .map((bevel) => `sheet ${index + 1} (${formatAngle(Math.abs(bevel))})`),
  );
  const sanded: readonly FormFault[] =
    steep.length > 0
      ? [
          {
            code: 'END_SANDED',
            path: 'stations',
            title: `${steep.length} ${steep.length === 1 ? 'end is' : 'ends are'} past the reach of a knife`,
            detail: `Over ${formatAngle(STEEPEST_BEVEL_DEGREES)} an end is sanded on a block: ${steep.join(', ')}.`,
            isBlocking: false,
          },
        ]
      : [];
  const [nose, tail] = [round.stations[0]!.aftMm, round.stations.at(-1)!.aftMm];
  const rings = round.rings.flatMap((ring, index): readonly FormFault[] => {
    const { thicknessMm, holeMm } = cutRing(site, ring),
      isOutside = ring.aftMm < nose - 1e-6 || ring.aftMm + thicknessMm > tail + 1e-6;
    if (isOutside) {
      const nearest = ring.aftMm < nose ? nose : tail - thicknessMm;
      return [
        {
          code: 'RING_OUTSIDE',
          path: `rings.${index}.aftMm`,
          title: `Ring ${index + 1} at ${length(ring.aftMm)} stands out of the round`,
          detail: `The round runs from ${length(nose)} to ${length(tail)}, the ring is ${length(thicknessMm)} thick.`,
          isBlocking: false,
          mend: { label: `Set ${length(nearest)}`, changes: [{ path: `rings.${index}.aftMm`, value: nearest }] },
        },
      ];
    }
    return ring.rimMm > 0 && holeMm === 0
      ? [
          {
            code: 'RING_SOLID',
            path: `rings.${index}.rimMm`,
            title: `Ring ${index + 1} is a full disc`,
            detail: `A rim of ${length(ring.rimMm)} leaves no hole in it there.`,
            isBlocking: false,
          },
        ]
      : [];
  });
  return [...tightAdvice(site, figures), ...off, ...boardAdvice(site, figures), ...sanded, ...rings];
}
