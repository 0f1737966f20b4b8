import fc from 'fast-check';
import { foam } from '../../test/samples.ts';
import { worded } from '../units/index.ts';
import { polygonArea } from '../geometry/index.ts';
import { boardName, changedBoard } from './board-name.ts';
import { offcutShape } from './offcut.ts';
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

describe('an offcut', () => {
  const corner = fc.record({ x: fc.integer({ min: -400, max: 400 }), y: fc.integer({ min: -400, max: 400 }) });
  test('of any triangle keeps its area, lies in the corner of its own rectangle, and runs round counter-clockwise', () => {
    fc.assert(
      fc.property(corner, corner, corner, (a, b, c) => {
        const twice = (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
        fc.pre(Math.abs(twice) > 2000);
        const shape = offcutShape([a, b, c]);
        const [xs, ys] = [
          [a.x, b.x, c.x],
          [a.y, b.y, c.y],
        ].map((all) => Math.max(...all) - Math.min(...all)) as [number, number];
        if (Math.min(xs, ys) < 10) return expect(shape.ok).toBe(false);
        if (!shape.ok) throw new Error(shape.message);
        expect([shape.widthMm, shape.heightMm]).toEqual([xs, ys]);
        expect(polygonArea(shape.outline!)).toBeCloseTo(Math.abs(twice) / 2, 6);
        const [p, q, r] = shape.outline! as [typeof a, typeof a, typeof a];
        expect((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)).toBeGreaterThan(0);
        expect(Math.min(p.x, q.x, r.x)).toBe(0);
        expect(Math.min(p.y, q.y, r.y)).toBe(0);
      }),
    );
  });
  test('that is a square rectangle needs no outline, whichever way it was told', () => {
    expect(
      offcutShape([
        { x: 5, y: 60 },
        { x: 205, y: 60 },
        { x: 205, y: 10 },
        { x: 5, y: 10 },
      ]),
    ).toEqual({ ok: true, widthMm: 200, heightMm: 50 });
  });
  test.each([
    [
      'two corners',
      [
        [0, 0],
        [90, 0],
      ],
      'three corners at least',
    ],
    [
      'a bow tie',
      [
        [0, 0],
        [100, 100],
        [100, 0],
        [0, 100],
      ],
      'crosses itself at (50.0, 50.0)',
    ],
    [
      'a sliver',
      [
        [0, 0],
        [100, 0],
        [100, 4],
      ],
      'this is 100.0 mm by 4.0 mm',
    ],
    [
      'more than a board',
      [
        [0, 0],
        [20_000, 0],
        [0, 500],
      ],
      'to 10000 mm a side',
    ],
  ] as const)('of %s is none, and says why', (_, corners, words) => {
    const shape = offcutShape(corners.map(([x, y]) => ({ x, y })));
    expect(shape.ok ? '' : worded(shape.message, 'mm')).toContain(words);
  });
});

test('a board that is called by its size is called so when it is measured anew; a typed name stays', () => {
  const board = { ...foam, name: boardName(foam.material, 700, 500, 'mm') };
  expect(board.name).toBe('foam 700 × 500 mm');
  expect(changedBoard(board, { widthMm: 650 }, 'mm').name).toBe('foam 650 × 500 mm');
  expect(changedBoard(board, { widthMm: 762, heightMm: 508 }, 'in').name).toBe('foam 30 × 20 in');
  expect(changedBoard({ ...board, name: 'From the shed' }, { widthMm: 650 }, 'mm').name).toBe('From the shed');
  expect(changedBoard(board, { name: 'Mine' }, 'mm').name).toBe('Mine');
  expect(changedBoard({ ...board, name: 'foam 700 × 500' }, { heightMm: 400 }, 'mm').name).toBe('foam 700 × 400 mm');
});
