<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAirframe } from '../../stores/airframe.ts';
import { useVariants } from './use-variants.ts';

/** The variants of the airframe: one is chosen and everything follows it; they are named here. */
const work = useAirframe();
const { names, chosen, choose, add, rename, remove } = useVariants();
const isNaming = ref(false);
const fresh = ref('');
const message = computed(() => work.message);
function addFresh(): void {
  if (add(fresh.value)) fresh.value = '';
}
</script>

<template>
  <div class="bar figures" role="group" aria-label="Variant">
    <template v-if="names.length > 0">
      <span class="word">variant</span>
      <button
        type="button"
        :aria-pressed="chosen === undefined"
        title="Show and cut everything"
        @click="choose(undefined)"
      >
        everything
      </button>
      <button v-for="name in names" :key="name" type="button" :aria-pressed="chosen === name" @click="choose(name)">
        {{ name }}
      </button>
    </template>
    <button type="button" class="edit" @click="isNaming = true">
      {{ names.length > 0 ? 'name them' : 'variants' }}
    </button>
    <el-dialog v-model="isNaming" title="Variants" width="460">
      <p>
        Parts, holes, lines and features can exist only in some variants: with ailerons, as a glider. Pages, boards and
        cut list follow the one you choose on the mat.
      </p>
      <ul>
        <li v-for="name in names" :key="name">
          <input
            :value="name"
            :aria-label="`Name of the variant ${name}`"
            maxlength="40"
            @change="rename(name, ($event.target as HTMLInputElement).value)"
          />
          <button type="button" class="button small quiet" @click="remove(name)">Remove</button>
        </li>
      </ul>
      <form class="row" @submit.prevent="addFresh">
        <input v-model="fresh" aria-label="New variant" placeholder="new variant" maxlength="40" /><button
          type="submit"
          class="button small strong"
        >
          Add
        </button>
      </form>
      <p v-if="message" role="alert" class="message">{{ message }}</p>
    </el-dialog>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 2px;
  align-items: center;
  background: #1b333b;
  color: #e9eee9;
  border-radius: var(--radius);
  padding: 3px 6px;
  font-size: 15px;
}
.word {
  color: #ffc878;
  font-weight: 600;
  margin: 0 4px;
}
.bar > button {
  border: 1px solid transparent;
  background: transparent;
  color: inherit;
  border-radius: var(--radius);
  padding: 1px 8px;
  font-weight: 500;
}
.bar > button:hover {
  background: #29474f;
}
.bar > button[aria-pressed='true'] {
  background: var(--foam);
  color: var(--ink);
  font-weight: 600;
}
.edit {
  color: #c5d5d5;
}
ul {
  list-style: none;
  margin: 12px 0;
}
li,
.row {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
}
li input,
.row input {
  flex: 1;
  border: 0;
  border-bottom: 1px dashed #b5a67f;
  background: #fffdf7;
  padding: 4px 6px;
  font-weight: 600;
}
.message {
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 6px 10px;
}
</style>
