<script setup lang="ts">
import { computed } from 'vue';
import {
  surfaceMeasures,
  withMeasure,
  type ControlSurface,
  type SurfaceMeasures,
  type SurfaceThing,
} from '@grain-fold/core/plan';
import { CoreError, type LengthUnit } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import TickBox from '../../../kit/TickBox.vue';

/** The sizes of a wing, tail or fin: its greatest numbers first, each chord and panel folded away, then what of it moves. */
const props = defineProps<{ surface: SurfaceThing; unit: LengthUnit }>();
const emit = defineEmits<{ change: [label: string, surface: SurfaceThing]; refused: [message: string] }>();
const sizes = computed(() => surfaceMeasures(props.surface));
const isFin = computed(() => props.surface.kind === 'fin');
const words = computed<readonly (readonly [keyof SurfaceMeasures, string, 'length' | 'angle', number, number])[]>(
  () => [
    ['spanMm', isFin.value ? 'Height' : 'Span along it', 'length', 1, 12000],
    ['rootChordMm', 'Root chord', 'length', 0.1, 6000],
    ['tipChordMm', 'Tip chord', 'length', 0, 6000],
    ['sweepMm', 'Tip behind root', 'length', -6000, 6000],
    [
      'angleDegrees',
      isFin.value ? 'Stands at' : props.surface.kind === 'tail' ? 'Cant of each half' : 'Dihedral',
      'angle',
      -90,
      180,
    ],
  ],
);

function setSize(key: keyof SurfaceMeasures, word: string, value: number): void {
  try {
    emit('change', `Change ${word.toLowerCase()} of ${props.surface.name}`, withMeasure(props.surface, key, value));
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    emit('refused', error.message);
  }
}
function setStation(index: number, key: 'outMm' | 'sweepMm' | 'chordMm', value: number): void {
  emit('change', `Change chord ${index + 1} of ${props.surface.name}`, {
    ...props.surface,
    stations: props.surface.stations.map((one, place) => (place === index ? { ...one, [key]: value } : one)),
  });
}
const setAngle = (index: number, value: number): void =>
  emit('change', `Change panel ${index + 1} of ${props.surface.name}`, {
    ...props.surface,
    angles: props.surface.angles.map((one, place) => (place === index ? value : one)),
  });
/** One more chord half way along the outermost panel. */
function addChord(): void {
  const { stations, angles } = props.surface,
    [a, b] = [stations.at(-2)!, stations.at(-1)!];
  const middle = {
    outMm: (a.outMm + b.outMm) / 2,
    sweepMm: (a.sweepMm + b.sweepMm) / 2,
    chordMm: (a.chordMm + b.chordMm) / 2,
  };
  emit('change', `Add chord to ${props.surface.name}`, {
    ...props.surface,
    stations: [...stations.slice(0, -1), middle, b],
    angles: [...angles, angles.at(-1)!],
  });
}
function removeChord(index: number): void {
  const { stations, angles } = props.surface;
  emit('change', `Take out chord ${index + 1} of ${props.surface.name}`, {
    ...props.surface,
    stations: stations.filter((_, place) => place !== index),
    angles: angles.filter((_, place) => place !== index - 1),
  });
}

const CONTROL_WORDS = { wing: 'Ailerons', tail: 'Elevator', fin: 'Rudder' } as const;
const controlWord = computed(() => CONTROL_WORDS[props.surface.kind]);
const CONTROL_FIELDS = [
  ['fromMm', 'Begins, out', 'length', 0, 6000],
  ['toMm', 'Ends, out', 'length', 0.1, 6000],
  ['chordMm', 'Chord', 'length', 0.1, 2000],
  ['upDegrees', 'Throw up or one way', 'angle', 0, 90],
  ['downDegrees', 'Throw down or the other', 'angle', 0, 90],
] as const;
function setControl(has: boolean): void {
  const { control: _control, ...rest } = props.surface;
  const half = props.surface.stations.at(-1)!.outMm,
    chord = props.surface.stations.at(-1)!.chordMm || props.surface.stations[0]!.chordMm;
  const usual: ControlSurface = {
    fromMm: Math.round((props.surface.kind === 'wing' ? 0.5 : 0.1) * half),
    toMm: Math.round(0.98 * half),
    chordMm: Math.max(1, Math.round(0.25 * chord)),
    upDegrees: 20,
    downDegrees: 20,
  };
  emit(
    'change',
    `${has ? 'Add' : 'Take out'} ${controlWord.value.toLowerCase()}`,
    has ? { ...rest, control: usual } : rest,
  );
}
const setControlField = (key: keyof ControlSurface, value: number): void =>
  emit('change', `Change ${controlWord.value.toLowerCase()}`, {
    ...props.surface,
    control: { ...props.surface.control!, [key]: value },
  });
</script>

<template>
  <MeasureField
    v-for="[key, word, kind, least, most] in words"
    :key="key"
    :label="word"
    :kind="kind"
    :unit="unit"
    :model-value="sizes[key]"
    :least="least"
    :most="most"
    @update:model-value="setSize(key, word, $event)"
  />
  <FoldAway :title="`Chords and panels · ${surface.stations.length}`">
    <div v-for="(station, index) in surface.stations" :key="index" class="chord">
      <p class="eyebrow">
        Chord {{ index + 1 }}
        <el-button v-if="index > 0 && surface.stations.length > 2" link size="small" @click="removeChord(index)"
          >Take out</el-button
        >
      </p>
      <MeasureField
        v-if="index > 0"
        :label="`Chord ${index + 1}, out`"
        :unit="unit"
        :model-value="station.outMm"
        :least="surface.stations[index - 1]!.outMm"
        :most="surface.stations[index + 1]?.outMm ?? 6000"
        @update:model-value="setStation(index, 'outMm', $event)"
      />
      <MeasureField
        v-if="index > 0"
        :label="`Chord ${index + 1}, back`"
        :unit="unit"
        :model-value="station.sweepMm"
        :least="-6000"
        :most="6000"
        @update:model-value="setStation(index, 'sweepMm', $event)"
      />
      <MeasureField
        :label="`Chord ${index + 1}`"
        :unit="unit"
        :model-value="station.chordMm"
        :least="index === 0 ? 0.1 : 0"
        :most="6000"
        @update:model-value="setStation(index, 'chordMm', $event)"
      />
      <MeasureField
        v-if="index > 0"
        :label="`Panel ${index}, angle`"
        kind="angle"
        :model-value="surface.angles[index - 1]!"
        :least="-90"
        :most="180"
        @update:model-value="setAngle(index - 1, $event)"
      />
    </div>
    <el-button size="small" :disabled="surface.stations.length >= 24" @click="addChord">Add a chord</el-button>
  </FoldAway>
  <TickBox :label="controlWord" :model-value="surface.control !== undefined" @update:model-value="setControl" />
  <template v-if="surface.control">
    <MeasureField
      v-for="[key, word, kind, least, most] in CONTROL_FIELDS"
      :key="key"
      :label="`${controlWord}: ${word.toLowerCase()}`"
      :kind="kind"
      :unit="unit"
      :model-value="surface.control[key]"
      :least="least"
      :most="most"
      @update:model-value="setControlField(key, $event)"
    />
  </template>
</template>

<style scoped>
.chord {
  padding: 4px 0 6px;
}
.chord .eyebrow {
  display: flex;
  justify-content: space-between;
}
</style>
