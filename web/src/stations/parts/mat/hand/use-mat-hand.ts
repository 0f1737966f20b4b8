import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { applyCommand, type PartCommand, type MadeIds } from '@grain-fold/core/editing';
import { featureTraits, type FeatureKind } from '@grain-fold/core/features';
import { applyTransform, distance, subtract, type Point } from '@grain-fold/core/geometry';
import { operationDraft } from '@grain-fold/core/operations';
import { pathsOf, type Part } from '@grain-fold/core/part';
import type { Snap } from '@grain-fold/core/paths';
import { pick, snap, type Picked } from '@grain-fold/core/pointing';
import { expandPart, mirrorOf, resolve, type ResolveContext, type ResolvedPart } from '@grain-fold/core/resolve';
import { gridSteps } from '../../../../mat/mat-view.ts';
import { isWith } from '../../../../keys/held-keys.ts';
import { useAirframe } from '../../../../stores/airframe/airframe.ts';
import { featureOfTool } from '../../drafting/part-tools.ts';
import type { Selection } from '../../selection.ts';
import type { Drafting } from '../../drafting/use-drafting.ts';
import { useKeys } from '../../../../keys/use-keys.ts';
import { choiceOf, edgeUnder, guideDrag, handleDrag, trimTarget, type DragCommand } from './drags.ts';

/** What the hand works on. */
export interface HandSite {
  readonly part: () => Part;
  readonly context: () => ResolveContext;
  readonly drafting: Drafting;
  readonly selection: Selection;
  /** A part drawn over, in this part's coordinates. */
  readonly beneath: () => Part | undefined;
  readonly pixelsPerMm: () => number;
}

/** A drag under way: where it began, and the command that the present place would give. */
interface Drag {
  readonly from: Point;
  readonly anchor: Point;
  readonly except: ReadonlySet<string>;
  readonly isImage: boolean;
  readonly commandFor: DragCommand;
}

export interface MatHand {
  readonly shown: ComputedRef<Part>;
  readonly resolved: ComputedRef<ResolvedPart>;
  readonly pointer: ShallowRef<Point | undefined>;
  readonly snapped: ShallowRef<Snap | undefined>;
  readonly hovered: ShallowRef<Picked | undefined>;
  readonly isDragging: ComputedRef<boolean>;
  /** How far the drag went, once it moves something. */
  readonly draggedBy: ComputedRef<Point | undefined>;
  readonly isSnapHeld: Ref<boolean>;
  readonly press: (at: Point, event: PointerEvent) => void;
  readonly move: (at: Point, event: PointerEvent) => void;
  readonly release: () => void;
  readonly double: (at: Point) => void;
}

const REACH_PX = 9;
const DRAG_AFTER_PX = 3;

/** The pointer on a part: it chooses, drags, draws and sets, through editing commands only. */
export function useMatHand(site: HandSite): MatHand {
  const work = useAirframe();
  const { drafting, selection } = site;
  const pointer = shallowRef<Point>(),
    snapped = shallowRef<Snap>(),
    hovered = shallowRef<Picked>();
  const isSnapHeld = ref(false);
  const drag = shallowRef<Drag>(),
    dragCommand = shallowRef<PartCommand>();

  const whole = computed(() => expandPart(site.part(), site.context()));
  const edited = computed(() => {
    const result = dragCommand.value && applyCommand(site.part(), dragCommand.value);
    return result?.ok ? result.part : site.part();
  });
  const shown = computed(() => expandPart(edited.value, site.context()));
  const resolved = computed(() => resolve(edited.value, site.context()));
  const reach = (): number => REACH_PX / site.pixelsPerMm();
  const pickAt = (at: Point): Picked | undefined => pick(whole.value, resolved.value, at, reach());
  const run = (command: PartCommand): MadeIds | undefined => work.run(site.part().id, command);
  /** A place on the mirror image, brought to the half that is drawn. */
  const drawnSide = (p: Point, isImage: boolean): Point => {
    const { symmetry } = site.part();
    return isImage && symmetry ? applyTransform(mirrorOf(symmetry), p) : p;
  };

  function snapTo(at: Point, except?: ReadonlySet<string>): Snap {
    if (isSnapHeld.value) return { point: at, reason: 'free' };
    const from = drafting.isDrawing.value ? drafting.points.value.at(-1) : drag.value?.anchor;
    return snap(whole.value, at, {
      reachMm: reach(),
      gridMm: gridSteps(work.unit, site.pixelsPerMm()).fineMm,
      except,
      more: drafting.points.value,
      from,
      beneath: site.beneath(),
    });
  }

  function press(at: Point, event: PointerEvent): void {
    isSnapHeld.value = isWith('Alt', event);
    if (drafting.isDrawing.value) {
      drafting.addPoint(snapTo(at).point, reach());
      return;
    }
    const tool = drafting.tool.value,
      picked = pickAt(at);
    const feature = featureOfTool(tool);
    if (feature) setFeature(feature, at, picked);
    else if (tool === 'bevel') bevelEdge(picked);
    else if (tool === 'guide') startGuide(at, picked);
    else if (tool === 'measure') measureAt(snapTo(at).point);
    else if (tool === 'trim') trimAt(at);
    else {
      const handle = selection.segment.value && handleDrag(selection.segment.value, at, reach());
      if (handle) drag.value = { from: at, anchor: at, except: new Set(), isImage: false, commandFor: handle };
      else choose(picked, at, isWith('Shift', event));
    }
  }

  function choose(picked: Picked | undefined, at: Point, adds: boolean): void {
    const { chosen, paths } = selection;
    if (!picked) {
      chosen.value = undefined;
      return;
    }
    const isImage = picked.isImage ?? false,
      from = drawnSide(at, isImage);
    const pathIds = paths.value.map(({ id }) => id);
    const choice = choiceOf(site.part(), picked, from, adds, chosen.value, pathIds);
    chosen.value = choice.chosen;
    if (choice.drag) drag.value = { ...choice.drag, from, isImage, except: new Set(choice.drag.except) };
  }

  /** Sets a guide beside the edge or guide under the pointer, ready to be dragged away from it; elsewhere a level one. */
  function startGuide(at: Point, picked: Picked | undefined): void {
    const edge = edgeUnder(site.part(), picked, at);
    const base = edge
      ? { segmentId: edge.segmentId }
      : picked?.kind === 'guide'
        ? { guideId: picked.guideId }
        : undefined;
    const guideId = run({
      name: 'addGuide',
      args: {
        guide: base ? { kind: 'beside', of: base, byMm: 0 } : { kind: 'line', at: snapTo(at).point, angleDegrees: 0 },
      },
    })?.guides[0];
    if (!guideId) return;
    drafting.start('select');
    selection.chosen.value = { kind: 'guide', guideId };
    const command = guideDrag(site.part(), guideId, at);
    if (command) drag.value = { from: at, anchor: at, except: new Set(), isImage: false, commandFor: command };
  }

  function setFeature(kind: FeatureKind, at: Point, picked: Picked | undefined): void {
    const traits = featureTraits(kind);
    const edge =
      kind === 'stations'
        ? edgeUnder(site.part(), picked, at)
        : picked?.kind === 'segment'
          ? edgeUnder(site.part(), picked, at)
          : undefined;
    if (traits.ground === 'edge' && !edge) {
      work.message = traits.hint;
      return;
    }
    const numbers = kind === 'tabs' || kind === 'lap' ? { material: site.part().material } : undefined;
    const place = traits.ground === 'edge' ? { on: edge! } : { at: snapTo(at).point };
    const featureId = run({ name: 'addFeature', args: { kind, ...place, numbers } })?.features[0];
    if (!featureId) return;
    selection.chosen.value = { kind: 'feature', featureId };
    drafting.start('select');
  }

  function measureAt(place: Point): void {
    // The mat shows the part made whole; only points that are drawn can be pinned.
    const drawn = new Set(pathsOf(site.part()).flatMap(({ nodes }) => nodes.map(({ id }) => id)));
    const nodeId = pathsOf(whole.value)
      .flatMap(({ nodes }) => nodes)
      .find((node) => drawn.has(node.id) && distance(node, place) < 1e-6)?.id;
    const now = selection.measured.value;
    selection.measured.value =
      !now || now.to ? { from: place, fromNodeId: nodeId } : { ...now, to: place, toNodeId: nodeId };
  }

  function bevelEdge(picked: Picked | undefined): void {
    // On a mark within the part a bevel is one lip of a groove.
    const mark =
      picked?.kind === 'operation'
        ? site
            .part()
            .operations.find(({ id, kind }) => id === picked.operationId && (kind === 'mark' || kind === 'engrave'))
        : undefined;
    if (mark) {
      if (run({ name: 'changeWork', args: { operationId: mark.id, kind: 'bevel' } }))
        selection.chosen.value = { kind: 'operation', operationId: mark.id };
      drafting.start('select');
      return;
    }
    if (picked?.kind !== 'segment') {
      work.message = 'Click an edge of the outline or of a hole, or a straight mark that is one lip of a groove.';
      return;
    }
    const operationId = run({
      name: 'addOperation',
      args: { on: { pathId: picked.pathId, segmentIds: [picked.segmentId] }, operation: operationDraft('bevel') },
    })?.operations[0];
    if (!operationId) return;
    selection.chosen.value = { kind: 'operation', operationId };
    drafting.start('select');
  }

  /** Takes out the stretch of a line under the pointer. */
  function trimAt(at: Point): void {
    const target = trimTarget(site.part(), at, reach());
    if (target) run({ name: 'trimLine', args: target });
    else work.message = 'Click a line on the part: outlines are not trimmed.';
  }

  function move(at: Point, event: PointerEvent): void {
    isSnapHeld.value = isWith('Alt', event);
    const now = drag.value;
    if (!now) {
      snapped.value = snapTo(at);
      pointer.value = snapped.value.point;
      hovered.value = drafting.isDrawing.value ? undefined : pickAt(at);
      return;
    }
    const hand = drawnSide(at, now.isImage);
    snapped.value = snapTo(
      { x: hand.x + now.anchor.x - now.from.x, y: hand.y + now.anchor.y - now.from.y },
      now.except,
    );
    pointer.value = snapped.value.point;
    if (dragCommand.value || distance(hand, now.from) > DRAG_AFTER_PX / site.pixelsPerMm())
      dragCommand.value = now.commandFor(pointer.value);
  }
  function release(): void {
    if (dragCommand.value) run(dragCommand.value);
    drop();
  }
  function drop(): void {
    drag.value = undefined;
    dragCommand.value = undefined;
  }
  function double(at: Point): void {
    if (drafting.isDrawing.value) {
      if (drafting.canEnd.value && drafting.tool.value !== 'outline') drafting.end();
      return;
    }
    const picked = pickAt(at);
    if (picked?.kind === 'segment') run({ name: 'insertNode', args: { segmentId: picked.segmentId, t: picked.t } });
  }
  useKeys('mat', { drop: () => (drag.value ? drop() : false) });

  const draggedBy = computed(() =>
    drag.value && dragCommand.value && pointer.value ? subtract(pointer.value, drag.value.anchor) : undefined,
  );
  return {
    shown,
    resolved,
    pointer,
    snapped,
    hovered,
    isDragging: computed(() => drag.value !== undefined),
    draggedBy,
    isSnapHeld,
    press,
    move,
    release,
    double,
  };
}
