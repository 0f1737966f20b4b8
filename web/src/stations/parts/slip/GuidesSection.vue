<script setup lang="ts">
import { computed } from 'vue';
import type { GuideDraft } from '@grain-fold/core/editing';
import { boundsCentre, boundsOf } from '@grain-fold/core/geometry';
import { pathsOf, type Guide, type Part } from '@grain-fold/core/part';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Selection } from '../selection.ts';
import FoldAway from '../../../kit/FoldAway.vue';
import TextRow from '../../../kit/TextRow.vue';

/** The part's guides: named, moved by their numbers, added. */
const props = defineProps<{ part: Part; selection: Selection; isSetting: boolean }>();
const work = useAirframe();
const guides = computed(() => props.part.guides ?? []);
type Changes = Extract<Parameters<typeof work.run>[1], { name: 'changeGuide' }>['args']['changes'];
const change = (guide: Guide, changes: Changes): void => {
  work.run(props.part.id, { name: 'changeGuide', args: { guideId: guide.id, changes } });
};
function add(guide: GuideDraft): void {
  const guideId = work.run(props.part.id, { name: 'addGuide', args: { guide } })?.guides[0];
  if (guideId) props.selection.chosen.value = { kind: 'guide', guideId };
}
const middle = computed(() => {
  const nodes = pathsOf(props.part).flatMap((path) => path.nodes);
  return nodes.length > 0 ? boundsCentre(boundsOf(nodes)) : { x: 0, y: 0 };
});
const attached = (guide: Guide): number =>
  (props.part.attachments ?? []).filter(({ guideId }) => guideId === guide.id).length;
/** A guide told by its place: level and upright ones by one number. */
const isLevel = (guide: Guide): boolean => guide.kind === 'line' && guide.angleDegrees % 180 === 0;
const isUpright = (guide: Guide): boolean => guide.kind === 'line' && Math.abs(guide.angleDegrees % 180) === 90;
</script>

<template>
  <FoldAway title="Guides" class="guides" :is-open="guides.length > 0 || isSetting">
    <div
      v-for="guide in guides"
      :key="guide.id"
      class="guide"
      :class="{ chosen: selection.guide.value?.id === guide.id }"
      @focusin="selection.chosen.value = { kind: 'guide', guideId: guide.id }"
    >
      <div class="head">
        <TextRow
          label="Guide's name"
          hide-label
          :most="40"
          :model-value="guide.name"
          @update:model-value="change(guide, { name: $event })"
        /><el-button
          text
          size="small"
          :aria-label="`Remove ${guide.name}`"
          @click="work.run(part.id, { name: 'removeGuide', args: { guideId: guide.id } })"
        >
          Remove
        </el-button>
      </div>
      <MeasureField
        v-if="guide.kind === 'beside'"
        :label="
          'guideId' in guide.of
            ? `Beside ${part.guides!.find(({ id }) => 'guideId' in guide.of && id === guide.of.guideId)?.name}`
            : 'Beside its edge'
        "
        :unit="work.unit"
        :decimals="2"
        :model-value="guide.byMm"
        @update:model-value="change(guide, { byMm: $event })"
      />
      <template v-else>
        <MeasureField
          v-if="!isLevel(guide)"
          label="Across"
          :unit="work.unit"
          :decimals="2"
          :model-value="guide.at.x"
          @update:model-value="change(guide, { at: { x: $event, y: guide.at.y } })"
        />
        <MeasureField
          v-if="!isUpright(guide)"
          label="Up"
          :unit="work.unit"
          :decimals="2"
          :model-value="guide.at.y"
          @update:model-value="change(guide, { at: { x: guide.at.x, y: $event } })"
        />
        <MeasureField
          v-if="guide.kind === 'line'"
          label="Angle"
          kind="angle"
          :model-value="guide.angleDegrees"
          :least="-360"
          :most="360"
          @update:model-value="change(guide, { angleDegrees: $event })"
        />
        <MeasureField
          v-if="guide.kind === 'circle'"
          label="Radius"
          :unit="work.unit"
          :decimals="2"
          :model-value="guide.radiusMm"
          :least="0.01"
          @update:model-value="change(guide, { radiusMm: $event })"
        />
      </template>
      <p v-if="attached(guide) > 0" class="hint">
        {{ attached(guide) === 1 ? 'One point follows it' : `${attached(guide)} points follow it` }}
      </p>
    </div>
    <div class="doings">
      <el-button
        size="small"
        v-if="selection.segment.value"
        @click="add({ kind: 'beside', of: { segmentId: selection.segment.value.segment.id }, byMm: 10 })"
      >
        Beside this edge
      </el-button>
      <el-button
        size="small"
        v-if="selection.guide.value"
        @click="add({ kind: 'beside', of: { guideId: selection.guide.value.id }, byMm: 10 })"
      >
        Beside this guide
      </el-button>
      <el-button size="small" @click="add({ kind: 'line', at: middle, angleDegrees: 0 })"> Level </el-button>
      <el-button size="small" @click="add({ kind: 'line', at: middle, angleDegrees: 90 })"> Upright </el-button>
      <el-button size="small" @click="add({ kind: 'line', at: middle, angleDegrees: 45 })"> At an angle </el-button>
      <el-button size="small" @click="add({ kind: 'circle', at: middle, radiusMm: 25 })"> Round </el-button>
    </div>
  </FoldAway>
</template>

<style scoped>
.guides {
  margin-top: 18px;
}
.guide {
  border-left: 3px solid #9fb9bd;
  padding-left: 8px;
  margin: 8px 0;
}
.chosen {
  border-left-color: var(--marigold);
  background: var(--marigold-pale);
}
.head {
  display: flex;
  align-items: center;
}
.head > :first-child {
  flex: 1;
}
.hint {
  color: var(--ink-soft);
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
</style>
