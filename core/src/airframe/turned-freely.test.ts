import { airframeOf, foam, plate, polygonPart } from '../../test/samples.ts';
import type { Airframe, AirframeNest } from './airframe.ts';
import { faultsIn } from './funnel.ts';
import { nestAdvice, withChange } from './nest-advice.ts';
import { boardViews, isNestCurrent, pieceFaults, quickNest } from './nest-airframe.ts';
import { squared } from './squared.ts';

const anyWay = { directionDegrees: 0, rule: 'any' } as const;
const free = (width: number, height: number, id = 'p1'): Airframe['parts'][number] => ({
  ...plate(width, height, id),
  grain: anyWay,
});
const along = (id: string): Airframe['parts'][number] => ({
  ...plate(320, 90, id),
  grain: { directionDegrees: 0, rule: 'along' },
});
const turnedFreely = (airframe: Airframe): Airframe => withChange(airframe, { kind: 'freely' });

test.each(['width', 'height', 'none'] as const)(
  'a spar that no step of 15° fits is laid aslant on a board of 700 × 500 whose grain is %s',
  (grain) => {
    // Within the margin of 3 mm there are 694 × 494: 825 × 20 turned by 35° is 687.3 × 489.6, by 30° 724.5 wide, by 45° 597.5 high.
    const airframe = airframeOf([free(825, 20)], { boards: [{ ...foam, grain, count: 1 }] });
    const [fault] = faultsIn(airframe, airframe.parts[0]!);
    expect(fault!.code).toBe('PART_TOO_LARGE');
    const labels = [fault!.mend, ...(fault!.others ?? [])].map((mend) => mend!.label);
    expect(labels).toContain('Turn free parts freely');
    expect(labels.some((label) => label.startsWith('Turn free parts by'))).toBe(false);
    const turned = turnedFreely(airframe);
    expect(faultsIn(turned, turned.parts[0]!)).toEqual([]);
    const { nest } = quickNest(turned);
    expect(nest.unplaced).toEqual([]);
    const [view] = boardViews(turned, nest);
    expect(pieceFaults(turned, view!, 0, view!.pieces[0]!.placed)).toEqual([]);
    expect(quickNest(airframe).nest.unplaced).toEqual([{ pieceId: 'p1', quantity: 1 }]);
    expect(isNestCurrent({ ...airframe, nest })).toBe(false);
  },
);

test('a step that does fit is named before turning freely, and what fits no way has neither mend', () => {
  // Within 494 × 494 a spar 20 wide may be 678 long at most, at 45°.
  const labelsOf = (length: number): readonly string[] => {
    const airframe = airframeOf([free(length, 20)], { boards: [{ ...foam, widthMm: 500, heightMm: 500, count: 1 }] });
    const [fault] = faultsIn(airframe, airframe.parts[0]!);
    return fault ? [fault.mend, ...(fault.others ?? [])].map((mend) => mend!.label) : [];
  };
  expect(labelsOf(650)).toContain('Turn free parts by 45°');
  expect(labelsOf(650)).not.toContain('Turn free parts freely');
  expect(labelsOf(690).filter((label) => label.startsWith('Turn'))).toEqual([]);
});

test('what grain holds is never turned aslant, and turning freely is not tried where nothing could be', () => {
  const airframe = turnedFreely(
    airframeOf([{ ...along('a'), quantity: 5 }, free(200, 140, 'b')], { boards: [{ ...foam, count: 3 }] }),
  );
  const { nest } = quickNest(airframe, 40);
  const turns = nest.boards.flatMap(({ placements }) => placements).filter(({ pieceId }) => pieceId === 'a');
  expect(turns).toHaveLength(5);
  for (const { rotation } of turns) expect(rotation % 180).toBe(0);
  const held = airframeOf([along('a')], { boards: [{ ...foam, count: 3 }] });
  const advice = nestAdvice(held, 1);
  let step = advice.next();
  const kinds: string[] = [];
  while (!step.done) {
    kinds.push(...step.value.found.map(({ change }) => change.kind));
    expect(step.value.of).toBe(3);
    step = advice.next();
  }
  expect(kinds).not.toContain('freely');
});

test('at the end what is drawn askew is laid with its long edge along the board, not as it is drawn', () => {
  // A plate of 200 × 60 drawn at 20°: turned by 340° its long edge runs along the board.
  const turn = (20 * Math.PI) / 180,
    corner = (x: number, y: number): readonly [number, number] => [
      x * Math.cos(turn) - y * Math.sin(turn),
      x * Math.sin(turn) + y * Math.cos(turn),
    ];
  const askew = {
    ...polygonPart([corner(0, 0), corner(200, 0), corner(200, 60), corner(0, 60)]),
    grain: anyWay,
  };
  const airframe = turnedFreely(airframeOf([askew]));
  const nestAt = (rotation: number): AirframeNest => ({
    readHash: '0'.repeat(16),
    seed: 1,
    tried: 1,
    boards: [{ boardId: foam.id, placements: [{ pieceId: 'p1', rotation, x: 250, y: 250 }] }],
    unplaced: [],
  });
  const turnOf = (rotation: number): number => squared(airframe, nestAt(rotation)).boards[0]!.placements[0]!.rotation;
  expect(turnOf(345)).toBeCloseTo(340, 1);
  expect(squared(airframe, nestAt(340))).toEqual(nestAt(340));
  expect(turnOf(326)).toBeCloseTo(340, 1);
});
