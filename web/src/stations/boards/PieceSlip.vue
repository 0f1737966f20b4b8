<script setup lang="ts">
import { computed } from 'vue';
import { turnsOn, type BoardView } from '@grain-fold/core/airframe';
import { boundsOf } from '@grain-fold/core/geometry';
import { formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import type { Placing } from './use-placing.ts';

/** The piece that is chosen on a board: where it lies, and why it may not lie where it was put. */
const props = defineProps<{ placing: Placing; view: BoardView; isFixed: boolean }>();
const work = useAirframe();
const piece = computed(() => props.placing.chosenPiece.value!);
const box = computed(() => boundsOf(piece.value.shape.outer));
const turns = computed(() => turnsOn(work.airframe!, piece.value.piece, props.view.board));
</script>

<template>
  <section class="piece" aria-label="Chosen piece">
    <h2>
      {{ piece.piece.part.name
      }}<template v-if="piece.piece.part.side !== 'single'">, {{ piece.piece.part.side }}</template>
    </h2>
    <div class="row">
      <span>On</span><span class="value">board {{ view.number }}</span>
    </div>
    <div class="row">
      <span>Across, up</span
      ><span class="value"
        >{{ formatLength(box.minX, work.unit) }}, {{ formatLengthWithUnit(box.minY, work.unit) }}</span
      >
    </div>
    <div class="row">
      <span>Turned</span><span class="value">{{ piece.placed.rotation.toFixed(0) }}°</span>
    </div>
    <p v-if="placing.heldFault.value || placing.refusal.value" class="warn" role="alert">
      {{ placing.heldFault.value || placing.refusal.value }}
    </p>
    <div v-if="!isFixed" class="buttons">
      <el-button size="small" :disabled="turns.length < 2" @click="placing.turn(1)">Turn</el-button>
      <el-button text size="small" @click="placing.drop()">Done</el-button>
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
  margin-top: 10px;
}
</style>
