import { after, airframeOf, boxSide, foam, plate } from '../../test/samples.ts';
import { boundsOf } from '../geometry/index.ts';
import { layoutFaults } from '../nesting/index.ts';
import { emptyPart, outlineOf, type Part } from '../part/index.ts';
import type { Airframe, AirframeNest } from './airframe.ts';
import { quickFigures, slowFigures } from './figures.ts';
import { foldView } from './fold-view.ts';
import { faultsIn, nestHash, piecesOfAirframe } from './funnel.ts';
import { materialNests, shapeOf } from './material-nests.ts';
import {
  isNestCurrent,
  pieceFaults,
  boardViews,
  quickNest,
  searchAirframeNest,
  turnPlaced,
  turnsOn,
} from './nest-airframe.ts';

const pair = after(plate(200, 100, 'wing'), {
  name: 'changeDetails',
  args: { changes: { handed: 'pair', grain: { directionDegrees: 0, rule: 'along' } } },
});
const nested = (airframe: Airframe): Airframe & { nest: AirframeNest } => ({
  ...airframe,
  nest: quickNest(airframe, 3).nest,
});

test('figures of the ticket by hand: a pair and three gauges', () => {
  const airframe = airframeOf([
    pair,
    after(plate(50, 40, 'gauge'), { name: 'changeDetails', args: { changes: { quantity: 3 } } }),
  ]);
  expect(quickFigures(airframe)).toMatchObject({
    drawings: 2,
    pieces: 5,
    faults: 0,
    foamG: expect.closeTo(((2 * 20_000 + 3 * 2000) / 1e6) * 480, 9),
    throughMm: 2 * 600 + 3 * 180,
  });
  expect(slowFigures(airframe)).toMatchObject({
    pages: 2,
    boards: 1,
    unplaced: 0,
    isNested: false,
    boardCost: 4,
    yield: expect.closeTo(46_000 / 350_000, 9),
  });
});

test('a nest stands for the shapes, boards and distances it was made from, and for nothing else', () => {
  const airframe = nested(airframeOf([pair, boxSide()]));
  expect(isNestCurrent(airframe)).toBe(true);
  const hash = nestHash(airframe);
  const renamed = {
    ...airframe,
    parts: airframe.parts.map((part) =>
      after(part, { name: 'changeDetails', args: { changes: { notes: 'Sand it.' } } }),
    ),
  };
  expect(nestHash(renamed)).toBe(hash);
  expect(
    nestHash({ ...airframe, settings: { ...airframe.settings, nest: { ...airframe.settings.nest, seed: 9 } } }),
  ).toBe(hash);
  expect(nestHash({ ...airframe, settings: { ...airframe.settings, scale: 1.1 } })).not.toBe(hash);
  expect(nestHash({ ...airframe, boards: [{ ...foam, count: 2 }] })).not.toBe(hash);
  expect(
    nestHash({ ...airframe, settings: { ...airframe.settings, nest: { ...airframe.settings.nest, clearanceMm: 3 } } }),
  ).not.toBe(hash);
});

test('port and starboard are cut from mirrored shapes, turned by whole turns only', () => {
  const airframe = nested(airframeOf([pair]));
  const pieces = piecesOfAirframe(airframe);
  expect(pieces.map(({ id, part }) => [id, part.side])).toEqual([
    ['wing', 'port'],
    ['wing:starboard', 'starboard'],
  ]);
  expect(airframe.nest.boards[0]!.placements.map(({ pieceId }) => pieceId).sort()).toEqual(['wing', 'wing:starboard']);
  for (const { rotation } of airframe.nest.boards[0]!.placements) expect([0, 180]).toContain(rotation);
});

test('boards whose grain runs up are nested turned, and the pieces come back in the board’s own frame', () => {
  const upright = airframeOf([pair], { boards: [{ ...foam, widthMm: 500, heightMm: 700, grain: 'height' }] });
  const airframe = nested(upright);
  for (const { rotation } of airframe.nest.boards[0]!.placements) expect([90, 270]).toContain(rotation);
  const [view] = boardViews(airframe, airframe.nest);
  for (const { shape } of view!.pieces) {
    const box = boundsOf(shape.outer);
    expect(box.minX).toBeGreaterThanOrEqual(3 - 0.01);
    expect(box.maxX).toBeLessThanOrEqual(497 + 0.01);
    expect(box.maxY).toBeLessThanOrEqual(697 + 0.01);
  }
  expect(view!.pieces.every((one, index) => pieceFaults(airframe, view!, index, one.placed).length === 0)).toBe(true);
});

test('a search never gets worse, is the same again, and its nests pass the checker', () => {
  const airframe = airframeOf([pair, boxSide(), plate(320, 180, 'deck')], {
    boards: [foam, { ...foam, id: 'b2', material: 'ply', count: 1 }],
  });
  const first = searchAirframeNest(airframe, 4),
    second = searchAirframeNest(airframe, 4);
  let last = Infinity;
  for (let step = 0; step < 15; step++) {
    const one = first.next().value,
      other = second.next().value;
    expect(one.nest).toEqual(other.nest);
    expect(one.score.effectiveBoards).toBeLessThanOrEqual(last + 1e-9);
    last = one.score.effectiveBoards;
    for (const { instance } of materialNests(airframe)) {
      const layout = {
        seconds: 0,
        unplaced: [],
        boards: one.nest.boards.map(({ boardId, placements }) => ({
          boardId,
          placements: placements.map(({ pieceId, ...place }) => ({ partId: pieceId, ...place })),
        })),
      };
      expect(layoutFaults(instance, layout)).toEqual([]);
    }
  }
});

test('pieces without a board of their material are told', () => {
  const nest = quickNest(airframeOf([plate(50, 50)], { boards: [{ ...foam, material: 'ply' }] })).nest;
  expect(nest).toMatchObject({ boards: [], unplaced: [{ pieceId: 'p1', quantity: 1 }] });
});

test('moving by hand: an overlap, an edge and a turn are judged by true shapes', () => {
  const airframe = nested(airframeOf([plate(200, 100, 'a'), plate(200, 100, 'b')]));
  const [view] = boardViews(airframe, airframe.nest);
  const [first, second] = view!.pieces;
  expect(pieceFaults(airframe, view!, 0, second!.placed)[0]).toMatchObject({
    kind: 'overlap',
    foundMm: 0,
    wantedMm: 2,
  });
  const atEdge = { ...first!.placed, x: first!.placed.x - boundsOf(first!.shape.outer).minX + 1 };
  expect(pieceFaults(airframe, view!, 0, atEdge).map(({ kind }) => kind)).toContain('edge');
  const turned = turnPlaced(first!.piece, first!.placed, (first!.placed.rotation + 90) % 360);
  const [before, now] = [boundsOf(first!.shape.outer), boundsOf(shapeOf(first!.piece, turned).outer)];
  expect((now.minX + now.maxX) / 2).toBeCloseTo((before.minX + before.maxX) / 2, 9);
  expect(now.maxX - now.minX).toBeCloseTo(before.maxY - before.minY, 9);
  expect(turnsOn(airframe, first!.piece, foam)).toEqual([0, 90, 180, 270]);
});

test('faults of a part follow the scale and the boards', () => {
  const airframe = airframeOf([plate(600, 300)]);
  expect(faultsIn(airframe, airframe.parts[0]!)).toEqual([]);
  const larger = { ...airframe, settings: { ...airframe.settings, scale: 1.5 } };
  expect(faultsIn(larger, airframe.parts[0]!).map(({ code }) => code)).toEqual(['PART_TOO_LARGE']);
  expect(faultsIn(airframe, airframe.parts[0]!)).toEqual([]);
});

describe('parts that stand together', () => {
  const floor = plate(200, 100, 'floor'),
    edge = (part: Part, index: number): string => outlineOf(part)!.segments[index]!.id;
  const on = (part: Part, toPartId: string, toSegmentId: string): Part =>
    after(part, {
      name: 'addJoint',
      args: {
        joint: {
          ownSegmentId: edge(part, 0),
          ownSkin: 'back',
          toPartId,
          toSegmentId,
          toSkin: 'back',
          turnDegrees: 90,
          alongMm: 0,
          isReversed: false,
        },
      },
    });
  const codes = (parts: readonly Part[]): string[] => {
    const airframe = airframeOf(parts);
    return parts.flatMap((part) => faultsIn(airframe, part).map(({ code }) => code));
  };
  const wall = on(plate(200, 40, 'wall'), 'floor', edge(floor, 2));
  test('the ticket counts seams within parts and between them, at the airframe’s scale', () => {
    const seamed = after(
      wall,
      { name: 'addSeam', args: { fromSegmentId: edge(wall, 0), toSegmentId: edge(floor, 2), toPartId: 'floor' } },
      { name: 'bevelEdge', args: { segmentId: edge(wall, 0), face: 'face', bevelDegrees: 45 } },
    );
    const mitred = after(floor, {
      name: 'bevelEdge',
      args: { segmentId: edge(floor, 2), face: 'face', bevelDegrees: 45 },
    });
    for (const scale of [0.5, 1, 1.7]) {
      const airframe = airframeOf([mitred, seamed]);
      expect(slowFigures({ ...airframe, settings: { ...airframe.settings, scale } }).seams).toEqual({
        closed: 1,
        open: 0,
        pressed: 0,
        worstMm: expect.closeTo(0, 6),
      });
    }
    expect(slowFigures(airframeOf([floor, seamed])).seams).toMatchObject({ closed: 0, pressed: 1 });
  });
  test('joints that lead nowhere, seams that lead nowhere, rings and too few pieces are told, each with its mend', () => {
    expect(codes([floor, wall])).toEqual([]);
    expect(codes([wall])).toEqual(['JOINT_STRAY']);
    expect(codes([floor, on(plate(200, 40, 'wall'), 'floor', 's999')])).toEqual(['JOINT_STRAY']);
    expect(codes([on(floor, 'wall', edge(wall, 0)), wall])).toEqual(['JOINT_STRAY', 'JOINT_STRAY']);
    expect(
      codes([
        after(floor, { name: 'addSeam', args: { fromSegmentId: edge(floor, 0), toSegmentId: 's1', toPartId: 'gone' } }),
      ]),
    ).toEqual(['SEAM_STRAY']);
    const apart = plate(30, 30, 'apart');
    expect(
      codes([
        floor,
        wall,
        after(apart, {
          name: 'addSeam',
          args: { fromSegmentId: edge(apart, 0), toSegmentId: edge(wall, 0), toPartId: 'wall' },
        }),
      ]),
    ).toEqual(['SEAM_APART']);
    const twice = on(wall, 'floor', edge(floor, 0)),
      airframe = airframeOf([floor, twice]);
    const [fault] = faultsIn(airframe, twice);
    expect(fault).toMatchObject({
      code: 'JOINT_MANY',
      title: 'Part wall stands in 2 places, 1 is cut',
      mend: { label: 'Cut 2' },
    });
    expect(codes([floor, after(twice, ...('command' in fault!.mend ? [fault!.mend.command] : []))])).toEqual([]);
  });
  test('a view of a part that is not there, or has no outline, is none', () => {
    const airframe = airframeOf([emptyPart('e', 'Empty', 'foam')]);
    expect([foldView(airframe, 'e', 'airframe', 'mm'), foldView(airframe, 'nobody', 'part', 'mm')]).toEqual([
      undefined,
      undefined,
    ]);
    const view = foldView(airframeOf([floor, wall, plate(9, 9, 'loose')]), 'loose', 'airframe', 'mm')!;
    expect(view.report).toEqual([
      '2 pieces of 2 parts stand together.',
      'No seam between parts is declared.',
      expect.stringContaining('in each other'),
      'Part wall meets the end of Part floor on all 200.00 mm of its foot, and presses 5.00 mm into it.',
      'Part loose stands nowhere yet.',
    ]);
  });
});
