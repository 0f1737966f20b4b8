import { withBevel } from '../../test/samples.ts';
import { pathSignedArea } from '../geometry/index.ts';
import { outlineOf } from '../part/index.ts';
import { curvesOf } from '../paths/index.ts';
import {
  EMPTY_PLAN,
  drawInView,
  followPlan,
  letGoOfPlan,
  moveThing,
  partOffers,
  planLink,
  takePart,
  usualThing,
  withMeasure,
  withThing,
  type Plan,
  type SurfaceThing,
} from './index.ts';

const plan: Plan = {
  ...EMPTY_PLAN,
  things: [
    usualThing('body', 'b', 5),
    { ...usualThing('wing', 'w', 5), at: { x: 100, y: 0, z: 0 } },
    { ...usualThing('tail', 't', 5), at: { x: 620, y: 0, z: 5 } },
    usualThing('fin', 'f', 5),
  ],
};
const take = (from: string, role: string) =>
  takePart(
    plan,
    partOffers(plan).find((one) => one.from === from && one.role === role)!,
    'p1',
    'faced board',
  );
const areaOf = (part: ReturnType<typeof take>): number => Math.abs(pathSignedArea(curvesOf(outlineOf(part)!)));

test('parts have the areas of what they were taken from, and the hands', () => {
  // Tail: two chords, 120 and 100, over 190 each half. Fin: 130 and 90 over 140.
  expect(areaOf(take('t', 'whole'))).toBeCloseTo(2 * 110 * 190, 6);
  expect([areaOf(take('t', 'half')), take('t', 'half').handed]).toEqual([expect.closeTo(110 * 190, 6), 'pair']);
  expect(areaOf(take('f', 'whole'))).toBeCloseTo(110 * 140, 6);
  // Body side: heights 60, 90, 40 at 0, 200, 750. The wing's seat and the tail's are marked on it.
  expect(areaOf(take('b', 'side'))).toBeCloseTo(75 * 200 + 65 * 550, 6);
  expect(take('b', 'side').operations.map(({ kind }) => kind)).toEqual(['mark', 'mark']);
});

test('a part says when the plan moved on, follows it with its work kept, and may go its own way', () => {
  const fin = take('f', 'whole');
  expect(planLink(plan, fin)).toBe('same');
  expect(planLink(moveThing(plan, 'f', { x: 30, y: 0, z: 0 }).plan, fin)).toBe('same');
  const higher = withThing(plan, withMeasure(plan.things[3] as SurfaceThing, 'spanMm', 160));
  expect(planLink(higher, fin)).toBe('moved');
  const worked = withBevel(fin, 1, 30);
  const followed = followPlan(higher, worked);
  expect(planLink(higher, followed)).toBe('same');
  expect(areaOf(followed)).toBeCloseTo(110 * 160, 6);
  expect(followed.operations).toEqual(worked.operations);
  expect(planLink({ ...plan, things: [] }, fin)).toBe('gone');
  expect(planLink(higher, letGoOfPlan(fin))).toBeUndefined();
});

test('the side of a body says so when the wing that sits in it moves', () => {
  const side = take('b', 'side');
  const low = moveThing(plan, 'w', { x: 0, y: 0, z: -20 }).plan;
  expect(planLink(low, side)).toBe('moved');
});

test('a closed outline that was drawn is offered as it is; an open line is not', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 80, y: 0 },
    { x: 80, y: 50 },
  ];
  const closed = drawInView(plan, 'side', { points, segments: points.map(() => ({ kind: 'line' })), closed: true });
  const open = drawInView(closed.plan, 'side', {
    points,
    segments: [{ kind: 'line' }, { kind: 'arc', bulge: 0.3 }],
    closed: false,
  });
  const offers = partOffers(open.plan).filter(({ role }) => role === 'outline');
  expect(offers.map(({ from }) => from)).toEqual([closed.lineId]);
  expect(areaOf(takePart(open.plan, offers[0]!, 'p2', 'foam'))).toBeCloseTo(2000, 9);
});
