import { DEFAULT_SETTINGS, type Airframe, type AirframeNest } from '@grain-fold/core/airframe';
import { isBetterNest, isLaidAlike, keepFound, nestFigures, type NestFigures } from './nests-found.ts';

const nest = (...boards: AirframeNest['boards']): AirframeNest => ({
  readHash: '0123456789abcdef',
  seed: 1,
  tried: 1,
  unplaced: [],
  boards,
});
const at = (pieceId: string, x: number) => ({ pieceId, x, y: 3, rotation: 0 });

test('two nests lie alike whichever board or piece is told first, locked or not, to a hundredth of a millimetre', () => {
  const one = nest({ boardId: 'b', placements: [at('p', 3), at('q', 50)] }, { boardId: 'b', placements: [at('r', 9)] });
  const other = nest(
    { boardId: 'b', placements: [{ ...at('r', 9.0001), isLocked: true }] },
    { boardId: 'b', placements: [at('q', 50), at('p', 3)] },
  );
  expect(isLaidAlike(one, other)).toBe(true);
  expect(isLaidAlike(one, nest(...one.boards.slice(0, 1)))).toBe(false);
  expect(
    isLaidAlike(nest({ boardId: 'b', placements: [at('p', 3)] }), nest({ boardId: 'b', placements: [at('p', 3.1)] })),
  ).toBe(false);
});

test('pieces without a place weigh most, then cost, then boards', () => {
  const figures = (unplaced: number, cost: number, effectiveBoards: number): NestFigures => ({
    unplaced,
    cost,
    effectiveBoards,
    boards: 3,
    rest: { width: 0, height: 0 },
  });
  expect(isBetterNest(figures(0, 9, 3), figures(1, 4, 1))).toBe(true);
  expect(isBetterNest(figures(0, 4, 3), figures(0, 9, 1))).toBe(true);
  expect(isBetterNest(figures(0, 4, 1.2), figures(0, 4, 1.3))).toBe(true);
  expect(isBetterNest(figures(0, 4, 1.3), figures(0, 4, 1.3))).toBe(false);
});

test('of each material the largest rest of its dearest boards counts, cut boards count whole', () => {
  const board = (id: string, material: string, price: number) => ({
    id,
    name: id,
    material,
    thicknessMm: 5,
    widthMm: 400,
    heightMm: 200,
    count: 3,
    price,
    grain: 'none' as const,
    gramsPerSquareMetre: 480,
  });
  const airframe: Airframe = {
    id: 'a',
    name: 'A',
    settings: DEFAULT_SETTINGS,
    parts: [],
    boards: [board('foam', 'foam', 4), board('offcut', 'foam', 0), board('ply', 'ply', 1)],
  };
  // No piece is known of, so that every board's rest is the whole of it: one of each material counts for nothing.
  const empty = (boardId: string) => ({ boardId, placements: [] });
  const figures = nestFigures(
    airframe,
    nest(empty('foam'), empty('foam'), empty('offcut'), empty('ply'), {
      ...empty('foam'),
      cutFrom: airframe.boards[0]!,
    }),
  );
  expect(figures).toMatchObject({ unplaced: 0, boards: 5, cost: 13, rest: { width: 400, height: 200 } });
  expect(figures.effectiveBoards).toBeCloseTo(3, 6);
  expect(() => keepFound('a', nest(empty('foam')))).not.toThrow();
});
