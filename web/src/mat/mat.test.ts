import fc from 'fast-check';
import { hangInRows } from './hang-in-rows.ts';
import { gridSteps } from './mat-view.ts';

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

test('grid lines are of the builder’s unit, never closer than 14 pixels, and labelled ones fall on fine ones', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.03, max: 150, noNaN: true }),
      fc.constantFrom<'mm' | 'in'>('mm', 'in'),
      (zoom, unit) => {
        const { fineMm, labelledMm } = gridSteps(unit, zoom);
        expect(fineMm * zoom).toBeGreaterThanOrEqual(14);
        expect(labelledMm / fineMm).toBeCloseTo(Math.round(labelledMm / fineMm), 9);
      },
    ),
  );
  expect(gridSteps('mm', 2.2)).toEqual({ fineMm: 10, labelledMm: 100 });
  expect(gridSteps('in', 2.2)).toEqual({ fineMm: 12.7, labelledMm: 50.8 });
});
