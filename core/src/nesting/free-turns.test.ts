import fc from 'fast-check';
import { rotation, applyTransform } from '../geometry/index.ts';
import { degreesBetween, seededRandom } from '../units/index.ts';
import { layoutFaults } from './check-layout.ts';
import { turnedAround, withSquareEdges, type TurnedPart } from './free-turns.ts';
import type { NestInstance, NestPart, XY } from './instance.ts';
import { PieceSet } from './piece-set.ts';
import { RepeatedAttempt } from './repeated-attempt.ts';
import { searchNest } from './search-nest.ts';
import type { SearchStep } from './search-parts.ts';

const turned = (ring: readonly XY[], degrees: number): readonly XY[] =>
  ring.map(([x, y]) => {
    const p = applyTransform(rotation(degrees), { x, y });
    return [p.x, p.y];
  });
const box = (width: number, height: number): readonly XY[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];
function after(instance: NestInstance, steps: number, seed = 1): SearchStep {
  const search = searchNest(instance, { seed });
  let step = search.next().value;
  for (let count = 1; count < steps; count++) {
    const next = search.next().value;
    expect(next.score.unplacedMm2).toBeLessThanOrEqual(step.score.unplacedMm2);
    if (next.score.unplacedMm2 === step.score.unplacedMm2)
      expect(next.score.effectiveBoards).toBeLessThanOrEqual(step.score.effectiveBoards);
    step = next;
  }
  return step;
}

test.each([7, 33.3, 61.25])(
  'what is drawn askew by %d° lies along its board where it may be turned freely',
  (askew) => {
    // Two of 150 × 40 take 82 mm of height; askew neither two nor, beyond some degrees, one would lie on 86 mm.
    const part: NestPart = { id: 'a', quantity: 2, rotations: [0, 90, 180, 270], polygon: turned(box(150, 40), askew) };
    const boards = [{ id: 'B', width: 160, height: 90, count: 2 }];
    const instance: NestInstance = { name: 'askew', boards, clearance: 2, parts: [{ ...part, turnsFreely: true }] };
    const free = after(instance, 60);
    expect(free.layout.boards).toHaveLength(1);
    expect(layoutFaults(instance, free.layout)).toEqual([]);
    const held: NestInstance = { ...instance, parts: [part] };
    const step = after(held, 60);
    expect(step.layout.boards.length === 1 && step.layout.unplaced.length === 0).toBe(false);
    expect(layoutFaults(held, free.layout)[0]).toMatch(/may not be turned/);
  },
);

test('a last touch turns what lies between two slants; where it may not turn the three stay too high for their board', () => {
  // A plate 10 mm high at its left, its upper side rising by 0.6°, between sides that rise by 1.2° and 1.8°: 70 mm in all where it is turned by
  // 1.2°. As it is drawn they take 72.1 mm so, 71.05 with it at the head or at the foot, and more in any other order.
  const rise = (degrees: number): number => 100 * Math.tan((degrees * Math.PI) / 180);
  const part = (id: string, right: readonly [number, number], height: number): TurnedPart => ({
    id,
    quantity: 1,
    rotations: [0],
    polygon: [
      [0, 0],
      [100, right[0]],
      [100, right[1]],
      [0, height],
    ],
  });
  const nested = (
    plate: Partial<TurnedPart>,
  ): { isSolved: boolean | undefined; faults: readonly string[]; turn: number } => {
    const parts = [
      part('low', [0, 30 + rise(1.2)], 30),
      { ...part('plate', [0, 10 + rise(0.6)], 10), ...plate },
      part('high', [rise(1.8), 30], 30),
    ];
    const boards = [{ id: 'B', width: 100.4, height: 70.4, count: 1 }];
    const instance: NestInstance = { name: 'slants', boards, clearance: 0, parts };
    const set = new PieceSet(instance, 1.25);
    const spots = [0, 24, 32].map((row, pose) => ({ board: 0, pose: set.poses.from[pose]!, x: 0, row }));
    const attempt = new RepeatedAttempt(
      { poses: set.poses, rooms: [set.boardRooms[0]!.room], blocked: [-1], parts: set.parts, spots },
      seededRandom(2),
    );
    for (let round = 0; attempt.isSolved === undefined && round < 400; round++) attempt.run(200);
    const layout = set.written([0], attempt.spots());
    const { rotation: turn } = layout.boards[0]!.placements.find(({ partId }) => partId === 'plate')!;
    return { isSolved: attempt.isSolved, faults: layoutFaults(instance, layout), turn };
  };
  expect(nested({ turnsFreely: true, lying: [0], beside: [358.8, 1.2] })).toEqual({
    isSolved: true,
    faults: [],
    turn: 1.2,
  });
  expect(nested({})).toMatchObject({ isSolved: false, turn: 0 });
});

test('freely turned stars of any shape are nested without a fault, and the same again by the same seed', () => {
  const star = fc.array(fc.double({ min: 15, max: 90, noNaN: true }), { minLength: 3, maxLength: 9 }).map((radii) =>
    radii.map((r, at): XY => {
      const angle = (2 * Math.PI * at) / radii.length;
      return [r * Math.cos(angle), r * Math.sin(angle)];
    }),
  );
  const partOf = fc.record({
    polygon: star,
    quantity: fc.integer({ min: 1, max: 3 }),
    rotations: fc.constantFrom([0], [0, 180], [0, 90, 180, 270]),
    turnsFreely: fc.boolean(),
    allowMirror: fc.boolean(),
  });
  fc.assert(
    fc.property(
      fc.array(partOf, { minLength: 1, maxLength: 5 }),
      fc.double({ min: 0, max: 6, noNaN: true }),
      fc.constantFrom(undefined, [
        [0, 0],
        [300, 0],
        [260, 200],
        [0, 220],
      ] as readonly XY[]),
      (drawn, clearance, polygon) => {
        const parts = drawn.map((one, at): NestPart => ({ ...one, id: `p${at}` }));
        const boards = [{ id: 'B', width: 300, height: 220, count: 4, ...(polygon ? { polygon } : {}) }];
        const instance: NestInstance = { name: 'stars', boards, clearance, parts };
        const found = after(instance, 20);
        expect(layoutFaults(instance, found.layout)).toEqual([]);
        expect(after(instance, 20).layout.boards).toEqual(found.layout.boards);
      },
    ),
    { numRuns: 12 },
  );
});

test('what is listed stays, long edges are laid along the board, and turns beside are those of lying pieces', () => {
  const wing: NestPart = {
    id: 'a',
    quantity: 1,
    rotations: [0, 180],
    polygon: turned(box(200, 50), 10),
    turnsFreely: true,
  };
  const instance: NestInstance = {
    name: 'one',
    boards: [{ id: 'B', width: 500, height: 500, count: 1 }],
    clearance: 2,
    parts: [wing, { ...wing, id: 'held', turnsFreely: false }],
  };
  const [free, held] = withSquareEdges(instance).parts;
  expect(held!.rotations).toEqual([0, 180]);
  // The long edge runs at 10° and 190°, the short one at 100° and 280°: laid along four sides they are the same four turns.
  expect([...free!.rotations].sort((a, b) => a - b)).toEqual([0, 80, 170, 180, 260, 350]);
  const placements = [{ partId: 'a', x: 100, y: 100, rotation: 42 }];
  const layout = { boards: [{ boardId: 'B', placements }], unplaced: [], seconds: 0 };
  const [around] = turnedAround(instance, layout, seededRandom(1)).parts as readonly TurnedPart[];
  expect(around!.lying).toEqual([42]);
  expect(around!.beside!.map((turn) => degreesBetween(turn, 42) <= 8)).toEqual([true, true]);
});
