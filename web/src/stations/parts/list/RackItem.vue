<script setup lang="ts">
import { countOf } from '@grain-fold/core/units';
import { computed, useTemplateRef } from 'vue';
import { contextOf } from '@grain-fold/core/airframe';
import { piecesOf, type Part } from '@grain-fold/core/part';
import { existsIn, resolve } from '@grain-fold/core/resolve';
import { useNear } from '../../../composables/near.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { useFigures } from '../../../stores/figures.ts';
import RackPicture from './RackPicture.vue';

/** One part in the rack, drawn when it comes near. */
const props = defineProps<{ part: Part; isChosen: boolean; isPicked: boolean }>();
const work = useAirframe();
const figures = useFigures();
const isNear = useNear(useTemplateRef<HTMLElement>('item'));
// The ticket's figures come first.
const resolved = computed(() =>
  isNear.value && figures.quick && work.airframe
    ? resolve(props.part, contextOf(work.airframe, props.part))
    : undefined,
);
const isLeftOut = computed(() => !existsIn(props.part, work.airframe?.settings.variant));
const faults = computed(() => figures.faults.get(props.part.id)?.length ?? 0);
const countWords = computed(() =>
  props.part.handed === 'pair' ? `${props.part.quantity} pair` : `${piecesOf(props.part)} off`,
);
</script>

<template>
  <div
    ref="item"
    role="option"
    class="item"
    :aria-selected="isChosen"
    :class="{ picked: isPicked, out: isLeftOut }"
    :data-id="part.id"
    :title="`${part.name}. Drag or Alt with an arrow key to put it elsewhere; Ctrl-click or Space to change several`"
  >
    <RackPicture v-if="resolved" :part="resolved" />
    <svg v-else width="46" height="38" aria-hidden="true" />
    <span class="name">{{ part.name }}</span>
    <span class="count figures">{{ countWords }}</span>
    <span v-if="faults > 0" class="bad" :aria-label="countOf(faults, 'fault')">{{ faults }}</span>
  </div>
</template>

<style scoped>
.item {
  position: relative;
  width: 84px;
  flex: none;
  padding: 3px 3px 2px;
  border-radius: var(--radius);
  display: grid;
  justify-items: center;
  cursor: pointer;
  border: 1px solid transparent;
  line-height: 1.2;
}
.item:hover {
  background: #29474f;
}
.item[aria-selected='true'] {
  background: #2f535d;
  border-color: var(--marigold);
}
.item.picked {
  background: #6b4d1f;
}
.out {
  opacity: 0.6;
}
.name {
  max-width: 100%;
  font-size: 12.5px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.count {
  font-size: 12px;
  color: #b9cbcc;
}
.bad {
  position: absolute;
  top: 2px;
  right: 3px;
  background: var(--brick);
  color: #fff;
  font-size: 11px;
  font-weight: 600;
  min-width: 17px;
  text-align: center;
  border-radius: 9px;
}
</style>
