<template>
  <svg viewBox="0 0 28 24" width="28" height="24" aria-hidden="true">
    <path d="M2 16 9 3h17l-7 13z" fill="none" stroke="currentColor" stroke-width="2" stroke-linejoin="round" />
    <path d="M6 12.5 22 6.5" stroke="var(--marigold)" stroke-width="2" stroke-dasharray="3.4 2.2" />
  </svg>
</template>
