<script setup lang="ts">
import { computed } from 'vue';
import {
  matesFor,
  mateOf,
  pieceName,
  shapeOf,
  turnsOn,
  withMate,
  withPartOnCleanBoards,
  type BoardView,
} from '@grain-fold/core/airframe';
import { boundsOf } from '@grain-fold/core/geometry';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';
import TickBox from '../../kit/TickBox.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import type { BoardOnMat } from './lay-out-boards.ts';
import type { HandWork } from './use-by-hand.ts';
import type { Placing } from './use-placing.ts';

/** The piece that is chosen on a board: where it lies, and why it may not lie where it was put. */
const props = defineProps<{
  placing: Placing;
  hand: HandWork;
  view: BoardView;
  boards: readonly BoardOnMat[];
  isFixed: boolean;
  /** Whether what the next nest keeps to may be changed: an older nest is no bar to that. */
  maySet: boolean;
}>();
const emit = defineEmits<{ nestBoard: [board: number] }>();
const work = useAirframe();
const piece = computed(() => props.placing.chosenPiece.value!);
const now = computed(() => props.placing.held.value?.placed ?? piece.value.placed);
const box = computed(() => boundsOf(shapeOf(piece.value.piece, now.value).outer));
const turns = computed(() => turnsOn(work.airframe!, piece.value.piece, props.view.board));
/** Boards of the piece's material: it can be sent to each. */
const choices = computed(() =>
  props.boards.flatMap(({ view }, at) =>
    !view.isCut && view.board.material === piece.value.piece.part.material
      ? [[String(at), `board ${view.number}`] as const]
      : [],
  ),
);
const isBoardLocked = computed(() => props.view.pieces.every(({ placed }) => placed.isLocked));
const partId = computed(() => piece.value.piece.part.id);
const isOnClean = computed(() => work.airframe!.settings.nest.onCleanBoards?.includes(partId.value) === true);
function keepToClean(isKept: boolean): void {
  const { name } = piece.value.piece.part;
  work.changeSettings(isKept ? `Keep ${name} to clean boards` : `Let ${name} lie on any board`, {
    nest: withPartOnCleanBoards(work.airframe!.settings.nest, partId.value, isKept),
  });
}
const NO_MATE = '';
const mate = computed(() => mateOf(work.airframe!.settings.nest, piece.value.piece.id) ?? NO_MATE);
/** What it can be cut side by side with: the other hand of it first, for matched foam. */
const mates = computed(() => {
  const { id, part } = piece.value.piece;
  const own = matesFor(work.airframe!, piece.value.piece);
  const isOwn = (one: (typeof own)[number]): boolean => one.part.id === part.id;
  return [
    [NO_MATE, 'anything'] as const,
    ...[...own.filter(isOwn), ...own.filter((one) => !isOwn(one))].map(
      (one) => [one.id, one.id === id ? 'another of it' : pieceName(one)] as const,
    ),
  ];
});
function keepBeside(id: string): void {
  const other = mates.value.find(([value]) => value === id)?.[1] ?? '';
  work.changeSettings(
    id === NO_MATE
      ? `Let ${pieceName(piece.value.piece)} lie beside anything`
      : `Cut ${pieceName(piece.value.piece)} beside ${other}`,
    { nest: withMate(work.airframe!.settings.nest, piece.value.piece.id, id || undefined) },
  );
}
const isHeld = computed(() => props.placing.held.value !== undefined);
</script>

<template>
  <section class="piece" aria-label="Chosen piece">
    <h2>{{ pieceName(piece.piece) }}</h2>
    <div v-if="choices.length < 2 || isFixed || placing.isFast.value" class="row">
      <span>On</span
      ><span class="value"
        >board {{ view.number }}<template v-if="view.isCut">, cut</template
        ><template v-else-if="hand.isLocked.value">, locked</template></span
      >
    </div>
    <ChoiceRow
      v-else
      label="On"
      is-list
      :model-value="String(placing.chosen.value?.board ?? 0)"
      :choices="choices"
      @update:model-value="hand.send(Number($event))"
    />
    <MeasureField
      label="Across"
      :unit="work.unit"
      :model-value="box.minX"
      :decimals="2"
      :disabled="isFixed || placing.isFast.value"
      @update:model-value="placing.moveTo({ left: $event })"
    />
    <MeasureField
      label="Up"
      :unit="work.unit"
      :model-value="box.minY"
      :decimals="2"
      :disabled="isFixed || placing.isFast.value"
      @update:model-value="placing.moveTo({ bottom: $event })"
    />
    <MeasureField
      label="Turned"
      kind="angle"
      :model-value="now.rotation"
      :least="-360"
      :most="360"
      :disabled="isFixed || placing.isFast.value"
      @update:model-value="placing.turnTo($event)"
    />
    <TickBox
      label="Only on clean boards: whole, no dents"
      :model-value="isOnClean"
      :disabled="!maySet || isHeld || view.isCut"
      @update:model-value="keepToClean"
    />
    <ChoiceRow
      v-if="mates.length > 1"
      label="Cut beside"
      is-list
      :model-value="mate"
      :choices="mates"
      :disabled="!maySet || isHeld || view.isCut"
      @update:model-value="keepBeside"
    />
    <p v-if="placing.heldFault.value || placing.refusal.value" class="warn" role="alert">
      {{ placing.heldFault.value || placing.refusal.value }}
    </p>
    <div v-if="!isFixed" class="buttons">
      <template v-if="isHeld">
        <el-button type="primary" size="small" :disabled="placing.heldFault.value !== ''" @click="placing.putDown()"
          >Put it down</el-button
        >
        <el-button size="small" @click="placing.backOut()">Take it back</el-button>
      </template>
      <el-button size="small" :disabled="turns.length < 2 || placing.isFast.value" @click="placing.turn(1)"
        >Turn</el-button
      >
      <el-button v-if="!isHeld && !view.isCut" size="small" @click="hand.lock()">{{
        hand.isLocked.value ? 'Unlock' : 'Lock'
      }}</el-button>
      <el-button v-if="!isHeld" text size="small" @click="placing.drop()">Done</el-button>
    </div>
    <template v-if="view.isCut">
      <p v-if="piece.isChanged" class="hint">Its part has changed since: this is what was cut.</p>
      <p v-if="piece.placed.isScrap" class="hint">It came to nothing: another is cut.</p>
      <div class="buttons">
        <el-button size="small" :disabled="!maySet" @click="hand.scrap()">{{
          piece.placed.isScrap ? 'It is good after all' : 'It is spoilt: cut another'
        }}</el-button>
      </div>
    </template>
    <div v-if="!isFixed && !isHeld && !view.isCut" class="buttons">
      <el-button size="small" @click="emit('nestBoard', placing.chosen.value!.board)"
        >Nest board {{ view.number }} alone</el-button
      >
      <el-button size="small" @click="hand.lockBoard()">{{
        isBoardLocked ? 'Unlock its pieces' : 'Lock its pieces'
      }}</el-button>
    </div>
  </section>
</template>

<style scoped>
.piece {
  margin-top: 16px;
  padding: 12px 14px;
  background: #fff4dc;
  border-left: 4px solid var(--marigold);
}
h2 {
  font-size: 15px;
}
.hint {
  margin-top: 8px;
  color: var(--ink-soft);
}
.warn {
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 10px;
  margin-top: 8px;
  font-weight: 500;
}
.buttons {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin-top: 10px;
}
.buttons .el-button {
  margin: 0;
}
</style>
