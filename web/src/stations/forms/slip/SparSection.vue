<script setup lang="ts">
import { computed } from 'vue';
import { BRACE_FIELDS, rodWords, WING_FIELDS, type ParameterChange } from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FigureRow from '../../../kit/FigureRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';
import SchoolRow from './SchoolRow.vue';
import { ENDS, SPAR_ENDS, SPARS } from './schools.ts';

/** The spar, and how panels meet. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
const set = (path: string, word: string, value: string): void => change(`Change ${word}`, [{ path, value }]);
/** A channel has two walls and room between them: it is at least so many boards wide. */
const LEAST_CHANNEL = 3;
const setKind = (kind: string): void =>
  change('Change spar', [
    { path: 'sparKind', value: kind },
    ...(kind === 'channel' && wing.value.sparBoards < LEAST_CHANNEL
      ? [{ path: 'sparBoards', value: LEAST_CHANNEL }]
      : []),
  ]);
const known = computed(() => materialsOf(work.airframe?.boards ?? []));
const materials = computed(() => [
  ['', 'the board of the skins'] as const,
  ...known.value.filter((one) => one !== wing.value.material).map((one) => [one, one] as const),
]);
/** Every sheet there is, and the one that the braces are of. */
const braceMaterials = computed(() =>
  [...new Set([...(wing.value.braces ? [wing.value.braces.material] : []), wing.value.material, ...known.value])].map(
    (one) => [one, one] as const,
  ),
);
/** Braces of the first wood there is, as long as the shortest panel lets them be. */
function setBraces(isWanted: boolean): void {
  const form = props.desk.stored.value!,
    { braces: _before, ...rest } = form.parameters;
  const shortest = Math.min(
    ...rest.panels.map(({ spanMm }, at) => (rest.middle === 'panel' && at === 0 ? spanMm / 2 : spanMm)),
  );
  const braces = {
    material: known.value.find((one) => /ply|wood|balsa/i.test(one)) ?? rest.material,
    reachMm: Math.max(15, Math.round(Math.min(60, 0.5 * shortest))),
  };
  props.desk.replace(isWanted ? 'Brace the joints' : 'Leave the braces out', {
    ...form,
    parameters: isWanted ? { ...rest, braces } : rest,
  });
}
const fields = computed(() => ({
  sparPercent: WING_FIELDS.sparPercent,
  ...(wing.value.section.kind === 'strip-spar' || wing.value.sparKind === 'rod'
    ? { sparHeightMm: WING_FIELDS.sparHeightMm }
    : {}),
  ...(wing.value.sparKind === 'strips' || wing.value.sparKind === 'channel'
    ? { sparBoards: WING_FIELDS.sparBoards }
    : {}),
}));
</script>

<template>
  <section aria-label="Spar and joints">
    <FoldAway v-if="(wing.build ?? 'folded') === 'folded'" title="Spar">
      <SchoolRow label="Spar" :model-value="wing.sparKind" :choices="SPARS" @update:model-value="setKind" />
      <FieldRows :parameters="wing" :fields="fields" :unit="work.unit" @change="change" />
      <ChoiceRow
        v-if="wing.sparKind === 'strips'"
        label="Strips of"
        :model-value="wing.sparMaterial ?? ''"
        :choices="materials"
        is-list
        @update:model-value="
          change('Change board of the spar', [{ path: 'sparMaterial', value: $event === '' ? undefined : $event }])
        "
      />
      <template v-if="desk.made.value?.figures">
        <FigureRow
          v-for="rod in desk.made.value.figures.rods"
          :key="rodWords(rod)"
          :label="`Rod: ${rodWords(rod)}`"
          :value="formatLengthWithUnit(rod.lengthMm, work.unit)"
        />
      </template>
      <SchoolRow
        v-if="wing.sparKind !== 'none'"
        label="At joints"
        :model-value="wing.sparEnds"
        :choices="SPAR_ENDS"
        @update:model-value="set('sparEnds', 'spar at joints', $event)"
      />
      <FieldRows
        v-if="wing.sparKind !== 'none' && wing.sparEnds === 'short'"
        :parameters="wing"
        :fields="{ sparShortMm: WING_FIELDS.sparShortMm }"
        :unit="work.unit"
        @change="change"
      />
    </FoldAway>
    <FoldAway title="Joints">
      <SchoolRow
        label="Panel ends"
        :model-value="wing.ends"
        :choices="ENDS"
        @update:model-value="set('ends', 'panel ends', $event)"
      />
      <template v-if="(wing.build ?? 'folded') === 'folded' && wing.sparKind !== 'none'">
        <CheckRow
          label="Braces through glued joints"
          :model-value="wing.braces !== undefined"
          @update:model-value="setBraces"
        />
        <template v-if="wing.braces">
          <FieldRows :parameters="wing" prefix="braces." :fields="BRACE_FIELDS" :unit="work.unit" @change="change" />
          <ChoiceRow
            label="Braces of"
            :model-value="wing.braces.material"
            :choices="braceMaterials"
            is-list
            @update:model-value="change('Change sheet of the braces', [{ path: 'braces.material', value: $event }])"
          />
        </template>
      </template>
      <template v-if="desk.made.value?.figures">
        <div v-for="joint in desk.made.value.figures.joints" :key="joint.name" class="row">
          <span class="label">{{ joint.name }}, tape on the {{ joint.tapeSide }}</span>
          <span class="value">{{ formatLengthWithUnit(joint.glueMm, work.unit, 0) }} <small>of glue</small></span>
        </div>
        <p v-if="desk.made.value.figures.joints.length > 0" class="hint">
          Tape over both sides where it may fly inverted.
        </p>
      </template>
    </FoldAway>
  </section>
</template>

<style scoped>
.hint {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 4px 0;
}
</style>
