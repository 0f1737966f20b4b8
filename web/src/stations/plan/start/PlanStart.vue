<script setup lang="ts">
/** Three ways to begin a plan. */
defineProps<{ isEmpty: boolean }>();
defineEmits<{ start: [way: 'numbers' | 'measured' | 'trace']; close: [] }>();
const WAYS = [
  {
    way: 'numbers',
    title: 'From numbers',
    words: 'Say what it is to be and about how large: proportions that are usual are proposed, and you change them.',
  },
  {
    way: 'trace',
    title: 'From a drawing',
    words:
      'Lay a three-view, a photograph or a page of a plan under the views, size it by a length that you know, and trace it.',
  },
  {
    way: 'measured',
    title: 'From a model on the bench',
    words: 'Measure it in order: the views fill in as the numbers come, and numbers that contradict are named.',
  },
] as const;
</script>

<template>
  <div class="ways">
    <h2>{{ isEmpty ? 'Plan the airframe' : 'Begin anew' }}</h2>
    <p class="lead">
      {{
        isEmpty
          ? 'Three views that share every station: wing, tail, body and what goes in, with areas, balance and clearances as you move them.'
          : 'What is planned now stays until you take another in its place, and undo brings it back.'
      }}
    </p>
    <div class="cards">
      <article v-for="{ way, title, words } in WAYS" :key="way">
        <h3>{{ title }}</h3>
        <p>{{ words }}</p>
        <el-button :type="way === 'numbers' ? 'primary' : undefined" @click="$emit('start', way)">{{
          title
        }}</el-button>
      </article>
    </div>
    <el-button v-if="!isEmpty" link class="leave" @click="$emit('close')">Leave it as it is</el-button>
  </div>
</template>

<style scoped>
.ways {
  position: absolute;
  z-index: 3;
  inset: 0;
  margin: auto;
  height: fit-content;
  width: min(760px, 94%);
  background: var(--foam);
  color: var(--ink);
  padding: 24px 26px;
  border-radius: var(--radius);
}
.lead {
  color: var(--ink-soft);
  padding: 4px 0 14px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 14px;
}
article {
  border-top: 2px solid var(--ink);
  padding-top: 8px;
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 8px;
  justify-items: start;
}
h3 {
  font-size: 15px;
  font-weight: 600;
}
article p {
  font-size: 13.5px;
  color: var(--ink-soft);
}
</style>
