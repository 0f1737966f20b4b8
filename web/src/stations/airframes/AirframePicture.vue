<script setup lang="ts">
import { computed, ref } from 'vue';
import type { AirframeLine } from '@grain-fold/contract';
import { pictureAddress } from '../../api/airframes.ts';
import PartThumbnail from '../../pictures/PartThumbnail.vue';

/** An airframe to know it by: the model as it stands, or its largest parts while nothing stands. */
const props = defineProps<{ line: AirframeLine }>();
const hasPicture = ref(true);
const address = computed(() => pictureAddress(props.line.id, props.line.version));
</script>

<template>
  <img v-if="hasPicture" :src="address" alt="" loading="lazy" @error="hasPicture = false" />
  <PartThumbnail v-else :shapes="line.thumbnail" />
</template>

<style scoped>
img {
  object-fit: contain;
}
</style>
