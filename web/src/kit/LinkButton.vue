<script setup lang="ts">
import { RouterLink, type RouteLocationRaw } from 'vue-router';

/** A link to another station that is the next thing to do. */
defineProps<{ to: RouteLocationRaw; type?: 'primary'; size?: 'small' }>();
</script>

<template>
  <el-button :tag="RouterLink" :to="to" :type="type" :size="size"><slot /></el-button>
</template>
