<script setup lang="ts">
import { useTurn } from '../composables/turns.ts';

/** Content that may come a moment later: sections of a station mount one after another and leave the page free between them. */
const isDue = useTurn();
</script>

<template>
  <slot v-if="isDue" />
</template>
