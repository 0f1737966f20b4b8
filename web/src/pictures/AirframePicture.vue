<script setup lang="ts">
import { ref, watch } from 'vue';
import PartThumbnail from './PartThumbnail.vue';

/** An airframe to know it by: the model as it stands, or its largest parts while nothing stands. */
const props = defineProps<{
  /** Where the server draws it. */ address: string;
  shapes: InstanceType<typeof PartThumbnail>['$props']['shapes'];
}>();
const hasPicture = ref(true);
watch(
  () => props.address,
  () => {
    hasPicture.value = true;
  },
);
</script>

<template>
  <img v-if="hasPicture" :src="address" alt="" loading="lazy" @error="hasPicture = false" />
  <PartThumbnail v-else :shapes="shapes" />
</template>

<style scoped>
img {
  object-fit: contain;
}
</style>
