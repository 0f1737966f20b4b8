import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import {
  applyRigid,
  convexHull,
  cross3,
  dot3,
  length3,
  point3,
  polygonArea,
  STILL,
  subtract3,
  turnAbout,
  composeRigid,
  type Point,
  type Point3,
  type Polygon,
  type RigidMap,
} from '../geometry/index.ts';
import { overlapOf, type CarriedSolid } from './interference.ts';
import type { PlateSolid } from './plate-solid.ts';

const board = (outer: Polygon, thicknessMm: number, holes: readonly Polygon[] = []): PlateSolid => ({
  plate: { index: 0, outer, holes, kind: 'board' },
  bottom: outer,
  top: outer,
  sides: outer.map(() => 'cut' as const),
  holes,
  thicknessMm,
});
const rectangle = (width: number, height: number, x = 0, y = 0): Polygon => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];
const moved = (x: number, y: number, z: number): RigidMap => ({ ...STILL, origin: point3(x, y, z) });
const turned = (degrees: number, about: Point3): RigidMap => turnAbout(point3(0, 0, 0), about, degrees);

const corners = ({ solid, map }: CarriedSolid): readonly Point3[] =>
  solid.plate.outer.flatMap(({ x, y }) => [0, solid.thicknessMm].map((z) => applyRigid(map, point3(x, y, z))));
const edgesOf = ({ solid, map }: CarriedSolid): readonly Point3[] => [
  map.z,
  ...solid.plate.outer.map((p, index) => {
    const q = solid.plate.outer[(index + 1) % solid.plate.outer.length]!;
    return subtract3(applyRigid(map, point3(q.x, q.y, 0)), applyRigid(map, point3(p.x, p.y, 0)));
  }),
];
/**
 * The least way two convex plates must be moved to come apart; 0 or less when they are apart.
 * @source separating axes of convex bodies: the normals of their faces, and the crosses of their edges
 */
function apartBy(a: CarriedSolid, b: CarriedSolid): number {
  const [e, f] = [edgesOf(a), edgesOf(b)];
  const faces = [a, b].flatMap((one) => [
    one.map.z,
    ...edgesOf(one)
      .slice(1)
      .map((edge) => cross3(edge, one.map.z)),
  ]);
  const axes = [...faces, ...e.flatMap((u) => f.map((v) => cross3(u, v)))];
  let least = Infinity;
  for (const axis of axes) {
    const length = length3(axis);
    if (length < 1e-9) continue;
    const along = (one: CarriedSolid): readonly number[] => corners(one).map((p) => dot3(p, axis) / length);
    const [p, q] = [along(a), along(b)];
    least = Math.min(least, Math.max(...p) - Math.min(...q), Math.max(...q) - Math.min(...p));
  }
  return least;
}

const coordinate = fc.integer({ min: -60, max: 60 });
const convexRing = fc
  .array(fc.record({ x: coordinate, y: coordinate }), { minLength: 4, maxLength: 9 })
  .map((points): readonly Point[] => convexHull(points))
  .filter((ring) => ring.length >= 3 && polygonArea(ring) > 200);
/** Places at which sides run flush as often as not. */
const turn = fc.oneof(fc.constantFrom(0, 90, 180, 45, -90), fc.integer({ min: -180, max: 180 }));
const shift = fc.oneof(fc.constantFrom(0, 5, -5, 30), fc.double({ min: -70, max: 70, noNaN: true }));
const carried = fc
  .record({
    ring: fc.oneof(convexRing, fc.constantFrom(rectangle(60, 40), rectangle(30, 60, -30, -5))),
    t: fc.constantFrom(3, 5, 6.2),
    a: turn,
    b: turn,
    x: shift,
    y: shift,
    z: shift,
  })
  .map(({ ring, t, a, b, x, y, z }): CarriedSolid => ({
    solid: board(ring, t),
    map: composeRigid(composeRigid(turned(a, point3(1, 0, 0)), turned(b, point3(0, 0, 1))), moved(x, y, z)),
  }));

test('convex plates: none that are in each other are missed, none that are apart are told', () => {
  fc.assert(
    fc.property(carried, carried, (a, b) => {
      const truth = apartBy(a, b),
        told = overlapOf(a, b);
      expect(told).toBeLessThanOrEqual(Math.max(0.01, truth) + 1e-6);
      if (truth > 0.05) expect(told).toBeGreaterThan(0.01);
      expect(overlapOf(b, a)).toBeCloseTo(told, 6);
    }),
    { numRuns: oracleRuns(2500) },
  );
}, 600_000);

describe('by hand figures', () => {
  const floor = board(rectangle(200, 80), 5);
  const flat: CarriedSolid = { solid: floor, map: STILL };
  const upright = (solid: PlateSolid, map: RigidMap): CarriedSolid => ({
    solid,
    map: composeRigid(turned(90, point3(1, 0, 0)), map),
  });

  test('a bulkhead as wide as the floor, straight through it with both ends flush, is told', () => {
    // It stands across the floor, 5 thick, from 20 below it to 20 above.
    const across = composeRigid(turned(90, point3(1, 0, 0)), turned(90, point3(0, 0, 1)));
    const bulkhead: CarriedSolid = {
      solid: board(rectangle(80, 40), 5),
      map: composeRigid(across, moved(100, 0, -20)),
    };
    expect(overlapOf(flat, bulkhead)).toBeCloseTo(5, 6);
  });
  test('plates that lie flush in each other are told by all of what they share', () => {
    for (const depth of [0.05, 0.5, 2, 5])
      expect(overlapOf(flat, { solid: floor, map: moved(0, 0, 5 - depth) })).toBeCloseTo(depth, 6);
    expect(overlapOf(flat, { solid: floor, map: moved(0, 0, 5) })).toBe(0);
    expect(overlapOf(flat, { solid: floor, map: moved(199.5, 0, 0) })).toBeCloseTo(0.5, 6);
  });
  test('a plate in a slot of exactly its thickness touches it and no more; narrower it presses by the difference', () => {
    for (const [width, told] of [
      [5, 0],
      [5.2, 0],
      [4.8, 0.2],
    ] as const) {
      const slotted = board(rectangle(200, 80), 5, [rectangle(60, width, 50, 30)]);
      // It stands from y = 30 to y = 25 after its turn, then goes up to the slot's upper edge.
      const plate = upright(board(rectangle(60, 40), 5), moved(50, 30 + 5, -10));
      const shared = overlapOf({ solid: slotted, map: STILL }, plate);
      if (told === 0) expect(shared).toBe(0);
      else expect(shared).toBeCloseTo(told, 6);
    }
  });
  test('a leaning plate needs the slot that the trade’s formula gives it, no less and no more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.double({ min: 3, max: 8, noNaN: true }),
        fc.double({ min: -0.6, max: 0.6, noNaN: true }).filter((by) => Math.abs(by) > 0.06),
        (lean, thickness, by) => {
          const [cos, tan] = [Math.cos((lean * Math.PI) / 180), Math.tan((lean * Math.PI) / 180)];
          const width = thickness / cos + 5 * tan + by;
          const slotted = board(rectangle(200, 80), 5, [rectangle(60, width, 50, 40 - width / 2)]);
          // Its middle plane passes the middle of the slot half way through the floor.
          const plate: CarriedSolid = {
            solid: board(rectangle(60, 60, -30, -30), thickness),
            map: composeRigid(
              composeRigid(moved(0, 0, -thickness / 2), turned(90 - lean, point3(1, 0, 0))),
              moved(80, 40, 2.5),
            ),
          };
          const shared = overlapOf({ solid: slotted, map: STILL }, plate);
          if (by > 0) expect(shared).toBeLessThan(0.01);
          else expect(shared).toBeGreaterThan(0.01);
        },
      ),
      { numRuns: oracleRuns(300) },
    );
  });
  test('a post in the bay of a U is apart from it, in its arm it is not', () => {
    const bay: Polygon = [
      [0, 0],
      [60, 0],
      [60, 60],
      [40, 60],
      [40, 20],
      [20, 20],
      [20, 60],
      [0, 60],
    ].map(([x, y]) => ({ x: x!, y: y! }));
    const post = (x: number): CarriedSolid => ({ solid: board(rectangle(20, 20), 30), map: moved(x, 25, -10) });
    const body: CarriedSolid = { solid: board(bay, 5), map: STILL };
    expect(overlapOf(body, post(20))).toBe(0);
    expect(overlapOf(body, post(22))).toBeCloseTo(2, 6);
    expect(overlapOf(body, post(0))).toBeCloseTo(5, 6);
  });
});
