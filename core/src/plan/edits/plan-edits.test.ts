import fc from 'fast-check';
import {
  addGuide,
  addThing,
  caughtMove,
  changeGuide,
  changePlaces,
  dragHandle,
  drawInView,
  EMPTY_PLAN,
  insertLinePoint,
  inView,
  keepWhatIf,
  mendPlan,
  moveLinePoint,
  moveThing,
  placedPlanGuides,
  placedThings,
  planFaults,
  planOfWhatIf,
  removeGuide,
  removeLinePoint,
  removeThing,
  scalePlan,
  surfaceMeasures,
  thingHandles,
  THING_KINDS,
  usualThing,
  wingSeats,
  wingSet,
  withMeasure,
  type Plan,
  type PlannedThing,
  type SurfaceThing,
} from '../index.ts';

const AT = { x: 0, y: 0, z: 0 };
const planOf = (...things: readonly PlannedThing[]): Plan => ({ ...EMPTY_PLAN, things, lastId: 50 });
const wing = (change: Partial<SurfaceThing> = {}): SurfaceThing => ({
  ...(usualThing('wing', 'w', 5) as SurfaceThing),
  ...change,
});
const at = (plan: Plan, id: string) => placedThings(plan).find((thing) => thing.id === id)!.at;

test('what goes along with a thing moves as far, and a wing stays in the middle', () => {
  const servo = { ...usualThing('servo', 's', 5), goesWith: 'w', at: { x: 80, y: 90, z: 10 } };
  const lead = { ...usualThing('receiver', 'r', 5), goesWith: 's' };
  const { plan, label } = moveThing(planOf(wing(), servo, lead), 'w', { x: 25, y: 7, z: -30 });
  expect(label).toBe('Move Wing');
  expect(at(plan, 'w')).toEqual({ x: 25, y: 0, z: -30 });
  expect(at(plan, 's')).toEqual({ x: 105, y: 90, z: -20 });
  expect(at(plan, 'r')).toEqual({ x: 25, y: 0, z: -30 });
});

test('the seat follows the wing from shoulder to low in one move', () => {
  const body = usualThing('body', 'b', 5);
  const high = planOf(body, wing({ at: { x: 120, y: 0, z: 20 } }));
  const low = moveThing(high, 'w', { x: 0, y: 0, z: -40 }).plan;
  expect([wingSeats(high)[0]!.kind, wingSeats(low)[0]!.kind]).toEqual(['shoulder', 'low']);
  expect(wingSeats(low)[0]!.corners.map(({ z }) => z)).toEqual(wingSeats(high)[0]!.corners.map(({ z }) => z - 40));
});

test('guides by distances from the datum, from guides and from edges hold things and carry them along', () => {
  let plan = planOf(usualThing('body', 'b', 5), wing({ at: { x: 140, y: 0, z: 0 } }));
  const one = addGuide(plan, { axis: 'x', from: { kind: 'thing', thingId: 'b', edge: 'fore' }, byMm: 150 });
  const two = addGuide(one.plan, { axis: 'x', from: { kind: 'guide', guideId: one.guideId }, byMm: 60 });
  plan = two.plan;
  expect(placedPlanGuides(plan).map(({ atMm }) => atMm)).toEqual([150, 210]);
  const caught = caughtMove(plan, 'w', { x: 12, y: 0, z: 0 }, ['x', 'z'], 5);
  expect(caught).toEqual({ by: { x: 10, y: 0, z: 0 }, held: { x: one.guideId } });
  plan = moveThing(plan, 'w', caught.by, caught.held).plan;
  // The guide moves, and with it the wing; the body moves, and with it both guides and the wing.
  plan = changeGuide(plan, one.guideId, { byMm: 170 }).plan;
  expect(at(plan, 'w').x).toBe(170);
  plan = moveThing(plan, 'b', { x: 5, y: 0, z: 0 }).plan;
  expect([at(plan, 'w').x, ...placedPlanGuides(plan).map(({ atMm }) => atMm)]).toEqual([175, 175, 235]);
  // Without its guide it stays where it was.
  const free = removeGuide(plan, one.guideId).plan;
  expect([at(free, 'w').x, placedPlanGuides(free)[0]!.atMm]).toEqual([175, 235]);
  expect(() => changeGuide(plan, one.guideId, { from: { kind: 'guide', guideId: two.guideId } })).toThrow(
    'counted from itself',
  );
  const without = removeThing(plan, 'b').plan;
  expect(placedPlanGuides(without).map(({ atMm }) => atMm)).toEqual([175, 235]);
});

test('every size of a surface that is set is the size that it has then, and straight edges stay straight', () => {
  const sized = fc.record({
    spanMm: fc.integer({ min: 50, max: 3000 }),
    rootChordMm: fc.integer({ min: 40, max: 400 }),
    tipChordMm: fc.integer({ min: 0, max: 400 }),
    sweepMm: fc.integer({ min: -200, max: 500 }),
    angleDegrees: fc.integer({ min: -10, max: 40 }),
  });
  const half = wing({
    stations: [0, 200, 500].map((outMm) => ({ outMm, sweepMm: 0.1 * outMm, chordMm: 200 - 0.2 * outMm })),
    angles: [0, 5],
  });
  fc.assert(
    fc.property(sized, (wanted) => {
      const keys = Object.keys(wanted) as (keyof typeof wanted)[];
      const set = keys.reduce((now, key) => withMeasure(now, key, wanted[key]), half);
      const found = surfaceMeasures(set);
      for (const key of keys) expect(found[key]).toBeCloseTo(wanted[key], 6);
      const [root, middle, tip] = set.stations as [
        (typeof set.stations)[0],
        (typeof set.stations)[0],
        (typeof set.stations)[0],
      ];
      const t = middle.outMm / tip.outMm;
      expect(middle.chordMm).toBeCloseTo(root.chordMm + t * (tip.chordMm - root.chordMm), 6);
      expect(middle.sweepMm).toBeCloseTo(t * tip.sweepMm, 6);
    }),
  );
});

test('every handle of every thing can be dragged in every view, and comes to where it is dragged', () => {
  const place = fc.record({ x: fc.integer({ min: -60, max: 60 }), y: fc.integer({ min: -60, max: 60 }) });
  for (const kind of THING_KINDS)
    for (const view of ['side', 'top', 'front'] as const) {
      const thing = usualThing(kind, 't', 5);
      for (const handle of thingHandles(thing, view))
        fc.assert(
          fc.property(place, (by) => {
            const to = { x: handle.at.x + by.x, y: handle.at.y + by.y };
            const dragged = dragHandle(thing, handle, to);
            const now = thingHandles(dragged, view).find(({ key }) => key === handle.key)!;
            // Along one axis at least it is where the hand is, unless a size would fall under a millimetre.
            const near = Math.min(
              Math.abs(now.at.x - to.x),
              Math.abs(now.at.y - to.y),
              Math.abs(Math.abs(now.at.y) - Math.abs(to.y)),
              Math.abs(Math.abs(now.at.x) - Math.abs(to.x)),
            );
            const isAtLeast = JSON.stringify(dragged).match(/:(1|0)[,}]/) !== null;
            expect(isAtLeast || near < 0.6).toBe(true);
          }),
          { numRuns: 20 },
        );
    }
});

test('a view shows starboard up from above and to the left from before', () => {
  const p = { x: 10, y: 20, z: 30 };
  expect([inView('side', p), inView('top', p), inView('front', p)]).toEqual([
    { x: 10, y: 30 },
    { x: 10, y: 20 },
    { x: -20, y: 30 },
  ]);
});

test('a what-if changes places with the present, and nothing is lost', () => {
  const kept = keepWhatIf(planOf(wing()), 'small');
  const grown = { ...kept.plan, things: [withMeasure(wing(), 'spanMm', 1400)] };
  const id = grown.whatIfs[0]!.id;
  expect(wingSet(planOfWhatIf(grown, id)!)!.spanMm).toBe(1000);
  const back = changePlaces(grown, id).plan;
  expect(wingSet(back)!.spanMm).toBe(1000);
  expect(wingSet(planOfWhatIf(back, id)!)!.spanMm).toBe(1400);
});

test('drawn lines keep their ids through edits, and curves beside a moved point go along', () => {
  const { plan, lineId } = drawInView(planOf(), 'side', {
    points: [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 50 },
    ],
    segments: [
      { kind: 'cubic', control1: { x: 30, y: 10 }, control2: { x: 80, y: 10 } },
      { kind: 'line' },
      { kind: 'line' },
    ],
    closed: true,
  });
  const [line] = plan.lines,
    second = line!.nodes[1]!.id;
  const moved = moveLinePoint(plan, lineId, second, { x: 110, y: -5 }).plan.lines[0]!;
  expect(moved.nodes.map(({ id }) => id)).toEqual(line!.nodes.map(({ id }) => id));
  expect(moved.segments[0]).toMatchObject({ control1: { x: 30, y: 10 }, control2: { x: 90, y: 5 } });
  const inserted = insertLinePoint(plan, lineId, { x: 101, y: 24 });
  expect(inserted.plan.lines[0]!.nodes.map(({ x, y }) => [x, y])[2]).toEqual([100, expect.closeTo(24, 9)]);
  expect(inserted.nodeId).toBe(inserted.plan.lines[0]!.nodes[2]!.id);
  // A triangle without one of its corners is none: it goes whole.
  expect(removeLinePoint(plan, lineId, second).plan.lines).toEqual([]);
  expect(() => drawInView(plan, 'top', { points: [AT], segments: [], closed: false })).toThrow(
    'needs at least 2 points',
  );
});

test('views that disagree are told with their figures, and fitted', () => {
  const box = (view: 'side' | 'top', from: number, to: number, plan: Plan): Plan => {
    const drawn = drawInView(plan, view, {
      points: [
        { x: from, y: -20 },
        { x: to, y: -20 },
        { x: to, y: 20 },
        { x: from, y: 20 },
      ],
      segments: Array.from({ length: 4 }, () => ({ kind: 'line' as const })),
      closed: true,
    });
    return { ...drawn.plan, lines: drawn.plan.lines.map((line) => ({ ...line, name: 'Body' })) };
  };
  const context = { unit: 'mm' as const, boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 0 };
  for (const [from, to, word] of [
    [12, 812, 'Shift the top view'],
    [0, 830, 'Fit it in the top view'],
  ] as const) {
    const plan = box('top', from, to, box('side', 0, 800, planOf()));
    const [fault] = planFaults(plan, context);
    expect(fault).toMatchObject({ code: 'VIEWS_DISAGREE', mends: [{ label: word }] });
    expect(planFaults(mendPlan(plan, fault!.mends[0]!).plan, context)).toEqual([]);
  }
});

test('a plan at twice the size has twice the chords, the same proportions, and the same propeller', () => {
  const plan = planOf(wing(), usualThing('propeller', 'p', 5), {
    ...usualThing('tail', 't', 5),
    at: { x: 600, y: 0, z: 0 },
  });
  const twice = scalePlan(plan, 2);
  expect(wingSet(twice)!.areaMm2).toBeCloseTo(4 * wingSet(plan)!.areaMm2, 6);
  expect(at(twice, 't').x).toBe(1200);
  expect(twice.things.find(({ id }) => id === 'p')).toMatchObject({ diameterMm: 228.6 });
});

test('a thing is added in its usual size with a name of its own, and the plan says when it is full', () => {
  let plan = planOf();
  for (let index = 0; index < 80; index++) plan = addThing(plan, 'servo', AT, 5).plan;
  expect(plan.things.slice(0, 2).map(({ name }) => name)).toEqual(['Servo', 'Servo 2']);
  expect(new Set(plan.things.map(({ id }) => id)).size).toBe(80);
  expect(() => addThing(plan, 'servo', AT, 5)).toThrow('holds 80 things');
});
