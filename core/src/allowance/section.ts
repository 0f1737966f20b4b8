import { CoreError, degrees } from '../units/index.ts';
import { LARGEST_CREASE_FOLD_DEGREES } from './trench.ts';

interface Place {
  readonly x: number;
  readonly y: number;
}

/** A section curve made of creases: where they come along the flat board, and how far each folds. */
export interface CreasedSection {
  /** Distance of each crease from the section's start along the board, in mm, with its turn: more than 0 to the left of the curve. */
  readonly creases: readonly { readonly atMm: number; readonly foldDegrees: number }[];
  /** The whole way along the board. */
  readonly lengthMm: number;
  /** Greatest distance of the curve from the board's flat strips, in mm. */
  readonly deviationMm: number;
  /** Corners of the strips on the curve, ends included. */
  readonly corners: readonly Place[];
}

const MOST_POINTS = 240;

/** A polyline on a curve: its corners, ends included, and its greatest distance from the curve in mm. */
export interface NearPolyline {
  readonly corners: readonly Place[];
  readonly deviationMm: number;
}

/**
 * The polylines of 0 to so many corners between the ends of a curve that lie nearest to it: of all with their corners on it, those whose
 * greatest distance is least.
 * @param points the curve as points along it, at least 3; more than 240 are thinned
 * @param most how many corners between the ends at most, from 1
 * @returns number k has k corners between its ends
 * @throws CoreError OUT_OF_RANGE for too few points or corners
 * @source dynamic programming over the last corner and the corners used; cost is the greater of two deviations
 */
export function nearestPolylines(points: readonly Place[], most: number): readonly NearPolyline[] {
  if (points.length < 3)
    throw new CoreError('OUT_OF_RANGE', `a section needs at least 3 points, got ${points.length}`, {
      points: points.length,
    });
  const every = Math.max(1, Math.ceil((points.length - 1) / (MOST_POINTS - 1)));
  const kept = points.filter((_, index) => index % every === 0 || index === points.length - 1),
    count = kept.length;
  if (!(Number.isInteger(most) && most >= 1 && most <= count - 2))
    throw new CoreError('OUT_OF_RANGE', `this curve takes 1 to ${count - 2} creases, got ${most}`, { creases: most });
  const off = deviations(kept);
  // best[j]: least deviation of the strips so far when they end at point j.
  let best = kept.map((_, j) => (j === 0 ? 0 : off(0, j)));
  const from: number[][] = [];
  const result = (): NearPolyline => {
    const used = [count - 1];
    for (const back of [...from].reverse()) used.unshift(back[used[0]!]!);
    return { corners: [0, ...used].map((index) => kept[index]!), deviationMm: best[count - 1]! };
  };
  const found = [result()];
  for (let strips = 2; strips <= most + 1; strips++) {
    const back: number[] = [],
      next = kept.map((_, j) => {
        let least = Infinity;
        for (let i = strips - 1; i < j; i++) {
          const cost = Math.max(best[i]!, off(i, j));
          if (cost < least) {
            least = cost;
            back[j] = i;
          }
        }
        return least;
      });
    from.push(back);
    best = next;
    found.push(result());
  }
  return found;
}

/**
 * The creases that lie best on a section curve: of all polylines with their corners on it, the one whose greatest distance from the
 * curve is least.
 * @param points the curve as points along it, at least 3; more than 240 are thinned
 * @param creases how many, from 1
 * @throws CoreError OUT_OF_RANGE for too few points or creases, and when one crease would fold by more than 35°
 */
export function creasedSection(points: readonly Place[], creases: number): CreasedSection {
  const { corners, deviationMm } = nearestPolylines(points, creases)[creases]!;
  return measured(corners, deviationMm);
}

/** Greatest distance of the points between two of them from the straight strip, worked out when it is asked. */
function deviations(points: readonly Place[]): (i: number, j: number) => number {
  const known = new Float64Array(points.length * points.length).fill(-1);
  return (i, j) => {
    const at = i * points.length + j;
    if (known[at]! >= 0) return known[at]!;
    const [a, b] = [points[i]!, points[j]!],
      length = Math.hypot(b.x - a.x, b.y - a.y);
    let worst = 0;
    for (let k = i + 1; k < j; k++) {
      const p = points[k]!;
      worst = Math.max(
        worst,
        length < 1e-9
          ? Math.hypot(p.x - a.x, p.y - a.y)
          : Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / length,
      );
    }
    return (known[at] = worst);
  };
}

function measured(corners: readonly Place[], deviationMm: number): CreasedSection {
  const heading = (index: number): number =>
    Math.atan2(corners[index + 1]!.y - corners[index]!.y, corners[index + 1]!.x - corners[index]!.x);
  let atMm = 0;
  const creases = corners.slice(1, -1).map((corner, index) => {
    atMm += Math.hypot(corner.x - corners[index]!.x, corner.y - corners[index]!.y);
    const turn = degrees(heading(index + 1) - heading(index));
    return { atMm, foldDegrees: turn > 180 ? turn - 360 : turn <= -180 ? turn + 360 : turn };
  });
  const steep = creases.find(({ foldDegrees }) => Math.abs(foldDegrees) > LARGEST_CREASE_FOLD_DEGREES);
  if (steep)
    throw new CoreError(
      'OUT_OF_RANGE',
      `one of ${creases.length} creases would fold by ${Math.abs(steep.foldDegrees).toFixed(1)}°, more than ${LARGEST_CREASE_FOLD_DEGREES}°: use more creases`,
      { creases: creases.length },
    );
  const last = corners.at(-1)!,
    before = corners.at(-2)!;
  return { creases, deviationMm, corners, lengthMm: atMm + Math.hypot(last.x - before.x, last.y - before.y) };
}
