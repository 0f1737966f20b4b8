import fc from 'fast-check';
import { curvePoint, curveTangent, flattenCurve, type Curve } from './curve.ts';
import { fitCurves } from './fit-path.ts';
import { nearestOnPath, pathLength } from './path.ts';
import { distance, type Point } from './point.ts';
import { smoothCurve } from './smooth-curve.ts';

const number = fc.double({ min: -200, max: 200, noNaN: true });
const second = (curve: Curve, t: number): Point => {
  const h = 1e-4,
    [a, b] = [curveTangent(curve, t + h), curveTangent(curve, t - h)];
  return { x: (a.x - b.x) / (2 * h), y: (a.y - b.y) / (2 * h) };
};

test('a smooth curve goes through its points with one direction and one curvature on both sides', () => {
  const step = fc.tuple(fc.double({ min: 6, max: 120, noNaN: true }), fc.double({ min: 0, max: 6.28, noNaN: true }));
  fc.assert(
    fc.property(fc.array(step, { minLength: 2, maxLength: 8 }), (steps) => {
      const points = steps.reduce<Point[]>(
        (chain, [length, turn]) => [
          ...chain,
          { x: chain.at(-1)!.x + length * Math.cos(turn), y: chain.at(-1)!.y + length * Math.sin(turn) },
        ],
        [{ x: 0, y: 0 }],
      );
      const curves = smoothCurve(points);
      expect([curves[0]!.from, ...curves.map(({ to }) => to)]).toEqual(points);
      curves.slice(1).forEach((after, index) => {
        const before = curves[index]!,
          [h, k] = [distance(before.from, before.to), distance(after.from, after.to)];
        const [u, v] = [curveTangent(before, 1), curveTangent(after, 0)],
          [p, q] = [second(before, 1), second(after, 0)];
        expect(distance({ x: u.x / h, y: u.y / h }, { x: v.x / k, y: v.y / k })).toBeLessThan(1e-9);
        expect(distance({ x: p.x / h ** 2, y: p.y / h ** 2 }, { x: q.x / k ** 2, y: q.y / k ** 2 })).toBeLessThan(1e-4);
      });
    }),
  );
});
test('given directions are kept at its ends; two points alone give a straight run', () => {
  const [curve] = smoothCurve(
    [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
    ],
    { start: { x: 0, y: 1 } },
  );
  expect(curveTangent(curve!, 0)).toMatchObject({ x: expect.closeTo(0, 9), y: expect.closeTo(10, 9) });
  expect(
    pathLength(
      smoothCurve([
        { x: 0, y: 0 },
        { x: 10, y: 0 },
      ]),
    ),
  ).toBeCloseTo(10, 9);
  expect(
    smoothCurve([
      { x: 0, y: 0 },
      { x: 0, y: 0 },
    ]),
  ).toEqual([]);
});
test('many points of a straight run, an arc and a free curve become one run, one arc, few cubics within the tolerance', () => {
  expect(
    fitCurves(
      [0, 1, 2, 3].map((x) => ({ x: x * 20, y: x * 5 })),
      0.01,
    ),
  ).toEqual([{ kind: 'line', from: { x: 0, y: 0 }, to: { x: 60, y: 15 } }]);
  const arc: Curve = { kind: 'arc', from: { x: 0, y: 0 }, to: { x: 80, y: 10 }, bulge: 0.6 };
  const [found] = fitCurves([...flattenCurve(arc, 0.005).map(({ point }) => point), arc.to], 0.02);
  expect(found).toMatchObject({ kind: 'arc', bulge: expect.closeTo(0.6, 2) });
});
test('a chain that runs on past its end along the same circle is not taken for the arc between its ends', () => {
  const around = (degrees: number): Point => ({
    x: 100 * Math.cos((degrees * Math.PI) / 180),
    y: 100 * Math.sin((degrees * Math.PI) / 180),
  });
  const chain = [0, 10, 20, 30, 40, 50, 60, 63, 60].map(around);
  for (const p of chain) expect(nearestOnPath(fitCurves(chain, 0.2), p)!.distance).toBeLessThan(0.2 + 1e-6);
});
test('no point of a chain is further from the fitted curves than the tolerance, and its ends are kept', () => {
  fc.assert(
    fc.property(
      number,
      number,
      number,
      number,
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      (a, b, c, d, tolerance) => {
        const curve: Curve = {
          kind: 'cubic',
          from: { x: 0, y: 0 },
          to: { x: 150, y: 0 },
          control1: { x: a, y: b },
          control2: { x: c, y: d },
        };
        const chain = [...flattenCurve(curve, 0.02).map(({ point }) => point), curve.to];
        const fit = fitCurves(chain, tolerance);
        expect([fit[0]!.from, fit.at(-1)!.to]).toEqual([curve.from, curve.to]);
        for (const p of chain) expect(nearestOnPath(fit, p)!.distance).toBeLessThan(tolerance + 1e-6);
        for (const one of fit) expect(Number.isFinite(curvePoint(one, 0.5).x)).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});
