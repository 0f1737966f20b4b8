<script setup lang="ts">
import { computed, ref } from 'vue';
import { MOST_SETS, setsOf, WIDEST_KERF_MM, type NestSettings } from '@grain-fold/core/airframe';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';
import TickBox from '../../kit/TickBox.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import TakeOutDialog from '../take-out/TakeOutDialog.vue';
import { SEARCHES, type SearchOrder } from './searches.ts';

/** What pieces keep from each other, how they may turn, and how long a nest is searched for. */
defineProps<{ order: SearchOrder; isLaid: boolean }>();
const emit = defineEmits<{ 'update:order': [value: SearchOrder]; another: [] }>();
const work = useAirframe();

const settings = computed(() => work.airframe!.settings.nest);
const change = (changes: Partial<NestSettings>): void =>
  work.changeSettings('Change nest', { nest: { ...settings.value, ...changes } });
/** A blade's cut takes nothing away: that is not noted. */
function changeKerf(kerfMm: number): void {
  const { kerfMm: _before, ...rest } = settings.value;
  work.changeSettings('Change kerf', { nest: kerfMm > 0 ? { ...rest, kerfMm } : rest });
}
/** Square turns are what a nest begins with. */
function changeFreely(turnsFreely: boolean): void {
  const { turnsFreely: _before, ...rest } = settings.value;
  work.changeSettings('Change turns', { nest: turnsFreely ? { ...rest, turnsFreely } : rest });
}
/** How many are cut together; one is not noted. */
function changeSets(sets: number): void {
  const { sets: _before, ...rest } = settings.value;
  work.changeSettings('Change sets', { nest: sets > 1 ? { ...rest, sets } : rest });
}
/** Starts the search elsewhere, from a number that the file keeps. */
function tryAnother(): void {
  change({ seed: (settings.value.seed % 999_999) + 1 });
  emit('another');
}
/** A board that goes to a cutter of its own. */
const isTakingOut = ref(false);
</script>

<template>
  <section>
    <h2 class="eyebrow">Distances and search</h2>
    <div class="rows">
      <MeasureField
        label="Between parts"
        :unit="work.unit"
        :model-value="settings.clearanceMm"
        :least="0"
        :most="50"
        @update:model-value="change({ clearanceMm: $event })"
      />
      <MeasureField
        label="A cut takes away"
        :unit="work.unit"
        :model-value="settings.kerfMm ?? 0"
        :least="0"
        :most="WIDEST_KERF_MM"
        @update:model-value="changeKerf($event)"
      />
      <MeasureField
        label="From the board's edge"
        :unit="work.unit"
        :model-value="settings.edgeMarginMm"
        :least="0"
        :most="100"
        @update:model-value="change({ edgeMarginMm: $event })"
      />
      <ChoiceRow
        label="Free parts turn by"
        :model-value="String(settings.turnStep)"
        :choices="[
          ['90', '90°'],
          ['45', '45°'],
          ['30', '30°'],
          ['15', '15°'],
        ]"
        @update:model-value="change({ turnStep: Number($event) as NestSettings['turnStep'] })"
      />
      <TickBox
        label="and by any angle where that lets them fit"
        :model-value="settings.turnsFreely ?? false"
        @update:model-value="changeFreely($event)"
      />
      <MeasureField
        label="Sets of the airframe"
        kind="number"
        :decimals="0"
        :model-value="setsOf(work.airframe!)"
        :least="1"
        :most="MOST_SETS"
        @update:model-value="changeSets(Math.round($event))"
      />
      <ChoiceRow
        label="Search"
        :model-value="order.length.id"
        :choices="SEARCHES.map(({ id, word }) => [id, word] as const)"
        @update:model-value="emit('update:order', { ...order, length: SEARCHES.find(({ id }) => id === $event)! })"
      />
      <ChoiceRow
        label="It runs"
        :model-value="order.isOnServer ? 'server' : 'page'"
        :choices="[
          ['page', 'in this page'],
          ['server', 'on the server'],
        ]"
        @update:model-value="emit('update:order', { ...order, isOnServer: $event === 'server' })"
      />
    </div>
    <el-button v-if="isLaid" class="another" size="small" @click="tryAnother"> Another try </el-button>
    <el-button v-if="isLaid" class="another" size="small" @click="isTakingOut = true"> Take a board out </el-button>
    <p class="hint">
      Nesting again goes on from this nest around what is locked; another try starts elsewhere, and the better one
      stays.
    </p>
    <TakeOutDialog v-model="isTakingOut" :board="1" />
  </section>
</template>

<style scoped>
.another {
  margin-top: 10px;
}
.another + .another {
  margin-left: 8px;
}
.hint {
  color: var(--ink-soft);
  margin-top: 4px;
}
</style>
