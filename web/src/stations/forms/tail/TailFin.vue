<script setup lang="ts">
import { computed } from 'vue';
import {
  BALANCE_TAB_FIELDS,
  FIN_FIELDS,
  RUDDER_FIELDS,
  tailFromNumbers,
  TIP_FIN_FIELDS,
  type TailParameters,
} from '@grain-fold/core/forms';
import CheckRow from '../../../kit/CheckRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { TailDesk } from '../use-forms.ts';
import { FIN_STANDS, usualFor } from './schools.ts';

/** The upright plates: fin and rudder. */
const props = defineProps<{ desk: TailDesk }>();
const work = useAirframe();
const tail = computed(() => props.desk.form.value!.parameters);
const keep = (label: string, parameters: TailParameters): void =>
  props.desk.replace(label, { ...props.desk.stored.value!, parameters });
function setFin(isThere: boolean): void {
  const { fin: _fin, rudder: _rudder, ...rest } = props.desk.stored.value!.parameters;
  const usual = tailFromNumbers(usualFor(rest));
  // A rudder hangs on its fin: it goes with it.
  keep(isThere ? 'Add a fin' : 'Leave out the fin', isThere ? { ...rest, fin: usual.fin! } : rest);
}
function setRudder(isThere: boolean): void {
  const { rudder: _rudder, ...rest } = props.desk.stored.value!.parameters;
  keep(
    isThere ? 'Add a rudder' : 'Leave out the rudder',
    isThere ? { ...rest, rudder: tailFromNumbers(usualFor(rest)).rudder! } : rest,
  );
}
</script>

<template>
  <section aria-label="Fin and rudder">
    <FoldAway title="Fin and rudder" is-open>
      <CheckRow label="A fin" :model-value="tail.fin !== undefined" @update:model-value="setFin" />
      <template v-if="tail.fin">
        <SchoolRow
          label="Stands"
          :model-value="tail.fin.place"
          :choices="FIN_STANDS"
          @update:model-value="desk.change('Move the fin', [{ path: 'fin.place', value: $event }])"
        />
        <FieldRows :parameters="tail" prefix="fin." :fields="FIN_FIELDS" :unit="work.unit" @change="desk.change" />
        <FieldRows
          v-if="tail.fin.place === 'tips'"
          :parameters="tail"
          prefix="fin."
          :fields="TIP_FIN_FIELDS"
          :unit="work.unit"
          @change="desk.change"
        />
        <CheckRow
          v-else
          label="A tab through the stabiliser"
          :model-value="tail.fin.hasTab"
          @update:model-value="desk.change('Change the tab', [{ path: 'fin.hasTab', value: $event }])"
        />
        <CheckRow label="A rudder" :model-value="tail.rudder !== undefined" @update:model-value="setRudder" />
        <FieldRows
          v-if="tail.rudder"
          :parameters="tail"
          prefix="rudder."
          :fields="{ ...RUDDER_FIELDS, ...BALANCE_TAB_FIELDS }"
          :unit="work.unit"
          @change="desk.change"
        />
      </template>
    </FoldAway>
  </section>
</template>
