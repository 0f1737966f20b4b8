import { demo } from '../../test/demos.ts';
import type { Airframe } from './airframe.ts';
import { carriedApart } from './carried-apart.ts';
import { withForm } from './forms-of-airframe.ts';
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

it('takes the box that everything goes into, the wing off: what fills it does so whichever way round it is told', () => {
  const box = (of: number, long = 800, wide = 500, high = 300) =>
    goalAtScale(SALTBOX, { kind: 'box', limit: 1, box: [long * of, wide * of, high * of] }, 1);
  const { amount, words } = box(1);
  expect(words).toMatch(/^(Wing|The rest) takes .+ × .+ × .+/);
  expect(box(1, 300, 800, 500).amount).toBe(amount);
  expect(box(amount).holds).toBe(true);
  expect(box(amount * 0.999).holds).toBe(false);
  // The wing is one piece: 2 · 18 in out at 3° is longer than anything else of it.
  expect(box(1, 914.4 * Math.cos((3 * Math.PI) / 180) + 12, 9000, 9000).holds).toBe(true);
  expect(box(1, 9000, 850, 850).holds).toBe(true);
  expect(box(1, 850, 850, 850).holds).toBe(false);
});

it('asks motor and pack for the pull that they have: more of it makes it no larger', () => {
  const drawn = goalAtScale(SALTBOX, { kind: 'thrust', limit: 0.01 }, 1),
    larger = goalAtScale(SALTBOX, { kind: 'thrust', limit: drawn.amount }, 1.2);
  expect(goalAtScale(SALTBOX, { kind: 'thrust', limit: drawn.amount }, 1).holds).toBe(true);
  expect(larger.holds).toBe(false);
  expect(larger.amount).toBeLessThan(drawn.amount);
});

it('takes two wings of one name as two pieces, each as long as it is', () => {
  const wing = SALTBOX.forms!.find(({ kind }) => kind === 'wing')!,
    twice = withForm(SALTBOX, {
      ...wing,
      id: 'second',
      place: { ...wing.place, at: { ...wing.place.at, z: wing.place.at.z - 400 } },
    });
  const wings = carriedApart(twice).filter(({ name }) => name === wing.name);
  expect(wings).toHaveLength(2);
  // Both in one would be 400 mm high.
  for (const { sizes } of wings) expect(sizes[2]).toBeLessThan(150);
});
