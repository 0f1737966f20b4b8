import { separation } from '../geometry/index.ts';
import { airframeOf, foam, plate } from '../../test/samples.ts';
import type { Airframe } from './airframe.ts';
import { nestAdvice } from './nest-advice.ts';
import { boardViews, isNestCurrent, quickNest, searchAirframeNest, type BoardView } from './nest-airframe.ts';
import { lyingApart, mateOf, matesFor, withMate } from './side-by-side.ts';
import { piecesOfAirframe } from './funnel.ts';
import { withoutGuest } from './taken-along.ts';

const paired = (airframe: Airframe, first: string, second: string): Airframe => ({
  ...airframe,
  settings: { ...airframe.settings, nest: withMate(airframe.settings.nest, first, second) },
});
const shapesOf = (
  views: readonly BoardView[],
  id: string,
): readonly { board: number; shape: BoardView['pieces'][number]['shape'] }[] =>
  views.flatMap((view) =>
    view.pieces.filter(({ piece }) => piece.id === id).map(({ shape }) => ({ board: view.number, shape })),
  );
const handed = { ...plate(300, 120, 'wing'), handed: 'pair' as const };
const large = ['a', 'b', 'c', 'd'].map((id) => plate(500, 230, id));

test.each(['width', 'height'] as const)(
  'both hands lie a clearance apart on one board, boards upright or not: %s',
  (grain) => {
    const airframe = paired(
      airframeOf([handed, ...large], { boards: [{ ...foam, grain, count: 4 }] }),
      'wing',
      'wing:starboard',
    );
    const { nest } = quickNest(airframe, 30);
    const views = boardViews(airframe, nest);
    expect(nest.unplaced).toEqual([]);
    const [port] = shapesOf(views, 'wing'),
      [starboard] = shapesOf(views, 'wing:starboard');
    expect(port!.board).toBe(starboard!.board);
    const { clearanceMm } = airframe.settings.nest;
    expect(separation(port!.shape, starboard!.shape, 50)).toBeCloseTo(clearanceMm, 1);
    expect(lyingApart(airframe, views)).toEqual([]);
    const free = {
      ...airframe,
      settings: { ...airframe.settings, nest: withMate(airframe.settings.nest, 'wing', undefined) },
    };
    expect(isNestCurrent({ ...free, nest })).toBe(false);
  },
);

test('what is moved away is told, and so is what no board has room for; cut boards are not', () => {
  const airframe = paired(airframeOf([{ ...plate(300, 120, 'rib'), quantity: 4 }]), 'rib', 'rib');
  const { nest } = quickNest(airframe, 3);
  expect(lyingApart(airframe, boardViews(airframe, nest))).toEqual([]);
  const [first, ...rest] = nest.boards[0]!.placements;
  const farOff = {
    ...nest,
    boards: [{ ...nest.boards[0]!, placements: [{ ...first!, x: first!.x + 5000 }, ...rest] }],
  };
  expect(lyingApart(airframe, boardViews(airframe, farOff))).toMatchObject([{ first: { id: 'rib' }, count: 1 }]);
  const cut = { ...farOff, boards: [{ ...farOff.boards[0]!, cutFrom: airframe.boards[0]! }] };
  expect(lyingApart(airframe, boardViews(airframe, cut))).toEqual([]);
  // 690 × 300 twice: neither beside nor above each other on 700 × 500.
  const wide = paired(
    airframeOf([{ ...plate(690, 300, 'wide'), quantity: 2 }], { boards: [{ ...foam, count: 2 }] }),
    'wide',
    'wide',
  );
  const both = quickNest(wide, 3).nest;
  expect(both.unplaced).toEqual([]);
  expect(lyingApart(wide, boardViews(wide, both))).toMatchObject([{ count: 1 }]);
});

test('a piece has one mate; a new one parts it from the old, and the old one from its own', () => {
  const { settings } = airframeOf([]);
  const first = withMate(settings.nest, 'a', 'b'),
    second = withMate(first, 'c', 'b');
  expect(mateOf(first, 'b')).toBe('a');
  expect(mateOf(second, 'a')).toBeUndefined();
  expect(second.sideBySide).toEqual([{ first: 'c', second: 'b' }]);
  expect(withMate(second, 'b', undefined)).toEqual(settings.nest);
  expect(mateOf(withMate(settings.nest, 'a', 'a'), 'a')).toBe('a');
  const guests = withMate(withMate(settings.nest, 'guest1-2', 'a'), 'c', 'd');
  expect(withoutGuest(guests, 'guest1').sideBySide).toEqual([{ first: 'c', second: 'd' }]);
});

test('mates are pieces of the same material, its own kind where it is cut twice or in sets', () => {
  const airframe = airframeOf([handed, plate(50, 50, 'tab'), { ...plate(60, 60, 'former'), quantity: 2 }]);
  const piece = (id: string) => piecesOfAirframe(airframe).find((one) => one.id === id)!;
  const ids = (of: Airframe, id: string): readonly string[] => matesFor(of, piece(id)).map((one) => one.id);
  expect(ids(airframe, 'tab')).toEqual(['wing', 'wing:starboard', 'former']);
  expect(ids(airframe, 'former')).toContain('former');
  const sets = { ...airframe, settings: { ...airframe.settings, nest: { ...airframe.settings.nest, sets: 3 } } };
  expect(ids(sets, 'tab')).toContain('tab');
});

test('a nest that goes on from the kept one keeps its pairs, around what is locked too', () => {
  const airframe = paired(
    airframeOf([handed, ...large], { boards: [{ ...foam, count: 4 }] }),
    'wing',
    'wing:starboard',
  );
  const { nest } = quickNest(airframe, 20);
  const locked = {
    ...nest,
    boards: nest.boards.map((board) => ({
      ...board,
      placements: board.placements.map((placed) => (placed.pieceId === 'a' ? { ...placed, isLocked: true } : placed)),
    })),
  };
  const search = searchAirframeNest({ ...airframe, nest: locked }, 2, {});
  let step = search.next().value;
  while (step.tried < 15) step = search.next().value;
  expect(step.nest.boards.length).toBeLessThanOrEqual(nest.boards.length);
  expect(lyingApart(airframe, boardViews(airframe, step.nest))).toEqual([]);
});

test('letting pairs lie apart is advised where it saves a board', () => {
  // 240 and 250 high fill a board each; both of 240 on one leave 250 and 250, which one board has no room for.
  const plates = [
    { ...plate(680, 240, 'low'), quantity: 2 },
    { ...plate(680, 250, 'tall'), quantity: 2 },
  ];
  const airframe = paired(airframeOf(plates, { boards: [{ ...foam, count: 4 }] }), 'low', 'low');
  const kept = { ...airframe, nest: quickNest(airframe, 40).nest };
  expect(kept.nest.boards).toHaveLength(3);
  const advice = nestAdvice(kept, 1);
  let step = advice.next();
  while (!step.done) step = advice.next();
  const own = step.value.found.find(({ change }) => change.kind === 'apart')!;
  expect(own.nest.boards).toHaveLength(2);
  expect(lyingApart(kept, boardViews(kept, own.nest))).toMatchObject([{ count: 1 }]);
});

test('a kerf keeps parts farther apart, not farther from the edge, and flush fits still fit', () => {
  // 342 + 2 + 3.5 + 346.4 = 693.9, of 694 between margins of 3 on 700.
  const parts = [plate(342, 488, 'a'), plate(346.4, 488, 'b')];
  const base = airframeOf(parts, { boards: [{ ...foam, count: 2 }] });
  const withKerf = (kerfMm: number): Airframe => ({
    ...base,
    settings: { ...base.settings, nest: { ...base.settings.nest, kerfMm } },
  });
  const views = boardViews(withKerf(3.5), quickNest(withKerf(3.5), 12).nest);
  expect(views).toHaveLength(1);
  const [a, b] = views[0]!.pieces;
  expect(separation(a!.shape, b!.shape, 20)).toBeGreaterThanOrEqual(5.49);
  expect(quickNest(withKerf(3.7), 12).nest.boards).toHaveLength(2);
  expect(isNestCurrent({ ...withKerf(3.7), nest: quickNest(withKerf(3.5), 2).nest })).toBe(false);
});
