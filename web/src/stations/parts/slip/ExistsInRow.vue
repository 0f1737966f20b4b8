<script setup lang="ts">
import { computed } from 'vue';
import type { Part } from '@grain-fold/core/part';
import TickBox from '../../../kit/TickBox.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** In which variants of the airframe a thing exists; nothing to say while the airframe has none. */
const props = defineProps<{ part: Part; targetId: string; variants?: readonly string[] }>();
const work = useAirframe();
const all = computed(() => work.airframe?.settings.variants ?? []);
const isIn = (name: string): boolean => !props.variants || props.variants.includes(name);
function toggle(name: string): void {
  const now = all.value.filter((one) => (one === name ? !isIn(one) : isIn(one)));
  work.run(props.part.id, {
    name: 'setVariants',
    args: { targetId: props.targetId, variants: now.length === all.value.length ? null : now },
  });
}
</script>

<template>
  <div v-if="all.length > 0" class="row exists" role="group" aria-label="Exists in">
    <span class="label">Exists in</span>
    <span class="names"
      ><TickBox
        v-for="name in all"
        :key="name"
        :model-value="isIn(name)"
        :label="name"
        @update:model-value="toggle(name)"
    /></span>
  </div>
</template>

<style scoped>
.exists {
  align-items: flex-start;
}
.names {
  display: grid;
  gap: 3px;
  justify-items: end;
}
</style>
