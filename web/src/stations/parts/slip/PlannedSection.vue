<script setup lang="ts">
import { computed } from 'vue';
import type { Part } from '@grain-fold/core/part';
import { followPlan, letGoOfPlan, planLink } from '@grain-fold/core/plan';
import { CoreError } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** Where in the plan the part was taken from, and whether the plan has moved on since. */
const props = defineProps<{ part: Part }>();
const work = useAirframe();
const link = computed(() => planLink(work.airframe?.plan, props.part));
const from = computed(() => {
  const { planned } = props.part,
    plan = work.airframe?.plan;
  return [...(plan?.things ?? []), ...(plan?.lines ?? [])].find(({ id }) => id === planned?.from)?.name;
});
const put = (label: string, next: Part): void =>
  work.setParts(label, work.airframe?.parts.map((one) => (one.id === next.id ? next : one)) ?? []);
function follow(): void {
  const plan = work.airframe?.plan;
  if (!plan) return;
  try {
    put(`Bring ${props.part.name} up to the plan`, followPlan(plan, props.part));
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    work.message = error.message;
  }
}
</script>

<template>
  <section v-if="link" aria-label="From the plan">
    <h2 class="eyebrow">From the plan</h2>
    <p v-if="link === 'same'">Taken from {{ from }}: as the plan shows it.</p>
    <p v-else-if="link === 'moved'" class="moved">The plan moved on since this was taken from {{ from }}.</p>
    <p v-else>What it was taken from is no longer in the plan.</p>
    <div class="acts">
      <el-button v-if="link === 'moved'" size="small" type="primary" @click="follow">Bring it up to the plan</el-button>
      <el-button size="small" @click="put(`Let ${part.name} go its own way`, letGoOfPlan(part))"
        >Let it go its own way</el-button
      >
    </div>
  </section>
</template>

<style scoped>
.moved {
  color: var(--marigold-deep);
  font-weight: 500;
}
.acts {
  display: flex;
  gap: 6px;
  padding-top: 6px;
}
.acts .el-button {
  margin: 0;
}
</style>
