import { boundsOf, joinBounds, pathBounds, type Bounds, type Point } from '../geometry/index.ts';
import type { AirframePoint } from '../part/index.ts';
import { curvesOf } from '../paths/index.ts';
import { placedThings } from './guides.ts';
import type { Plan } from './plan.ts';
import type { PlanAxis, PlanView } from './plan-view.ts';
import { boxOfThing, type Box3 } from './things/thing-box.ts';
import { calibrationFault } from './underlays/calibration.ts';
import { project } from './underlays/projective.ts';
import { seenCorners, underlayMap } from './underlays/underlay.ts';

/** The axes of a view: to the right, and up. Port is to the right of the front view, as it is seen from before the nose. */
export const VIEW_AXES: Readonly<
  Record<PlanView, { readonly across: PlanAxis; readonly up: PlanAxis; readonly sign: 1 | -1 }>
> = {
  side: { across: 'x', up: 'z', sign: 1 },
  top: { across: 'x', up: 'y', sign: 1 },
  front: { across: 'y', up: 'z', sign: -1 },
};

export const VIEW_WORDS: Readonly<Record<PlanView, string>> = { side: 'Side', top: 'Top', front: 'Front' };

/** A point of the airframe as a view shows it. */
export function inView(view: PlanView, p: AirframePoint): Point {
  const { across, up, sign } = VIEW_AXES[view];
  return { x: sign * p[across], y: p[up] };
}

/** A move in a view as a move of the airframe; nothing along the axis that the view looks along. */
export function fromView(view: PlanView, { x, y }: Point): AirframePoint {
  const { across, up, sign } = VIEW_AXES[view];
  return { x: 0, y: 0, z: 0, [across]: sign * x, [up]: y };
}

/** Room that a plan with nothing in it is given, in mm. */
const EMPTY: Box3 = { min: { x: 0, y: -300, z: -100 }, max: { x: 800, y: 300, z: 150 } };

/** The room that a box takes in a view. */
export function boxInView(view: PlanView, { min, max }: Box3): Bounds {
  return boundsOf([inView(view, min), inView(view, max)]);
}

/** What a view shows: its things, and the lines that are drawn in it. */
export function viewBounds(plan: Plan, view: PlanView): Bounds {
  const boxes = placedThings(plan).map((thing) => boxInView(view, boxOfThing(thing)));
  const drawn = plan.lines.filter((line) => line.view === view).map((line) => pathBounds(curvesOf(line)));
  const all = [...boxes, ...drawn];
  return all.length === 0 ? boxInView(view, EMPTY) : joinBounds(all);
}

/** What a view shows, with what is seen of the pictures under it; a picture whose size cannot stand has no place. */
export function laidBounds(plan: Plan, view: PlanView): Bounds {
  const pictures = plan.underlays.flatMap((underlay) => {
    const sheet = plan.sheets.find(({ id }) => id === underlay.sheetId);
    if (!sheet || underlay.view !== view || underlay.isHidden || calibrationFault(sheet) !== undefined) return [];
    const map = underlayMap(underlay, sheet);
    return seenCorners(underlay, sheet).map((corner) => project(map, corner));
  });
  const own = viewBounds(plan, view);
  return pictures.length === 0 ? own : joinBounds([own, boundsOf(pictures)]);
}

/** Where the views lie on one mat: the top view over the side view, the front view beside it. */
export type ViewLayout = Readonly<Record<PlanView, Point>>;
/** Between views; places are rounded to it, so that small edits leave the views where they are. */
const GAP_MM = 60,
  STEP_MM = 40;

/** Views laid out so that stations run through the side and the top view, and heights through the side and the front view. */
export function layOutViews(plan: Plan): ViewLayout {
  const [side, top, front] = (['side', 'top', 'front'] as const).map((view) => laidBounds(plan, view)) as [
    Bounds,
    Bounds,
    Bounds,
  ];
  const up = (value: number): number => Math.ceil(value / STEP_MM) * STEP_MM;
  return {
    side: { x: 0, y: 0 },
    top: { x: 0, y: up(Math.max(side.maxY, front.maxY, 0) + GAP_MM - Math.min(top.minY, 0)) },
    front: { x: up(Math.max(side.maxX, top.maxX) + GAP_MM - front.minX), y: 0 },
  };
}

/** What a layout covers on the mat. */
export function layoutBounds(plan: Plan, layout: ViewLayout): Bounds {
  return joinBounds(
    (['side', 'top', 'front'] as const).map((view) => {
      const { minX, minY, maxX, maxY } = laidBounds(plan, view),
        at = layout[view];
      return { minX: minX + at.x, minY: minY + at.y, maxX: maxX + at.x, maxY: maxY + at.y };
    }),
  );
}

/** The view that a place on the mat lies in or nearest to. */
export function viewAtPlace(plan: Plan, layout: ViewLayout, { x, y }: Point): PlanView {
  const away = (view: PlanView): number => {
    const { minX, minY, maxX, maxY } = laidBounds(plan, view),
      at = layout[view];
    const dx = Math.max(minX + at.x - x, 0, x - maxX - at.x),
      dy = Math.max(minY + at.y - y, 0, y - maxY - at.y);
    return Math.hypot(dx, dy);
  };
  return (['side', 'top', 'front'] as const).reduce((best, view) => (away(view) < away(best) ? view : best));
}
