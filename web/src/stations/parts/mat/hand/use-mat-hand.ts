import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { applyCommand, type PartCommand, type MadeIds } from '@grain-fold/core/editing';
import { featureTraits, isOnEdge, type FeatureKind } from '@grain-fold/core/features';
import { applyTransform, distance, nearestOnCurve, subtract, type Point } from '@grain-fold/core/geometry';
import { operationDraft } from '@grain-fold/core/operations';
import { findPath, pathsOf, placedGuides, type Part } from '@grain-fold/core/part';
import { curveOf, curvesNear, type Snap } from '@grain-fold/core/paths';
import { pick, snap, type Picked } from '@grain-fold/core/pointing';
import { expandPart, mirrorOf, resolve, type ResolveContext, type ResolvedPart } from '@grain-fold/core/resolve';
import { gridSteps } from '../../../../mat/mat-view.ts';
import { useAirframe } from '../../../../stores/airframe/airframe.ts';
import { featureOfTool } from '../../drafting/part-tools.ts';
import type { Selection } from '../../selection.ts';
import type { Drafting } from '../../drafting/use-drafting.ts';
import { useKeys } from '../../../../keys/use-keys.ts';

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
  readonly commandFor: (to: Point) => PartCommand;
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
    isSnapHeld.value = event.altKey;
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
      const handle = handleAt(at);
      if (handle) drag.value = { from: at, anchor: at, except: new Set(), isImage: false, commandFor: handle };
      else choose(picked, at, event.shiftKey);
    }
  }

  function choose(picked: Picked | undefined, at: Point, adds: boolean): void {
    const { chosen } = selection;
    if (!picked) {
      chosen.value = undefined;
      return;
    }
    const isImage = picked.isImage ?? false,
      from = drawnSide(at, isImage);
    const start = (anchor: Point, except: readonly string[], commandFor: Drag['commandFor']): void => {
      drag.value = { from, anchor, except: new Set(except), isImage, commandFor };
    };
    if (picked.kind === 'guide') {
      chosen.value = { kind: 'guide', guideId: picked.guideId };
      const command = guideDrag(picked.guideId, from);
      if (command) start(from, [], command);
      return;
    }
    if (picked.kind === 'feature') {
      chosen.value = { kind: 'feature', featureId: picked.featureId };
      const feature = site.part().features?.find(({ id }) => id === picked.featureId);
      if (feature && !isOnEdge(feature))
        start(feature.at, [], (to) => ({
          name: 'moveFeature',
          args: { featureId: feature.id, by: subtract(to, feature.at) },
        }));
      return;
    }
    if (adds && picked.kind !== 'node') {
      const ids = selection.paths.value.map(({ id }) => id);
      chosen.value = {
        kind: 'paths',
        ids: ids.includes(picked.pathId) ? ids.filter((id) => id !== picked.pathId) : [...ids, picked.pathId],
      };
      return;
    }
    if (picked.kind === 'node') {
      const before = chosen.value?.kind === 'nodes' ? chosen.value.ids : [];
      const ids =
        before.includes(picked.nodeId) && !adds
          ? before
          : adds
            ? [...new Set([...before, picked.nodeId])]
            : [picked.nodeId];
      chosen.value = { kind: 'nodes', ids };
      const anchor = pathsOf(site.part())
        .flatMap(({ nodes }) => nodes)
        .find(({ id }) => id === picked.nodeId)!;
      start(anchor, ids, (to) => ({ name: 'moveNodes', args: { nodeIds: ids, by: subtract(to, anchor) } }));
      return;
    }
    const path = findPath(site.part(), picked.pathId)!;
    const group = site.part().pathGroups?.find(({ pathIds }) => pathIds.includes(path.id));
    if (group) {
      chosen.value = { kind: 'paths', ids: group.pathIds };
      start(
        from,
        pathsOf(site.part())
          .filter(({ id }) => group.pathIds.includes(id))
          .flatMap(({ nodes }) => nodes.map(({ id }) => id)),
        (to) => ({
          name: 'arrangePaths',
          args: { pathIds: group.pathIds, motion: { kind: 'move', by: subtract(to, from) }, copies: 0 },
        }),
      );
    } else if (picked.kind === 'segment') {
      chosen.value = { kind: 'segment', pathId: picked.pathId, segmentId: picked.segmentId, t: picked.t };
      const index = path.segments.findIndex(({ id }) => id === picked.segmentId);
      const ids = [path.nodes[index]!.id, path.nodes[(index + 1) % path.nodes.length]!.id];
      start(from, ids, (to) => ({ name: 'moveNodes', args: { nodeIds: ids, by: subtract(to, from) } }));
    } else {
      chosen.value = { kind: 'operation', operationId: picked.operationId };
      if (!('role' in path))
        start(
          from,
          path.nodes.map(({ id }) => id),
          (to) => ({ name: 'movePath', args: { pathId: path.id, by: subtract(to, from) } }),
        );
    }
  }

  /** What dragging a guide gives: one beside an edge changes its distance, others move. */
  function guideDrag(guideId: string, from: Point): Drag['commandFor'] | undefined {
    const placed = placedGuides(site.part()).find(({ guide }) => guide.id === guideId);
    if (!placed) return undefined;
    const { guide, shape } = placed;
    if (guide.kind === 'circle')
      return (to) => ({ name: 'changeGuide', args: { guideId, changes: { radiusMm: distance(to, guide.at) } } });
    if (guide.kind === 'line')
      return (to) => ({
        name: 'changeGuide',
        args: { guideId, changes: { at: { x: guide.at.x + to.x - from.x, y: guide.at.y + to.y - from.y } } },
      });
    const offset = (p: Point): number =>
      shape.kind === 'circle'
        ? distance(p, shape.centre) - shape.radiusMm
        : (p.y - shape.through.y) * shape.direction.x - (p.x - shape.through.x) * shape.direction.y;
    return (to) => ({
      name: 'changeGuide',
      args: { guideId, changes: { byMm: guide.byMm + offset(to) - offset(from) } },
    });
  }

  /** Sets a guide beside the edge or guide under the pointer, ready to be dragged away from it; elsewhere a level one. */
  function startGuide(at: Point, picked: Picked | undefined): void {
    const edge = edgeUnder(picked, at);
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
    const command = guideDrag(guideId, at);
    if (command) drag.value = { from: at, anchor: at, except: new Set(), isImage: false, commandFor: command };
  }

  /** The run under the pointer: an edge, or the nearest run of a line. */
  function edgeUnder(
    picked: Picked | undefined,
    at: Point,
  ): { readonly pathId: string; readonly segmentId: string } | undefined {
    if (picked?.kind === 'segment') return { pathId: picked.pathId, segmentId: picked.segmentId };
    const path = picked?.kind === 'operation' ? findPath(site.part(), picked.pathId) : undefined;
    if (!path) return undefined;
    const near = path.segments
      .map((segment, index) => ({ segment, d: nearestOnCurve(curveOf(path, index), at).distance }))
      .reduce((a, b) => (b.d < a.d ? b : a));
    return { pathId: path.id, segmentId: near.segment.id };
  }

  function setFeature(kind: FeatureKind, at: Point, picked: Picked | undefined): void {
    const traits = featureTraits(kind);
    const edge =
      kind === 'stations' ? edgeUnder(picked, at) : picked?.kind === 'segment' ? edgeUnder(picked, at) : undefined;
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

  /** The handle of the chosen curve or arc under the pointer, as the command that dragging it gives. */
  function handleAt(at: Point): Drag['commandFor'] | undefined {
    const chosen = selection.segment.value;
    if (!chosen) return undefined;
    const { segment, path, index } = chosen;
    if (segment.kind === 'cubic') {
      if (distance(segment.control1, at) <= reach())
        return (to) => ({
          name: 'changeSegment',
          args: { segmentId: segment.id, to: { kind: 'cubic', control1: to, control2: segment.control2 } },
        });
      if (distance(segment.control2, at) <= reach())
        return (to) => ({
          name: 'changeSegment',
          args: { segmentId: segment.id, to: { kind: 'cubic', control1: segment.control1, control2: to } },
        });
    }
    if (segment.kind !== 'arc') return undefined;
    const { from, to: end } = curveOf(path, index);
    const chord = distance(from, end);
    const middle = {
      x: (from.x + end.x) / 2 + (segment.bulge * (end.y - from.y)) / 2,
      y: (from.y + end.y) / 2 - (segment.bulge * (end.x - from.x)) / 2,
    };
    if (distance(middle, at) > reach()) return undefined;
    return (to) => {
      const rise = ((to.x - from.x) * (end.y - from.y) - (to.y - from.y) * (end.x - from.x)) / chord; // to the right of the run
      return {
        name: 'changeSegment',
        args: { segmentId: segment.id, to: { kind: 'arc', bulge: Math.max(-20, Math.min(20, (2 * rise) / chord)) } },
      };
    };
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
    const nearest = curvesNear(pathsOf(site.part()), at, reach())
      .filter(({ path }) => !('role' in path))
      .map((one) => ({ ...one, near: nearestOnCurve(one.curve, at) }))
      .filter(({ near }) => near.distance <= reach())
      .sort((a, b) => a.near.distance - b.near.distance)[0];
    if (nearest)
      run({ name: 'trimLine', args: { segmentId: nearest.path.segments[nearest.index]!.id, t: nearest.near.t } });
    else work.message = 'Click a line on the part: outlines are not trimmed.';
  }

  function move(at: Point, event: PointerEvent): void {
    isSnapHeld.value = event.altKey;
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
