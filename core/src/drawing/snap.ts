import { cross, curveMeetings, curvePoint, curveTangent, distance, dot, nearestOnCurve, subtract, type Curve, type Point } from '../geometry/index.ts';
import { allCurves, curvesNear, type PlacedCurve } from './near-curves.ts';
import { pathsOf, type Part } from './part.ts';

/** What a pointer came to rest on. */
export type SnapReason = 'end' | 'middle' | 'centre' | 'crossing' | 'tangent' | 'square' | 'edge' | 'grid' | 'free';

/** Where a point came to rest, and on what. */
export interface Snap { readonly point: Point; readonly reason: SnapReason }

export interface SnapOptions {
  /** How near the pointer must be, in mm of the drawing. */
  readonly reachMm: number;
  /** Distance of grid points in mm; 0 for none. */
  readonly gridMm: number;
  /** Nodes that are being moved and must not catch themselves. */
  readonly except?: ReadonlySet<string>;
  /** Points of a path that is being drawn. */
  readonly more?: readonly Point[];
  /** The last point drawn: runs from it can touch a curve or meet an edge squarely. */
  readonly from?: Point;
}

/** Samples along a curve between which a touch or a square meeting is looked for. */
const SAMPLES = 24;

/**
 * Lets a pointer catch, in this order when several are in reach: on an end, a crossing, a middle, a centre; where a run from the last
 * point touches a curve or meets it squarely; anywhere on an edge; on the grid.
 */
export function snap(part: Part | undefined, pointer: Point, options: SnapOptions): Snap {
  const { reachMm, except, from } = options;
  const nearest = (candidates: readonly Point[]): Point | undefined => {
    const best = candidates.reduce<{ p?: Point; d: number }>((found, p) => (distance(p, pointer) < found.d ? { p, d: distance(p, pointer) } : found), { d: reachMm });
    return best.p && { x: best.p.x, y: best.p.y };
  };
  const isStill = ({ path, index }: PlacedCurve): boolean => !except?.has(path.nodes[index]!.id) && !except?.has(path.nodes[(index + 1) % path.nodes.length]!.id);
  const near = part ? curvesNear(part, pointer, reachMm).filter(isStill) : [];
  const tries: readonly (readonly [SnapReason, () => readonly Point[]])[] = [
    ['end', () => [...(options.more ?? []), ...(part ? pathsOf(part).flatMap((path) => path.nodes.filter((node) => !except?.has(node.id))) : [])]],
    ['crossing', () => crossings(near)],
    ['middle', () => near.map(({ curve }) => curvePoint(curve, 0.5))],
    ['centre', () => (part ? allCurves(part).filter((one) => one.centre !== undefined && isStill(one)).map(({ centre }) => centre!) : [])],
    ['tangent', () => (from ? near.filter(({ curve }) => curve.kind !== 'line').flatMap(({ curve }) => rootsAlong(curve, (t) => cross(curveTangent(curve, t), subtract(curvePoint(curve, t), from)))) : [])],
    ['square', () => (from ? near.flatMap(({ curve }) => rootsAlong(curve, (t) => dot(curveTangent(curve, t), subtract(curvePoint(curve, t), from)))).filter((p) => distance(p, from) > 1e-6) : [])],
    ['edge', () => near.map(({ curve }) => nearestOnCurve(curve, pointer).point)],
  ];
  for (const [reason, candidates] of tries) {
    const point = nearest(candidates());
    if (point) return { point, reason };
  }
  if (options.gridMm > 0) {
    const onGrid = { x: Math.round(pointer.x / options.gridMm) * options.gridMm, y: Math.round(pointer.y / options.gridMm) * options.gridMm };
    if (distance(onGrid, pointer) <= reachMm) return { point: onGrid, reason: 'grid' };
  }
  return { point: pointer, reason: 'free' };
}

/** Where the curves near the pointer cross, ends of one path apart. */
const crossings = (near: readonly PlacedCurve[]): readonly Point[] =>
  near.flatMap((a, index) => near.slice(index + 1).flatMap((b) => curveMeetings(a.curve, b.curve).map(({ point }) => point)));

/** Points of a curve at which a function of its parameter is 0. */
function rootsAlong(curve: Curve, f: (t: number) => number): readonly Point[] {
  const points: Point[] = [];
  for (let step = 0; step < SAMPLES; step++) {
    let low = step / SAMPLES, high = (step + 1) / SAMPLES;
    const atLow = f(low);
    if (atLow > 0 === f(high) > 0) continue;
    for (let round = 0; round < 60; round++) {
      const middle = (low + high) / 2;
      if (f(middle) > 0 === atLow > 0) low = middle;
      else high = middle;
    }
    points.push(curvePoint(curve, (low + high) / 2));
  }
  return points;
}
