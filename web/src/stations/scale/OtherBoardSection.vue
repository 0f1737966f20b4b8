<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import type { BoardFigures, InOtherBoard, OtherBoard } from '@grain-fold/core/airframe';
import { materialsOf, thicknessOf, THICKEST_BOARD_MM, THINNEST_BOARD_MM } from '@grain-fold/core/stock';
import { countOf, formatLengthWithUnit, formatBareMass, formatPrice, worded } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import FoldAway from '../../kit/FoldAway.vue';
import MeasureField from '../../kit/MeasureField.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** The same outlines cut from another sheet: what that would come to, before it is taken. */
const work = useAirframe();
const ANOTHER = '';
const MOST_TOLD = 8;

const used = computed(() => [...new Set((work.airframe?.parts ?? []).map(({ material }) => material))]);
const chosenFrom = ref('');
const from = computed(() => (used.value.includes(chosenFrom.value) ? chosenFrom.value : (used.value[0] ?? '')));
const to = ref(ANOTHER);
const measuredMm = computed(() => thicknessOf(from.value, work.airframe?.boards ?? []) ?? THINNEST_BOARD_MM);
const typedMm = ref<number>();
const thicknessMm = computed(() => typedMm.value ?? measuredMm.value);
const sheets = computed(() => [
  [ANOTHER, 'another thickness'] as const,
  ...materialsOf(work.airframe?.boards ?? [])
    .filter((one) => one !== from.value)
    .map((one) => [one, one] as const),
]);
const asked = computed((): OtherBoard =>
  to.value === ANOTHER ? { thicknessMm: thicknessMm.value } : { material: to.value },
);

const found = shallowRef<InOtherBoard>();
const isLooking = ref(false);
const fault = ref('');
let turn = 0;
// What was found for another sheet, or other parts, is not for this one.
watch([asked, from, () => work.airframe], () => {
  turn += 1;
  found.value = undefined;
  isLooking.value = false;
});
async function look(): Promise<void> {
  const { airframe } = work;
  if (!airframe) return;
  const own = ++turn;
  fault.value = '';
  isLooking.value = true;
  try {
    const answer = await slowly.otherBoard(airframe, from.value, asked.value);
    if (own !== turn) return;
    if (answer.ok) found.value = answer.value;
    else fault.value = worded(`${answer.message[0]!.toUpperCase()}${answer.message.slice(1)}.`, work.unit);
  } finally {
    if (own === turn) isLooking.value = false;
  }
}
function take(): void {
  if (found.value) work.commitMade(`In ${found.value.material}`, found.value.airframe);
}

const rows = computed(() => {
  if (!found.value) return [];
  const { before, after } = found.value;
  const row = (word: string, of: (figures: BoardFigures) => string) => ({ word, before: of(before), after: of(after) });
  return [
    row('Foam', ({ foamG }) => formatBareMass(foamG, work.unit)),
    row('Boards', ({ boards, unplaced }) => `${boards}${unplaced > 0 ? ` and ${unplaced} left` : ''}`),
    row('Boards cost', ({ boardCost }) => formatPrice(boardCost, work.airframe?.settings.currency)),
  ];
});
const movedNames = computed(() =>
  (work.airframe?.parts ?? []).filter(({ id }) => found.value?.movedIds.includes(id)).map(({ name }) => name),
);
</script>

<template>
  <FoldAway title="In another board">
    <p class="about">The same outlines: grooves, slots and forms follow the sheet.</p>
    <ChoiceRow
      v-if="used.length > 1"
      label="All that is cut from"
      :model-value="from"
      :choices="used.map((one) => [one, one] as const)"
      is-list
      @update:model-value="chosenFrom = $event"
    />
    <ChoiceRow label="Cut from" :model-value="to" :choices="sheets" is-list @update:model-value="to = $event" />
    <MeasureField
      v-if="to === ANOTHER"
      :label="`Thickness, now ${formatLengthWithUnit(measuredMm, work.unit, 2)}`"
      :unit="work.unit"
      :decimals="2"
      :model-value="thicknessMm"
      :least="THINNEST_BOARD_MM"
      :most="THICKEST_BOARD_MM"
      @update:model-value="typedMm = $event"
    />
    <div class="buttons">
      <el-button :loading="isLooking" @click="look">See what it comes to</el-button>
      <el-button v-if="found && found.changed > 0" type="primary" @click="take"
        >Cut from {{ found.material }}</el-button
      >
    </div>
    <div v-if="found" role="status">
      <p>
        {{ countOf(found.changed, 'part') }} from {{ formatLengthWithUnit(found.thicknessMm, work.unit, 2) }} of
        {{ found.material }}.
      </p>
      <el-table class="figures" :data="rows">
        <el-table-column prop="word" label="" />
        <el-table-column prop="before" label="now" align="right" />
        <el-table-column prop="after" label="then" align="right" />
      </el-table>
      <p v-if="movedNames.length > 0">Lines would move to keep the inside of {{ movedNames.join(', ') }}.</p>
      <p v-if="found.faults.length === 0" class="sound">Nothing breaks.</p>
      <div v-else class="warn">
        <b>{{ countOf(found.faults.length, 'new fault') }}</b>
        <ul>
          <li v-for="one in found.faults.slice(0, MOST_TOLD)" :key="one.title">{{ one.title }}</li>
        </ul>
        <p v-if="found.faults.length > MOST_TOLD">and {{ found.faults.length - MOST_TOLD }} more</p>
      </div>
    </div>
    <p v-if="fault" class="warn" role="alert">{{ fault }}</p>
  </FoldAway>
</template>

<style scoped>
.about {
  color: var(--ink-soft);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}
.buttons .el-button {
  margin: 0;
}
.sound {
  margin-top: 8px;
  border-left: 4px solid var(--moss);
  padding-left: 12px;
}
.warn {
  margin-top: 8px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
</style>
