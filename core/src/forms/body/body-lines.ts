import { curvePoint, smoothCurve, type Point } from '../../geometry/index.ts';
import { degrees, memo } from '../../units/index.ts';
import type { BodyParameters, BodyStation } from './parameters.ts';
import type { Profile } from './profile.ts';

/** A place along the body where one of its lines may turn: a station, or a place between two on a curve. */
export interface BodyBreak {
  /** Tells its station, and how many places behind it: the same the next time. */
  readonly key: string;
  readonly x: number;
  readonly top: number;
  readonly bottom: number;
  readonly half: number;
  readonly isStation: boolean;
}

/** The three lines that a body is made from, outside. */
export interface BodyLines {
  readonly breaks: readonly BodyBreak[];
  readonly top: Profile;
  readonly bottom: Profile;
  /** Half the width. */
  readonly half: Profile;
}

type Value = 'topMm' | 'bottomMm' | 'halfMm';

/** How far a straight piece may lie off its curve, in mm. */
const SAG_MM = 0.1;
/** A line of a bend turns by less than this, so that no corner shows, in degrees. */
const TURN_DEGREES = 6;
const MOST_PIECES = 24;

/** A line through the stations as a function of the place along the body. */
function lineThrough(points: readonly Point[], isCurved: boolean): (bay: number, x: number) => number {
  const curves = isCurved ? smoothCurve(points) : [];
  return (bay, x) => {
    const a = points[bay]!,
      b = points[bay + 1]!,
      curve = curves[bay];
    if (!curve) return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
    let low = 0,
      high = 1;
    for (let step = 0; step < 40; step++) {
      const middle = (low + high) / 2;
      if (curvePoint(curve, middle).x < x) low = middle;
      else high = middle;
    }
    return curvePoint(curve, (low + high) / 2).y;
  };
}

/** How many straight pieces a bay needs so that each of its lines keeps to its curve. */
function piecesIn(
  from: number,
  to: number,
  bay: number,
  lines: readonly ((bay: number, x: number) => number)[],
): number {
  const slope = (line: (bay: number, x: number) => number, x: number): number => {
    const step = (to - from) / 200;
    return degrees(
      Math.atan2(
        line(bay, Math.min(to, x + step)) - line(bay, Math.max(from, x - step)),
        Math.min(to, x + step) - Math.max(from, x - step),
      ),
    );
  };
  for (let pieces = 1; pieces < MOST_PIECES; pieces++) {
    const width = (to - from) / pieces;
    const isClose = lines.every((line) =>
      Array.from({ length: pieces }, (_, index) => from + index * width).every((x) => {
        const chord = (line(bay, x) + line(bay, x + width)) / 2;
        return (
          Math.abs(line(bay, x + width / 2) - chord) <= SAG_MM &&
          Math.abs(slope(line, x + width) - slope(line, x)) <= TURN_DEGREES
        );
      }),
    );
    if (isClose) return pieces;
  }
  return MOST_PIECES;
}

const valueOf = (station: BodyStation, value: Value): number =>
  value === 'halfMm' ? station.widthMm / 2 : station[value];

/** What the lines of a body are made from. */
export type BodyShape = Pick<BodyParameters, 'stations' | 'topLine' | 'bottomLine' | 'widthLine'>;

/** The lines of a body through its stations, with the places where they turn. Remembered by the parameters. */
export const bodyLines = memo(({ stations, topLine, bottomLine, widthLine }: BodyShape): BodyLines => {
  const through = (value: Value, way: BodyParameters['topLine']): ((bay: number, x: number) => number) =>
    lineThrough(
      stations.map((station) => ({ x: station.aftMm, y: valueOf(station, value) })),
      way === 'curved',
    );
  const top = through('topMm', topLine),
    bottom = through('bottomMm', bottomLine),
    half = through('halfMm', widthLine);
  const breaks = stations.flatMap((station, index): readonly BodyBreak[] => {
    const next = stations[index + 1],
      bay = Math.min(index, stations.length - 2);
    const at = (x: number, key: string, isStation: boolean): BodyBreak => ({
      key,
      x,
      top: top(bay, x),
      bottom: bottom(bay, x),
      half: half(bay, x),
      isStation,
    });
    const own: BodyBreak = {
      key: station.id,
      x: station.aftMm,
      top: station.topMm,
      bottom: station.bottomMm,
      half: station.widthMm / 2,
      isStation: true,
    };
    if (!next) return [own];
    const pieces = piecesIn(station.aftMm, next.aftMm, bay, [top, bottom, half]);
    return [
      own,
      ...Array.from({ length: pieces - 1 }, (_, piece) =>
        at(station.aftMm + ((piece + 1) * (next.aftMm - station.aftMm)) / pieces, `${station.id}-${piece + 1}`, false),
      ),
    ];
  });
  const profile = (value: 'top' | 'bottom' | 'half'): Profile =>
    breaks.map((one) => ({ x: one.x, z: one[value], edge: one.key }));
  return { breaks, top: profile('top'), bottom: profile('bottom'), half: profile('half') };
});
