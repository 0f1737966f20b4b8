<script setup lang="ts">
import { computed } from 'vue';
import { RIB_FIELDS, TUBE_FIELDS, type ParameterChange, type WingRibs, type WingTube } from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';

/** Ribs between the skins, and the tubes that joints are plugged on. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const ribs = computed(() => wing.value.ribs);
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
const materials = computed(() => {
  const known = materialsOf(work.airframe?.boards ?? []);
  return [...new Set([...(ribs.value ? [ribs.value.material, ribs.value.endMaterial] : []), ...known])].map(
    (one) => [one, one] as const,
  );
});
function setRibs(label: string, next: WingRibs | undefined): void {
  const form = props.desk.stored.value!;
  const { ribs: _before, ...rest } = form.parameters;
  props.desk.replace(label, { ...form, parameters: next ? { ...rest, ribs: next } : rest });
}
/** Ribs of the wing's own board, and of the first wood there is where they carry. */
function addRibs(): void {
  const { material, panels } = wing.value,
    wood = materialsOf(work.airframe?.boards ?? []).find((one) => /ply|wood|balsa/i.test(one));
  setRibs('Add ribs', {
    spacingMm: Math.max(40, Math.round(panels[0]!.spanMm / 4 / 5) * 5),
    material,
    endMaterial: wood ?? material,
    hasWindows: true,
    tubes: [],
  });
}
const joints = computed(() =>
  wing.value.panels
    .map(({ id }, at): readonly [string, string] => [id, at > 0 ? `joint ${at}` : 'the middle'])
    .slice(wing.value.middle === 'panel' ? 1 : 0),
);
const free = computed(() => joints.value.filter(([id]) => !ribs.value?.tubes.some(({ panelId }) => panelId === id)));
/** A tube behind the spar, as thick as the section lets it be. */
function addTube(): void {
  const [panelId] = free.value[0]!,
    { sparPercent, panels } = wing.value,
    panel = panels.find(({ id }) => id === panelId)!;
  const fresh: WingTube = {
    panelId,
    atPercent: Math.min(80, Math.round(sparPercent + 14)),
    diameterMm: 5,
    reachMm: Math.round(Math.min(60, panel.spanMm / 3)),
  };
  setRibs('Plug a joint on a tube', { ...ribs.value!, tubes: [...ribs.value!.tubes, fresh] });
}
const removeTube = (at: number): void =>
  setRibs('Glue the joint', { ...ribs.value!, tubes: ribs.value!.tubes.filter((_, one) => one !== at) });
const tubes = computed(() => props.desk.made.value?.figures?.tubes ?? []);
const title = computed(() =>
  ribs.value ? `Ribs · every ${formatLengthWithUnit(ribs.value.spacingMm, work.unit)}` : 'Ribs · none',
);
</script>

<template>
  <section v-if="(wing.build ?? 'folded') === 'folded'" aria-label="Ribs and tubes">
    <FoldAway :title="title">
      <template v-if="ribs">
        <FieldRows :parameters="wing" prefix="ribs." :fields="RIB_FIELDS" :unit="work.unit" @change="change" />
        <ChoiceRow
          label="Ribs of"
          :model-value="ribs.material"
          :choices="materials"
          is-list
          @update:model-value="change('Change board of the ribs', [{ path: 'ribs.material', value: $event }])"
        />
        <ChoiceRow
          label="End ribs of"
          :model-value="ribs.endMaterial"
          :choices="materials"
          is-list
          @update:model-value="change('Change wood of the end ribs', [{ path: 'ribs.endMaterial', value: $event }])"
        />
        <CheckRow
          label="Windows where they are deep"
          :model-value="ribs.hasWindows"
          @update:model-value="change('Windows of the ribs', [{ path: 'ribs.hasWindows', value: $event }])"
        />
        <div v-for="(tube, at) in ribs.tubes" :key="tube.panelId" class="tube">
          <ChoiceRow
            label="Tube in"
            :model-value="tube.panelId"
            :choices="joints"
            is-list
            @update:model-value="change('Move tube', [{ path: `ribs.tubes.${at}.panelId`, value: $event }])"
          />
          <FieldRows
            :parameters="wing"
            :prefix="`ribs.tubes.${at}.`"
            :fields="TUBE_FIELDS"
            :unit="work.unit"
            @change="change"
          />
          <el-button link size="small" @click="removeTube(at)">Glue this joint instead</el-button>
        </div>
        <p v-for="tube in tubes" :key="tube.name">
          {{ tube.name }}: tube {{ formatLengthWithUnit(tube.tubeMm, work.unit, 0) }}, a sleeve of
          {{ formatLengthWithUnit(tube.sleeveMm, work.unit, 0) }} in each panel. The dihedral lies in the holes.
        </p>
        <div class="ends">
          <el-button size="small" :disabled="free.length === 0" @click="addTube">Plug a joint on a tube</el-button>
          <el-button link size="small" @click="setRibs('Leave the ribs out', undefined)">No ribs</el-button>
        </div>
      </template>
      <template v-else>
        <p>
          They hold the skins to their section, carry plug-in tubes, and are cut round spar, leads, servos and controls.
        </p>
        <el-button size="small" @click="addRibs">Add ribs</el-button>
      </template>
    </FoldAway>
  </section>
</template>

<style scoped>
.tube {
  border-left: 3px solid var(--marigold);
  padding-left: 10px;
  margin: 8px 0;
}
.ends {
  display: flex;
  gap: 10px;
  padding: 8px 0 4px;
}
p {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 4px 0 8px;
}
</style>
