import { after, airframeOf, foam, plate } from '../../test/samples.ts';
import type { Airframe } from './airframe.ts';
import { nestAdvice, withChange, type NestAdviceStep } from './nest-advice.ts';
import { boardsAtLeast, isNestCurrent, quickNest } from './nest-airframe.ts';

const along = (width: number, height: number, id: string) =>
  after(plate(width, height, id), {
    name: 'changeDetails',
    args: { changes: { grain: { directionDegrees: 0, rule: 'along' } } },
  });
const nested = (airframe: Airframe): Airframe => ({ ...airframe, nest: quickNest(airframe, 9).nest });
function tried(airframe: Airframe): NestAdviceStep {
  const trying = nestAdvice(airframe, 1);
  for (;;) {
    const { value, done } = trying.next();
    if (done) return value;
  }
}

test('two plates that the grain keeps from standing side by side: letting both turn saves a board, and is told so', () => {
  // Along the grain each takes 480 of 700 mm: they lie one above the other, 2 · 340 mm of 494. Turned they are 2 · 340 of 694 wide.
  const airframe = nested(
    airframeOf([along(480, 340, 'a'), along(480, 340, 'b')], { boards: [{ ...foam, grain: 'width' }] }),
  );
  expect(airframe.nest!.boards).toHaveLength(2);
  const { found, tried: all, of } = tried(airframe);
  expect(all).toBe(of);
  expect(found[0]!.change).toEqual({ kind: 'grain', partIds: ['a', 'b'] });
  expect(found[0]!.nest.boards).toHaveLength(1);
  // By hand: of two boards each is left 494 − 340 mm high and more; of one, a strip.
  expect(found[0]!.savedBoards).toBeGreaterThan(0.5);
  const accepted = { ...withChange(airframe, found[0]!.change), nest: found[0]!.nest };
  expect(isNestCurrent(accepted)).toBe(true);
  expect(accepted.parts.map(({ grain }) => grain.rule)).toEqual(['any', 'any']);
});

test('where nothing holds it back nothing is advised', () => {
  const airframe = nested(airframeOf([plate(690, 490, 'a')]));
  expect(tried(airframe).found).toEqual([]);
});

test('two plates longer than half the board need a board each where their heights do not add up to one', () => {
  const boards = [{ ...foam, grain: 'width' as const }];
  // Middle of a board: 494 mm, the plates take 340 each and 2 between them.
  expect(boardsAtLeast(airframeOf([along(480, 340, 'a'), along(480, 340, 'b')], { boards })).byLongParts).toBe(2);
  expect(boardsAtLeast(airframeOf([along(480, 246, 'a'), along(480, 246, 'b')], { boards })).byLongParts).toBe(1);
  expect(boardsAtLeast(airframeOf([along(480, 246.1, 'a'), along(480, 246.1, 'b')], { boards })).byLongParts).toBe(2);
  // Higher than half the board they lie side by side, 2 · 346 + 2 of 694 mm, and not a hair wider.
  expect(boardsAtLeast(airframeOf([along(346, 340, 'a'), along(346, 340, 'b')], { boards })).byLongParts).toBe(1);
  expect(boardsAtLeast(airframeOf([along(346.1, 340, 'a'), along(346.1, 340, 'b')], { boards })).byLongParts).toBe(2);
  // Short ones may lie side by side: they say nothing. Nor do plates that may be turned to stand.
  expect(boardsAtLeast(airframeOf([along(346, 200, 'a'), along(346, 200, 'b')], { boards })).byLongParts).toBe(0);
  expect(boardsAtLeast(airframeOf([plate(480, 240, 'a'), plate(480, 240, 'b')], { boards })).byLongParts).toBe(0);
});
