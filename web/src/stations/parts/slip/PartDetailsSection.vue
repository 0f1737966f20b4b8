<script setup lang="ts">
import { computed } from 'vue';
import type { PartDetails } from '@grain-fold/core/editing';
import { pathsOf, type Part } from '@grain-fold/core/part';
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ExistsInRow from './ExistsInRow.vue';
import TextRow from '../../../kit/TextRow.vue';

const props = defineProps<{ part: Part; /** Part that lies beneath this one on the mat. */ beneathId?: string }>();
const emit = defineEmits<{ beneath: [partId: string | undefined] }>();
const work = useAirframe();
const materials = computed(() =>
  [...new Set([...materialsOf(work.airframe?.boards ?? []), props.part.material])].map((name) => [name, name] as const),
);
const groups = computed(() =>
  [...new Set((work.airframe?.parts ?? []).map(({ group }) => group))].filter((group) => group !== ''),
);
const others = computed(() => [
  ['', 'nothing'] as const,
  ...(work.airframe?.parts ?? []).filter(({ id }) => id !== props.part.id).map(({ id, name }) => [id, name] as const),
]);
/** A centre line starts where the drawing's straight edge lies nearest to it: at its lower or left end, or at 0 while nothing is drawn. */
function setSymmetry(along: string): void {
  const nodes = pathsOf(props.part).flatMap((path) => path.nodes);
  const atMm =
    props.part.symmetry?.atMm ??
    (nodes.length === 0 ? 0 : Math.min(...nodes.map(({ x, y }) => (along === 'level' ? y : x))));
  work.run(props.part.id, {
    name: 'setSymmetry',
    args: { symmetry: along === 'whole' ? null : { along: along as 'level' | 'upright', atMm } },
  });
}
const change = (changes: Partial<PartDetails>): void => {
  work.run(props.part.id, { name: 'changeDetails', args: { changes } });
};
</script>

<template>
  <section aria-label="About this part">
    <h2 class="eyebrow">This part</h2>
    <div class="rows">
      <MeasureField
        label="How many"
        kind="number"
        :model-value="part.quantity"
        :least="1"
        :most="999"
        @update:model-value="change({ quantity: Math.round($event) })"
      />
      <ChoiceRow
        label="Made"
        :model-value="part.handed"
        :choices="[
          ['single', 'single'],
          ['pair', 'handed pair'],
        ]"
        @update:model-value="change({ handed: $event as Part['handed'] })"
      />
      <InTurn>
        <ChoiceRow
          label="Material"
          :model-value="part.material"
          :choices="materials"
          @update:model-value="change({ material: $event })"
        />
        <ChoiceRow
          label="Grain"
          :model-value="part.grain.rule"
          :choices="[
            ['any', 'any way'],
            ['along', 'runs along'],
            ['across', 'runs across'],
          ]"
          @update:model-value="change({ grain: { ...part.grain, rule: $event as Part['grain']['rule'] } })"
        />
        <MeasureField
          v-if="part.grain.rule !== 'any'"
          label="Grain direction"
          kind="angle"
          :model-value="part.grain.directionDegrees"
          :least="-360"
          :most="360"
          @update:model-value="change({ grain: { ...part.grain, directionDegrees: $event } })"
        />
      </InTurn>
      <InTurn>
        <ChoiceRow
          label="Drawn"
          :model-value="part.symmetry?.along ?? 'whole'"
          :choices="[
            ['whole', 'whole'],
            ['level', 'half, about a level line'],
            ['upright', 'half, about an upright line'],
          ]"
          @update:model-value="setSymmetry"
        />
        <MeasureField
          v-if="part.symmetry"
          :label="part.symmetry.along === 'level' ? 'Centre line up' : 'Centre line across'"
          :unit="work.unit"
          :decimals="2"
          :model-value="part.symmetry.atMm"
          @update:model-value="
            work.run(part.id, {
              name: 'setSymmetry',
              args: { symmetry: { along: part.symmetry!.along, atMm: $event } },
            })
          "
        />
      </InTurn>
      <InTurn>
        <ChoiceRow
          label="Show beneath"
          :model-value="beneathId ?? ''"
          :choices="others"
          @update:model-value="emit('beneath', $event === '' ? undefined : $event)"
        />
        <ChoiceRow
          label="When scaled"
          :model-value="part.sizing"
          :choices="[
            ['scaled', 'grows'],
            ['fixed', 'keeps its size'],
          ]"
          @update:model-value="change({ sizing: $event as Part['sizing'] })"
        />
        <TextRow
          label="Group"
          title="A / makes groups within groups: Wing / Tip"
          :model-value="part.group"
          :known="groups"
          @update:model-value="change({ group: $event })"
        />
      </InTurn>
    </div>
    <InTurn>
      <ExistsInRow :part="part" :target-id="part.id" :variants="part.variants" />
      <TextRow
        label="Notes"
        :lines="2"
        :most="10000"
        :model-value="part.notes"
        @update:model-value="change({ notes: $event })"
      />
    </InTurn>
  </section>
</template>
