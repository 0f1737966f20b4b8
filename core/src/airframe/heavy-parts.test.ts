import { heavyAirframes, manyHoles, manyPoints, manyStations, manyTabs } from '../../test/heavy-parts.ts';
import { applyCommand } from '../editing/index.ts';
import { brokenInvariant } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { resolveIn } from './funnel.ts';

const areaOf = (airframe: Airframe): number =>
  airframe.parts.reduce((sum, part) => sum + resolveIn(airframe, part).areaMm2, 0);
/** Area by the shoelace, written out anew. */
const shoelace = (points: readonly { readonly x: number; readonly y: number }[]): number =>
  Math.abs(
    points.reduce((sum, { x, y }, index) => {
      const next = points[(index + 1) % points.length]!;
      return sum + x * next.y - next.x * y;
    }, 0),
  ) / 2;

test('500 lightening holes: the area is the plate less each hole, a rectangle with round corners', () => {
  const [airframe] = heavyAirframes();
  const hole = 40 * 25 - (4 - Math.PI) * 8 * 8;
  expect(areaOf(airframe!)).toBeCloseTo(2000 * 1000 - 500 * hole, 3);
});

test('an outline of 5,000 points and one of 2,000 tabs have the areas of their polygons', () => {
  const [, points, tabs] = heavyAirframes();
  expect(areaOf(points!)).toBeCloseTo(shoelace(manyPoints().contours[0]!.nodes), 3);
  const bare = shoelace(manyTabs().contours[0]!.nodes);
  expect(areaOf(tabs!) - bare).toBeCloseTo(2000 * 2 * 3, 3);
});

test('2,000 station marks are worked on the part alone', () => {
  const airframe = heavyAirframes()[3]!;
  const { strokes, outer } = resolveIn(airframe, airframe.parts[0]!);
  const reach = Math.max(...outer.map(({ x, y }) => Math.hypot(x, y)));
  expect(strokes).toHaveLength(2000);
  for (const { lengthMm } of strokes) expect(lengthMm).toBeLessThanOrEqual(2 * reach + 1e-6);
});

test('500 parts have their sum', () => {
  const airframe = heavyAirframes()[4]!;
  const areas = airframe.parts.map(({ contours }) => shoelace(contours[0]!.nodes));
  expect(areaOf(airframe)).toBeCloseTo(
    areas.reduce((sum, area) => sum + area, 0),
    3,
  );
});

test('one feature or one point more than a part may have is refused with the number', () => {
  for (const [part, words] of [
    [manyTabs(), 'at most 2000'],
    [manyStations(), 'at most 2000'],
  ] as const) {
    expect(brokenInvariant(part)).toBeUndefined();
    const [first] = part.features!;
    const more = { ...part, features: [...part.features!, { ...first!, id: 'f9999' }] };
    expect(brokenInvariant(more)).toMatchObject({ field: 'features', message: expect.stringContaining(words) });
  }
  expect(brokenInvariant(manyHoles())).toBeUndefined();
});

test('arcs that would take more points than a part is followed by, or are larger than any part, are refused', () => {
  const part = manyPoints(2000),
    [outline] = part.contours;
  const bulged = (bulge: number, count: number, factor: number) => ({
    ...part,
    contours: [
      {
        ...outline!,
        nodes: outline!.nodes.map((node) => ({ ...node, x: node.x * factor, y: node.y * factor })),
        segments: outline!.segments.map(({ id }, index) =>
          index < count ? { id, kind: 'arc' as const, bulge } : { id, kind: 'line' as const },
        ),
      },
    ],
  });
  expect(brokenInvariant(bulged(0.3, 2000, 1))).toBeUndefined();
  expect(brokenInvariant(bulged(30, 2000, 30))).toMatchObject({
    field: 'contours',
    message: expect.stringContaining('at most 100000 points'),
  });
  expect(brokenInvariant(bulged(1000, 1, 30))).toMatchObject({
    field: 'contours[0].segments[0].bulge',
    message: expect.stringContaining('radius'),
  });
});

test('a hole whose points all fall together, and an outline that runs back over its own edge, are worked on without harm', () => {
  const [airframe] = heavyAirframes();
  const [part] = airframe!.parts;
  const together = applyCommand(
    { ...part!, features: [] },
    {
      name: 'drawHole',
      args: {
        draft: {
          points: [
            { x: 50, y: 50 },
            { x: 80, y: 50 },
            { x: 80, y: 80 },
          ],
          segments: [{ kind: 'line' }, { kind: 'line' }, { kind: 'line' }],
          closed: true,
        },
      },
    },
  );
  if (!together.ok) throw new Error(together.message);
  const collapsed = {
    ...together.part,
    contours: together.part.contours.map((contour) =>
      contour.role === 'hole'
        ? { ...contour, nodes: contour.nodes.map((node) => ({ ...node, x: 50, y: 50 })) }
        : contour,
    ),
  };
  expect(areaOf({ ...airframe!, parts: [collapsed] })).toBeCloseTo(2_000_000, 3);
});
