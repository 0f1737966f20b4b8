<script setup lang="ts">
import { computed } from 'vue';
import type { FoldView } from '@grain-fold/core/airframe';
import { sizeCommand, type PlateSize, type SizeEnd } from '@grain-fold/core/folds';
import { operationWord } from '@grain-fold/core/operations';
import { lineName, type Part } from '@grain-fold/core/part';
import CheckRow from '../../../kit/CheckRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** What the plates measure when they are folded, outside and inside; a size that is typed moves the flat lines. */
const props = defineProps<{ part: Part; view: FoldView }>();
const work = useAirframe();
const body = computed(() => props.view.parts.find(({ part }) => part.id === props.view.partId)!.body);
const MOST_SIZES = 16;
const sizes = computed(() => props.view.sizes);

function endName(end: SizeEnd): string {
  const operation = props.part.operations.find(({ id }) => id === end.operationId);
  if (operation)
    return (
      operation.label ||
      `${operationWord(operation)} ${props.part.operations.filter(({ kind }) => kind === operation.kind).indexOf(operation) + 1}`
    );
  const edge = body.value.edges.find(({ from, to }) => from === end.from && to === end.to);
  return edge ? lineName(props.part, edge.segmentId.replace(/~.*$/, '')) : 'its edge';
}
const nameOf = ({ ends }: PlateSize): string => `${endName(ends[0])} to ${endName(ends[1])}`;
const endsOf = ({ ends }: PlateSize): readonly [string, string] => [ends[0].id, ends[1].id];
/** A size that is typed inside is meant inside from then on, and the other way round. */
function set(size: PlateSize, is: 'outer' | 'inner', mm: number): void {
  const ends = endsOf(size);
  work.runAll(
    props.part.id,
    [
      sizeCommand(props.part, size, is, mm, props.view.scale),
      ...(isDrawn(ends) ? [{ name: 'keepSize' as const, args: { ends, is } }] : []),
    ],
    'Set folded size',
  );
}
const isDrawn = (ends: readonly [string, string]): boolean => ends.every((id) => !id.includes('~'));
const isKeptInside = (size: PlateSize): boolean => {
  const ends = [...endsOf(size)].sort().join();
  return props.part.insideSizes?.some(({ fromId, toId }) => [fromId, toId].sort().join() === ends) ?? false;
};
const keep = (size: PlateSize, isInside: boolean): void => {
  work.run(props.part.id, { name: 'keepSize', args: { ends: endsOf(size), is: isInside ? 'inner' : 'outer' } });
};
</script>

<template>
  <section v-if="sizes.length > 0" aria-label="Sizes folded">
    <h2 class="eyebrow">Sizes folded</h2>
    <div v-for="(size, index) in sizes.slice(0, MOST_SIZES)" :key="index" class="size">
      <p>{{ nameOf(size) }}</p>
      <MeasureField
        label="outside"
        :unit="work.unit"
        :least="0.1"
        :model-value="size.outerMm"
        @update:model-value="set(size, 'outer', $event)"
      />
      <MeasureField
        :label="size.liningMm > 0 ? 'clear inside' : 'inside'"
        :unit="work.unit"
        :least="0.1"
        :model-value="size.innerMm"
        @update:model-value="set(size, 'inner', $event)"
      />
      <CheckRow
        v-if="isDrawn(endsOf(size))"
        label="stays so in another board"
        :model-value="isKeptInside(size)"
        @update:model-value="keep(size, $event)"
      />
    </div>
    <p v-if="sizes.length > MOST_SIZES" class="more">and {{ sizes.length - MOST_SIZES }} more plates</p>
  </section>
</template>

<style scoped>
.size {
  border-left: 4px solid #c9bd9f;
  padding: 0 0 4px 10px;
  margin: 8px 0;
}
.size p {
  font-weight: 500;
}
.more {
  color: var(--ink-soft);
}
</style>
