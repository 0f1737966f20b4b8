<script setup lang="ts">
import { computed } from 'vue';
import {
  DOWEL_SLIT_EDGES,
  LAYER_OPENING_FIELDS,
  LAYER_OPENING_SIDES,
  LAYER_OPENINGS,
  LAYER_REACH_FIELDS,
  MOST_LAYER_OPENINGS,
  MOST_LAYER_REACHES,
  MOST_SLITS,
  SLIT_FIELDS,
  type DowelSlit,
  type FormField,
  type LayerOpening,
  type LayerReach,
} from '@grain-fold/core/forms';
import { formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ItemList from '../slip/ItemList.vue';
import type { LayeredDesk } from '../use-forms.ts';

/** What is cut out of which layers: bays, notches and slits, and layers that do not go all the way. */
const props = defineProps<{ desk: LayeredDesk }>();
const work = useAirframe();
const layered = computed(() => props.desk.form.value!.parameters);
const length = (mm: number): string => formatLength(mm, work.unit);
const kinds = LAYER_OPENINGS.map((kind) => [kind, kind === 'bay' ? 'a bay within' : `a ${kind}`] as const);
const sides = LAYER_OPENING_SIDES.map((side) => [side, side === 'both' ? 'both sides' : side] as const);
const edges = DOWEL_SLIT_EDGES.map((edge) => [edge, edge === 'above' ? 'from above' : 'from below'] as const);
const deepOf = ({ id }: LayerOpening): string => {
  const own = props.desk.made.value?.figures?.openings.find((one) => one.id === id);
  return own ? `${formatLengthWithUnit(own.deepMm, work.unit)} deep` : '–';
};
const chosen = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'openings' ? layered.value.openings[value.index] : undefined;
});
const fieldsOf = (one: LayerOpening | undefined): Readonly<Record<string, FormField>> => {
  const { upMm, heightMm, ...others } = LAYER_OPENING_FIELDS;
  return one?.kind === 'bay'
    ? { ...others, heightMm: { ...heightMm, word: 'Height' }, upMm }
    : { ...others, heightMm: { ...heightMm, word: 'Depth' } };
};
/** Half way along, half way up. */
const middle = computed(() => {
  const { stations } = layered.value,
    at = stations[Math.floor(stations.length / 2)]!;
  return { aftMm: Math.round(at.aftMm), upMm: Math.round((at.topMm + at.bottomMm) / 2), high: at.topMm - at.bottomMm };
});
const freshOpening = (): Omit<LayerOpening, 'id'> => ({
  name: ['Pack', 'Receiver', 'Servo', 'Fin'][layered.value.openings.length] ?? 'Bay',
  kind: 'bay',
  side: 'both',
  fromLayer: layered.value.layers > 2 ? 2 : 1,
  toLayer: 4,
  fromMm: middle.value.aftMm,
  lengthMm: 40,
  upMm: middle.value.upMm,
  heightMm: Math.max(4, Math.round(0.35 * middle.value.high)),
});
const freshSlit = (): Omit<DowelSlit, 'id'> => ({ edge: 'below', aftMm: middle.value.aftMm, acrossMm: 4, deepMm: 8 });
const freshReach = (): Omit<LayerReach, 'id'> | undefined => {
  const used = new Set(layered.value.reaches.map(({ layer }) => layer)),
    layer = [1, 2, 3, 4].find((one) => !used.has(one) && one <= Math.ceil(layered.value.layers / 2)),
    { stations } = layered.value;
  return layer === undefined
    ? undefined
    : { layer, fromMm: stations[0]!.aftMm, toMm: Math.round(0.5 * stations.at(-1)!.aftMm) };
};
</script>

<template>
  <section aria-label="Layers">
    <FoldAway :title="`Bays and notches · ${layered.openings.length}`" is-open>
      <ItemList
        :desk="desk"
        list="openings"
        :items="layered.openings"
        :most="MOST_LAYER_OPENINGS"
        word="bay or notch"
        :fields="fieldsOf(chosen)"
        :word-of="({ name }) => name"
        :figure-of="deepOf"
        :fresh="freshOpening"
        id-prefix="o"
      >
        <template #before="{ item, path }">
          <TextRow
            label="For"
            :most="40"
            :model-value="item.name"
            @update:model-value="
              $event.trim() && desk.change('Rename the opening', [{ path: `${path}name`, value: $event.trim() }])
            "
          />
          <ChoiceRow
            label="It is"
            :model-value="item.kind"
            :choices="kinds"
            is-list
            @update:model-value="desk.change('Change the opening', [{ path: `${path}kind`, value: $event }])"
          />
          <ChoiceRow
            label="Through the layers of"
            :model-value="item.side"
            :choices="sides"
            is-list
            @update:model-value="desk.change('Change its side', [{ path: `${path}side`, value: $event }])"
          />
        </template>
      </ItemList>
    </FoldAway>
    <FoldAway :title="`Slits for dowels · ${layered.slits.length}`">
      <ItemList
        :desk="desk"
        list="slits"
        :items="layered.slits"
        :most="MOST_SLITS"
        word="slit"
        :fields="SLIT_FIELDS"
        :word-of="({ edge, aftMm }) => `${edge === 'above' ? 'from above' : 'from below'} at ${length(aftMm)}`"
        :figure-of="({ deepMm }) => `${formatLengthWithUnit(deepMm, work.unit)} deep`"
        :fresh="freshSlit"
        id-prefix="s"
      >
        <template #before="{ item, path }">
          <ChoiceRow
            label="Cut"
            :model-value="item.edge"
            :choices="edges"
            @update:model-value="desk.change('Change the slit', [{ path: `${path}edge`, value: $event }])"
          />
        </template>
      </ItemList>
    </FoldAway>
    <FoldAway :title="`Layers that end early · ${layered.reaches.length}`">
      <ItemList
        :desk="desk"
        list="reaches"
        :items="layered.reaches"
        :most="MOST_LAYER_REACHES"
        word="layer that ends early"
        :fields="LAYER_REACH_FIELDS"
        :word-of="({ layer }) => `layer ${layer}`"
        :figure-of="({ fromMm, toMm }) => `${length(fromMm)} to ${length(toMm)}`"
        :fresh="freshReach"
        id-prefix="r"
      />
    </FoldAway>
  </section>
</template>
