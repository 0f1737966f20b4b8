import fc from 'fast-check';
import { hangInRows } from './hang-in-rows.ts';

test('things hung in rows never overlap and keep their gaps', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ width: fc.integer({ min: 1, max: 900 }), height: fc.integer({ min: 1, max: 900 }) }), {
        maxLength: 12,
      }),
      (things) => {
        const origins = hangInRows(things, 40, 70);
        expect(origins).toHaveLength(things.length);
        origins.forEach((a, i) =>
          origins.slice(i + 1).forEach((b, j) => {
            const [p, q] = [things[i]!, things[i + 1 + j]!];
            const apartX = Math.max(b.x - (a.x + p.width), a.x - (b.x + q.width)),
              apartY = Math.max(b.y - (a.y + p.height), a.y - (b.y + q.height));
            expect(apartX >= 40 - 1e-9 || apartY >= 70 - 1e-9).toBe(true);
          }),
        );
        for (const { y } of origins) expect(y).toBeLessThan(0);
      },
    ),
  );
});
test('two boards stand one above the other, where they show larger than abreast', () =>
  expect(
    hangInRows(
      [
        { width: 700, height: 500 },
        { width: 700, height: 500 },
      ],
      40,
      70,
    ).map(({ x }) => x),
  ).toEqual([0, 0]));
