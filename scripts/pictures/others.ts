/** Tails, power boxes, gauges, profile bodies, struts. */
import { formContext, type Airframe, withForm } from '@grain-fold/core/airframe';
import {
  cutRound,
  gaugeWith,
  layeredFromNumbers,
  strutWith,
  USUAL_SEAT,
  usualLayered,
  type LaidGauge,
  makeForm,
  wingFromNumbers,
  powerFromNumbers,
  usualPower,
  usualTail,
  tailFromNumbers,
  type PowerForm,
  type TailForm,
} from '@grain-fold/core/forms';
import { airframe, write, writeRings, ringsOf, AT_DATUM } from './draw.ts';

const tail: TailForm = {
  id: 't1',
  kind: 'tail',
  name: 'Tail',
  parameters: tailFromNumbers({ ...usualTail('mm'), material: 'board' }),
  place: AT_DATUM,
};
const tailed = withForm(airframe(), tail);
write('tail', tailed, 't1-stabiliser', 'airframe');
writeRings(
  'tail-elevator',
  'An elevator on the flat, cut out for a rudder of 30 degrees either way',
  ringsOf(tailed.parts.find(({ id }) => id === 't1-elevator')!),
  [],
);
const power: PowerForm = {
  id: 'm1',
  kind: 'power',
  name: 'Power box',
  parameters: powerFromNumbers({ ...usualPower('mm'), material: 'board' }, 'board'),
  place: AT_DATUM,
};
const powered = withForm(airframe(), power);
write('power-box', powered, 'm1-box', 'airframe');
const boxStrip = powered.parts.find(({ id }) => id === 'm1-box')!;
writeRings(
  'power-box-flat',
  'The strip of a power box on the flat: its front is cut to the thrust',
  ringsOf(boxStrip),
  boxStrip.lines.map(({ nodes }) => nodes),
);
const gauged = withForm(airframe(), {
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters: wingFromNumbers({
    spanMm: 800,
    rootChordMm: 160,
    tipChordMm: 160,
    dihedralDegrees: 4,
    sparHeightMm: 10,
    material: 'board',
  }),
  place: { ...AT_DATUM, incidenceDegrees: 2 },
});
const gauge = makeForm(
  {
    id: 'g1',
    kind: 'gauge',
    name: 'Gauges',
    parameters: {
      material: 'board',
      gauges: [
        gaugeWith({
          id: 'a',
          kind: 'profile',
          name: 'Wing incidence',
          partId: 'w1-skin-1',
          outMm: 120,
        }),
      ],
    },
    place: AT_DATUM,
  },
  formContext(gauged),
);
const [held] = gauge.site!.laid;
writeRings(
  'gauge-profile',
  'A profile with a level back laid on a wing at 2 degrees',
  [gauge.parts[0]!.contours[0]!.nodes, ...cutRound(gauge.site!, held as LaidGauge)],
  [],
);
const profiled = [
  { ...tail, place: { ...AT_DATUM, at: { x: 505, y: 0, z: 72 } } },
  {
    id: 'w1',
    kind: 'wing' as const,
    name: 'Wing',
    parameters: wingFromNumbers({
      spanMm: 800,
      rootChordMm: 160,
      tipChordMm: 160,
      dihedralDegrees: 4,
      sparHeightMm: 10,
      material: 'board',
    }),
    place: { at: { x: 180, y: 0, z: 52 }, incidenceDegrees: 2 },
  },
  {
    id: 'l1',
    kind: 'layered' as const,
    name: 'Body',
    parameters: {
      ...layeredFromNumbers({ ...usualLayered('mm'), lengthMm: 600, material: 'board' }),
      seats: ['w1', 't1'].map((formId) => ({ id: `k-${formId}`, formId, ...USUAL_SEAT })),
    },
    place: AT_DATUM,
  },
].reduce<Airframe>((held, form) => withForm(held, form), airframe());
write('profile-body', profiled, 'l1-layer-1', 'airframe');
writeRings(
  'profile-body-flat',
  'The middle layer of a profile body: cut to its wing and its tail, with a bay for the pack',
  ringsOf(profiled.parts.find(({ id }) => id === 'l1-layer-middle')!),
  [],
);
const oneWing = (id: string, z: number) => ({
  id,
  kind: 'wing' as const,
  name: id,
  parameters: wingFromNumbers({
    spanMm: 700,
    rootChordMm: 130,
    tipChordMm: 130,
    dihedralDegrees: 3,
    sparHeightMm: 8,
    material: 'board',
  }),
  place: { at: { x: z / 3, y: 0, z }, incidenceDegrees: 1 },
});
const strutted = [
  oneWing('lower', 0),
  oneWing('upper', 120),
  {
    id: 's1',
    kind: 'strut' as const,
    name: 'Struts',
    parameters: {
      material: 'board',
      struts: [
        strutWith({
          id: 'a',
          kind: 'strut',
          name: 'strut',
          lowerId: 'lower-skin-1',
          upperId: 'upper-skin-1',
          lowerOutMm: 190,
          upperOutMm: 220,
        }),
      ],
    },
    place: AT_DATUM,
  },
].reduce<Airframe>((held, form) => withForm(held, form), airframe());
write('strut', strutted, 's1-a', 'airframe');
