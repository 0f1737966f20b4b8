import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, airframeOf, groove, outlined, plate, polygonPart, withLine, withRound } from '../../test/samples.ts';
import { combineOutlines, pathSignedArea } from '../geometry/index.ts';
import { holesOf, outlineOf, type Part } from '../part/index.ts';
import { curvesOf } from '../paths/index.ts';
import { resolveIn, faultsIn } from './funnel.ts';
import { foldFaults } from './fold-faults.ts';
import { splitInAirframe } from './split-airframe.ts';

const halvesOf = (part: Part): readonly [Part, Part] =>
  splitInAirframe(airframeOf([part]), part.id, 'p2')!.split.halves;
const area = (part: Part): number => resolveIn(airframeOf([part]), part).areaMm2;

describe('a part cut in two', () => {
  test('a strip of 900 × 100 with a fold along it: two halves of 45,000 mm² in all, no larger than a board, the fold on both', () => {
    const strip = withLine(plate(900, 100), [0, 40], [900, 40], groove());
    const airframe = airframeOf([strip]);
    expect(faultsIn(airframe, strip)[0]).toMatchObject({
      code: 'PART_TOO_LARGE',
      others: expect.arrayContaining([expect.objectContaining({ label: 'Split it at 450 mm, with tongues' })]),
    });
    const { airframe: now } = splitInAirframe(airframe, 'p1', 'p2')!;
    expect(now.parts.map(area).reduce((sum, one) => sum + one, 0)).toBeCloseTo(90_000, 3);
    expect(now.parts.flatMap((part) => faultsIn(now, part))).toEqual([]);
    expect(now.parts.map(({ operations }) => operations.length)).toEqual([1, 1]);
    // The halves lock: they stand together without press, and their seam is closed.
    expect(foldFaults(now)).toEqual([]);
  });
  test('the cut goes by a hole in the middle, and each hole stays on its half', () => {
    const holed = withRound(withRound(plate(900, 100), 450, 50, 20), 200, 50, 10);
    const { airframe, split } = splitInAirframe(airframeOf([holed]), 'p1', 'p2')!;
    expect(Math.abs(split.atMm - 450)).toBeGreaterThan(35);
    expect(split.halves.map((half) => holesOf(half).length).sort()).toEqual(split.atMm > 450 ? [0, 2] : [1, 1]);
    expect(airframe.parts.map(area).reduce((sum, one) => sum + one, 0)).toBeCloseTo(90_000 - Math.PI * (400 + 100), 0);
  });
  test('a narrow spar is cut on a slant twice as long as it is wide', () => {
    const { split } = splitInAirframe(airframeOf([plate(900, 24)]), 'p1', 'p2')!;
    expect(split.how).toBe('scarf');
    expect(split.halves.map(area)).toEqual([expect.closeTo(450 * 24, 3), expect.closeTo(450 * 24, 3)]);
  });
  test('the longest name still saves, and a pair that meets its own other piece does so on both halves', () => {
    const pair: Part = { ...plate(900, 100), name: 'n'.repeat(80), handed: 'pair' };
    const edge = outlineOf(pair)!.segments[1]!.id;
    const met = after(pair, { name: 'addSeam', args: { fromSegmentId: edge, toSegmentId: edge, toPartId: 'p1' } });
    const [first, second] = halvesOf(met);
    expect([first.name.length, second.name.length]).toEqual([80, 80]);
    // The far end is on the second half alone; each half's own seams name the part that they meet there.
    expect(first.seams).toEqual([]);
    expect(second.seams!.map(({ toPartId }) => toPartId)).toEqual(['p2', 'p1']);
  });
  test('what stands on the far half follows it; a half drawing is not cut', () => {
    const mark = withLine(plate(900, 100), [700, 20], [700, 80], { kind: 'mark', face: 'face', label: '' });
    const former = after(plate(60, 30, 'former'), {
      name: 'addJoint',
      args: {
        joint: {
          ownSegmentId: outlineOf(plate(60, 30, 'former'))!.segments[0]!.id,
          ownSkin: 'back',
          toPartId: 'p1',
          toSegmentId: mark.lines[0]!.segments[0]!.id,
          toSkin: 'face',
          turnDegrees: 90,
          alongMm: 0,
          isReversed: false,
        },
      },
    });
    const { airframe } = splitInAirframe(airframeOf([mark, former]), 'p1', 'p2')!;
    expect(airframe.parts.find(({ id }) => id === 'former')!.joints![0]!.toPartId).toBe('p2');
    expect(airframe.parts.flatMap((part) => faultsIn(airframe, part))).toEqual([]);
    const half = after(plate(900, 100), { name: 'setSymmetry', args: { symmetry: { along: 'level', atMm: 0 } } });
    expect(splitInAirframe(airframeOf([half]), 'p1', 'p2')).toBeUndefined();
  });
});

test('the halves of any part share nothing and are all of it: tapered, turned, round at its ends', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 30, max: 300 }),
      fc.integer({ min: 30, max: 300 }),
      fc.integer({ min: -60, max: 60 }),
      fc.boolean(),
      fc.double({ min: 0, max: 0.8, noNaN: true }),
      (root, tip, sweep, isUpright, bulge) => {
        const corners = [
          [0, 0],
          [900, sweep],
          [900, sweep + tip],
          [0, root],
        ].map(([x, y]) => (isUpright ? { x: -y!, y: x! } : { x: x!, y: y! }));
        const part =
          bulge < 0.1
            ? polygonPart(corners.map(({ x, y }) => [x, y] as const))
            : outlined({
                closed: true,
                points: corners,
                segments: [{ kind: 'line' }, { kind: 'arc', bulge }, { kind: 'line' }, { kind: 'line' }],
              });
        const [a, b] = halvesOf(part);
        expect(area(a) + area(b)).toBeCloseTo(area(part), 1);
        const shared = combineOutlines(curvesOf(outlineOf(a)!), curvesOf(outlineOf(b)!), 'common');
        expect(shared.reduce((sum, loop) => sum + Math.abs(pathSignedArea(loop)), 0)).toBeLessThan(0.01);
      },
    ),
    { numRuns: oracleRuns(60) },
  );
});
