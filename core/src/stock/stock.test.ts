import fc from 'fast-check';
import { foam } from '../../test/samples.ts';
import { arealMassOf, materialsOf, thicknessOf } from './board.ts';
import { allowedTurns, mayLieTurned, type GrainRule } from './grain.ts';

test('a part along the grain lies with its direction on the board’s, either way round', () => {
  expect(allowedTurns({ directionDegrees: 0, rule: 'along' }, 'width')).toEqual([0, 180]);
  expect(allowedTurns({ directionDegrees: 0, rule: 'along' }, 'height')).toEqual([90, 270]);
  expect(allowedTurns({ directionDegrees: 0, rule: 'across' }, 'width')).toEqual([90, 270]);
  expect(allowedTurns({ directionDegrees: 30, rule: 'along' }, 'width')).toEqual([150, 330]);
});
test('turned as allowed, the part’s direction is parallel to the grain, or square to it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -360, max: 360 }),
      fc.constantFrom<GrainRule['rule']>('along', 'across'),
      fc.constantFrom<'width' | 'height'>('width', 'height'),
      (directionDegrees, rule, grain) => {
        for (const turn of allowedTurns({ directionDegrees, rule }, grain)) {
          const between = (directionDegrees + turn - (grain === 'width' ? 0 : 90)) * (Math.PI / 180);
          expect(Math.abs(rule === 'along' ? Math.sin(between) : Math.cos(between))).toBeLessThan(1e-9);
          expect(turn).toBeGreaterThanOrEqual(0);
          expect(turn).toBeLessThan(360);
        }
      },
    ),
  );
});
test('without a rule, or without grain, every turn of the step is allowed', () => {
  expect(allowedTurns({ directionDegrees: 10, rule: 'any' }, 'width', 45)).toHaveLength(8);
  expect(allowedTurns({ directionDegrees: 10, rule: 'along' }, 'none', 30)).toHaveLength(12);
});
test('a material is figured with the first board of it', () => {
  const boards = [{ ...foam, material: 'ply', thicknessMm: 3 }, foam, { ...foam, id: 'b2', thicknessMm: 6 }];
  expect(thicknessOf('foam', boards)).toBe(5);
  expect(arealMassOf('foam', boards)).toBe(480);
  expect(thicknessOf('balsa', boards)).toBeUndefined();
  expect(materialsOf(boards)).toEqual(['ply', 'foam']);
});

test('a part that no rule holds may be laid at any angle by hand, one that is held only along its grain', () => {
  const along: GrainRule = { directionDegrees: 30, rule: 'along' };
  expect([0, 30, 150, 330, -30, 690].map((turn) => mayLieTurned(along, 'width', turn))).toEqual([
    false,
    false,
    true,
    true,
    true,
    true,
  ]);
  expect(mayLieTurned(along, 'none', 17)).toBe(true);
  expect(mayLieTurned({ directionDegrees: 0, rule: 'any' }, 'height', 17)).toBe(true);
});
