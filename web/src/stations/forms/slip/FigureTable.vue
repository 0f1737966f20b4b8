<script setup lang="ts">
/** A table of figures: each row with its words, what is said under them, and its figures. */
export interface FigureTableRow {
  readonly key: string;
  readonly words: string;
  readonly small?: string;
  readonly figures: readonly string[];
}
defineProps<{ label: string; columns: readonly string[]; rows: readonly FigureTableRow[] }>();
</script>

<template>
  <div role="table" :aria-label="label" :style="{ '--figures': columns.length - 1 }">
    <div role="row" class="head">
      <span v-for="column in columns" :key="column" role="columnheader">{{ column }}</span>
    </div>
    <div v-for="row in rows" :key="row.key" role="row">
      <span role="rowheader"
        >{{ row.words }}<small v-if="row.small">{{ row.small }}</small></span
      >
      <span v-for="(figure, at) in row.figures" :key="at" role="cell" class="figures">{{ figure }}</span>
    </div>
  </div>
</template>

<style scoped>
[role='row'] {
  display: grid;
  grid-template-columns: minmax(0, 1fr) repeat(var(--figures), minmax(56px, auto));
  gap: 8px;
  padding: 3px 0;
  font-size: 13.5px;
  border-bottom: 1px solid var(--rule, #e8dfc6);
}
span:not(:first-child) {
  text-align: right;
}
.figures {
  font-weight: 600;
}
small {
  display: block;
  color: var(--ink-soft);
}
.head {
  color: var(--label);
}
</style>
