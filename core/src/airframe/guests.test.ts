import { after, airframeOf, foam, plate, polygonPart } from '../../test/samples.ts';
import { regionArea } from '../geometry/index.ts';
import { rectangleDraft } from '../paths/index.ts';
import { withPartOnCleanBoards, type Airframe } from './airframe.ts';
import { cutBoard } from './cut-boards.ts';
import { countedFrom, onHost, withCutElsewhere } from './cut-elsewhere.ts';
import { cutListOf, quickFigures } from './figures.ts';
import { nestHash, piecesOnBoards, piecesToNest } from './funnel.ts';
import { boardViews, pieceFaults, quickNest } from './nest-airframe.ts';
import { sectionPieces } from './page-set.ts';
import { withMate } from './side-by-side.ts';
import { freshGuestId, isGuestCut, takenAlong, withGuest, withoutGuest } from './taken-along.ts';

/** A triangle of 300 × 200, area 30,000 mm², with a window of 20 × 30, once to port and once to starboard. */
const rib = after(
  {
    ...polygonPart(
      [
        [0, 0],
        [300, 0],
        [0, 200],
      ],
      'rib',
    ),
    name: 'Rib',
    handed: 'pair',
    grain: { directionDegrees: 30, rule: 'along' },
  },
  { name: 'drawHole', args: { draft: rectangleDraft({ x: 20, y: 20 }, 20, 30) } },
);
const other: Airframe = {
  ...airframeOf([rib, { ...plate(60, 40, 'tray'), material: 'ply' }, plate(340, 480, 'skin')]),
  id: 'a2',
  name: 'Sandpiper',
};
const host: Airframe = {
  ...airframeOf([plate(330, 480, 'own')], { boards: [{ ...foam, count: 2 }] }),
  id: 'a1',
  name: 'Dunlin',
};
const together = (it: Airframe = host, from: Airframe = other): Airframe => ({
  ...it,
  settings: { ...it.settings, nest: withGuest(it.settings.nest, takenAlong(it, from, freshGuestId(it)).guest) },
});

test('pieces are taken along as they are cut: both hands, holes, grain; what the boards are not of stays behind', () => {
  const { guest, left } = takenAlong(host, other, 'guest1');
  expect(left).toEqual([{ material: 'ply', pieces: 1 }]);
  expect(guest.pieces.map(({ name, quantity }) => [name, quantity])).toEqual([
    ['Rib, port', 1],
    ['Rib, starboard', 1],
    ['Part skin', 1],
  ]);
  const pieces = piecesOnBoards(together()).slice(-3);
  expect(pieces.map(({ part }) => part.name)).toEqual([
    'Sandpiper: Rib, port',
    'Sandpiper: Rib, starboard',
    'Sandpiper: Part skin',
  ]);
  for (const { part } of pieces.slice(0, 2))
    expect(regionArea([part.outer]) - regionArea([...part.holeRings])).toBeCloseTo(30_000 - 600, 3);
  // The twin is the port piece turned over: its slope rises the other way, and so does its grain.
  const [port, starboard] = pieces.map(({ part }) => part);
  expect(starboard!.grain.directionDegrees).toBeCloseTo(-port!.grain.directionDegrees, 9);
  const signs = [port!, starboard!].map(({ outer, bounds }) =>
    Math.sign(outer.reduce((sum, p) => sum + p.x / outer.length, 0) - (bounds.minX + bounds.maxX) / 2),
  );
  expect(signs[0]).toBe(-signs[1]!);
});

test('two half boards of two airframes lie on one board, where each alone takes one; nothing lies too near', () => {
  const skinOnly = { ...other, parts: other.parts.filter(({ id }) => id === 'skin') };
  const it = together(host, skinOnly),
    { nest } = quickNest(it, 9);
  expect([
    quickNest(host, 9).nest.boards.length,
    quickNest({ ...skinOnly, boards: host.boards }, 9).nest.boards.length,
  ]).toEqual([1, 1]);
  expect(nest.boards).toHaveLength(1);
  expect(nest.unplaced).toEqual([]);
  const [view] = boardViews(it, nest);
  // 330 and 340 wide on 700: the sides, 3 at each edge and 2 between leave 22 to spare.
  expect(view!.pieces).toHaveLength(2);
  view!.pieces.forEach(({ placed }, index) => expect(pieceFaults(it, view!, index, placed)).toEqual([]));
});

test('guests are on boards and in their cut lists, and nowhere else: not in the mass, the pieces, the pages', () => {
  const it = together(),
    { nest } = quickNest(it, 6);
  expect(quickFigures(it)).toEqual(quickFigures(host));
  expect(sectionPieces(it).flatMap(({ pieces }) => pieces.map(({ id }) => id))).toEqual(['own']);
  const list = cutListOf({ ...it, nest });
  expect(list.parts.map(({ part }) => part.name)).toEqual(['Part own']);
  const onBoards = list.boards.flatMap(({ parts }) => parts.map(({ part }) => part.name));
  expect([...onBoards].sort()).toEqual([
    'Part own',
    'Sandpiper: Part skin',
    'Sandpiper: Rib, port',
    'Sandpiper: Rib, starboard',
  ]);
});

test('guests keep their size when the host is scaled, come once when the host is cut in sets, and are not cut twice', () => {
  const it = together();
  const changed = (settings: Partial<Airframe['settings']>): Airframe => ({
    ...it,
    settings: { ...it.settings, ...settings },
  });
  const halved = piecesToNest(changed({ scale: 0.5 }));
  expect(halved.map(({ part }) => Math.round(part.areaMm2))).toEqual([(330 * 240) / 2, 29_400, 29_400, 340 * 480]);
  const sets = piecesToNest(changed({ nest: { ...it.settings.nest, sets: 3 } }));
  expect(sets.map(({ quantity }) => quantity)).toEqual([3, 1, 1, 1]);
  const nested = { ...it, nest: quickNest(it, 6).nest };
  expect(isGuestCut(nested, 'guest1')).toBe(false);
  const cut = nested.nest.boards.reduce(
    (now: Airframe, _, at) => cutBoard(now, at, [], () => 'b77', '2026-01-02')!.airframe,
    nested,
  );
  expect(piecesToNest(cut)).toEqual([]);
  expect(isGuestCut(cut, 'guest1')).toBe(true);
  expect(isGuestCut(cut, 'guest')).toBe(false);
});

test('a nest is old when a guest comes or changes, and fits again when it has gone', () => {
  const it = together();
  expect(nestHash(it)).not.toBe(nestHash(host));
  const thinner = { ...other, parts: [plate(339, 480, 'skin')] };
  const changed = {
    ...it,
    settings: { ...it.settings, nest: withGuest(it.settings.nest, takenAlong(host, thinner, 'guest1').guest) },
  };
  expect(changed.settings.nest.guests).toHaveLength(1);
  expect(nestHash(changed)).not.toBe(nestHash(it));
  const gone = withoutGuest(changed.settings.nest, 'guest1');
  expect(gone).not.toHaveProperty('guests');
  expect(nestHash({ ...it, settings: { ...it.settings, nest: gone } })).toBe(nestHash(host));
  expect(freshGuestId(it)).toBe('guest2');
});

test('taken anew, a piece keeps its id by its name, so that its tick and its lock stay its own; left out, nothing of it stays', () => {
  const it = together(),
    ticked = withPartOnCleanBoards(withPartOnCleanBoards(it.settings.nest, 'guest1-3', true), 'own', true);
  const ahead = { ...other, parts: [{ ...plate(50, 30, 'new'), name: 'New' }, ...other.parts] };
  const { guest } = takenAlong({ ...it, settings: { ...it.settings, nest: ticked } }, ahead, 'guest1');
  expect(guest.pieces.map(({ id, name }) => [id, name])).toEqual([
    ['guest1-4', 'New'],
    ['guest1-1', 'Rib, port'],
    ['guest1-2', 'Rib, starboard'],
    ['guest1-3', 'Part skin'],
  ]);
  expect(withoutGuest(ticked, 'guest1')).toMatchObject({ onCleanBoards: ['own'] });
  expect(withoutGuest(ticked, 'guest')).toEqual(ticked);
  // While its pieces still lie in the kept nest its id is nobody else's.
  const gone = { ...host, nest: quickNest(it, 3).nest };
  expect(freshGuestId(gone)).toBe('guest2');
});

test('its own pairs and clean boards come along; what was set here for the same pieces stays', () => {
  const rules = { sideBySide: [{ first: 'rib', second: 'rib:starboard' }], onCleanBoards: ['skin', 'tray'] };
  const asking = { ...other, settings: { ...other.settings, nest: { ...other.settings.nest, ...rules } } };
  const taken = takenAlong(host, asking, 'guest1');
  // The tray is of plywood, which there is no board of here.
  expect(taken.rules).toEqual({
    sideBySide: [{ first: 'guest1-1', second: 'guest1-2' }],
    onCleanBoards: ['guest1-3'],
  });
  const nest = withGuest(withPartOnCleanBoards(host.settings.nest, 'own', true), taken.guest, taken.rules);
  expect(nest).toMatchObject({ ...taken.rules, onCleanBoards: ['guest1-3', 'own'] });
  // Paired otherwise here, and taken anew.
  const otherwise = withMate(nest, 'guest1-1', 'guest1-3'),
    anew = withGuest(otherwise, taken.guest, taken.rules);
  expect(anew.sideBySide).toEqual([{ first: 'guest1-1', second: 'guest1-3' }]);
  expect(anew.guests).toHaveLength(1);
  // Of two that are a pair with each other one is cut already: there is no pair any more.
  const twice = (quantity: number): Airframe => ({
    ...airframeOf([{ ...plate(300, 60, 'spar'), quantity }]),
    settings: { ...other.settings, nest: { ...other.settings.nest, sideBySide: [{ first: 'spar', second: 'spar' }] } },
  });
  expect([2, 1].map((count) => takenAlong(host, twice(count), 'guest1').rules.sideBySide)).toEqual([
    [{ first: 'guest1-1', second: 'guest1-1' }],
    [],
  ]);
});

test('what is cut on the boards of a host is told by name, counted where it belongs and nested no more', () => {
  const it = together(),
    nested = { ...it, nest: quickNest(it, 6).nest };
  expect(onHost(host, 'a2')).toBeUndefined();
  expect(onHost(nested, 'a2')).toEqual({ id: 'a1', name: 'Dunlin', pieces: 3, cut: [] });
  const all = nested.nest.boards.reduce(
    (now: Airframe, _, at) => cutBoard(now, at, [], () => 'b77', '2026-01-02')!.airframe,
    nested,
  );
  const told = onHost(all, 'a2')!;
  expect(told.cut).toEqual([
    { name: 'Rib, port', quantity: 1 },
    { name: 'Rib, starboard', quantity: 1 },
    { name: 'Part skin', quantity: 1 },
  ]);
  // Three sets of the guest's own: of each piece one is cut, two are left. The tray was never taken along.
  const counting = (from: Airframe, sets: number): Airframe => {
    const nest = withCutElsewhere({ ...from.settings.nest, sets }, countedFrom(from, told));
    return { ...from, settings: { ...from.settings, nest } };
  };
  const left = (of: Airframe): unknown => piecesToNest(of).map(({ id, quantity }) => [id, quantity]);
  expect(left(counting(other, 3))).toEqual([
    ['rib', 2],
    ['rib:starboard', 2],
    ['tray', 3],
    ['skin', 2],
  ]);
  expect(left(counting(other, 1))).toEqual([['tray', 1]]);
  expect(nestHash(counting(other, 1))).not.toBe(nestHash(other));
  // Counted twice it is counted once; renamed since it is nobody's; counted no more all is as it was.
  expect(counting(counting(other, 1), 1)).toEqual(counting(other, 1));
  const renamed = { ...other, parts: other.parts.map((part) => ({ ...part, name: `${part.name} b` })) };
  expect(countedFrom(renamed, told).pieces).toEqual([]);
  const none = { ...countedFrom(other, told), pieces: [] };
  expect(withCutElsewhere(counting(other, 1).settings.nest, none)).not.toHaveProperty('cutElsewhere');
});

test('a ring of a hand-written file that bounds nothing lies on no board', () => {
  const { guest } = takenAlong(host, other, 'guest1');
  const flat = {
    ...guest,
    pieces: guest.pieces.map((piece) => ({ ...piece, outline: { corners: [0, 0, 10, 0, 20, 0] } })),
  };
  const it = { ...host, settings: { ...host.settings, nest: withGuest(host.settings.nest, flat) } };
  expect(quickNest(it, 3).nest.boards.flatMap(({ placements }) => placements.map(({ pieceId }) => pieceId))).toEqual([
    'own',
  ]);
});
