import fc from 'fast-check';
import { joinBounds, pathBounds } from '../geometry/index.ts';
import {
  boxInView,
  boxOfThing,
  drawInView,
  EMPTY_PLAN,
  layOutViews,
  laidBounds,
  pickInView,
  PLAN_VIEWS,
  proposePlan,
  PLAN_TYPES,
  snapInView,
  THING_KINDS,
  thingShapes,
  usualProportions,
  usualThing,
  viewAtPlace,
  type Plan,
} from './index.ts';

const context = { unit: 'mm' as const, boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 700 };

test('what a view shows of a thing is as large as the room that it takes', () => {
  const place = fc.record({
    x: fc.integer({ min: -300, max: 300 }),
    y: fc.constant(0),
    z: fc.integer({ min: -90, max: 90 }),
  });
  fc.assert(
    fc.property(fc.constantFrom(...THING_KINDS), fc.constantFrom(...PLAN_VIEWS), place, (kind, view, at) => {
      const thing = { ...usualThing(kind, 't', 5), at };
      const shown = joinBounds(thingShapes(thing, view).map(({ path }) => pathBounds(path))),
        room = boxInView(view, boxOfThing(thing));
      // A section is drawn thinner than its box towards the tail; its ends and its thickest place are there.
      for (const key of ['minX', 'maxX', 'minY', 'maxY'] as const) {
        const isLeg = kind === 'wheel' && view !== 'top' && key === 'maxY';
        if (!isLeg) expect([kind, view, key, shown[key]]).toEqual([kind, view, key, expect.closeTo(room[key], 1)]);
      }
    }),
  );
});

test('views never lie on each other, and share their stations and heights', () => {
  for (const type of PLAN_TYPES) {
    const plan = proposePlan(type, { kind: 'span', mm: 1000 }, usualProportions(type), {}, context),
      layout = layOutViews(plan);
    expect([layout.side.x, layout.top.x, layout.side.y, layout.front.y]).toEqual([0, 0, 0, 0]);
    const [side, top, front] = PLAN_VIEWS.map((view) => {
      const box = laidBounds(plan, view),
        at = layout[view];
      return { minX: box.minX + at.x, maxX: box.maxX + at.x, minY: box.minY + at.y, maxY: box.maxY + at.y };
    });
    expect(top!.minY).toBeGreaterThan(side!.maxY);
    expect(front!.minX).toBeGreaterThan(Math.max(side!.maxX, top!.maxX));
    for (const view of PLAN_VIEWS) expect(viewAtPlace(plan, layout, layout[view])).toBe(view);
  }
});

const points = [
  { x: 0, y: 0 },
  { x: 100, y: 0 },
  { x: 100, y: 60 },
];
const drawn = drawInView(EMPTY_PLAN, 'side', { points, segments: points.map(() => ({ kind: 'line' })), closed: true });
const plan: Plan = {
  ...drawn.plan,
  things: [usualThing('body', 'b', 5), { ...usualThing('pack', 'p', 5), at: { x: 300, y: 0, z: 0 } }],
  guides: [{ id: 'g1', name: 'A', axis: 'x', from: { kind: 'datum' }, byMm: 500 }],
};

test('a pointer picks a point, a line, the smaller of two things, a guide, or nothing', () => {
  const [, second] = drawn.plan.lines[0]!.nodes;
  expect(pickInView(plan, 'side', { x: 101, y: 1 }, 3)).toEqual({
    kind: 'line',
    lineId: drawn.lineId,
    nodeId: second!.id,
  });
  expect(pickInView(plan, 'side', { x: 50, y: -2 }, 3)).toEqual({ kind: 'line', lineId: drawn.lineId });
  expect(pickInView(plan, 'side', { x: 300, y: 3 }, 3)).toEqual({ kind: 'thing', thingId: 'p' });
  expect(pickInView(plan, 'side', { x: 200, y: 40 }, 3)).toEqual({ kind: 'thing', thingId: 'b' });
  expect(pickInView(plan, 'top', { x: 501, y: 200 }, 3)).toEqual({ kind: 'guide', guideId: 'g1' });
  expect(pickInView(plan, 'front', { x: 501, y: 200 }, 3)).toBeUndefined();
});

test('a pointer catches on drawn points, on corners of things and on guides', () => {
  const options = { reachMm: 4, gridMm: 0 };
  expect(snapInView(plan, 'side', { x: 98, y: 58 }, options)).toEqual({ point: { x: 100, y: 60 }, reason: 'end' });
  // The nose of the body stands 30 high.
  expect(snapInView(plan, 'side', { x: -2, y: 31 }, options)).toEqual({ point: { x: 0, y: 30 }, reason: 'other part' });
  expect(snapInView(plan, 'top', { x: 502, y: 150 }, options)).toEqual({ point: { x: 500, y: 150 }, reason: 'guide' });
  expect(snapInView(plan, 'top', { x: 460, y: 150 }, options)).toMatchObject({ reason: 'free' });
});
