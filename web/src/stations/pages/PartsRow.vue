<script setup lang="ts">
import { computed, useId } from 'vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** Some of the parts, chosen one by one or by their group. */
const props = defineProps<{ partIds: readonly string[] }>();
const emit = defineEmits<{ change: [partIds: string[]] }>();
const work = useAirframe();
const id = useId();
const GROUP = 'group:';
const parts = computed(() => work.airframe?.parts ?? []);
const groups = computed(() => [...new Set(parts.value.map(({ group }) => group).filter(Boolean))]);
const chosen = computed(() => {
  const there = new Set(parts.value.map((part) => part.id));
  return props.partIds.filter((one) => there.has(one));
});
/** A group stands for all of its parts. */
function take(values: readonly string[]): void {
  const ids = values.flatMap((value) =>
    value.startsWith(GROUP)
      ? parts.value.filter(({ group }) => group === value.slice(GROUP.length)).map((part) => part.id)
      : [value],
  );
  emit('change', [...new Set(ids)]);
}
</script>

<template>
  <label class="visually-hidden" :for="id">Parts of this section</label>
  <el-select
    :id="id"
    class="parts"
    :model-value="chosen"
    multiple
    filterable
    collapse-tags
    :max-collapse-tags="2"
    :persistent="false"
    :validate-event="false"
    aria-label="Parts of this section"
    placeholder="Choose its parts"
    @update:model-value="take($event)"
  >
    <el-option v-for="group in groups" :key="GROUP + group" :value="GROUP + group" :label="`All of ${group}`" />
    <el-option v-for="part in parts" :key="part.id" :value="part.id" :label="part.name" />
  </el-select>
</template>

<style scoped>
.parts {
  width: 100%;
  margin: 4px 0;
}
</style>
