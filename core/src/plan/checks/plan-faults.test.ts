import {
  EMPTY_PLAN,
  mendPlan,
  planFaults,
  proposePlan,
  removeThing,
  usualProportions,
  type usualThing,
  withField,
  withMeasure,
  withThing,
  type BodyThing,
  type Plan,
  type PlanContext,
  type PlanFaultCode,
  type SurfaceThing,
} from '../index.ts';

const context: PlanContext = { unit: 'mm', boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 700 };
const trainer = proposePlan('trainer', { kind: 'span', mm: 900 }, usualProportions('trainer'), {}, context);
const thingNamed = <T>(plan: Plan, name: string): T => plan.things.find((thing) => thing.name === name) as T;
const codes = (plan: Plan, more: Partial<PlanContext> = {}): readonly PlanFaultCode[] =>
  planFaults(plan, { ...context, ...more }).map(({ code }) => code);
const wing = thingNamed<SurfaceThing>(trainer, 'Wing'),
  tail = thingNamed<SurfaceThing>(trainer, 'Tail'),
  fin = thingNamed<SurfaceThing>(trainer, 'Fin'),
  pack = thingNamed<ReturnType<typeof usualThing>>(trainer, 'Pack');

test('a plan as it is proposed has no fault', () => {
  expect(codes(trainer)).toEqual([]);
});

const FAULTY: readonly (readonly [string, Plan, PlanFaultCode, Partial<PlanContext>])[] = [
  ['a tail too small', withThing(trainer, withMeasure(tail, 'spanMm', 200)), 'TAIL_VOLUME', {}],
  ['a tail too large', withThing(trainer, withMeasure(tail, 'spanMm', 560)), 'TAIL_VOLUME', {}],
  ['a fin too small', withThing(trainer, withMeasure(fin, 'spanMm', 60)), 'FIN_VOLUME', {}],
  ['a pack too far aft', withThing(trainer, { ...pack, at: { ...pack.at, x: pack.at.x + 120 } }), 'BALANCE_OFF', {}],
  [
    'a propeller too large',
    withThing(trainer, withField(thingNamed(trainer, 'Propeller'), 'diameterMm', 330)),
    'CLEARANCE',
    {},
  ],
  ['a panel longer than the car', { ...trainer, carMm: 400 }, 'LONGER_THAN_CAR', {}],
  ['a panel longer than the board', trainer, 'LONGER_THAN_BOARD', { longestBoardMm: 400 }],
  ['a wing that sits beyond the body', withThing(trainer, { ...wing, at: { ...wing.at, x: -60 } }), 'SEAT_OUTSIDE', {}],
];
test.each(FAULTY)('%s is told, and its first mend mends it', (_, plan, code, more) => {
  const own = { ...context, ...more },
    fault = planFaults(plan, own).find((one) => one.code === code);
  expect(fault).toBeDefined();
  const mended = mendPlan(plan, fault!.mends[0]!);
  expect(mended.label).toBe(fault!.mends[0]!.label);
  expect(
    planFaults(mended.plan, own).filter(
      (one) => one.code === code && one.title.split(':')[0] === fault!.title.split(':')[0],
    ),
  ).toEqual([]);
});

test('when no place of the pack balances it, a heavier one at the end of the body is offered, and does', () => {
  // A short nose and a heavy tail: the pack would have to stand before the nose.
  const body = thingNamed<BodyThing>(trainer, 'Body');
  const heavy = withThing(trainer, { ...tail, massG: 160 });
  const [fault] = planFaults(heavy, context).filter(({ code }) => code.startsWith('BALANCE'));
  expect(fault!.code).toBe('BALANCE_OUT_OF_REACH');
  expect(fault!.detail).toContain('usual for flat bottom tractor');
  const { plan } = mendPlan(heavy, fault!.mends[0]!);
  const moved = thingNamed<ReturnType<typeof usualThing>>(plan, 'Pack');
  expect(moved.at.x - ('lengthMm' in moved ? moved.lengthMm / 2 : 0)).toBeCloseTo(body.at.x, 6);
  expect(codes(plan).filter((code) => code.startsWith('BALANCE'))).toEqual([]);
});

test('a guide whose base is gone is told, and counted from the datum again', () => {
  const lost: Plan = {
    ...EMPTY_PLAN,
    guides: [{ id: 'g1', name: 'Former 2', axis: 'x', from: { kind: 'guide', guideId: 'g0' }, byMm: 40 }],
  };
  const [fault] = planFaults(lost, context);
  expect(fault).toMatchObject({ code: 'GUIDE_LOST', title: 'Guide Former 2 has no place' });
  expect(codes(mendPlan(lost, fault!.mends[0]!).plan)).toEqual([]);
});

test('without wings, bodies or wheels nothing is made up', () => {
  let plan = trainer;
  for (const { id } of trainer.things) {
    plan = removeThing(plan, id).plan;
    expect(() => planFaults(plan, context)).not.toThrow();
  }
  expect(codes(plan)).toEqual([]);
});
