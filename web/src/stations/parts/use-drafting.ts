import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { add, bulgeThrough, curvePoint, distance, interpolate, times, unitVector, type Curve, type Point } from '@grain-fold/core/geometry';
import { circleDraft, draftFault, rectangleDraft, type DraftSegment, type OperationKind, type Part, type PathDraft } from '@grain-fold/core/drawing';
import { useAirframe } from '../../stores/airframe.ts';
import { endsAfterTwo, mustClose, operationDraft, type Tool } from './part-tools.ts';

/** How the run that is drawn next goes. */
export type RunKind = 'line' | 'arc' | 'cubic';
/** What a closed tool draws: point by point, or a whole shape by two places. */
export type DraftShape = 'points' | 'rectangle' | 'circle';

export interface Drafting {
  readonly tool: Ref<Tool>;
  readonly points: ShallowRef<readonly Point[]>;
  readonly runKind: Ref<RunKind>;
  readonly arcVia: ShallowRef<Point | undefined>;
  readonly shape: Ref<DraftShape>;
  readonly isDrawing: ComputedRef<boolean>;
  readonly canClose: ComputedRef<boolean>;
  readonly canEnd: ComputedRef<boolean>;
  /** The path so far with the run to the pointer, as curves to show. */
  readonly preview: (pointer: Point | undefined) => readonly Curve[];
  readonly start: (tool: Tool) => void;
  readonly addPoint: (p: Point, closeWithinMm: number) => void;
  readonly close: () => void;
  readonly end: () => void;
  readonly backOut: () => void;
  /** Makes what is drawn so far into a step of the history, where it can stand: another tool or part is taken up. */
  readonly keep: () => void;
}

/** A path being drawn on the mat, point by point, until it becomes an editing command. */
export function useDrafting(part: ComputedRef<Part | undefined>): Drafting {
  const work = useAirframe();
  const tool = ref<Tool>('select');
  const points = shallowRef<readonly Point[]>([]);
  const segments = shallowRef<readonly DraftSegment[]>([]);
  const runKind = ref<RunKind>('line');
  const arcVia = shallowRef<Point>();
  const shape = ref<DraftShape>('points');
  const isDrawing = computed(() => tool.value !== 'select' && tool.value !== 'bevel' && tool.value !== 'trim' && tool.value !== 'measure');
  const canClose = computed(() => shape.value === 'points' && points.value.length >= (segments.value.some(({ kind }) => kind !== 'line') ? 2 : 3) && !endsAfterTwo(tool.value));
  const canEnd = computed(() => shape.value === 'points' && points.value.length >= 2 && (!mustClose(tool.value) || tool.value === 'outline'));

  function reset(): void {
    points.value = [];
    segments.value = [];
    runKind.value = 'line';
    arcVia.value = undefined;
  }
  function start(next: Tool): void {
    reset();
    if (!mustClose(next)) shape.value = 'points';
    tool.value = next;
  }

  /** Handles of a smooth curve: it leaves along the run before and arrives along the chord. */
  function smoothTo(end: Point): DraftSegment {
    const from = points.value.at(-1)!;
    const third = distance(from, end) / 3;
    return { kind: 'cubic', control1: add(from, times(leavingDirection(end), third)), control2: interpolate(from, end, 2 / 3) };
  }
  function leavingDirection(end: Point): Point {
    const from = points.value.at(-1)!, before = points.value.at(-2), last = segments.value.at(-1);
    if (!before || !last) return unitVector(from, end);
    if (last.kind === 'cubic') return unitVector(last.control2, from);
    if (last.kind === 'line') return unitVector(before, from);
    return unitVector(curvePoint({ kind: 'arc', from: before, to: from, bulge: last.bulge }, 0.98), from);
  }
  function nextSegment(end: Point): DraftSegment {
    if (runKind.value === 'cubic') return smoothTo(end);
    if (runKind.value === 'arc' && arcVia.value) {
      const bulge = bulgeThrough(points.value.at(-1)!, arcVia.value, end);
      return bulge === 0 ? { kind: 'line' } : { kind: 'arc', bulge };
    }
    return { kind: 'line' };
  }

  /** The shape that two places give, or undefined while they are one. */
  function shapeDraft(first: Point, second: Point): PathDraft | undefined {
    if (distance(first, second) < 1e-6) return undefined;
    if (shape.value === 'circle') return circleDraft(first, distance(first, second));
    const [width, height] = [Math.abs(second.x - first.x), Math.abs(second.y - first.y)];
    return width < 1e-6 || height < 1e-6 ? undefined : rectangleDraft({ x: Math.min(first.x, second.x), y: Math.min(first.y, second.y) }, width, height);
  }

  function addPoint(p: Point, closeWithinMm: number): void {
    const first = points.value[0];
    if (shape.value !== 'points') {
      const draft = first && shapeDraft(first, p);
      if (!first) points.value = [p];
      else if (draft) finish(draft);
      else work.message = 'Give the second place some way from the first.';
      return;
    }
    if (runKind.value === 'arc' && first && !arcVia.value) {
      arcVia.value = p;
      return;
    }
    if (first && canClose.value && distance(first, p) <= closeWithinMm) {
      close();
      return;
    }
    if (points.value.length > 0 && distance(points.value.at(-1)!, p) < 1e-6) {
      work.message = 'That point lies on the one before it.';
      return;
    }
    if (first) segments.value = [...segments.value, nextSegment(p)];
    points.value = [...points.value, p];
    arcVia.value = undefined;
    if (runKind.value === 'arc') runKind.value = 'line';
    if (endsAfterTwo(tool.value) && points.value.length === 2) end();
  }

  function close(): void {
    if (points.value.length < 2) return;
    finish({ points: points.value, segments: [...segments.value, nextSegment(points.value[0]!)], closed: true });
  }
  function end(): void {
    if (points.value.length < 2) return;
    finish({ points: points.value, segments: segments.value, closed: false });
  }
  function finish(draft: PathDraft): void {
    const target = part.value;
    if (!target) return;
    const fault = draftFault(draft);
    if (fault) {
      work.message = fault;
      return;
    }
    const isDone = tool.value === 'outline' ? work.run(target.id, { name: 'drawOutline', args: { draft } })
      : tool.value === 'hole' ? work.run(target.id, { name: 'drawHole', args: { draft } })
        : work.run(target.id, { name: 'drawLine', args: { draft, operation: operationDraft(tool.value as OperationKind) } });
    if (isDone) start(tool.value === 'outline' ? 'select' : tool.value);
  }

  function keep(): void {
    if (!isDrawing.value) return;
    if (canEnd.value) end();
    else if (canClose.value) close();
  }

  /** One step back: the arc's middle, the last point, then the tool. */
  function backOut(): void {
    if (arcVia.value) arcVia.value = undefined;
    else if (points.value.length > 0) {
      points.value = points.value.slice(0, -1);
      segments.value = segments.value.slice(0, Math.max(0, points.value.length - 1));
    } else start('select');
  }

  function preview(pointer: Point | undefined): readonly Curve[] {
    const first = points.value[0];
    if (shape.value !== 'points') {
      const draft = first && pointer && shapeDraft(first, pointer);
      return draft ? draft.segments.map((segment, index): Curve => ({ ...segment, from: draft.points[index]!, to: draft.points[(index + 1) % draft.points.length]! })) : [];
    }
    const curve = (segment: DraftSegment, from: Point, to: Point): Curve => ({ ...segment, from, to });
    const drawn = segments.value.map((segment, index) => curve(segment, points.value[index]!, points.value[index + 1]!));
    const last = points.value.at(-1);
    return last && pointer && distance(last, pointer) > 1e-9 ? [...drawn, curve(nextSegment(pointer), last, pointer)] : drawn;
  }
  return { tool, points, runKind, arcVia, shape, isDrawing, canClose, canEnd, preview, start, addPoint, close, end, backOut, keep };
}
