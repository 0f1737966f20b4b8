import { ref, shallowRef, type Ref, type ShallowRef } from 'vue';
import { add, subtract, type Point } from '@grain-fold/core/geometry';
import { sheetFacts } from '@grain-fold/core/formats';
import {
  freshPlanId,
  inverseProjective,
  levelledBy,
  PLAN_BOUNDS,
  project,
  underlayMap,
  type Plan,
  type PlanSheet,
  type PlanView,
  type Underlay,
  type ViewLayout,
} from '@grain-fold/core/plan';
import { CoreError } from '@grain-fold/core/units';
import { attachmentsApi } from '../../../api/attachments.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { sheets } from '../../../workers/sheets.ts';
import { wholeSheet, withSheet } from './laid-under.ts';
import { sheetKey, useOpenedSheets, type SheetState } from './use-opened-sheets.ts';
import type { PlanDesk } from '../use-plan.ts';

/** What places are picked on a sheet for: both ends of a length, a line that is level, where the nose is, corners, what is seen. */
export type PickFor = 'length' | 'level' | 'origin' | 'corners' | 'crop';
const NEEDED: Readonly<Record<PickFor, number>> = { length: 2, level: 2, origin: 1, corners: 4, crop: 2 };

/** Places that are being picked on the sheet of an underlay, in its pixels. */
export interface Picking {
  readonly what: PickFor;
  readonly underlayId: string;
  readonly points: readonly Point[];
}
/** The pointer while it works on an underlay. */
export interface TracingHand {
  readonly press: (at: Point, view: PlanView) => boolean;
  readonly move: (at: Point) => void;
  readonly release: () => void;
}

export interface Tracing {
  readonly states: ShallowRef<ReadonlyMap<string, SheetState>>;
  readonly picking: ShallowRef<Picking | undefined>;
  readonly picked: ShallowRef<Picking | undefined>;
  readonly fault: Ref<string>;
  readonly note: Ref<string>;
  readonly isAdding: Ref<boolean>;
  readonly addFile: (file: File, view: PlanView) => Promise<void>;
  readonly start: (what: PickFor, underlayId: string) => void;
  /** A place typed in pixels of the sheet instead of clicked. */
  readonly pick: (pixel: Point) => void;
  readonly turnTo: (sheet: PlanSheet, page: number) => Promise<void>;
  readonly drop: () => boolean;
  readonly changeUnderlay: (label: string, id: string, change: Partial<Underlay>) => void;
  readonly changeSheet: (label: string, id: string, change: Partial<PlanSheet>) => void;
  readonly addView: (sheetId: string, view: PlanView) => void;
  readonly removeUnderlay: (id: string) => void;
  readonly hand: (layout: ViewLayout, pixelsPerMm: number) => TracingHand | undefined;
}

/** Pictures and drawings laid under the views: taken in, opened, calibrated and placed. */
export function useTracing(desk: PlanDesk): Tracing {
  const work = useAirframe();
  const { states, tellOpen, isClosed } = useOpenedSheets(desk);
  const picking = shallowRef<Picking>(),
    picked = shallowRef<Picking>();
  const fault = ref(''),
    note = ref(''),
    isAdding = ref(false);
  async function addFile(file: File, view: PlanView): Promise<void> {
    fault.value = note.value = '';
    if (desk.stored.value.sheets.length >= PLAN_BOUNDS.underlays) {
      fault.value = `A plan holds ${PLAN_BOUNDS.underlays} sheets: take one out first.`;
      return;
    }
    isAdding.value = true;
    const airframeId = work.airframe?.id;
    try {
      const bytes = await file.arrayBuffer(),
        facts = sheetFacts(file.name, new Uint8Array(bytes));
      if (!facts.ok) return void (fault.value = facts.message);
      note.value = facts.note ?? '';
      const kept = await attachmentsApi.keep(file, file.name),
        key = sheetKey(kept);
      const answer = await sheets.open(key, file.name, bytes, 1);
      if (isClosed(airframeId, file.name)) return;
      if (!answer.ok) return void (fault.value = answer.message);
      tellOpen(key, answer.pages);
      const { widthPx, heightPx, mmPerPx } = answer;
      desk.run((plan) =>
        withSheet(
          plan,
          view,
          { name: file.name.slice(0, 200), hash: kept.hash, kind: kept.kind, widthPx, heightPx },
          mmPerPx,
        ),
      );
    } catch (error) {
      fault.value = error instanceof Error ? error.message : String(error);
    } finally {
      isAdding.value = false;
    }
  }

  /** Another page of the same document takes the place of the one that lies there. */
  async function turnTo(sheet: PlanSheet, page: number): Promise<void> {
    fault.value = '';
    const key = sheetKey({ hash: sheet.hash, page }),
      airframeId = work.airframe?.id;
    try {
      const answer = await sheets.open(key, sheet.name, await attachmentsApi.read(sheet.hash), page);
      if (isClosed(airframeId, sheet.name)) return;
      if (!answer.ok) return void (fault.value = answer.message);
      tellOpen(key, answer.pages);
      const { widthPx, heightPx } = answer;
      changeSheet(`Turn to page ${page}`, sheet.id, { page, widthPx, heightPx });
    } catch (error) {
      fault.value = error instanceof Error ? error.message : String(error);
    }
  }

  const changeUnderlay = (label: string, id: string, change: Partial<Underlay>): void => {
    // What is let loose is taken in hand.
    if (change.isLocked === false) desk.chosen.value = { kind: 'underlay', underlayId: id };
    desk.run((plan) => ({
      label,
      plan: { ...plan, underlays: plan.underlays.map((one) => (one.id === id ? { ...one, ...change } : one)) },
    }));
  };
  const changeSheet = (label: string, id: string, change: Partial<PlanSheet>): void => {
    desk.run((plan) => ({
      label,
      plan: { ...plan, sheets: plan.sheets.map((one) => (one.id === id ? { ...one, ...change } : one)) },
    }));
  };
  function addView(sheetId: string, view: PlanView): void {
    const made = desk.run((plan) => {
      const before = plan.underlays.find((one) => one.sheetId === sheetId),
        sheet = plan.sheets.find(({ id }) => id === sheetId)!;
      const [id, next] = freshPlanId(plan, 'u');
      const underlay: Underlay = { ...(before ?? wholeSheet('', sheet, view, plan)), id, view };
      const { crop: _crop, ...whole } = underlay;
      return {
        label: `Lay ${sheet.name} under the ${view} view`,
        plan: { ...next, underlays: [...next.underlays, whole] },
      };
    });
    const last = made?.plan.underlays.at(-1);
    if (last) desk.chosen.value = { kind: 'underlay', underlayId: last.id };
  }
  function removeUnderlay(id: string): void {
    desk.run((plan) => {
      const underlays = plan.underlays.filter((one) => one.id !== id);
      return {
        label: 'Take out underlay',
        plan: {
          ...plan,
          underlays,
          sheets: plan.sheets.filter((sheet) => underlays.some(({ sheetId }) => sheetId === sheet.id)),
        },
      };
    });
    desk.chosen.value = undefined;
  }

  function start(what: PickFor, underlayId: string): void {
    picked.value = undefined;
    picking.value = { what, underlayId, points: [] };
    desk.chosen.value = { kind: 'underlay', underlayId };
  }
  function drop(): boolean {
    if (!picking.value && !picked.value) return false;
    picking.value = picked.value = undefined;
    return true;
  }

  const both = (plan: Plan, underlayId: string): { underlay: Underlay; sheet: PlanSheet } | undefined => {
    const underlay = plan.underlays.find(({ id }) => id === underlayId),
      sheet = plan.sheets.find(({ id }) => id === underlay?.sheetId);
    return underlay && sheet ? { underlay, sheet } : undefined;
  };

  /** A place on the mat in pixels of the sheet that lies there. */
  function pixelAt(at: Point, layout: ViewLayout, underlayId: string): Point | undefined {
    const found = both(desk.stored.value, underlayId);
    if (!found) return undefined;
    try {
      const map = underlayMap(found.underlay, found.sheet);
      return project(inverseProjective(map), subtract(at, layout[found.underlay.view]));
    } catch (error) {
      if (error instanceof CoreError) return undefined;
      throw error;
    }
  }

  function pick(point: Point): void {
    const now = picking.value;
    if (!now) return;
    const points = [...now.points, point];
    picking.value = { ...now, points };
    if (points.length < NEEDED[now.what]) return;
    picking.value = undefined;
    finish({ ...now, points });
  }
  /** What was picked becomes an edit at once, or waits for its number. */
  function finish(done: Picking): void {
    const found = both(desk.stored.value, done.underlayId);
    if (!found) return;
    const { underlay, sheet } = found,
      [a, b] = done.points as [Point, Point];
    switch (done.what) {
      case 'level':
        return changeUnderlay('Turn underlay level', underlay.id, {
          turnDegrees: levelledBy(underlay, sheet, a, b).turnDegrees,
        });
      case 'origin':
        return changeUnderlay('Set the nose of the underlay', underlay.id, { originPx: a, originAt: { x: 0, y: 0 } });
      case 'crop': {
        const within = (value: number, most: number): number => Math.max(0, Math.min(most, value));
        const [x1, x2] = [a.x, b.x].map((x) => within(x, sheet.widthPx)).sort((p, q) => p - q) as [number, number],
          [y1, y2] = [a.y, b.y].map((y) => within(y, sheet.heightPx)).sort((p, q) => p - q) as [number, number];
        if (x2 - x1 < 2 || y2 - y1 < 2) return void (work.message = 'Pick two corners that lie apart.');
        return changeUnderlay('Crop underlay', underlay.id, { crop: { minX: x1, minY: y1, maxX: x2, maxY: y2 } });
      }
      case 'length':
      case 'corners':
        picked.value = done;
    }
  }

  let moved: { readonly id: string; readonly from: Point; readonly originAt: Point } | undefined;
  const hand = (layout: ViewLayout, pixelsPerMm: number): TracingHand | undefined => {
    const now = picking.value;
    if (now)
      return {
        press: (at) => {
          const point = pixelAt(at, layout, now.underlayId);
          if (point) pick(point);
          return true;
        },
        move: () => undefined,
        release: () => undefined,
      };
    const chosen = desk.chosen.value;
    if (chosen?.kind !== 'underlay' && !moved) return undefined;
    return {
      press: (at, view) => {
        const found = chosen?.kind === 'underlay' ? both(desk.stored.value, chosen.underlayId) : undefined;
        if (!found || found.underlay.isLocked || found.underlay.isHidden || found.underlay.view !== view) return false;
        moved = { id: found.underlay.id, from: at, originAt: found.underlay.originAt };
        return true;
      },
      move: (at) => {
        if (!moved) return;
        const { id, from, originAt } = moved;
        const plan = desk.stored.value,
          to = add(originAt, subtract(at, from));
        desk.draft.value = {
          ...plan,
          underlays: plan.underlays.map((one) => (one.id === id ? { ...one, originAt: to } : one)),
        };
      },
      release: () => {
        if (!moved) return;
        const to = desk.draft.value?.underlays.find(({ id }) => id === moved?.id)?.originAt;
        const far = to ? Math.hypot(to.x - moved.originAt.x, to.y - moved.originAt.y) * pixelsPerMm : 0;
        if (to && far > 2) changeUnderlay('Move underlay', moved.id, { originAt: to });
        desk.draft.value = undefined;
        moved = undefined;
      },
    };
  };

  return {
    states,
    picking,
    picked,
    fault,
    note,
    isAdding,
    addFile,
    start,
    pick,
    turnTo,
    drop,
    changeUnderlay,
    changeSheet,
    addView,
    removeUnderlay,
    hand,
  };
}
