<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import {
  drawInView,
  isEmptyPlan,
  moveLine,
  moveLinePoint,
  moveThing,
  fromView,
  removeGuide,
  removeLine,
  removeLinePoint,
  removeThing,
  VIEW_WORDS,
  type PlanView,
} from '@grain-fold/core/plan';
import { formatLength } from '@grain-fold/core/units';
import TrayBar from '../../frame/TrayBar.vue';
import { arrowStep } from '../../keys/arrow-step.ts';
import { wouldPress } from '../../keys/is-typing.ts';
import { useKeys, useKeyTable } from '../../keys/use-keys.ts';
import ToolButton from '../../kit/ToolButton.vue';
import EntryStrip from '../../mat/drafting/EntryStrip.vue';
import { usePathDrafting } from '../../mat/drafting/use-path-drafting.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import PlanMat from './mat/PlanMat.vue';
import { PLAN_TOOLS, type PlanTool } from './plan-tools.ts';
import PrintPlan from './PrintPlan.vue';
import PlanSlip from './slip/PlanSlip.vue';
import MeasuredPanel from './start/MeasuredPanel.vue';
import NumbersPanel from './start/NumbersPanel.vue';
import PlanStart from './start/PlanStart.vue';
import TraceMarks from './trace/TraceMarks.vue';
import { useTracing } from './trace/use-tracing.ts';
import { usePlan } from './use-plan.ts';

const work = useAirframe();
const desk = usePlan();
const tracing = useTracing(desk);
const mat = useTemplateRef<InstanceType<typeof PlanMat>>('mat');
const entry = useTemplateRef<InstanceType<typeof EntryStrip>>('entry');
const panel = ref<'plan' | 'numbers' | 'measured'>('plan');
const page = ref('figures');
const ghostId = ref<string>();
const isBeginning = ref(false);
const showsClearances = ref(true);
const pointer = shallowRef<Point>();
const view = ref<PlanView>('side');
const isEmpty = computed(() => isEmptyPlan(desk.stored.value) && panel.value === 'plan' && page.value === 'figures');

const drafting = usePathDrafting<PlanTool>({
  rest: 'select',
  traits: (tool) => ({ word: tool === 'draw' ? 'outline' : tool, draws: tool === 'draw' }),
  after: () => 'select',
  say: (message) => {
    work.message = message;
  },
  finish: (_tool, draft) => {
    const made = desk.run((plan) => drawInView(plan, view.value, draft));
    if (made) desk.chosen.value = { kind: 'line', lineId: made.lineId };
    return made !== undefined;
  },
});

function start(way: 'numbers' | 'measured' | 'trace'): void {
  isBeginning.value = false;
  desk.chosen.value = undefined;
  if (way === 'trace') page.value = 'trace';
  else panel.value = way;
}
async function fit(): Promise<void> {
  await nextTick();
  requestAnimationFrame(() => mat.value?.fit());
}
watch(panel, fit);
function take(tool: PlanTool): void {
  work.message = '';
  drafting.start(drafting.tool.value === tool ? 'select' : tool);
  if (tool !== 'measure') desk.chosen.value = undefined;
}

function nudge(event: KeyboardEvent): unknown {
  const [x, y] = arrowStep(event, work.unit),
    chosen = desk.chosen.value;
  switch (chosen?.kind) {
    case 'thing':
      return desk.run((plan) => moveThing(plan, chosen.thingId, fromView(view.value, { x, y })));
    case 'line': {
      const { lineId, nodeId } = chosen,
        node = desk.stored.value.lines.find(({ id }) => id === lineId)?.nodes.find(({ id }) => id === nodeId);
      return desk.run((plan) =>
        node
          ? moveLinePoint(plan, lineId, node.id, { x: node.x + x, y: node.y + y })
          : moveLine(plan, lineId, { x, y }),
      );
    }
    default:
      return false;
  }
}
function remove(): unknown {
  const chosen = desk.chosen.value;
  switch (chosen?.kind) {
    case 'thing':
      desk.run((plan) => removeThing(plan, chosen.thingId));
      break;
    case 'line': {
      const { lineId, nodeId } = chosen;
      desk.run((plan) => (nodeId === undefined ? removeLine(plan, lineId) : removeLinePoint(plan, lineId, nodeId)));
      break;
    }
    case 'guide':
      desk.run((plan) => removeGuide(plan, chosen.guideId));
      break;
    case 'underlay':
      tracing.removeUnderlay(chosen.underlayId);
      break;
    default:
      return false;
  }
  desk.chosen.value = undefined;
  return true;
}
/** Escape backs out one step: what is being picked, the tool, the choice, then the panel. */
function back(): unknown {
  if (tracing.drop()) return true;
  if (isBeginning.value) {
    isBeginning.value = false;
    return true;
  }
  if (drafting.tool.value !== 'select') return drafting.backOut();
  if (desk.chosen.value) desk.chosen.value = undefined;
  else if (panel.value !== 'plan') panel.value = 'plan';
  else return false;
  return true;
}
const whileDrawing =
  (act: (event: KeyboardEvent) => unknown) =>
  (event: KeyboardEvent): unknown =>
    drafting.isDrawing.value && act(event);
const toggleRun = (kind: 'arc' | 'cubic'): void => {
  drafting.runKind.value = drafting.runKind.value === kind ? 'line' : kind;
};
function typeFigure(event: KeyboardEvent): unknown {
  if (drafting.isDrawing.value) return void entry.value?.focus(event.key);
  if (drafting.tool.value === 'select') return false;
  work.message = 'A digit goes to a station only when no tool is in hand: Esc first.';
  return undefined;
}
useKeyTable(PLAN_TOOLS.map(({ key, tool }) => ({ key: key.toLowerCase(), handle: () => take(tool) })));
useKeys('plan', { back, remove, nudge });
useKeys('drawing', {
  takeBack: whileDrawing(() => drafting.takeBack()),
  figure: typeFigure,
  type: whileDrawing((event) => !wouldPress(event) && void entry.value?.focus()),
  arc: whileDrawing(() => toggleRun('arc')),
  smooth: whileDrawing(() => toggleRun('cubic')),
});

const hint = computed(() => PLAN_TOOLS.find(({ tool }) => tool === drafting.tool.value)?.hint);
const place = computed(() =>
  pointer.value
    ? `${formatLength(pointer.value.x, work.unit)} · ${formatLength(pointer.value.y, work.unit)} ${work.unit}`
    : '',
);
</script>

<template>
  <div class="station">
    <div class="station-body">
      <PlanMat
        ref="mat"
        :desk="desk"
        :drafting="drafting"
        :tracing="tracing"
        :ghost-id="ghostId"
        :shows-clearances="showsClearances"
        @pointer="
          (at, where) => {
            pointer = at;
            view = where;
          }
        "
      >
        <template #screen="{ toScreen, layout }">
          <TraceMarks
            :tracing="tracing"
            :plan="desk.plan.value"
            :to-screen="toScreen"
            :layout="layout"
            :unit="work.unit"
          />
        </template>
        <div class="mat-tools tools" role="toolbar" aria-label="Plan tools">
          <ToolButton
            v-for="{ tool, key, word, hint: about } in PLAN_TOOLS"
            :key="tool"
            :key-name="key"
            :word="word"
            :hint="about"
            :is-on="drafting.tool.value === tool"
            @press="take(tool)"
          />
          <ToolButton
            word="motion"
            hint="What moves sweeps: controls, ground, lines over the wheels"
            :is-on="showsClearances"
            @press="showsClearances = !showsClearances"
          />
          <ToolButton
            word="begin anew"
            hint="From numbers, from a drawing, from a model on the bench"
            @press="((panel = 'plan'), (isBeginning = !isBeginning))"
          />
          <PrintPlan :is-empty="desk.stored.value.things.length + desk.stored.value.lines.length === 0" />
        </div>
        <PlanStart v-if="isEmpty || isBeginning" :is-empty="isEmpty" @start="start" @close="isBeginning = false" />
        <EntryStrip
          v-if="drafting.isDrawing.value"
          ref="entry"
          :drafting="drafting"
          :unit="work.unit"
          :pointer="pointer"
        />
      </PlanMat>
      <NumbersPanel v-if="panel === 'numbers'" :desk="desk" @done="panel = 'plan'" @proposed="fit" />
      <MeasuredPanel v-else-if="panel === 'measured'" :desk="desk" @done="panel = 'plan'" />
      <PlanSlip v-else v-model:ghost-id="ghostId" v-model:page="page" :desk="desk" :tracing="tracing" />
    </div>
    <TrayBar
      ><span class="place figures">{{ VIEW_WORDS[view] }} {{ place }}</span
      ><span v-if="tracing.picking.value">click on the picture · <b>Esc</b> leaves it</span
      ><span v-else-if="hint">{{ hint }}</span
      ><span v-else
        ><b>F</b> fit · drag a thing in any view, its squares for its size · <b>Alt</b> holds snapping off</span
      ></TrayBar
    >
  </div>
</template>

<style scoped>
.tools {
  position: absolute;
  left: 14px;
  top: 12px;
  z-index: 3;
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  padding: 4px;
  background: var(--mat-dark);
  border-radius: var(--radius);
}
.place {
  min-width: 170px;
}
</style>
