import {
  bodyFromPlanned,
  formFromPlanned,
  gaugeWith,
  strutWith,
  type BodyForm,
  type Form,
  type GaugeForm,
  type PowerForm,
  type StrutForm,
  type TailForm,
  type WingForm,
} from '@grain-fold/core/forms';
import type { BodyThing, Plan, SurfaceThing } from '@grain-fold/core/plan';

export const BOARD = 'faced board 3/16';
export const PLY = 'plywood 1/8';
export const BOARD_MM = 4.8;
export const inch = (value: number): number => value * 25.4;

/** The planned wing as parts: two halves of one chord, their ends bevelled to the joint. */
function wingForm({ things }: Plan): WingForm {
  const thing = things.find(({ id }) => id === 'wing') as SurfaceThing,
    form = formFromPlanned(thing, 'wing', 'Wing', BOARD, BOARD_MM);
  return {
    ...form,
    parameters: { ...form.parameters, sparHeightMm: inch(0.5), sparPercent: 30, ends: 'bevelled' },
  };
}

/** The planned body: a slab-sided box whose walls stand on the floor, with all that is built into it. */
function bodyForm({ things }: Plan): BodyForm {
  const thing = things.find(({ id }) => id === 'body') as BodyThing,
    form = bodyFromPlanned(thing, 'body', 'Body', BOARD, BOARD_MM);
  return {
    ...form,
    parameters: {
      ...form.parameters,
      plateMaterial: PLY,
      corners: 'on floor',
      lid: 'on walls',
      formers: [
        { id: 'f1', aftMm: inch(3), boards: 1, rimMm: 12, leadMm: 0 },
        { id: 'f2', aftMm: inch(6), boards: 1, rimMm: 10, leadMm: 0 },
        { id: 'f3', aftMm: inch(12.5), boards: 1, rimMm: 10, leadMm: 0 },
        { id: 'f4', aftMm: inch(19.5), boards: 1, rimMm: 0, leadMm: 0 },
      ],
      seats: [{ id: 't1', formId: 'tail', hold: 'none', dowelMm: 4, aheadMm: 12, behindMm: 12, inMm: 16 }],
      doublers: [{ id: 'd1', fromMm: inch(5.75), toMm: inch(12.4) }],
      bays: [
        { id: 'y1', name: 'Pack', fromMm: inch(7), lengthMm: inch(3), widthMm: inch(1.4), heightMm: inch(0.9) },
        { id: 'y2', name: 'Receiver', fromMm: inch(10.5), lengthMm: inch(1.5), widthMm: inch(1), heightMm: inch(0.6) },
      ],
      openings: [
        {
          id: 'o1',
          kind: 'cooling in',
          on: 'walls',
          aftMm: inch(4),
          upMm: inch(2),
          lengthMm: inch(0.75),
          widthMm: inch(0.5),
        },
        {
          id: 'o2',
          kind: 'cooling out',
          on: 'floor',
          aftMm: inch(16),
          upMm: 0,
          lengthMm: inch(1.5),
          widthMm: inch(0.75),
        },
      ],
      hatch: { kind: 'tongue', fromMm: inch(7.25), toMm: inch(11) },
      gear: { aftMm: inch(4.6), lengthMm: inch(1.5), wireMm: 2.4, boards: 2 },
      tray: { fromMm: inch(6.5), toMm: inch(11), strapMm: 20 },
      balanceMm: inch(8.2),
      boxIds: ['power'],
    },
  };
}

/** A tail all of plates that sits on the body, elevator and rudder cut to clear each other. */
const TAIL: TailForm = {
  id: 'tail',
  kind: 'tail',
  name: 'Tail',
  parameters: {
    material: BOARD,
    stabiliser: { spanMm: inch(13), rootMm: inch(3.25), tipMm: inch(2.5), sweepMm: inch(0.75) },
    elevator: {
      rootMm: inch(1.25),
      tipMm: inch(1),
      upDegrees: 25,
      downDegrees: 25,
      halves: 'one',
      tape: 'top',
      tabMm: 0,
      tabForeMm: 0,
      joinerMm: 1.5,
      hornMm: inch(0.75),
    },
    fin: {
      place: 'middle',
      aftMm: inch(0.5),
      heightMm: inch(4.5),
      rootMm: inch(2.75),
      tipMm: inch(1.25),
      sweepMm: inch(1.5),
      belowMm: 0,
      hasTab: true,
    },
    rudder: {
      rootMm: inch(1.5),
      tipMm: inch(1.25),
      travelDegrees: 30,
      footMm: inch(0.125),
      tabMm: 0,
      tabForeMm: 0,
      hornMm: inch(1),
    },
    yields: 'elevator',
    gapMm: 1.6,
  },
  place: { at: { x: inch(20.6), y: 0, z: inch(3.25) + 0.15 }, incidenceDegrees: 0 },
};

/** The box that bears the motor: it slides into the body's nose. */
const POWER: PowerForm = {
  id: 'power',
  kind: 'power',
  name: 'Power box',
  parameters: {
    material: BOARD,
    plateMaterial: PLY,
    insideWidthMm: inch(2.5) - 6 * BOARD_MM - 0.4,
    insideHeightMm: inch(1.5),
    lengthMm: inch(4.75),
    walls: 'doubled',
    lineMm: inch(0.75),
    rightDegrees: 2,
    downDegrees: 3,
    reachMm: inch(0.875),
    frontLayers: 1,
    plugLayers: 1,
    pattern: { kind: 'unequal cross', firstMm: 19, secondMm: 16, bolts: 4, boltMm: 2, turnDegrees: 0, shaftMm: 4 },
    leadMm: 4,
    leadDownMm: 12,
    propellerMm: inch(9),
    dowels: { count: 2, acrossMm: inch(0.125), firstMm: inch(3.125), apartMm: inch(1), upMm: inch(0.75) },
  },
  place: { at: { x: -inch(2.5), y: 0, z: inch(0.5) + 1.1 * BOARD_MM }, incidenceDegrees: 0 },
};

const CABANE = {
  kind: 'strut',
  lowerId: 'body-lid',
  upperId: 'wing-skin-1',
  lowerOutMm: inch(1.15),
  upperOutMm: inch(1.15),
} as const;
/** The wing stands over the body on four struts. */
const STRUTS: StrutForm = {
  id: 'struts',
  kind: 'strut',
  name: 'Cabane',
  parameters: {
    material: BOARD,
    struts: [
      strutWith({
        ...CABANE,
        id: 's1',
        name: 'Fore strut',
        lowerFromPercent: 38,
        lowerToPercent: 44,
        upperFromPercent: 6,
        upperToPercent: 20,
      }),
      strutWith({
        ...CABANE,
        id: 's2',
        name: 'Aft strut',
        lowerFromPercent: 79,
        lowerToPercent: 85,
        upperFromPercent: 76,
        upperToPercent: 90,
      }),
    ],
  },
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
};

/** What holds the wing and the fin while the glue sets. */
const GAUGES: GaugeForm = {
  id: 'gauges',
  kind: 'gauge',
  name: 'Gauges',
  parameters: {
    material: BOARD,
    gauges: [
      gaugeWith({ id: 'g1', kind: 'angle', name: 'Dihedral', partId: 'wing-skin-1', against: 'mirror', quantity: 2 }),
      gaugeWith({
        id: 'g2',
        kind: 'angle',
        name: 'Fin square',
        partId: 'tail-fin',
        against: 'part',
        againstId: 'tail-stabiliser',
        quantity: 2,
      }),
    ],
  },
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
};

/** The forms of the Saltbox, each after those that it sits in or stands on. */
export const saltboxForms = (plan: Plan): readonly Form[] => [
  wingForm(plan),
  TAIL,
  bodyForm(plan),
  POWER,
  STRUTS,
  GAUGES,
];
