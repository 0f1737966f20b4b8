import { EMPTY_PLAN, usualThing, type Plan, type PlannedThing, type SurfaceThing } from '@grain-fold/core/plan';

const inch = (value: number): number => value * 25.4;

/** A surface with its numbers; the rest as it usually is. */
const surface = (
  kind: SurfaceThing['kind'],
  id: string,
  boardMm: number,
  change: Partial<SurfaceThing>,
): SurfaceThing => ({
  ...(usualThing(kind, id, boardMm) as SurfaceThing),
  ...change,
});
const thing = (kind: PlannedThing['kind'], id: string, change: object): PlannedThing =>
  ({ ...usualThing(kind, id, 5), ...change }) as PlannedThing;

/** Three views of the Reedling: a pusher over a boom, tips raised, a V-tail. */
export function reedlingPlan(boardMm: number): Plan {
  return {
    ...EMPTY_PLAN,
    type: 'pusher',
    school: { kind: 'neutral point less margin', least: 0.05, most: 0.15 },
    carMm: 700,
    things: [
      surface('wing', 'wing', boardMm, {
        at: { x: 77, y: 0, z: 52 },
        stations: [
          { outMm: 0, sweepMm: 0, chordMm: 178 },
          { outMm: 240, sweepMm: 0, chordMm: 178 },
          { outMm: 553, sweepMm: 12, chordMm: 126 },
        ],
        angles: [0, 8],
        thicknessMm: 24,
        incidenceDegrees: 2,
        control: { fromMm: 60, toMm: 236, chordMm: 34, upDegrees: 20, downDegrees: 25 },
      }),
      thing('body', 'pod', {
        name: 'Pod',
        at: { x: -110, y: 0, z: 0 },
        stations: [
          { aftMm: 0, bottomMm: 4, topMm: 44, widthMm: 54 },
          { aftMm: 182, bottomMm: 0, topMm: 52, widthMm: 64 },
          { aftMm: 310, bottomMm: 0, topMm: 52, widthMm: 41 },
          { aftMm: 372, bottomMm: 3, topMm: 44, widthMm: 20.6 },
          { aftMm: 410, bottomMm: 5, topMm: 36, widthMm: 20 },
        ],
      }),
      thing('body', 'boom', {
        name: 'Boom',
        at: { x: 262, y: 0, z: 0 },
        stations: [
          { aftMm: 0, bottomMm: 10, topMm: 36, widthMm: 10 },
          { aftMm: 520, bottomMm: 12, topMm: 30, widthMm: 10 },
        ],
      }),
      surface('tail', 'tail', boardMm, {
        name: 'V-tail',
        at: { x: 670, y: 0, z: 24 },
        stations: [
          { outMm: 0, sweepMm: 0, chordMm: 110 },
          { outMm: 204, sweepMm: 24, chordMm: 68 },
        ],
        angles: [37.5],
        control: { fromMm: 12, toMm: 200, chordMm: 30, upDegrees: 20, downDegrees: 20 },
      }),
      thing('propeller', 'propeller', {
        at: { x: 282, y: 0, z: 128 },
        diameterMm: 152.4,
        depthMm: 10,
        massG: 8,
        goesWith: 'motor',
      }),
      thing('motor', 'motor', {
        at: { x: 256, y: 0, z: 128 },
        massG: 38,
        powerW: 75,
        lengthMm: 28,
        widthMm: 26,
        heightMm: 26,
      }),
      thing('pack', 'pack', {
        at: { x: -66, y: 0, z: 24 },
        lengthMm: 68,
        widthMm: 30,
        heightMm: 16,
        massG: 152,
        powerW: 160,
      }),
      thing('speed control', 'speed-control', {
        at: { x: 50, y: 0, z: 18 },
        lengthMm: 34,
        widthMm: 20,
        heightMm: 8,
        massG: 14,
      }),
      thing('receiver', 'receiver', { at: { x: 170, y: 0, z: 18 }, massG: 7, lengthMm: 32, widthMm: 20 }),
      thing('servo', 'servo', { at: { x: 150, y: 0, z: 52 }, massG: 9, goesWith: 'wing', name: 'Flaperon servo' }),
    ],
    guides: [
      { id: 'g1', name: 'Wing, front', axis: 'x', from: { kind: 'thing', thingId: 'pod', edge: 'fore' }, byMm: 187 },
      { id: 'g2', name: 'Tail, front', axis: 'x', from: { kind: 'thing', thingId: 'wing', edge: 'fore' }, byMm: 593 },
    ],
    lastId: 20,
  };
}

/** Three views of the Saltbox: a parasol wing on struts over a slab-sided body. */
export function saltboxPlan(boardMm: number): Plan {
  return {
    ...EMPTY_PLAN,
    type: 'slab hauler',
    carMm: inch(40),
    things: [
      surface('wing', 'wing', boardMm, {
        at: { x: inch(6), y: 0, z: inch(8) },
        stations: [
          { outMm: 0, sweepMm: 0, chordMm: inch(6.4) },
          { outMm: inch(18), sweepMm: 0, chordMm: inch(6.4) },
        ],
        angles: [3],
        thicknessMm: inch(0.9),
        control: { fromMm: inch(8.5), toMm: inch(17), chordMm: inch(1.5), upDegrees: 20, downDegrees: 15 },
      }),
      thing('body', 'body', {
        stations: [
          { aftMm: 0, bottomMm: inch(0.5), topMm: inch(3.25), widthMm: inch(2.5) },
          { aftMm: inch(3), bottomMm: 0, topMm: inch(3.75), widthMm: inch(2.5) },
          { aftMm: inch(6), bottomMm: 0, topMm: inch(4.25), widthMm: inch(2.5) },
          { aftMm: inch(12.5), bottomMm: 0, topMm: inch(4.25), widthMm: inch(2.5) },
          { aftMm: inch(20), bottomMm: inch(1.125), topMm: inch(3.25), widthMm: inch(1.625) },
          { aftMm: inch(25), bottomMm: inch(2.25), topMm: inch(3.25), widthMm: inch(1) },
        ],
      }),
      thing('body', 'power-box', {
        name: 'Power box',
        at: { x: inch(-2.5), y: 0, z: 0 },
        stations: [
          { aftMm: 0, bottomMm: inch(1), topMm: inch(3.1), widthMm: inch(2.2) },
          { aftMm: inch(2.5), bottomMm: inch(0.8), topMm: inch(3.2), widthMm: inch(2.4) },
        ],
      }),
      surface('tail', 'tail', boardMm, {
        name: 'Tailplane',
        at: { x: inch(19.9), y: 0, z: inch(2.7) },
        stations: [
          { outMm: 0, sweepMm: 0, chordMm: inch(3.4) },
          { outMm: inch(6.5), sweepMm: 0, chordMm: inch(3.4) },
        ],
        control: { fromMm: inch(1.6), toMm: inch(6.4), chordMm: inch(1.1), upDegrees: 20, downDegrees: 20 },
      }),
      surface('fin', 'fin', boardMm, {
        at: { x: inch(20.2), y: 0, z: inch(3.35) },
        stations: [
          { outMm: 0, sweepMm: 0, chordMm: inch(4.5) },
          { outMm: inch(4.6), sweepMm: inch(2.2), chordMm: inch(2.3) },
        ],
        control: { fromMm: inch(0.2), toMm: inch(4.5), chordMm: inch(1.4), upDegrees: 25, downDegrees: 25 },
      }),
      thing('propeller', 'propeller', {
        at: { x: inch(-3.25), y: 0, z: inch(2.1) },
        diameterMm: inch(9),
        massG: 14,
        goesWith: 'motor',
      }),
      thing('motor', 'motor', {
        at: { x: inch(-1.8), y: 0, z: inch(2.1) },
        massG: 62,
        powerW: 85,
        lengthMm: inch(1.1),
        widthMm: inch(1.1),
        heightMm: inch(1.1),
      }),
      thing('pack', 'pack', {
        at: { x: inch(8.75), y: 0, z: inch(1.2) },
        lengthMm: inch(3),
        widthMm: inch(1.4),
        heightMm: inch(0.9),
        massG: 118,
        powerW: 240,
      }),
      thing('speed control', 'speed-control', {
        at: { x: inch(5), y: 0, z: inch(2.4) },
        massG: 20,
        lengthMm: inch(1.6),
      }),
      thing('receiver', 'receiver', { at: { x: inch(11), y: 0, z: inch(1.2) }, massG: 8 }),
      thing('wheel', 'wheels', {
        name: 'Wheels',
        at: { x: inch(4.6), y: 0, z: inch(0.1) },
        diameterMm: inch(2.5),
        widthMm: inch(0.6),
        apartMm: inch(8),
        legMm: inch(2.6),
      }),
      thing('wheel', 'tail-skid', {
        name: 'Tail skid',
        at: { x: inch(24.2), y: 0, z: inch(2.2) },
        diameterMm: inch(0.5),
        widthMm: inch(0.2),
        apartMm: 0,
        legMm: inch(0.8),
      }),
    ],
    guides: [
      { id: 'g1', name: 'Former 2', axis: 'x', from: { kind: 'datum' }, byMm: inch(4.5) },
      { id: 'g2', name: 'Former 3', axis: 'x', from: { kind: 'guide', guideId: 'g1' }, byMm: inch(8) },
    ],
    lastId: 20,
  };
}
