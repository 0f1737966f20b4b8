/** Times the making of wings: one JSON line a case, medians in milliseconds of new numbers each time. */
import { makeForm, USUAL_LAYERS, wingFromNumbers, type WingForm, type WingParameters } from '@grain-fold/core/forms';

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
for (const [name, parameters] of Object.entries(CASES)) {
  const times = Array.from({ length: RUNS }, (_, run) => {
    const form = formOf({ ...parameters, rootChordMm: parameters.rootChordMm + run * 0.1 });
    const start = performance.now(),
      { parts } = makeForm(form, context);
    if (parts.length < 9) throw new Error(`${name} makes no wing`);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  console.log(
    JSON.stringify(
      { case: `wing: ${name}`, medianMs: times[RUNS >> 1], mostMs: times.at(-1) },
      (_key, value: unknown) => (typeof value === 'number' ? Number(value.toFixed(2)) : value),
    ),
  );
}
