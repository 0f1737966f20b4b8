import fc from 'fast-check';
import {
  curvePoint,
  distance,
  flattenOpenPath,
  offsetOutline,
  pathLength,
  type Path,
  type Point,
} from '../geometry/index.ts';
import {
  cornerCut,
  curvesOf,
  cutCorner,
  extensionOf,
  joinPaths,
  offsetPath,
  pathFromDraft,
  polygonDraft,
  polylineDraft,
  simplifiedPath,
  splitPath,
  splitSegment,
  trimPath,
  uncrossedPath,
  type DrawnPath,
  type PathIds,
  type PathShape,
} from './index.ts';
import { worded } from '../units/index.ts';

const freshIds = (): PathIds & { next(prefix: string): string } => {
  let last = 0;
  return { next: (prefix) => `${prefix}${++last}` };
};
const made = (path: DrawnPath, shape: PathShape): DrawnPath => ({ ...path, ...shape });
/** Places along a path, close enough together to measure by. */
const dotsOf = (curves: Path): readonly Point[] =>
  curves.flatMap((curve) => Array.from({ length: 41 }, (_, step) => curvePoint(curve, step / 40)));
const farthest = (from: Path, to: Path): number => {
  const others = dotsOf(to);
  return Math.max(...dotsOf(from).map((dot) => Math.min(...others.map((other) => distance(dot, other)))));
};

const place = fc.record({ x: fc.integer({ min: -300, max: 300 }), y: fc.integer({ min: -300, max: 300 }) });
/** Open paths of straight runs and arcs, no two neighbouring points on each other. */
const openPath = fc
  .array(fc.tuple(place, fc.constantFrom(0, 0.3, -0.8, 1)), { minLength: 3, maxLength: 8 })
  .filter((points) => points.every(([p], index) => index === 0 || distance(p, points[index - 1]![0]) > 5))
  .map((points) => {
    const ids = freshIds();
    const draft = polylineDraft(points.map(([p]) => p));
    const segments = draft.segments.map((segment, index) =>
      points[index]![1] === 0 ? segment : { kind: 'arc' as const, bulge: points[index]![1] },
    );
    return { path: pathFromDraft({ ...draft, segments }, ids, 'l'), ids };
  });

describe('edits of a path keep its shape where they do not mean to change it', () => {
  test('a point put on a segment lies on the path, and lengths and ids stay', () => {
    fc.assert(
      fc.property(openPath, fc.double({ min: 0.01, max: 0.99, noNaN: true }), fc.nat(), ({ path, ids }, t, at) => {
        const index = at % path.segments.length;
        const after = made(path, splitSegment(path, index, t, ids));
        expect(pathLength(curvesOf(after))).toBeCloseTo(pathLength(curvesOf(path)), 6);
        expect(distance(after.nodes[index + 1]!, curvePoint(curvesOf(path)[index]!, t))).toBeLessThan(1e-6);
        expect(after.segments[index]!.id).toBe(path.segments[index]!.id);
      }),
    );
  });
  test('what was split is joined again to the same path, whichever piece comes first', () => {
    fc.assert(
      fc.property(openPath, fc.nat(), fc.boolean(), ({ path, ids }, at, swapped) => {
        const index = 1 + (at % (path.nodes.length - 2));
        const halves = splitPath(path, index, ids).map((shape) => made(path, shape));
        const [first, second] = swapped ? [halves[1]!, halves[0]!] : [halves[0]!, halves[1]!];
        const { gapMm, ...shape } = joinPaths(first, second);
        expect(gapMm).toBeLessThan(1e-9);
        expect(pathLength(curvesOf(made(path, shape)))).toBeCloseTo(pathLength(curvesOf(path)), 6);
      }),
    );
  });
  test('a simplified path is nowhere further from the old one than the tolerance', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.integer({ min: 20, max: 120 }),
        (tolerance, count) => {
          const points = Array.from({ length: count }, (_, index) => {
            const x = (400 * index) / (count - 1);
            return { x, y: 40 * Math.sin(x / 60) };
          });
          const ids = freshIds();
          const path = pathFromDraft(polylineDraft(points), ids, 'l');
          const after = made(
            path,
            simplifiedPath(path, tolerance, () => false, ids),
          );
          expect(after.segments.length).toBeLessThanOrEqual(path.segments.length);
          const before = flattenOpenPath(curvesOf(path), 0.01);
          // Measured straight up: at the steepest the sine rises by 40/60, which makes that 1.2 times the true distance.
          const most = tolerance * Math.hypot(1, 40 / 60);
          for (const { x, y } of dotsOf(curvesOf(after))) {
            const at = before.findIndex((one) => one.x >= x - 1e-9);
            const [a, b] = [before[Math.max(0, at - 1)]!, before[Math.max(0, at)]!];
            const chord = a.x === b.x ? a.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
            expect(Math.abs(y - chord)).toBeLessThan(most + 1e-6);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('edits by hand figures', () => {
  const line = (...points: (readonly [number, number])[]): DrawnPath =>
    pathFromDraft(polylineDraft(points.map(([x, y]) => ({ x, y }))), freshIds(), 'l');
  const closed = (...points: (readonly [number, number])[]): DrawnPath =>
    pathFromDraft(polygonDraft(points.map(([x, y]) => ({ x, y }))), freshIds(), 'l');
  const upright = (x: number): Path => [{ kind: 'line', from: { x, y: -50 }, to: { x, y: 50 } }];
  const ends = (shape: PathShape | undefined): readonly number[] | undefined => shape?.nodes.map(({ x }) => x);

  test('the middle between two lines is trimmed away, or an end up to the first', () => {
    const path = line([0, 0], [100, 0]);
    const others = [...upright(30), ...upright(70)];
    const middle = trimPath(path, 0, 0.5, others, freshIds());
    expect([ends(middle.head), ends(middle.tail)]).toEqual([
      [0, 30],
      [70, 100],
    ]);
    const end = trimPath(path, 0, 0.9, others, freshIds());
    expect([ends(end.head), ends(end.tail)]).toEqual([[0, 70], undefined]);
    expect(trimPath(path, 0, 0.5, upright(200), freshIds())).toEqual({ meets: false });
  });
  test('an end runs on to the nearest line ahead of it, and never to one behind', () => {
    const path = line([0, 0], [100, 0]);
    const others = [...upright(180), ...upright(140), ...upright(-20)];
    expect(extensionOf(path, 'end', others, 1000)!.at.x).toBeCloseTo(140, 9);
    expect(extensionOf(path, 'start', others, 1000)!.at.x).toBeCloseTo(-20, 9);
    expect(extensionOf(path, 'end', others, 30)).toBeUndefined();
  });
  test('a corner of 60° rounded by 10 mm starts 17.32 mm from its point', () => {
    const path = line([100, 0], [0, 0], [50, 50 * Math.sqrt(3)]);
    const cut = cornerCut(path, 1, 'round', 10);
    if (typeof cut === 'string') throw new Error(cut);
    expect(cut.before.x).toBeCloseTo(17.3205, 4);
    const arc = curvesOf(made(path, cutCorner(path, cut, freshIds())))[1]!;
    // Its middle lies 10 mm from the centre, which stands 20 mm from the corner on the bisector.
    const centre = { x: 20 * Math.cos(Math.PI / 6), y: 20 * Math.sin(Math.PI / 6) };
    expect(distance(curvePoint(arc, 0.5), centre)).toBeCloseTo(10, 6);
    expect(worded(String(cornerCut(path, 1, 'round', 60)), 'mm')).toContain('at most 57.7 mm fits');
    expect(cornerCut(path, 0, 'round', 5)).toContain('no corner');
  });
  test('a square moved out by 5 keeps its edges’ ids, whichever way it runs', () => {
    for (const path of [closed([0, 0], [40, 0], [40, 40], [0, 40]), closed([0, 0], [0, 40], [40, 40], [40, 0])]) {
      const [loop] = offsetOutline(curvesOf(path), 5, 'sharp');
      const after = made(path, offsetPath(path, loop!, 5, freshIds()));
      expect(after.segments.map(({ id }) => id).sort()).toEqual(path.segments.map(({ id }) => id).sort());
      for (const [index, segment] of path.segments.entries()) {
        const moved = curvesOf(after)[after.segments.findIndex(({ id }) => id === segment.id)]!;
        expect(distance(curvePoint(moved, 0.5), curvePoint(curvesOf(path)[index]!, 0.5))).toBeCloseTo(5, 6);
      }
    }
  });
  test('a crossed outline loses its smaller loop', () => {
    // Two triangles that meet in (60, 20): 40 high on the left, 20 high on the right.
    const after = uncrossedPath(closed([0, 0], [90, 30], [90, 10], [0, 40]), freshIds())!;
    expect(
      farthest(curvesOf(made(closed([0, 0], [1, 0], [1, 1]), after)), curvesOf(closed([0, 0], [60, 20], [0, 40]))),
    ).toBeLessThan(1);
    expect(uncrossedPath(closed([0, 0], [40, 0], [40, 40]), freshIds())).toBeUndefined();
  });
});
