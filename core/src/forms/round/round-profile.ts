import { nearestPolylines } from '../../allowance/index.ts';
import { cross, curvePoint, distanceToRun, smoothCurve, subtract, type Point } from '../../geometry/index.ts';
import { memo } from '../../units/index.ts';
import type { RoundParameters } from './parameters.ts';

/** The outer line of a round along its axis: x aft, y the outside radius. */
export interface RoundProfile {
  /** Where the frusta meet. */
  readonly corners: readonly Point[];
  /** The line that was asked for: it is the corners themselves when they are straight. */
  readonly wanted: readonly Point[];
  /** How far the wanted line lies off the frusta at most, and where along the axis. */
  readonly deviationMm: number;
  readonly deviationAftMm: number;
  /** Along the axis, how far the wanted line lies off them: above 0 outside. */
  readonly off: readonly Point[];
}

/** Points of the curve that frusta are fitted to. */
const FITTED_POINTS = 120;

/** The smooth line through the stations, as fine points. */
function smoothLine(stations: readonly Point[]): readonly Point[] {
  const curves = smoothCurve(stations),
    each = Math.ceil(FITTED_POINTS / curves.length);
  const points = curves.flatMap((curve) => Array.from({ length: each }, (_, step) => curvePoint(curve, step / each)));
  return [...points, stations.at(-1)!];
}

/** The frusta of a round: straight between its stations, or as many as asked for that lie nearest to the curve through them; remembered. */
export const roundProfile = memo(({ stations, profile, frusta }: RoundParameters): RoundProfile => {
  const points = stations.map(({ aftMm, acrossMm }): Point => ({ x: aftMm, y: acrossMm / 2 }));
  if (profile === 'straight' || points.length < 3)
    return { corners: points, wanted: points, deviationMm: 0, deviationAftMm: points[0]!.x, off: [] };
  const wanted = smoothLine(points),
    fits = nearestPolylines(wanted, Math.max(1, frusta - 1));
  const { corners } = fits[Math.min(frusta - 1, fits.length - 1)]!;
  const off = wanted.map((p): Point => {
    const at = Math.max(
        1,
        corners.findIndex(({ x }) => x >= p.x),
      ),
      [a, b] = [corners[at - 1]!, corners[at]!];
    return { x: p.x, y: distanceToRun(p, a, b) * Math.sign(cross(subtract(b, a), subtract(p, a))) };
  });
  const worst = off.reduce((most, one) => (Math.abs(one.y) > Math.abs(most.y) ? one : most));
  return { corners, wanted, deviationMm: Math.abs(worst.y), deviationAftMm: worst.x, off };
});

/** The height of a line along the axis at a place; before its ends and behind them that of the nearest run. */
export function radiusAt(line: readonly Point[], x: number): number {
  const found = line.findIndex((p) => p.x > x);
  const at = found < 0 ? line.length - 1 : Math.max(1, found);
  const [a, b] = [line[at - 1]!, line[at]!];
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}
