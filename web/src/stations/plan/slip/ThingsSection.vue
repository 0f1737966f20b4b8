<script setup lang="ts">
import { computed, ref } from 'vue';
import { addThing, boxOfThing, placedThings, THING_KINDS, THING_WORDS, type ThingKind } from '@grain-fold/core/plan';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** All that is planned, drawn, and all guides; and what can be added. */
const props = defineProps<{ desk: PlanDesk }>();
const work = useAirframe();
const isAdding = ref(false);
const plan = computed(() => props.desk.plan.value);
const things = computed(() => placedThings(plan.value));
/** What a thing goes by: a diameter, a span, a height, a length. */
function sizeOf(thing: (typeof things.value)[number]): string {
  const { min, max } = boxOfThing(thing);
  const size = { wing: max.y - min.y, tail: max.y - min.y, fin: max.z - min.z, other: max.x - min.x };
  const mm =
    thing.kind === 'propeller' || thing.kind === 'wheel'
      ? thing.diameterMm
      : size[thing.kind === 'wing' || thing.kind === 'tail' || thing.kind === 'fin' ? thing.kind : 'other'];
  return formatLengthWithUnit(mm, work.unit);
}

/** A new thing stands about where such a thing usually is. */
function placeFor(kind: ThingKind): { x: number; y: number; z: number } {
  const body = things.value.find((thing) => thing.kind === 'body'),
    box = body && boxOfThing(body);
  const [from, to] = box ? [box.min.x, box.max.x] : [0, 750];
  const share = {
    wing: 0.25,
    tail: 0.82,
    fin: 0.84,
    body: 0,
    wheel: 0.2,
    propeller: 0,
    motor: 0.03,
    pack: 0.12,
    servo: 0.4,
    receiver: 0.35,
    'speed control': 0.2,
    deck: 0.3,
  }[kind];
  return {
    x: kind === 'propeller' ? from - 14 : Math.round(from + share * (to - from)),
    y: 0,
    z: kind === 'fin' ? Math.round(box?.max.z ?? 30) * 0.6 : kind === 'wheel' ? Math.round(box?.min.z ?? -30) : 0,
  };
}
function add(kind: ThingKind): void {
  const made = props.desk.run((now) => addThing(now, kind, placeFor(kind), props.desk.context.value.boardMm));
  isAdding.value = false;
  if (made) props.desk.chosen.value = { kind: 'thing', thingId: made.thingId };
}
const guideWord = (axis: 'x' | 'y' | 'z'): string => ({ x: 'station', y: 'out', z: 'height' })[axis];
</script>

<template>
  <section aria-label="Planned things">
    <ul class="list">
      <li v-for="thing in things" :key="thing.id">
        <el-button link class="bare item" @click="desk.chosen.value = { kind: 'thing', thingId: thing.id }">
          <span class="name">{{ thing.name }}</span><span class="kind">{{
            THING_WORDS[thing.kind].toLowerCase()
          }}</span>
          <span class="figures size">{{ sizeOf(thing) }}</span>
        </el-button>
      </li>
    </ul>
    <el-button size="small" :aria-expanded="isAdding" @click="isAdding = !isAdding">Add a thing</el-button>
    <div v-if="isAdding" class="kinds" role="group" aria-label="Kinds of things">
      <el-button v-for="kind in THING_KINDS" :key="kind" size="small" @click="add(kind)">{{
        THING_WORDS[kind]
      }}</el-button>
    </div>
    <template v-if="plan.lines.length > 0">
      <h3 class="eyebrow">Drawn</h3>
      <ul class="list">
        <li v-for="line in plan.lines" :key="line.id">
          <el-button link class="bare item" @click="desk.chosen.value = { kind: 'line', lineId: line.id }">
            <span class="name">{{ line.name }}</span><span class="kind"
              >{{ line.view }} · {{ line.closed ? 'closed' : 'open' }}</span
            >
          </el-button>
        </li>
      </ul>
    </template>
    <template v-if="plan.guides.length > 0">
      <h3 class="eyebrow">Guides</h3>
      <ul class="list">
        <li v-for="guide in plan.guides" :key="guide.id">
          <el-button link class="bare item" @click="desk.chosen.value = { kind: 'guide', guideId: guide.id }">
            <span class="name">{{ guide.name }}</span><span class="kind">{{ guideWord(guide.axis) }}</span>
          </el-button>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.list {
  list-style: none;
  padding-bottom: 8px;
}
.item {
  display: flex;
  width: 100%;
  min-height: 32px;
  border-bottom: 1px solid var(--foam-edge);
}
.item :deep(> span) {
  display: flex;
  flex: 1;
  gap: 8px;
  align-items: baseline;
  min-width: 0;
}
.name {
  font-weight: 500;
}
.kind {
  color: var(--ink-soft);
  font-size: 13px;
}
.size {
  margin-left: auto;
  font-size: 15px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 8px 0;
}
.kinds .el-button {
  margin: 0;
}
.eyebrow {
  padding-top: 12px;
}
</style>
