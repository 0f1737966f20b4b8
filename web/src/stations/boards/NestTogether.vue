<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { AirframePage } from '@grain-fold/contract';
import {
  freshGuestId,
  isGuestCut,
  MOST_GUESTS,
  withGuest,
  withoutGuest,
  type NestSettings,
  type TakenAlong,
} from '@grain-fold/core/airframe';
import { countOf } from '@grain-fold/core/units';
import { airframesApi } from '../../api/airframes.ts';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** Other airframes whose pieces are cut from the same boards. */
defineProps<{ isRunning: boolean }>();
const work = useAirframe();
const others = shallowRef<readonly { readonly id: string; readonly name: string }[]>([]);
const message = ref('');
const isBusy = ref(false);

type Guest = NonNullable<NestSettings['guests']>[number];
const guests = computed(() => work.airframe?.settings.nest.guests ?? []);
const choices = computed(() =>
  others.value
    .filter(({ id }) => id !== work.airframe?.id && !guests.value.some(({ airframeId }) => airframeId === id))
    .map(({ id, name }) => [id, name] as const),
);
const piecesOf = ({ pieces }: Guest): string =>
  countOf(
    pieces.reduce((sum, { quantity }) => sum + quantity, 0),
    'piece',
  );
/** What stays behind, in words. */
const leftWords = ({ left }: TakenAlong): string =>
  left.length === 0
    ? ''
    : ` Without a board here: ${left.map(({ material, pieces }) => `${countOf(pieces, 'piece')} of ${material}`).join(', ')}.`;

async function look(): Promise<void> {
  try {
    const all: AirframePage['lines'][number][] = [];
    for (;;) {
      const { lines, total } = await airframesApi.list(false, all.length);
      all.push(...lines);
      if (lines.length === 0 || all.length >= total) break;
    }
    others.value = all;
  } catch (error) {
    message.value = error instanceof Error ? error.message : 'The list of airframes could not be read.';
  }
}
/** Takes the pieces of another airframe along as they are now, anew where it is a guest already. */
async function take(airframeId: string, id: string): Promise<void> {
  const own = work.airframe;
  if (!own || isBusy.value) return;
  isBusy.value = true;
  message.value = '';
  try {
    const other = (await airframesApi.open(airframeId)).airframe;
    const taken = await slowly.takenAlong(own, other, id);
    if (work.airframe?.id !== own.id) return;
    if (taken.guest.pieces.length === 0) {
      message.value = `Nothing of ${other.name} can be cut from these boards.${leftWords(taken)}`;
      return;
    }
    work.changeSettings(`Cut together with ${other.name}`, {
      nest: withGuest(work.airframe.settings.nest, taken.guest, taken.rules),
    });
    message.value = `Taken along for the next nest: ${piecesOf(taken.guest)} of ${other.name}.${leftWords(taken)}`;
  } catch (error) {
    message.value = error instanceof Error ? error.message : 'That airframe could not be read.';
  } finally {
    isBusy.value = false;
  }
}
function leaveOut({ id, name }: Guest): void {
  message.value = '';
  work.changeSettings(`Cut without ${name}`, { nest: withoutGuest(work.airframe!.settings.nest, id) });
}
onMounted(look);
</script>

<template>
  <section v-if="guests.length > 0 || choices.length > 0 || message" aria-label="Cut together">
    <h2 class="eyebrow">Cut together</h2>
    <div v-for="guest in guests" :key="guest.id" class="guest">
      <div class="row">
        <span>{{ guest.name }}</span><span class="value">{{ piecesOf(guest) }}</span>
      </div>
      <p v-if="isGuestCut(work.airframe!, guest.id)" class="hint">Cut, or some of it.</p>
      <div v-else class="buttons">
        <el-button
          size="small"
          :disabled="isBusy || isRunning"
          :aria-label="`Take anew: ${guest.name}`"
          @click="take(guest.airframeId, guest.id)"
          >Take anew</el-button
        >
        <el-button size="small" :disabled="isRunning" :aria-label="`Leave out ${guest.name}`" @click="leaveOut(guest)"
          >Leave out</el-button
        >
      </div>
    </div>
    <ChoiceRow
      v-if="choices.length > 0 && guests.length < MOST_GUESTS && !isRunning"
      label="Pieces of"
      is-list
      model-value=""
      :choices="[['', 'another airframe'], ...choices]"
      @update:model-value="$event && take($event, freshGuestId(work.airframe!))"
    />
    <p v-if="guests.length > 0" class="hint">
      Their pieces are as they were when taken. Once cut here, count them as cut on the boards of their own airframe.
    </p>
    <p v-if="message" role="status">{{ message }}</p>
  </section>
</template>

<style scoped>
.buttons {
  display: flex;
  gap: 6px;
  margin: 4px 0 8px;
}
.buttons .el-button {
  margin: 0;
}
.hint {
  color: var(--ink-soft);
  margin-top: 4px;
}
</style>
