<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { ThicknessBreaks } from '@grain-fold/core/airframe';
import { THICKEST_BOARD_MM, THINNEST_BOARD_MM } from '@grain-fold/core/stock';
import { countOf, formatLengthWithUnit } from '@grain-fold/core/units';
import FoldAway from '../../kit/FoldAway.vue';
import MeasureField from '../../kit/MeasureField.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** What another thickness of a material would break, told before it is measured so. */
const props = defineProps<{ material: string; thicknessMm: number }>();
const emit = defineEmits<{ measure: [thicknessMm: number] }>();
const work = useAirframe();

/** Boards are looked at this much thinner and thicker, as far as they come out of a shop. */
const STEP_MM = 0.1;
const MOST_STEPS = 8;
const MOST_TOLD = 6;

const isOpen = ref(false),
  isLooking = ref(false);
const thinner = shallowRef<readonly ThicknessBreaks[]>([]),
  thicker = shallowRef<readonly ThicknessBreaks[]>([]),
  tried = shallowRef<ThicknessBreaks>();
const trialMm = ref<number>();
const message = ref('');
let turn = 0;
onScopeDispose(() => {
  turn += 1;
});

/** Asks at one thickness; nothing when the airframe changed or the view closed meanwhile. */
async function lookAt(thicknessMm: number, own: number): Promise<ThicknessBreaks | undefined> {
  const { airframe } = work;
  if (!airframe || own !== turn) return undefined;
  const answer = await slowly.thicknessBreaks(airframe, props.material, thicknessMm);
  if (own !== turn) return undefined;
  message.value = answer.ok ? '' : answer.message;
  return answer.ok ? answer.value : undefined;
}

/** Looks further and further away on one side, until something breaks. */
async function lookAlong(sign: 1 | -1, own: number, show: (found: readonly ThicknessBreaks[]) => void): Promise<void> {
  let found: readonly ThicknessBreaks[] = [];
  for (let step = 1; step <= MOST_STEPS; step++) {
    const at = props.thicknessMm + sign * step * STEP_MM;
    if (at < THINNEST_BOARD_MM || at > THICKEST_BOARD_MM) return;
    const next = await lookAt(at, own);
    if (!next) return;
    found = [...found, next];
    show(found);
    if (next.faults.length > 0) return;
  }
}
async function look(): Promise<void> {
  const own = ++turn;
  [thinner.value, thicker.value, tried.value] = [[], [], undefined];
  isLooking.value = true;
  try {
    await lookAlong(-1, own, (found) => (thinner.value = found));
    await lookAlong(1, own, (found) => (thicker.value = found));
    if (trialMm.value !== undefined) tried.value = await lookAt(trialMm.value, own);
  } finally {
    if (own === turn) isLooking.value = false;
  }
}
watch([isOpen, () => work.airframe], () => {
  if (isOpen.value) void look();
  else turn += 1;
});
async function tryAt(thicknessMm: number): Promise<void> {
  trialMm.value = thicknessMm;
  if (!isLooking.value) tried.value = await lookAt(thicknessMm, turn);
}

const length = (mm: number): string => formatLengthWithUnit(mm, work.unit, 2);
const lastGood = (found: readonly ThicknessBreaks[]): number =>
  found.filter(({ faults }) => faults.length === 0).at(-1)?.thicknessMm ?? props.thicknessMm;
const range = computed(() => [lastGood(thinner.value), lastGood(thicker.value)] as const);
const broken = computed(() => [...thinner.value, ...thicker.value].filter(({ faults }) => faults.length > 0));
const movedNames = ({ movedIds }: ThicknessBreaks): string =>
  (work.airframe?.parts ?? [])
    .filter(({ id }) => movedIds.includes(id))
    .map(({ name }) => name)
    .join(', ');
</script>

<template>
  <FoldAway title="What another thickness would break" @toggle="isOpen = $event">
    <div class="outlook" aria-live="polite">
      <p>
        <template v-if="isLooking">Looking: so far nothing breaks</template>
        <template v-else>Nothing breaks</template>
        from <b class="figures">{{ length(range[0]) }}</b> to <b class="figures">{{ length(range[1]) }}</b>.
      </p>
      <div v-for="{ thicknessMm: at, faults } in broken" :key="at" class="broken">
        <b class="figures">At {{ length(at) }}</b>
        <ul>
          <li v-for="fault in faults.slice(0, MOST_TOLD)" :key="fault.title">{{ fault.title }}</li>
        </ul>
        <p v-if="faults.length > MOST_TOLD">and {{ countOf(faults.length - MOST_TOLD, 'more fault') }}</p>
      </div>
      <div class="try">
        <MeasureField
          label="Try a thickness"
          :unit="work.unit"
          :decimals="2"
          :model-value="trialMm ?? thicknessMm"
          :least="THINNEST_BOARD_MM"
          :most="THICKEST_BOARD_MM"
          @update:model-value="tryAt($event)"
        />
        <el-button v-if="tried" size="small" @click="emit('measure', tried.thicknessMm)">
          Measure it as {{ length(tried.thicknessMm) }}
        </el-button>
      </div>
      <div v-if="tried" :class="tried.faults.length > 0 ? 'broken' : 'sound'" role="status">
        <p v-if="tried.faults.length === 0">Nothing breaks at {{ length(tried.thicknessMm) }}.</p>
        <template v-else>
          <b class="figures">At {{ length(tried.thicknessMm) }}</b>
          <ul>
            <li v-for="fault in tried.faults.slice(0, MOST_TOLD)" :key="fault.title">{{ fault.title }}</li>
          </ul>
          <p v-if="tried.faults.length > MOST_TOLD">and {{ countOf(tried.faults.length - MOST_TOLD, 'more fault') }}</p>
        </template>
        <p v-if="tried.movedIds.length > 0">Lines would move to keep the inside of {{ movedNames(tried) }}.</p>
      </div>
      <p v-if="message" role="alert">{{ message }}</p>
    </div>
  </FoldAway>
</template>

<style scoped>
.outlook {
  display: grid;
  gap: 8px;
  max-width: 720px;
  padding: 4px 0 8px;
}
.broken,
.sound {
  border-left: 4px solid var(--brick);
  background: var(--brick-pale);
  padding: 6px 0 6px 12px;
}
.sound {
  border-left-color: var(--moss);
  background: none;
}
ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
.try {
  display: flex;
  gap: 12px;
  align-items: end;
  flex-wrap: wrap;
}
.try > :first-child {
  width: 300px;
}
</style>
