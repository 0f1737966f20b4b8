import fc from 'fast-check';
import { selfCrossings } from './crossings.ts';
import { arcGeometry, bulgeThrough, curveLength, curvePoint, nearestOnCurve, splitCurve, type Curve } from './curve.ts';
import { roomiestPlace } from './inner-place.ts';
import {
  flattenClosedPath,
  pathLength,
  pathSignedArea,
  reversePath,
  svgPath,
  transformPath,
  type Path,
} from './path.ts';
import { distance, type Point } from './point.ts';
import { polygonArea } from './polygon.ts';
import { bandAlong, differenceOf, growRegion, intersectionOf, regionArea, unionOf } from './region.ts';
import { separation } from './separation.ts';
import { applyTransform, rotation } from './transform.ts';

const ring = (points: readonly (readonly [number, number])[]): Path =>
  points.map(([x, y], index) => {
    const [nx, ny] = points[(index + 1) % points.length]!;
    return { kind: 'line', from: { x, y }, to: { x: nx, y: ny } };
  });
const square = (size: number, x = 0, y = 0): Point[] => [
  { x, y },
  { x: x + size, y },
  { x: x + size, y: y + size },
  { x, y: y + size },
];
const circle = (r: number): Path => [
  { kind: 'arc', from: { x: r, y: 0 }, to: { x: -r, y: 0 }, bulge: 1 },
  { kind: 'arc', from: { x: -r, y: 0 }, to: { x: r, y: 0 }, bulge: 1 },
];
const coordinate = fc.double({ min: -500, max: 500, noNaN: true });
const anyPoint = fc.record({ x: coordinate, y: coordinate });
const anyCurve: fc.Arbitrary<Curve> = fc
  .oneof(
    fc.record({ kind: fc.constant('line' as const), from: anyPoint, to: anyPoint }),
    fc.record({
      kind: fc.constant('arc' as const),
      from: anyPoint,
      to: anyPoint,
      bulge: fc.double({ min: -3, max: 3, noNaN: true }),
    }),
    fc.record({
      kind: fc.constant('cubic' as const),
      from: anyPoint,
      to: anyPoint,
      control1: anyPoint,
      control2: anyPoint,
    }),
  )
  .filter(({ from, to }) => distance(from, to) > 0.5);

describe('curves', () => {
  test('a circle of two arcs has area πr² and length 2πr', () => {
    expect(pathSignedArea(circle(50))).toBeCloseTo(Math.PI * 2500, 6);
    expect(pathLength(circle(50))).toBeCloseTo(Math.PI * 100, 6);
    expect(pathSignedArea(reversePath(circle(50)))).toBeCloseTo(-Math.PI * 2500, 6);
  });
  test('an arc through three points of a known circle has its centre and radius', () => {
    const at = (degrees: number): Point => ({
      x: 10 + 40 * Math.cos((degrees * Math.PI) / 180),
      y: -5 + 40 * Math.sin((degrees * Math.PI) / 180),
    });
    const arc = { kind: 'arc' as const, from: at(20), to: at(140), bulge: bulgeThrough(at(20), at(75), at(140)) };
    const { centre, radius, sweep } = arcGeometry(arc);
    expect(centre.x).toBeCloseTo(10, 6);
    expect(centre.y).toBeCloseTo(-5, 6);
    expect(radius).toBeCloseTo(40, 6);
    expect((sweep * 180) / Math.PI).toBeCloseTo(120, 6);
  });
  test('flattening stays within its tolerance of the curve', () => {
    fc.assert(
      fc.property(anyCurve, fc.double({ min: 0.01, max: 1, noNaN: true }), (curve, tolerance) => {
        const flat = flattenClosedPath([curve], tolerance);
        for (let step = 0; step <= 40; step++) {
          const p = curvePoint(curve, step / 40);
          const points = [...flat, curve.to];
          const off = Math.min(...points.slice(1).map((b, index) => toRun(p, points[index]!, b)));
          expect(off).toBeLessThanOrEqual(tolerance * 1.05 + 1e-9);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('splitting keeps the shape and the length', () => {
    fc.assert(
      fc.property(anyCurve, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (curve, t) => {
        const [first, second] = splitCurve(curve, t);
        expect(distance(first.to, second.from)).toBeLessThan(1e-9);
        expect(distance(first.to, curvePoint(curve, t))).toBeLessThan(1e-6);
        // Quadrature is exact to a hundredth even where a cubic turns back on itself.
        expect(Math.abs(curveLength(first) + curveLength(second) - curveLength(curve))).toBeLessThan(
          0.01 * curveLength(curve),
        );
      }),
      { numRuns: 80 },
    );
  });
  test('the nearest point is on the curve and no sample is nearer', () => {
    fc.assert(
      fc.property(anyCurve, anyPoint, (curve, p) => {
        const found = nearestOnCurve(curve, p);
        expect(distance(found.point, curvePoint(curve, found.t))).toBeLessThan(1e-6);
        for (let step = 0; step <= 64; step++)
          expect(found.distance).toBeLessThanOrEqual(distance(p, curvePoint(curve, step / 64)) + 0.05);
      }),
      { numRuns: 60 },
    );
  });
  test('turning keeps area and length', () => {
    fc.assert(
      fc.property(fc.double({ min: -360, max: 360, noNaN: true }), (angle) => {
        const turned = transformPath(rotation(angle), circle(30));
        expect(pathSignedArea(turned)).toBeCloseTo(Math.PI * 900, 5);
      }),
    );
    expect(applyTransform(rotation(90), { x: 3, y: 4 })).toEqual({ x: -4, y: 3 });
  });
  test('an SVG path sweeps arcs the way they run', () =>
    expect(svgPath(circle(10), true)).toMatch(/^M10 0A10 10 0 [01] 1 -10 /));
});

function toRun(p: Point, a: Point, b: Point): number {
  const length = distance(a, b) ** 2;
  const t =
    length === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / length));
  return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
}

describe('crossings and regions', () => {
  test('a bow tie crosses itself at its middle, a square nowhere', () => {
    const crossings = selfCrossings(
      ring([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
      0.01,
      true,
    );
    expect(crossings).toHaveLength(1);
    expect(crossings[0]!.point).toEqual({ x: expect.closeTo(5, 6), y: expect.closeTo(5, 6) });
    expect(
      selfCrossings(
        ring([
          [0, 0],
          [10, 0],
          [10, 10],
          [0, 10],
        ]),
        0.01,
        true,
      ),
    ).toHaveLength(0);
  });
  test('union, difference and common of two squares that overlap by a quarter', () => {
    const a = [square(10)],
      b = [square(10, 5, 5)];
    expect(regionArea(intersectionOf(a, b))).toBeCloseTo(25, 6);
    expect(regionArea(differenceOf(a, b))).toBeCloseTo(75, 6);
    expect(regionArea(unionOf([...a, ...b]))).toBeCloseTo(175, 6);
  });
  test('a square of 20 grown by 5 gains four sides and a circle', () =>
    expect(regionArea(growRegion([square(20)], 5))).toBeCloseTo(400 + 4 * 20 * 5 + Math.PI * 25, 0));
  test('a band along a line is length times width', () =>
    expect(
      regionArea(
        bandAlong(
          [
            { x: 0, y: 0 },
            { x: 30, y: 40 },
          ],
          10,
        ),
      ),
    ).toBeCloseTo(500, 3));
  test('the roomiest place of a rectangle is half its height from the edges', () => {
    const { distance: room } = roomiestPlace(
      [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
        { x: 100, y: 40 },
        { x: 0, y: 40 },
      ],
      [],
      0.1,
    );
    expect(room).toBeGreaterThan(19.8);
    expect(room).toBeLessThanOrEqual(20);
  });
});

describe('separation', () => {
  const shape = (points: Point[], holes: Point[][] = []) => ({ outer: points, holes });
  test('squares apart, touching, crossing and one in another', () => {
    expect(separation(shape(square(10)), shape(square(10, 13, 0)), 50)).toBeCloseTo(3, 9);
    expect(separation(shape(square(10)), shape(square(10, 13, 14)), 50)).toBeCloseTo(5, 9);
    expect(separation(shape(square(10)), shape(square(10, 5, 5)), 50)).toBe(0);
    expect(separation(shape(square(10)), shape(square(2, 4, 4)), 50)).toBe(0);
    expect(separation(shape(square(10)), shape(square(10)), 50)).toBe(0);
    expect(separation(shape(square(10)), shape(square(10, 100, 0)), 50)).toBe(Infinity);
  });
  test('a piece within a hole is apart from the frame round it', () =>
    expect(separation(shape(square(30), [square(20, 5, 5)]), shape(square(10, 10, 10)), 50)).toBeCloseTo(5, 9));
  test('it is the same both ways, and moving apart by d adds d', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 40, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (gap, up) => {
          const a = shape(square(10)),
            b = shape(square(10, 10 + gap, up));
          expect(separation(a, b, 100)).toBeCloseTo(gap, 9);
          expect(separation(b, a, 100)).toBeCloseTo(gap, 9);
        },
      ),
    );
  });
  test('areas of polygons by hand', () =>
    expect(
      polygonArea([
        { x: 0, y: 0 },
        { x: 6, y: 0 },
        { x: 0, y: 8 },
      ]),
    ).toBe(24));
});

test('the nearest place of a curve that passes by itself is found on whichever branch it lies', () => {
  // A cubic with a loop, tried against a fine chain of its points.
  fc.assert(
    fc.property(
      fc.integer({ min: -200, max: 200 }),
      fc.integer({ min: 20, max: 200 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (a, b, t) => {
        const loop: Curve = {
          kind: 'cubic',
          from: { x: 0, y: 0 },
          to: { x: 20, y: 0 },
          control1: { x: 150 + a, y: b },
          control2: { x: -130 - a, y: b },
        };
        expect(nearestOnCurve(loop, curvePoint(loop, t)).distance).toBeLessThan(1e-6);
      },
    ),
  );
});

test('lengths of cubics are true where they bend at a point, and for any others', () => {
  const places = fc.record({ x: fc.integer({ min: -50, max: 50 }), y: fc.integer({ min: -50, max: 50 }) });
  // The first has a cusp in the middle, the second runs back on itself.
  const cusps: readonly Curve[] = [
    {
      kind: 'cubic',
      from: { x: 0, y: 0 },
      control1: { x: 100, y: 100 },
      control2: { x: 0, y: 100 },
      to: { x: 100, y: 0 },
    },
    {
      kind: 'cubic',
      from: { x: 0, y: 0 },
      control1: { x: 120, y: 0 },
      control2: { x: -20, y: 0 },
      to: { x: 100, y: 0 },
    },
  ];
  const any = fc
    .tuple(places, places, places, places)
    .map(([from, control1, control2, to]): Curve => ({ kind: 'cubic', from, control1, control2, to }));
  const stepped = (curve: Curve): number => {
    let [sum, before] = [0, curvePoint(curve, 0)];
    for (let step = 1; step <= 20_000; step++) {
      const now = curvePoint(curve, step / 20_000);
      sum += Math.hypot(now.x - before.x, now.y - before.y);
      before = now;
    }
    return sum;
  };
  for (const curve of cusps) expect(curveLength(curve)).toBeCloseTo(stepped(curve), 3);
  fc.assert(
    fc.property(any, (curve) => {
      expect(Math.abs(curveLength(curve) - stepped(curve))).toBeLessThan(1e-3);
    }),
    { numRuns: 40 },
  );
});
