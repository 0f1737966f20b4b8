import { demo } from '../../test/demos.ts';
import { airframeOf, plate } from '../../test/samples.ts';
import { boundsOf, polygonArea } from '../geometry/index.ts';
import type { Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { scrapped } from './as-cut.ts';
import { cutBoard } from './cut-boards.ts';
import { cutListOf } from './figures.ts';
import { nestHash, piecesToNest } from './funnel.ts';
import { boardViews, isNestCurrent, quickNest, searchAirframeNest, type BoardView } from './nest-airframe.ts';

const freshId = (): string => 'rest';
/** An airframe whose first board is cut. */
function cut(airframe: Airframe): Airframe {
  const nested = { ...airframe, nest: quickNest(airframe, 3).nest };
  return cutBoard(nested, 0, [], freshId, '2026-01-02')!.airframe;
}
const viewOf = (airframe: Airframe): BoardView => boardViews(airframe, airframe.nest!)[0]!;
const withPart = (airframe: Airframe, part: Part): Airframe => ({
  ...airframe,
  parts: airframe.parts.map((one) => (one.id === part.id ? part : one)),
});
const base = (): Airframe => airframeOf([{ ...plate(200, 80, 'a'), quantity: 2 }, plate(120, 60, 'b')]);

test('a cut board shows what was cut, whatever becomes of its parts, and says what has changed', () => {
  const airframe = cut(base());
  expect(viewOf(airframe).pieces.map(({ isChanged }) => isChanged)).toEqual([undefined, undefined, undefined]);
  const changed = withPart(airframe, { ...plate(230, 80, 'a'), quantity: 2 });
  const view = viewOf(changed);
  expect(view.pieces.filter(({ isChanged }) => isChanged).map(({ piece }) => piece.id)).toEqual(['a', 'a']);
  for (const { piece, shape } of view.pieces)
    expect(polygonArea(shape.outer)).toBeCloseTo(piece.id === 'a' ? 200 * 80 : 120 * 60, 2);
  // Nothing of it is nested again by itself, and a part that is gone is still on the board it was cut from.
  expect(piecesToNest(changed)).toEqual([]);
  const gone = { ...changed, parts: changed.parts.filter(({ id }) => id !== 'b') };
  expect(
    viewOf(gone)
      .pieces.map(({ piece }) => piece.part.name)
      .sort(),
  ).toEqual(view.pieces.map(({ piece }) => piece.part.name).sort());
  const otherFoam = withPart(airframe, { ...plate(120, 60, 'b'), material: 'balsa' });
  expect(
    viewOf(otherFoam)
      .pieces.filter(({ isChanged }) => isChanged)
      .map(({ piece }) => piece.id),
  ).toEqual(['b']);
});

test('what a knife does not follow is no change: a tenth of a millimetre is, and more than that', () => {
  const airframe = cut(base());
  const changedBy = (mm: number): boolean =>
    viewOf(withPart(airframe, plate(120 + mm, 60, 'b'))).pieces.some(({ isChanged }) => isChanged);
  expect([0, 0.05, 0.09, 0.11, 1].map(changedBy)).toEqual([false, false, false, true, true]);
  // At another scale everything is another piece than was cut.
  const larger = { ...airframe, settings: { ...airframe.settings, scale: 1.1 } };
  expect(viewOf(larger).pieces.every(({ isChanged }) => isChanged)).toBe(
    larger.parts.every(({ sizing }) => sizing !== 'fixed'),
  );
});

test('what came to nothing is nested again, once for each, and is counted as cut again when it is good after all', () => {
  const airframe = cut(base());
  const spoilt = viewOf(airframe).pieces.flatMap(({ piece, placed }) => (piece.id === 'a' ? [placed] : []));
  const one = { ...airframe, nest: scrapped(airframe.nest!, spoilt.slice(0, 1), true) };
  expect(piecesToNest(one).map(({ id, quantity }) => [id, quantity])).toEqual([['a', 1]]);
  expect(isNestCurrent(one)).toBe(false);
  const good = { ...one, nest: scrapped(one.nest, one.nest.boards[0]!.placements, false) };
  expect(good.nest).toEqual(airframe.nest);
  expect(isNestCurrent(good)).toBe(true);
  const both = { ...airframe, nest: scrapped(airframe.nest!, spoilt, true) };
  const { nest } = searchAirframeNest(both, 1, {}).next().value;
  expect(nest.boards).toHaveLength(2);
  expect(nest.boards[0]).toEqual(both.nest.boards[0]);
  expect(nest.boards[1]!.placements.map(({ pieceId }) => pieceId)).toEqual(['a', 'a']);
  // The cut list names what is good, each where it was cut from.
  const now = { ...both, nest },
    list = cutListOf({ ...now, nest: { ...nest, readHash: nestHash(now) } });
  expect(list.boards.map(({ parts }) => parts.map(({ part, quantity }) => [part.id, quantity]))).toEqual([
    [['b', 1]],
    [['a', 2]],
  ]);
  // A board that is not cut has nothing that came to nothing.
  expect(scrapped(nest, nest.boards[1]!.placements, true)).toEqual(nest);
});

test('on a board whose pieces were not kept, one of a part that is gone does not shift which is spoilt', () => {
  const { nest, ...rest } = cut(base());
  const [{ cutPieces: _kept, ...board }] = nest!.boards as [NonNullable<typeof nest>['boards'][number]];
  const placements = board.placements.toSorted((one, other) => (one.pieceId < other.pieceId ? 1 : -1));
  const gone = {
    ...rest,
    parts: rest.parts.filter(({ id }) => id !== 'b'),
    nest: { ...nest!, boards: [{ ...board, placements }] },
  };
  const [first] = viewOf(gone).pieces;
  const after = scrapped(gone.nest, [first!.placed], true);
  expect(after.boards[0]!.placements.map(({ pieceId, isScrap }) => [pieceId, isScrap])).toEqual([
    ['b', undefined],
    ['a', true],
    ['a', undefined],
  ]);
});

test.each(['reedling-1100', 'saltbox-36'] as const)(
  'every piece of %s, curved, holed and of both hands, is the same as it was cut',
  (name) => {
    let airframe = demo(name);
    const { nest } = airframe;
    nest!.boards.forEach((_, at) => {
      airframe = cutBoard(airframe, at, [], () => `rest${at}`, '2026-01-02')?.airframe ?? airframe;
    });
    const views = boardViews(airframe, airframe.nest!);
    expect(views.every(({ isCut }) => isCut)).toBe(true);
    expect(views.flatMap(({ pieces }) => pieces).filter(({ isChanged }) => isChanged)).toEqual([]);
    // As it was cut it is where it was.
    const bare = { ...airframe, parts: [] };
    boardViews(bare, bare.nest!).forEach(({ pieces }, board) =>
      pieces.forEach(({ shape }, index) => {
        const [now, then] = [boundsOf(shape.outer), boundsOf(views[board]!.pieces[index]!.shape.outer)];
        for (const side of ['minX', 'maxX', 'minY', 'maxY'] as const) expect(now[side]).toBeCloseTo(then[side], 1);
      }),
    );
  },
);
