<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue';
import { boardViews, isNestCurrent, shapeOf, type AirframeNest, type BoardView } from '@grain-fold/core/airframe';
import { boundsOf, boundsWidth } from '@grain-fold/core/geometry';
import { countOf, formatLength } from '@grain-fold/core/units';
import MatCanvas from '../../mat/MatCanvas.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { arrowStep } from '../../keys/arrow-step.ts';
import { useKeys } from '../../keys/use-keys.ts';
import InTurn from '../../kit/InTurn.vue';
import ToolButton from '../../kit/ToolButton.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import BoardOnMat from './BoardOnMat.vue';
import { boardsBounds, layOutBoards } from './lay-out-boards.ts';
import NestSlip from './NestSlip.vue';
import PieceSlip from './PieceSlip.vue';
import { useNesting } from './use-nesting.ts';
import { usePlacing } from './use-placing.ts';

const work = useAirframe();
const figures = useFigures();
const nesting = useNesting();
const tries = ref(240);
const mat = useTemplateRef<InstanceType<typeof MatCanvas>>('mat');

const nest = computed<AirframeNest | undefined>(() => nesting.best.value ?? work.airframe?.nest);
const isOld = computed(() => work.airframe !== undefined && !isNestCurrent(work.airframe));
const views = computed<readonly BoardView[]>(() =>
  work.airframe && nest.value ? boardViews(work.airframe, nest.value) : [],
);
const boards = computed(() => layOutBoards(views.value));
const fitTo = computed(() => boardsBounds(boards.value));
const placing = usePlacing(boards);
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
/** Names are written where they fit at the zoom. */
function labels(
  view: BoardView,
  k: number,
): readonly { readonly x: number; readonly y: number; readonly text: string; readonly size: number }[] {
  return view.pieces.flatMap(({ piece, shape }) => {
    const box = boundsOf(shape.outer);
    const size = 13,
      room = Math.min(boundsWidth(box) * k * 0.86, 400),
      tall = (box.maxY - box.minY) * k;
    const { name, side } = piece.part;
    const letters = Math.floor(room / (size * 0.42)),
      hand = side === 'single' ? '' : `, ${side}`;
    // The hand is never left out: of a long name the end is.
    const least = hand === '' ? name.length : Math.min(name.length, 3) + 1 + hand.length;
    if (tall < size + 3 || letters < least) return [];
    const text =
      name.length + hand.length <= letters ? name + hand : `${name.slice(0, letters - hand.length - 1)}…${hand}`;
    return [{ x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2, text, size }];
  });
}
const yieldFill = (view: BoardView): string => (view.yield >= 0.6 ? '#c4dba4' : '#ffc878');
const restText = ({ rest }: BoardView): string =>
  `rest ${formatLength(rest.maxX - rest.minX, work.unit, 0)} × ${formatLength(rest.maxY - rest.minY, work.unit, 0)} ${work.unit}`;

/** Moving and turning wait while a nest is searched or is another airframe's. */
const whilePlacing =
  (act: (event: KeyboardEvent) => unknown) =>
  (event: KeyboardEvent): unknown =>
    mayPlace.value && act(event);
useKeys('boards', {
  nest: () => (placing.held.value ? placing.putDown() : void nesting.start(tries.value)),
  stop: () => (nesting.isRunning.value ? nesting.stop() : placing.backOut()),
  next: whilePlacing(() => placing.step(1)),
  previous: whilePlacing(() => placing.step(-1)),
  turn: whilePlacing((event) => placing.turn(event.shiftKey ? -1 : 1)),
  nudge: whilePlacing((event) => {
    if (!placing.chosen.value) return false;
    const [x, y] = arrowStep(event, work.unit);
    placing.nudge(x, y);
    return true;
  }),
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
        :cursor="placing.held.value ? 'grabbing' : 'default'"
        @press="
          (at) => {
            if (mayPlace) placing.press(at);
          }
        "
        @move="(at) => placing.move(at)"
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
          <g class="figures" font-weight="600" pointer-events="none">
            <template v-for="{ view, origin } in boards" :key="view.number">
              <g
                :transform="`translate(${toScreen({ x: origin.x, y: origin.y + view.board.heightMm }).x} ${toScreen({ x: origin.x, y: origin.y + view.board.heightMm }).y - 8})`"
              >
                <text fill="#fff" font-size="16"
                  >Board {{ view.number
                  }}<tspan dx="10" font-size="13.5" font-weight="500" fill="#bcd0d2"
                    >{{ formatLength(view.board.widthMm, work.unit, 0) }} ×
                    {{ formatLength(view.board.heightMm, work.unit, 0) }} ·
                    {{ countOf(view.pieces.length, 'piece') }}</tspan
                  ><tspan v-if="view.board.widthMm * mapped.k < 260" dx="12" :fill="yieldFill(view)"
                    >{{ Math.round(view.yield * 100) }} %</tspan
                  ></text
                >
                <text
                  v-if="view.board.widthMm * mapped.k >= 260"
                  :x="view.board.widthMm * mapped.k"
                  text-anchor="end"
                  font-size="16"
                  :fill="yieldFill(view)"
                  >{{ Math.round(view.yield * 100) }} %</text
                >
              </g>
              <text
                v-if="
                  (view.rest.maxX - view.rest.minX) * mapped.k > 150 &&
                  (view.rest.maxY - view.rest.minY) * mapped.k > 34
                "
                :x="toScreen({ x: origin.x + (view.rest.minX + view.rest.maxX) / 2, y: 0 }).x"
                :y="toScreen({ x: 0, y: origin.y + (view.rest.minY + view.rest.maxY) / 2 }).y + 5"
                text-anchor="middle"
                font-size="15"
                fill="#33481f"
                stroke="#e4d8b9"
                stroke-width="5"
                paint-order="stroke"
                >{{ restText(view) }}</text
              >
              <text
                v-for="(label, index) in labels(view, mapped.k)"
                :key="index"
                :x="toScreen({ x: label.x + origin.x, y: 0 }).x"
                :y="toScreen({ x: 0, y: label.y + origin.y }).y + 4"
                :font-size="label.size"
                font-weight="500"
                text-anchor="middle"
                fill="var(--ink)"
                stroke="var(--foam)"
                stroke-width="4"
                paint-order="stroke"
                >{{ label.text }}</text
              >
            </template>
          </g>
        </template>
        <div class="mat-tools" role="toolbar" aria-label="Nest">
          <ToolButton
            v-if="!nesting.isRunning.value"
            key-name="Enter"
            word="nest again"
            @press="nesting.start(tries)"
          />
          <ToolButton v-else key-name="Esc" word="stop, keep best" is-on @press="nesting.stop()" />
          <ToolButton
            key-name="R"
            word="turn"
            :disabled="!placing.chosen.value || !mayPlace"
            @press="placing.turn(1)"
          />
          <ToolButton key-name="]" word="next piece" :disabled="!mayPlace" @press="placing.step(1)" />
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
            @click="nesting.start(tries)"
          >
            Nest the parts
          </el-button>
        </div>
      </div>
      <NestSlip v-model:tries="tries" :views="views" :nesting="nesting" :is-old="isOld" @nest="nesting.start(tries)">
        <PieceSlip
          v-if="placing.chosenPiece.value && placing.chosen.value"
          :placing="placing"
          :view="boards[placing.chosen.value.board]!.view"
          :is-fixed="!mayPlace"
        />
      </NestSlip>
    </div>
    <TrayBar>
      <template v-if="nesting.isRunning.value"
        ><span
          >nesting <b>{{ nesting.seconds.value.toFixed(0) }} s</b> ·
          {{ countOf(nesting.progress.value?.tried ?? 0, 'try', 'tries') }}</span
        ><span
          >best <b>{{ nesting.progress.value?.score.effectiveBoards.toFixed(2) ?? '…' }}</b></span
        ><span><kbd>Esc</kbd> stop, keep best</span></template
      >
      <template v-else-if="placing.held.value && placing.chosen.value"
        ><span>{{ placing.heldFault.value ? 'it does not fit here yet' : 'it fits here' }}</span
        ><span><kbd>arrows</kbd> move it</span><span><kbd>Enter</kbd> put it down</span
        ><span><kbd>Esc</kbd> take it back</span></template
      >
      <template v-else
        ><span>drag a piece to move it</span><span><kbd>R</kbd> turn</span><span><kbd>arrows</kbd> nudge</span
        ><span><kbd>[</kbd> <kbd>]</kbd> choose</span></template
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
