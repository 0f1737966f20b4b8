import fc from 'fast-check';
import { gridSteps } from './mat-view.ts';

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
