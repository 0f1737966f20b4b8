<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  contradictions,
  MEASURE_LINES,
  measureLine,
  missingMeasures,
  NOTHING_MEASURED,
  suspects,
  withMeasured,
  type MeasureKey,
} from '@grain-fold/core/plan';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** The list for a model on the bench, one line after the other, large enough for one hand and a tape in the other. */
const props = defineProps<{ desk: PlanDesk }>();
defineEmits<{ done: [] }>();
const work = useAirframe();
const measured = computed(() => props.desk.stored.value.measured ?? NOTHING_MEASURED);
const groups = computed(() =>
  [...new Set(MEASURE_LINES.map(({ group }) => group))].map((group) => ({
    group,
    lines: MEASURE_LINES.filter((line) => line.group === group),
  })),
);
const next = computed(() => MEASURE_LINES.find(({ key }) => measured.value.lengths[key] === undefined)?.key);
const wrong = computed(() => contradictions(measured.value));
const doubted = computed(() => suspects(measured.value).slice(0, 3));
const missing = computed(() => missingMeasures(measured.value));
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
const open = ref<MeasureKey>();
const setMass = (massG: number): void => {
  const { massG: _before, ...rest } = measured.value;
  const next = massG > 0 ? { ...rest, massG } : rest;
  props.desk.run((plan) => withMeasured(plan, next, props.desk.context.value.boardMm, 'Weigh the model'));
};

function set(key: MeasureKey, mm: number | undefined): void {
  const { [key]: _before, ...rest } = measured.value.lengths;
  const lengths = mm === undefined ? rest : { ...rest, [key]: mm };
  const { word } = measureLine(key);
  props.desk.run((plan) =>
    withMeasured(
      plan,
      { ...measured.value, lengths },
      props.desk.context.value.boardMm,
      mm === undefined ? `Forget ${word.toLowerCase()}` : `Measure ${word.toLowerCase()}`,
    ),
  );
}
</script>

<template>
  <aside class="slip bench" aria-label="From a model on the bench">
    <div class="slip-head">
      <h2>From a model on the bench</h2>
      <p>In the order of the bench. Leave out what you cannot reach.</p>
    </div>
    <section v-if="wrong.length > 0" class="wrong" role="alert" aria-label="Contradictions">
      <article v-for="(one, index) in wrong" :key="index">
        <h3>
          {{ measureLine(one.whole).word }}: {{ length(one.measuredMm) }} measured, {{ length(one.addedMm) }} added up
        </h3>
        <p v-if="one.told === 'sum'">
          {{ one.parts.map((key) => measureLine(key).word.toLowerCase()).join(' + ') }} should give it, within
          {{ length(one.toleranceMm) }}.
        </p>
        <p v-else>
          {{ one.parts.map((key) => measureLine(key).word.toLowerCase()).join(' and ') }} cannot be longer than it.
        </p>
      </article>
      <p v-if="doubted.length > 0">Measure again, the likeliest first:</p>
      <div v-for="one in doubted" :key="one.key" class="doubt">
        <span>{{ measureLine(one.key).word }}: {{ length(one.fitsAtMm) }} would fit</span>
        <el-button size="small" @click="set(one.key, one.fitsAtMm)">It is {{ length(one.fitsAtMm) }}</el-button>
      </div>
    </section>
    <section v-for="{ group, lines } in groups" :key="group">
      <h3 class="eyebrow">{{ group }}</h3>
      <div
        v-for="line in lines"
        :key="line.key"
        class="measure-line"
        :class="{ next: line.key === next }"
        @focusin="open = line.key"
      >
        <MeasureField
          :label="line.word"
          :unit="work.unit"
          :auto="measured.lengths[line.key] === undefined ? '–' : undefined"
          :model-value="measured.lengths[line.key] ?? 0"
          :least="line.isSigned ? -3000 : 0"
          :most="12000"
          @update:model-value="set(line.key, $event)"
        />
        <p v-if="open === line.key || line.key === next" class="how">
          {{ line.how }} Within {{ length(line.toleranceMm) }}.
          <el-button
            v-if="measured.lengths[line.key] !== undefined"
            link
            size="small"
            :aria-label="`Forget ${line.word}`"
            @click="set(line.key, undefined)"
            >Forget</el-button
          >
        </p>
      </div>
    </section>
    <section>
      <h3 class="eyebrow">Mass</h3>
      <MeasureField
        label="Ready to fly, grams"
        kind="number"
        :auto="measured.massG === undefined ? '–' : undefined"
        :model-value="measured.massG ?? 0"
        :least="0"
        :most="100000"
        @update:model-value="setMass"
      />
    </section>
    <section v-if="missing.length > 0" aria-label="What is missing">
      <h3 class="eyebrow">Still wanted</h3>
      <p v-for="one in missing" :key="one.blocked" class="missing">
        <b>{{ one.missing.map(({ word }) => word).join(', ') }}</b> for {{ one.blocked }}
      </p>
    </section>
    <div class="take"><el-button type="primary" @click="$emit('done')">Done measuring</el-button></div>
  </aside>
</template>

<style scoped>
.bench :deep(.measure) {
  min-height: 46px;
  font-size: 15.5px;
}
.bench :deep(.el-input) {
  width: 112px;
}
.bench :deep(.el-input__inner) {
  height: 40px;
  font-size: 20px;
}
.next {
  border-left: 4px solid var(--marigold);
  padding-left: 8px;
  margin-left: -12px;
}
.how,
.missing {
  font-size: 13.5px;
  color: var(--ink-soft);
  padding: 2px 0 6px;
}
.wrong {
  position: sticky;
  top: -20px;
  z-index: 2;
  max-height: 60vh;
  overflow-y: auto;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 10px 12px;
}
.wrong h3 {
  font-size: 14.5px;
}
.doubt {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  padding-top: 6px;
}
.take {
  z-index: 3;
  position: sticky;
  bottom: -32px;
  margin: 18px -18px -32px;
  padding: 12px 18px 16px;
  background: var(--foam);
  border-top: 2px solid var(--ink);
}
</style>
