<script setup lang="ts">
import { computed, reactive } from 'vue';
import type { Alignment, Motion, PartCommand } from '@grain-fold/core/editing';
import { add, boundsCentre, boundsOf, pathBounds, type Combination } from '@grain-fold/core/geometry';
import { operationWord } from '@grain-fold/core/operations';
import { outlineOf, placedGuides, type Contour, type DrawnLine, type Part } from '@grain-fold/core/part';
import { curvesOf } from '@grain-fold/core/paths';
import { countOf } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FoldAway from '../../../kit/FoldAway.vue';

/** What can be done with whole lines, holes or the outline: moved, turned, mirrored and copied by numbers, offset, combined, aligned. */
const props = defineProps<{ part: Part; paths: readonly (Contour | DrawnLine)[] }>();
const work = useAirframe();
const run = (command: PartCommand): void => {
  work.run(props.part.id, command);
};

const by = reactive({
  across: 0,
  up: 0,
  angle: 90,
  copies: 0,
  about: 'middle',
  mirror: 'upright',
  offset: 5,
  corners: 'sharp',
  as: 'line',
  tolerance: 0.2,
  corner: 5,
});
const ids = computed(() => props.paths.map(({ id }) => id));
const only = computed(() => (props.paths.length === 1 ? props.paths[0] : undefined));
const isOuter = computed(() => props.paths.some((path) => 'role' in path && path.role === 'outer'));
const openLines = computed(() => props.paths.filter((path) => !('role' in path) && !path.closed));
const copies = computed(() => (isOuter.value ? 0 : by.copies));
const verb = (word: string): string =>
  copies.value === 0 ? word : copies.value === 1 ? `${word} a copy` : `${word} ${copies.value} copies`;

const ownMiddle = computed(() =>
  boundsCentre(
    boundsOf(
      props.paths.flatMap((path) => {
        const box = pathBounds(curvesOf(path));
        return [
          { x: box.minX, y: box.minY },
          { x: box.maxX, y: box.maxY },
        ];
      }),
    ),
  ),
);
const partMiddle = computed(() => {
  const outline = outlineOf(props.part);
  return outline ? boundsCentre(pathBounds(curvesOf(outline))) : ownMiddle.value;
});
const place = (name: string): { x: number; y: number } =>
  ({ middle: ownMiddle.value, part: partMiddle.value, origin: { x: 0, y: 0 } })[name] ?? ownMiddle.value;
const arrange = (motion: Motion, count: number): void =>
  run({ name: 'arrangePaths', args: { pathIds: ids.value, motion, copies: count } });
/** Outlines with more edges are mirrored in lines and guides only: nobody counts that far. */
const MOST_MIRROR_EDGES = 16;
/** Straight lines, edges and guides of the part that can be mirrored in, besides its middle lines. */
const mirrorLines = computed(() => {
  const guides = placedGuides(props.part).flatMap(({ guide, shape }) =>
    shape.kind === 'line'
      ? [{ id: guide.id, word: guide.name, from: shape.through, to: add(shape.through, shape.direction) }]
      : [],
  );
  const lines = props.part.lines
    .filter(({ id, closed, nodes }) => !closed && nodes.length === 2 && !ids.value.includes(id))
    .map(({ id, nodes }) => {
      const operation = props.part.operations.find(({ on }) => on.pathId === id);
      return {
        id,
        word: operation ? [operationWord(operation), operation.label].filter(Boolean).join(', ') : 'line',
        from: nodes[0]!,
        to: nodes[1]!,
      };
    });
  const edges = props.part.contours
    .filter(({ role, segments }) => role === 'outer' && segments.length <= MOST_MIRROR_EDGES)
    .flatMap(({ segments, nodes }) =>
      segments.flatMap((segment, index) =>
        segment.kind === 'line'
          ? [
              {
                id: segment.id,
                word: `edge ${index + 1} of the outline`,
                from: nodes[index]!,
                to: nodes[(index + 1) % nodes.length]!,
              },
            ]
          : [],
      ),
    );
  return [...guides, ...lines, ...edges];
});
function mirror(): void {
  const at = partMiddle.value,
    line = mirrorLines.value.find(({ id }) => id === by.mirror);
  const from = line?.from ?? at,
    to = line?.to ?? (by.mirror === 'level' ? { x: at.x + 100, y: at.y } : { x: at.x, y: at.y + 100 });
  arrange({ kind: 'mirror', from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y } }, Math.min(1, copies.value));
}
/** Every corner between two straight runs of the chosen lines. */
const straightCorners = computed(() =>
  props.paths.flatMap((path) =>
    path.nodes
      .filter((_, index) => {
        const isEnd = !path.closed && (index === 0 || index === path.nodes.length - 1);
        return (
          !isEnd &&
          path.segments[index]?.kind === 'line' &&
          path.segments[(index - 1 + path.segments.length) % path.segments.length]?.kind === 'line'
        );
      })
      .map(({ id }) => id),
  ),
);
const group = computed(() =>
  props.part.pathGroups?.find(({ pathIds }) => ids.value.length > 0 && ids.value.every((id) => pathIds.includes(id))),
);
const offset = (): void =>
  run({
    name: 'offsetContour',
    args: {
      pathId: only.value!.id,
      byMm: by.offset,
      corners: by.corners as 'sharp' | 'round',
      as: by.as as 'itself' | 'hole' | 'line',
    },
  });
const combine = (how: Combination): void => run({ name: 'combineOutline', args: { pathId: only.value!.id, how } });
const ALIGNMENTS: readonly (readonly [Alignment, string])[] = [
  ['left', 'left'],
  ['centre', 'centres'],
  ['right', 'right'],
  ['top', 'top'],
  ['middle', 'middles'],
  ['bottom', 'bottom'],
  ['spreadAcross', 'spread across'],
  ['spreadUp', 'spread up'],
];
</script>

<template>
  <section aria-label="Shape">
    <h2 v-if="paths.length > 1" class="eyebrow">{{ countOf(paths.length, 'line') }} chosen</h2>
    <FoldAway title="Move, turn, mirror, copy" :is-open="paths.length > 1">
      <div class="rows">
        <MeasureField
          v-if="!isOuter"
          label="Copies"
          kind="number"
          :model-value="by.copies"
          :least="0"
          :most="200"
          @update:model-value="by.copies = Math.round($event)"
        />
        <MeasureField
          label="Step across"
          :unit="work.unit"
          :model-value="by.across"
          @update:model-value="by.across = $event"
        />
        <MeasureField label="Step up" :unit="work.unit" :model-value="by.up" @update:model-value="by.up = $event" />
        <el-button size="small" @click="arrange({ kind: 'move', by: { x: by.across, y: by.up } }, copies)">
          {{ verb('Move') }}
        </el-button>
        <MeasureField
          label="Turn by"
          kind="angle"
          :model-value="by.angle"
          :least="-360"
          :most="360"
          @update:model-value="by.angle = $event"
        />
        <ChoiceRow
          v-model="by.about"
          label="About"
          :choices="[
            ['middle', 'its own middle'],
            ['part', 'the part’s middle'],
            ['origin', '0, 0'],
          ]"
        />
        <el-button
          size="small"
          @click="arrange({ kind: 'turn', about: place(by.about), angleDegrees: by.angle }, copies)"
        >
          {{ verb('Turn') }}
        </el-button>
        <ChoiceRow
          v-model="by.mirror"
          label="Mirror in"
          :choices="[
            ['upright', 'the upright middle line'],
            ['level', 'the level middle line'],
            ...mirrorLines.map(({ id, word }) => [id, word] as const),
          ]"
        />
        <el-button size="small" @click="mirror">
          {{ copies > 0 ? 'Mirror a copy' : 'Mirror' }}
        </el-button>
      </div>
    </FoldAway>
    <FoldAway title="Offset" v-if="only?.closed">
      <div class="rows">
        <MeasureField
          label="Outwards by, inwards below 0"
          :unit="work.unit"
          :model-value="by.offset"
          :least="-1000"
          :most="1000"
          @update:model-value="by.offset = $event"
        />
        <ChoiceRow
          v-model="by.corners"
          label="Corners"
          :choices="[
            ['sharp', 'stay sharp'],
            ['round', 'become round'],
          ]"
        />
        <ChoiceRow
          v-model="by.as"
          label="Makes"
          :choices="[
            ['line', 'a line'],
            ['hole', 'a hole'],
            ['itself', 'this one larger or smaller'],
          ]"
        />
        <el-button size="small" @click="offset">Offset it</el-button>
      </div>
    </FoldAway>
    <FoldAway title="All its corners" v-if="straightCorners.length > 1">
      <div class="rows">
        <MeasureField
          label="Corner"
          :unit="work.unit"
          :model-value="by.corner"
          :least="0.1"
          :most="1000"
          @update:model-value="by.corner = $event"
        />
        <div class="doings">
          <el-button
            size="small"
            v-for="[how, word] in [
              ['round', 'Round all'],
              ['chamfer', 'Chamfer all'],
            ] as const"
            :key="how"
            @click="run({ name: 'shapeCorners', args: { nodeIds: straightCorners, how, sizeMm: by.corner } })"
          >
            {{ word }}
          </el-button>
        </div>
      </div>
    </FoldAway>
    <FoldAway title="Simplify" v-if="only && only.segments.length > 2">
      <div class="rows">
        <MeasureField
          label="Stay within"
          :unit="work.unit"
          :decimals="2"
          :model-value="by.tolerance"
          :least="0.01"
          :most="10"
          @update:model-value="by.tolerance = $event"
        />
        <el-button
          size="small"
          @click="run({ name: 'simplifyPath', args: { pathId: only.id, toleranceMm: by.tolerance } })"
        >
          Draw it with fewer points
        </el-button>
      </div>
    </FoldAway>
    <FoldAway title="Combine with the outline" v-if="only?.closed && !isOuter" is-open>
      <div class="doings">
        <el-button size="small" @click="combine('cutOut')">Cut it out</el-button>
        <el-button size="small" @click="combine('join')">Join it on</el-button>
        <el-button size="small" @click="combine('common')">Keep what both share</el-button>
      </div>
    </FoldAway>
    <div v-if="only && openLines.length === 1" class="doings">
      <el-button size="small" @click="run({ name: 'extendLine', args: { pathId: only.id, end: 'start' } })">
        Extend its start
      </el-button>
      <el-button size="small" @click="run({ name: 'extendLine', args: { pathId: only.id, end: 'end' } })">
        Extend its end
      </el-button>
    </div>
    <div v-if="openLines.length === 2 && paths.length === 2" class="doings">
      <el-button size="small" @click="run({ name: 'joinLines', args: { pathIds: [ids[0]!, ids[1]!] } })">
        Join them
      </el-button>
    </div>
    <div class="doings">
      <el-button
        size="small"
        v-if="paths.length > 1 && !group"
        @click="run({ name: 'groupPaths', args: { pathIds: ids } })"
      >
        Group them
      </el-button>
      <el-button size="small" v-if="group" @click="run({ name: 'ungroupPaths', args: { groupId: group.id } })">
        Ungroup {{ group.name }}
      </el-button>
    </div>
    <div v-if="paths.length > 1" class="doings" role="group" aria-label="Align with the first chosen">
      <el-button
        size="small"
        v-for="[to, word] in ALIGNMENTS"
        :key="to"
        :disabled="to.startsWith('spread') && paths.length < 3"
        @click="run({ name: 'alignPaths', args: { pathIds: ids, to } })"
      >
        {{ word }}
      </el-button>
    </div>
  </section>
</template>

<style scoped>
.rows .el-button {
  margin: 8px 0 10px;
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
</style>
