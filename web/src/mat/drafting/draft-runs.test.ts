import fc from 'fast-check';
import { arcGeometry, curvePoint, curveTangent, distance, type Curve, type Point } from '@grain-fold/core/geometry';
import { draftFault, type DraftSegment } from '@grain-fold/core/paths';
import { nextRun, shapeDraft, smoothedRuns } from './draft-runs.ts';

const coordinate = fc.integer({ min: -1500, max: 1500 }).map((tenths) => tenths / 10);
const place = fc.record({ x: coordinate, y: coordinate });
const curve = (segment: DraftSegment, from: Point, to: Point): Curve => ({ ...segment, from, to });

test('an arc through a place passes it, one by its radius has it, one that goes on leaves as the run before arrives', () => {
  fc.assert(
    fc.property(place, place, place, fc.double({ min: 1.05, max: 4, noNaN: true }), (before, via, end, share) => {
      const from = { x: 0, y: 0 };
      fc.pre(
        distance(from, end) > 5 && distance(from, via) > 5 && distance(via, end) > 5 && distance(before, from) > 5,
      );
      const run = (arc: Parameters<typeof nextRun>[4]) =>
        curve(nextRun([before, from], [{ kind: 'line' }], end, 'arc', arc), from, end);
      const through = run({ way: 'through', via, radiusMm: 0 });
      if (through.kind === 'arc' && Math.abs(through.bulge) < 20) {
        const { centre, radius } = arcGeometry(through);
        expect(distance(centre, via)).toBeCloseTo(radius, 4);
      }
      const radiusMm = (distance(from, end) / 2) * share;
      const left = run({ way: 'radius', radiusMm }),
        right = run({ way: 'radius', radiusMm: -radiusMm });
      expect(arcGeometry(left as never).radius).toBeCloseTo(radiusMm, 6);
      expect((left as { bulge: number }).bulge).toBeCloseTo(-(right as { bulge: number }).bulge, 9);
      const on = run({ way: 'touching', radiusMm: 0 });
      const tangent = curveTangent(on, 0),
        turn = tangent.x * -before.y - tangent.y * -before.x;
      if (on.kind === 'arc' && Math.abs(on.bulge) < 20)
        expect(Math.abs(turn) / (Math.hypot(tangent.x, tangent.y) * Math.hypot(before.x, before.y))).toBeLessThan(1e-6);
    }),
  );
});

test('smooth runs pass every point given and go on without a corner, from the run before too', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 50, y: 0 },
    { x: 90, y: 30 },
    { x: 100, y: 80 },
  ];
  const cubic = { kind: 'cubic', control1: { x: 0, y: 0 }, control2: { x: 0, y: 0 } } as const;
  const runs = smoothedRuns(points, [{ kind: 'line' }, cubic, cubic], false);
  expect(runs[0]).toEqual({ kind: 'line' });
  const curves = runs.map((run, index) => curve(run, points[index]!, points[index + 1]!));
  const unit = ({ x, y }: Point): Point => ({ x: x / Math.hypot(x, y), y: y / Math.hypot(x, y) });
  for (const joint of [0, 1]) {
    const leaving = unit(curveTangent(curves[joint]!, 1)),
      going = unit(curveTangent(curves[joint + 1]!, 0));
    expect(distance(leaving, going)).toBeLessThan(1e-6);
  }
  expect(curvePoint(curves[2]!, 1)).toEqual(points[3]);
});

test('a shape by two places is a sound path whichever way they lie, and none while they are one', () => {
  const area = (points: readonly Point[]): number =>
    points.reduce((sum, p, index) => {
      const q = points[(index + 1) % points.length]!;
      return sum + (p.x * q.y - q.x * p.y) / 2;
    }, 0);
  fc.assert(
    fc.property(place, place, (first, second) => {
      fc.pre(Math.abs(first.x - second.x) > 0.1 && Math.abs(first.y - second.y) > 0.1);
      for (const shape of ['rectangle', 'circle', 'slot'] as const)
        expect(draftFault(shapeDraft(shape, first, second, 6)!)).toBeUndefined();
      expect(Math.abs(area(shapeDraft('rectangle', first, second, 6)!.points))).toBeCloseTo(
        Math.abs((first.x - second.x) * (first.y - second.y)),
        6,
      );
      expect(shapeDraft('rectangle', first, first, 6)).toBeUndefined();
    }),
  );
});
