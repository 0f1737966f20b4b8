<script setup lang="ts">
import { computed } from 'vue';
import { MOST_STRUTS, strutWith, type Strut } from '@grain-fold/core/forms';
import { formatAngle, formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import ItemList from '../slip/ItemList.vue';
import type { StrutDesk } from '../use-forms.ts';
import StrutRows from './StrutRows.vue';

/** A set of struts: the true length of each first, then its ends and what it needs. */
const props = defineProps<{ desk: StrutDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const set = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
const of = ({ id }: Strut) => figures.value?.struts.find((one) => one.id === id);
const figureOf = (strut: Strut): string => {
  const own = of(strut);
  return own ? length(own.lengthMm) : '–';
};
/** What else is read off one: its edges, its ends, the openings that it needs. */
function rowsOf(strut: Strut): readonly (readonly [string, string])[] {
  const own = of(strut);
  if (!own) return [];
  if (own.kind === 'gusset')
    return [
      ['Angle of the corner', formatAngle(own.lowerDegrees)],
      ['Long side', length(own.lengthMm)],
    ];
  return [
    ['Fore edge · aft edge', `${length(own.foreMm)} · ${length(own.aftMm)}`],
    ['Ends off square, below · above', `${formatAngle(own.lowerDegrees)} · ${formatAngle(own.upperDegrees)}`],
    ['Ends bevelled, below · above', `${formatAngle(own.lowerBevel)} · ${formatAngle(own.upperBevel)}`],
    ...own.reliefs.flatMap(({ end, longMm, wideMm, behindNoseMm }) => [
      [`Opening in the sheet ${end}`, `${length(longMm)} × ${length(wideMm)}`] as const,
      ['from the nose there', length(behindNoseMm)] as const,
    ]),
  ];
}
const fresh = (): Omit<Strut, 'id'> => {
  const { id: _id, ...strut } = strutWith({
    id: '',
    kind: 'strut',
    name: `Strut ${set.value.struts.length + 1}`,
    lowerId: set.value.struts[0]?.lowerId ?? '',
    upperId: set.value.struts[0]?.upperId ?? '',
  });
  return strut;
};
const rows = computed((): readonly (readonly [string, string])[] =>
  figures.value
    ? [
        ['Foam', formatArea(figures.value.foamMm2, work.unit)],
        ['Mass', formatMass(figures.value.massG, work.unit)],
        ['its middle, aft of the datum', length(figures.value.massAt.x)],
      ]
    : [],
);
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${set.struts.length} ${set.struts.length === 1 ? 'plate' : 'plates'} between what stands · ${set.material}`"
      @anew="$emit('anew')"
    />
    <section aria-label="Struts">
      <h3 class="eyebrow">Struts and gussets, true length</h3>
      <ItemList
        :desk="desk"
        list="struts"
        :items="set.struts"
        :most="MOST_STRUTS"
        :least="1"
        word="strut"
        :fields="{}"
        :word-of="({ name }) => name"
        :figure-of="figureOf"
        :fresh="fresh"
        id-prefix="s"
      >
        <template #default="{ item, path }">
          <FigureRow v-for="[label, value] in rowsOf(item)" :key="label" :label="label" :value="value" />
          <StrutRows :desk="desk" :strut="item" :path="path" />
        </template>
      </ItemList>
    </section>
    <InTurn><FigureList :desk="desk" :rows="rows" /></InTurn>
    <InTurn><FormSection :desk="desk" is-anywhere /></InTurn>
  </aside>
</template>
