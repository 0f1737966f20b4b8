import {
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  ramerDouglasPeuckerD,
  unionD,
  type PathsD,
} from 'clipper2-ts';
import { CoreError } from '../units/index.ts';
import { swept } from './endless-sweep.ts';
import { signedArea, type Polygon } from './polygon.ts';

/** Any set of rings under the non-zero rule: outer rings counter-clockwise, holes clockwise. */
export type Region = readonly Polygon[];

/** Decimal places that the clipping library keeps: 1e-5 mm. */
const PRECISION = 5;
const ROUNDING = 10 ** PRECISION;
/** Whether a ring or line has two places: the library fails on one whose points all fall together. */
const hasExtent = (points: Polygon): boolean => {
  const first = points[0];
  return (
    first !== undefined &&
    points.some(
      ({ x, y }) =>
        Math.round(x * ROUNDING) !== Math.round(first.x * ROUNDING) ||
        Math.round(y * ROUNDING) !== Math.round(first.y * ROUNDING),
    )
  );
};
const out = (region: Region): PathsD => region.filter(hasExtent).map((ring) => ring.map(({ x, y }) => ({ x, y })));
const back = (paths: PathsD): Region => paths.map((path) => path.map(({ x, y }) => ({ x, y })));
/** The same rings with x for y, running the same way round. */
const turned = (paths: PathsD): PathsD => paths.map((path) => path.map(({ x, y }) => ({ x: y, y: x })).reverse());
const countOf = (paths: PathsD): number => paths.reduce((sum, path) => sum + path.length, 0);

/** Has the library work on regions, the other way over where its sweep stands still. @throws CoreError OUT_OF_RANGE where it does so both ways */
function clipped(work: (...paths: PathsD[]) => PathsD, ...regions: readonly Region[]): Region {
  const paths = regions.map(out),
    points = paths.reduce((sum, one) => sum + countOf(one), 0);
  const done = swept(points, () => work(...paths)) ?? swept(points, () => turned(work(...paths.map(turned))));
  if (!done)
    throw new CoreError('OUT_OF_RANGE', 'an outline runs back over itself: take the edges out that lie on each other');
  return back(done);
}

export const unionOf = (region: Region): Region =>
  clipped((paths) => unionD(paths, [], FillRule.NonZero, PRECISION), region);
export const intersectionOf = (a: Region, b: Region): Region =>
  a.length === 0 || b.length === 0
    ? []
    : clipped((own, others) => intersectD(own, others, FillRule.NonZero, PRECISION), a, b);
export const differenceOf = (a: Region, b: Region): Region =>
  a.length === 0 ? [] : clipped((own, others) => differenceD(own, others, FillRule.NonZero, PRECISION), a, b);
/** Area in mm²: holes count off. */
export const regionArea = (region: Region): number => Math.abs(region.reduce((sum, ring) => sum + signedArea(ring), 0));

/** Sharp corners of a grown region keep their point up to this many times the distance. */
const SHARPEST_CORNER = 6;

/**
 * The region grown (or shrunk, below 0) by a distance, corners rounded or sharp.
 * @param arcToleranceMm greatest distance between a corner's polygon and its true arc; the polygon lies inside the arc
 */
export function growRegion(
  region: Region,
  byMm: number,
  arcToleranceMm = 0.01,
  corners: 'round' | 'sharp' = 'round',
): Region {
  if (byMm === 0) return region;
  const join = corners === 'round' ? JoinType.Round : JoinType.Miter;
  return clipped(
    (paths) => inflatePathsD(paths, byMm, join, EndType.Polygon, SHARPEST_CORNER, PRECISION, arcToleranceMm),
    region,
  );
}

/** The band of a given width centred on an open line, with square-cut ends at the line's ends. */
export function bandAlong(line: Polygon, widthMm: number): Region {
  if (line.length < 2 || widthMm <= 0) return [];
  return clipped((paths) => inflatePathsD(paths, widthMm / 2, JoinType.Miter, EndType.Butt, 4, PRECISION), [line]);
}

/** The region without the corners that stand out less than a distance from the run between those kept; rings left without area are dropped. */
export const withoutFlatCorners = (region: Region, withinMm: number): Region =>
  region.map((ring) => ramerDouglasPeuckerD([...ring], withinMm)).filter((ring) => ring.length > 2);
