<script setup lang="ts">
import { computed, reactive, watch } from 'vue';
import { contextOf, type FoldView, type ShownContact } from '@grain-fold/core/airframe';
import type { BoardFace } from '@grain-fold/core/operations';
import { lineName, straightLines, type Joint, type Part, type Place, type StraightLine } from '@grain-fold/core/part';
import { expandPart } from '@grain-fold/core/resolve';
import { formatLength } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Selection } from '../selection.ts';
import FoldAway from '../../../kit/FoldAway.vue';
import FootContact from './FootContact.vue';
import CheckRow from '../../../kit/CheckRow.vue';

/** Where the part stands: on which lines of other parts, or at which place of the airframe; and which edges of other parts it meets. */
const props = defineProps<{ part: Part; selection: Selection; view?: FoldView; isFolding: boolean }>();
const emit = defineEmits<{ stood: [] }>();
const work = useAirframe();
const whole = (part: Part): Part => expandPart(part, contextOf(work.airframe!, part));
const linesOf = (part: Part | undefined): readonly StraightLine[] => (part ? straightLines(part, whole(part)) : []);
const choice = ({ segmentId, name, lengthMm }: StraightLine): readonly [string, string] => [
  segmentId,
  `${name} · ${formatLength(lengthMm, work.unit)}`,
];

const ownLines = computed(() => straightLines(props.part, props.part));
const others = computed(() => (work.airframe?.parts ?? []).filter(({ id }) => id !== props.part.id));
const partOf = (id: string): Part | undefined => work.airframe?.parts.find((part) => part.id === id);
const joints = computed(() =>
  (props.part.joints ?? []).map((joint) => ({ joint, toLines: linesOf(partOf(joint.toPartId)) })),
);
const SKINS = [
  ['back', 'far skin'],
  ['face', 'face'],
] as const;

function stand(): void {
  const chosen = props.selection.segment.value?.segment.id;
  const to = others.value.find((part) => linesOf(part).length > 0),
    own = ownLines.value.find(({ segmentId }) => segmentId === chosen) ?? ownLines.value[0];
  if (!to || !own) {
    work.message = own
      ? 'There is no other part with a straight edge or line to stand on.'
      : `${props.part.name} has no straight edge or line to stand by.`;
    return;
  }
  const made = work.run(props.part.id, {
    name: 'addJoint',
    args: {
      joint: {
        ownSegmentId: own.segmentId,
        ownSkin: 'back',
        toPartId: to.id,
        toSegmentId: linesOf(to)[0]!.segmentId,
        toSkin: 'face',
        turnDegrees: 90,
        alongMm: 0,
        isReversed: false,
      },
    },
  });
  if (made) emit('stood');
}
const change = (joint: Joint, changes: Partial<Joint>): void => {
  work.run(props.part.id, { name: 'changeJoint', args: { jointId: joint.id, changes } });
};
/** Stands it by another line of its own, which is then shown on the model. */
function standBy(joint: Joint, ownSegmentId: string): void {
  change(joint, { ownSegmentId });
  const path = props.part.contours.find(({ segments }) => segments.some(({ id }) => id === ownSegmentId));
  if (path) props.selection.chosen.value = { kind: 'segment', pathId: path.id, segmentId: ownSegmentId, t: 0.5 };
}
const standOn = (joint: Joint, toPartId: string): void => {
  const first = linesOf(partOf(toPartId))[0];
  if (first) change(joint, { toPartId, toSegmentId: first.segmentId });
};

const HERE: Place = { at: { x: 0, y: 0, z: 0 }, rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0 };
const setPlace = (place: Place | undefined): void => {
  work.run(props.part.id, { name: 'setPlace', args: { place } });
};
const moveTo = (changes: Partial<Place['at']>): void => {
  const { place } = props.part;
  if (place) setPlace({ ...place, at: { ...place.at, ...changes } });
};

/** The seam that is being declared. */
const meet = reactive({ own: '', partId: '', to: '' });
const met = computed(() => (props.part.seams ?? []).filter(({ toPartId }) => toPartId !== undefined));
const ownEdges = computed(() => ownLines.value.filter(({ canMeet }) => canMeet));
const meetParts = computed(() => (props.part.handed === 'pair' ? [props.part, ...others.value] : others.value));
const meetEdges = computed(() =>
  linesOf(partOf(meet.partId)).filter(({ canMeet, segmentId }) => canMeet && !segmentId.includes('~')),
);
watch(
  () => props.part.id,
  () => {
    Object.assign(meet, { own: ownEdges.value[0]?.segmentId ?? '', partId: meetParts.value[0]?.id ?? '' });
  },
  { immediate: true },
);
watch(
  meetEdges,
  (edges) => {
    if (!edges.some(({ segmentId }) => segmentId === meet.to)) meet.to = edges[0]?.segmentId ?? '';
  },
  { immediate: true },
);
const declare = (): void => {
  work.run(props.part.id, {
    name: 'addSeam',
    args: { fromSegmentId: meet.own, toSegmentId: meet.to, toPartId: meet.partId },
  });
};
const contactOf = ({ id }: Joint): ShownContact | undefined =>
  props.view?.contacts.find(({ partId, jointId }) => partId === props.part.id && jointId === id);
const heading = (index: number): string => (joints.value.length > 1 ? `Piece ${index + 1} stands` : 'It stands');
</script>

<template>
  <section aria-label="Where it stands">
    <h2 class="eyebrow">Where it stands</h2>
    <p v-if="joints.length === 0 && !part.place" class="hint">
      On no other part yet, and at no place of the airframe. Click the edge that it stands by, or choose it afterwards.
    </p>
    <fieldset v-for="({ joint, toLines }, index) in joints" :key="joint.id" class="joint">
      <legend>{{ heading(index) }} on {{ partOf(joint.toPartId)?.name ?? 'a part that is gone' }}</legend>
      <ChoiceRow
        label="By its"
        :model-value="joint.ownSegmentId"
        :choices="ownLines.map(choice)"
        @update:model-value="standBy(joint, $event)"
      />
      <ChoiceRow
        label="with its"
        :model-value="joint.ownSkin"
        :choices="SKINS"
        @update:model-value="change(joint, { ownSkin: $event as BoardFace })"
      />
      <ChoiceRow
        label="On the part"
        :model-value="joint.toPartId"
        :choices="others.map((one) => [one.id, one.name] as const)"
        @update:model-value="standOn(joint, $event)"
      />
      <ChoiceRow
        label="on its"
        :model-value="joint.toSegmentId"
        :choices="toLines.map(choice)"
        @update:model-value="change(joint, { toSegmentId: $event })"
      />
      <ChoiceRow
        label="at that part’s"
        :model-value="joint.toSkin"
        :choices="SKINS"
        @update:model-value="change(joint, { toSkin: $event as BoardFace })"
      />
      <MeasureField
        label="Turned up by"
        kind="angle"
        :model-value="joint.turnDegrees"
        :least="-180"
        :most="180"
        @update:model-value="change(joint, { turnDegrees: $event })"
      />
      <MeasureField
        label="Shifted along by"
        :unit="work.unit"
        :model-value="joint.alongMm"
        @update:model-value="change(joint, { alongMm: $event })"
      />
      <CheckRow
        label="from the other side of the line"
        :model-value="joint.isReversed"
        @update:model-value="change(joint, { isReversed: $event })"
      />
      <CheckRow
        v-if="joint.isFilled"
        label="its open wedge is filled with glue"
        :model-value="true"
        @update:model-value="change(joint, { isFilled: $event })"
      />
      <FootContact v-if="contactOf(joint)" :contact="contactOf(joint)!" :is-old="isFolding" />
      <el-button size="small" @click="work.run(part.id, { name: 'removeJoint', args: { jointId: joint.id } })">
        Take it off
      </el-button>
    </fieldset>
    <fieldset v-if="part.place" class="joint">
      <legend>Its place in the airframe</legend>
      <MeasureField
        label="Aft"
        :unit="work.unit"
        :model-value="part.place.at.x"
        @update:model-value="moveTo({ x: $event })"
      />
      <MeasureField
        label="To starboard"
        :unit="work.unit"
        :model-value="part.place.at.y"
        @update:model-value="moveTo({ y: $event })"
      />
      <MeasureField
        label="Up"
        :unit="work.unit"
        :model-value="part.place.at.z"
        @update:model-value="moveTo({ z: $event })"
      />
      <MeasureField
        label="Rolled"
        kind="angle"
        :model-value="part.place.rollDegrees"
        :least="-360"
        :most="360"
        @update:model-value="setPlace({ ...part.place!, rollDegrees: $event })"
      />
      <MeasureField
        label="then pitched"
        kind="angle"
        :model-value="part.place.pitchDegrees"
        :least="-360"
        :most="360"
        @update:model-value="setPlace({ ...part.place!, pitchDegrees: $event })"
      />
      <MeasureField
        label="then yawed"
        kind="angle"
        :model-value="part.place.yawDegrees"
        :least="-360"
        :most="360"
        @update:model-value="setPlace({ ...part.place!, yawDegrees: $event })"
      />
      <el-button size="small" @click="setPlace(undefined)">Take it out of the airframe</el-button>
    </fieldset>
    <div class="doings">
      <el-button size="small" @click="stand">
        {{ joints.length > 0 ? 'Stand another piece' : 'Stand it on another part' }}
      </el-button>
      <el-button size="small" v-if="!part.place && joints.length === 0" @click="setPlace(HERE)">
        Give it a place
      </el-button>
    </div>
    <div v-for="seam in met" :key="seam.id" class="row">
      <span class="label"
        >{{ lineName(part, seam.fromSegmentId) }} meets
        {{ partOf(seam.toPartId!)?.name ?? 'a part that is gone' }}</span
      ><el-button
        text
        size="small"
        :aria-label="`Remove the seam of ${lineName(part, seam.fromSegmentId)} with ${partOf(seam.toPartId!)?.name ?? 'a part that is gone'}`"
        @click="work.run(part.id, { name: 'removeSeam', args: { seamId: seam.id } })"
      >
        Remove
      </el-button>
    </div>
    <FoldAway title="It meets an edge or line of another part" v-if="ownEdges.length > 0 && meetParts.length > 0">
      <ChoiceRow v-model="meet.own" label="Its" :choices="ownEdges.map(choice)" />
      <ChoiceRow
        v-model="meet.partId"
        label="meets the part"
        :choices="meetParts.map((one) => [one.id, one === part ? 'its other piece' : one.name] as const)"
      />
      <ChoiceRow v-model="meet.to" label="at its" :choices="meetEdges.map(choice)" />
      <el-button size="small" @click="declare">Declare the seam</el-button>
    </FoldAway>
  </section>
</template>

<style scoped>
.joint {
  border: 0;
  border-left: 4px solid #c9bd9f;
  padding: 2px 0 6px 10px;
  margin: 8px 0;
  min-width: 0;
}
legend {
  font-weight: 600;
  padding: 0;
}
.hint {
  margin: 8px 0;
  color: var(--ink-soft);
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 10px 0;
}
</style>
