import { withForm } from '@grain-fold/core/airframe';
import {
  bodyFromNumbers,
  deckFromNumbers,
  roundFromNumbers,
  shellFromNumbers,
  usualBody,
  usualDeck,
  usualRound,
  gaugeWith,
  layeredFromNumbers,
  strutWith,
  usualLayered,
  powerFromNumbers,
  usualPower,
  usualTail,
  tailFromNumbers,
  usualShell,
  type BodyForm,
  type DeckForm,
  type Form,
  type GaugeForm,
  type LayeredForm,
  type StrutForm,
  type PowerForm,
  type RoundForm,
  type ShellForm,
  type TailForm,
} from '@grain-fold/core/forms';
import { airframeOf } from '../../../core/test/samples.ts';
import { fieldFaults } from '../field-faults.ts';
import { readProjectFile, SaveAirframe, writeProjectFile } from '../index.ts';

const form: BodyForm = {
  id: 'b1',
  kind: 'body',
  name: 'Body',
  parameters: {
    ...bodyFromNumbers({ ...usualBody('in'), material: 'foam' }, 4.7625),
    topLine: 'curved',
    doublers: [{ id: 'd1', fromMm: 101.6, toMm: 254 }],
    bays: [{ id: 'p1', name: 'Pack', fromMm: 25.4, lengthMm: 76.2, widthMm: 34.925, heightMm: 25.4 }],
    openings: [{ id: 'o1', kind: 'cooling in', on: 'walls', aftMm: 30, upMm: 30, lengthMm: 10, widthMm: 9.525 }],
    strips: { atFloor: true, atLid: false, radiusMm: 19.05, leftMm: 3.175 },
    hatch: { kind: 'tongue', fromMm: 25.4, toMm: 101.6 },
    gear: { aftMm: 177.8, lengthMm: 38.1, wireMm: 3.175, boards: 2 },
    skid: { aftMm: 508, lengthMm: 101.6, depthMm: 19.05 },
    tray: { fromMm: 25.4, toMm: 127, strapMm: 12.7 },
    balanceMm: 222.25,
  },
  place: { at: { x: -12.7, y: 0, z: 6.35 }, incidenceDegrees: 0 },
};
const airframe = withForm(airframeOf([]), form);

/** The file with one value of the body changed, by its path. */
function changed(path: string, value: unknown): string {
  const file = JSON.parse(writeProjectFile(airframe)) as Record<string, unknown>,
    keys = `forms.0.${path}`.split('.');
  const held = keys.slice(0, -1).reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, file);
  held[keys.at(-1)!] = value;
  return JSON.stringify(file);
}

test('a body with all that is in it comes back from a file to the last digit', () => {
  expect(airframe.parts.length).toBeGreaterThan(9);
  expect(readProjectFile(writeProjectFile(airframe))).toEqual({ ok: true, airframe });
});

test.each([
  ['kind', 'barge', 'kind'],
  ['kind', 'wing', 'parameters'],
  ['parameters.corners', 'glued', 'corners'],
  ['parameters.stations.0.widthMm', 1e9, 'must be at most 1000'],
  ['parameters.formers.0.boards', 1.5, 'must be a whole number'],
  ['parameters.tray.strapMm', '12', 'must be a number'],
  ['parameters.hatch', [], 'must be an object'],
  ['parameters.rudder', {}, 'is not a known field'],
])('%s as %j is refused with the field', (path, value, words) => {
  const read = readProjectFile(changed(path, value));
  expect(read.ok).toBe(false);
  expect(JSON.stringify(read)).toContain(words);
});

test('a body is saved as a change, and what is none is refused', () => {
  const change = (value: unknown): object => ({ label: 'x', forms: [{ id: 'b1', basedOn: 0, position: 0, value }] });
  expect(fieldFaults(SaveAirframe, change(form))).toEqual([]);
  expect(
    fieldFaults(SaveAirframe, change({ ...form, parameters: { ...form.parameters, lid: 'glass' } })),
  ).toMatchObject([{ field: 'forms[0].value.parameters.lid' }]);
});

test('a shell comes back from a file to the last digit, and what is none is refused', () => {
  const shell: ShellForm = {
    ...form,
    id: 'h1',
    kind: 'shell',
    name: 'Shell',
    parameters: {
      ...shellFromNumbers({ ...usualShell('in'), material: 'foam' }),
      hatch: { fromMm: 101.6, toMm: 203.2, overCorner: 2 },
    },
  };
  const shelled = withForm(airframeOf([]), shell);
  expect(readProjectFile(writeProjectFile(shelled))).toEqual({ ok: true, airframe: shelled });
  const save = (value: unknown): object => ({ label: 'x', forms: [{ id: 'h1', basedOn: 0, position: 0, value }] });
  const { sections } = shell.parameters;
  const broken = (outMm: unknown) =>
    save({
      ...shell,
      parameters: { ...shell.parameters, sections: [{ ...sections[0]!, corners: [{ outMm, upMm: 0 }] }] },
    });
  expect(fieldFaults(SaveAirframe, save(shell))).toEqual([]);
  for (const outMm of ['1', -4, 1e9, null])
    expect(JSON.stringify(fieldFaults(SaveAirframe, broken(outMm)))).toContain('corners[0].outMm');
});

const round: RoundForm = {
  ...form,
  id: 'o1',
  kind: 'round',
  name: 'Pod',
  parameters: {
    ...roundFromNumbers({ ...usualRound('in'), material: 'foam' }, 4.7625),
    neutralPercent: 12,
    rings: [{ id: 'g1', aftMm: 50.8, rimMm: 9.525, material: 'ply' }],
  },
};
const deck: DeckForm = {
  ...form,
  id: 'd1',
  kind: 'deck',
  name: 'Deck',
  parameters: { ...deckFromNumbers({ ...usualDeck('in'), material: 'foam' }), formerMaterial: 'ply', skins: 'none' },
};
const tail: TailForm = {
  ...form,
  id: 't1',
  kind: 'tail',
  name: 'Tail',
  parameters: tailFromNumbers({ ...usualTail('in'), material: 'foam' }),
};
const power: PowerForm = {
  ...form,
  id: 'm1',
  kind: 'power',
  name: 'Power box',
  parameters: {
    ...powerFromNumbers({ ...usualPower('in'), material: 'foam' }, 'ply'),
    ring: { outerMm: 50.8, innerMm: 38.1, aheadMm: 19.05 },
    dowels: { count: 2, acrossMm: 0.125 * 25.4, firstMm: 1.5625 * 25.4, apartMm: 22.225, upMm: 19.05 },
  },
};
const layered: LayeredForm = {
  ...form,
  id: 'l1',
  kind: 'layered',
  name: 'Profile',
  parameters: {
    ...layeredFromNumbers({ ...usualLayered('in'), layers: 5, material: 'foam' }),
    reaches: [{ id: 'r1', layer: 1, fromMm: 0, toMm: 11.125 * 25.4 }],
    slits: [{ id: 's1', edge: 'below', aftMm: 101.6, acrossMm: 0.125 * 25.4, deepMm: 0.375 * 25.4 }],
    nosePlate: { material: 'ply', widthMm: 38.1, heightMm: 50.8, plates: 2 },
  },
};
const struts: StrutForm = {
  ...form,
  id: 'x1',
  kind: 'strut',
  name: 'Struts',
  parameters: {
    material: 'foam',
    struts: [
      strutWith({ id: 'a', kind: 'strut', name: 'strut', lowerId: 'w1-skin-1', upperId: '', lowerOutMm: 7.125 * 25.4 }),
      strutWith({ id: 'b', kind: 'gusset', name: 'gusset', lowerId: 't1-fin', upperId: 't1-stabiliser', boards: 3 }),
    ],
  },
};
test('a set of struts comes back from a file to the last digit, though nothing stands yet', () => {
  const airframe = { ...airframeOf([]), forms: [struts] };
  expect(readProjectFile(writeProjectFile(airframe))).toEqual({ ok: true, airframe });
});
const gauges: GaugeForm = {
  ...form,
  id: 'g1',
  kind: 'gauge',
  name: 'Gauges',
  parameters: {
    material: 'ply',
    variant: 'on the bench',
    gauges: [
      gaugeWith({ id: 'a', kind: 'throw', name: 'elevator', partId: '', chordMm: 1.625 * 25.4, upDegrees: 22.5 }),
      gaugeWith({ id: 'b', kind: 'throw', name: 'rudder', partId: '', formId: 't1', control: 'rudder', quantity: 2 }),
      gaugeWith({ id: 'c', kind: 'throw', name: 'flap', partId: 'w1-flap', downDegrees: 35 }),
    ],
  },
};
test.each<readonly [string, Form]>([
  ['set of gauges', gauges],
  ['profile body', layered],
  ['power box', power],
  ['tail', tail],
  ['round', round],
  ['deck', deck],
])('a %s comes back from a file to the last digit', (_, one) => {
  const made = withForm(airframeOf([]), one);
  expect(made.parts.length).toBeGreaterThan(2);
  expect(readProjectFile(writeProjectFile(made))).toEqual({ ok: true, airframe: made });
});

test.each<readonly [Form, object, string]>([
  [round, { skins: 'glued' }, 'parameters.skins'],
  [round, { stations: [{ id: 'q1', aftMm: 0, acrossMm: 1e9 }] }, 'stations[0].acrossMm'],
  [round, { frusta: 2.5 }, 'parameters.frusta'],
  [round, { neutralPercent: 101 }, 'parameters.neutralPercent'],
  [tail, { fin: { ...tail.parameters.fin, place: 'nose' } }, 'parameters.fin.place'],
  [tail, { elevator: { ...tail.parameters.elevator, upDegrees: 1e3 } }, 'parameters.elevator.upDegrees'],
  [power, { rightDegrees: 45 }, 'parameters.rightDegrees'],
  [power, { pattern: { ...power.parameters.pattern, kind: 'star' } }, 'parameters.pattern.kind'],
  [power, { dowels: { ...power.parameters.dowels!, count: 1e6 } }, 'dowels.count'],
  [form, { boxIds: ['m1', 'm1'] }, 'parameters.boxIds'],
  [form, { boxIds: ['../m1'] }, 'parameters.boxIds'],
  [struts, { struts: [{ ...struts.parameters.struts[0]!, upperOn: 'roof' }] }, 'struts[0].upperOn'],
  [struts, { struts: [{ ...struts.parameters.struts[0]!, boards: 0 }] }, 'struts[0].boards'],
  [layered, { layers: 0 }, 'parameters.layers'],
  [layered, { openings: [{ ...layered.parameters.openings[0]!, side: 'left' }] }, 'openings[0].side'],
  [layered, { slits: [{ ...layered.parameters.slits[0]!, deepMm: null }] }, 'slits[0].deepMm'],
  [layered, { nosePlate: [] }, 'parameters.nosePlate'],
  [gauges, { gauges: [{ ...gauges.parameters.gauges[0]!, kind: 'ruler' }] }, 'gauges[0].kind'],
  [gauges, { gauges: [{ ...gauges.parameters.gauges[0]!, partId: '../x' }] }, 'gauges[0].partId'],
  [gauges, { gauges: [{ ...gauges.parameters.gauges[0]!, upDegrees: '20' }] }, 'gauges[0].upDegrees'],
  [gauges, { gauges: Array.from({ length: 41 }, () => gauges.parameters.gauges[0]!) }, 'parameters.gauges'],
  [tail, { yields: 'fin' }, 'parameters.yields'],
  [deck, { sheets: 'many' }, 'parameters.sheets'],
  [deck, { hasFormers: 'yes' }, 'parameters.hasFormers'],
  [deck, { sections: [{ ...deck.parameters.sections[0]!, fullPercent: 10 }] }, 'sections[0].fullPercent'],
])('what is no body, tail, round, deck, profile, strut or gauge is refused with the field', (one, change, field) => {
  const value = { ...one, parameters: { ...one.parameters, ...change } };
  const faults = fieldFaults(SaveAirframe, { label: 'x', forms: [{ id: one.id, basedOn: 0, position: 0, value }] });
  expect(JSON.stringify(faults)).toContain(field);
});
