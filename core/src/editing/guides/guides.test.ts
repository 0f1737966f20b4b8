import fc from 'fast-check';
import { after, plate, withRound } from '../../../test/samples.ts';
import { distance } from '../../geometry/index.ts';
import { guideShape, holesOf, outlineOf, placedGuides, type Part } from '../../part/index.ts';
import { guideCrossings, nearestOnGuide, polylineDraft, type GuideShape } from '../../paths/index.ts';
import { applyCommand, type PartCommand } from '../commands.ts';
import type { GuideDraft } from './guides.ts';

const mark = { kind: 'mark', face: 'face', label: '' } as const;
const edgeId = (part: Part, index: number): string => outlineOf(part)!.segments[index]!.id;
const guided = (part: Part, ...guides: readonly GuideDraft[]): Part =>
  after(part, ...guides.map((guide): PartCommand => ({ name: 'addGuide', args: { guide } })));
const guideId = (part: Part, index = 0): string => part.guides![index]!.id;
/** Plate 200 × 100 with a guide 30 above its lower edge. */
const raised = (): Part => {
  const part = plate(200, 100);
  return guided(part, { kind: 'beside', of: { segmentId: edgeId(part, 0) }, byMm: 30, name: 'spar' });
};
const line = (part: Part, ...points: readonly (readonly [number, number])[]): Part =>
  after(part, {
    name: 'drawLine',
    args: { draft: polylineDraft(points.map(([x, y]) => ({ x, y }))), operation: mark },
  });
const refusal = (part: Part, command: PartCommand): string => {
  const result = applyCommand(part, command);
  return result.ok ? 'done' : result.message;
};

test('what is drawn on a guide follows it: set to 42, the line lies 42 above the edge', () => {
  const drawn = line(raised(), [0, 30], [200, 30]);
  expect(drawn.attachments).toHaveLength(2);
  const moved = after(drawn, { name: 'changeGuide', args: { guideId: guideId(drawn), changes: { byMm: 42 } } });
  expect(moved.lines[0]!.nodes.map(({ x, y }) => [x, y])).toEqual([
    [0, expect.closeTo(42, 9)],
    [200, expect.closeTo(42, 9)],
  ]);
});
test('and follows the edge that the guide stands beside', () => {
  const drawn = line(raised(), [0, 30], [200, 30]);
  const lowered = after(drawn, {
    name: 'moveNodes',
    args: {
      nodeIds: outlineOf(drawn)!
        .nodes.slice(0, 2)
        .map(({ id }) => id),
      by: { x: 0, y: -15 },
    },
  });
  expect(lowered.lines[0]!.nodes.map(({ y }) => y)).toEqual([expect.closeTo(15, 9), expect.closeTo(15, 9)]);
});
test('a point moved off its guide lets go; moved along it, it stays', () => {
  const drawn = line(raised(), [0, 30], [100, 30]);
  const id = drawn.lines[0]!.nodes[1]!.id;
  expect(after(drawn, { name: 'moveNodes', args: { nodeIds: [id], by: { x: 40, y: 0 } } }).attachments).toHaveLength(2);
  const off = after(drawn, { name: 'moveNodes', args: { nodeIds: [id], by: { x: 0, y: 5 } } });
  expect(off.attachments!.map(({ nodeId }) => nodeId)).toEqual([drawn.lines[0]!.nodes[0]!.id]);
  expect(after(drawn, { name: 'detachNodes', args: { nodeIds: [id] } }).attachments).toHaveLength(1);
});
test('a point on two guides stays on their crossing', () => {
  const crossed = guided(raised(), { kind: 'line', at: { x: 80, y: 0 }, angleDegrees: 90 });
  const drawn = line(crossed, [80, 30], [150, 70]);
  expect(drawn.attachments).toHaveLength(2);
  const moved = after(
    drawn,
    { name: 'changeGuide', args: { guideId: guideId(drawn, 1), changes: { at: { x: 95, y: 0 } } } },
    { name: 'changeGuide', args: { guideId: guideId(drawn), changes: { byMm: 20 } } },
  );
  expect(moved.lines[0]!.nodes[0]).toMatchObject({ x: expect.closeTo(95, 9), y: expect.closeTo(20, 9) });
});
test('a guide moved over points does not catch them; round guides and guides beside guides work too', () => {
  const drawn = line(raised(), [10, 50], [190, 50]);
  expect(
    after(drawn, { name: 'changeGuide', args: { guideId: guideId(drawn), changes: { byMm: 50 } } }).attachments ?? [],
  ).toEqual([]);
  const ring = guided(raised(), { kind: 'circle', at: { x: 100, y: 50 }, radiusMm: 20 });
  const outer = guided(ring, { kind: 'beside', of: { guideId: guideId(ring, 1) }, byMm: 5 });
  expect(guideShape(outer, outer.guides![2]!)).toEqual({ kind: 'circle', centre: { x: 100, y: 50 }, radiusMm: 25 });
  const spoke = line(outer, [100, 50], [125, 50]);
  expect(
    after(spoke, { name: 'changeGuide', args: { guideId: guideId(spoke, 1), changes: { radiusMm: 30 } } }).lines[0]!
      .nodes[1]!.x,
  ).toBeCloseTo(135, 9);
});
test('a guide goes with its edge, and those beside it with it; points stay', () => {
  const part = guided(raised(), { kind: 'beside', of: { guideId: guideId(raised()) }, byMm: 10 });
  const gone = after(line(part, [0, 30], [200, 30]), {
    name: 'removeNode',
    args: { nodeId: outlineOf(part)!.nodes[0]!.id },
  });
  expect([gone.guides, gone.attachments, gone.lines[0]!.nodes[0]!.y]).toEqual([[], [], 30]);
});
test('mirrored, everything stays on its guide', () => {
  const drawn = line(raised(), [20, 30], [140, 30]);
  for (const across of ['vertical', 'horizontal'] as const) {
    const mirrored = after(drawn, { name: 'mirrorPart', args: { across } });
    expect(mirrored.attachments).toHaveLength(2);
    const shape = placedGuides(mirrored)[0]!.shape;
    for (const node of mirrored.lines[0]!.nodes) expect(distance(nearestOnGuide(shape, node), node)).toBeLessThan(1e-6);
  }
});
test('crossings lie on both guides', () => {
  const number = fc.double({ min: -100, max: 100, noNaN: true });
  const point = fc.record({ x: number, y: number });
  const shape: fc.Arbitrary<GuideShape> = fc.oneof(
    fc.tuple(point, fc.double({ min: 0, max: 6, noNaN: true })).map(([through, turn]) => ({
      kind: 'line' as const,
      through,
      direction: { x: Math.cos(turn), y: Math.sin(turn) },
    })),
    fc.record({
      kind: fc.constant('circle' as const),
      centre: point,
      radiusMm: fc.double({ min: 1, max: 80, noNaN: true }),
    }),
  );
  fc.assert(
    fc.property(shape, shape, (a, b) => {
      for (const p of guideCrossings(a, b).filter(({ x, y }) => Math.hypot(x, y) < 1e4))
        for (const one of [a, b]) expect(distance(nearestOnGuide(one, p), p)).toBeLessThan(1e-4);
    }),
  );
});
test('free curves, lost edges, no radius, and guides beside themselves are refused', () => {
  const curved = after(plate(200, 100), {
    name: 'changeSegment',
    args: { segmentId: edgeId(plate(200, 100), 0), to: { kind: 'cubic' } },
  });
  expect(
    refusal(curved, {
      name: 'addGuide',
      args: { guide: { kind: 'beside', of: { segmentId: edgeId(curved, 0) }, byMm: 5 } },
    }),
  ).toContain('straight edge, an arc');
  expect(
    refusal(curved, { name: 'addGuide', args: { guide: { kind: 'beside', of: { segmentId: 's99' }, byMm: 5 } } }),
  ).toContain('straight edge, an arc');
  for (const radiusMm of [0, -3, Number.NaN, 1e12])
    expect(
      refusal(curved, { name: 'addGuide', args: { guide: { kind: 'circle', at: { x: 0, y: 0 }, radiusMm } } }),
    ).toContain('radius');
  const round = withRound(plate(200, 100), 50, 50, 10);
  expect(
    refusal(round, {
      name: 'addGuide',
      args: { guide: { kind: 'beside', of: { segmentId: holesOf(round)[0]!.segments[0]!.id }, byMm: -12 } },
    }),
  ).toContain('inside no smaller circle');
  expect(
    refusal(raised(), { name: 'changeGuide', args: { guideId: guideId(raised()), changes: { radiusMm: 5 } } }),
  ).toContain('has no radiusMm');
});
