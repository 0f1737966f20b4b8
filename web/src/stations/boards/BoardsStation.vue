<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue';
import { boardViews, isNestCurrent, shapeOf, type AirframeNest, type BoardView } from '@grain-fold/core/airframe';
import { countOf } from '@grain-fold/core/units';
import MatCanvas from '../../mat/MatCanvas.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { arrowStep } from '../../keys/arrow-step.ts';
import { useKeys } from '../../keys/use-keys.ts';
import InTurn from '../../kit/InTurn.vue';
import ToolButton from '../../kit/ToolButton.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import BoardCaptions from './BoardCaptions.vue';
import BoardOnMat from './BoardOnMat.vue';
import { boardsBounds, layOutBoards } from './lay-out-boards.ts';
import NestSlip from './NestSlip.vue';
import PieceSlip from './PieceSlip.vue';
import { USUAL_ORDER } from './searches.ts';
import { useByHand } from './use-by-hand.ts';
import { useNesting } from './use-nesting.ts';
import { usePlacing } from './use-placing.ts';

const work = useAirframe();
const figures = useFigures();
const nesting = useNesting();
const order = ref(USUAL_ORDER);
const mat = useTemplateRef<InstanceType<typeof MatCanvas>>('mat');

const nest = computed<AirframeNest | undefined>(() => nesting.best.value ?? work.airframe?.nest);
const isOld = computed(() => work.airframe !== undefined && !isNestCurrent(work.airframe));
const views = computed<readonly BoardView[]>(() =>
  work.airframe && nest.value ? boardViews(work.airframe, nest.value) : [],
);
const boards = computed(() => layOutBoards(views.value));
const fitTo = computed(() => boardsBounds(boards.value));
const placing = usePlacing(boards);
const hand = useByHand(boards, placing);
const mayPlace = computed(() => !nesting.isRunning.value && !isOld.value);
const hasParts = computed(() => (figures.quick?.pieces ?? 0) > 0);
watch(
  () => boards.value.length,
  () => {
    placing.drop();
    mat.value?.fit();
  },
  { flush: 'post' },
);

const held = computed(() => {
  const where = placing.held.value,
    piece = placing.chosenPiece.value;
  const on = where && boards.value[where.board];
  if (!where || !piece || !on) return undefined;
  const shape = shapeOf(piece.piece, where.placed);
  const path = (ring: typeof shape.outer): string =>
    `M${ring.map(({ x, y }) => `${x + on.origin.x} ${y + on.origin.y}`).join('L')}Z`;
  return [shape.outer, ...shape.holes].map(path).join('');
});
const chosenPath = computed(() => {
  const piece = placing.chosenPiece.value,
    on = placing.chosen.value && boards.value[placing.chosen.value.board];
  if (!piece || !on || placing.held.value) return undefined;
  return `M${piece.shape.outer.map(({ x, y }) => `${x + on.origin.x} ${y + on.origin.y}`).join('L')}Z`;
});
/** Moving and turning wait while a nest is searched or is another airframe's. */
const whilePlacing =
  (act: (event: KeyboardEvent) => unknown) =>
  (event: KeyboardEvent): unknown =>
    mayPlace.value && act(event);
useKeys('boards', {
  nest: () => (placing.held.value ? placing.putDown() : void nesting.start(order.value)),
  stop: () => (nesting.isRunning.value ? nesting.stop() : hand.isSwapping.value ? hand.swap() : placing.backOut()),
  next: () => !nesting.isRunning.value && placing.step(1),
  previous: () => !nesting.isRunning.value && placing.step(-1),
  turn: whilePlacing((event) => placing.turn(event.shiftKey ? -1 : 1)),
  nudge: whilePlacing((event) => {
    if (!placing.chosen.value) return false;
    const [x, y] = arrowStep(event, work.unit);
    if (hand.isPushing.value && !placing.held.value) hand.push(x, y);
    else placing.nudge(x, y);
    return true;
  }),
  lock: whilePlacing(() => hand.lock()),
  push: whilePlacing(() => (hand.isPushing.value = !hand.isPushing.value)),
  swap: whilePlacing(() => hand.swap()),
});
</script>

<template>
  <div class="station">
    <div class="station-body">
      <MatCanvas
        v-if="views.length > 0"
        ref="mat"
        :fit-to="fitTo"
        :unit="work.unit"
        :arrows-pan="!placing.chosen.value"
        label="Boards with the parts nested on them"
        :cursor="placing.held.value ? 'grabbing' : hand.isSwapping.value ? 'crosshair' : 'default'"
        @press="
          (at) => {
            if (mayPlace && hand.isSwapping.value) hand.swapWith(placing.pieceAt(at));
            else if (mayPlace) placing.press(at);
            else if (!nesting.isRunning.value) placing.choose(at);
          }
        "
        @move="(at, event) => placing.move(at, event.altKey)"
        @release="placing.release()"
      >
        <template #world>
          <InTurn v-for="({ view, origin }, board) in boards" :key="view.number"
            ><BoardOnMat
              :view="view"
              :origin="origin"
              :chosen-index="placing.chosen.value?.board === board ? placing.chosen.value.index : undefined"
              :held-index="
                placing.held.value && placing.chosen.value?.board === board ? placing.chosen.value.index : undefined
              "
          /></InTurn>
          <path
            v-if="chosenPath"
            :d="chosenPath"
            fill="none"
            :stroke="placing.refusal.value ? 'var(--brick)' : 'var(--marigold)'"
            stroke-width="3"
            vector-effect="non-scaling-stroke"
          />
          <path
            v-if="held"
            :d="held"
            :fill="placing.heldFault.value ? '#e7a18f' : '#fff4dc'"
            fill-opacity="0.85"
            fill-rule="evenodd"
            :stroke="placing.heldFault.value ? 'var(--brick)' : 'var(--marigold)'"
            stroke-width="3"
            vector-effect="non-scaling-stroke"
          />
        </template>
        <template #screen="{ toScreen, view: mapped }">
          <BoardCaptions :boards="boards" :to-screen="toScreen" :zoom="mapped.k" />
        </template>
        <div class="mat-tools" role="toolbar" aria-label="Nest">
          <ToolButton
            v-if="!nesting.isRunning.value"
            key-name="Enter"
            word="nest again"
            @press="nesting.start(order)"
          />
          <ToolButton v-else key-name="Esc" word="stop, keep best" is-on @press="nesting.stop()" />
          <ToolButton
            key-name="R"
            word="turn"
            :disabled="!placing.chosen.value || !mayPlace"
            @press="placing.turn(1)"
          />
          <ToolButton
            key-name="L"
            :word="hand.isLocked.value ? 'unlock' : 'lock'"
            hint="A locked piece stays where it lies when you nest again"
            :is-on="hand.isLocked.value"
            :disabled="!placing.chosen.value || !mayPlace"
            @press="hand.lock()"
          />
          <ToolButton
            key-name="P"
            word="push"
            hint="Arrow keys push along what is in the way"
            :is-on="hand.isPushing.value"
            :disabled="!mayPlace"
            @press="hand.isPushing.value = !hand.isPushing.value"
          />
          <ToolButton
            key-name="X"
            word="exchange"
            hint="The chosen piece and the one you press next change places"
            :is-on="hand.isSwapping.value"
            :disabled="!placing.chosen.value || !mayPlace"
            @press="hand.swap()"
          />
          <ToolButton key-name="]" word="next piece" :disabled="nesting.isRunning.value" @press="placing.step(1)" />
          <ToolButton word="undo" :disabled="!work.undoLabel" @press="work.undo()" />
        </div>
      </MatCanvas>
      <div v-else class="nothing">
        <div class="empty">
          <h2>
            {{
              nesting.isRunning.value
                ? 'Looking for a nest'
                : hasParts
                  ? 'Lay the parts on boards'
                  : 'Nothing to nest yet'
            }}
          </h2>
          <p>
            {{
              hasParts
                ? 'The parts are laid into each other by their true shapes, grain and clearance kept. You can stop any time and keep the best so far.'
                : 'Draw a part first; it is then laid on your boards here.'
            }}
          </p>
          <el-button
            type="primary"
            v-if="hasParts && !nesting.isRunning.value"
            class="first"
            @click="nesting.start(order)"
          >
            Nest the parts
          </el-button>
        </div>
      </div>
      <NestSlip
        v-model:order="order"
        :views="views"
        :nesting="nesting"
        :is-old="isOld"
        @nest="nesting.start(order, $event)"
      >
        <PieceSlip
          v-if="placing.chosenPiece.value && placing.chosen.value"
          :placing="placing"
          :hand="hand"
          :boards="boards"
          :view="boards[placing.chosen.value.board]!.view"
          :is-fixed="!mayPlace"
          :may-set="!nesting.isRunning.value"
          @nest-board="nesting.start(order, { board: $event })"
        />
      </NestSlip>
    </div>
    <TrayBar>
      <template v-if="nesting.isRunning.value"
        ><span
          >{{ nesting.isOnServer.value ? 'nesting on the server' : 'nesting' }}
          <b>{{ nesting.seconds.value.toFixed(0) }} s</b> ·
          {{ countOf(nesting.progress.value?.tried ?? 0, 'try', 'tries') }}</span
        ><span
          >best <b>{{ nesting.progress.value?.score.effectiveBoards.toFixed(2) ?? '…' }}</b></span
        ><span><kbd>Esc</kbd> stop, keep best</span
        ><span v-if="nesting.isOnServer.value">the page may be closed</span></template
      >
      <template v-else-if="placing.held.value && placing.chosen.value"
        ><span>{{ placing.heldFault.value ? 'it does not fit here yet' : 'it fits here' }}</span
        ><span><kbd>Alt</kbd> through the others</span><span><kbd>arrows</kbd> move it</span
        ><span><kbd>Enter</kbd> put it down</span><span><kbd>Esc</kbd> take it back</span></template
      >
      <template v-else-if="hand.isSwapping.value"
        ><span>press the piece to exchange it for</span><span><kbd>Esc</kbd> leave it</span></template
      >
      <template v-else
        ><span>drag a piece: it slides along the others</span><span><kbd>R</kbd> turn</span
        ><span><kbd>arrows</kbd> {{ hand.isPushing.value ? 'push' : 'nudge' }}</span
        ><span><kbd>L</kbd> lock</span><span><kbd>[</kbd> <kbd>]</kbd> choose</span></template
      >
    </TrayBar>
  </div>
</template>

<style scoped>
.nothing {
  flex: 1;
  background: var(--mat);
  display: flex;
}
.first {
  background: var(--foam);
  color: var(--ink);
}
</style>
