import {
  after,
  airframeOf,
  boxSide,
  foam,
  groove,
  outlined,
  plate,
  polygonPart,
  withBevel,
  withLine,
  withRound,
} from '../../test/samples.ts';
import { faultsIn } from '../airframe/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import { emptyPart, outlineOf, type Part } from '../part/index.ts';
import { polylineDraft } from '../paths/index.ts';

const faults = (part: Part, changes: Parameters<typeof airframeOf>[1] = {}) =>
  faultsIn(airframeOf([part], changes), part);
/** The part after its first fault's mend. */
const mended = (part: Part): Part => {
  const fault = faults(part)[0]!;
  if (!('command' in fault.mend)) throw new Error(`${fault.title} is mended elsewhere`);
  return after(part, fault.mend.command);
};

test('a sound part has no fault', () => expect(faults(boxSide())).toEqual([]));

const operation = (draft: Partial<OperationDraft> & { kind: OperationDraft['kind'] }): OperationDraft =>
  ({ face: 'face', label: '', ...draft }) as OperationDraft;
test.each<[string, Part, string, string]>([
  [
    'a narrow groove',
    withLine(plate(200, 100), [0, 50], [200, 50], groove(90, 7.1)),
    'GROOVE_NARROW',
    'Groove 7.1 mm is too narrow for 90°',
  ],
  ['a groove of 150°', withLine(plate(200, 100), [0, 50], [200, 50], groove(150)), 'GROOVE_STEEP', '150°'],
  ['a bevel of 80°', withBevel(plate(200, 100), 0, 80), 'BEVEL_STEEP', '80°'],
  [
    'a crease of 60°',
    withLine(plate(200, 100), [0, 50], [200, 50], operation({ kind: 'crease', foldDegrees: 60 })),
    'CREASE_STEEP',
    '60°',
  ],
  [
    'a trench of 3 mm',
    withLine(
      plate(200, 100),
      [0, 50],
      [200, 50],
      operation({ kind: 'trench', foldDegrees: 90, widthMm: 3, side: 'centre' }),
    ),
    'TRENCH_NARROW',
    '3.0 mm',
  ],
  [
    'a fold that stops short',
    withLine(plate(200, 100), [0, 50], [185, 50], groove()),
    'FOLD_SHORT',
    'stops 15.0 mm before the edge',
  ],
  [
    'an open outline',
    outlined(
      polylineDraft([
        { x: 0, y: 0 },
        { x: 50, y: 0 },
        { x: 50, y: 40 },
      ]),
    ),
    'OUTLINE_OPEN',
    'is open',
  ],
  [
    'a bow tie',
    polygonPart([
      [0, 0],
      [100, 60],
      [100, 0],
      [0, 50],
    ]),
    'OUTLINE_CROSSES',
    'crosses itself',
  ],
  ['a hole outside', withRound(plate(200, 100), 260, 50, 10), 'HOLE_OUTSIDE', 'lies outside'],
  ['a hole through the edge', withRound(plate(200, 100), 195, 50, 10), 'HOLE_OUTSIDE', 'cuts through its edge'],
  [
    'a slit that opens by nothing',
    withLine(plate(200, 100), [0, 50], [200, 50], operation({ kind: 'slit', foldDegrees: 0, depthMm: 'auto' })),
    'SLIT_TURN',
    '0°',
  ],
  [
    'a slit deeper than the board',
    withLine(plate(200, 100), [0, 50], [200, 50], operation({ kind: 'slit', foldDegrees: 40, depthMm: 6 })),
    'SLIT_DEEP',
    '6.0 mm',
  ],
  [
    'a hinge of 80° on one edge',
    withLine(plate(200, 100), [0, 50], [200, 50], operation({ kind: 'hinge', deflectionDegrees: 80, relief: 'left' })),
    'HINGE_STEEP',
    '80°',
  ],
  [
    'lines that nearly meet',
    withLine(
      withLine(plate(200, 100), [20, 20], [60, 40], operation({ kind: 'mark' })),
      [60.3, 40],
      [90, 60],
      operation({ kind: 'mark' }),
    ),
    'NEAR_MISS',
    '0.30 mm apart',
  ],
  [
    'an edge of a tenth',
    polygonPart([
      [0, 0],
      [100, 0],
      [100, 50],
      [99.9, 50],
      [0, 50],
    ]),
    'EDGE_TINY',
    '0.10 mm',
  ],
  ['a hole drawn twice', withRound(withRound(plate(200, 100), 50, 50, 10), 50, 50, 10), 'DRAWN_TWICE', 'drawn twice'],
  [
    'two folds that cross',
    withLine(withLine(plate(200, 100), [0, 50], [200, 50], groove()), [100, 0], [100, 100], groove()),
    'FOLDS_CROSS',
    'x 100.0, y 50.0',
  ],
])('%s is named with its number, and one click mends it', (_, part, code, words) => {
  const found = faults(part);
  expect(found.map((fault) => fault.code)).toContain(code);
  expect(`${found[0]!.title} ${found[0]!.detail}`).toContain(words);
  expect(faults(mended(part)).map((fault) => fault.code)).not.toContain(code);
});

test('a bent fold line is straightened', () => {
  const part = after(plate(200, 100), {
    name: 'drawLine',
    args: {
      draft: polylineDraft([
        { x: 0, y: 50 },
        { x: 100, y: 54 },
        { x: 200, y: 50 },
      ]),
      operation: groove(),
    },
  });
  expect(faults(part)[0]).toMatchObject({ code: 'FOLD_CURVED', detail: expect.stringContaining('4.0 mm') });
  expect(faults(mended(part))).toEqual([]);
});
test('a part larger than any board: the grain rule, the turn and the scale are tried in that order', () => {
  const tall = after(plate(490, 600), {
    name: 'changeDetails',
    args: { changes: { grain: { directionDegrees: 0, rule: 'along' } } },
  });
  expect(faults(tall)[0]).toMatchObject({ code: 'PART_TOO_LARGE', mend: { label: 'Let it lie any way' } });
  expect(faults(mended(tall))).toEqual([]);
  const huge = plate(1400, 300);
  // 694 mm of 700 are left between the margins: 694 / 1400 = 0.4957.
  expect(faults(huge)[0]).toMatchObject({
    code: 'PART_TOO_LARGE',
    mend: { action: { name: 'setScale', factor: 0.495 } },
  });
  expect(faults(huge, { settings: { ...airframeOf([]).settings, scale: 0.495 } })).toEqual([]);
});
test('a near miss found at another scale is mended on the drawing itself, where its points are', () => {
  const part = withLine(
    withLine(plate(200, 100), [20, 20], [60, 40], operation({ kind: 'mark' })),
    [60.2, 40],
    [90, 60],
    operation({ kind: 'mark' }),
  );
  const scaled = { settings: { ...airframeOf([]).settings, scale: 2 } };
  const fault = faults(part, scaled).find(({ code }) => code === 'NEAR_MISS')!;
  expect(fault.detail).toContain('0.40 mm apart');
  const whole = after(part, (fault.mend as { command: Parameters<typeof after>[1] }).command);
  expect(whole.lines[1]!.nodes[0]).toMatchObject({ x: 60, y: 40 });
  expect(faults(whole, scaled)).toEqual([]);
});
test('a material that is not in stock', () => {
  expect(faults(plate(10, 10), { boards: [{ ...foam, material: 'ply' }] })[0]).toMatchObject({
    code: 'BOARD_MISSING',
    mend: { action: { name: 'addBoard', material: 'foam' } },
  });
  expect(faults(plate(10, 10), { boards: [{ ...foam, count: 0 }] })[0]).toMatchObject({ code: 'BOARD_MISSING' });
});
test('an empty part asks for its outline', () =>
  expect(faults(emptyPart('p', 'New', 'foam'))[0]).toMatchObject({
    code: 'OUTLINE_MISSING',
    mend: { action: { name: 'startOutline' } },
  }));
test('a thicker board makes a fixed groove too narrow', () => {
  const part = withLine(plate(200, 100), [0, 50], [200, 50], groove(90, 10));
  expect(faults(part)).toEqual([]);
  expect(faults(part, { boards: [{ ...foam, thicknessMm: 6 }] })[0]).toMatchObject({
    code: 'GROOVE_NARROW',
    detail: expect.stringContaining('12.0 mm'),
  });
});
test('an outline of arcs is sound', () => {
  const part = plate(200, 100);
  expect(
    faults(
      after(part, {
        name: 'changeSegment',
        args: { segmentId: outlineOf(part)!.segments[1]!.id, to: { kind: 'arc', bulge: 0.4 } },
      }),
    ),
  ).toEqual([]);
});
