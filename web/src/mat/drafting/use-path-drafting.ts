import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { distance, type Curve, type Point } from '@grain-fold/core/geometry';
import { draftFault, type DraftSegment, type PathDraft } from '@grain-fold/core/paths';
import { defined, lengthText } from '@grain-fold/core/units';
import { nextRun, shapeDraft, smoothedRuns, type ArcWay, type DraftShape, type RunKind } from './draft-runs.ts';

/** What a tool that draws paths is like. */
export interface PathTool {
  readonly word: string;
  /** Point by point; a tool that does not is none of drawing. */
  readonly draws: boolean;
  /** It ends with its second point. */
  readonly endsAfterTwo?: boolean;
  /** It must come back to its first point, or may be one of the closed shapes. */
  readonly mustClose?: boolean;
  /** Though it must close in the end, it may be left open for now. */
  readonly mayStayOpen?: boolean;
  /** Closed or open, as the builder ends it. */
  readonly mayClose?: boolean;
}

/** A path as far as it is drawn: what the next point needs to go on from it. */
export interface DrawnSoFar<Tool extends string> {
  readonly tool: Tool;
  readonly shape: DraftShape;
  readonly points: readonly Point[];
  readonly segments: readonly DraftSegment[];
  readonly runKind: RunKind;
  readonly arcWay: ArcWay;
  readonly arcVia?: Point;
}

/** What paths are drawn for. */
export interface DraftingSite<Tool extends string> {
  readonly rest: Tool;
  readonly traits: (tool: Tool) => PathTool;
  /** Makes the path an edit. @returns whether it stands */
  readonly finish: (tool: Tool, draft: PathDraft) => boolean;
  /** The tool in hand when a path is done. */
  readonly after: (tool: Tool) => Tool;
  readonly say: (message: string) => void;
}

export interface Drafting<Tool extends string = string> {
  readonly tool: Ref<Tool>;
  readonly traits: ComputedRef<PathTool>;
  readonly points: ShallowRef<readonly Point[]>;
  readonly runKind: Ref<RunKind>;
  readonly arcVia: ShallowRef<Point | undefined>;
  readonly arcWay: Ref<ArcWay>;
  /** Radius of an arc told by it, in mm; below 0 it bends to the right. */
  readonly arcRadiusMm: Ref<number>;
  /** Width of a slot drawn by its two ends, in mm. */
  readonly slotWidthMm: Ref<number>;
  readonly shape: Ref<DraftShape>;
  readonly isDrawing: ComputedRef<boolean>;
  readonly canClose: ComputedRef<boolean>;
  readonly canEnd: ComputedRef<boolean>;
  /** The path so far with the run to the pointer, as curves to show. */
  readonly preview: (pointer: Point | undefined) => readonly Curve[];
  readonly start: (tool: Tool) => void;
  /** Puts the tool down. */
  readonly cancel: () => void;
  readonly addPoint: (p: Point, closeWithinMm: number) => void;
  readonly close: () => void;
  readonly end: () => void;
  readonly backOut: () => void;
  /** Takes back what was drawn last. @returns false when nothing was */
  readonly takeBack: () => boolean;
  /** The path as far as it is drawn; undefined while it has no point. */
  readonly soFar: ComputedRef<DrawnSoFar<Tool> | undefined>;
  /** Takes up a path that was drawn so far. */
  readonly goOn: (drawn: DrawnSoFar<Tool>) => void;
  /** Makes what is drawn so far into a step of the history, where it can stand: another tool or part is taken up. */
  readonly keep: () => void;
}

/** A path being drawn on the mat, point by point, until it becomes an edit. */
export function usePathDrafting<Tool extends string>(site: DraftingSite<Tool>): Drafting<Tool> {
  const tool = shallowRef(site.rest) as ShallowRef<Tool>;
  const traits = computed(() => site.traits(tool.value));
  const points = shallowRef<readonly Point[]>([]);
  const segments = shallowRef<readonly DraftSegment[]>([]);
  const runKind = ref<RunKind>('line');
  const arcVia = shallowRef<Point>();
  const arcWay = ref<ArcWay>('through');
  const arcRadiusMm = ref(50);
  const slotWidthMm = ref(6);
  const shape = ref<DraftShape>('points');
  const isDrawing = computed(() => traits.value.draws);
  const canClose = computed(
    () =>
      shape.value === 'points' &&
      points.value.length >= (segments.value.some(({ kind }) => kind !== 'line') ? 2 : 3) &&
      !traits.value.endsAfterTwo &&
      traits.value.mayClose !== false,
  );
  const canEnd = computed(
    () =>
      shape.value === 'points' &&
      points.value.length >= 2 &&
      (!traits.value.mustClose || traits.value.mayStayOpen === true),
  );

  function reset(): void {
    points.value = [];
    segments.value = [];
    runKind.value = 'line';
    arcVia.value = undefined;
  }
  function start(next: Tool): void {
    reset();
    if (!site.traits(next).mustClose) shape.value = 'points';
    tool.value = next;
  }

  const runTo = (end: Point): DraftSegment =>
    nextRun(points.value, segments.value, end, runKind.value, {
      way: arcWay.value,
      via: arcVia.value,
      radiusMm: arcRadiusMm.value,
    });
  const shapeOf = (first: Point, second: Point): PathDraft | undefined =>
    shape.value === 'points' ? undefined : shapeDraft(shape.value, first, second, slotWidthMm.value);

  function addPoint(p: Point, closeWithinMm: number): void {
    const first = points.value[0];
    if (shape.value !== 'points') {
      const draft = first && shapeOf(first, p);
      if (!first) points.value = [p];
      else if (draft) finish(draft);
      else site.say('Give the second place some way from the first.');
      return;
    }
    if (runKind.value === 'arc' && arcWay.value === 'through' && first && !arcVia.value) {
      arcVia.value = p;
      return;
    }
    if (first && canClose.value && distance(first, p) <= closeWithinMm) {
      close();
      return;
    }
    if (points.value.length > 0 && distance(points.value.at(-1)!, p) < 1e-6) {
      site.say('That point lies on the one before it.');
      return;
    }
    if (
      first &&
      runKind.value === 'arc' &&
      arcWay.value === 'radius' &&
      Math.abs(arcRadiusMm.value) < distance(points.value.at(-1)!, p) / 2
    ) {
      site.say(
        `That end is ${lengthText(distance(points.value.at(-1)!, p))} away: the radius must be at least half of it.`,
      );
      return;
    }
    if (first) segments.value = [...segments.value, runTo(p)];
    points.value = [...points.value, p];
    arcVia.value = undefined;
    if (runKind.value === 'arc') runKind.value = 'line';
    if (traits.value.endsAfterTwo && points.value.length === 2) end();
  }

  function close(): void {
    if (points.value.length < 2) return;
    const runs = [...segments.value, runTo(points.value[0]!)];
    finish({ points: points.value, segments: smoothedRuns(points.value, runs, true), closed: true });
  }
  function end(): void {
    if (points.value.length < 2) return;
    finish({ points: points.value, segments: smoothedRuns(points.value, segments.value, false), closed: false });
  }
  function finish(draft: PathDraft): void {
    const fault = draftFault(draft);
    if (fault) {
      site.say(fault);
      return;
    }
    if (site.finish(tool.value, draft)) start(site.after(tool.value));
  }

  function keep(): void {
    if (!isDrawing.value) return;
    if (canEnd.value) end();
    else if (canClose.value) close();
  }

  /** Takes back the arc's middle or the last point; false when there is none. */
  function takeBack(): boolean {
    if (arcVia.value) arcVia.value = undefined;
    else if (points.value.length > 0) {
      points.value = points.value.slice(0, -1);
      segments.value = segments.value.slice(0, Math.max(0, points.value.length - 1));
    } else return false;
    return true;
  }
  const cancel = (): void => start(site.rest);
  /** One step back: what was drawn last, then the tool. */
  function backOut(): void {
    if (!takeBack()) cancel();
  }

  const soFar = computed<DrawnSoFar<Tool> | undefined>(() =>
    points.value.length === 0
      ? undefined
      : {
          tool: tool.value,
          shape: shape.value,
          points: points.value,
          segments: segments.value,
          runKind: runKind.value,
          arcWay: arcWay.value,
          ...defined({ arcVia: arcVia.value }),
        },
  );
  function goOn(drawn: DrawnSoFar<Tool>): void {
    start(drawn.tool);
    shape.value = drawn.shape;
    points.value = drawn.points;
    segments.value = drawn.segments;
    runKind.value = drawn.runKind;
    arcWay.value = drawn.arcWay;
    arcVia.value = drawn.arcVia;
  }

  function preview(pointer: Point | undefined): readonly Curve[] {
    const first = points.value[0];
    if (shape.value !== 'points') {
      const draft = first && pointer && shapeOf(first, pointer);
      return draft
        ? draft.segments.map((segment, index): Curve => ({
            ...segment,
            from: draft.points[index]!,
            to: draft.points[(index + 1) % draft.points.length]!,
          }))
        : [];
    }
    const last = points.value.at(-1);
    const isReaching = last !== undefined && pointer !== undefined && distance(last, pointer) > 1e-9;
    const all = isReaching ? [...points.value, pointer] : points.value;
    return smoothedRuns(all, isReaching ? [...segments.value, runTo(pointer)] : segments.value, false).map(
      (segment, index): Curve => ({ ...segment, from: all[index]!, to: all[index + 1]! }),
    );
  }
  return {
    tool,
    traits,
    cancel,
    points,
    runKind,
    arcVia,
    arcWay,
    arcRadiusMm,
    slotWidthMm,
    shape,
    isDrawing,
    canClose,
    canEnd,
    preview,
    start,
    addPoint,
    close,
    end,
    backOut,
    takeBack,
    soFar,
    goOn,
    keep,
  };
}
