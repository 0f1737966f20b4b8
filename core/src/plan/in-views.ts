import {
  distance,
  isInside,
  nearestOnPath,
  flattenClosedPath,
  polygonArea,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { curvesOf, snapToPaths, type DrawnPath, type GuideShape, type Snap, type SnapOptions } from '../paths/index.ts';
import { memo } from '../units/index.ts';
import { placedPlanGuides, placedThings } from './guides.ts';
import type { Plan } from './plan.ts';
import type { PlanView } from './plan-view.ts';
import { thingShapes } from './things/thing-shapes.ts';
import type { PlannedThing } from './things/thing.ts';
import { VIEW_AXES } from './views.ts';

/** What a pointer is on in a view. */
export type PickedInView =
  | { readonly kind: 'thing'; readonly thingId: string }
  | { readonly kind: 'line'; readonly lineId: string; readonly nodeId?: string }
  | { readonly kind: 'guide'; readonly guideId: string };

/** How finely edges of things are looked at for a pointer, in mm. */
const PICK_TOLERANCE_MM = 0.5;

const edgesOf = memo(
  (thing: PlannedThing, view: PlanView) =>
    thingShapes(thing, view)
      .filter(({ role }) => role === 'edge')
      .map(({ path }) => {
        const ring = flattenClosedPath(path, PICK_TOLERANCE_MM);
        return { path, ring, area: Math.abs(polygonArea(ring)) };
      }),
  (view) => view,
);

/** Where a guide shows in a view: a line across the axis that the view has to the right or up; undefined in the view along its axis. */
export function guideInView(view: PlanView, axis: 'x' | 'y' | 'z', atMm: number): GuideShape | undefined {
  const { across, up, sign } = VIEW_AXES[view];
  if (axis === across) return { kind: 'line', through: { x: sign * atMm, y: 0 }, direction: { x: 0, y: 1 } };
  return axis === up ? { kind: 'line', through: { x: 0, y: atMm }, direction: { x: 1, y: 0 } } : undefined;
}

/**
 * What lies under a pointer: a point of a drawn line, a line, the smallest thing that it is within or whose edge is near, then a guide.
 * @param reachMm how near the pointer must be
 */
export function pickInView(plan: Plan, view: PlanView, at: Point, reachMm: number): PickedInView | undefined {
  const lines = plan.lines.filter((line) => line.view === view);
  for (const line of lines) {
    const node = line.nodes.find((one) => distance(one, at) <= reachMm);
    if (node) return { kind: 'line', lineId: line.id, nodeId: node.id };
  }
  const near = lines.find((line) => distanceTo(curvesOf(line), at) <= reachMm);
  if (near) return { kind: 'line', lineId: near.id };
  const things = placedThings(plan)
    .flatMap((thing) => edgesOf(thing, view).map((edge) => ({ thing, ...edge })))
    .filter(({ path, ring }) => isInside(at, ring) || distanceTo(path, at) <= reachMm)
    .sort((a, b) => a.area - b.area);
  if (things[0]) return { kind: 'thing', thingId: things[0].thing.id };
  const guide = placedPlanGuides(plan).find(({ guide: { axis }, atMm }) => {
    const shape = atMm === undefined ? undefined : guideInView(view, axis, atMm);
    if (shape?.kind !== 'line') return false;
    return Math.abs(shape.direction.x === 0 ? at.x - shape.through.x : at.y - shape.through.y) <= reachMm;
  });
  return guide && { kind: 'guide', guideId: guide.guide.id };
}

const distanceTo = (path: Path, at: Point): number => nearestOnPath(path, at)?.distance ?? Number.POSITIVE_INFINITY;

/** A thing's edges as paths that a pointer catches on; their ids are given out by place and never kept. */
const catchable = memo(
  (thing: PlannedThing, view: PlanView): readonly DrawnPath[] =>
    thingShapes(thing, view).map(({ path, isClosed }, shape) => {
      const name = `${thing.id}~${view}~${shape}`;
      return {
        id: name,
        closed: isClosed,
        nodes: [
          ...path.map(({ from }, index) => ({ id: `${name}n${index}`, ...from })),
          ...(isClosed ? [] : path.slice(-1).map(({ to }) => ({ id: `${name}end`, ...to }))),
        ],
        segments: path.map((curve, index) => {
          const id = `${name}s${index}`;
          if (curve.kind === 'line') return { id, kind: 'line' as const };
          return curve.kind === 'arc'
            ? { id, kind: 'arc' as const, bulge: curve.bulge }
            : { id, kind: 'cubic' as const, control1: curve.control1, control2: curve.control2 };
        }),
      };
    }),
  (view) => view,
);

/** Lets a pointer catch on drawn lines, on the edges of planned things, and on guides, in a view. */
export function snapInView(plan: Plan, view: PlanView, at: Point, options: SnapOptions): Snap {
  return snapToPaths(
    {
      paths: plan.lines.filter((line) => line.view === view),
      guides: placedPlanGuides(plan).flatMap(({ guide: { axis }, atMm }) => {
        const shape = atMm === undefined ? undefined : guideInView(view, axis, atMm);
        return shape ? [shape] : [];
      }),
      beneath: placedThings(plan).flatMap((thing) => catchable(thing, view)),
    },
    at,
    options,
  );
}
