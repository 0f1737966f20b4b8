import { differenceD, EndType, FillRule, inflatePathsD, intersectD, JoinType, unionD, type PathsD } from 'clipper2-ts';
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

export const unionOf = (region: Region): Region => back(unionD(out(region), [], FillRule.NonZero, PRECISION));
export const intersectionOf = (a: Region, b: Region): Region =>
  a.length === 0 || b.length === 0 ? [] : back(intersectD(out(a), out(b), FillRule.NonZero, PRECISION));
export const differenceOf = (a: Region, b: Region): Region =>
  a.length === 0 ? [] : back(differenceD(out(a), out(b), FillRule.NonZero, PRECISION));
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
  return back(inflatePathsD(out(region), byMm, join, EndType.Polygon, SHARPEST_CORNER, PRECISION, arcToleranceMm));
}

/** The band of a given width centred on an open line, with square-cut ends at the line's ends. */
export function bandAlong(line: Polygon, widthMm: number): Region {
  if (line.length < 2 || widthMm <= 0) return [];
  return back(inflatePathsD(out([line]), widthMm / 2, JoinType.Miter, EndType.Butt, 4, PRECISION));
}
