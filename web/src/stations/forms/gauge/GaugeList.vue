<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import { foundGauges, gaugeWith, holdAlike, MOST_GAUGES, type Gauge } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ItemList from '../slip/ItemList.vue';
import type { GaugeDesk } from '../use-forms.ts';
import GaugeRows from './GaugeRows.vue';

/** The gauges of a set with what each holds, and what else could be gauged here. */
const props = defineProps<{ desk: GaugeDesk }>();
const work = useAirframe();
const gauges = computed(() => props.desk.form.value!.parameters.gauges);
const figureOf = ({ id }: Gauge): string =>
  props.desk.made.value?.figures?.gauges.find((one) => one.id === id)?.figure ?? '–';
const notesOf = ({ id }: Gauge): string | undefined => {
  const { form } = props.desk;
  return work.airframe?.parts.find(
    ({ source }) => source?.formId === form.value!.id && (source.role === id || source.role.startsWith(`${id}-`)),
  )?.notes;
};
const fresh = (): Omit<Gauge, 'id'> => {
  const [first] = props.desk.made.value?.site?.standing.parts ?? [];
  const { id: _id, ...gauge } = gaugeWith({ id: '', kind: 'angle', name: 'Angle', partId: first?.part.id ?? '' });
  return gauge;
};
/** What was found when it was last looked for; undefined until then. */
const found = shallowRef<readonly Gauge[]>();
const others = computed(() => found.value?.filter((one) => !gauges.value.some((known) => holdAlike(known, one))));
const look = (): void => {
  if (work.airframe) found.value = foundGauges(props.desk.form.value!.parameters.material, formContext(work.airframe));
};
function add(more: readonly Gauge[]): void {
  const form = props.desk.stored.value!,
    used = new Set(form.parameters.gauges.map(({ id }) => id));
  let number = 0;
  const named = more.map((one): Gauge => {
    do number += 1;
    while (used.has(`g${number}`));
    return { ...one, id: `g${number}` };
  });
  props.desk.replace(named.length > 1 ? `Add ${named.length} gauges` : `Add ${named[0]!.name}`, {
    ...form,
    parameters: { ...form.parameters, gauges: [...form.parameters.gauges, ...named].slice(0, MOST_GAUGES) },
  });
}
</script>

<template>
  <section aria-label="Gauges">
    <h3 class="eyebrow">Gauges, and what each holds</h3>
    <ItemList
      :desk="desk"
      list="gauges"
      :items="gauges"
      :most="MOST_GAUGES"
      :least="1"
      word="gauge"
      :fields="{}"
      :word-of="({ name, quantity }) => (quantity > 1 ? `${name} × ${quantity}` : name)"
      :figure-of="figureOf"
      :fresh="fresh"
      id-prefix="g"
    >
      <template #default="{ item, path }">
        <p v-if="notesOf(item)" class="notes">{{ notesOf(item) }}</p>
        <GaugeRows :desk="desk" :gauge="item" :path="path" />
      </template>
    </ItemList>
    <el-button size="small" class="look" @click="look">Look for more</el-button>
    <div v-if="others" role="status" class="others">
      <p v-if="others.length === 0">Everything that stands here and can be gauged is in the set.</p>
      <template v-else>
        <div v-for="one in others" :key="one.id" class="row">
          <span class="label">{{ one.name }}</span>
          <el-button size="small" :disabled="gauges.length >= MOST_GAUGES" @click="add([one])">Add</el-button>
        </div>
        <el-button v-if="others.length > 1" size="small" @click="add(others)">Add all {{ others.length }}</el-button>
      </template>
    </div>
  </section>
</template>

<style scoped>
.notes {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 4px 0 8px;
}
.look {
  margin: 8px 0 0 8px;
}
.others {
  padding-top: 8px;
}
</style>
