import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { distance, subtract, type Point } from '@grain-fold/core/geometry';
import type { Snap } from '@grain-fold/core/paths';
import {
  addGuide,
  caughtMove,
  dragHandle,
  fromView,
  insertLinePoint,
  layOutViews,
  moveLine,
  moveLinePoint,
  moveThing,
  pickInView,
  placedThings,
  snapInView,
  thingHandles,
  VIEW_AXES,
  viewAtPlace,
  withThing,
  type PickedInView,
  type Plan,
  type PlanAxis,
  type PlanEdit,
  type PlanView,
  type ThingHandle,
  type ViewLayout,
} from '@grain-fold/core/plan';
import { gridSteps } from '../../../mat/mat-view.ts';
import type { Drafting } from '../../../mat/drafting/use-path-drafting.ts';
import { isWith } from '../../../keys/held-keys.ts';
import { useKeys } from '../../../keys/use-keys.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanTool } from '../plan-tools.ts';
import type { PlanDesk } from '../use-plan.ts';

export interface PlanHandSite {
  readonly desk: PlanDesk;
  readonly drafting: Drafting<PlanTool>;
  readonly pixelsPerMm: () => number;
  /** What takes the pointer before the plan does: an underlay that is being calibrated or moved. */
  readonly before: () =>
    | {
        readonly press: (at: Point, view: PlanView) => boolean;
        readonly move: (at: Point) => void;
        readonly release: () => void;
      }
    | undefined;
}

/** A drag under way: where it began in its view, and the edit that a place gives. */
interface Drag {
  readonly view: PlanView;
  readonly from: Point;
  readonly editTo: (at: Point, plan: Plan) => PlanEdit | undefined;
}

export interface PlanHand {
  /** The plan that the views are laid out by: as it was while something is dragged. */
  readonly base: ComputedRef<Plan>;
  readonly layout: ComputedRef<ViewLayout>;
  readonly view: ShallowRef<PlanView>;
  /** In its view. */
  readonly pointer: ShallowRef<Point | undefined>;
  readonly snapped: ShallowRef<Snap | undefined>;
  readonly hovered: ShallowRef<PickedInView | undefined>;
  readonly measured: ShallowRef<{ readonly view: PlanView; readonly from: Point; readonly to?: Point } | undefined>;
  readonly isDragging: ComputedRef<boolean>;
  readonly press: (at: Point, event: PointerEvent) => void;
  readonly move: (at: Point, event: PointerEvent) => void;
  readonly release: () => void;
  /** Ends what is drawn, or sets a point on the line that is pressed twice. */
  readonly double: (at: Point) => void;
  readonly isSnapHeld: Ref<boolean>;
}

const REACH_PX = 9,
  DRAG_AFTER_PX = 3;

/** The pointer on the three views: it chooses, drags, draws and sets guides, through edits of the plan only. */
export function usePlanHand({ desk, drafting, pixelsPerMm, before }: PlanHandSite): PlanHand {
  const work = useAirframe();
  const view = shallowRef<PlanView>('side'),
    pointer = shallowRef<Point>(),
    snapped = shallowRef<Snap>(),
    hovered = shallowRef<PickedInView>(),
    measured = shallowRef<{ readonly view: PlanView; readonly from: Point; readonly to?: Point }>();
  const isSnapHeld = ref(false);
  const drag = shallowRef<Drag>(),
    isMoving = ref(false);
  // Views stay where they lie while something is dragged.
  // A proposal brings things of its own; what is dragged leaves the views where they lie.
  const base = computed(() => {
    const { plan, stored } = desk;
    return isMoving.value || plan.value.things === stored.value.things ? stored.value : plan.value;
  });
  const layout = computed(() => layOutViews(base.value));
  const reach = (): number => REACH_PX / pixelsPerMm();
  const grid = (): number => gridSteps(work.unit, pixelsPerMm()).fineMm;

  const within = (at: Point, where: PlanView): Point => subtract(at, layout.value[where]);
  function viewAt(at: Point): PlanView {
    if (drafting.isDrawing.value && drafting.points.value.length > 0) return view.value;
    if (measured.value && !measured.value.to) return measured.value.view;
    return viewAtPlace(desk.plan.value, layout.value, at);
  }
  const snap = (at: Point, except?: ReadonlySet<string>): Snap =>
    isSnapHeld.value
      ? { point: at, reason: 'free' }
      : snapInView(desk.stored.value, view.value, at, {
          reachMm: reach(),
          gridMm: grid(),
          except,
          more: drafting.points.value,
          from: drafting.points.value.at(-1),
        });

  function press(at: Point, event: PointerEvent): void {
    isSnapHeld.value = isWith('Alt', event);
    if (before()?.press(at, viewAt(at))) return;
    view.value = viewAt(at);
    const here = within(at, view.value);
    if (drafting.isDrawing.value) return drafting.addPoint(snap(here).point, reach());
    switch (drafting.tool.value) {
      case 'station':
      case 'height':
        return setGuide(snap(here).point);
      case 'measure':
        return measureAt(snap(here).point);
      default:
        return choose(here);
    }
  }

  function setGuide(at: Point): void {
    const { across, up, sign } = VIEW_AXES[view.value],
      isUpright = drafting.tool.value === 'station';
    const made = desk.run((plan) =>
      addGuide(plan, { axis: isUpright ? across : up, from: { kind: 'datum' }, byMm: isUpright ? sign * at.x : at.y }),
    );
    if (made) desk.chosen.value = { kind: 'guide', guideId: made.guideId };
    drafting.cancel();
  }
  function measureAt(at: Point): void {
    const now = measured.value;
    measured.value = !now || now.to ? { view: view.value, from: at } : { ...now, to: at };
  }

  function choose(here: Point): void {
    const { chosen, stored } = desk,
      plan = stored.value;
    const thing =
      chosen.value?.kind === 'thing'
        ? placedThings(plan).find(({ id }) => chosen.value?.kind === 'thing' && id === chosen.value.thingId)
        : undefined;
    const handle = thing && thingHandles(thing, view.value).find(({ at }) => distance(at, here) <= reach());
    if (thing && handle) {
      drag.value = { view: view.value, from: here, editTo: handleEdit(thing.id, handle) };
      return;
    }
    const picked = pickInView(plan, view.value, here, reach());
    chosen.value = picked;
    if (picked) drag.value = { view: view.value, from: here, editTo: editOf(picked, here) };
  }

  const rounded = (value: number): number => Math.round(value * 100) / 100;
  function handleEdit(thingId: string, handle: ThingHandle): Drag['editTo'] {
    return (at, plan) => {
      const thing = placedThings(plan).find(({ id }) => id === thingId);
      if (!thing) return undefined;
      const to = snap(at).point;
      return {
        label: `Change ${handle.word} of ${thing.name}`,
        plan: withThing(plan, dragHandle(thing, handle, { x: rounded(to.x), y: rounded(to.y) })),
      };
    };
  }
  function editOf(picked: PickedInView, from: Point): Drag['editTo'] {
    switch (picked.kind) {
      case 'thing':
        return (at, plan) => moveOf(picked.thingId, subtract(at, from), plan);
      case 'line': {
        const { lineId, nodeId } = picked;
        return nodeId === undefined
          ? (at, plan) => moveLine(plan, lineId, subtract(at, from))
          : (at, plan) => moveLinePoint(plan, lineId, nodeId, snap(at, new Set([nodeId])).point);
      }
      case 'guide':
        return () => undefined;
    }
  }
  /** A thing moved in a view, its place on the grid, caught by guides. */
  function moveOf(thingId: string, by: Point, plan: Plan): PlanEdit {
    const { across, up } = VIEW_AXES[view.value],
      thing = placedThings(plan).find(({ id }) => id === thingId)!;
    const raw = fromView(view.value, by),
      step = work.unit === 'mm' ? 0.5 : 25.4 / 32;
    const onAxis = (axis: PlanAxis): number => {
      const value = raw[axis],
        from = thing.at[axis];
      return value === 0 || isSnapHeld.value ? value : Math.round((from + value) / step) * step - from;
    };
    const onGrid = { x: onAxis('x'), y: onAxis('y'), z: onAxis('z') };
    if (isSnapHeld.value) return moveThing(plan, thingId, raw);
    const { by: caught, held } = caughtMove(plan, thingId, onGrid, [across, up], reach());
    return moveThing(plan, thingId, caught, held);
  }

  function move(at: Point, event: PointerEvent): void {
    isSnapHeld.value = isWith('Alt', event);
    before()?.move(at);
    const now = drag.value;
    if (!now) {
      view.value = viewAt(at);
      const here = within(at, view.value);
      const isAiming = drafting.tool.value !== 'select';
      snapped.value = isAiming ? snap(here) : undefined;
      pointer.value = snapped.value?.point ?? here;
      hovered.value = isAiming ? undefined : pickInView(desk.plan.value, view.value, here, reach());
      return;
    }
    const here = within(at, now.view);
    pointer.value = here;
    if (!isMoving.value && distance(here, now.from) <= DRAG_AFTER_PX / pixelsPerMm()) return;
    isMoving.value = true;
    desk.draft.value = now.editTo(here, desk.stored.value)?.plan;
  }
  function release(): void {
    before()?.release();
    const now = drag.value,
      at = pointer.value;
    if (now && at && isMoving.value) desk.run((plan) => now.editTo(at, plan) ?? { label: '', plan });
    drop();
  }
  function double(at: Point): void {
    if (drafting.isDrawing.value) {
      if (drafting.canEnd.value) drafting.end();
      return;
    }
    const here = within(at, viewAt(at)),
      picked = pickInView(desk.stored.value, viewAt(at), here, reach());
    if (picked?.kind !== 'line' || picked.nodeId !== undefined) return;
    const made = desk.run((plan) => insertLinePoint(plan, picked.lineId, here));
    if (made) desk.chosen.value = { kind: 'line', lineId: picked.lineId, nodeId: made.nodeId };
  }
  function drop(): void {
    drag.value = undefined;
    isMoving.value = false;
    desk.draft.value = undefined;
  }
  useKeys('mat', { drop: () => (drag.value ? drop() : false) });

  return {
    base,
    layout,
    view,
    pointer,
    snapped,
    hovered,
    measured,
    isDragging: computed(() => isMoving.value),
    press,
    move,
    release,
    double,
    isSnapHeld,
  };
}
