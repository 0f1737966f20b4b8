<script setup lang="ts">
import { computed } from 'vue';
import { svgPath } from '@grain-fold/core/geometry';
import { isBox, thingShapes, type PlannedThing, type PlanView } from '@grain-fold/core/plan';

/** The planned things of a view: foam as foam, what is bought as outlines in its own tone. In the axes of the view, y up. */
const props = defineProps<{
  things: readonly PlannedThing[];
  view: PlanView;
  chosenId?: string;
  hoveredId?: string;
  faulty?: ReadonlySet<string>;
  /** As they might be: outlines alone. */
  isGhost?: boolean;
}>();

const ORDER = ['body', 'tail', 'fin', 'wing', 'wheel', 'propeller'];
const shown = computed(() =>
  [...props.things]
    .sort((a, b) => orderOf(a) - orderOf(b))
    .map((thing) => ({
      id: thing.id,
      tone: isBox(thing) ? 'bought' : thing.kind === 'propeller' || thing.kind === 'wheel' ? 'turning' : 'foam',
      shapes: thingShapes(thing, props.view).map(({ path, isClosed, role }) => ({ d: svgPath(path, isClosed), role })),
    })),
);
const orderOf = ({ kind }: PlannedThing): number => (ORDER.indexOf(kind) + ORDER.length + 1) % (ORDER.length + 1);
</script>

<template>
  <g :class="{ ghost: isGhost }">
    <g
      v-for="{ id, tone, shapes } in shown"
      :key="id"
      :class="[tone, { chosen: id === chosenId, hovered: id === hoveredId, faulty: faulty?.has(id) }]"
    >
      <path
        v-for="({ d, role }, index) in shapes"
        :key="index"
        :d="d"
        :class="role"
        vector-effect="non-scaling-stroke"
      />
    </g>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke-width: 1.4;
}
.foam .edge {
  fill: var(--foam);
  fill-opacity: 0.86;
  stroke: #fffdf7;
}
.foam .within {
  stroke: #7d8f8c;
  stroke-width: 1;
}
.bought .edge {
  fill: #d9b98a;
  fill-opacity: 0.55;
  stroke: #ffd9a1;
}
.turning .edge {
  fill: #1b333b;
  fill-opacity: 0.35;
  stroke: #b9cbcc;
  stroke-dasharray: 5 3;
}
.turning .within {
  stroke: #b9cbcc;
}
.hovered .edge {
  stroke: var(--amber);
  stroke-width: 2.2;
}
.chosen .edge {
  stroke: var(--marigold);
  stroke-width: 2.6;
}
.faulty .edge {
  stroke: #e8755b;
  stroke-width: 2.4;
}
.ghost .edge,
.ghost .within {
  fill: none;
  stroke: #2f9aa8;
  stroke-width: 2;
  stroke-dasharray: 7 4;
}
</style>
