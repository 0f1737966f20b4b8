<script setup lang="ts">
import { computed } from 'vue';
import type { Gap } from '@grain-fold/core/intake';
import { countOf, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import CheckRow from '../../kit/CheckRow.vue';
import FoldAway from '../../kit/FoldAway.vue';
import MeasureField from '../../kit/MeasureField.vue';
import type { BringInOptions } from './use-bring-in.ts';

/** What is mended on the way in: ends that nearly meet, gaps, rows of short runs that were arcs, letters. */
const props = withDefaults(
  defineProps<{ unit: LengthUnit; gaps: readonly Gap[]; isFrameLeftOut?: boolean | undefined }>(),
  { isFrameLeftOut: undefined },
);
const options = defineModel<BringInOptions>('options', { required: true });
const widest = computed(() => props.gaps.at(-1)?.gapMm ?? 0);
/** A little over the widest, so that it is closed too. */
const closeAll = (): void => {
  options.value.gapMm = Math.ceil(widest.value * 100 + 1) / 100;
};
</script>

<template>
  <section>
    <div v-if="gaps.length > 0" class="gaps" role="status">
      <p>
        {{ countOf(gaps.length, 'gap') }} between open ends, up to
        <b class="figures">{{ formatLengthWithUnit(widest, unit) }}</b>, ringed on the mat.
      </p>
      <el-button size="small" @click="closeAll">Close {{ gaps.length === 1 ? 'it' : 'them' }}</el-button>
    </div>
    <CheckRow
      v-if="isFrameLeftOut !== undefined"
      label="What surrounds everything is a frame"
      :model-value="isFrameLeftOut"
      @update:model-value="options.leavesFrameOut = $event"
    />
    <FoldAway title="Mending">
      <MeasureField
        label="Ends are one within"
        :unit="unit"
        :decimals="2"
        :model-value="options.joinMm"
        :least="0.001"
        :most="2"
        @update:model-value="options.joinMm = $event"
      />
      <MeasureField
        label="Gaps are closed up to"
        :unit="unit"
        :decimals="2"
        :auto="options.gapMm === 0 ? 'none' : undefined"
        :model-value="options.gapMm"
        :least="0"
        :most="5"
        @update:model-value="options.gapMm = $event"
      />
      <MeasureField
        label="Short runs are arcs within"
        :unit="unit"
        :decimals="2"
        :auto="options.arcMm === 0 ? 'never' : undefined"
        :model-value="options.arcMm"
        :least="0"
        :most="1"
        @update:model-value="options.arcMm = $event"
      />
      <CheckRow
        label="Keep letters as cuts"
        :model-value="options.keepsLetters"
        @update:model-value="options.keepsLetters = $event"
      />
    </FoldAway>
  </section>
</template>

<style scoped>
.gaps {
  display: flex;
  gap: 8px;
  align-items: center;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 6px 10px;
}
.gaps p {
  flex: 1;
}
</style>
