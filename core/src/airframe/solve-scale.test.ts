import { demo } from '../../test/demos.ts';
import type { Airframe } from './airframe.ts';
import { goalAtScale, hasGoal, type ScaleGoal } from './scale-goal.ts';
import { solveScale, type ScaleSearch } from './solve-scale.ts';

const MITE = demo('paperbark-mite'),
  SALTBOX = demo('saltbox-36');
function solved(airframe: Airframe, goal: ScaleGoal): ScaleSearch {
  const search = solveScale(airframe, goal);
  for (;;) {
    const { value, done } = search.next();
    if (done) return value;
  }
}

it('makes the longest part just so long: it grows with the factor', () => {
  const drawn = goalAtScale(MITE, { kind: 'longest', limit: 1e9 }, 1),
    { best, bound, isDone } = solved(MITE, { kind: 'longest', limit: 1.5 * drawn.amount });
  expect(isDone).toBe(true);
  // Tabs and mouths keep their size, an outline does not.
  expect(best!.factor).toBeCloseTo(1.5, 2);
  expect(best!.amount).toBeLessThanOrEqual(1.5 * drawn.amount);
  expect(bound!.factor - best!.factor).toBeLessThan(0.003);
  expect(bound!.words).toMatch(/long$/);
});

it('makes the foam weigh just so much: it goes with the square', () => {
  const drawn = goalAtScale(MITE, { kind: 'foam', limit: 1e9 }, 1),
    { best } = solved(MITE, { kind: 'foam', limit: 4 * drawn.amount });
  expect(best!.factor).toBeGreaterThan(1.9);
  expect(best!.factor).toBeLessThan(2.1);
});

it('makes the span that is asked for by the plan, to a thousandth', () => {
  const { best, bound } = solved(SALTBOX, { kind: 'span', limit: 2 * 18 * 25.4 * Math.cos((3 * Math.PI) / 180) * 0.8 });
  // Each half of 18 in lies 3° up.
  expect(best!.factor).toBeCloseTo(0.8, 3);
  expect(bound).toBeDefined();
});

it('finds the largest Saltbox on two boards, and what it takes to be larger', () => {
  const { best, bound } = solved(SALTBOX, { kind: 'boards', limit: 2 });
  expect(best).toMatchObject({ holds: true, amount: 2, words: '2 boards' });
  expect(best!.factor).toBeGreaterThan(0.5);
  expect(best!.factor).toBeLessThan(1);
  expect(bound!.factor).toBeGreaterThan(best!.factor);
  expect(bound!.holds).toBe(false);
  // Told again it is the same: the nest has a seed.
  expect(goalAtScale(SALTBOX, { kind: 'boards', limit: 2 }, best!.factor)).toEqual(best);
});

it('counts boards of one material alone where that is asked', () => {
  const ply = SALTBOX.boards.find(({ material }) => material.startsWith('plywood'))!.material;
  const one = goalAtScale(SALTBOX, { kind: 'boards', limit: 9, material: ply }, 1),
    all = goalAtScale(SALTBOX, { kind: 'boards', limit: 9 }, 1);
  expect(one.amount).toBeGreaterThan(0);
  expect(one.amount).toBeLessThan(all.amount);
});

it('finds nothing where no size will do, and says what is in the way', () => {
  const { best, bound } = solved(MITE, { kind: 'pages', limit: 0 });
  expect(best).toBeUndefined();
  expect(bound!.words).toMatch(/page/);
  expect(hasGoal(MITE, 'boards')).toBe(true);
  expect(hasGoal({ ...MITE, plan: undefined } as unknown as Airframe, 'span')).toBe(false);
});
