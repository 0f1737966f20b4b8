<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { boundsOf, distance, nearestOnCurve, subtract, svgPath, type Point } from '@grain-fold/core/geometry';
import { applyCommand, curveOf, curvesNear, findPath, fitSlots, pathsOf, pick, resolve, snap, traitsOf, type Fault, type Part, type PartCommand, type ResolveContext, type Snap } from '@grain-fold/core/drawing';
import { formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import MatCanvas from '../../components/MatCanvas.vue';
import PartCaptions from '../../components/PartCaptions.vue';
import PartMarks from '../../components/PartMarks.vue';
import { isTyping } from '../../composables/keys.ts';
import { gridSteps } from '../../composables/mat-view.ts';
import { useAirframe } from '../../stores/airframe.ts';
import { operationDraft } from './part-tools.ts';
import PartHandles from './PartHandles.vue';
import type { Selection } from './selection.ts';
import type { Drafting } from './use-drafting.ts';

const props = defineProps<{ part: Part; context: ResolveContext; faults: readonly Fault[]; drafting: Drafting; selection: Selection }>();
const emit = defineEmits<{ pointer: [at: Point, snapped: Snap] }>();

const REACH_PX = 9;
const work = useAirframe();
const mat = ref<InstanceType<typeof MatCanvas>>();
const pointer = shallowRef<Point>();
const snapped = shallowRef<Snap>();
const isSnapHeld = ref(false);

/** A drag under way: where it began and the command that the present place would give. */
interface Drag { readonly from: Point; readonly commandFor: (to: Point) => PartCommand; readonly except: ReadonlySet<string>; readonly anchor: Point }
const drag = shallowRef<Drag>();
const dragCommand = shallowRef<PartCommand>();
/** The part as it is cut: slots fitted to their plates. Ids are those of the part, so that commands meant for it fit. */
const fitted = computed(() => fitSlots(props.part, props.context));
const shown = computed(() => {
  if (!dragCommand.value) return fitted.value;
  const result = applyCommand(props.part, dragCommand.value);
  return result.ok ? fitSlots(result.part, props.context) : fitted.value;
});
const resolved = computed(() => resolve(shown.value, props.context));
const faulty = computed(() => new Set(props.faults.map(({ targetId }) => targetId).filter((id) => id !== undefined)));
/** Faults that the mat must point at; those of a captioned line show on its caption. */
const placed = computed(() => props.faults.filter(({ place, targetId }) => place && !props.part.operations.some(({ id }) => id === targetId)));
const fitTo = computed(() => (resolved.value.outer.length > 0 || resolved.value.openPaths.length > 0 ? resolved.value.bounds : { minX: -20, minY: -20, maxX: 300, maxY: 200 }));
watch(() => props.part.id, () => requestAnimationFrame(() => mat.value?.fit()), { flush: 'post' });

const pixelsPerMm = (): number => mat.value?.view.k ?? 1;
const reach = (): number => REACH_PX / pixelsPerMm();

function snapTo(at: Point, except?: ReadonlySet<string>): Snap {
  if (isSnapHeld.value) return { point: at, reason: 'free' };
  return snap(fitted.value, at, { reachMm: reach(), gridMm: gridSteps(work.unit, pixelsPerMm()).fineMm, except, more: props.drafting.points.value, from: props.drafting.isDrawing.value ? props.drafting.points.value.at(-1) : drag.value?.anchor });
}

function press(at: Point, event: PointerEvent): void {
  isSnapHeld.value = event.altKey;
  const { drafting, selection } = props;
  if (drafting.isDrawing.value) {
    drafting.addPoint(snapTo(at).point, reach());
    return;
  }
  const picked = pick(fitted.value, resolved.value, at, reach());
  if (drafting.tool.value === 'bevel') {
    bevelEdge(picked);
    return;
  }
  const handle = handleAt(at);
  if (handle) {
    drag.value = { from: at, anchor: at, except: new Set(), commandFor: handle };
    return;
  }
  if (drafting.tool.value === 'measure') {
    const place = snapTo(at).point;
    const nodeId = pathsOf(fitted.value).flatMap(({ nodes }) => nodes).find((node) => distance(node, place) < 1e-6)?.id;
    const now = selection.measured.value;
    selection.measured.value = !now || now.to ? { from: place, fromNodeId: nodeId } : { ...now, to: place, toNodeId: nodeId };
    return;
  }
  if (drafting.tool.value === 'trim') {
    trimAt(at);
    return;
  }
  if (!picked) {
    selection.chosen.value = undefined;
    return;
  }
  if (event.shiftKey && picked.kind !== 'node') {
    const ids = selection.paths.value.map(({ id }) => id);
    selection.chosen.value = { kind: 'paths', ids: ids.includes(picked.pathId) ? ids.filter((id) => id !== picked.pathId) : [...ids, picked.pathId] };
    return;
  }
  if (picked.kind === 'node') startNodes(picked.nodeId, at, event.shiftKey);
  else if (picked.kind === 'segment') {
    selection.chosen.value = picked;
    const path = findPath(props.part, picked.pathId)!;
    const index = path.segments.findIndex(({ id }) => id === picked.segmentId);
    const ids = [path.nodes[index]!.id, path.nodes[(index + 1) % path.nodes.length]!.id];
    drag.value = { from: at, anchor: at, except: new Set(ids), commandFor: (to) => ({ name: 'moveNodes', args: { nodeIds: ids, by: subtract(to, at) } }) };
  } else {
    selection.chosen.value = { kind: 'operation', operationId: picked.operationId };
    const path = findPath(props.part, picked.pathId)!;
    if ('role' in path) return;
    drag.value = { from: at, anchor: at, except: new Set(path.nodes.map(({ id }) => id)), commandFor: (to) => ({ name: 'movePath', args: { pathId: path.id, by: subtract(to, at) } }) };
  }
}

function startNodes(nodeId: string, at: Point, adds: boolean): void {
  const { chosen } = props.selection;
  const before = chosen.value?.kind === 'nodes' ? chosen.value.ids : [];
  const ids = before.includes(nodeId) && !adds ? before : adds ? [...new Set([...before, nodeId])] : [nodeId];
  chosen.value = { kind: 'nodes', ids };
  const anchor = [...fitted.value.contours, ...fitted.value.lines].flatMap(({ nodes }) => nodes).find(({ id }) => id === nodeId)!;
  drag.value = { from: at, anchor, except: new Set(ids), commandFor: (to) => ({ name: 'moveNodes', args: { nodeIds: ids, by: subtract(to, anchor) } }) };
}

/** The handle of the chosen curve or arc under the pointer, as the command that dragging it gives. */
function handleAt(at: Point): ((to: Point) => PartCommand) | undefined {
  const chosen = props.selection.segment.value;
  if (!chosen) return undefined;
  const { segment, path, index } = chosen;
  if (segment.kind === 'cubic') {
    if (distance(segment.control1, at) <= reach()) return (to) => ({ name: 'changeSegment', args: { segmentId: segment.id, to: { kind: 'cubic', control1: to, control2: segment.control2 } } });
    if (distance(segment.control2, at) <= reach()) return (to) => ({ name: 'changeSegment', args: { segmentId: segment.id, to: { kind: 'cubic', control1: segment.control1, control2: to } } });
  }
  const curve = curveOf(path, index);
  if (segment.kind !== 'arc') return undefined;
  const chordLength = distance(curve.from, curve.to);
  const middle = arcMiddle(curve.from, curve.to, segment.bulge);
  if (distance(middle, at) > reach()) return undefined;
  return (to) => {
    const along = { x: (curve.to.x - curve.from.x) / chordLength, y: (curve.to.y - curve.from.y) / chordLength };
    const rise = (to.x - curve.from.x) * along.y - (to.y - curve.from.y) * along.x; // to the right of the run
    return { name: 'changeSegment', args: { segmentId: segment.id, to: { kind: 'arc', bulge: Math.max(-20, Math.min(20, (2 * rise) / chordLength)) } } };
  };
}
function arcMiddle(from: Point, to: Point, bulge: number): Point {
  return { x: (from.x + to.x) / 2 + (bulge * (to.y - from.y)) / 2, y: (from.y + to.y) / 2 - (bulge * (to.x - from.x)) / 2 };
}

function bevelEdge(picked: ReturnType<typeof pick>): void {
  if (picked?.kind !== 'segment') {
    work.message = 'Click an edge of the outline or of a hole.';
    return;
  }
  if (work.run(props.part.id, { name: 'addOperation', args: { on: { pathId: picked.pathId, segmentIds: [picked.segmentId] }, operation: operationDraft('bevel') } })) {
    const added = work.airframe?.parts.find(({ id }) => id === props.part.id)?.operations.at(-1);
    if (added) props.selection.chosen.value = { kind: 'operation', operationId: added.id };
    props.drafting.start('select');
  }
}

/** Takes out the stretch of a line under the pointer. */
function trimAt(at: Point): void {
  const nearest = curvesNear(fitted.value, at, reach()).filter(({ path }) => !('role' in path)).map((one) => ({ ...one, near: nearestOnCurve(one.curve, at) }))
    .filter(({ near }) => near.distance <= reach()).sort((a, b) => a.near.distance - b.near.distance)[0];
  if (nearest) work.run(props.part.id, { name: 'trimLine', args: { segmentId: nearest.path.segments[nearest.index]!.id, t: nearest.near.t } });
  else work.message = 'Click a line on the part: outlines are not trimmed.';
}

function move(at: Point, event: PointerEvent): void {
  isSnapHeld.value = event.altKey;
  const now = drag.value;
  const grip = now ? { x: at.x + now.anchor.x - now.from.x, y: at.y + now.anchor.y - now.from.y } : at;
  snapped.value = snapTo(grip, now?.except);
  pointer.value = snapped.value.point;
  emit('pointer', pointer.value, snapped.value);
  if (now && (dragCommand.value || distance(at, now.from) > 3 / pixelsPerMm())) dragCommand.value = now.commandFor(pointer.value);
}
function release(): void {
  if (dragCommand.value) work.run(props.part.id, dragCommand.value);
  drag.value = undefined;
  dragCommand.value = undefined;
}
function double(at: Point): void {
  const { drafting } = props;
  if (drafting.isDrawing.value) {
    if (drafting.canEnd.value && drafting.tool.value !== 'outline') drafting.end();
    return;
  }
  const picked = pick(fitted.value, resolved.value, at, reach());
  if (picked?.kind === 'segment') work.run(props.part.id, { name: 'insertNode', args: { segmentId: picked.segmentId, t: picked.t } });
}
useEventListener(window, 'keydown', (event) => {
  if (event.key === 'Escape' && drag.value && !isTyping(event)) {
    drag.value = undefined;
    dragCommand.value = undefined;
  }
});

const draftCurves = computed(() => props.drafting.preview(props.drafting.points.value.length > 0 ? pointer.value : undefined));
const draftFigure = computed(() => {
  const last = draftCurves.value.at(-1), from = props.drafting.points.value.at(-1);
  if (!last || !from || !pointer.value) return '';
  const angle = (Math.atan2(pointer.value.y - from.y, pointer.value.x - from.x) * 180) / Math.PI;
  return `${formatLengthWithUnit(distance(from, pointer.value), work.unit)} at ${formatAngle(angle)}`;
});
const dragFigure = computed(() => {
  const now = drag.value;
  if (!now || !dragCommand.value || !pointer.value) return '';
  const by = subtract(pointer.value, now.anchor);
  return `${by.x >= 0 ? '→' : '←'} ${formatLengthWithUnit(Math.abs(by.x), work.unit)}  ${by.y >= 0 ? '↑' : '↓'} ${formatLengthWithUnit(Math.abs(by.y), work.unit)}`;
});
const lengthBar = computed(() => {
  if (resolved.value.outer.length === 0) return undefined;
  const box = boundsOf(resolved.value.outer);
  return { box, text: formatLengthWithUnit(box.maxX - box.minX, work.unit) };
});
const measure = computed(() => {
  const now = props.selection.measured.value;
  const to = now?.to ?? (props.drafting.tool.value === 'measure' ? pointer.value : undefined);
  return now && to ? { from: now.from, to } : undefined;
});
const cursor = computed(() => (props.drafting.tool.value === 'select' ? (drag.value ? 'grabbing' : 'default') : 'crosshair'));
const describe = computed(() => `${props.part.name}: ${props.part.contours.length} contours, ${props.part.operations.map(({ kind }) => traitsOf(kind).word).join(', ') || 'no lines'}`);
const REASON_WORDS = {
  end: 'on a point', crossing: 'on a crossing', middle: 'on the middle', centre: 'on the centre', tangent: 'touching', square: 'square to it', edge: 'on an edge', grid: 'on the grid', free: '',
} as const;
defineExpose({ fit: () => mat.value?.fit() });
</script>

<template>
  <MatCanvas ref="mat" :fit-to="fitTo" :unit="work.unit" :label="describe" :cursor="cursor" :arrows-pan="!selection.chosen.value" @press="press" @move="move" @release="release" @double="double">
    <template #world>
      <PartMarks :part="resolved" :faulty="faulty" :chosen="selection.operation.value?.id" />
      <path v-if="draftCurves.length > 0" :d="svgPath(draftCurves, false)" fill="none" stroke="var(--marigold)" stroke-width="2.2" vector-effect="non-scaling-stroke" />
    </template>
    <template #screen="{ toScreen }">
      <g v-if="lengthBar" class="figures" stroke="#cfdcdb" fill="#fff" pointer-events="none">
        <path :d="`M${toScreen({ x: lengthBar.box.minX, y: 0 }).x} ${toScreen({ x: 0, y: lengthBar.box.minY }).y + 24}v12m0-6H${toScreen({ x: lengthBar.box.maxX, y: 0 }).x}m0-6v12`" fill="none" />
        <g :transform="`translate(${(toScreen({ x: lengthBar.box.minX, y: 0 }).x + toScreen({ x: lengthBar.box.maxX, y: 0 }).x) / 2} ${toScreen({ x: 0, y: lengthBar.box.minY }).y + 30})`">
          <rect :x="-lengthBar.text.length * 4.4 - 6" y="-10" :width="lengthBar.text.length * 8.8 + 12" height="20" fill="var(--mat)" stroke="none" />
          <text text-anchor="middle" y="6" font-size="17" font-weight="600" stroke="none">{{ lengthBar.text }}</text>
        </g>
      </g>
      <PartCaptions :part="resolved" :to-screen="toScreen" :faulty="faulty" />
      <g v-if="measure" pointer-events="none" class="figures">
        <path :d="`M${toScreen(measure.from).x} ${toScreen(measure.from).y}L${toScreen(measure.to).x} ${toScreen(measure.to).y}`" stroke="var(--marigold)" stroke-width="2" stroke-dasharray="6 4" />
        <circle v-for="(place, index) in [measure.from, measure.to]" :key="index" :cx="toScreen(place).x" :cy="toScreen(place).y" r="5" fill="var(--foam)" stroke="var(--marigold)" stroke-width="2" />
        <text class="live" :x="(toScreen(measure.from).x + toScreen(measure.to).x) / 2 + 8" :y="(toScreen(measure.from).y + toScreen(measure.to).y) / 2 - 8" font-size="16" font-weight="600" fill="#fff">{{ formatLengthWithUnit(distance(measure.from, measure.to), work.unit) }}</text>
      </g>
      <PartHandles :part="shown" :to-screen="toScreen" :selection="selection" :drafting="drafting" />
      <g v-for="(fault, index) in placed" :key="index" :transform="`translate(${toScreen(fault.place!).x} ${toScreen(fault.place!).y})`" pointer-events="none">
        <circle r="10" fill="none" stroke="var(--brick)" stroke-width="2.5" /><circle r="10" fill="none" stroke="#fff" stroke-width="0.8" />
      </g>
      <g v-if="pointer && snapped && snapped.reason !== 'free' && (drafting.isDrawing.value || dragCommand || drafting.tool.value === 'measure')" :transform="`translate(${toScreen(pointer).x} ${toScreen(pointer).y})`" pointer-events="none">
        <path d="M-7 0H7M0-7V7" stroke="var(--marigold)" stroke-width="2" />
        <text x="12" y="-10" class="figures live" font-size="13" font-weight="600" fill="#ffd9a1">{{ REASON_WORDS[snapped.reason] }}</text>
      </g>
      <text v-if="pointer && (draftFigure || dragFigure)" class="figures live" :x="toScreen(pointer).x + 12" :y="toScreen(pointer).y + 22" font-size="15" font-weight="600" fill="#fff" pointer-events="none">{{ draftFigure || dragFigure }}</text>
    </template>
    <slot />
  </MatCanvas>
</template>

<style scoped>
.live { paint-order: stroke; stroke: var(--mat); stroke-width: 4px; }
</style>
