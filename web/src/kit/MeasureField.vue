<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue';
import { formatLength, parseLength, parseNumber, type LengthUnit } from '@grain-fold/core/units';

/** A number edited in place: a length in the builder's unit (given and told in mm), an angle, or a plain number. Sums and fractions are read. */
const props = withDefaults(
  defineProps<{
    label: string;
    modelValue: number;
    kind?: 'length' | 'angle' | 'number' | 'factor';
    unit?: LengthUnit;
    least?: number;
    most?: number;
    decimals?: number;
    /** How far an arrow key steps a plain number; whole numbers when nothing is said. */
    stepBy?: number;
    /** Word shown instead of the figure, for values that follow the board. */
    auto?: string;
    hideLabel?: boolean;
    disabled?: boolean;
  }>(),
  {
    kind: 'length',
    unit: 'mm',
    least: -10_000,
    most: 10_000,
    decimals: 1,
    auto: undefined,
    stepBy: undefined,
    hideLabel: false,
    disabled: false,
  },
);
const emit = defineEmits<{ 'update:modelValue': [value: number] }>();

const id = useId();
const text = ref('');
const message = ref('');
const isEditing = ref(false);
const shown = computed(() => {
  switch (props.kind) {
    case 'length':
      return formatLength(props.modelValue, props.unit, props.decimals);
    case 'angle':
      return props.modelValue.toFixed(1);
    case 'factor':
      return props.modelValue.toFixed(3);
    case 'number':
      return String(props.modelValue);
  }
});
const unitWord = computed(() => ({ length: props.unit, angle: '°', factor: '', number: '' })[props.kind]);
watch(
  [shown, () => props.auto],
  () => {
    if (!isEditing.value) reset();
  },
  { immediate: true },
);

function reset(): void {
  text.value = props.auto ?? shown.value;
  message.value = '';
}
async function start(event: FocusEvent): Promise<void> {
  isEditing.value = true;
  if (props.auto) {
    text.value = shown.value;
    // What stands there is chosen once the figure has taken the place of the word.
    await nextTick();
  }
  (event.target as HTMLInputElement).select();
}
/** @returns whether the entry was taken */
function take(): boolean {
  if (text.value.trim() === shown.value || (props.auto && text.value === props.auto)) {
    message.value = '';
    return true;
  }
  const parsed = props.kind === 'length' ? parseLength(text.value, props.unit) : parseNumber(text.value);
  if (!parsed.ok) {
    message.value = parsed.message;
    return false;
  }
  return offer('mm' in parsed ? parsed.mm : parsed.value);
}
function offer(value: number): boolean {
  if (value < props.least - 1e-9 || value > props.most + 1e-9) {
    const bound = (limit: number): string =>
      props.kind === 'length' ? `${formatLength(limit, props.unit)} ${props.unit}` : `${limit}${unitWord.value}`;
    message.value = `${props.label} goes from ${bound(props.least)} to ${bound(props.most)}.`;
    return false;
  }
  message.value = '';
  if (value !== props.modelValue) emit('update:modelValue', value);
  return true;
}
/** Enter takes the entry and leaves the field, so that keys mean tools again; a wrong one stays to be mended. */
function confirm(event: KeyboardEvent | Event): void {
  if (!take()) return;
  isEditing.value = false; // what is taken is not offered a second time when the field is left
  (event.target as HTMLInputElement).blur();
  void nextTick(reset);
}
function leave(): void {
  if (!isEditing.value) return;
  isEditing.value = false;
  if (take()) reset();
}
function step(event: KeyboardEvent, direction: 1 | -1): void {
  const base =
    props.kind === 'length'
      ? props.unit === 'in'
        ? 25.4 / 16
        : 1
      : props.kind === 'factor'
        ? 0.01
        : (props.stepBy ?? 1);
  const value = props.modelValue + direction * base * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
  const next =
    props.kind === 'number' && props.stepBy === undefined ? Math.round(value) : Math.round(value * 1e6) / 1e6;
  if (offer(Math.min(props.most, Math.max(props.least, next))))
    text.value = props.kind === 'length' ? formatLength(next, props.unit, props.decimals) : String(next);
}
function cancel(event: KeyboardEvent | Event): void {
  reset();
  isEditing.value = false;
  (event.target as HTMLInputElement).blur();
}
</script>

<template>
  <div class="measure" :class="{ wrong: message }">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <span class="entry">
      <span v-if="kind === 'factor'" class="unit" aria-hidden="true">×</span>
      <el-input
        :id="id"
        v-model="text"
        class="figures"
        :disabled="disabled"
        :validate-event="false"
        spellcheck="false"
        :aria-invalid="message !== ''"
        :aria-describedby="message ? `${id}-message` : undefined"
        @focus="start"
        @blur="leave"
        @keydown.enter.stop.prevent="confirm"
        @keydown.esc.stop="cancel"
        @keydown.up.prevent="step($event as KeyboardEvent, 1)"
        @keydown.down.prevent="step($event as KeyboardEvent, -1)"
      />
      <span v-if="unitWord" class="unit" aria-hidden="true">{{ unitWord }}</span>
    </span>
    <p v-if="message" :id="`${id}-message`" class="message" role="alert">{{ message }}</p>
  </div>
</template>

<style scoped>
.measure {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0 10px;
  min-height: 35px;
  border-bottom: 1px solid var(--foam-edge);
}
label {
  flex: 1;
}
.entry {
  display: flex;
  align-items: baseline;
  gap: 4px;
}
.el-input {
  width: 92px;
}
.el-input :deep(.el-input__inner) {
  text-align: right;
  font-weight: 600;
  font-size: 17px;
}
.unit {
  min-width: 16px;
}
.message {
  flex-basis: 100%;
  color: var(--brick);
  font-size: 13px;
  padding-bottom: 4px;
}
.wrong .el-input :deep(.el-input__wrapper) {
  border-bottom: 2px solid var(--brick);
}
</style>
