<script setup lang="ts">
import { isTooLittle, type Clearance } from '@grain-fold/core/plan';
import { formatAngle, formatLengthWithUnit, worded, type LengthUnit } from '@grain-fold/core/units';

/** How far what moves stays from what it could meet. */
defineProps<{ clearances: readonly Clearance[]; unit: LengthUnit }>();
const text = ({ amount, quantity }: Clearance, unit: LengthUnit): string =>
  quantity === 'angle' ? formatAngle(amount) : formatLengthWithUnit(amount, unit);
</script>

<template>
  <div v-for="clearance in clearances" :key="clearance.key" class="row" :title="worded(clearance.told, unit)">
    <span class="label">{{ clearance.word }}</span>
    <span class="value" :class="{ bad: isTooLittle(clearance) }">{{ text(clearance, unit) }}</span>
  </div>
</template>

<style scoped>
.bad {
  color: var(--brick);
}
</style>
