<script setup lang="ts">
import { useStorage } from '@vueuse/core';
import { watchEffect } from 'vue';
import { RouterView } from 'vue-router';

const theme = useStorage<'day' | 'evening'>('grain-fold-theme', 'day');
watchEffect(() => {
  document.documentElement.dataset.theme = theme.value;
});
</script>

<template>
  <a class="skip-link" href="#main">To the work</a>
  <RouterView />
</template>
