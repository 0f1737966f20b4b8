import { airframeOf, foam, plate, polygonPart } from '../../test/samples.ts';
import { boardNumbers } from '../cutting/index.ts';
import type { Part } from '../part/index.ts';
import type { Airframe, AirframeNest } from './airframe.ts';
import { cutBoard } from './cut-boards.ts';
import { cutListOf, slowFigures } from './figures.ts';
import { piecesToNest } from './funnel.ts';
import { boardViews, isNestCurrent, pieceFaults, searchAirframeNest } from './nest-airframe.ts';

const classOf = (sets: number, parts: readonly Part[], count = 40): Airframe => {
  const airframe = airframeOf(parts, { boards: [{ ...foam, count }] });
  return { ...airframe, settings: { ...airframe.settings, nest: { ...airframe.settings.nest, sets } } };
};
function nested(airframe: Airframe, steps: number): Airframe & { readonly nest: AirframeNest } {
  const search = searchAirframeNest(airframe, 2);
  let step = search.next().value,
    last = Infinity;
  while (step.tried < steps) {
    expect(step.score.effectiveBoards).toBeLessThanOrEqual(last);
    last = step.nest.unplaced.length > 0 ? Infinity : step.score.effectiveBoards;
    step = search.next().value;
  }
  return { ...airframe, nest: step.nest };
}
const faultless = (airframe: Airframe & { readonly nest: AirframeNest }): boolean =>
  boardViews(airframe, airframe.nest).every((view) =>
    view.pieces.every(({ placed }, at) => pieceFaults(airframe, view, at, placed).length === 0),
  );
const held = ({ nest }: { readonly nest: AirframeNest }): Readonly<Record<string, number>> => {
  const counts: Record<string, number> = {};
  for (const { placements } of nest.boards)
    for (const { pieceId } of placements) counts[pieceId] = (counts[pieceId] ?? 0) + 1;
  return counts;
};

test('twelve gliders of which two fill a board: six boards, all cut from one drawing, and the list says it once', () => {
  const wing = polygonPart(
    [
      [0, 0],
      [600, 0],
      [560, 150],
      [40, 150],
    ],
    'wing',
  );
  const airframe = nested(classOf(12, [wing, plate(200, 70, 'tail'), plate(70, 60, 'fin')]), 30);
  expect(held(airframe)).toEqual({ wing: 12, tail: 12, fin: 12 });
  expect(airframe.nest.unplaced).toEqual([]);
  expect(faultless(airframe)).toBe(true);
  const views = boardViews(airframe, airframe.nest);
  const drawings = views.filter(({ alikeTo }) => alikeTo === undefined);
  // One wing takes 150 of 494 mm: three lie on a board at most, so that four boards is the least for the wings.
  expect(views.length).toBeLessThanOrEqual(6);
  expect(drawings.length).toBeLessThan(views.length);
  const list = cutListOf(airframe);
  expect(list.parts.map(({ part, quantity }) => [part.id, quantity])).toEqual([
    ['wing', 12],
    ['tail', 12],
    ['fin', 12],
  ]);
  expect(list.boards.filter(({ alikeTo }) => alikeTo === undefined)).toHaveLength(drawings.length);
  expect(slowFigures(airframe)).toMatchObject({ boards: views.length, unplaced: 0, isNested: true });
});

test('where sets that share boards take fewer, they share them', () => {
  // Two plates lie on a board; one set by itself takes a board, three sets two.
  const airframe = nested(classOf(3, [plate(690, 240, 'a')]), 12);
  expect(airframe.nest.boards).toHaveLength(2);
  expect(held(airframe)).toEqual({ a: 3 });
});

test('boards too few for all sets place what they can; one that is cut is there and the rest is nested on', () => {
  const short = nested(classOf(5, [plate(600, 400, 'a')], 3), 6);
  expect(held(short)).toEqual({ a: 3 });
  expect(short.nest.unplaced).toEqual([{ pieceId: 'a', quantity: 2 }]);
  const enough = nested(classOf(4, [plate(600, 400, 'a')]), 6);
  const { airframe } = cutBoard(enough, 1, [], () => 'rest', '2026-01-02')!;
  expect(piecesToNest(airframe).map(({ quantity }) => quantity)).toEqual([3]);
  expect(isNestCurrent(airframe)).toBe(true);
});

test('numbers of boards are drawn together', () => {
  expect(boardNumbers([1, 3, 4, 5, 9, 10])).toBe('1, 3 to 5, 9, 10');
  expect(boardNumbers([])).toBe('');
});
