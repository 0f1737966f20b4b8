<script setup lang="ts">
import { computed } from 'vue';
import {
  BAY_FIELDS,
  MOST_BAYS,
  MOST_OPENINGS,
  OPENING_FIELDS,
  OPENING_KINDS,
  OPENING_SIDES,
  type BodyBay,
  type BodyOpening,
  type FormField,
} from '@grain-fold/core/forms';
import { formatLength } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ItemList from '../slip/ItemList.vue';
import type { BodyDesk } from '../use-forms.ts';

/** What is to fit into the body, and the openings in its sheets. */
const props = defineProps<{ desk: BodyDesk }>();
const work = useAirframe();
const body = computed(() => props.desk.form.value!.parameters);
const kinds = OPENING_KINDS.map((kind) => [kind, kind] as const);
const sides = OPENING_SIDES.map((side) => [side, side === 'walls' ? 'both walls' : side] as const);
const roomOf = ({ id }: BodyBay) => props.desk.made.value?.figures?.bays.find((bay) => bay.id === id);
function roomText(bay: BodyBay): string {
  const room = roomOf(bay);
  if (!room) return 'beyond the body';
  return `${formatLength(room.widthMm, work.unit)} × ${formatLength(room.heightMm, work.unit)}${room.isRoomy ? '' : ' · tight'}`;
}
const { aftMm, upMm, lengthMm, widthMm } = OPENING_FIELDS;
const fieldsOf = (opening: BodyOpening | undefined): Readonly<Record<string, FormField>> =>
  opening?.on === 'walls'
    ? { aftMm, upMm, lengthMm, widthMm: { ...widthMm, word: 'Height' } }
    : { aftMm, lengthMm, widthMm };
const chosen = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'openings' ? body.value.openings[value.index] : undefined;
});
const nose = computed(() => body.value.stations[0]!);
const freshBay = (): Omit<BodyBay, 'id'> => ({
  name: ['Pack', 'Receiver', 'Speed control'][body.value.bays.length] ?? 'Bay',
  fromMm: Math.round(nose.value.aftMm + 20),
  lengthMm: 80,
  widthMm: 35,
  heightMm: 25,
});
const freshOpening = (): Omit<BodyOpening, 'id'> => ({
  kind: 'cooling in',
  on: 'walls',
  aftMm: Math.round(nose.value.aftMm + 30),
  upMm: Math.round((nose.value.topMm + nose.value.bottomMm) / 2),
  lengthMm: 15,
  widthMm: 10,
});
</script>

<template>
  <section aria-label="Bays and openings">
    <FoldAway :title="`What has to fit in · ${body.bays.length}`">
      <ItemList
        :desk="desk"
        list="bays"
        :items="body.bays"
        :most="MOST_BAYS"
        word="bay"
        :fields="BAY_FIELDS"
        :word-of="({ name }) => name"
        :figure-of="roomText"
        :fresh="freshBay"
        id-prefix="y"
      >
        <template #before="{ item, path }">
          <TextRow
            label="What"
            :most="40"
            :model-value="item.name"
            @update:model-value="
              $event.trim() && desk.change('Rename bay', [{ path: `${path}name`, value: $event.trim() }])
            "
          />
        </template>
      </ItemList>
    </FoldAway>
    <FoldAway :title="`Openings · ${body.openings.length}`">
      <ItemList
        :desk="desk"
        list="openings"
        :items="body.openings"
        :most="MOST_OPENINGS"
        word="opening"
        :fields="fieldsOf(chosen)"
        :word-of="({ kind, on }) => `${kind}, ${on}`"
        :figure-of="
          ({ lengthMm: long, widthMm: wide }) => `${formatLength(long, work.unit)} × ${formatLength(wide, work.unit)}`
        "
        :fresh="freshOpening"
        id-prefix="o"
      >
        <template #before="{ item, path }">
          <ChoiceRow
            label="For"
            :model-value="item.kind"
            :choices="kinds"
            is-list
            @update:model-value="desk.change('Change opening', [{ path: `${path}kind`, value: $event }])"
          />
          <ChoiceRow
            label="In"
            :model-value="item.on"
            :choices="sides"
            is-list
            @update:model-value="desk.change('Move opening', [{ path: `${path}on`, value: $event }])"
          />
        </template>
      </ItemList>
    </FoldAway>
  </section>
</template>
