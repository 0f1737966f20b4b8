import fc from 'fast-check';
import {
  massSoFar,
  PLAN_TYPES,
  planFaults,
  planFigures,
  proposedProportions,
  proposePlan,
  usualProportions,
  wingSet,
  type PlanContext,
} from '../index.ts';

const context: PlanContext = { unit: 'mm', boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 0 };

test.each(PLAN_TYPES)(
  'a %s of any size within reason has the proportions that are usual, and nothing that strikes',
  (type) => {
    for (const mm of [600, 914, 1400]) {
      const plan = proposePlan(type, { kind: 'span', mm }, usualProportions(type), {}, context);
      const { figures } = planFigures(plan, context);
      for (const key of ['aspect', 'taper', 'tailVolume', 'finVolume', 'thrust'])
        expect([key, mm, figures.find((one) => one.key === key)?.beside ?? 0]).toEqual([key, mm, 0]);
      const strikes = planFaults(plan, context).filter(({ code }) => code !== 'BALANCE_OFF');
      if (mm === 914) expect(strikes.map(({ title }) => title)).toEqual([]);
      expect(wingSet(plan)!.spanMm).toBeGreaterThan(0.98 * mm);
    }
  },
);

test('the proportions that are asked for are those that the plan then has', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 9, noNaN: true }),
      fc.double({ min: 0.3, max: 0.9, noNaN: true }),
      (aspect, tailVolume) => {
        const plan = proposePlan(
          'trainer',
          { kind: 'span', mm: 1200 },
          { ...usualProportions('trainer'), aspect, tailVolume, dihedralDegrees: 0 },
          {},
          context,
        );
        const of = (key: string): number => planFigures(plan, context).figures.find((one) => one.key === key)!.amount;
        expect(of('aspect') / aspect).toBeCloseTo(1, 1);
        expect(of('tailVolume') / tailVolume).toBeCloseTo(1, 1);
      },
    ),
    { numRuns: 30 },
  );
});

test('a wanted loading is reached with the motor and pack at hand', () => {
  const plan = proposePlan(
    'trainer',
    { kind: 'loading', gramsPerDm2: 30 },
    usualProportions('trainer'),
    { motorG: 60, packG: 120 },
    context,
  );
  const loading = massSoFar(plan, context).massG / (wingSet(plan)!.areaMm2 / 10_000);
  expect(loading).toBeCloseTo(30, 0);
  expect(() =>
    proposePlan(
      'trainer',
      { kind: 'loading', gramsPerDm2: 2 },
      usualProportions('trainer'),
      { motorG: 60, packG: 120 },
      context,
    ),
  ).toThrow('No span gives 2');
  expect(
    wingSet(
      proposePlan(
        'pusher',
        { kind: 'board', mm: 700 },
        { ...usualProportions('pusher'), dihedralDegrees: 0 },
        {},
        context,
      ),
    )!.spanMm,
  ).toBe(1400);
  expect(() => proposePlan('pusher', { kind: 'span', mm: 20 }, usualProportions('pusher'), {}, context)).toThrow(
    'That gives a span of',
  );
});

test('every proportion is told with what is usual and how far it goes', () => {
  for (const type of PLAN_TYPES)
    for (const { key, usual, least, most } of proposedProportions(type)) {
      expect([type, key, least <= usual[0] && usual[1] <= most]).toEqual([type, key, true]);
    }
});
