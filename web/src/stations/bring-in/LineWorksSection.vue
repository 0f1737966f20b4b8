<script setup lang="ts">
import { computed, ref } from 'vue';
import { LINE_WORKS, usualAngle, type ClassWork, type LineClass, type LineWork } from '@grain-fold/core/intake';
import { traitsOf } from '@grain-fold/core/operations';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import MeasureField from '../../kit/MeasureField.vue';
import { alikeWorks, keepWorks, worksBy, type KeptWorks } from './kept-works.ts';
import type { BringInOptions } from './use-bring-in.ts';

/** What the lines of each look become; kept under a name for drawings that look alike. */
const props = defineProps<{ classes: readonly LineClass[]; unit: LengthUnit }>();
const options = defineModel<BringInOptions>('options', { required: true });
const emit = defineEmits<{ light: [key: string | undefined] }>();

/** So many looks are shown at once. */
const MOST_SHOWN = 40;
const shown = computed(() => props.classes.slice(0, MOST_SHOWN));
const wordOf = (work: LineWork): string =>
  work === 'cut' ? 'cut' : work === 'leave' ? 'left out' : traitsOf(work).word;
const workOf = (key: string): ClassWork => options.value.works[key] ?? { work: 'leave' };
function set(key: string, work: ClassWork): void {
  options.value.works = { ...options.value.works, [key]: work };
}
/** The angle of work that has one: as it is said, or as its kind usually has it. */
const angleOf = ({ work, foldDegrees }: ClassWork): number | undefined => {
  const usual = work === 'cut' || work === 'leave' ? undefined : usualAngle(work);
  return usual === undefined ? undefined : (foldDegrees ?? usual);
};
/** The width is told where nothing else tells two looks apart. */
const hasTwin = (one: LineClass): boolean =>
  props.classes.some(
    (other) =>
      other !== one && other.layer === one.layer && other.colour === one.colour && other.isDashed === one.isDashed,
  );
const lookWords = (one: LineClass): string =>
  [
    one.layer || 'lines',
    one.widthMm > 0 && hasTwin(one) ? `${one.widthMm.toFixed(2)} wide` : '',
    one.isDashed ? 'dashed' : '',
  ]
    .filter(Boolean)
    .join(' · ');

const alike = computed(() => alikeWorks(props.classes));
const name = ref('');
function keep(): void {
  keepWorks(name.value.trim(), props.classes, options.value.works);
  name.value = '';
}
function use(kept: KeptWorks): void {
  options.value.works = worksBy(kept, props.classes, options.value.works);
}
</script>

<template>
  <section>
    <h2 class="eyebrow">What its lines are</h2>
    <div v-for="one in alike" :key="one.name" class="alike">
      <span
        >Looks like <b>{{ one.name }}</b></span
      >
      <el-button size="small" @click="use(one)">Use its meaning</el-button>
    </div>
    <ul class="classes">
      <li
        v-for="one in shown"
        :key="one.key"
        @pointerenter="emit('light', one.key)"
        @pointerleave="emit('light', undefined)"
        @focusin="emit('light', one.key)"
        @focusout="emit('light', undefined)"
      >
        <svg class="sample" width="34" height="14" aria-hidden="true">
          <line
            x1="1"
            y1="7"
            x2="33"
            y2="7"
            :stroke="one.colour"
            :stroke-width="Math.min(5, Math.max(1.4, one.widthMm * 4))"
            :stroke-dasharray="one.isDashed ? '6 4' : undefined"
          />
        </svg>
        <span class="look"
          >{{ lookWords(one) }}
          <small class="figures">{{ one.count }} · {{ formatLengthWithUnit(one.lengthMm, unit) }}</small></span
        >
        <el-select
          size="small"
          :model-value="workOf(one.key).work"
          :persistent="false"
          :validate-event="false"
          :aria-label="`${lookWords(one)}, ${one.colour}: what it is`"
          @update:model-value="set(one.key, { work: $event })"
        >
          <el-option v-for="work in LINE_WORKS" :key="work" :value="work" :label="wordOf(work)" />
        </el-select>
        <MeasureField
          v-if="angleOf(workOf(one.key)) !== undefined"
          class="fold"
          label="its angle"
          kind="angle"
          :model-value="angleOf(workOf(one.key))!"
          :least="1"
          :most="180"
          @update:model-value="set(one.key, { ...workOf(one.key), foldDegrees: $event })"
        />
      </li>
    </ul>
    <p v-if="classes.length > MOST_SHOWN" class="rest">
      {{ classes.length - MOST_SHOWN }} looks with few lines are left as they were proposed.
    </p>
    <div class="keep">
      <el-input
        v-model="name"
        size="small"
        maxlength="40"
        placeholder="keep it, named …"
        aria-label="Keep this meaning under a name"
        :validate-event="false"
        @keydown.enter="name.trim() && keep()"
      />
      <el-button size="small" :disabled="name.trim() === ''" @click="keep">Keep</el-button>
    </div>
  </section>
</template>

<style scoped>
.classes {
  list-style: none;
}
.classes li {
  display: grid;
  grid-template-columns: 38px 1fr 126px;
  align-items: center;
  gap: 0 6px;
  border-bottom: 1px solid var(--foam-edge);
  padding: 5px 0;
}
.look {
  overflow-wrap: anywhere;
  line-height: 1.25;
}
.look small {
  display: block;
  color: var(--ink-soft);
  font-size: 13px;
}
.fold {
  grid-column: 2 / 4;
  border: 0;
  min-height: 30px;
}
.alike,
.keep {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 7px 0;
}
.alike span {
  flex: 1;
}
.alike {
  background: var(--marigold-pale);
  padding: 6px 10px;
}
.rest {
  color: var(--ink-soft);
  padding-top: 6px;
}
</style>
