<script setup lang="ts">
import { computed, ref, watch } from 'vue';

/** A part of a slip that is folded away under its heading until it is wanted. */
const props = defineProps<{
  title: string;
  /** Whether it stands open to begin with, or is opened by what happens. */ isOpen?: boolean;
}>();
const emit = defineEmits<{ toggle: [isOpen: boolean] }>();
const NAME = 'content';

const isOpenNow = ref(props.isOpen);
watch(
  () => props.isOpen,
  (isOpen) => {
    isOpenNow.value = isOpen;
  },
);
const opened = computed({
  get: () => (isOpenNow.value ? [NAME] : []),
  set: (names: readonly string[]) => {
    isOpenNow.value = names.length > 0;
    emit('toggle', isOpenNow.value);
  },
});
</script>

<template>
  <el-collapse v-model="opened">
    <el-collapse-item :name="NAME">
      <template #title
        ><span class="eyebrow">{{ title }}</span></template
      >
      <slot v-if="isOpenNow" />
    </el-collapse-item>
  </el-collapse>
</template>
