/** Times the making of forms: one JSON line a case, medians in milliseconds of new numbers each time. */
import fs from 'node:fs';
import path from 'node:path';
import {
  DEFAULT_SETTINGS,
  formContext,
  standardBoard,
  withForm,
  withFormsKept,
  withFormsMade,
  type Airframe,
} from '@grain-fold/core/airframe';
import {
  bodyFromNumbers,
  deckFromNumbers,
  foundGauges,
  foundStruts,
  layeredFromNumbers,
  makeForm,
  powerFromNumbers,
  roundFromNumbers,
  shellFromNumbers,
  standingWing,
  tailFromNumbers,
  USUAL_LAYERS,
  USUAL_SEAT,
  usualBody,
  usualDeck,
  usualLayered,
  usualPower,
  usualRound,
  usualShell,
  usualTail,
  wingFromNumbers,
  type BodyForm,
  type Form,
  type ShellForm,
  type WingForm,
  type WingParameters,
} from '@grain-fold/core/forms';

const RUNS = 41;
const context = {
  unit: 'mm',
  boardOf: () => ({ thicknessMm: 5, gramsPerSquareMetre: 480 }),
  wingOf: () => undefined,
} as const;
const three: WingParameters = {
  ...wingFromNumbers({
    spanMm: 1200,
    rootChordMm: 220,
    tipChordMm: 220,
    dihedralDegrees: 3,
    sparHeightMm: 11,
    material: 'foam',
  }),
  panels: [0, 1, 2].map((index) => ({
    id: `p${index}`,
    spanMm: 200,
    tipChordMm: 200 - 20 * index,
    sweepDegrees: 4,
    dihedralDegrees: 3 + 4 * index,
    washoutDegrees: 0,
  })),
};
const formOf = (parameters: WingParameters): WingForm => ({
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters,
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
const CASES: Readonly<Record<string, WingParameters>> = {
  'three tapered panels a side': three,
  'the same, bent': { ...three, skin: 'bent' },
  'the same, creased to five digits': {
    ...three,
    section: { kind: 'naca', digits: '23015', creases: 9 },
    tail: 'sanded',
  },
  'the same with ribs every 50 mm': {
    ...three,
    ribs: { spacingMm: 50, material: 'foam', endMaterial: 'foam', hasWindows: true, tubes: [] },
  },
  'the same of plates with a layer': { ...three, build: 'stepped', layers: USUAL_LAYERS },
  'the same of foam': { ...three, build: 'cored', section: { kind: 'naca', digits: '2412', creases: 7 } },
};
/** Makes a form again and again, a little different each time, so that nothing is remembered. */
function time(name: string, make: (run: number) => number): void {
  const times = Array.from({ length: RUNS }, (_, run) => {
    const start = performance.now(),
      parts = make(run);
    if (parts === 0) throw new Error(`${name} makes nothing`);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  console.log(
    JSON.stringify({ case: name, medianMs: times[RUNS >> 1], mostMs: times.at(-1) }, (_key, value: unknown) =>
      typeof value === 'number' ? Number(value.toFixed(2)) : value,
    ),
  );
}
for (const [name, parameters] of Object.entries(CASES))
  time(
    `wing: ${name}`,
    (run) => makeForm(formOf({ ...parameters, rootChordMm: parameters.rootChordMm + run * 0.1 }), context).parts.length,
  );
const place = { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 };
// A wing dragged along a curved body, which is made anew under it.
time('body: curved, its wing dragged', (run) => {
  const wing: WingForm = { ...formOf(three), place: { at: { x: 190 + run, y: 0, z: 84 }, incidenceDegrees: 2 } };
  const body: BodyForm = {
    id: 'b1',
    kind: 'body',
    name: 'Body',
    parameters: {
      ...bodyFromNumbers({ ...usualBody('mm'), material: 'foam' }, 5),
      topLine: 'curved',
      widthLine: 'curved',
      seats: [{ id: 'k1', formId: 'w1', ...USUAL_SEAT, hold: 'dowels' }],
    },
    place,
  };
  return makeForm(body, { ...context, wingOf: () => standingWing(wing, context.boardOf) }).parts.length;
});
time('shell: eighteen faces', (run) => {
  const shell: ShellForm = {
    id: 'h1',
    kind: 'shell',
    name: 'Shell',
    parameters: shellFromNumbers({ ...usualShell('mm'), lengthMm: 400 + run, material: 'foam' }),
    place,
  };
  return makeForm(shell, context).parts.length;
});
/** A form of a kind at the datum, a little longer every time. */
const made = (form: Pick<Form, 'kind' | 'parameters'>): number =>
  makeForm({ ...form, id: 'x1', name: 'Form', place } as Form, context).parts.length;
const pod = (run: number): Pick<Form, 'kind' | 'parameters'> => ({
  kind: 'round',
  parameters: roundFromNumbers({ ...usualRound('mm'), lengthMm: 360 + run * 0.1, material: 'foam' }, 5),
});
const deck = (run: number): Pick<Form, 'kind' | 'parameters'> => ({
  kind: 'deck',
  parameters: deckFromNumbers({ ...usualDeck('mm'), lengthMm: 180 + run * 0.1, material: 'foam' }),
});
const tail = (run: number): Pick<Form, 'kind' | 'parameters'> => ({
  kind: 'tail',
  parameters: tailFromNumbers({ ...usualTail('mm'), spanMm: 400 + run * 0.1, material: 'foam' }),
});
const power = (run: number): Pick<Form, 'kind' | 'parameters'> => ({
  kind: 'power',
  parameters: powerFromNumbers({ ...usualPower('mm'), lengthMm: 80 + run * 0.1, material: 'foam' }, 'foam'),
});
time('round: a pod of four frusta', (run) => made(pod(run)));
time('deck: one sheet, two formers', (run) => made(deck(run)));
time('tail: four plates, swept', (run) => made(tail(run)));
time('power: a doubled box', (run) => made(power(run)));
time('airframe: wing, body, tail, power box and deck', (run) => {
  const wing: WingForm = { ...formOf(three), place: { at: { x: 190 + run, y: 0, z: 84 }, incidenceDegrees: 2 } };
  const body: Pick<Form, 'kind' | 'parameters'> = {
    kind: 'body',
    parameters: {
      ...bodyFromNumbers({ ...usualBody('mm'), lengthMm: 640 + run * 0.1, material: 'foam' }, 5),
      seats: [{ id: 'k1', formId: 'w1', ...USUAL_SEAT, hold: 'dowels' }],
    },
  };
  const wings = { ...context, wingOf: () => standingWing(wing, context.boardOf) };
  return (
    makeForm(wing, context).parts.length +
    makeForm({ ...body, id: 'b1', name: 'Body', place } as Form, wings).parts.length +
    [tail(run), power(run), deck(run)].reduce((sum, one) => sum + made(one), 0)
  );
});

const layered = (run: number): Pick<Form, 'kind' | 'parameters'> => ({
  kind: 'layered',
  parameters: layeredFromNumbers({ ...usualLayered('mm'), lengthMm: 640 + run * 0.1, layers: 5, material: 'foam' }),
});
time('layered: five layers with a bay', (run) => made(layered(run)));

const AIRFRAME: Airframe = {
  id: 'a',
  name: 'Bench',
  settings: DEFAULT_SETTINGS,
  parts: [],
  boards: [{ ...standardBoard('b', 'foam'), widthMm: 3000, heightMm: 3000 }],
};
const named = (id: string, name: string, form: Pick<Form, 'kind' | 'parameters'>, aftMm = 0, upMm = 0): Form =>
  ({ ...form, id, name, place: { at: { x: aftMm, y: 0, z: upMm }, incidenceDegrees: 0 } }) as Form;
const trainer = [
  named('w1', 'Wing', { kind: 'wing', parameters: three }, 190, 84),
  named('t1', 'Tail', tail(0), 560, 60),
  named('m1', 'Power', power(0), -100, 20),
].reduce<Airframe>((held, form) => withForm(held, form), AIRFRAME);
const found = foundGauges('foam', formContext(trainer));
/** A list of parts that was never seen before, as after every edit. */
const edited = (airframe: Airframe): Airframe => ({ ...airframe, parts: [...airframe.parts] });
time(`gauges: ${found.length} of a trainer, found anew what stands`, (run) => {
  const gauges = found.map((gauge) => ({ ...gauge, reachMm: 80 + run * 0.01 }));
  return makeForm(
    named('g1', 'Gauges', { kind: 'gauge', parameters: { material: 'foam', gauges } }),
    formContext(edited(trainer)),
  ).parts.length;
});
const biplane = [
  named('w1', 'Lower', { kind: 'wing', parameters: three }),
  named('w2', 'Upper', { kind: 'wing', parameters: three }, 40, 160),
].reduce<Airframe>((held, form) => withForm(held, form), AIRFRAME);
time('struts: one pair between two wings', (run) => {
  const [strut] = foundStruts('foam', formContext(biplane));
  const struts = [{ ...strut!, upperOutMm: strut!.upperOutMm + run * 0.1 }];
  return makeForm(
    named('s1', 'Struts', { kind: 'strut', parameters: { material: 'foam', struts } }),
    formContext(edited(biplane)),
  ).parts.length;
});

const demo = (name: string): Airframe =>
  JSON.parse(fs.readFileSync(path.join(import.meta.dirname, `../../demo/${name}.grainfold.json`), 'utf8')) as Airframe;
for (const name of ['saltbox-36', 'reedling-1100']) {
  const airframe = demo(name),
    wing = airframe.forms!.find(({ id }) => id === 'wing')!,
    pieces = airframe.parts.reduce((sum, { handed }) => sum + (handed === 'pair' ? 2 : 1), 0);
  const moved = (run: number): Form => ({
    ...wing,
    place: { ...wing.place, at: { ...wing.place.at, x: wing.place.at.x + 0.01 * run } },
  });
  time(`${name}: ${pieces} made parts, all anew`, (run) => {
    const forms = airframe.forms!.map((form) => (form.id === 'wing' ? moved(run) : form));
    return withFormsMade({ ...airframe, forms }).parts.length;
  });
  time(`${name}: the wing moved, and what follows it`, (run) => {
    return withFormsKept(airframe, withForm(airframe, moved(run))).parts.length;
  });
}
