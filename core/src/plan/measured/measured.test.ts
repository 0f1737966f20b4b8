import fc from 'fast-check';
import {
  contradictions,
  EMPTY_PLAN,
  MEASURE_LINES,
  missingMeasures,
  planFigures,
  suspects,
  withMeasured,
  type MeasureKey,
  type MeasuredModel,
} from '../index.ts';

/** A profile model whose lengths add up. */
const lengths: Partial<Record<MeasureKey, number>> = {
  overall: 822,
  noseToWing: 190,
  rootChord: 210,
  tipChord: 170,
  tipBack: 25,
  span: 900,
  halfSpan: 450,
  wingBodyHeight: 90,
  bodyWidth: 15,
  wingToTail: 480,
  wingEndToTail: 270,
  tailChord: 130,
  tailSpan: 340,
  tailToEnd: 22,
  finHeight: 150,
  finChord: 140,
  finToEnd: 0,
};

test('a list that adds up has no contradiction, also when every number is a little off', () => {
  const off = fc.array(fc.double({ min: -0.5, max: 0.5, noNaN: true }), { minLength: 40, maxLength: 40 });
  fc.assert(
    fc.property(off, (errors) => {
      const measured = Object.fromEntries(
        Object.entries(lengths).map(([key, mm], index) => [key, mm + errors[index]!]),
      ) as MeasuredModel['lengths'];
      expect(contradictions({ lengths: measured })).toEqual([]);
    }),
  );
});

test('one wrong number that two sums speak against is found, with the number that fits', () => {
  for (const key of ['wingEndToTail', 'rootChord', 'noseToWing', 'overall', 'tailChord'] as const)
    for (const by of [-60, 18, 100]) {
      const wrong = { lengths: { ...lengths, [key]: lengths[key]! + by } };
      expect(contradictions(wrong).length).toBeGreaterThan(0);
      const found = suspects(wrong).map((one) => ({ key: one.key, fitsAtMm: one.fitsAtMm }));
      expect(found).toContainEqual({ key, fitsAtMm: lengths[key] });
    }
  // The one that stands in all that do not close, and in no sum that closes: tail arm by both.
  const arm = { lengths: { ...lengths, wingToTail: 500 } };
  expect(suspects(arm)[0]).toEqual({ key: 'wingToTail', measuredMm: 500, fitsAtMm: 480, against: 2 });
  expect(contradictions(arm)[0]).toMatchObject({ whole: 'wingToTail', measuredMm: 500, addedMm: 480 });
});

test('lengths that cannot be are told: a nose and a chord longer than the whole', () => {
  expect(contradictions({ lengths: { overall: 300, noseToWing: 190, rootChord: 210 } })).toMatchObject([
    { told: 'order', measuredMm: 300, addedMm: 400 },
  ]);
});

test('views fill in as numbers come, what is missing is asked for by what it blocks, and what was set stays', () => {
  let plan = EMPTY_PLAN,
    measured: MeasuredModel = { lengths: {} };
  const names: string[][] = [];
  for (const { key } of MEASURE_LINES) {
    if (lengths[key] === undefined) continue;
    measured = { lengths: { ...measured.lengths, [key]: lengths[key] } };
    plan = withMeasured(plan, measured, 5, 'Measure').plan;
    names.push(plan.things.map(({ kind }) => kind));
  }
  expect(names[0]).toEqual([]);
  expect(new Set(names.at(-1))).toEqual(new Set(['body', 'wing', 'tail', 'fin']));
  expect(missingMeasures(measured).map(({ blocked }) => blocked)).toContain('room under the propeller');
  expect(missingMeasures(measured).map(({ blocked }) => blocked)).not.toContain('the wing');
  // By hand: (210 + 170)/2 · 900.
  const context = { unit: 'mm' as const, boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 0 };
  expect(planFigures(plan, context).figures.find(({ key }) => key === 'area')!.amount).toBeCloseTo(171_000, 6);
  // Weighed, the foam is what is left beside what is typed.
  const weighed = withMeasured(plan, { lengths, massG: 412 }, 5, 'Weigh').plan;
  expect(planFigures(weighed, context).mass.massG).toBeCloseTo(412, 9);
  const named = { ...plan, things: plan.things.map((thing) => ({ ...thing, name: `My ${thing.kind}`, massG: 50 })) };
  const again = withMeasured(named, { lengths: { ...lengths, span: 940, halfSpan: 470 } }, 5, 'Measure').plan;
  expect(again.things.find(({ kind }) => kind === 'wing')).toMatchObject({
    name: 'My wing',
    massG: 50,
    stations: [{}, { outMm: 470 }],
  });
});
