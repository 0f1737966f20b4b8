import {
  cross,
  curveMeetings,
  curvePoint,
  curveTangent,
  distance,
  dot,
  nearestOnCurve,
  subtract,
  unitVector,
  type Curve,
  type Point,
} from '../geometry/index.ts';
import type { DrawnPath } from './drawn-path.ts';
import { guideCrossings, nearestOnGuide, type GuideShape } from './guide-shape.ts';
import { centresOf, curvesNear, type PlacedCurve } from './near-curves.ts';

/** What a pointer came to rest on. */
export type SnapReason =
  'end' | 'middle' | 'centre' | 'crossing' | 'tangent' | 'square' | 'guide' | 'edge' | 'other part' | 'grid' | 'free';

/** Where a point came to rest, and on what. */
export interface Snap {
  readonly point: Point;
  readonly reason: SnapReason;
}

/** What a pointer can catch on. */
export interface SnapTargets {
  readonly paths: readonly DrawnPath[];
  readonly guides?: readonly GuideShape[];
  /** Paths of another drawing that lies beneath and is drawn over. */
  readonly beneath?: readonly DrawnPath[];
}

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
 * point touches a curve or meets it squarely; on a point of what lies beneath; on a guide; anywhere on an edge; on the grid.
 */
export function snapToPaths(targets: SnapTargets, pointer: Point, options: SnapOptions): Snap {
  const { paths, beneath = [] } = targets;
  const { reachMm, except, from } = options;
  const nearest = (candidates: readonly Point[]): Point | undefined => {
    const best = candidates.reduce<{ p?: Point; d: number }>(
      (found, p) => (distance(p, pointer) < found.d ? { p, d: distance(p, pointer) } : found),
      { d: reachMm },
    );
    return best.p && { x: best.p.x, y: best.p.y };
  };
  const isStill = ({ path, index }: PlacedCurve): boolean =>
    !except?.has(path.nodes[index]!.id) && !except?.has(path.nodes[(index + 1) % path.nodes.length]!.id);
  const near = curvesNear(paths, pointer, reachMm).filter(isStill);
  const guides = (targets.guides ?? []).filter((shape) => distance(nearestOnGuide(shape, pointer), pointer) <= reachMm);
  const tries: readonly (readonly [SnapReason, () => readonly Point[]])[] = [
    ['end', () => [...(options.more ?? []), ...nodesNear(paths, pointer, reachMm, except)]],
    ['crossing', () => [...crossings(near), ...guideMeetings(guides, near)]],
    ['middle', () => near.map(({ curve }) => curvePoint(curve, 0.5))],
    [
      'centre',
      () =>
        centresOf(paths)
          .filter(isStill)
          .map(({ centre }) => centre!),
    ],
    [
      'tangent',
      () =>
        from
          ? near
              .filter(({ curve }) => curve.kind !== 'line')
              .flatMap(({ curve }) =>
                rootsAlong(curve, (t) => cross(curveTangent(curve, t), subtract(curvePoint(curve, t), from))),
              )
          : [],
    ],
    [
      'square',
      () =>
        from
          ? near
              .flatMap(({ curve }) =>
                rootsAlong(curve, (t) => dot(curveTangent(curve, t), subtract(curvePoint(curve, t), from))),
              )
              .filter((p) => distance(p, from) > 1e-6)
          : [],
    ],
    ['other part', () => nodesNear(beneath, pointer, reachMm)],
    ['guide', () => guides.map((shape) => nearestOnGuide(shape, pointer))],
    ['edge', () => near.map(({ curve }) => nearestOnCurve(curve, pointer).point)],
    [
      'other part',
      () => curvesNear(beneath, pointer, reachMm).map(({ curve }) => nearestOnCurve(curve, pointer).point),
    ],
  ];
  for (const [reason, candidates] of tries) {
    const point = nearest(candidates());
    if (point) return { point, reason };
  }
  if (options.gridMm > 0) {
    const onGrid = {
      x: Math.round(pointer.x / options.gridMm) * options.gridMm,
      y: Math.round(pointer.y / options.gridMm) * options.gridMm,
    };
    if (distance(onGrid, pointer) <= reachMm) return { point: onGrid, reason: 'grid' };
  }
  return { point: pointer, reason: 'free' };
}

/** The points of paths within reach. Looked for at every move of the pointer, so it makes no list of all. */
function nodesNear(
  paths: readonly DrawnPath[],
  pointer: Point,
  reachMm: number,
  except?: ReadonlySet<string>,
): readonly Point[] {
  const near: Point[] = [];
  for (const { nodes } of paths) {
    for (const node of nodes)
      if (Math.abs(node.x - pointer.x) <= reachMm && Math.abs(node.y - pointer.y) <= reachMm && !except?.has(node.id))
        near.push(node);
  }
  return near;
}

/** Where the curves near the pointer cross, ends of one path apart. */
const crossings = (near: readonly PlacedCurve[]): readonly Point[] =>
  near.flatMap((a, index) =>
    near.slice(index + 1).flatMap((b) => curveMeetings(a.curve, b.curve).map(({ point }) => point)),
  );

/** Where the guides near the pointer cross each other and the straight edges and arcs near it. */
function guideMeetings(guides: readonly GuideShape[], near: readonly PlacedCurve[]): readonly Point[] {
  const isOn = (curve: Curve, p: Point): boolean => nearestOnCurve(curve, p).distance < 1e-6;
  const withEdges = near.flatMap(({ curve, centre }) => {
    if (curve.kind === 'cubic') return [];
    const shape: GuideShape = centre
      ? { kind: 'circle', centre, radiusMm: distance(centre, curve.from) }
      : { kind: 'line', through: curve.from, direction: unitVector(curve.from, curve.to) };
    return guides.flatMap((guide) => guideCrossings(guide, shape)).filter((p) => isOn(curve, p));
  });
  return [...guides.flatMap((a, index) => guides.slice(index + 1).flatMap((b) => guideCrossings(a, b))), ...withEdges];
}

/** Points of a curve at which a function of its parameter is 0. */
function rootsAlong(curve: Curve, f: (t: number) => number): readonly Point[] {
  const points: Point[] = [];
  for (let step = 0; step < SAMPLES; step++) {
    let low = step / SAMPLES,
      high = (step + 1) / SAMPLES;
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
