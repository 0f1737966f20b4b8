<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { contextOf } from '@grain-fold/core/airframe';
import type { Fault } from '@grain-fold/core/checks';
import type { FeatureKind } from '@grain-fold/core/features';
import { times, type Point } from '@grain-fold/core/geometry';
import type { Snap } from '@grain-fold/core/paths';
import type { Picked } from '@grain-fold/core/pointing';
import { existsIn, expandPart, resolve } from '@grain-fold/core/resolve';
import { arrowStep } from '../../keys/arrow-step.ts';
import { wouldPress } from '../../keys/is-typing.ts';
import { useKeys, useKeyTable } from '../../keys/use-keys.ts';
import InTurn from '../../kit/InTurn.vue';
import ToolButton from '../../kit/ToolButton.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import EntryStrip from '../../mat/drafting/EntryStrip.vue';
import FeatureMenu from './drafting/FeatureMenu.vue';
import PartMat from './mat/PartMat.vue';
import PartRack from './list/PartRack.vue';
import PartsTray from './PartsTray.vue';
import PartSlip from './slip/PartSlip.vue';
import TakeOutDialog from '../take-out/TakeOutDialog.vue';
import FoldedMat from './folded/FoldedMat.vue';
import FoldSection from './folded/FoldSection.vue';
import FoldDefaultsSection from './folded/FoldDefaultsSection.vue';
import RingSection from './folded/RingSection.vue';
import FoldSizes from './folded/FoldSizes.vue';
import StandingSection from './folded/StandingSection.vue';
import { useFoldView } from './folded/use-fold-view.ts';
import RackEditBar from './list/RackEditBar.vue';
import StripSection from './slip/StripSection.vue';
import VariantBar from './variants/VariantBar.vue';
import MatTools from './drafting/MatTools.vue';
import { usePartEditing } from './use-part-editing.ts';
import { featureOfTool, TOOLS, type Tool } from './drafting/part-tools.ts';
import { useSelection, type Chosen } from './selection.ts';
import { useDrafting } from './drafting/use-drafting.ts';
import { useKeptDrawing } from './drafting/use-kept-drawing.ts';

const work = useAirframe();
const figures = useFigures();
const route = useRoute();
const router = useRouter();
const pointer = shallowRef<Point>();
const snapped = shallowRef<Snap>();
const hovered = shallowRef<Picked>();
const isBack = ref(false);
const isFeatureMenuOpen = ref(false);
const isTakingOut = ref(false);
const isFolded = ref(false);
const beneathId = ref<string>();
/** Parts picked in the rack to be changed together. */
const picked = shallowRef<readonly string[]>([]);
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
const { choose, addPart, duplicatePart, removePart, movePart, copy, paste, mirror, removeChosen, nudge } =
  usePartEditing(part, selection, drafting);
useKeptDrawing(part, drafting, choose);
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

// An outline that came by other ways than the pointer ends the drawing of one.
watch(hasOutline, (has) => {
  if (has && drafting.tool.value === 'outline' && drafting.points.value.length === 0) drafting.start('select');
});

function startTool(tool: Tool): void {
  isFeatureMenuOpen.value = false;
  if (!part.value) return;
  drafting.keep();
  drafting.start(tool);
  selection.chosen.value = undefined;
  work.message = '';
}
/** A tool's button takes it up or puts it down; its key only takes it up, so that a step told twice does no harm. */
const pressTool = (tool: Tool): void => startTool(drafting.tool.value === tool ? 'select' : tool);
const keyTool = (tool: Tool): void => {
  if (drafting.tool.value !== tool) startTool(tool);
};
const startFeature = (kind: FeatureKind): void => startTool(`feature ${kind}`);
/** Folds the part on the mat, or lays it flat again. */
function toggleFolded(): void {
  drafting.keep();
  drafting.start('select');
  isFolded.value = !isFolded.value && hasOutline.value;
  if (!hasOutline.value) work.message = 'Draw an outline first: then it can be folded.';
}
/** Standing a part is seen with what it stands on. */
function showWhatItStandsOn(): void {
  if (folding.extent.value === 'part') folding.extent.value = 'together';
}
/** What was picked on the folded model, which may be of another part. */
async function pickFolded(partId: string, chosen: Chosen): Promise<void> {
  if (partId !== part.value?.id) await choose(partId);
  await nextTick();
  selection.chosen.value = chosen;
}
function mend(fault: Fault): void {
  if ('command' in fault.mend) work.run(fault.partId, fault.mend.command);
  else if ('edits' in fault.mend) work.runEach(fault.mend.edits, fault.mend.label);
  else if (fault.mend.action.name === 'startOutline') startTool('outline');
  else if (fault.mend.action.name === 'seeFolded') isFolded.value = true;
  else work.act(fault.mend.action);
}

/** Escape backs out one step: the menu, a measure, the tool, then the choice. */
function backOut(): void {
  if (isFeatureMenuOpen.value) isFeatureMenuOpen.value = false;
  else if (selection.measured.value) selection.measured.value = undefined;
  else if (drafting.tool.value !== 'select') drafting.backOut();
  else selection.chosen.value = undefined;
}
const toggleRun = (kind: 'arc' | 'cubic'): void => {
  drafting.runKind.value = drafting.runKind.value === kind ? 'line' : kind;
};
/** Keys of the flat view alone. */
const whileFlat =
  (act: (event: KeyboardEvent) => unknown) =>
  (event: KeyboardEvent): unknown =>
    !isFolded.value && act(event);
const whileDrawing =
  (act: (event: KeyboardEvent) => unknown) =>
  (event: KeyboardEvent): unknown =>
    drafting.isDrawing.value && act(event);
/** A digit begins to type the next point; with another tool in hand it does not leave for a station unawares. */
function typeFigure(event: KeyboardEvent): unknown {
  if (drafting.isDrawing.value) return void entry.value?.focus(event.key);
  if (drafting.tool.value === 'select') return false;
  work.message = 'A digit goes to a station only when no tool is in hand: Esc first.';
  return undefined;
}
/** Text chosen on the page is what is copied then. */
const whileNoTextIsChosen = (act: () => void) => (): unknown => window.getSelection()?.toString() === '' && act();

useKeyTable(TOOLS.map(({ key, tool }) => ({ key: key.toLowerCase(), handle: whileFlat(() => keyTool(tool)) })));
useKeys('parts', {
  copy: whileNoTextIsChosen(copy),
  paste: whileNoTextIsChosen(paste),
  back: backOut,
  remove: removeChosen,
  nudge: whileFlat((event) => nudge(...arrowStep(event, work.unit))),
  newPart: () => void addPart(),
  features: whileFlat(() => {
    isFeatureMenuOpen.value = !isFeatureMenuOpen.value;
  }),
  seeBack: whileFlat(() => {
    isBack.value = !isBack.value;
  }),
  seeFolded: toggleFolded,
  mirror,
});
useKeys('drawing', {
  takeBack: whileDrawing(() => drafting.takeBack()),
  figure: typeFigure,
  type: whileDrawing((event) => !wouldPress(event) && void entry.value?.focus()),
  arc: whileDrawing(() => toggleRun('arc')),
  smooth: whileDrawing(() => toggleRun('cubic')),
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
          <div class="mat-tools folded-tools" role="toolbar" aria-label="Folded part">
            <ToolButton key-name="U" word="folded" hint="Back to the flat drawing" is-on @press="isFolded = false" />
            <VariantBar class="variants" />
          </div>
          <p v-if="folding.message.value" class="left-out" role="alert">{{ folding.message.value }}</p>
        </FoldedMat>
        <div v-else-if="isFolded && part && hasOutline" class="nothing">
          <p class="folding" role="status">{{ folding.message.value || `Folding ${part.name}` }}</p>
          <div class="mat-tools folded-tools" role="toolbar" aria-label="Folded part">
            <ToolButton key-name="U" word="folded" hint="Back to the flat drawing" is-on @press="isFolded = false" />
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
          <InTurn>
            <MatTools
              :tool="drafting.tool.value"
              :has-outline="hasOutline"
              :is-back="isBack"
              :is-feature-menu-open="isFeatureMenuOpen"
              @start="pressTool"
              @features="isFeatureMenuOpen = !isFeatureMenuOpen"
              @back="isBack = !isBack"
              @folded="toggleFolded"
            >
              <FeatureMenu
                v-if="isFeatureMenuOpen"
                :chosen="featureOfTool(drafting.tool.value)"
                @choose="startFeature"
                @close="isFeatureMenuOpen = false"
              />
            </MatTools>
          </InTurn>
          <p v-if="!existsIn(part, context.variant)" class="left-out">
            {{ part.name }} is not made in “{{ context.variant }}”
          </p>
          <RackEditBar v-if="pickedParts.length > 1" :parts="pickedParts" @done="picked = []" />
          <EntryStrip
            v-if="drafting.isDrawing.value"
            ref="entry"
            :drafting="drafting"
            :unit="work.unit"
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
            <el-button type="primary" style="background: var(--foam); color: var(--ink)" @click="addPart">
              New part
            </el-button>
            <p class="or">
              or <RouterLink :to="{ name: 'bring-in' }">bring in a drawing</RouterLink>: a PDF, an SVG, a DXF
            </p>
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
          @take-out="isTakingOut = true"
          @bring-in="router.push({ name: 'bring-in' })"
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
        <RingSection v-if="folded?.partId === part.id" :part="part" :view="folded" />
        <FoldSection v-if="folded?.partId === part.id" :part="part" :view="folded" :selection="selection" />
        <FoldSizes v-if="folded?.partId === part.id" :part="part" :view="folded" />
        <StandingSection
          v-if="isFolded"
          :part="part"
          :selection="selection"
          :view="folded"
          :is-folding="folding.isFolding.value"
          @stood="showWhatItStandsOn"
        />
        <FoldDefaultsSection v-if="isFolded" />
        <StripSection v-if="part.contours.length === 0" :part="part" :thickness-mm="resolved.thicknessMm" />
      </PartSlip>
    </div>
    <PartsTray
      :part="part"
      :drafting="drafting"
      :pointer="pointer"
      :snap-reason="snapped?.reason"
      :hovered="hovered"
      :is-folded="isFolded && hasOutline"
      :has-choice="selection.chosen.value !== undefined"
    />
    <TakeOutDialog v-model="isTakingOut" :part-id="part?.id" :picked="picked" />
  </div>
</template>

<style scoped>
.drawing {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.folded-tools {
  right: 14px;
  justify-content: space-between;
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
