import {
  bodyFromPlanned,
  formFromPlanned,
  gaugeWith,
  strutWith,
  withPlannedShape,
  type BodyForm,
  type DeckForm,
  type Form,
  type GaugeForm,
  type LayeredForm,
  type PowerForm,
  type ShellForm,
  type StrutForm,
  type WingForm,
} from '@grain-fold/core/forms';
import type { BodyThing, Plan, SurfaceThing } from '@grain-fold/core/plan';

export const BOARD = 'faced board 5 mm';
export const PLY = 'plywood 3 mm';
export const BOARD_MM = 4.9;
const AT_DATUM = { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 } as const;

const surfaceOf = ({ things }: Plan, thingId: string): SurfaceThing =>
  things.find(({ id }) => id === thingId) as SurfaceThing;

/** The planned wing as parts: flat in the middle, its tips raised, flaperons in them. */
function wingForm(plan: Plan): WingForm {
  const thing = surfaceOf(plan, 'wing'),
    form = formFromPlanned(thing, 'wing', 'Wing', BOARD, BOARD_MM);
  const parameters = withPlannedShape({ ...form.parameters, middle: 'panel' }, thing),
    tip = parameters.panels[1]!;
  return {
    ...form,
    parameters: {
      ...parameters,
      ends: 'bevelled',
      controls: [
        { panelId: tip.id, kind: 'flaperon', fromMm: 20, toMm: 256, chordMm: 34, throwDegrees: 25, gapMm: 1.5 },
      ],
      servos: [{ panelId: tip.id, outMm: 60, aftMm: 4, lengthMm: 23, widthMm: 12, heightMm: 24, leadMm: 150 }],
    },
  };
}

/** The planned pod: a box open above, closed by the wing and a deck, its walls drawn in to the boom. */
function podForm({ things }: Plan): BodyForm {
  const thing = things.find(({ id }) => id === 'pod') as BodyThing,
    form = bodyFromPlanned(thing, 'pod', 'Pod', BOARD, BOARD_MM);
  return {
    ...form,
    parameters: {
      ...form.parameters,
      plateMaterial: PLY,
      corners: 'between',
      lid: 'none',
      formers: [
        { id: 'f1', aftMm: 0, boards: 1, rimMm: 0, leadMm: 0 },
        { id: 'f2', aftMm: 91, boards: 1, rimMm: 10, leadMm: 0 },
        { id: 'f3', aftMm: 176, boards: 1, rimMm: 10, leadMm: 0 },
        { id: 'f4', aftMm: 310, boards: 1, rimMm: 10, leadMm: 0 },
      ],
      seats: [{ id: 't1', formId: 'wing', hold: 'bolts', dowelMm: 4, aheadMm: 12, behindMm: 12, inMm: 16 }],
      doublers: [{ id: 'd1', fromMm: 190, toMm: 304 }],
      bays: [
        { id: 'y1', name: 'Pack', fromMm: 10, lengthMm: 68, widthMm: 30, heightMm: 16 },
        { id: 'y2', name: 'Receiver', fromMm: 190, lengthMm: 32, widthMm: 20, heightMm: 10 },
      ],
      openings: [{ id: 'o1', kind: 'cooling out', on: 'floor', aftMm: 324, upMm: 0, lengthMm: 22, widthMm: 7.5 }],
      skid: { aftMm: 120, lengthMm: 92, depthMm: 14 },
      tray: { fromMm: 8, toMm: 88, strapMm: 16 },
      balanceMm: 238,
    },
  };
}

/** Wrapped over the pod before the wing. */
const DECK: DeckForm = {
  id: 'deck',
  kind: 'deck',
  name: 'Pod deck',
  parameters: {
    material: BOARD,
    sections: [
      { id: 'c1', aftMm: 0, widthMm: 54, riseMm: 27, sillMm: 44.3, fullPercent: 50 },
      { id: 'c2', aftMm: 91, widthMm: 59, riseMm: 29.5, sillMm: 48.3, fullPercent: 50 },
      { id: 'c3', aftMm: 182, widthMm: 64, riseMm: 32, sillMm: 52.3, fullPercent: 50 },
    ],
    sheets: 'one',
    skins: 'outer',
    hasFormers: true,
    rimMm: 7.5,
  },
  place: { at: { x: -110, y: 0, z: 0 }, incidenceDegrees: 0 },
};

/** Ten facets close the pod's front. */
function noseForm(): ShellForm {
  const corners = (halfMm: number, heightMm: number, middleMm: number) =>
    Array.from({ length: 6 }, (_, index) => {
      const angle = (Math.PI * index) / 5 - Math.PI / 2;
      return {
        outMm: index === 0 || index === 5 ? 0 : halfMm * Math.cos(angle),
        upMm: middleMm + (heightMm / 2) * Math.sin(angle),
      };
    });
  return {
    id: 'nose',
    kind: 'shell',
    name: 'Pod nose',
    parameters: {
      material: BOARD,
      sections: [
        { id: 's1', aftMm: 0, corners: corners(15.75, 39.25, 35) },
        { id: 's2', aftMm: 44, corners: corners(27, 67.3, 37.65) },
      ],
      closesNose: true,
      closesTail: false,
      seams: 'below',
      bulkheads: [],
    },
    place: { at: { x: -154.1, y: 0, z: 0 }, incidenceDegrees: 0 },
  };
}

/** Two boards on edge, held between the walls of the pod. */
const BOOM: LayeredForm = {
  id: 'boom',
  kind: 'layered',
  name: 'Boom',
  parameters: {
    material: BOARD,
    layers: 2,
    topLine: 'straight',
    bottomLine: 'straight',
    stations: [
      { id: 'q1', aftMm: 0, bottomMm: 10, topMm: 36 },
      { id: 'q2', aftMm: 520, bottomMm: 12, topMm: 30 },
    ],
    openings: [],
    reaches: [],
    slits: [],
    seats: [{ id: 't1', formId: 'tail', hold: 'none', dowelMm: 4, aheadMm: 12, behindMm: 12, inMm: 16 }],
  },
  place: { at: { x: 262, y: 0, z: 0 }, incidenceDegrees: 0 },
};

/** Two flat panels at 105°, sunk into the boom. */
function tailForm(plan: Plan): WingForm {
  const form = formFromPlanned(surfaceOf(plan, 'tail'), 'tail', 'V-tail', BOARD, BOARD_MM);
  const { plannedId: _tail, ...rest } = form,
    [panel] = form.parameters.panels;
  return {
    ...rest,
    parameters: {
      ...form.parameters,
      build: 'stepped',
      layers: [],
      ends: 'bevelled',
      controls: [
        { panelId: panel!.id, kind: 'elevon', fromMm: 20, toMm: 196, chordMm: 30, throwDegrees: 20, gapMm: 1.5 },
      ],
    },
  };
}

/** The motor's box over the wing: it pushes. */
const POWER: PowerForm = {
  id: 'power',
  kind: 'power',
  name: 'Motor box',
  parameters: {
    material: BOARD,
    plateMaterial: PLY,
    insideWidthMm: 30,
    insideHeightMm: 34,
    lengthMm: 60,
    walls: 'single',
    lineMm: 17,
    rightDegrees: 0,
    downDegrees: 2,
    reachMm: 26,
    frontLayers: 1,
    plugLayers: 1,
    isPusher: true,
    pattern: { kind: 'cross', firstMm: 19, secondMm: 19, bolts: 4, boltMm: 2, turnDegrees: 0, shaftMm: 4 },
    leadMm: 3.5,
    leadDownMm: 9.6,
    propellerMm: 152.4,
  },
  place: { at: { x: 253, y: 0, z: 106.1 }, incidenceDegrees: 0 },
};

/** The motor's box stands on the wing's middle. */
const PYLON: StrutForm = {
  id: 'pylon',
  kind: 'strut',
  name: 'Pylon',
  parameters: {
    material: BOARD,
    struts: [
      strutWith({
        id: 's1',
        kind: 'strut',
        name: 'Pylon',
        lowerId: 'wing-skin-1',
        upperId: 'power-box',
        boards: 2,
        lowerFromPercent: 50,
        lowerToPercent: 90,
        upperFromPercent: 5,
        upperToPercent: 95,
      }),
    ],
  },
  place: AT_DATUM,
};

/** What holds tail and wing tips while the glue sets, and shows the throws. */
const GAUGES: GaugeForm = {
  id: 'gauges',
  kind: 'gauge',
  name: 'Gauges',
  parameters: {
    material: BOARD,
    gauges: [
      gaugeWith({ id: 'g1', kind: 'angle', name: 'V-tail', partId: 'tail-skin-1', against: 'mirror', quantity: 2 }),
      gaugeWith({
        id: 'g2',
        kind: 'angle',
        name: 'Tip',
        partId: 'wing-skin-2',
        against: 'part',
        againstId: 'wing-skin-1',
        quantity: 2,
      }),
      gaugeWith({ id: 'g3', kind: 'profile', name: 'Incidence', partId: 'wing-skin-1', outMm: 150 }),
    ],
  },
  place: AT_DATUM,
};

/** The forms of the Reedling, each after those that it sits in or stands on. */
export const reedlingForms = (plan: Plan): readonly Form[] => [
  wingForm(plan),
  tailForm(plan),
  podForm(plan),
  DECK,
  noseForm(),
  BOOM,
  POWER,
  PYLON,
  GAUGES,
];
