<script setup lang="ts">
const isOpen = defineModel<boolean>({ required: true });
const KEYS: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
  [
    'Everywhere',
    [
      ['1 – 6', 'stations'],
      ['Ctrl+Z', 'undo'],
      ['Ctrl+Shift+Z', 'redo'],
      ['Y', 'every step'],
      ['Ctrl+K', 'find a part or station'],
      ['?', 'this card'],
    ],
  ],
  [
    'On the mat',
    [
      ['Wheel, + −', 'zoom'],
      ['Space-drag', 'pan'],
      ['F', 'fit'],
      ['Arrows', 'move what is chosen, or pan'],
      ['Alt', 'hold snapping off'],
      ['Delete', 'remove'],
      ['Esc', 'back out one step'],
    ],
  ],
  [
    'Drawing',
    [
      ['N', 'new part'],
      ['O', 'outline'],
      ['D', 'hole'],
      ['A', 'next run is an arc'],
      ['S', 'smooth curve'],
      ['Double-click', 'type a number in its place'],
      ['Enter', 'type length, angle or place'],
      ['R', 'mirror'],
      ['J', 'see the back'],
      ['U', 'see it folded'],
      ['Ctrl+C, Ctrl+V', 'copy lines, paste them'],
    ],
  ],
  [
    'Lines',
    [
      ['V', 'mitre groove'],
      ['B', 'bevel on an edge'],
      ['T', 'trench'],
      ['I', 'open slit'],
      ['H', 'control hinge'],
      ['C', 'crease'],
      ['P', 'pocket'],
      ['K', 'cut through'],
      ['L', 'mark'],
      ['W', 'engrave'],
      ['X', 'trim a line'],
      ['E', 'features'],
      ['G', 'guide'],
      ['M', 'measure'],
      ['Shift-click', 'choose several lines'],
      ['Ctrl-click, Space', 'choose several parts'],
    ],
  ],
  [
    'Folded',
    [
      ['Arrows', 'turn it'],
      ['Shift-arrows', 'from a side, from above or below'],
      ['Home', 'from the corner'],
      ['[ ]', 'one fold back, one on'],
    ],
  ],
  [
    'Boards',
    [
      ['Enter', 'nest'],
      ['Esc', 'stop, keep the best'],
      ['[ ]', 'choose a piece'],
      ['R', 'turn it'],
      ['Arrows', 'move it'],
    ],
  ],
];
</script>

<template>
  <el-dialog v-model="isOpen" title="Keys" width="720">
    <div class="card">
      <section v-for="[group, keys] in KEYS" :key="group">
        <h3 class="eyebrow">{{ group }}</h3>
        <dl>
          <div v-for="[key, word] in keys" :key="key">
            <dt class="figures">{{ key }}</dt>
            <dd>{{ word }}</dd>
          </div>
        </dl>
      </section>
    </div>
  </el-dialog>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 18px 26px;
}
dl div {
  display: flex;
  gap: 10px;
  padding: 3px 0;
}
dt {
  min-width: 92px;
  font-weight: 600;
  color: var(--marigold-deep);
  font-size: 15px;
}
</style>
