<script setup lang="ts">
import { computed } from 'vue';
import type { FoldView, ShownSeam } from '@grain-fold/core/airframe';
import type { PartCommand } from '@grain-fold/core/editing';
import {
  bevellingMends,
  bevelsOf,
  CLOSED_MM,
  closingMend,
  footCommands,
  foldName,
  seamFoot,
  type SeamMend,
  type SeamState,
} from '@grain-fold/core/folds';
import { drawnId, lineName, type Part } from '@grain-fold/core/part';
import { formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Selection } from '../selection.ts';

/** How it closes: the report, seams with their gaps and mends, and the order to fold the part in. */
const props = defineProps<{ part: Part; view: FoldView; selection: Selection }>();
const work = useAirframe();
const partOf = (partId: string): Part | undefined => work.airframe?.parts.find(({ id }) => id === partId);
const edgeName = (partId: string, segmentId: string): string => {
  const part = partOf(partId);
  return part ? lineName(part, drawnId(segmentId)) : 'an edge';
};
function nameOf({ partId, state: { seam } }: ShownSeam): string {
  const [own, toId] = [partId === props.part.id ? '' : `${partOf(partId)?.name ?? ''} `, seam.toPartId ?? partId];
  const to = toId === partId && !seam.toPartId ? (own ? own : '') : `${partOf(toId)?.name ?? 'a part that is gone'}, `;
  return `${own}${edgeName(partId, seam.fromSegmentId)} to ${to}${edgeName(toId, seam.toSegmentId)}`;
}
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit, 2);
const figureOf = ({ gapMm, overlapMm, angleDegrees, state }: SeamState): string =>
  [
    state === 'pressed' ? `${length(overlapMm)} in each other` : length(gapMm),
    angleDegrees > 0.5 ? `${formatAngle(angleDegrees)} off` : '',
  ]
    .filter(Boolean)
    .join(' · ');

/** The edits that mend a seam, each with the part that it changes. */
interface SeamEdit {
  readonly label: string;
  readonly edits: readonly { readonly partId: string; readonly command: PartCommand }[];
}
function editsOf({ partId, state }: ShownSeam): readonly SeamEdit[] {
  const edit = ({ side, command }: SeamMend): SeamEdit['edits'][number] => ({
    partId: side === 0 ? partId : (state.seam.toPartId ?? partId),
    command,
  });
  const close = state.gapMm > CLOSED_MM ? closingMend(state, props.view.scale) : undefined,
    bevels = bevellingMends(state),
    foot = seamFoot(state);
  return [
    ...(close ? [{ label: 'Close it', edits: [edit(close)] }] : []),
    ...(bevels.length > 0
      ? [{ label: bevels.length === 2 ? 'Bevel both edges' : 'Bevel the edge', edits: bevels.map(edit) }]
      : []),
    ...(foot?.contact.bevel
      ? [
          {
            label: `Bevel the foot by ${formatAngle(foot.contact.bevel.bevelDegrees)}`,
            edits: footCommands(state.edges[foot.side], foot.contact.bevel, props.view.scale).map((command) =>
              edit({ side: foot.side, command }),
            ),
          },
        ]
      : []),
  ];
}
const bevelWords = ({ state }: ShownSeam): string => {
  const bevels = bevelsOf(state),
    foot = seamFoot(state)?.contact;
  if (foot && foot.wedgeMm + foot.pressMm > 0)
    return foot.pressMm > 0
      ? `Its end presses ${length(foot.pressMm)} into the plate that it stands on.`
      : `Its end stays open by ${formatAngle(foot.wedgeDegrees)}, ${length(foot.wedgeMm)} at its mouth.`;
  return bevels
    ? `Met at ${formatAngle(bevels.turnDegrees)}: bevels of ${bevels.wanted.map((angle) => formatAngle(angle)).join(' and ')}; they have ${bevels.present.map((angle) => formatAngle(Math.max(0, angle))).join(' and ')}.`
    : '';
};
const shown = computed(() =>
  props.view.seams.map((seam) => ({
    seam,
    name: nameOf(seam),
    figure: figureOf(seam.state),
    edits: editsOf(seam),
    bevels: bevelWords(seam),
  })),
);
const run = ({ label, edits }: SeamEdit): void => {
  work.runEach(edits, label);
};
function show({ partId, state: { seam } }: ShownSeam): void {
  const path =
    partId === props.part.id
      ? props.part.contours.find(({ segments }) => segments.some(({ id }) => id === drawnId(seam.fromSegmentId)))
      : undefined;
  if (path)
    props.selection.chosen.value = { kind: 'segment', pathId: path.id, segmentId: drawnId(seam.fromSegmentId), t: 0.5 };
}
/** Folds of a ring that flat board cannot close by itself: each can be cut open. */
const torn = computed(() =>
  props.view.extent === 'part'
    ? [...new Set(props.view.parts[0]!.body.tornRings.map(({ operationId }) => drawnId(operationId)))]
    : [],
);
const near = computed(() =>
  props.view.near.filter(({ seam }) => !seam.fromSegmentId.includes('~') && !seam.toSegmentId.includes('~')),
);
const declare = (states: readonly SeamState[]): void => {
  work.runAll(
    props.part.id,
    states.map(({ seam }) => ({
      name: 'addSeam',
      args: { fromSegmentId: seam.fromSegmentId, toSegmentId: seam.toSegmentId },
    })),
    `Declare ${states.length} seams`,
  );
};

/** Folds told one by one. */
const MOST_FOLDS = 60;
const isKept = computed(() => (props.part.foldOrder?.length ?? 0) > 0);
/** Moves a fold one place up in the order; from then on the order is kept. */
function moveUp(index: number): void {
  const ids = [...new Set(props.view.order.map(({ operationId }) => drawnId(operationId)))],
    at = ids.indexOf(drawnId(props.view.order[index]!.operationId));
  if (at < 1) return;
  work.run(props.part.id, {
    name: 'setFoldOrder',
    args: { operationIds: ids.with(at - 1, ids[at]!).with(at, ids[at - 1]!) },
  });
}
const keepOrder = (): void => {
  work.run(props.part.id, {
    name: 'setFoldOrder',
    args: {
      operationIds: isKept.value
        ? undefined
        : [...new Set(props.view.order.map(({ operationId }) => drawnId(operationId)))],
    },
  });
};
</script>

<template>
  <section aria-label="Folds">
    <h2 class="eyebrow">
      {{ view.extent === 'part' ? 'How it closes' : 'How it stands together'
      }}<template v-if="view.scale !== 1"> at × {{ view.scale.toFixed(3) }}</template>
    </h2>
    <div class="report" role="status">
      <p v-for="(sentence, index) in view.report" :key="index">{{ sentence }}</p>
    </div>
    <div v-if="view.clash?.widen || torn.length > 0" class="doings">
      <el-button
        type="primary"
        size="small"
        v-if="view.clash?.widen"
        @click="
          work.run(part.id, {
            name: 'changeOperation',
            args: { operationId: drawnId(view.clash.widen.operationId), changes: { mouthMm: 'auto' } },
          })
        "
      >
        Widen the groove
      </el-button>
      <el-button
        size="small"
        v-for="operationId in torn"
        :key="operationId"
        @click="work.run(part.id, { name: 'openFold', args: { operationId } })"
      >
        Cut {{ foldName(part, operationId) }} open
      </el-button>
    </div>
    <div
      v-for="({ seam, name, figure, edits, bevels }, index) in shown"
      :key="index"
      class="seam"
      :class="seam.state.state"
    >
      <el-button link class="bare name" @click="show(seam)">{{ name }}</el-button><span class="value figures">{{
        figure
      }}</span>
      <el-button
        text
        size="small"
        v-if="seam.state.seam.id"
        :aria-label="`Remove the seam ${name}`"
        @click="work.run(seam.partId, { name: 'removeSeam', args: { seamId: seam.state.seam.id } })"
      >
        Remove
      </el-button>
      <p v-if="bevels" class="bevels">{{ bevels }}</p>
      <div v-if="edits.length > 0" class="doings">
        <el-button type="primary" size="small" v-for="edit in edits" :key="edit.label" @click="run(edit)">
          {{ edit.label }}
        </el-button>
      </div>
    </div>
    <template v-if="near.length > 0">
      <p class="hint">
        {{ near.length === 1 ? 'Two edges nearly meet' : `${near.length} pairs of edges nearly meet` }} when it is
        folded. Declare them as seams and their gaps are watched.
      </p>
      <div v-for="(state, index) in near" :key="index" class="seam near">
        <span class="name">{{ nameOf({ partId: part.id, state, pieces: [0, 0] }) }}</span><span class="value figures">{{
          length(state.gapMm)
        }}</span>
      </div>
      <el-button size="small" @click="declare(near)">
        {{ near.length === 1 ? 'Declare the seam' : `Declare ${near.length} seams` }}
      </el-button>
    </template>
    <template v-if="view.order.length > 0">
      <h2 class="eyebrow order">Fold in this order</h2>
      <ol>
        <li
          v-for="({ operationId, reason, isBlocked }, index) in view.order.slice(0, MOST_FOLDS)"
          :key="operationId"
          :class="{ blocked: isBlocked }"
        >
          <b>{{ foldName(part, operationId) }}</b> <span>{{ reason }}</span>
          <el-button
            text
            size="small"
            v-if="index > 0"
            class="up"
            :aria-label="`Fold ${foldName(part, operationId)} earlier`"
            @click="moveUp(index)"
          >
            earlier
          </el-button>
        </li>
      </ol>
      <p v-if="view.order.length > MOST_FOLDS" class="hint">
        and {{ view.order.length - MOST_FOLDS }} more folds, further in one after the other
      </p>
      <el-button size="small" v-if="view.order.length > 1" @click="keepOrder">
        {{ isKept ? 'Let the program order them' : 'Keep this order' }}
      </el-button>
    </template>
  </section>
</template>

<style scoped>
.report {
  margin: 8px 0;
  display: grid;
  gap: 6px;
}
.seam {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 2px 8px;
  align-items: center;
  border-left: 4px solid var(--moss);
  padding: 4px 0 4px 10px;
  margin: 6px 0;
}
.seam.open,
.seam.pressed {
  border-left-color: var(--brick);
  background: var(--brick-pale);
}
.seam.near {
  border-left-color: #c9bd9f;
}
.name {
  border: 0;
  background: none;
  text-align: left;
  padding: 0;
  font-weight: 500;
}
.name:hover {
  text-decoration: underline;
}
.value {
  font-weight: 600;
  font-size: 17px;
}
.bevels {
  grid-column: 1 / -1;
  color: var(--ink-soft);
}
.doings {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 4px 0;
}
.hint {
  margin: 10px 0 4px;
  color: var(--ink-soft);
}
.order {
  margin-top: 16px;
}
ol {
  padding-left: 20px;
  margin: 6px 0 8px;
  display: grid;
  gap: 4px;
}
li span {
  color: var(--ink-soft);
}
li.blocked span {
  color: var(--brick);
  font-weight: 600;
}
li {
  padding-right: 62px;
  position: relative;
}
.up {
  position: absolute;
  right: 0;
  top: -2px;
}
</style>
