<script setup lang="ts" generic="Item extends { readonly id: string }">
import { computed } from 'vue';
import { withChanges, type Form, type FormField, type ParameterChange } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { FormsDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';

/** A list of a form's parameters: each a line with its figure, the chosen one with its numbers under it. */
const props = defineProps<{
  desk: FormsDesk;
  /** The parameter that it is: `formers`. */
  list: string;
  items: readonly Item[];
  most: number;
  /** At least so many stay. */
  least?: number;
  /** What one of them is called: `former`. */
  word: string;
  fields: Readonly<Record<string, FormField>>;
  wordOf: (item: Item, index: number) => string;
  figureOf: (item: Item) => string;
  /** A fresh one, but for its id; undefined when there is no room for one. */
  fresh: () => Omit<Item, 'id'> | undefined;
  idPrefix: string;
  /** Kept in this order, if they have one. */
  orderOf?: (item: Item) => number;
}>();
const work = useAirframe();
const chosen = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === props.list && value.index < props.items.length ? value.index : undefined;
});
const choose = (index: number | undefined): void => {
  props.desk.chosen.value = index === undefined ? undefined : { kind: props.list, index };
};
function keep(label: string, items: readonly Item[], index?: number): void {
  const form = props.desk.stored.value!;
  props.desk.replace(label, { ...form, parameters: { ...form.parameters, [props.list]: items } } as Form);
  choose(index);
}
function add(): void {
  const fresh = props.fresh();
  if (!fresh) return;
  const used = new Set(props.items.map(({ id }) => id));
  let number = props.items.length + 1;
  while (used.has(`${props.idPrefix}${number}`)) number += 1;
  const item = { ...fresh, id: `${props.idPrefix}${number}` } as Item,
    order = props.orderOf;
  const items = [...props.items, item];
  if (order) items.sort((a, b) => order(a) - order(b));
  keep(`Add ${props.word}`, items, items.indexOf(item));
}
const takeOut = (index: number): void =>
  keep(
    `Take out ${props.word}`,
    props.items.filter((_, at) => at !== index),
  );
const change = (label: string, changes: readonly ParameterChange[]): void => {
  const form = props.desk.stored.value!;
  if (!props.orderOf) {
    props.desk.change(label, changes);
    return;
  }
  // Numbers that move one past its neighbour keep the list in order.
  const next = withChanges(form, changes),
    order = props.orderOf,
    items = [...((next.parameters as unknown as Record<string, readonly Item[]>)[props.list] ?? [])];
  const id = chosen.value === undefined ? undefined : items[chosen.value]?.id;
  items.sort((a, b) => order(a) - order(b));
  keep(
    label,
    items,
    items.findIndex((item) => item.id === id),
  );
};
</script>

<template>
  <template v-for="(item, at) in items" :key="item.id">
    <el-button link class="bare line" :aria-expanded="chosen === at" @click="choose(chosen === at ? undefined : at)">
      <span>{{ wordOf(item, at) }}</span><span class="dots" aria-hidden="true" /><span class="figures">{{
        figureOf(item)
      }}</span>
    </el-button>
    <div v-if="chosen === at" class="own">
      <slot name="before" :item="item" :index="at" :path="`${list}.${at}.`" />
      <FieldRows
        :parameters="desk.form.value!.parameters"
        :prefix="`${list}.${at}.`"
        :fields="fields"
        :unit="work.unit"
        @change="change"
      />
      <slot :item="item" :index="at" :path="`${list}.${at}.`" />
      <el-button v-if="items.length > (least ?? 0)" link size="small" @click="takeOut(at)">Take it out</el-button>
    </div>
  </template>
  <el-button size="small" class="add" :disabled="items.length >= most || fresh() === undefined" @click="add"
    >Add a {{ word }}</el-button
  >
</template>

<style scoped>
.line {
  display: flex;
  width: 100%;
  min-height: 34px;
}
.line :deep(> span) {
  display: flex;
  flex: 1;
  align-items: baseline;
  gap: 7px;
}
.line .figures {
  white-space: nowrap;
  font-weight: 600;
  font-size: 16px;
}
.dots {
  flex: 1;
  border-bottom: 1px dotted #a89a74;
  transform: translateY(-4px);
}
.own {
  border-left: 3px solid var(--marigold);
  padding-left: 10px;
  margin-bottom: 8px;
}
.add {
  margin-top: 8px;
}
</style>
