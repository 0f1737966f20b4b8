<script setup lang="ts">
import type { OperationKind } from '@grain-fold/core/operations';

/** A 54 by 16 sample of a stroke of the line code, for lists and legends. */
defineProps<{ kind: OperationKind; isBack?: boolean }>();
</script>

<template>
  <svg
    width="54"
    height="16"
    viewBox="0 0 54 16"
    fill="none"
    :stroke="isBack ? 'var(--back-grey)' : 'var(--ink)'"
    aria-hidden="true"
  >
    <path v-if="kind === 'through'" d="M0 8H54" stroke-width="3" />
    <template v-else-if="kind === 'groove'">
      <path d="M0 3.5H54M0 12.5H54" stroke-width="1" />
      <path d="M0 8H54" stroke-width="2" stroke-dasharray="11 5" />
    </template>
    <template v-else-if="kind === 'bevel'">
      <path d="M0 2.5H54" stroke-width="2.6" />
      <path d="m2 14 6-10m2 10 6-10m2 10 6-10m2 10 6-10m2 10 6-10m2 10 6-10" stroke-width="1" />
    </template>
    <path
      v-else-if="kind === 'crease'"
      d="M2 8H54"
      stroke-width="3"
      stroke-linecap="round"
      stroke-dasharray="0.1 5.6"
    />
    <template v-else-if="kind === 'trench'">
      <path d="M0 3H54M0 13H54" stroke-width="1" />
      <path d="M4 6.4H54M8 9.8H54" stroke-width="1.8" stroke-linecap="round" stroke-dasharray="0.1 8" />
    </template>
    <path v-else-if="kind === 'slit'" d="M0 9H54M14 9l-5-5M32 9l-5-5M50 9l-5-5" stroke-width="1.2" />
    <template v-else-if="kind === 'hinge'">
      <path d="M0 3H54M0 13H54" stroke-width="1" />
      <path d="M0 8H54" stroke-width="2" stroke-dasharray="11 5" />
      <circle cx="14" cy="8" r="3" fill="var(--foam)" stroke-width="1.2" />
      <circle cx="40" cy="8" r="3" fill="var(--foam)" stroke-width="1.2" />
    </template>
    <template v-else-if="kind === 'pocket'">
      <rect x="8" y="3" width="38" height="10" stroke-width="1" />
      <g fill="var(--ink)" stroke="none">
        <circle cx="8" cy="3" r="2" />
        <circle cx="46" cy="3" r="2" />
        <circle cx="8" cy="13" r="2" />
        <circle cx="46" cy="13" r="2" />
      </g>
    </template>
    <path v-else-if="kind === 'engrave'" d="M0 8H54" stroke-width="1" />
    <path v-else d="M0 8H54" stroke-width="1" stroke-dasharray="6 4" />
  </svg>
</template>
