import fc from 'fast-check';
import type { Point, Shape } from '../geometry/index.ts';
import { placementFaults } from './check-layout.ts';
import { FreeRoom } from './free-room.ts';
import type { NestBoard } from './instance.ts';

/** A star whose every second corner is drawn in, about a middle. */
const star = fc
  .tuple(
    fc.integer({ min: 20, max: 60 }),
    fc.integer({ min: 3, max: 9 }),
    fc.double({ min: 0.4, max: 1, noNaN: true }),
    fc.integer({ min: 60, max: 240 }),
    fc.integer({ min: 60, max: 190 }),
  )
  .map(([reach, corners, dent, x, y]): Shape => ({
    holes: [],
    outer: Array.from({ length: corners }, (_, index): Point => {
      const angle = (2 * Math.PI * index) / corners,
        far = reach * (index % 2 === 0 ? 1 : dent);
      return { x: x + far * Math.cos(angle), y: y + far * Math.sin(angle) };
    }),
  }));
const moved = ({ outer, holes }: Shape, by: Point): Shape => {
  const at = (p: Point): Point => ({ x: p.x + by.x, y: p.y + by.y });
  return { outer: outer.map(at), holes: holes.map((ring) => ring.map(at)) };
};
const rectangle = (x: number, y: number, width: number, height: number): Shape => ({
  holes: [],
  outer: [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ],
});
const board: NestBoard = { id: 'b', width: 300, height: 250, count: 1 };
const slanted: NestBoard = {
  ...board,
  polygon: [
    [0, 0],
    [300, 0],
    [300, 140],
    [180, 250],
    [0, 250],
  ],
};

test('a shape slides to the nearest free place: there it has its distances, and no place of a fine grid is nearer', () => {
  fc.assert(
    fc.property(
      star,
      fc.array(star, { minLength: 1, maxLength: 4 }),
      fc.constantFrom(board, slanted),
      fc.constantFrom(0, 2, 7),
      fc.tuple(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 })),
      (shape, others, on, clearanceMm, [x, y]) => {
        const edgeMm = clearanceMm + 1;
        const faultsAt = (by: Point, tolerance: number): number =>
          placementFaults(on, [moved(shape, by), ...others], 0, clearanceMm, edgeMm, tolerance).length;
        const found = new FreeRoom(on, others, clearanceMm, edgeMm).nearest(shape, { x, y }, 80);
        if (found) expect(faultsAt(found, 0.02)).toBe(0);
        const away = found ? Math.hypot(found.x - x, found.y - y) : 80;
        for (let dx = -80; dx <= 80; dx += 8) {
          for (let dy = -80; dy <= 80; dy += 8) {
            // Narrow pockets between two rows may be passed over: a place is to be missed by no more than the rows are apart.
            if (Math.hypot(dx, dy) < away - 6) expect(faultsAt({ x: x + dx, y: y + dy }, -0.5)).toBeGreaterThan(0);
          }
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('along a straight edge a plate slides at the clearance, and a corner it rounds', () => {
  const room = new FreeRoom(board, [rectangle(100, 100, 80, 50)], 2, 3);
  const plate = rectangle(0, 0, 40, 30);
  // Wanted 5 mm into the left side of the other: it comes to lie 2 mm beside it, as high as it was wanted.
  const beside = room.nearest(plate, { x: 65, y: 110 }, 90)!;
  expect(beside.x).toBeCloseTo(100 - 2 - 40, 1);
  expect(beside.y).toBeCloseTo(110, 6);
  // Wanted a little into its upper side.
  const above = room.nearest(plate, { x: 120, y: 146 }, 90)!;
  expect(above.x).toBeCloseTo(120, 6);
  expect(above.y).toBeCloseTo(152, 1);
  // Off the board it is wanted in the lower left: it stops at the margin.
  const corner = room.nearest(plate, { x: -20, y: -33 }, 90)!;
  expect(corner.x).toBeCloseTo(3, 6);
  expect(corner.y).toBeCloseTo(3, 2);
});

test('in a gap that is just wide enough a plate fits, in one a hair too narrow it does not', () => {
  const between = (gap: number): FreeRoom =>
    new FreeRoom(board, [rectangle(3, 3, 100, 244), rectangle(103 + gap, 3, 297 - 103 - gap, 244)], 2, 3);
  const plate = rectangle(0, 0, 40, 30);
  expect(between(44.02).first(plate)).toMatchObject({ x: expect.closeTo(105, 1), y: expect.closeTo(3, 6) });
  expect(between(43.98).first(plate)).toBeUndefined();
});
