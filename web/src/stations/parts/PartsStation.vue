<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, onBeforeUnmount, shallowRef, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { times, type Point } from '@grain-fold/core/geometry';
import { emptyPart, resolve, type Fault, type Snap } from '@grain-fold/core/drawing';
import { contextOf } from '@grain-fold/core/airframe';
import { materialsOf } from '@grain-fold/core/stock';
import { formatLength } from '@grain-fold/core/units';
import TrayBar from '../../components/TrayBar.vue';
import { isTyping } from '../../composables/keys.ts';
import { useAirframe } from '../../stores/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import EntryStrip from './EntryStrip.vue';
import PartMat from './PartMat.vue';
import PartRack from './PartRack.vue';
import PartSlip from './PartSlip.vue';
import { TOOLS, toolTraits, type Tool } from './part-tools.ts';
import { useSelection } from './selection.ts';
import { useDrafting } from './use-drafting.ts';

const work = useAirframe();
const figures = useFigures();
const route = useRoute();
const router = useRouter();
const pointer = shallowRef<Point>();
const snapped = shallowRef<Snap>();
const entry = useTemplateRef<InstanceType<typeof EntryStrip>>('entry');

const airframe = computed(() => work.airframe!);
const part = computed(() => airframe.value.parts.find(({ id }) => id === route.params.partId) ?? airframe.value.parts[0]);
const context = computed(() => part.value && contextOf(airframe.value, part.value));
const resolved = computed(() => part.value && context.value && resolve(part.value, context.value));
/** Faults are found at the airframe's scale; the mat shows the part as drawn, so their places come back to it. */
const faults = computed<readonly Fault[]>(() => {
  const own = part.value ? figures.faults.get(part.value.id) ?? [] : [];
  const scale = part.value?.sizing === 'fixed' ? 1 : airframe.value.settings.scale;
  return scale === 1 ? own : own.map((fault) => (fault.place ? { ...fault, place: times(fault.place, 1 / scale) } : fault));
});
const selection = useSelection(part);
const drafting = useDrafting(part);
const hint = computed(() => toolTraits(drafting.tool.value)?.hint ?? (selection.chosen.value ? 'Drag to move, or type its numbers on the slip' : 'Click a point, an edge or a line; double-click an edge to insert a point'));
const REASON_WORDS = { end: 'a point', crossing: 'a crossing', middle: 'a middle', centre: 'a centre', tangent: 'a touch', square: 'a square meeting', edge: 'an edge', grid: 'the grid', free: '' } as const;

function choose(partId: string): Promise<unknown> {
  drafting.keep();
  return router.replace({ name: 'parts', params: { ...route.params, partId } });
}
onBeforeUnmount(() => drafting.keep());
watch(() => part.value?.id, () => {
  selection.chosen.value = undefined;
  selection.measured.value = undefined;
  drafting.start('select');
  work.message = '';
});

function startTool(tool: Tool): void {
  if (!part.value) return;
  drafting.keep();
  drafting.start(drafting.tool.value === tool ? 'select' : tool);
  selection.chosen.value = undefined;
  work.message = '';
}
async function addPart(): Promise<void> {
  drafting.keep();
  const id = work.freshId('p');
  const group = part.value?.group ?? 'Parts';
  const number = airframe.value.parts.length + 1;
  work.setParts('New part', [...airframe.value.parts, emptyPart(id, `Part ${number}`, materialsOf(airframe.value.boards)[0] ?? 'faced board', group)]);
  await choose(id);
  drafting.start('outline');
}
async function duplicatePart(): Promise<void> {
  drafting.keep();
  if (!part.value) return;
  const copy = { ...part.value, id: work.freshId('p'), name: `${part.value.name} copy`.slice(0, 80) };
  const at = airframe.value.parts.indexOf(part.value);
  work.setParts(`Duplicate ${part.value.name}`, airframe.value.parts.toSpliced(at + 1, 0, copy));
  await choose(copy.id);
}
async function removePart(): Promise<void> {
  const gone = part.value;
  if (!gone) return;
  const at = airframe.value.parts.indexOf(gone);
  work.setParts(`Remove ${gone.name}`, airframe.value.parts.filter((one) => one !== gone));
  const next = airframe.value.parts[Math.min(at, airframe.value.parts.length - 1)];
  if (next) await choose(next.id);
}
/** Puts a part before another one and into its group; before none, at the end of its own. */
function movePart(id: string, beforeId: string | undefined): void {
  const moving = airframe.value.parts.find((one) => one.id === id);
  if (!moving) return;
  const rest = airframe.value.parts.filter((one) => one !== moving);
  const before = rest.find((one) => one.id === beforeId);
  const lastOfGroup = rest.findLastIndex(({ group }) => group === moving.group);
  const at = before ? rest.indexOf(before) : lastOfGroup + 1 || rest.length;
  work.setParts(`Move ${moving.name} in the list`, rest.toSpliced(at, 0, before ? { ...moving, group: before.group } : moving));
}
function mend(fault: Fault): void {
  if ('command' in fault.mend) work.run(fault.partId, fault.mend.command);
  else if (fault.mend.action.name === 'startOutline') startTool('outline');
  else work.act(fault.mend.action);
}

const mirror = (): void => { if (part.value) work.run(part.value.id, { name: 'mirrorPart', args: { across: 'vertical' } }); };
function removeChosen(): void {
  const chosen = selection.chosen.value;
  if (!part.value || !chosen) return;
  if (chosen.kind === 'operation') work.run(part.value.id, { name: 'removeOperation', args: { operationId: chosen.operationId } });
  else if (chosen.kind === 'nodes') work.runAll(part.value.id, chosen.ids.map((nodeId) => ({ name: 'removeNode', args: { nodeId } })), `Remove ${chosen.ids.length} points`);
  else if (chosen.kind === 'paths') work.runAll(part.value.id, chosen.ids.map((pathId) => ({ name: 'removePath', args: { pathId } })), `Remove ${chosen.ids.length} lines`);
  else work.run(part.value.id, { name: 'removePath', args: { pathId: chosen.pathId } });
  selection.chosen.value = undefined;
}
function nudge(event: KeyboardEvent): boolean {
  const steps: Readonly<Record<string, readonly [number, number]>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
  const step = steps[event.key];
  const segment = selection.segment.value, operation = selection.operation.value;
  if (!step || !part.value) return false;
  const size = (work.unit === 'in' ? 25.4 / 16 : 1) * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
  const by = { x: step[0] * size, y: step[1] * size };
  const nodeIds = segment ? [segment.path.nodes[segment.index]!.id, segment.path.nodes[(segment.index + 1) % segment.path.nodes.length]!.id] : selection.nodes.value.map(({ id }) => id);
  if (nodeIds.length > 0) return work.run(part.value.id, { name: 'moveNodes', args: { nodeIds, by } });
  if (selection.chosen.value?.kind === 'paths') return work.run(part.value.id, { name: 'arrangePaths', args: { pathIds: selection.chosen.value.ids, motion: { kind: 'move', by }, copies: 0 } });
  if (operation && part.value.lines.some(({ id }) => id === operation.on.pathId)) return work.run(part.value.id, { name: 'movePath', args: { pathId: operation.on.pathId, by } });
  return false;
}

useEventListener(window, 'keydown', (event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || !work.airframe) return;
  const target = event.target as HTMLElement;
  const isOnControl = target.closest('button, a, summary, [role="option"], select') !== null;
  const key = event.key.toUpperCase();
  const tool = TOOLS.find((one) => one.key === key)?.tool;
  if (key === 'ESCAPE') {
    if (selection.measured.value) selection.measured.value = undefined;
    else if (drafting.tool.value !== 'select') drafting.backOut();
    else selection.chosen.value = undefined;
  } else if (key === 'DELETE' || key === 'BACKSPACE') removeChosen();
  else if (event.key.startsWith('Arrow') && !isOnControl) { if (nudge(event)) event.preventDefault(); }
  else if (key === 'ENTER' && drafting.isDrawing.value && !isOnControl) {
    event.preventDefault();
    void entry.value?.focus();
  } else if (event.altKey) return;
  else if (tool) startTool(tool);
  else if (key === 'N') void addPart();
  else if (key === 'R') mirror();
  else if (key === 'A' && drafting.isDrawing.value) drafting.runKind.value = drafting.runKind.value === 'arc' ? 'line' : 'arc';
  else if (key === 'S' && drafting.isDrawing.value) drafting.runKind.value = drafting.runKind.value === 'cubic' ? 'line' : 'cubic';
});
</script>

<template>
  <div class="station">
    <div class="station-body">
      <div class="drawing">
        <PartMat v-if="part && context" :part="part" :context="context" :faults="faults" :drafting="drafting" :selection="selection" @pointer="(at, snap) => { pointer = at; snapped = snap; }">
          <div class="mat-tools" role="toolbar" aria-label="Drawing tools">
            <button v-for="one in TOOLS" :key="one.tool" type="button" :aria-pressed="drafting.tool.value === one.tool" :title="one.hint" @click="startTool(one.tool)"><kbd>{{ one.key }}</kbd> {{ one.word }}</button>
          </div>
          <EntryStrip v-if="drafting.isDrawing.value" ref="entry" :drafting="drafting" :pointer="pointer" />
        </PartMat>
        <div v-else class="nothing"><div class="empty"><h2>Draw the first part</h2><p>A part is an outline with its folds, bevels and holes. Draw it corner by corner, with the pointer or by typing lengths and angles.</p><button type="button" class="button strong" style="background: var(--foam); color: var(--ink)" @click="addPart">New part</button></div></div>
        <PartRack v-if="airframe.parts.length > 0" :airframe="airframe" :chosen-id="part?.id" @choose="choose" @add="addPart" @move="movePart" />
      </div>
      <PartSlip v-if="part && resolved" :part="part" :resolved="resolved" :faults="faults" :selection="selection" :is-measuring="drafting.tool.value === 'measure'" @mend="mend" @duplicate="duplicatePart" @remove="removePart" />
    </div>
    <TrayBar>
      <span v-if="pointer">across <b>{{ formatLength(pointer.x, work.unit) }}</b> up <b>{{ formatLength(pointer.y, work.unit) }}</b> {{ work.unit }}</span>
      <span v-if="snapped && REASON_WORDS[snapped.reason]">on <b>{{ REASON_WORDS[snapped.reason] }}</b></span>
      <span>{{ hint }}</span>
      <span v-if="drafting.isDrawing.value"><kbd>Enter</kbd> type it</span>
    </TrayBar>
  </div>
</template>

<style scoped>
.drawing { flex: 1; min-width: 0; display: flex; flex-direction: column; }
.nothing { flex: 1; background: var(--mat); display: flex; }
</style>
