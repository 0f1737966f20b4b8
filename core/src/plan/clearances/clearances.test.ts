import fc from 'fast-check';
import { EMPTY_PLAN, isTooLittle, mendPlan, planClearances, usualThing } from '../index.ts';
import type { BodyThing, Plan, PlanContext, PlannedThing, PropellerThing, SurfaceThing, WheelThing } from '../index.ts';
import { groundOf, heightOver } from './ground.ts';

const context: PlanContext = { unit: 'mm', boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 700 };
const planOf = (...things: readonly PlannedThing[]): Plan => ({ ...EMPTY_PLAN, things });
const wheel = (id: string, x: number, z: number, legMm: number, diameterMm: number): WheelThing => ({
  ...(usualThing('wheel', id, 5) as WheelThing),
  at: { x, y: 0, z },
  legMm,
  diameterMm,
  apartMm: 0,
});
const propeller = (x: number, z: number, diameterMm: number): PropellerThing => ({
  ...(usualThing('propeller', 'prop', 5) as PropellerThing),
  at: { x, y: 0, z },
  diameterMm,
  depthMm: 10,
});
const found = (plan: Plan, key: string) => planClearances(plan, context).find((one) => one.key.startsWith(key));

test('the ground touches both wheels and cuts neither, whatever their sizes', () => {
  const foot = fc.record({
    z: fc.integer({ min: -60, max: 20 }),
    leg: fc.integer({ min: 0, max: 150 }),
    size: fc.integer({ min: 2, max: 120 }),
  });
  fc.assert(
    fc.property(foot, foot, fc.integer({ min: 130, max: 900 }), (fore, aft, reach) => {
      const things = [wheel('a', 100, fore.z, fore.leg, fore.size), wheel('b', 100 + reach, aft.z, aft.leg, aft.size)];
      const { standing } = groundOf(things, 150)!;
      for (const { at, legMm, diameterMm } of things)
        expect(heightOver(standing, { x: at.x, y: at.z - legMm })).toBeCloseTo(diameterMm / 2, 6);
    }),
  );
});

test('the room under a propeller is the lesser of standing and tail up, and a longer leg mends it', () => {
  // Wheels of 60 whose axles hang 40 under -50: level ground at -120. The blades reach -115.
  const plan = planOf(wheel('main', 150, -50, 40, 60), wheel('tail', 700, 0, 0, 10), propeller(0, 0, 230), {
    ...usualThing('pack', 'p', 5),
    at: { x: 220, y: 0, z: 0 },
  });
  const room = found(plan, 'propeller-ground')!;
  expect(room.amount).toBeCloseTo(5, 9);
  expect(isTooLittle(room)).toBe(true);
  const [longer] = room.mends;
  expect(longer!.label).toContain('Leg of Wheel');
  const mended = found(mendPlan(plan, longer!).plan, 'propeller-ground')!;
  expect(mended.amount).toBeGreaterThanOrEqual(20);
  expect(mended.amount).toBeLessThan(20.6);
});

test('nose-over and tail-strike angles are those of the triangle over the wheel', () => {
  const tail = { ...(usualThing('body', 'b', 5) as BodyThing), massG: 1 };
  const plan = planOf(
    wheel('main', 150, -50, 40, 60),
    { ...tail, stations: tail.stations.map((one) => ({ ...one })) },
    {
      ...usualThing('pack', 'p', 5),
      at: { x: 190, y: 0, z: 0 },
      massG: 1e9,
    },
  );
  // From (150, -120) to (190, 0): 40 back, 120 up.
  expect(found(plan, 'nose-over')!.amount).toBeCloseTo((Math.atan2(40, 120) * 180) / Math.PI, 3);
  // The body's last station stands at (750, -10), the one before at (200, -45).
  const strike = Math.min(Math.atan2(110, 600), Math.atan2(75, 50));
  expect(found(plan, 'tail-strike')!.amount).toBeCloseTo((strike * 180) / Math.PI, 6);
});

test('a propeller is as far from a wing as the nearest point of the chord, in and out of its reach', () => {
  const wing = (x: number): SurfaceThing => ({
    ...(usualThing('wing', 'w', 5) as SurfaceThing),
    at: { x, y: 0, z: 0 },
    thicknessMm: 10,
  });
  // Blades 5 thick each way: 40 − 5 = 35 before the leading edge.
  expect(found(planOf(propeller(0, 0, 200), wing(40)), 'propeller:')!.amount).toBeCloseTo(35, 9);
  expect(found(planOf(propeller(60, 0, 200), wing(40)), 'propeller:')!.amount).toBe(0);
  // Over the wing: the disc's edge at 150 − 100 = 50, less half of the wing's thickness.
  expect(found(planOf(propeller(100, 150, 200), wing(40)), 'propeller:')!.amount).toBeCloseTo(45, 9);
});

test('an elevator is as far from the rudder as their plates come in any of their throws', () => {
  const plate = (kind: 'tail' | 'fin', change: Partial<SurfaceThing>): SurfaceThing => ({
    ...(usualThing(kind, kind, 5) as SurfaceThing),
    stations: [
      { outMm: 0, sweepMm: 0, chordMm: 100 },
      { outMm: 200, sweepMm: 0, chordMm: 100 },
    ],
    thicknessMm: 4,
    ...change,
  });
  const control = { fromMm: 30, toMm: 200, chordMm: 40, upDegrees: 30, downDegrees: 30 };
  // Both hinges at x 60; the rudder begins at the tail's own height and swings its edge out by 40·sin 30° = 20.
  const plan = planOf(
    plate('tail', { angles: [0], control }),
    plate('fin', { angles: [90], at: { x: 0, y: 0, z: -60 }, control: { ...control, fromMm: 0 } }),
  );
  // At full rudder the edge is 20 out, the elevator begins at 30: 10 apart, 4 of it board.
  expect(found(plan, 'elevator')!.amount).toBeCloseTo(6, 1);
  const nearer = planOf(plate('tail', { angles: [0], control: { ...control, fromMm: 23 } }), plan.things[1]!);
  const clash = found(nearer, 'elevator')!;
  expect(isTooLittle(clash)).toBe(true);
  const mended = mendPlan(nearer, clash.mends[0]!).plan;
  expect(isTooLittle(found(mended, 'elevator')!)).toBe(false);
});

test('a pack has the room that walls leave it, at its tightest end', () => {
  const body: BodyThing = {
    ...(usualThing('body', 'b', 5) as BodyThing),
    stations: [
      { aftMm: 0, bottomMm: -20, topMm: 20, widthMm: 40 },
      { aftMm: 200, bottomMm: -40, topMm: 40, widthMm: 80 },
    ],
  };
  const pack = { ...usualThing('pack', 'p', 5), lengthMm: 60, widthMm: 34, heightMm: 20, at: { x: 50, y: 0, z: 0 } };
  // At x 20 the body is 44 wide and 44 high: 22 − 5 − 17 = 0 beside it.
  expect(found(planOf(body, pack), 'box:')!.amount).toBeCloseTo(0, 9);
  const tight = planOf(body, { ...pack, at: { x: 40, y: 0, z: 0 } });
  // At x 10: 42 wide, so 1 too little beside it; moved along it fits, and the mend widens the body.
  expect(found(tight, 'box:')!.amount).toBeCloseTo(-1, 9);
  expect(found(mendPlan(tight, found(tight, 'box:')!.mends.at(-1)!).plan, 'box:')!.amount).toBeGreaterThanOrEqual(0);
});

test('an aileron that begins within the body is told, and begins further out when mended', () => {
  const body = usualThing('body', 'b', 5);
  const wing: SurfaceThing = {
    ...(usualThing('wing', 'w', 5) as SurfaceThing),
    at: { x: 100, y: 0, z: 0 },
    control: { fromMm: 20, toMm: 480, chordMm: 40, upDegrees: 20, downDegrees: 20 },
  };
  const plan = planOf(body, wing),
    clash = found(plan, 'aileron')!;
  expect(isTooLittle(clash)).toBe(true);
  expect(isTooLittle(found(mendPlan(plan, clash.mends[0]!).plan, 'aileron')!)).toBe(false);
});
