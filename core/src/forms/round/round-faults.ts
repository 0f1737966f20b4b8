import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import {
  blocking,
  boundFaults,
  numbersUnder,
  offsetPoints,
  type FormContext,
  type FormFault,
  type FormNumber,
} from '../form/index.ts';
import { RING_FIELDS, ROUND_FIELDS, ROUND_STATION_FIELDS, type RoundParameters } from './parameters.ts';
import { roundProfile } from './round-profile.ts';

/** Stations stand at least so far apart, in mm. */
const LEAST_BAY_MM = 5;
/** A bore narrower than this cannot be rolled over anything, in mm across. */
const LEAST_BORE_MM = 4;
/** A side that leans more than this off the axis is a disc that cannot be rolled, in degrees. */
const STEEPEST_DEGREES = 65;

/** Every number of a round by its path, with its bounds. */
export const roundNumbers = ({ stations, rings }: RoundParameters): readonly FormNumber[] => [
  ...numbersUnder('', ROUND_FIELDS),
  ...stations.flatMap((_, index) => numbersUnder(`stations.${index}.`, ROUND_STATION_FIELDS)),
  ...rings.flatMap((_, index) => numbersUnder(`rings.${index}.`, RING_FIELDS)),
];

function orderFaults({ stations }: RoundParameters, context: FormContext): readonly FormFault[] {
  if (stations.length < 2)
    return [
      blocking(
        'TOO_FEW_STATIONS',
        'stations',
        'A round needs at least two stations',
        `It has ${stations.length}: one where it begins, one where it ends.`,
        '',
        [],
      ),
    ];
  const length = (mm: number): string => formatLengthWithUnit(mm, context.unit);
  return stations.slice(1).flatMap(({ aftMm }, at): readonly FormFault[] => {
    const before = stations[at]!,
      nearest = before.aftMm + LEAST_BAY_MM,
      path = `stations.${at + 1}.aftMm`;
    if (aftMm >= nearest) return [];
    return [
      blocking(
        'STATION_ORDER',
        path,
        `Station ${at + 2} stands at ${length(aftMm)}, the one before it at ${length(before.aftMm)}`,
        `Stations follow each other toward the tail, at least ${length(LEAST_BAY_MM)} apart.`,
        `Set ${length(nearest)}`,
        [{ path, value: nearest }],
      ),
    ];
  });
}

/** Frusta that are too steep to be rolled, and bores that are none. */
function shapeFaults(round: RoundParameters, context: FormContext): readonly FormFault[] {
  const { corners } = roundProfile(round),
    t = context.boardOf(round.material).thicknessMm,
    length = (mm: number): string => formatLengthWithUnit(mm, context.unit);
  const nearestStation = (x: number): number =>
    round.stations.reduce(
      (best, { aftMm }, index) => (Math.abs(aftMm - x) < Math.abs(round.stations[best]!.aftMm - x) ? index : best),
      0,
    );
  const steep = corners.slice(1).flatMap((p, index): readonly FormFault[] => {
    const before = corners[index]!,
      run = p.x - before.x,
      lean = (Math.atan2(Math.abs(p.y - before.y), run) * 180) / Math.PI;
    if (lean <= STEEPEST_DEGREES) return [];
    const station = nearestStation(p.y > before.y ? before.x : p.x),
      larger = Math.max(p.y, before.y) * 2,
      nearest = Math.ceil(larger - 2 * run * Math.tan((STEEPEST_DEGREES * Math.PI) / 180));
    return [
      blocking(
        'FRUSTUM_STEEP',
        `stations.${station}.acrossMm`,
        `Frustum ${index + 1} leans ${formatAngle(lean)} off the axis`,
        `Up to ${STEEPEST_DEGREES}° a sheet can be rolled to it: give it more length, or a wider small end.`,
        `Set ${length(nearest)}`,
        [{ path: `stations.${station}.acrossMm`, value: nearest }],
      ),
    ];
  });
  if (steep.length > 0) return steep;
  const bore = offsetPoints(corners, -t);
  return bore.flatMap(({ x, y }, index): readonly FormFault[] => {
    const previous = bore[index - 1],
      isFolded = previous !== undefined && x <= previous.x + 1;
    if (2 * y >= LEAST_BORE_MM && !isFolded) return [];
    const outer = corners[index]!,
      station = nearestStation(outer.x),
      nearest = Math.ceil(2 * (outer.y - y) + LEAST_BORE_MM + (isFolded ? 2 * t : 0));
    return [
      blocking(
        'BORE_NONE',
        `stations.${station}.acrossMm`,
        `At ${length(outer.x)} the board leaves no bore`,
        `It is ${length(2 * outer.y)} across, of which the board takes ${length(2 * (outer.y - y))}; ${length(LEAST_BORE_MM)} have to be left.`,
        `Set ${length(nearest)}`,
        [{ path: `stations.${station}.acrossMm`, value: nearest }],
      ),
    ];
  });
}

/** What no round can be made with. */
export function roundFaults(round: RoundParameters, context: FormContext): readonly FormFault[] {
  const bounds = boundFaults(round, roundNumbers(round), context);
  if (bounds.length > 0) return bounds;
  const order = orderFaults(round, context);
  return order.length > 0 ? order : shapeFaults(round, context).slice(0, 1);
}
