import fc from 'fast-check';
import { combineOutlines } from './combine-outlines.ts';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { selfCrossings } from './crossings.ts';
import { curvePoint, curveTangent, nearestOnCurve, type Curve } from './curve.ts';
import { curveMeetings } from './meetings.ts';
import { offsetOutline } from './offset-path.ts';
import { flattenClosedPath, pathSignedArea, reversePath, transformPath, type Path } from './path.ts';
import { distance, type Point } from './point.ts';
import { isInside } from './polygon.ts';
import { rotation, compose, translation } from './transform.ts';

const ring = (points: readonly (readonly [number, number])[]): Path =>
  points.map(([x, y], index) => {
    const [nx, ny] = points[(index + 1) % points.length]!;
    return { kind: 'line', from: { x, y }, to: { x: nx, y: ny } };
  });
const box = (x: number, y: number, width: number, height: number): Path =>
  ring([
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ]);
const circle = (x: number, y: number, r: number): Path => [
  { kind: 'arc', from: { x: x + r, y }, to: { x: x - r, y }, bulge: 1 },
  { kind: 'arc', from: { x: x - r, y }, to: { x: x + r, y }, bulge: 1 },
];
const area = (loops: readonly Path[]): number => loops.reduce((sum, loop) => sum + pathSignedArea(loop), 0);
const isClosed = (loop: Path): boolean =>
  loop.every((curve, index) => distance(curve.to, loop[(index + 1) % loop.length]!.from) < 1e-9);

describe('where curves meet', () => {
  test('a line through a circle meets each half once, at the places of the chord', () => {
    const line: Curve = { kind: 'line', from: { x: -20, y: 6 }, to: { x: 20, y: 6 } };
    const points = circle(0, 0, 10).flatMap((half) => curveMeetings(line, half).map(({ point }) => point));
    expect(points.map(({ x }) => x).sort((a, b) => a - b)).toEqual([expect.closeTo(-8, 8), expect.closeTo(8, 8)]);
  });
  test('a tangent touches once, and a line that misses meets nowhere', () => {
    const [upper] = circle(0, 0, 10) as [Curve];
    expect(curveMeetings({ kind: 'line', from: { x: -20, y: 10 }, to: { x: 20, y: 10 } }, upper)).toHaveLength(1);
    expect(curveMeetings({ kind: 'line', from: { x: -20, y: 10.01 }, to: { x: 20, y: 10.01 } }, upper)).toHaveLength(0);
  });
  test('every meeting lies on both curves', () => {
    const coordinate = fc.integer({ min: -100, max: 100 });
    const point = fc.record({ x: coordinate, y: coordinate });
    const curve: fc.Arbitrary<Curve> = fc
      .oneof(
        fc.record({ kind: fc.constant('line' as const), from: point, to: point }),
        fc.record({
          kind: fc.constant('arc' as const),
          from: point,
          to: point,
          bulge: fc.double({ min: -2, max: 2, noNaN: true }),
        }),
        fc.record({ kind: fc.constant('cubic' as const), from: point, to: point, control1: point, control2: point }),
      )
      .filter(({ from, to }) => distance(from, to) > 1);
    fc.assert(
      fc.property(curve, curve, (a, b) => {
        for (const { point: at, s, t } of curveMeetings(a, b)) {
          expect(distance(at, curvePoint(a, s))).toBeLessThan(1e-4);
          expect(distance(at, curvePoint(b, t))).toBeLessThan(1e-4);
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe('combining outlines', () => {
  test('two squares that overlap by a quarter', () => {
    const [a, b] = [box(0, 0, 10, 10), box(5, 5, 10, 10)];
    expect(area(combineOutlines(a, b, 'join'))).toBeCloseTo(175, 6);
    expect(area(combineOutlines(a, b, 'cutOut'))).toBeCloseTo(75, 6);
    expect(area(combineOutlines(a, b, 'common'))).toBeCloseTo(25, 6);
  });
  test('a round bite out of a plate keeps its arc exactly', () => {
    const [loop] = combineOutlines(box(0, 0, 100, 40), circle(50, 40, 10), 'cutOut');
    expect(pathSignedArea(loop!)).toBeCloseTo(4000 - (Math.PI * 100) / 2, 6);
    expect(loop!.filter(({ kind }) => kind === 'arc').length).toBeGreaterThan(0);
    for (const curve of loop!.filter(({ kind }) => kind === 'arc'))
      expect(distance(curvePoint(curve, 0.5), { x: 50, y: 40 })).toBeCloseTo(10, 6);
  });
  test('squares that share an edge join into one; cutting one away leaves the other; they have nothing in common', () => {
    const [a, b] = [box(0, 0, 10, 10), box(10, 0, 10, 10)];
    expect(combineOutlines(a, b, 'join')).toHaveLength(1);
    expect(area(combineOutlines(a, b, 'join'))).toBeCloseTo(200, 6);
    expect(area(combineOutlines(a, b, 'cutOut'))).toBeCloseTo(100, 6);
    expect(combineOutlines(a, b, 'common')).toEqual([]);
  });
  test('one within the other, apart, and the same', () => {
    expect(area(combineOutlines(box(0, 0, 30, 30), circle(15, 15, 5), 'cutOut'))).toBeCloseTo(900 - Math.PI * 25, 6);
    expect(combineOutlines(box(0, 0, 5, 5), box(20, 0, 5, 5), 'join')).toHaveLength(2);
    expect(area(combineOutlines(box(0, 0, 5, 5), box(0, 0, 5, 5), 'join'))).toBeCloseTo(25, 9);
    expect(combineOutlines(box(0, 0, 5, 5), box(0, 0, 5, 5), 'cutOut')).toEqual([]);
  });
  test('rounds that touch from within or from without, anywhere on their way', () => {
    for (const turn of [0, 37, 90, 211]) {
      const at = (distance: number): readonly [number, number] => [
        distance * Math.cos((turn * Math.PI) / 180),
        distance * Math.sin((turn * Math.PI) / 180),
      ];
      const large = circle(0, 0, 36),
        within = circle(...at(20), 16),
        beside = circle(...at(52), 16);
      expect(area(combineOutlines(within, large, 'join'))).toBeCloseTo(Math.PI * 36 ** 2, 3);
      expect(area(combineOutlines(within, large, 'common'))).toBeCloseTo(Math.PI * 16 ** 2, 3);
      expect(area(combineOutlines(large, within, 'cutOut'))).toBeCloseTo(Math.PI * (36 ** 2 - 16 ** 2), 3);
      expect(area(combineOutlines(large, beside, 'join'))).toBeCloseTo(Math.PI * (36 ** 2 + 16 ** 2), 3);
      expect(area(combineOutlines(large, beside, 'common'))).toBeCloseTo(0, 3);
    }
  });
  test('the area of both together and of what they share is the sum of the two; loops are closed', () => {
    const shape = fc
      .tuple(
        fc.constantFrom('box', 'circle', 'star'),
        fc.integer({ min: -30, max: 30 }),
        fc.integer({ min: -30, max: 30 }),
        fc.integer({ min: 8, max: 40 }),
        fc.integer({ min: 0, max: 89 }),
      )
      .map(([kind, x, y, size, turn]): Path => {
        if (kind === 'circle') return circle(x + 0.137, y + 0.291, size);
        const corners =
          kind === 'box'
            ? box(-size, -size * 0.6, 2 * size, size * 1.2)
            : ring(
                Array.from({ length: 10 }, (_, index) => {
                  const r = index % 2 === 0 ? size : size * 0.45;
                  return [r * Math.cos((index * Math.PI) / 5), r * Math.sin((index * Math.PI) / 5)] as const;
                }),
              );
        return transformPath(compose(rotation(turn + 0.31), translation(x, y)), corners);
      });
    fc.assert(
      fc.property(shape, shape, (a, b) => {
        const joined = combineOutlines(a, b, 'join'),
          common = combineOutlines(a, b, 'common'),
          cut = combineOutlines(a, b, 'cutOut');
        const [areaA, areaB] = [pathSignedArea(a), pathSignedArea(b)];
        expect(area(joined) + area(common)).toBeCloseTo(areaA + areaB, 3);
        expect(area(cut)).toBeCloseTo(areaA - area(common), 3);
        for (const loop of [...joined, ...common, ...cut]) expect(isClosed(loop)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('offsets', () => {
  test('a plate of 100 × 40 moved out by 5: sharp 110 × 50, round less the corners', () => {
    expect(area(offsetOutline(box(0, 0, 100, 40), 5))).toBeCloseTo(110 * 50, 6);
    expect(area(offsetOutline(box(0, 0, 100, 40), 5, 'round'))).toBeCloseTo(4000 + 2 * 140 * 5 + Math.PI * 25, 6);
    expect(area(offsetOutline(box(0, 0, 100, 40), -5))).toBeCloseTo(90 * 30, 6);
    expect(area(offsetOutline(reversePath(box(0, 0, 100, 40)), -5))).toBeCloseTo(90 * 30, 6);
  });
  test('a circle stays a circle; moved in by more than its radius it is gone', () => {
    expect(area(offsetOutline(circle(0, 0, 20), 7))).toBeCloseTo(Math.PI * 27 ** 2, 6);
    expect(area(offsetOutline(circle(0, 0, 20), -7))).toBeCloseTo(Math.PI * 13 ** 2, 6);
    expect(offsetOutline(circle(0, 0, 20), -21)).toEqual([]);
    expect(offsetOutline(box(0, 0, 100, 40), -20.5)).toEqual([]);
  });
  test('a dumb-bell moved in by more than half its neck falls in two', () => {
    const bell = ring([
      [0, 0],
      [40, 0],
      [40, 15],
      [80, 15],
      [80, 0],
      [120, 0],
      [120, 40],
      [80, 40],
      [80, 25],
      [40, 25],
      [40, 40],
      [0, 40],
    ]);
    expect(offsetOutline(bell, -4)).toHaveLength(1);
    expect(offsetOutline(bell, -6)).toHaveLength(2);
    expect(area(offsetOutline(bell, -6))).toBeCloseTo(2 * 28 * 28, 3);
  });
  test('out by d and in by d again gives the outline back, and every place is d away', () => {
    const wedge = fc.tuple(
      fc.integer({ min: 30, max: 90 }),
      fc.integer({ min: 30, max: 90 }),
      fc.integer({ min: -15, max: 15 }),
      fc.integer({ min: 1, max: 12 }),
    );
    fc.assert(
      fc.property(wedge, ([width, height, lean, by]) => {
        const outline: Path = [
          { kind: 'line', from: { x: 0, y: 0 }, to: { x: width, y: 0 } },
          { kind: 'arc', from: { x: width, y: 0 }, to: { x: width + lean, y: height }, bulge: 0.3 },
          { kind: 'line', from: { x: width + lean, y: height }, to: { x: lean, y: height } },
          { kind: 'line', from: { x: lean, y: height }, to: { x: 0, y: 0 } },
        ];
        const out = offsetOutline(outline, by);
        expect(out).toHaveLength(1);
        const near = (p: Point): number => Math.min(...outline.map((curve) => nearestOnCurve(curve, p).distance));
        for (const curve of out[0]!) expect(near(curvePoint(curve, 0.5))).toBeGreaterThanOrEqual(by - 1e-3);
        expect(area(offsetOutline(out[0]!, -by))).toBeCloseTo(pathSignedArea(outline), 1);
      }),
      { numRuns: 30 },
    );
  });
  test('outlines of any cubics moved out are there, everywhere as far off as asked and nowhere nearer', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    const outline = fc
      .array(fc.tuple(share, share, share, share), { minLength: 3, maxLength: 7 })
      .map((corners): Path => {
        const places = corners.map(([turn, reach], index) => {
          const angle = (2 * Math.PI * (index + 0.6 * turn)) / corners.length,
            radius = 30 + 60 * reach;
          return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
        });
        return places.map((from, index): Curve => {
          const to = places[(index + 1) % places.length]!,
            [, , a, b] = corners[index]!;
          if (a < 0.25) return { kind: 'line', from, to };
          const [x, y] = [to.x - from.x, to.y - from.y];
          const beside = (t: number, by: number): Point => ({ x: from.x + t * x + by * y, y: from.y + t * y - by * x });
          return {
            kind: 'cubic',
            from,
            to,
            control1: beside(0.33, (a - 0.5) * 0.7),
            control2: beside(0.67, (b - 0.5) * 0.7),
          };
        });
      })
      .filter((path) => selfCrossings(path, 0.01, true, 1).length === 0);
    fc.assert(
      fc.property(outline, fc.constantFrom(0.5, 3, 10), (path, by) => {
        const out = offsetOutline(path, by, 'round');
        const toPath = (p: Point): number => Math.min(...path.map((curve) => nearestOnCurve(curve, p).distance));
        for (const t of [0.3, 0.5, 0.9])
          for (const curve of out.flat()) expect(Math.abs(toPath(curvePoint(curve, t)) - by)).toBeLessThan(0.02);
        // What lies a little nearer than the distance is all within.
        const rings = out.map((loop) => flattenClosedPath(loop, 1e-3));
        for (const curve of path) {
          const { x, y } = curveTangent(curve, 0.5),
            near = (0.9 * by) / Math.hypot(x, y);
          const middle = curvePoint(curve, 0.5),
            p = { x: middle.x + y * near, y: middle.y - x * near };
          expect(rings.some((ring) => isInside(p, ring))).toBe(true);
        }
      }),
      { numRuns: oracleRuns(60) },
    );
  }, 600_000);
  test('a smooth tip of cubics keeps its distance within a hundredth of a millimetre', () => {
    const tip: Path = [
      { kind: 'line', from: { x: 0, y: 0 }, to: { x: 60, y: 0 } },
      {
        kind: 'cubic',
        from: { x: 60, y: 0 },
        control1: { x: 100, y: 0 },
        control2: { x: 100, y: 50 },
        to: { x: 60, y: 50 },
      },
      { kind: 'line', from: { x: 60, y: 50 }, to: { x: 0, y: 50 } },
      { kind: 'line', from: { x: 0, y: 50 }, to: { x: 0, y: 0 } },
    ];
    const [loop] = offsetOutline(tip, 6);
    for (const curve of loop!.filter(({ kind }) => kind === 'cubic'))
      for (const t of [0.2, 0.5, 0.8])
        expect(Math.abs(nearestOnCurve(tip[1]!, curvePoint(curve, t)).distance - 6)).toBeLessThan(0.01);
    expect(loop!.filter(({ kind }) => kind === 'cubic').length).toBeGreaterThan(0);
  });
});
