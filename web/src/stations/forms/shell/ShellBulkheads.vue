<script setup lang="ts">
import { computed } from 'vue';
import { BULKHEAD_FIELDS, MOST_BULKHEADS, SHELL_HATCH_FIELDS, type ShellBulkhead } from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import CheckRow from '../../../kit/CheckRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import CutFromRow from '../slip/CutFromRow.vue';
import FieldRows from '../slip/FieldRows.vue';
import ItemList from '../slip/ItemList.vue';
import type { ShellDesk } from '../use-forms.ts';

/** Plates across the shell, and the hatch that is cut out of it once it is glued. */
const props = defineProps<{ desk: ShellDesk }>();
const work = useAirframe();
const shell = computed(() => props.desk.form.value!.parameters);
const between = (share: number): number => {
  const { sections } = shell.value,
    from = sections[0]!.aftMm;
  return Math.round(from + share * (sections.at(-1)!.aftMm - from));
};
const fresh = (): Omit<ShellBulkhead, 'id'> => ({ aftMm: between(0.6), rimMm: 12 });
function setHatch(isThere: boolean): void {
  const form = props.desk.stored.value!,
    { hatch: _before, ...rest } = form.parameters;
  const corners = form.parameters.sections[0]!.corners.length;
  props.desk.replace(isThere ? 'Add a hatch' : 'Leave out the hatch', {
    ...form,
    parameters: isThere
      ? { ...rest, hatch: { fromMm: between(0.4), toMm: between(0.7), overCorner: Math.max(1, corners - 2) } }
      : rest,
  });
}
</script>

<template>
  <section aria-label="Bulkheads">
    <FoldAway :title="`Bulkheads · ${shell.bulkheads.length}`">
      <ItemList
        :desk="desk"
        list="bulkheads"
        :items="shell.bulkheads"
        :most="MOST_BULKHEADS"
        word="bulkhead"
        :fields="BULKHEAD_FIELDS"
        :word-of="(_, at) => `Bulkhead ${at + 1}`"
        :figure-of="({ aftMm }) => formatLengthWithUnit(aftMm, work.unit)"
        :fresh="fresh"
        id-prefix="b"
        :order-of="({ aftMm }) => aftMm"
      >
        <template #default="{ item, path }">
          <CutFromRow
            :model-value="item.material"
            :own="`the shell’s: ${shell.material}`"
            @update:model-value="desk.change('Change board of bulkhead', [{ path: `${path}material`, value: $event }])"
          />
        </template>
      </ItemList>
    </FoldAway>
    <FoldAway title="Hatch, cut out after gluing">
      <CheckRow label="A hatch" :model-value="shell.hatch !== undefined" @update:model-value="setHatch" />
      <template v-if="shell.hatch">
        <FieldRows
          :parameters="shell"
          prefix="hatch."
          :fields="SHELL_HATCH_FIELDS"
          :unit="work.unit"
          @change="desk.change"
        />
        <p>
          Its line is marked on the outside, over the corner that is counted from the keel: glue the shell first, then
          cut, so that the hatch fits the hole it came out of.
        </p>
      </template>
    </FoldAway>
  </section>
</template>

<style scoped>
p {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
