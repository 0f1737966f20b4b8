import fc from 'fast-check';
import { paintersOrder, type SeenFace } from './painters-order.ts';

/** A rectangle on the paper whose depth runs as a plane. */
const face = (
  x: number,
  y: number,
  width: number,
  height: number,
  depth: (x: number, y: number) => number,
): SeenFace => ({
  rings: [
    [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ].map(([u, v]) => ({ x: u!, y: v!, depth: depth(u!, v!) })),
  ],
});

test('a long plate that leans under a short one is painted first, though its middle is nearer', () => {
  const long = face(0, 0, 100, 10, (x) => x),
    short = face(10, 2, 10, 6, () => 30);
  // Where both are seen the long one lies at 10 to 20, the short one at 30; the middle of the long one is at 50.
  expect(paintersOrder([long, short])).toEqual([0, 1]);
  expect(paintersOrder([short, long])).toEqual([1, 0]);
});
test('what is seen through a hole covers nothing', () => {
  const framed: SeenFace = {
    rings: [face(0, 0, 100, 100, () => 10).rings[0]!, [...face(20, 20, 60, 60, () => 10).rings[0]!].reverse()],
  };
  const within = face(40, 40, 20, 20, () => 50),
    behind = face(10, 10, 80, 80, () => 0);
  expect(paintersOrder([framed, within, behind]).indexOf(2)).toBeLessThan(
    paintersOrder([framed, within, behind]).indexOf(0),
  );
});
test('level plates are painted by their depth wherever they overlap', () => {
  const plate = fc.tuple(
    fc.integer({ min: 0, max: 60 }),
    fc.integer({ min: 0, max: 60 }),
    fc.integer({ min: 5, max: 40 }),
    fc.integer({ min: 5, max: 40 }),
  );
  fc.assert(
    fc.property(fc.array(plate, { minLength: 2, maxLength: 12 }), (plates) => {
      const order = paintersOrder(plates.map(([x, y, w, h], index) => face(x, y, w, h, () => index)));
      expect([...order].sort((a, b) => a - b)).toEqual(plates.map((_, index) => index));
      plates.forEach(([x, y, w, h], i) =>
        plates.slice(i + 1).forEach(([u, v, p, q], k) => {
          const overlaps = Math.min(x + w, u + p) > Math.max(x, u) && Math.min(y + h, v + q) > Math.max(y, v);
          if (overlaps) expect(order.indexOf(i)).toBeLessThan(order.indexOf(i + 1 + k));
        }),
      );
    }),
  );
});
