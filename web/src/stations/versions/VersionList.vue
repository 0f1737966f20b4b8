<script setup lang="ts">
import { useVirtualList } from '@vueuse/core';
import dayjs from 'dayjs';
import { computed } from 'vue';
import type { RevisionLine } from '@grain-fold/contract';

/** Every version under its day, the newest first. Only the lines in sight are on the page: an airframe can have thousands. */
const props = defineProps<{ lines: readonly RevisionLine[]; chosen?: number; isBusy: boolean }>();
defineEmits<{ choose: [number: number] }>();

const DAY_PX = 52,
  LINE_PX = 41;
type Row = { readonly day: string } | RevisionLine;
const rows = computed<Row[]>(() => {
  const dayOf = ({ savedAt }: RevisionLine): string => dayjs(savedAt).format('D MMMM YYYY');
  return props.lines.flatMap((line, index): Row[] => {
    const before = props.lines[index - 1];
    return before && dayOf(before) === dayOf(line) ? [line] : [{ day: dayOf(line) }, line];
  });
});
const { list, containerProps, wrapperProps } = useVirtualList(rows, {
  itemHeight: (index) => ('day' in rows.value[index]! ? DAY_PX : LINE_PX),
  overscan: 8,
});
</script>

<template>
  <div v-bind="containerProps" class="versions" role="group" aria-label="Versions">
    <div v-bind="wrapperProps">
      <template v-for="{ data: row, index } in list" :key="index">
        <h2 v-if="'day' in row" class="eyebrow day" :style="{ height: `${DAY_PX}px` }">{{ row.day }}</h2>
        <el-button
          v-else
          link
          class="bare version"
          :style="{ height: `${LINE_PX}px` }"
          :aria-pressed="row.number === chosen"
          :disabled="isBusy"
          :title="row.label"
          @click="$emit('choose', row.number)"
        >
          <b class="figures">{{ row.number }}</b><span>{{ row.label }}</span
          ><time class="figures">{{ dayjs(row.savedAt).format('HH:mm') }}</time>
        </el-button>
      </template>
    </div>
  </div>
</template>

<style scoped>
.day {
  display: flex;
  align-items: flex-end;
  padding-bottom: 4px;
}
.version {
  display: flex;
  gap: 16px;
  width: 100%;
  align-items: baseline;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--foam-edge);
  background: none;
  padding: 8px 10px;
}
.version:hover {
  background: #f3ead8;
}
.version[aria-pressed='true'] {
  background: var(--ticket);
  box-shadow: inset 4px 0 var(--marigold);
}
.version b {
  min-width: 34px;
  font-size: 17px;
  font-weight: 600;
}
.version span {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.version time {
  color: var(--ink-soft);
  font-weight: 500;
  font-size: 15px;
}
</style>
