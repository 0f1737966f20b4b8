import fc from 'fast-check';
import { applyCommand, type PartCommand } from '@grain-fold/core/editing';
import { arcGeometry, type Point } from '@grain-fold/core/geometry';
import { emptyPart, outlineOf, type Part } from '@grain-fold/core/part';
import { curveOf, polylineDraft, rectangleDraft } from '@grain-fold/core/paths';
import { choiceOf, guideDrag, handleDrag, trimTarget } from './drags.ts';

const after = (part: Part, ...commands: readonly PartCommand[]): Part =>
  commands.reduce((now, command) => {
    const result = applyCommand(now, command);
    if (!result.ok) throw new Error(result.message);
    return result.part;
  }, part);
const mark = { kind: 'mark', face: 'face', label: '' } as const;
const line = (from: Point, to: Point): PartCommand => ({
  name: 'drawLine',
  args: { draft: polylineDraft([from, to]), operation: mark },
});
const plate = after(emptyPart('p', 'Plate', 'foam'), {
  name: 'drawOutline',
  args: { draft: rectangleDraft({ x: 0, y: 0 }, 200, 100) },
});
const lined = after(plate, line({ x: 20, y: 20 }, { x: 180, y: 20 }), line({ x: 20, y: 60 }, { x: 180, y: 60 }));
const place = fc.record({
  x: fc.double({ min: -80, max: 280, noNaN: true }),
  y: fc.double({ min: -80, max: 180, noNaN: true }),
});

test('an edge that is dragged goes with the pointer, and the other ends stay', () => {
  const outline = outlineOf(lined)!,
    segmentId = outline.segments[1]!.id;
  const picked = { kind: 'segment', pathId: outline.id, segmentId, t: 0.5 } as const;
  const from = { x: 200, y: 50 };
  const { chosen, drag } = choiceOf(lined, picked, from, false, undefined, []);
  expect(chosen).toEqual({ kind: 'segment', pathId: outline.id, segmentId, t: 0.5 });
  const dragged = after(lined, drag!.commandFor({ x: 230, y: 55 }));
  expect(outlineOf(dragged)!.nodes.map(({ x, y }) => [x, y])).toEqual([
    [0, 0],
    [230, 5],
    [230, 105],
    [0, 100],
  ]);
  expect(drag!.except).toEqual([outline.nodes[1]!.id, outline.nodes[2]!.id]);
});

test('a line that stands in a group is chosen and moved with the group', () => {
  const ids = lined.lines.map(({ id }) => id);
  const grouped = after(lined, { name: 'groupPaths', args: { pathIds: ids } });
  const picked = { kind: 'operation', operationId: grouped.operations[0]!.id, pathId: ids[0]! } as const;
  const { chosen, drag } = choiceOf(grouped, picked, { x: 50, y: 20 }, false, undefined, []);
  expect(chosen).toEqual({ kind: 'paths', ids });
  const moved = after(grouped, drag!.commandFor({ x: 50, y: 25 }));
  expect(moved.lines.map(({ nodes }) => nodes[0]!.y)).toEqual([25, 65]);
});

test('with Shift a line is added to the choice, and taken out of it again', () => {
  const [first, second] = lined.lines.map(({ id }) => id) as [string, string];
  const picked = { kind: 'operation', operationId: lined.operations[1]!.id, pathId: second } as const;
  const chosen = (before: readonly string[]) => choiceOf(lined, picked, { x: 0, y: 0 }, true, undefined, before).chosen;
  expect(chosen([first])).toEqual({ kind: 'paths', ids: [first, second] });
  expect(chosen([first, second])).toEqual({ kind: 'paths', ids: [first] });
});

test('the handle of an arc goes with the pointer: the arc’s rise over its chord is the pointer’s', () => {
  const outline = outlineOf(lined)!;
  const bent = after(lined, {
    name: 'changeSegment',
    args: { segmentId: outline.segments[0]!.id, to: { kind: 'arc', bulge: 0.4 } },
  });
  const path = outlineOf(bent)!,
    run = { path, segment: path.segments[0]!, index: 0 };
  const middle = { x: 100, y: -40 };
  expect(handleDrag(run, { x: 100, y: 40 }, 5)).toBeUndefined();
  fc.assert(
    fc.property(fc.double({ min: 3, max: 95, noNaN: true }), (depth) => {
      const dragged = after(bent, handleDrag(run, middle, 5)!({ x: 100, y: -depth }));
      const arc = arcGeometry(curveOf(outlineOf(dragged)!, 0) as never);
      expect(arc.centre.y - arc.radius).toBeCloseTo(-depth, 6);
    }),
  );
});

test('a guide beside an edge changes its distance as the pointer goes away from it, wherever it was taken hold of', () => {
  const guided = after(plate, {
    name: 'addGuide',
    args: { guide: { kind: 'beside', of: { segmentId: outlineOf(plate)!.segments[0]!.id }, byMm: 10 } },
  });
  const guideId = guided.guides![0]!.id;
  fc.assert(
    fc.property(place, place, (from, to) => {
      const moved = after(guided, guideDrag(guided, guideId, from)!(to));
      expect(moved.guides![0]).toMatchObject({ byMm: expect.closeTo(10 + to.y - from.y, 6) });
    }),
  );
});

test('the line nearest to the pointer is trimmed; an outline never is', () => {
  expect(trimTarget(lined, { x: 60, y: 58 }, 5)).toEqual({
    segmentId: lined.lines[1]!.segments[0]!.id,
    t: expect.closeTo(0.25, 9),
  });
  expect(trimTarget(lined, { x: 60, y: 99 }, 5)).toBeUndefined();
});
