import { memo } from '../units/index.ts';
import { boundsOf, type Bounds } from './bounds.ts';
import {
  areaBeyondChord,
  curveLength,
  flattenCurve,
  nearestOnCurve,
  reverseCurve,
  transformCurve,
  type Curve,
} from './curve.ts';
import { cross, distance, type Point } from './point.ts';
import type { Polygon } from './polygon.ts';
import type { Transform } from './transform.ts';

/** Curves end to start, in order; closed when the last ends where the first starts. */
export type Path = readonly Curve[];

/** Point of a flattened path, with where it came from. */
export interface PathPoint {
  readonly point: Point;
  readonly curve: number;
  readonly t: number;
}

/** Points along a path, each with the curve and parameter it came from; an open path's end is included. */
export function flattenPathWithOrigin(path: Path, toleranceMm: number, closed: boolean): readonly PathPoint[] {
  const points: PathPoint[] = [];
  path.forEach((curve, index) => {
    if (curve.kind === 'line') points.push({ point: curve.from, curve: index, t: 0 });
    else for (const { point, t } of flattenCurve(curve, toleranceMm)) points.push({ point, curve: index, t });
  });
  const last = path.at(-1);
  if (!closed && last) points.push({ point: last.to, curve: path.length - 1, t: 1 });
  return points;
}

/** A closed path as a polygon no further from it than the tolerance. */
export const flattenClosedPath = (path: Path, toleranceMm: number): Polygon =>
  flattenPathWithOrigin(path, toleranceMm, true).map(({ point }) => point);
/** An open path as points, its end included. */
export const flattenOpenPath = (path: Path, toleranceMm: number): readonly Point[] =>
  flattenPathWithOrigin(path, toleranceMm, false).map(({ point }) => point);

/** Exact signed area of a closed path in mm²: chords by the shoelace, each curve's rest by Green's theorem. */
export function pathSignedArea(path: Path): number {
  let area = 0;
  for (const curve of path) area += cross(curve.from, curve.to) / 2 + areaBeyondChord(curve);
  return area;
}
export const pathLength = (path: Path): number => path.reduce((sum, curve) => sum + curveLength(curve), 0);
export const reversePath = (path: Path): Path => [...path].reverse().map(reverseCurve);
export const transformPath = (t: Transform, path: Path): Path => path.map((curve) => transformCurve(t, curve));
export const pathBounds = (path: Path): Bounds => boundsOf(flattenOpenPath(path, 0.01));

/** The place on a path nearest to a point; undefined for an empty path. */
export function nearestOnPath(
  path: Path,
  p: Point,
): { readonly curve: number; readonly t: number; readonly point: Point; readonly distance: number } | undefined {
  let best: { curve: number; t: number; point: Point; distance: number } | undefined;
  path.forEach((curve, index) => {
    const found = nearestOnCurve(curve, p);
    if (!best || found.distance < best.distance) best = { curve: index, ...found };
  });
  return best;
}

/** The path as an SVG path string, in the same coordinates; arcs stay arcs and cubics stay cubics. Remembered by the path. */
export const svgPath = memo(writeSvgPath, (closed) => Number(closed));

function writeSvgPath(path: Path, closed: boolean): string {
  if (path.length === 0) return '';
  let text = `M${at(path[0]!.from)}`;
  for (const curve of path) text += writtenCurve(curve);
  return closed ? `${text}Z` : text;
}

/** A curve's part of an SVG path. Remembered by the curve: of a long outline only what moves is written anew. */
const writtenCurve = memo(writeCurve);

const figure = (value: number): string => String(Math.round(value * 1e4) / 1e4);
const at = (p: Point): string => `${figure(p.x)} ${figure(p.y)}`;
function writeCurve(curve: Curve): string {
  if (curve.kind === 'cubic') return `C${at(curve.control1)} ${at(curve.control2)} ${at(curve.to)}`;
  if (curve.kind !== 'arc' || Math.abs(curve.bulge) <= 1e-9) return `L${at(curve.to)}`;
  const chord = distance(curve.from, curve.to);
  const radius = (chord * (1 + curve.bulge ** 2)) / (4 * Math.abs(curve.bulge));
  return `A${figure(radius)} ${figure(radius)} 0 ${Math.abs(curve.bulge) > 1 ? 1 : 0} ${curve.bulge > 0 ? 1 : 0} ${at(curve.to)}`;
}
