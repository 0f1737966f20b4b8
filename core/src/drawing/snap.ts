import { distance, interpolate, nearestOnCurve, type Point } from '../geometry/index.ts';
import { curveOf, pathsOf, type Part } from './part.ts';

/** Where a point came to rest, and on what. */
export interface Snap { readonly point: Point; readonly reason: 'point' | 'middle' | 'edge' | 'grid' | 'free' }

export interface SnapOptions {
  /** How near the pointer must be, in mm of the drawing. */
  readonly reachMm: number;
  /** Distance of grid points in mm; 0 for none. */
  readonly gridMm: number;
  /** Nodes that are being moved and must not catch themselves. */
  readonly except?: ReadonlySet<string>;
  /** Points of a path that is being drawn. */
  readonly more?: readonly Point[];
}

/** Lets a pointer catch on points, middles of edges, edges, then the grid; in that order when several are in reach. */
export function snap(part: Part | undefined, pointer: Point, options: SnapOptions): Snap {
  const { reachMm, except } = options;
  const nearest = (candidates: readonly Point[]): Point | undefined => {
    const best = candidates.reduce<{ p?: Point; d: number }>((found, p) => (distance(p, pointer) < found.d ? { p, d: distance(p, pointer) } : found), { d: reachMm });
    return best.p && { x: best.p.x, y: best.p.y };
  };
  const paths = part ? pathsOf(part) : [];
  const point = nearest([...(options.more ?? []), ...paths.flatMap((path) => path.nodes.filter((node) => !except?.has(node.id)))]);
  if (point) return { point, reason: 'point' };
  const still = paths.flatMap((path) => path.segments.flatMap((_, index) => {
    const ends = [path.nodes[index]!, path.nodes[(index + 1) % path.nodes.length]!];
    return ends.some((node) => except?.has(node.id)) ? [] : [curveOf(path, index)];
  }));
  const middle = nearest(still.filter((curve) => curve.kind === 'line').map((curve) => interpolate(curve.from, curve.to, 0.5)));
  if (middle) return { point: middle, reason: 'middle' };
  const edge = nearest(still.map((curve) => nearestOnCurve(curve, pointer).point));
  if (edge) return { point: edge, reason: 'edge' };
  if (options.gridMm > 0) {
    const onGrid = { x: Math.round(pointer.x / options.gridMm) * options.gridMm, y: Math.round(pointer.y / options.gridMm) * options.gridMm };
    if (distance(onGrid, pointer) <= reachMm) return { point: onGrid, reason: 'grid' };
  }
  return { point: pointer, reason: 'free' };
}
