<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { ElMessage } from 'element-plus';
import { BOUNDS } from '@grain-fold/contract';
import type { Part } from '@grain-fold/core/part';
import { followPlan, partOffers, planLink, takePart, type PartOffer } from '@grain-fold/core/plan';
import { CoreError } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** What of the plan can be taken as parts, and parts that were taken before the plan moved on. */
const props = defineProps<{ desk: PlanDesk }>();
const work = useAirframe();
const router = useRouter();
const plan = computed(() => props.desk.stored.value);
const offers = computed(() =>
  partOffers(plan.value).map((offer) => ({
    offer,
    taken: work.airframe?.parts.find(({ planned }) => planned?.from === offer.from && planned.role === offer.role),
  })),
);
const moved = computed(() => (work.airframe?.parts ?? []).filter((part) => planLink(plan.value, part) === 'moved'));

function take(offer: PartOffer): void {
  const airframe = work.airframe;
  if (!airframe) return;
  if (airframe.parts.length >= BOUNDS.parts) {
    work.message = `An airframe holds ${BOUNDS.parts} parts: take one out first.`;
    return;
  }
  try {
    const part = takePart(plan.value, offer, work.freshId('p'), airframe.boards[0]?.material ?? 'foam');
    work.setParts(`Take ${part.name} from the plan`, [...airframe.parts, part]);
    ElMessage({ message: `${part.name} is among the parts.` });
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    work.message = error.message;
  }
}
function follow(part: Part): void {
  const airframe = work.airframe;
  if (!airframe) return;
  const next = followPlan(plan.value, part);
  work.setParts(
    `Bring ${part.name} up to the plan`,
    airframe.parts.map((one) => (one.id === part.id ? next : one)),
  );
}
const open = (partId: string): void => void router.push({ name: 'parts', params: { id: work.airframe?.id, partId } });
</script>

<template>
  <section v-if="offers.length > 0" aria-label="Into parts">
    <h2 class="eyebrow">Into parts</h2>
    <div v-for="part in moved" :key="part.id" class="moved">
      <p>
        <b>{{ part.name }}</b> was taken before the plan moved on.
      </p>
      <el-button size="small" type="primary" @click="follow(part)">Bring it up to the plan</el-button>
    </div>
    <div v-for="{ offer, taken } in offers" :key="`${offer.from}${offer.role}`" class="row offer">
      <span class="label"
        >{{ offer.name }}<small>{{ offer.word }}</small></span
      >
      <el-button v-if="taken" link size="small" @click="open(taken.id)">Open it</el-button>
      <el-button v-else size="small" :aria-label="`Take ${offer.name}`" @click="take(offer)">Take</el-button>
    </div>
  </section>
</template>

<style scoped>
small {
  display: block;
  color: var(--ink-soft);
}
.offer {
  min-height: 42px;
}
.moved {
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 8px 10px;
  margin: 6px 0;
  display: grid;
  gap: 6px;
  justify-items: start;
}
</style>
