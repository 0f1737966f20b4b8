<script setup lang="ts">
import { computed } from 'vue';
import { materialsOf } from '@grain-fold/core/stock';
import {
  BODY_FIELDS,
  GEAR_FIELDS,
  HATCH_FIELDS,
  SKID_FIELDS,
  STRIP_FIELDS,
  TRAY_FIELDS,
  type BodyParameters,
  type FormField,
} from '@grain-fold/core/forms';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { BodyDesk } from '../use-forms.ts';
import { HATCHES } from './schools.ts';

/** What is fitted to the body: each is there or not, with its numbers. */
const props = defineProps<{ desk: BodyDesk }>();
const work = useAirframe();
const body = computed(() => props.desk.form.value!.parameters);
type Fitting = 'hatch' | 'tray' | 'gear' | 'skid' | 'strips';
const span = computed(() => {
  const { stations } = body.value,
    from = stations[0]!.aftMm;
  return { from, long: stations.at(-1)!.aftMm - from };
});
const at = (share: number): number => Math.round(span.value.from + share * span.value.long);
const FITTINGS: readonly {
  readonly key: Fitting;
  readonly word: string;
  readonly about: string;
  readonly fields: Readonly<Record<string, FormField>>;
  readonly fresh: () => NonNullable<BodyParameters[Fitting]>;
}[] = [
  {
    key: 'hatch',
    word: 'A hatch in the lid',
    about: 'A piece of the lid that opens.',
    fields: HATCH_FIELDS,
    fresh: () => ({ kind: 'tongue', fromMm: at(0.05), toMm: at(0.22) }),
  },
  {
    key: 'tray',
    word: 'A battery tray',
    about: 'A second floor, with slots for the strap through both.',
    fields: TRAY_FIELDS,
    fresh: () => ({ fromMm: at(0.04), toMm: at(0.22), strapMm: 15 }),
  },
  {
    key: 'gear',
    word: 'A seat for a wire leg',
    about: 'Plates on the floor; all but the lowest are slotted for the wire.',
    fields: GEAR_FIELDS,
    fresh: () => ({ aftMm: at(0.3), lengthMm: 40, wireMm: 3, boards: 2 }),
  },
  {
    key: 'skid',
    word: 'A skid',
    about: 'A runner on edge, its tab through a slot in the floor.',
    fields: SKID_FIELDS,
    fresh: () => ({ aftMm: at(0.75), lengthMm: 80, depthMm: 18 }),
  },
  {
    key: 'strips',
    word: 'Strips in the corners, to round them',
    about: 'As many as leave foam behind the rounding; each bent along the wall within the one before.',
    fields: STRIP_FIELDS,
    fresh: () => ({ atFloor: true, atLid: true, radiusMm: 15, leftMm: 4 }),
  },
];
function set({ key, word, fresh }: (typeof FITTINGS)[number], isThere: boolean): void {
  const form = props.desk.stored.value!;
  const { [key]: _before, ...rest } = form.parameters;
  props.desk.replace(`${isThere ? 'Add' : 'Leave out'} ${word.toLowerCase()}`, {
    ...form,
    parameters: isThere ? { ...rest, [key]: fresh() } : rest,
  });
}
const materials = computed(() =>
  [...new Set([body.value.plateMaterial, ...materialsOf(work.airframe?.boards ?? [])])].map(
    (one) => [one, one] as const,
  ),
);
const follows = computed(() => ({ balanceMm: { word: 'none', value: at(0.33) } }));
</script>

<template>
  <section aria-label="Fittings">
    <FoldAway title="Hatch, tray, gear, skid, corners">
      <template v-for="fitting in FITTINGS" :key="fitting.key">
        <CheckRow
          :label="fitting.word"
          :model-value="body[fitting.key] !== undefined"
          @update:model-value="set(fitting, $event)"
        />
        <div v-if="body[fitting.key]" class="own">
          <p>{{ fitting.about }}</p>
          <SchoolRow
            v-if="fitting.key === 'hatch'"
            label="Held by"
            :model-value="body.hatch!.kind"
            :choices="HATCHES"
            @update:model-value="desk.change('Change hatch', [{ path: 'hatch.kind', value: $event }])"
          />
          <template v-if="fitting.key === 'strips'">
            <CheckRow
              label="At the floor"
              :model-value="body.strips!.atFloor"
              @update:model-value="desk.change('Strips at the floor', [{ path: 'strips.atFloor', value: $event }])"
            />
            <CheckRow
              label="At the lid"
              :model-value="body.strips!.atLid"
              @update:model-value="desk.change('Strips at the lid', [{ path: 'strips.atLid', value: $event }])"
            />
          </template>
          <FieldRows
            :parameters="body"
            :prefix="`${fitting.key}.`"
            :fields="fitting.fields"
            :unit="work.unit"
            @change="desk.change"
          />
        </div>
      </template>
      <FieldRows :parameters="body" :fields="BODY_FIELDS" :follows="follows" :unit="work.unit" @change="desk.change" />
      <ChoiceRow
        label="Plates and skid of"
        :model-value="body.plateMaterial"
        :choices="materials"
        is-list
        @update:model-value="desk.change('Change board of the plates', [{ path: 'plateMaterial', value: $event }])"
      />
    </FoldAway>
  </section>
</template>

<style scoped>
.own {
  border-left: 3px solid var(--marigold);
  padding-left: 10px;
  margin-bottom: 8px;
}
p {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
