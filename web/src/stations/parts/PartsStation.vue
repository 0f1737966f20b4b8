<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, nextTick, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { contextOf } from '@grain-fold/core/airframe';
import type { Fault } from '@grain-fold/core/checks';
import { copiedFrom, type CopiedPaths } from '@grain-fold/core/editing';
import type { FeatureKind } from '@grain-fold/core/features';
import { times, type Point } from '@grain-fold/core/geometry';
import { emptyPart } from '@grain-fold/core/part';
import type { Snap } from '@grain-fold/core/paths';
import type { Picked } from '@grain-fold/core/pointing';
import { existsIn, expandPart, resolve } from '@grain-fold/core/resolve';
import { materialsOf } from '@grain-fold/core/stock';
import { formatLength } from '@grain-fold/core/units';
import TrayBar from '../../components/TrayBar.vue';
import { isTyping } from '../../composables/keys.ts';
import { useAirframe } from '../../stores/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import EntryStrip from './EntryStrip.vue';
import FeatureMenu from './FeatureMenu.vue';
import { hoverWords } from './hover-words.ts';
import PartMat from './PartMat.vue';
import PartRack from './PartRack.vue';
import PartSlip from './PartSlip.vue';
import FoldedMat from './folded/FoldedMat.vue';
import FoldSection from './folded/FoldSection.vue';
import FoldDefaultsSection from './folded/FoldDefaultsSection.vue';
import FoldSizes from './folded/FoldSizes.vue';
import StandingSection from './folded/StandingSection.vue';
import { useFoldView } from './folded/use-fold-view.ts';
import RackEditBar from './RackEditBar.vue';
import StripSection from './StripSection.vue';
import VariantBar from './VariantBar.vue';
import { featureOfTool, toolHint, TOOLS, type Tool } from './part-tools.ts';
import { useSelection, type Chosen } from './selection.ts';
import { useDrafting } from './use-drafting.ts';

const work = useAirframe();
const figures = useFigures();
const route = useRoute();
const router = useRouter();
const pointer = shallowRef<Point>();
const snapped = shallowRef<Snap>();
const hovered = shallowRef<Picked>();
const isBack = ref(false);
const isFeatureMenuOpen = ref(false);
const isFolded = ref(false);
const beneathId = ref<string>();
/** Parts picked in the rack to be changed together. */
const picked = shallowRef<readonly string[]>([]);
const copied = shallowRef<CopiedPaths>();
const copiedFromPartId = shallowRef<string>();
const NOTHING_COPIED: CopiedPaths = { contours: [], lines: [], operations: [], features: [] };
/** How far beside its original a copy comes in the part that it was copied from, in mm. */
const PASTE_STEP = { x: 10, y: 10 };
const entry = useTemplateRef<InstanceType<typeof EntryStrip>>('entry');

const airframe = computed(() => work.airframe!);
const part = computed(
  () => airframe.value.parts.find(({ id }) => id === route.params.partId) ?? airframe.value.parts[0],
);
const context = computed(() => part.value && contextOf(airframe.value, part.value));
const resolved = computed(() => part.value && context.value && resolve(part.value, context.value));
/** Faults are found at the airframe's scale; the mat shows the part as drawn, so their places come back to it. */
const faults = computed<readonly Fault[]>(() => {
  const own = part.value ? (figures.faults.get(part.value.id) ?? []) : [];
  const scale = part.value?.sizing === 'fixed' ? 1 : airframe.value.settings.scale;
  return scale === 1
    ? own
    : own.map((fault) => (fault.place ? { ...fault, place: times(fault.place, 1 / scale) } : fault));
});
const folding = useFoldView(
  () => work.airframe,
  () => part.value?.id,
  () => isFolded.value,
);
const hasOutline = computed(() => (resolved.value?.outer.length ?? 0) > 0);
const folded = computed(() => (isFolded.value && hasOutline.value ? folding.view.value : undefined));
const selection = useSelection(part);
const drafting = useDrafting(part);
const beneath = computed(() => {
  const under =
    beneathId.value === part.value?.id ? undefined : airframe.value.parts.find(({ id }) => id === beneathId.value);
  if (!under) return undefined;
  const around = contextOf(airframe.value, under);
  return { part: expandPart(under, around), resolved: resolve(under, around) };
});
const pickedParts = computed(() => airframe.value.parts.filter(({ id }) => picked.value.includes(id)));
const hint = computed(
  () =>
    (part.value && hoverWords(part.value, drafting.tool.value, hovered.value)) ||
    (toolHint(drafting.tool.value) ??
      (selection.chosen.value
        ? 'Drag to move, or type its numbers on the slip'
        : 'Click a point, an edge or a line; double-click a number to type it')),
);
const REASON_WORDS = {
  end: 'a point',
  crossing: 'a crossing',
  middle: 'a middle',
  centre: 'a centre',
  tangent: 'a touch',
  square: 'a square meeting',
  guide: 'a guide',
  'other part': 'the part beneath',
  edge: 'an edge',
  grid: 'the grid',
  free: '',
} as const;

function choose(partId: string): Promise<unknown> {
  drafting.keep();
  return router.replace({ name: 'parts', params: { ...route.params, partId } });
}
onBeforeUnmount(() => drafting.keep());
watch(
  () => part.value?.id,
  () => {
    selection.chosen.value = undefined;
    selection.measured.value = undefined;
    hovered.value = undefined;
    drafting.start('select');
    work.message = '';
  },
);

function startTool(tool: Tool): void {
  isFeatureMenuOpen.value = false;
  if (!part.value) return;
  drafting.keep();
  drafting.start(drafting.tool.value === tool ? 'select' : tool);
  selection.chosen.value = undefined;
  work.message = '';
}
const startFeature = (kind: FeatureKind): void => startTool(`feature ${kind}`);
/** Folds the part on the mat, or lays it flat again. */
function toggleFolded(): void {
  drafting.keep();
  drafting.start('select');
  isFolded.value = !isFolded.value && hasOutline.value;
  if (!hasOutline.value) work.message = 'Draw an outline first: then it can be folded.';
}
/** What was picked on the folded model, which may be of another part. */
async function pickFolded(partId: string, chosen: Chosen): Promise<void> {
  if (partId !== part.value?.id) await choose(partId);
  await nextTick();
  selection.chosen.value = chosen;
}
function copy(): void {
  if (!part.value) return;
  copiedFromPartId.value = part.value.id;
  copied.value = copiedFrom(
    part.value,
    selection.paths.value.map(({ id }) => id),
    selection.feature.value ? [selection.feature.value.id] : [],
  );
  const count = copied.value.contours.length + copied.value.lines.length + copied.value.features.length;
  work.message = count === 0 ? 'Choose lines, holes or a feature to copy first.' : '';
}
/** Puts what was copied where it lay, a step aside when it is there already. */
function paste(): void {
  if (!part.value) return;
  const isHere = copiedFromPartId.value === part.value.id; // ids are a part's own, so they do not tell
  if (
    work.run(part.value.id, {
      name: 'pastePaths',
      args: { copied: copied.value ?? NOTHING_COPIED, by: isHere ? PASTE_STEP : { x: 0, y: 0 } },
    })
  )
    selection.chosen.value = undefined;
}
async function addPart(): Promise<void> {
  drafting.keep();
  const id = work.freshId('p');
  const group = part.value?.group ?? 'Parts';
  const number = airframe.value.parts.length + 1;
  work.setParts('New part', [
    ...airframe.value.parts,
    emptyPart(id, `Part ${number}`, materialsOf(airframe.value.boards)[0] ?? 'faced board', group),
  ]);
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
  work.setParts(
    `Remove ${gone.name}`,
    airframe.value.parts.filter((one) => one !== gone),
  );
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
  work.setParts(
    `Move ${moving.name} in the list`,
    rest.toSpliced(at, 0, before ? { ...moving, group: before.group } : moving),
  );
}
function mend(fault: Fault): void {
  if ('command' in fault.mend) work.run(fault.partId, fault.mend.command);
  else if (fault.mend.action.name === 'startOutline') startTool('outline');
  else work.act(fault.mend.action);
}

const mirror = (): void => {
  if (part.value) work.run(part.value.id, { name: 'mirrorPart', args: { across: 'vertical' } });
};
function removeChosen(): void {
  const chosen = selection.chosen.value;
  if (!part.value || !chosen) return;
  if (chosen.kind === 'operation')
    work.run(part.value.id, { name: 'removeOperation', args: { operationId: chosen.operationId } });
  else if (chosen.kind === 'feature')
    work.run(part.value.id, { name: 'removeFeature', args: { featureId: chosen.featureId } });
  else if (chosen.kind === 'guide') work.run(part.value.id, { name: 'removeGuide', args: { guideId: chosen.guideId } });
  else if (chosen.kind === 'nodes')
    work.runAll(
      part.value.id,
      chosen.ids.map((nodeId) => ({ name: 'removeNode', args: { nodeId } })),
      `Remove ${chosen.ids.length} points`,
    );
  else if (chosen.kind === 'paths')
    work.runAll(
      part.value.id,
      chosen.ids.map((pathId) => ({ name: 'removePath', args: { pathId } })),
      `Remove ${chosen.ids.length} lines`,
    );
  else work.run(part.value.id, { name: 'removePath', args: { pathId: chosen.pathId } });
  selection.chosen.value = undefined;
}
function nudge(event: KeyboardEvent): boolean {
  const steps: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  };
  const step = steps[event.key];
  const segment = selection.segment.value,
    operation = selection.operation.value;
  if (!step || !part.value) return false;
  const size = (work.unit === 'in' ? 25.4 / 16 : 1) * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
  const by = { x: step[0] * size, y: step[1] * size };
  const nodeIds = segment
    ? [segment.path.nodes[segment.index]!.id, segment.path.nodes[(segment.index + 1) % segment.path.nodes.length]!.id]
    : selection.nodes.value.map(({ id }) => id);
  if (nodeIds.length > 0) return work.run(part.value.id, { name: 'moveNodes', args: { nodeIds, by } });
  if (selection.chosen.value?.kind === 'paths')
    return work.run(part.value.id, {
      name: 'arrangePaths',
      args: { pathIds: selection.chosen.value.ids, motion: { kind: 'move', by }, copies: 0 },
    });
  const feature = selection.feature.value,
    guide = selection.guide.value;
  if (feature) return work.run(part.value.id, { name: 'moveFeature', args: { featureId: feature.id, by } });
  if (guide)
    return work.run(part.value.id, {
      name: 'changeGuide',
      args: {
        guideId: guide.id,
        changes:
          guide.kind === 'beside'
            ? { byMm: guide.byMm + by.x + by.y }
            : { at: { x: guide.at.x + by.x, y: guide.at.y + by.y } },
      },
    });
  if (operation && part.value.lines.some(({ id }) => id === operation.on.pathId))
    return work.run(part.value.id, { name: 'movePath', args: { pathId: operation.on.pathId, by } });
  return false;
}

/** While something is drawn, a figure starts its typed entry and chooses no station. */
useEventListener(
  window,
  'keydown',
  (event) => {
    if (
      !drafting.isDrawing.value ||
      isTyping(event) ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      !/^[\d.=]$/.test(event.key)
    )
      return;
    event.preventDefault();
    event.stopImmediatePropagation();
    void entry.value?.focus(event.key);
  },
  { capture: true },
);
useEventListener(window, 'keydown', (event) => {
  if (isTyping(event) || !work.airframe) return;
  if (
    (event.ctrlKey || event.metaKey) &&
    !event.shiftKey &&
    !event.altKey &&
    window.getSelection()?.toString() === ''
  ) {
    if (event.key === 'c') copy();
    else if (event.key === 'v') paste();
  }
  if (event.ctrlKey || event.metaKey) return;
  const target = event.target as HTMLElement;
  const isOnControl = target.closest('button, a, summary, [role="option"], select') !== null;
  const key = event.key.toUpperCase();
  const tool = isFolded.value ? undefined : TOOLS.find((one) => one.key === key)?.tool;
  if (key === 'ESCAPE') {
    if (isFeatureMenuOpen.value) isFeatureMenuOpen.value = false;
    else if (selection.measured.value) selection.measured.value = undefined;
    else if (drafting.tool.value !== 'select') drafting.backOut();
    else selection.chosen.value = undefined;
  } else if (key === 'DELETE' || key === 'BACKSPACE') removeChosen();
  else if (event.key.startsWith('Arrow') && !isOnControl && !isFolded.value) {
    if (nudge(event)) event.preventDefault();
  } else if (key === 'ENTER' && drafting.isDrawing.value && !isOnControl) {
    event.preventDefault();
    void entry.value?.focus();
  } else if (event.altKey) return;
  else if (tool) startTool(tool);
  else if (key === 'N') void addPart();
  else if (key === 'E' && !isFolded.value) isFeatureMenuOpen.value = !isFeatureMenuOpen.value;
  else if (key === 'J' && !isFolded.value) isBack.value = !isBack.value;
  else if (key === 'U') toggleFolded();
  else if (key === 'R') mirror();
  else if (key === 'A' && drafting.isDrawing.value)
    drafting.runKind.value = drafting.runKind.value === 'arc' ? 'line' : 'arc';
  else if (key === 'S' && drafting.isDrawing.value)
    drafting.runKind.value = drafting.runKind.value === 'cubic' ? 'line' : 'cubic';
});
</script>

<template>
  <div class="station">
    <div class="station-body">
      <div class="drawing">
        <FoldedMat
          v-if="part && folded"
          :part="part"
          :view="folded"
          :selection="selection"
          @extent="folding.extent.value = $event"
          @pick="pickFolded"
        >
          <div class="mat-tools" role="toolbar" aria-label="Folded part">
            <button type="button" aria-pressed="true" title="Back to the flat drawing" @click="isFolded = false">
              <kbd>U</kbd> folded</button
            ><VariantBar class="variants" />
          </div>
          <p v-if="folding.message.value" class="left-out" role="alert">{{ folding.message.value }}</p>
        </FoldedMat>
        <div v-else-if="isFolded && part && hasOutline" class="nothing">
          <p class="folding" role="status">{{ folding.message.value || `Folding ${part.name}` }}</p>
          <div class="mat-tools" role="toolbar" aria-label="Folded part">
            <button type="button" aria-pressed="true" title="Back to the flat drawing" @click="isFolded = false">
              <kbd>U</kbd> folded
            </button>
          </div>
        </div>
        <PartMat
          v-else-if="part && context"
          :part="part"
          :context="context"
          :faults="faults"
          :drafting="drafting"
          :selection="selection"
          :is-back="isBack"
          :beneath="beneath"
          @pointer="
            (at, snap, hover) => {
              pointer = at;
              snapped = snap;
              hovered = hover;
            }
          "
        >
          <div class="mat-tools" role="toolbar" aria-label="Drawing tools">
            <button
              v-for="one in TOOLS"
              :key="one.tool"
              type="button"
              :aria-pressed="drafting.tool.value === one.tool"
              :title="one.hint"
              @click="startTool(one.tool)"
            >
              <kbd>{{ one.key }}</kbd> {{ one.word }}
            </button>
            <button
              type="button"
              :aria-pressed="featureOfTool(drafting.tool.value) !== undefined"
              :aria-expanded="isFeatureMenuOpen"
              title="Tabs, slots, holes for hardware, hatches, stations, words"
              @click="isFeatureMenuOpen = !isFeatureMenuOpen"
            >
              <kbd>E</kbd> feature
            </button>
            <button
              type="button"
              :aria-pressed="isBack"
              title="See and draw the part from its back"
              @click="isBack = !isBack"
            >
              <kbd>J</kbd> back
            </button>
            <button type="button" title="See the part folded in its true thickness" @click="toggleFolded">
              <kbd>U</kbd> folded
            </button>
            <VariantBar class="variants" />
          </div>
          <FeatureMenu
            v-if="isFeatureMenuOpen"
            :chosen="featureOfTool(drafting.tool.value)"
            @choose="startFeature"
            @close="isFeatureMenuOpen = false"
          />
          <p v-if="!existsIn(part, context.variant)" class="left-out">
            {{ part.name }} is not made in “{{ context.variant }}”
          </p>
          <RackEditBar v-if="pickedParts.length > 1" :parts="pickedParts" @done="picked = []" />
          <EntryStrip
            v-if="drafting.isDrawing.value"
            ref="entry"
            :drafting="drafting"
            :pointer="pointer"
            :is-half="part.symmetry !== undefined"
          />
        </PartMat>
        <div v-else class="nothing">
          <div class="empty">
            <h2>Draw the first part</h2>
            <p>
              A part is an outline with its folds, bevels and holes. Draw it corner by corner, with the pointer or by
              typing lengths and angles.
            </p>
            <button
              type="button"
              class="button strong"
              style="background: var(--foam); color: var(--ink)"
              @click="addPart"
            >
              New part
            </button>
          </div>
        </div>
        <PartRack
          v-if="airframe.parts.length > 0"
          :airframe="airframe"
          :chosen-id="part?.id"
          :picked="picked"
          @pick="picked = $event"
          @choose="choose"
          @add="addPart"
          @move="movePart"
        />
      </div>
      <PartSlip
        v-if="part && resolved && context"
        :part="part"
        :resolved="resolved"
        :context="context"
        :faults="faults"
        :selection="selection"
        :is-measuring="drafting.tool.value === 'measure'"
        :is-guiding="drafting.tool.value === 'guide'"
        :beneath-id="beneathId"
        @mend="mend"
        @duplicate="duplicatePart"
        @remove="removePart"
        @copy="copy"
        @paste="paste"
        @beneath="beneathId = $event"
      >
        <FoldSection v-if="folded?.partId === part.id" :part="part" :view="folded" :selection="selection" />
        <FoldSizes v-if="folded?.partId === part.id" :part="part" :view="folded" />
        <StandingSection v-if="isFolded" :part="part" :selection="selection" />
        <FoldDefaultsSection v-if="isFolded" />
        <StripSection v-if="part.contours.length === 0" :part="part" :thickness-mm="resolved.thicknessMm" />
      </PartSlip>
    </div>
    <TrayBar>
      <span v-if="pointer"
        >across <b>{{ formatLength(pointer.x, work.unit) }}</b> up <b>{{ formatLength(pointer.y, work.unit) }}</b>
        {{ work.unit }}</span
      >
      <span v-if="snapped && REASON_WORDS[snapped.reason]"
        >on <b>{{ REASON_WORDS[snapped.reason] }}</b></span
      >
      <span>{{ hint }}</span>
      <span v-if="drafting.isDrawing.value"><kbd>Enter</kbd> or a figure types it</span>
    </TrayBar>
  </div>
</template>

<style scoped>
.drawing {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.variants {
  margin-left: auto;
}
.left-out {
  position: absolute;
  left: 50%;
  top: 84px;
  transform: translateX(-50%);
  background: #1b333b;
  color: #ffd9a1;
  font-weight: 600;
  padding: 3px 12px;
  border-radius: var(--radius);
}
.nothing {
  flex: 1;
  background: var(--mat);
  display: flex;
  position: relative;
}
.folding {
  margin: auto;
  color: #e9eee9;
  font-size: 17px;
}
</style>
