<script setup lang="ts">
import { computed } from 'vue';
import {
  isTail,
  isWing,
  MOST_SEATS,
  SEAT_FIELDS,
  USUAL_SEAT,
  type BodySeat,
  type FormField,
} from '@grain-fold/core/forms';
import { formatAngle } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import ItemList from '../slip/ItemList.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { SeatedDesk } from '../use-forms.ts';
import { SIDES } from './schools.ts';

/** The wings and tails that sit in the body: cut to their own section, wherever they are moved. */
const props = defineProps<{
  desk: SeatedDesk;
  /** How a wing is held. */
  holds: readonly (readonly [value: string, word: string, why: string])[];
  /** What is cut to it: `walls`. */
  cut: string;
}>();
const body = computed(() => props.desk.form.value!.parameters);
const wings = computed(() =>
  props.desk.forms.value.filter((one) => isWing(one) || isTail(one)).map(({ id, name }) => [id, name] as const),
);
const free = computed(() => wings.value.filter(([id]) => !body.value.seats.some(({ formId }) => formId === id)));
const freshSeat = (): Omit<BodySeat, 'id'> | undefined => {
  const [first] = free.value;
  return first && { formId: first[0], ...USUAL_SEAT };
};
const nameOf = ({ formId }: BodySeat): string => wings.value.find(([id]) => id === formId)?.[1] ?? 'gone';
const cutOf = ({ id }: BodySeat) => props.desk.made.value?.figures?.seats.find((seat) => seat.id === id);
const { dowelMm, aheadMm, behindMm, inMm } = SEAT_FIELDS;
const fieldsOf = (seat: BodySeat | undefined): Readonly<Record<string, FormField>> =>
  seat?.hold === 'dowels' ? { dowelMm, aheadMm, behindMm, inMm } : seat?.hold === 'bolts' ? { dowelMm } : {};
const chosen = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'seats' ? body.value.seats[value.index] : undefined;
});
</script>

<template>
  <section aria-label="Seats">
    <FoldAway :title="`What sits in it · ${body.seats.length}`" is-open>
      <p v-if="wings.length === 0" class="about">
        Make a wing or a tail: it can sit on top, go through or hang below, and the {{ cut }} are cut to its own
        section.
      </p>
      <ItemList
        :desk="desk"
        list="seats"
        :items="body.seats"
        :most="MOST_SEATS"
        word="seat"
        :fields="fieldsOf(chosen)"
        :word-of="nameOf"
        :figure-of="(seat) => (cutOf(seat) ? formatAngle(cutOf(seat)!.incidenceDegrees) : '–')"
        :fresh="freshSeat"
        id-prefix="k"
      >
        <template #before="{ item, path }">
          <ChoiceRow
            label="Seat of"
            :model-value="item.formId"
            :choices="wings"
            is-list
            @update:model-value="desk.change('Change what sits there', [{ path: `${path}formId`, value: $event }])"
          />
          <p v-if="cutOf(item)" class="about">{{ nameOf(item) }} is {{ SIDES[cutOf(item)!.side]!(cut) }}.</p>
          <SchoolRow
            label="Held by"
            :model-value="item.hold"
            :choices="holds"
            @update:model-value="desk.change('Change how it is held', [{ path: `${path}hold`, value: $event }])"
          />
        </template>
      </ItemList>
    </FoldAway>
  </section>
</template>

<style scoped>
.about {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 2px 0 6px;
}
</style>
