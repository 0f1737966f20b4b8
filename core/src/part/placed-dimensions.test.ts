import fc from 'fast-check';
import { after, airframeOf, boxSide, made, plate, polygonPart, withRound } from '../../test/samples.ts';
import { pagesOf, resolveIn } from '../airframe/index.ts';
import { applyCommand } from '../editing/index.ts';
import { partPicture } from '../ink/index.ts';
import { lineTexts } from '../linecode/index.ts';
import { polylineDraft } from '../paths/index.ts';
import { starboardTwin } from '../resolve/index.ts';
import type { DimensionAlong } from './dimension.ts';
import { brokenInvariant } from './invariants.ts';
import { outlineOf, type Part } from './part.ts';
import { placedDimensions } from './placed-dimensions.ts';

const nodes = (part: Part) => outlineOf(part)!.nodes;
const pinned = (part: Part, from: number, to: number, along: DimensionAlong = 'straight'): Part =>
  after(part, {
    name: 'pinDimension',
    args: { fromNodeId: nodes(part)[from]!.id, toNodeId: nodes(part)[to]!.id, along },
  });
const value = (part: Part): number => placedDimensions(part)[0]!.valueMm;

test('a pinned dimension tells the distance and follows every edit; straight, across and up', () => {
  const part = plate(200, 100);
  expect(value(pinned(part, 0, 2))).toBeCloseTo(Math.hypot(200, 100), 9);
  expect(value(pinned(part, 0, 2, 'across'))).toBe(200);
  expect(value(pinned(part, 0, 2, 'up'))).toBe(100);
  const moved = after(pinned(part, 0, 1), {
    name: 'moveNodes',
    args: { nodeIds: [nodes(part)[1]!.id], by: { x: 13, y: 0 } },
  });
  expect(value(moved)).toBe(213);
});
test('setting its number moves its second point along it, whatever the number', () => {
  fc.assert(
    fc.property(
      fc.constantFrom<DimensionAlong>('straight', 'across', 'up'),
      fc.double({ min: 0.5, max: 900, noNaN: true }),
      (along, valueMm) => {
        const part = pinned(plate(200, 100), 0, 2, along);
        const set = after(part, { name: 'setDimension', args: { dimensionId: part.dimensions![0]!.id, valueMm } });
        expect(value(set)).toBeCloseTo(valueMm, 6);
        expect(nodes(set)[0]).toEqual(nodes(part)[0]);
        expect(brokenInvariant(set)).toBeUndefined();
      },
    ),
  );
  const part = pinned(plate(200, 100), 0, 2, 'across');
  const set = after(part, { name: 'setDimension', args: { dimensionId: part.dimensions![0]!.id, valueMm: 150 } });
  expect(nodes(set)[2]).toMatchObject({ x: 150, y: 100 });
});
test('it goes when a point of it goes, and is never pinned twice or to nothing', () => {
  const part = pinned(boxSide(), 0, 1);
  expect(after(part, { name: 'removeNode', args: { nodeId: nodes(part)[1]!.id } }).dimensions).toEqual([]);
  expect(after(part, { name: 'removeDimension', args: { dimensionId: part.dimensions![0]!.id } }).dimensions).toEqual(
    [],
  );
  const refusal = (fromNodeId: string, toNodeId: string, along: DimensionAlong = 'straight'): string => {
    const result = applyCommand(part, { name: 'pinDimension', args: { fromNodeId, toNodeId, along } });
    return result.ok ? 'done' : result.message;
  };
  expect(refusal(nodes(part)[1]!.id, nodes(part)[0]!.id)).toContain('pinned already');
  expect(refusal(nodes(part)[0]!.id, nodes(part)[0]!.id)).toContain('between two points');
  expect(refusal(nodes(part)[0]!.id, 'nowhere')).toContain('between two points');
  expect(refusal(nodes(part)[0]!.id, nodes(part)[1]!.id, 'up')).toContain('no distance');
  for (const valueMm of [0, -3, Number.NaN, 1e12])
    expect(
      applyCommand(part, { name: 'setDimension', args: { dimensionId: part.dimensions![0]!.id, valueMm } }).ok,
    ).toBe(false);
});
test('a dimension never keeps a line from being removed or closed: it goes with its point', () => {
  const mark = { kind: 'mark', face: 'face', label: '' } as const;
  const drawn = after(plate(200, 100), {
    name: 'drawLine',
    args: {
      draft: polylineDraft([
        { x: 20, y: 20 },
        { x: 90, y: 20 },
        { x: 90, y: 70 },
        { x: 20, y: 20.2 },
      ]),
      operation: mark,
    },
  });
  const ends = drawn.lines[0]!.nodes;
  const part = after(drawn, {
    name: 'pinDimension',
    args: { fromNodeId: nodes(drawn)[0]!.id, toNodeId: ends[3]!.id, along: 'straight' },
  });
  expect(after(part, { name: 'removeOperation', args: { operationId: part.operations[0]!.id } })).toMatchObject({
    lines: [],
    dimensions: [],
  });
  expect(after(part, { name: 'closePath', args: { pathId: part.lines[0]!.id } })).toMatchObject({
    lines: [{ closed: true }],
    dimensions: [],
  });
});
test('a page that only a dimension crosses is printed too', () => {
  const l = polygonPart([
    [0, 0],
    [600, 0],
    [600, 40],
    [40, 40],
    [40, 600],
    [0, 600],
  ]);
  const across = pinned(l, 1, 5);
  const pages = (part: Part): number => pagesOf(airframeOf([part])).pages.length;
  expect(pages(across)).toBeGreaterThan(pages(l));
});
test('it is drawn on mat and page in the builder’s unit, mirrored with the twin, and left out of small pictures', () => {
  const part = pinned(plate(187.325, 100), 0, 1);
  const words = (resolved: ReturnType<typeof made>, unit: 'mm' | 'in' = 'mm'): string[] =>
    lineTexts(resolved, unit).flatMap((mark) => (mark.dimensionId ? [mark.text] : []));
  expect(words(made(part))).toEqual(['187.3']);
  const airframe = airframeOf([part]);
  const inches = { ...airframe, settings: { ...airframe.settings, unit: 'in' as const } };
  expect(words(resolveIn(inches, part), 'in')).toEqual(['7 3/8']);
  expect(words(resolveIn({ ...airframe, settings: { ...airframe.settings, scale: 2 } }, part))).toEqual(['374.6']);
  expect(starboardTwin(made(part)).dimensions[0]!.to.x).toBeCloseTo(-187.325, 9);
  const box = { minX: 0, maxX: 40, minY: 0, maxY: 20 };
  expect(partPicture(made(part), box)).toHaveLength(partPicture(made(plate(187.325, 100)), box).length);
  expect(withRound(part, 50, 50, 5).dimensions).toEqual(part.dimensions);
});
