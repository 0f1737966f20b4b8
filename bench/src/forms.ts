/** Times the making of forms: one JSON line a case, medians in milliseconds of new numbers each time. */
import {
  bodyFromNumbers,
  makeForm,
  shellFromNumbers,
  standingWing,
  USUAL_LAYERS,
  USUAL_SEAT,
  usualBody,
  usualShell,
  wingFromNumbers,
  type BodyForm,
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
