<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { useVariants } from './use-variants.ts';
import TextRow from '../../../kit/TextRow.vue';

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
      <el-button
        link
        :aria-pressed="chosen === undefined"
        title="Show and cut everything"
        @click="choose(undefined)"
        class="bare"
      >
        everything
      </el-button>
      <el-button
        link
        v-for="name in names"
        :key="name"
        :aria-pressed="chosen === name"
        @click="choose(name)"
        class="bare"
      >
        {{ name }}
      </el-button>
    </template>
    <el-button link class="bare edit" @click="isNaming = true">
      {{ names.length > 0 ? 'name them' : 'variants' }}
    </el-button>
    <el-dialog v-model="isNaming" title="Variants" width="460">
      <p>
        Parts, holes, lines and features can exist only in some variants: with ailerons, as a glider. Pages, boards and
        cut list follow the one you choose on the mat.
      </p>
      <ul>
        <li v-for="name in names" :key="name">
          <TextRow
            :label="`Name of the variant ${name}`"
            hide-label
            :most="40"
            :model-value="name"
            @update:model-value="rename(name, $event)"
          />
          <el-button text size="small" @click="remove(name)">Remove</el-button>
        </li>
      </ul>
      <el-form class="fresh" @submit.prevent="addFresh">
        <el-input v-model="fresh" aria-label="New variant" placeholder="new variant" :maxlength="40" />
        <el-button type="primary" native-type="submit">Add</el-button>
      </el-form>
      <el-alert v-if="message" type="warning" :title="message" :closable="false" />
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
.fresh {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
}
li > :first-child {
  flex: 1;
}
</style>
