import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import { blocking, boundFaults, type FormContext, type FormFault } from '../form/index.ts';
import { bodyLines } from './body-lines.ts';
import { bodyNumbers } from './body-numbers.ts';
import { developSheet } from './development.ts';
import type { BodyParameters } from './parameters.ts';

/** Stations stand at least so far apart, in mm. */
const LEAST_BAY_MM = 10;
/** Between the sheets of a corner at least so much stays free, in mm. */
const LEAST_INSIDE_MM = 4;
/** A sheet turns at a station by up to this: beyond it both pieces run into each other, in degrees. */
const MOST_TURN_DEGREES = 60;

/** Stations that do not follow each other, or leave no room between the sheets. */
function stationFaults({ stations, lid }: BodyParameters, t: number, unit: FormContext['unit']): readonly FormFault[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const least = LEAST_INSIDE_MM + 2 * t,
    leastHigh = LEAST_INSIDE_MM + (lid === 'none' ? 1 : 2) * t;
  return stations.flatMap(({ aftMm, topMm, bottomMm, widthMm }, index): readonly FormFault[] => {
    const path = `stations.${index}`,
      before = stations[index - 1],
      faults: FormFault[] = [];
    if (before && aftMm < before.aftMm + LEAST_BAY_MM) {
      const nearest = before.aftMm + LEAST_BAY_MM;
      faults.push(
        blocking(
          'STATION_ORDER',
          `${path}.aftMm`,
          `Station ${index + 1} stands at ${length(aftMm)}, the one before it at ${length(before.aftMm)}`,
          `Stations follow each other toward the tail, at least ${length(LEAST_BAY_MM)} apart.`,
          `Set ${length(nearest)}`,
          [{ path: `${path}.aftMm`, value: nearest }],
        ),
      );
    }
    if (topMm - bottomMm < leastHigh)
      faults.push(
        blocking(
          'STATION_LOW',
          `${path}.topMm`,
          `Station ${index + 1} is ${length(topMm - bottomMm)} high`,
          `Floor and lid leave nothing between them: with this board it is at least ${length(leastHigh)}.`,
          `Raise its top to ${length(bottomMm + leastHigh)}`,
          [{ path: `${path}.topMm`, value: bottomMm + leastHigh }],
        ),
      );
    if (widthMm < least)
      faults.push(
        blocking(
          'STATION_NARROW',
          `${path}.widthMm`,
          `Station ${index + 1} is ${length(widthMm)} wide`,
          `Two walls of this board leave nothing between them: it is at least ${length(least)}.`,
          `Set ${length(least)}`,
          [{ path: `${path}.widthMm`, value: least }],
        ),
      );
    return faults;
  });
}

/** Sheets that turn too sharply, and what cannot be folded from one sheet. */
function turnFaults(body: BodyParameters): readonly FormFault[] {
  const lines = bodyLines(body);
  const sharp = (['wall', 'floor', 'lid'] as const).flatMap((kind): readonly FormFault[] => {
    const { turns } = developSheet(lines, kind, 0),
      at = turns.findIndex((turn) => Math.abs(turn) > MOST_TURN_DEGREES);
    if (at < 0) return [];
    const station = body.stations.findIndex(({ id }) => id === lines.breaks[at]!.key);
    return [
      {
        code: 'TURN_SHARP',
        path: `stations.${Math.max(0, station)}.${kind === 'wall' ? 'widthMm' : kind === 'floor' ? 'bottomMm' : 'topMm'}`,
        title: `The ${kind} turns by ${formatAngle(Math.abs(turns[at]!))} at station ${station + 1}`,
        detail: `A sheet turns by up to ${formatAngle(MOST_TURN_DEGREES)} at a station. Put another station between, or make it flatter.`,
        isBlocking: true,
      },
    ];
  });
  return sharp;
}

/** Things of a list that bear one id: their parts could not be told apart. */
function sameIds({ stations, formers, seats, doublers, bays, openings }: BodyParameters): readonly FormFault[] {
  return Object.entries({ stations, formers, seats, doublers, bays, openings }).flatMap(([key, list]) => {
    const ids = list.map(({ id }) => id),
      at = ids.findIndex((id, index) => ids.indexOf(id) !== index);
    if (at < 0) return [];
    return [
      {
        code: 'SAME_ID',
        path: `${key}.${at}.id`,
        title: `Two ${key} of this body are called "${ids[at]}"`,
        detail: 'Take one of them out and add it again.',
        isBlocking: true,
      },
    ];
  });
}

/** What no body can be made with. */
export function blockingFaults(body: BodyParameters, context: FormContext): readonly FormFault[] {
  const bounds = boundFaults(body, bodyNumbers(body), context);
  if (bounds.length > 0) return bounds;
  if (body.stations.length < 2)
    return [
      {
        code: 'STATIONS',
        path: 'stations',
        title: `A body has at least 2 stations, this one has ${body.stations.length}`,
        detail: 'One at the nose and one at the tail; further ones where a line turns.',
        isBlocking: true,
      },
    ];
  const twice = sameIds(body);
  if (twice.length > 0) return twice;
  const t = context.boardOf(body.material).thicknessMm,
    stations = stationFaults(body, t, context.unit);
  return stations.length > 0 ? stations : turnFaults(body);
}
