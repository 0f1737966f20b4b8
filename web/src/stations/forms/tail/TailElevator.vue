<script setup lang="ts">
import { computed } from 'vue';
import {
  BALANCE_TAB_FIELDS,
  ELEVATOR_FIELDS,
  JOINER_FIELDS,
  tailFromNumbers,
  type TailParameters,
} from '@grain-fold/core/forms';
import CheckRow from '../../../kit/CheckRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { TailDesk } from '../use-forms.ts';
import { HALVES, TAPES, usualFor } from './schools.ts';

/** What moves behind the stabiliser. */
const props = defineProps<{ desk: TailDesk }>();
const work = useAirframe();
const tail = computed(() => props.desk.form.value!.parameters);
function set(isThere: boolean): void {
  const form = props.desk.stored.value!,
    { elevator: _before, ...rest } = form.parameters;
  const usual = tailFromNumbers(usualFor(form.parameters)).elevator!;
  const parameters: TailParameters = isThere ? { ...rest, elevator: usual } : rest;
  props.desk.replace(isThere ? 'Add an elevator' : 'Leave out the elevator', { ...form, parameters });
}
</script>

<template>
  <section aria-label="Elevator">
    <FoldAway title="Elevator" is-open>
      <CheckRow label="An elevator" :model-value="tail.elevator !== undefined" @update:model-value="set" />
      <template v-if="tail.elevator">
        <FieldRows
          :parameters="tail"
          prefix="elevator."
          :fields="ELEVATOR_FIELDS"
          :unit="work.unit"
          @change="desk.change"
        />
        <SchoolRow
          label="Elevator in"
          :model-value="tail.elevator.halves"
          :choices="HALVES"
          @update:model-value="desk.change('Change the elevator', [{ path: 'elevator.halves', value: $event }])"
        />
        <FieldRows
          v-if="tail.elevator.halves === 'two'"
          :parameters="tail"
          prefix="elevator."
          :fields="JOINER_FIELDS"
          :unit="work.unit"
          @change="desk.change"
        />
        <SchoolRow
          label="Taped"
          :model-value="tail.elevator.tape"
          :choices="TAPES"
          @update:model-value="desk.change('Change the tape', [{ path: 'elevator.tape', value: $event }])"
        />
        <FieldRows
          :parameters="tail"
          prefix="elevator."
          :fields="BALANCE_TAB_FIELDS"
          :unit="work.unit"
          @change="desk.change"
        />
      </template>
    </FoldAway>
  </section>
</template>
