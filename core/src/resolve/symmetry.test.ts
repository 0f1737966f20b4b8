import fc from 'fast-check';
import { after, airframeOf, groove, made, plate, withBevel } from '../../test/samples.ts';
import { faultsIn } from '../airframe/index.ts';
import type { PartCommand } from '../editing/index.ts';
import { emptyPart, outlineOf, straightLines, type Part } from '../part/index.ts';
import { circleDraft, polygonDraft, polylineDraft } from '../paths/index.ts';
import { expandPart } from './expand-part.ts';
import { drawnHalf } from './symmetry.ts';

const upright = { along: 'upright', atMm: 0 } as const;
const context = { thicknessMm: 5, plateThicknesses: {} };
const halved = (points: readonly (readonly [number, number])[], closed = false): Part =>
  after(
    emptyPart('p1', 'Elevator', 'foam'),
    { name: 'setSymmetry', args: { symmetry: upright } },
    {
      name: 'drawOutline',
      args: { draft: (closed ? polygonDraft : polylineDraft)(points.map(([x, y]) => ({ x, y }))) },
    },
  );
const half = halved([
  [0, 0],
  [100, 0],
  [100, 50],
  [0, 50],
]);

test('an open half becomes a closed whole, twice as large; a closed half with a run on the line too', () => {
  expect(made(half).areaMm2).toBeCloseTo(10_000, 9);
  expect(made(half).bounds).toEqual({ minX: -100, maxX: 100, minY: 0, maxY: 50 });
  expect(
    made(
      halved(
        [
          [0, 0],
          [100, 0],
          [100, 50],
          [0, 50],
        ],
        true,
      ),
    ).areaMm2,
  ).toBeCloseTo(10_000, 9);
  expect(outlineOf(expandPart(half, context))!.segments.length).toBe(6);
  expect(drawnHalf(half)).toBe(1);
});
test('holes beside the line come twice, one on it once; folds that end on it run through; bevels are on both sides', () => {
  const mark = { kind: 'mark', face: 'face', label: '' } as const;
  const drawn = after(
    withBevel(half, 0, 30),
    { name: 'drawHole', args: { draft: circleDraft({ x: 60, y: 25 }, 8) } },
    { name: 'drawHole', args: { draft: circleDraft({ x: 0, y: 25 }, 5) } },
    {
      name: 'drawLine',
      args: {
        draft: polylineDraft([
          { x: 0, y: 40 },
          { x: 100, y: 40 },
        ]),
        operation: groove(60),
      },
    },
    {
      name: 'drawLine',
      args: {
        draft: polylineDraft([
          { x: 20, y: 10 },
          { x: 40, y: 10 },
        ]),
        operation: mark,
      },
    },
  );
  const whole = made(drawn);
  expect(whole.areaMm2).toBeCloseTo(10_000 - 2 * Math.PI * 64 - Math.PI * 25, 6);
  expect(whole.strokes.map(({ kind, lengthMm }) => [kind, lengthMm])).toEqual([
    ['bevel', expect.closeTo(200, 6)],
    ['groove', expect.closeTo(200, 6)],
    ['mark', expect.closeTo(20, 6)],
    ['mark', expect.closeTo(20, 6)],
  ]);
  expect(faultsIn(airframeOf([drawn]), drawn)).toEqual([]);
});
test('a hinge that is bevelled on one edge is bevelled on the outer edge of both halves', () => {
  const hinge = { kind: 'hinge', face: 'face', deflectionDegrees: 45, relief: 'left', label: '' } as const;
  const joined = made(
    after(half, {
      name: 'drawLine',
      args: {
        draft: polylineDraft([
          { x: 0, y: 30 },
          { x: 100, y: 30 },
        ]),
        operation: hinge,
      },
    }),
  ).strokes;
  expect(joined).toHaveLength(1);
  expect(Math.min(...joined[0]!.area.flat().map(({ y }) => y))).toBeCloseTo(30, 3);
  const apart = made(
    after(half, {
      name: 'drawLine',
      args: {
        draft: polylineDraft([
          { x: 20, y: 0 },
          { x: 20, y: 50 },
        ]),
        operation: hinge,
      },
    }),
  ).strokes;
  const inner = apart.map(({ area }) => area.flat().map(({ x }) => Math.abs(x)));
  expect(inner.map((xs) => [Math.min(...xs), Math.max(...xs)])).toEqual([
    [expect.closeTo(15, 3), expect.closeTo(20, 3)],
    [expect.closeTo(15, 3), expect.closeTo(20, 3)],
  ]);
});
test('any half beside the line gives twice its area, and its own mirror image', () => {
  const number = fc.double({ min: 1, max: 300, noNaN: true });
  fc.assert(
    fc.property(number, number, number, fc.double({ min: 0.01, max: 0.27, noNaN: true }), (reach, height, top, b) => {
      const part = halved([
        [0, 0],
        [reach, 0],
        [reach, height],
        [0, height + top],
      ]);
      const outline = outlineOf(part)!;
      const round = after(part, {
        name: 'changeSegment',
        args: { segmentId: outline.segments[2]!.id, to: { kind: 'arc', bulge: b } },
      });
      const whole = made(round);
      // By hand: the rectangle, the triangle on it, and the segment of a circle beyond its slope.
      const chord = Math.hypot(reach, top),
        sweep = 4 * Math.atan(b),
        radius = (chord * (1 + b * b)) / (4 * b);
      const halfArea = reach * height + (reach * top) / 2 + (radius ** 2 * (sweep - Math.sin(sweep))) / 2;
      expect(whole.areaMm2 / (2 * halfArea)).toBeCloseTo(1, 6);
      const xs = whole.outer.map(({ x }) => x);
      expect(Math.min(...xs)).toBeCloseTo(-Math.max(...xs), 6);
    }),
    { numRuns: 40 },
  );
});
test('a half that ends off its line, or crosses it, is named and mended', () => {
  const off = halved([
    [3, 0],
    [100, 0],
    [100, 50],
    [0, 50],
  ]);
  const fault = faultsIn(airframeOf([off]), off)[0]!;
  expect(fault).toMatchObject({
    code: 'SYMMETRY_APART',
    title: 'The half of Elevator ends 3.00 mm off its centre line',
  });
  const mended = after(off, (fault.mend as { command: PartCommand }).command);
  expect(made(mended).areaMm2).toBeCloseTo(10_000, 9);
  expect(faultsIn(airframeOf([mended]), mended)).toEqual([]);
  const across = halved([
    [0, 0],
    [100, 0],
    [-20, 50],
    [0, 60],
  ]);
  const crossing = faultsIn(airframeOf([across]), across)[0]!;
  expect(crossing.title).toContain('crosses its centre line');
  // Cut off at the line: of the quadrilateral stays what lies at x above 0, the triangle from (0, 41.7) to the left is gone.
  const cut = after(across, (crossing.mend as { command: PartCommand }).command);
  expect(faultsIn(airframeOf([cut]), cut)).toEqual([]);
  // Right of the line: 0, 0 to 100, 0 to where the slanted edge crosses, at 100 / 120 of 50 up.
  expect(made(cut).areaMm2).toBeCloseTo(2 * 0.5 * 100 * (50 * (100 / 120)), 6);
  const [wholly] = crossing.others!;
  expect('symmetry' in after(across, (wholly as { command: PartCommand }).command)).toBe(false);
  const beside = halved([
    [4, 0],
    [100, 0],
    [100, 50],
    [4, 50],
  ]);
  const shut = after(beside, { name: 'closePath', args: { pathId: outlineOf(beside)!.id } });
  const apart = faultsIn(airframeOf([shut]), shut)[0]!;
  expect(apart.mend.label).toBe('Move the centre line 4.0 mm, to its edge');
  const met = after(shut, (apart.mend as { command: PartCommand }).command);
  expect(faultsIn(airframeOf([met]), met)).toEqual([]);
  expect(made(met).areaMm2).toBeCloseTo(2 * 96 * 50, 6);
});
test('moved, the centre line carries the other half along', () => {
  const wide = after(
    half,
    { name: 'setSymmetry', args: { symmetry: { along: 'upright', atMm: -10 } } },
    { name: 'meetCentreLine', args: {} },
  );
  expect(made(wide).areaMm2).toBeCloseTo(220 * 50, 9);
  expect(made(after(half, { name: 'mirrorPart', args: { across: 'vertical' } })).areaMm2).toBeCloseTo(10_000, 9);
});

test('the lines of a half drawing that a part can stand on: those drawn and their images, by name and length; pieces that tabs leave are one edge', () => {
  const marked = after(half, {
    name: 'drawLine',
    args: {
      draft: polylineDraft([
        { x: 10, y: 4 },
        { x: 40, y: 4 },
      ]),
      operation: { kind: 'mark', face: 'face', label: 'former 1' },
    },
  });
  const lines = straightLines(marked, expandPart(marked, context));
  expect(lines.filter(({ name }) => name.startsWith('mark'))).toEqual([
    expect.objectContaining({ name: 'mark, former 1', lengthMm: 30, canMeet: true }),
    expect.objectContaining({ name: 'mark, former 1, mirrored', lengthMm: 30 }),
  ]);
  const board = plate(100, 40),
    outline = outlineOf(board)!;
  const tabbed = after(board, {
    name: 'addFeature',
    args: {
      kind: 'tabs',
      on: { pathId: outline.id, segmentId: outline.segments[0]!.id },
      numbers: { count: 2, lengthMm: 15, reachMm: 5 },
    },
  });
  expect(straightLines(tabbed, expandPart(tabbed, context)).map(({ name, lengthMm }) => [name, lengthMm])).toEqual([
    ['edge 1', 100],
    ['edge 2', 40],
    ['edge 3', 100],
    ['edge 4', 40],
  ]);
});
