import { airframeOf, foam, plate } from '../../test/samples.ts';

import { distanceToEdge, isInside } from '../geometry/index.ts';
import { blemishesOn, blemishRing, markedApart, type Board } from '../stock/index.ts';
import { cutBoard, restsOf } from './cut-boards.ts';
import { mayBeCutFrom, withPartOnCleanBoards, type Airframe } from './airframe.ts';
import { sentTo, swapped } from './by-hand.ts';
import { boardViews, isNestCurrent, quickNest, searchAirframeNest } from './nest-airframe.ts';
import { placeFaults } from './place-faults.ts';

const dent = { x: 350, y: 250, radiusMm: 30 };

test('the ring round a blemish holds all of it, and hardly more', () => {
  for (const { x, y } of blemishRing(dent)) expect(Math.hypot(x - 350, y - 250)).toBeLessThan(30.2);
  for (let degrees = 0; degrees < 360; degrees += 7)
    expect(
      isInside(
        { x: 350 + 29.99 * Math.cos(degrees / 57.3), y: 250 + 29.99 * Math.sin(degrees / 57.3) },
        blemishRing(dent),
      ),
    ).toBe(true);
});

test.each<Board['grain']>(['width', 'height'])('no piece is nested on a dent, boards upright or not: %s', (grain) => {
  const airframe = airframeOf(
    ['a', 'b', 'c', 'd', 'e', 'f'].map((id) => plate(220, 150, id)),
    { boards: [{ ...foam, grain, count: 3, blemishes: [dent, { x: 0, y: 0, radiusMm: 40 }] }] },
  );
  const { nest } = quickNest(airframe, 9);
  expect(nest.unplaced).toEqual([]);
  for (const { pieces } of boardViews(airframe, nest)) {
    for (const { shape } of pieces) {
      expect(isInside(dent, shape.outer)).toBe(false);
      // The margin is kept from the dent as from an edge.
      expect(distanceToEdge(dent, shape.outer)).toBeGreaterThan(30 + 3 - 0.02);
      expect(distanceToEdge({ x: 0, y: 0 }, shape.outer)).toBeGreaterThan(43 - 0.02);
    }
  }
});

test('a rest takes the dents with it that lie on it, from its own corner', () => {
  expect(
    blemishesOn([dent, { x: 40, y: 40, radiusMm: 5 }], { x: 300, y: 200 }, { widthMm: 200, heightMm: 100 }),
  ).toEqual([{ x: 50, y: 50, radiusMm: 30 }]);
  // One whose edge just reaches over the side counts.
  expect(
    blemishesOn([{ x: 295, y: 250, radiusMm: 6 }], { x: 300, y: 200 }, { widthMm: 200, heightMm: 100 }),
  ).toHaveLength(1);
  expect(
    blemishesOn([{ x: 294, y: 250, radiusMm: 6 }], { x: 300, y: 200 }, { widthMm: 200, heightMm: 100 }),
  ).toHaveLength(0);
  const airframe = airframeOf([plate(300, 490, 'a')], {
    boards: [{ ...foam, count: 1, blemishes: [{ x: 600, y: 100, radiusMm: 20 }] }],
  });
  const nested = { ...airframe, nest: quickNest(airframe).nest };
  const [view] = boardViews(nested, nested.nest);
  expect(restsOf(view!, 2, 80)).toHaveLength(1);
  const { rests } = cutBoard(nested, 0, restsOf(view!, 2, 80), () => 'r', '2026-01-02')!;
  expect(rests[0]!.blemishes).toHaveLength(1);
  const [{ x, y }] = rests[0]!.blemishes! as unknown as [{ x: number; y: number }];
  expect(y).toBeCloseTo(100, 6);
  expect(x).toBeCloseTo(600 - (700 - rests[0]!.widthMm), 6);
});

test('of five boards the dented one is a kind of its own; its mark taken off, it is sound again', () => {
  const boards = markedApart([foam], foam, [dent], 'b9');
  expect(boards.map(({ id, count, blemishes }) => [id, count, blemishes?.length ?? 0])).toEqual([
    ['b1', 4, 0],
    ['b9', 1, 1],
  ]);
  const again = markedApart(boards, boards[1]!, [], 'b10');
  expect(again[1]).not.toHaveProperty('blemishes');
  expect(again).toHaveLength(2);
});

describe('a part that is kept to clean boards', () => {
  /** Two plates that fill half a board each, one board dented and free, one clean and dear. */
  const airframe = (clean: number, onCleanBoards: readonly string[]): Airframe => {
    const base = airframeOf([plate(340, 480, 'skin'), plate(330, 470, 'rib')], {
      boards: [
        { ...foam, id: 'marked', count: 2, price: 0, blemishes: [{ x: 5, y: 495, radiusMm: 4 }] },
        { ...foam, id: 'clean', count: clean, price: 4 },
      ],
    });
    return { ...base, settings: { ...base.settings, nest: { ...base.settings.nest, onCleanBoards } } };
  };
  const boardOf = (nest: NonNullable<Airframe['nest']>, pieceId: string): string | undefined =>
    nest.boards.find(({ placements }) => placements.some((placed) => placed.pieceId === pieceId))?.boardId;

  test('lies on one, though the marked board has room and costs nothing', () => {
    const free = quickNest(airframe(1, []), 6).nest,
      kept = quickNest(airframe(1, ['skin']), 6).nest;
    expect([boardOf(free, 'skin'), boardOf(free, 'rib')]).toEqual(['marked', 'marked']);
    expect(boardOf(kept, 'skin')).toBe('clean');
    expect(isNestCurrent({ ...airframe(1, ['skin']), nest: free })).toBe(false);
  });

  test('lies on it beside what is locked there, and a lock on a marked board does not hold it', () => {
    const it = airframe(1, ['skin']);
    const onClean: Airframe['nest'] = {
      ...quickNest(it, 1).nest,
      boards: [{ boardId: 'clean', placements: [{ pieceId: 'rib', x: 360, y: 10, rotation: 0, isLocked: true }] }],
    };
    const nested = (nest: Airframe['nest']): NonNullable<Airframe['nest']> => {
      const search = searchAirframeNest({ ...it, nest }, 1, {});
      return Array.from({ length: 12 }, () => search.next().value).at(-1)!.nest;
    };
    expect(boardOf(nested(onClean), 'skin')).toBe('clean');
    const wrong = {
      ...onClean,
      boards: [{ boardId: 'marked', placements: [{ pieceId: 'skin', x: 10, y: 10, rotation: 0, isLocked: true }] }],
    };
    expect(boardOf(nested(wrong), 'skin')).toBe('clean');
  });

  test('without one finds no place: what to buy is a clean board, not another marked one', () => {
    const it = airframe(0, ['skin']),
      { nest } = quickNest(it, 3);
    expect(nest.unplaced).toEqual([{ pieceId: 'skin', quantity: 1 }]);
    expect(placeFaults(it, nest)[0]!.mend).toMatchObject({
      action: { name: 'countBoards', boardId: 'clean', count: 1 },
    });
  });

  test('is neither sent to a marked board by hand nor exchanged onto one', () => {
    const it = airframe(1, ['skin']),
      nest: NonNullable<Airframe['nest']> = {
        ...quickNest(it, 1).nest,
        boards: [
          { boardId: 'marked', placements: [{ pieceId: 'rib', x: 10, y: 10, rotation: 0 }] },
          { boardId: 'clean', placements: [{ pieceId: 'skin', x: 10, y: 10, rotation: 0 }] },
        ],
      },
      views = boardViews(it, nest),
      at = (pieceId: string) => {
        const board = nest.boards.findIndex(({ placements }) => placements.some((one) => one.pieceId === pieceId));
        return { board, index: 0 };
      };
    const words = 'skin is kept to clean boards; board';
    for (const done of [
      sentTo(it, views, nest, at('skin'), at('rib').board),
      swapped(it, views, nest, at('skin'), at('rib')),
    ])
      expect(done).toMatchObject({ ok: false, message: expect.stringContaining(words) });
    expect(sentTo(it, views, nest, at('rib'), at('skin').board)).toMatchObject({ ok: true });
  });

  test('is noted once, in order, and not at all when the last is let go; an offcut is not clean', () => {
    const { nest } = airframe(1, []).settings;
    const two = withPartOnCleanBoards(withPartOnCleanBoards(nest, 'skin', true), 'rib', true);
    expect(withPartOnCleanBoards(two, 'rib', true).onCleanBoards).toEqual(['rib', 'skin']);
    const none = withPartOnCleanBoards(withPartOnCleanBoards(two, 'rib', false), 'skin', false);
    expect(none).not.toHaveProperty('onCleanBoards');
    const corner = [
      { x: 0, y: 0 },
      { x: 90, y: 0 },
      { x: 0, y: 90 },
    ];
    expect(mayBeCutFrom(airframe(1, ['skin']), 'skin', { ...foam, outline: corner })).toBe(false);
    expect(mayBeCutFrom(airframe(1, ['skin']), 'rib', { ...foam, outline: corner })).toBe(true);
  });
});
