import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, context, groove, plate, polygonPart, withLine } from '../../test/samples.ts';
import { outlineOf, type Part } from '../part/index.ts';
import { closeRing, ringCommands, type RingAnswers } from './close-ring.ts';
import { plateBody } from './folded-part.ts';

/** A strip of sides with a groove between each two, its first and last edges declared to meet. */
function strip(lengths: readonly number[], turns: readonly number[] = lengths.slice(1).map(() => 60)): Part {
  const total = lengths.reduce((sum, length) => sum + length, 0);
  let y = 0;
  const folded = turns.reduce(
    (part, turn, index) => {
      y += lengths[index]!;
      return withLine(part, [0, y], [100, y], groove(turn));
    },
    plate(100, total),
  );
  const edges = outlineOf(folded)!.segments;
  return after(folded, { name: 'addSeam', args: { fromSegmentId: edges[0]!.id, toSegmentId: edges[2]!.id } });
}
const closed = (part: Part, freeIds?: readonly string[]): RingAnswers => {
  const body = plateBody(part, context)!;
  return closeRing(body, body.seams[0]!, freeIds)!;
};
const foldsOf = (part: Part): readonly string[] =>
  part.operations.filter(({ kind }) => kind === 'groove').map(({ id }) => id);
const sorted = (angles: readonly number[]): readonly number[] => [...angles].sort((a, b) => a - b);

describe('closing a ring of panels', () => {
  test('a triangle has one answer, its corners by the law of cosines; one that no groove can make has none', () => {
    // Between 40 and 50 a triangle of 30, 40, 50 turns by 143.13°: a groove folds to 120 at most.
    expect(closed(strip([30, 40, 50])).answers).toEqual([]);
    const { answers } = closed(strip([55, 30, 50]));
    expect(answers).toHaveLength(1);
    const corner = (a: number, b: number, c: number): number =>
      180 - (Math.acos((a * a + b * b - c * c) / (2 * a * b)) * 180) / Math.PI;
    expect(answers[0]!.turns.map(({ turnDegrees }) => turnDegrees)).toEqual([
      expect.closeTo(corner(55, 30, 50), 3),
      expect.closeTo(corner(30, 50, 55), 3),
    ]);
    expect(answers[0]).toMatchObject({ freedom: 0, gapMm: expect.closeTo(0, 2) });
  });
  test('any ring cut open, all but two of its folds given, closes at the angles that it was cut from', () => {
    // Points round a circle, so that every turn is one that a groove can make.
    const ring = fc
      .array(fc.double({ min: 0.6, max: 1.4, noNaN: true }), { minLength: 4, maxLength: 7 })
      .map((shares) => {
        const whole = shares.reduce((sum, share) => sum + share, 0);
        let at = 0;
        const points = shares.map((share) => {
          at += (2 * Math.PI * share) / whole;
          return { x: 80 * Math.cos(at), y: 80 * Math.sin(at) };
        });
        const sides = points.map((p, index) => {
          const q = points[(index + 1) % points.length]!;
          return { x: q.x - p.x, y: q.y - p.y };
        });
        const lengths = sides.map(({ x, y }) => Math.hypot(x, y));
        const turns = sides.slice(1).map(({ x, y }, index) => {
          const before = sides[index]!;
          return (Math.atan2(before.x * y - before.y * x, before.x * x + before.y * y) * 180) / Math.PI;
        });
        return { lengths, turns };
      })
      .filter(({ turns }) => turns.every((turn) => turn < 110));
    fc.assert(
      fc.property(ring, fc.nat(), fc.nat(), ({ lengths, turns }, i, j) => {
        const free = [i % turns.length, j % turns.length];
        fc.pre(free[0] !== free[1]);
        // The two free folds are drawn wrong.
        const part = strip(
          lengths,
          turns.map((turn, index) => (free.includes(index) ? 45 : turn)),
        );
        const ids = foldsOf(part);
        const { answers } = closed(
          part,
          free.map((index) => ids[index]!),
        );
        const truth = sorted(free.map((index) => turns[index]!));
        const found = answers.map(({ turns: own }) => sorted(own.map(({ turnDegrees }) => turnDegrees)));
        expect(found.some((own) => own.every((turn, index) => Math.abs(turn - truth[index]!) < 0.05))).toBe(true);
        for (const answer of answers) expect(answer).toMatchObject({ freedom: 0 });
      }),
      { numRuns: oracleRuns(30) },
    );
  }, 600_000);
  test('a nose of four unlike panels closes from its flat outline, can still move, and folds as it was told', () => {
    // Four panels that run together to the front: 60, 40, 60, 40 wide at the back, 30, 20, 30, 20 at the front, 90 long.
    const [back, front] = [
      [60, 40, 60, 40],
      [30, 20, 30, 20],
    ];
    const corners = flatNose(back!, front!, 95);
    const outline = polygonPart([...corners.back, ...corners.front.toReversed()]);
    const folded = [1, 2, 3].reduce(
      (part, index) => withLine(part, corners.back[index]!, corners.front[index]!, groove(60)),
      outline,
    );
    const edges = outlineOf(folded)!.segments;
    // The last side runs from the first back corner; the one after the back edges leads to the front.
    const part = after(folded, {
      name: 'addSeam',
      args: { fromSegmentId: edges.at(-1)!.id, toSegmentId: edges[4]!.id },
    });
    const { answers } = closed(part);
    expect(answers.length).toBeGreaterThan(0);
    expect(answers[0]!.gapMm).toBeLessThan(0.02);
    expect(answers[0]!.freedom).toBeGreaterThan(0);
    const done = after(part, ...ringCommands(part, answers[0]!));
    expect(plateBody(done, context)!.seams[0]!.gapMm).toBeLessThan(0.1);
  });
  test('lengths that cannot close name the panel and by how much it is wrong', () => {
    // 120 is 30 more than 50 and 40 together.
    const { answers, wrong, nearestMm } = closed(strip([50, 120, 40]));
    expect(answers).toEqual([]);
    expect(nearestMm).toBeGreaterThan(5);
    expect(Math.abs(wrong!.longerMm)).toBeGreaterThan(20);
  });
  test('with one fold free that cannot close it, it says what would: nothing is changed', () => {
    const part = strip([60, 60, 60], [120, 80]);
    const [, second] = foldsOf(part);
    const { answers } = closed(part, [second!]);
    expect(answers).toHaveLength(1);
    expect(answers[0]!.turns[0]!.turnDegrees).toBeCloseTo(120, 3);
    const stuck = strip([60, 60, 60], [100, 80]);
    const none = closed(stuck, [foldsOf(stuck)[1]!]);
    expect(none.answers).toEqual([]);
    // With 100° at the first corner the third side must span 2 · 60 · sin 40° = 77.13: it is 17.13 too short.
    expect(none.wrong!.longerMm).toBeCloseTo(2 * 60 * Math.sin((40 * Math.PI) / 180) - 60, 1);
  });
});

/** A flat nose: panels side by side, each an equal-sided trapezium `slant` long on its sides. */
function flatNose(
  back: readonly number[],
  front: readonly number[],
  slant: number,
): { readonly back: [number, number][]; readonly front: [number, number][] } {
  const corners = { back: [[0, 0]] as [number, number][], front: [] as [number, number][] };
  let [heading, at] = [0, { x: 0, y: 0 }];
  back.forEach((width, index) => {
    const lean = Math.asin((width - front[index]!) / 2 / slant);
    const up = heading + Math.PI / 2 - lean;
    if (index === 0) corners.front.push([at.x + slant * Math.cos(up), at.y + slant * Math.sin(up)]);
    at = { x: at.x + width * Math.cos(heading), y: at.y + width * Math.sin(heading) };
    const far = heading + Math.PI / 2 + lean;
    corners.back.push([at.x, at.y]);
    corners.front.push([at.x + slant * Math.cos(far), at.y + slant * Math.sin(far)]);
    // The next panel leans off by its own share and this one's.
    const next = back[index + 1];
    if (next !== undefined) heading += lean + Math.asin((next - front[index + 1]!) / 2 / slant);
  });
  return corners;
}
