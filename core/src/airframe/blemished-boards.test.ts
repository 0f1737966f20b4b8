import { airframeOf, foam, plate } from '../../test/samples.ts';

import { distanceToEdge, isInside } from '../geometry/index.ts';
import { blemishesOn, blemishRing, markedApart, type Board } from '../stock/index.ts';
import { cutBoard, restsOf } from './cut-boards.ts';
import { boardViews, quickNest } from './nest-airframe.ts';

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
  const { rests } = cutBoard(nested, 0, restsOf(view!, 2, 80), () => 'r')!;
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
