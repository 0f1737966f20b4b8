<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import ToolButton from '../../../kit/ToolButton.vue';
import VariantBar from '../variants/VariantBar.vue';
import { featureOfTool, groupOfTool, TOOL_GROUPS, type Tool } from './part-tools.ts';

/** The tools of the mat in their groups, the group in use laid open; how the part is looked at; the variant. */
const props = defineProps<{ tool: Tool; hasOutline: boolean; isBack: boolean; isFeatureMenuOpen: boolean }>();
const emit = defineEmits<{ start: [tool: Tool]; features: []; back: []; folded: [] }>();

const [OUTLINE, WORK, HELPERS] = TOOL_GROUPS.map(({ word }) => word);
const open = ref(props.hasOutline ? WORK : OUTLINE);
const shown = computed(() => TOOL_GROUPS.find(({ word }) => word === open.value));
watch(
  () => props.tool,
  (tool) => {
    open.value = groupOfTool(tool) ?? open.value;
  },
);
watch(
  () => props.hasOutline,
  (has) => {
    open.value = has ? WORK : OUTLINE;
  },
);
</script>

<template>
  <div class="tool-strip" role="toolbar" aria-label="Drawing tools">
    <div class="groups figures" role="group" aria-label="Groups of tools">
      <el-button
        v-for="{ word } in TOOL_GROUPS"
        :key="word"
        link
        class="bare group"
        :aria-expanded="open === word"
        @click="open = word"
        >{{ word }}</el-button
      >
      <span class="rest">
        <ToolButton
          key-name="J"
          word="back"
          hint="See and draw the part from its back"
          :is-on="isBack"
          @press="emit('back')"
        />
        <ToolButton
          key-name="U"
          word="folded"
          hint="See the part folded in its true thickness"
          @press="emit('folded')"
        />
        <VariantBar />
      </span>
    </div>
    <div class="tools" role="group" :aria-label="open">
      <ToolButton
        v-for="one in shown?.tools"
        :key="one.tool"
        :key-name="one.key"
        :word="one.word"
        :hint="one.hint"
        :is-on="tool === one.tool"
        @press="emit('start', one.tool)"
      />
      <ToolButton
        v-if="open === HELPERS"
        key-name="E"
        word="feature"
        hint="Tabs, slots, holes for hardware, hatches, stations, words"
        :is-on="featureOfTool(tool) !== undefined"
        :is-open="isFeatureMenuOpen"
        @press="emit('features')"
      />
    </div>
    <slot />
  </div>
</template>

<style scoped>
.tool-strip {
  position: absolute;
  left: 14px;
  right: 14px;
  top: 12px;
  z-index: 3;
  pointer-events: none;
}
.groups,
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  width: fit-content;
  background: var(--mat-dark);
  color: var(--mat-light);
  border-radius: var(--radius);
  pointer-events: auto;
}
@media (max-height: 620px) {
  .tool-strip {
    top: 0;
    left: 0;
    right: 0;
  }
  .groups,
  .tools {
    flex-wrap: nowrap;
    overflow-x: auto;
    max-width: 100%;
    white-space: nowrap;
  }
}
.groups {
  width: auto;
  padding: 0 4px;
  font-size: 14px;
  font-weight: 600;
  border-radius: var(--radius) var(--radius) var(--radius) 0;
}
.group {
  padding: 5px 10px 3px;
  color: #b9cbcc;
  border-bottom: 2px solid transparent;
}
.group:hover {
  color: #fff;
}
.group[aria-expanded='true'] {
  color: var(--amber);
  border-bottom-color: var(--marigold);
}
.rest {
  display: flex;
  align-items: center;
  margin-left: auto;
}
.tools {
  gap: 2px;
  padding: 4px;
  border-radius: 0 0 var(--radius) var(--radius);
}
</style>
