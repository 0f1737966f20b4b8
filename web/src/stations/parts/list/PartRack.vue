<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import type { Airframe } from '@grain-fold/core/airframe';
import type { Part } from '@grain-fold/core/part';
import { isWith } from '../../../keys/held-keys.ts';
import RackItem from './RackItem.vue';
import { useSortableGroups } from './use-sortable-groups.ts';

/** The drawings of the airframe along the mat's edge, in their groups. */
const props = defineProps<{
  airframe: Airframe;
  chosenId?: string;
  /** Parts picked to be changed together. */ picked: readonly string[];
}>();
const emit = defineEmits<{
  choose: [id: string];
  add: [];
  bringIn: [];
  takeOut: [];
  pick: [ids: readonly string[]];
  /** A part is put before another one, into its group; before none: to the end of a group, its own when none is given. */
  move: [id: string, beforeId: string | undefined, group?: string];
}>();
const list = ref<HTMLElement>();

const wanted = ref('');
/** Filtering pays when the rack no longer shows every part at once. */
const MANY_PARTS = 8;
/** A click chooses; with Ctrl it picks parts to change together, with Shift all up to it. */
function click(partId: string, event: MouseEvent): void {
  if (isWith('Shift', event) && props.chosenId) {
    const [a, b] = [inOrder.value.indexOf(props.chosenId), inOrder.value.indexOf(partId)].sort((m, n) => m - n);
    emit('pick', inOrder.value.slice(a, b! + 1));
  } else if (isWith('Ctrl', event)) toggle(partId);
  else {
    emit('pick', []);
    emit('choose', partId);
  }
}
function toggle(partId: string): void {
  const now = props.picked.length > 0 ? props.picked : props.chosenId ? [props.chosenId] : [];
  const next = now.includes(partId) ? now.filter((id) => id !== partId) : [...now, partId];
  emit('pick', next.length > 1 ? next : []);
}
/** The last word of a group within groups, and how deep it lies. */
const groupWord = (group: string): string => group.split('/').at(-1)!.trim() || 'no group';
const groupPath = (group: string): string =>
  group
    .split('/')
    .slice(0, -1)
    .map((word) => word.trim())
    .join(' / ');
const isWanted = (part: Part): boolean =>
  `${part.name} ${part.group} ${part.material}`.toLowerCase().includes(wanted.value.trim().toLowerCase());
const shownParts = computed(() => props.airframe.parts.filter(isWanted));
const vSortable = useSortableGroups((id, beforeId, group) => emit('move', id, beforeId, group));
/** Moves the chosen part one place along the rack. */
async function shift(by: 1 | -1): Promise<void> {
  const order = inOrder.value,
    at = order.indexOf(props.chosenId ?? '');
  if (at < 0 || (by < 0 ? at === 0 : at === order.length - 1)) return;
  const groupOf = (id: string | undefined): string | undefined =>
    props.airframe.parts.find((part) => part.id === id)?.group;
  const own = groupOf(props.chosenId),
    [next, afterNext] = [order[at + 1], order[at + 2]];
  // Past the last of its group it leads the next one; else it stays in its own.
  const before =
    by < 0 ? order[at - 1] : groupOf(next) !== own ? next : groupOf(afterNext) === own ? afterNext : undefined;
  emit('move', props.chosenId!, before);
  await nextTick();
  list.value?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus();
}
/** Groups in the order of their first parts; groups within a group follow it. */
const groupOrder = computed(() => {
  const all = [...new Set(shownParts.value.map(({ group }) => group))];
  const top = (group: string): string => group.split('/')[0]!.trim();
  const tops = [...new Set(all.map(top))];
  return tops.flatMap((name) => all.filter((group) => top(group) === name));
});
const groups = computed(() =>
  groupOrder.value.map((group) => ({
    group,
    parts: shownParts.value.filter((part) => part.group === group),
  })),
);
const inOrder = computed(() => groups.value.flatMap(({ parts }) => parts.map(({ id }) => id)));
async function step(by: number): Promise<void> {
  const at = inOrder.value.indexOf(props.chosenId ?? '');
  const next = inOrder.value[(at + by + inOrder.value.length) % inOrder.value.length];
  if (!next) return;
  emit('choose', next);
  await nextTick();
  list.value?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus();
}
</script>

<template>
  <div class="rack">
    <div v-if="airframe.parts.length > MANY_PARTS" class="filter on-mat">
      <el-input
        v-model="wanted"
        type="search"
        aria-label="Filter the parts"
        placeholder="filter"
        :validate-event="false"
        @keydown.esc="wanted = ''"
      />
      <span class="figures count">{{ shownParts.length }} of {{ airframe.parts.length }}</span>
    </div>
    <div
      ref="list"
      class="list"
      role="listbox"
      aria-label="Parts"
      aria-orientation="horizontal"
      @keydown.right.prevent.stop="$event.altKey ? shift(1) : step(1)"
      @keydown.left.prevent.stop="$event.altKey ? shift(-1) : step(-1)"
    >
      <div v-for="{ group, parts } in groups" :key="group" class="group" role="group" :aria-label="group || 'No group'">
        <p class="eyebrow">
          <span v-if="groupPath(group)" class="path">{{ groupPath(group) }} / </span>{{ groupWord(group) }}
        </p>
        <div v-sortable class="items" :data-group="group">
          <RackItem
            v-for="part in parts"
            :key="part.id"
            :part="part"
            :is-chosen="part.id === chosenId"
            :is-picked="picked.includes(part.id)"
            :tabindex="part.id === chosenId || (!chosenId && part.id === inOrder[0]) ? 0 : -1"
            @click="click(part.id, $event)"
            @keydown.enter.stop="emit('choose', part.id)"
            @keydown.space.prevent.stop="toggle(part.id)"
          />
        </div>
      </div>
    </div>
    <div class="new">
      <el-button link class="bare add" @click="emit('add')"><kbd>N</kbd> new part</el-button>
      <el-button link class="bare add" @click="emit('bringIn')">bring in a drawing</el-button>
      <el-button link class="bare add" @click="emit('takeOut')">take out</el-button>
    </div>
  </div>
</template>

<style scoped>
.rack {
  display: flex;
  background: #1b333b;
  color: #e6edea;
  flex: none;
  height: 106px;
}
.list {
  display: flex;
  gap: 18px;
  overflow-x: auto;
  padding: 5px 14px 6px;
  flex: 1;
  min-width: 0;
}
.eyebrow {
  color: #c5b386;
  font-size: 11px;
  line-height: 1.5;
  position: sticky;
  left: 0;
}
.items {
  display: flex;
  gap: 3px;
}
.path {
  opacity: 0.75;
}
.filter {
  flex: none;
  width: 104px;
  display: grid;
  align-content: center;
  gap: 4px;
  padding: 0 8px 0 12px;
  border-right: 1px solid var(--mat-grid);
}
.count {
  font-size: 12px;
  color: #b9cbcc;
}
.new {
  flex: none;
  display: grid;
}
.add {
  border: 0;
  border-left: 1px solid var(--mat-grid);
  background: transparent;
  padding: 0 16px;
  font-family: var(--figures);
  font-weight: 600;
  font-size: 15px;
}
.add:hover {
  background: #29474f;
}
/* Little height, as in a page that is zoomed: the names alone, so that at least half is mat. */
@media (max-height: 620px) {
  .rack {
    height: 44px;
  }
  .rack :deep(svg),
  .rack :deep(.count),
  .eyebrow {
    display: none;
  }
  .list {
    padding: 5px 10px;
    gap: 10px;
  }
  .filter {
    padding: 0 8px;
  }
}
</style>
