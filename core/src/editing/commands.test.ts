import fc from 'fast-check';
import { anyChoice, COMMAND_NAMES, commandFrom } from '../../test/any-command.ts';
import { boxSide, groove, made, plate, withLine } from '../../test/samples.ts';
import { brokenInvariant, outlineOf, pathsOf, type Part } from '../part/index.ts';
import { polylineDraft, rectangleDraft } from '../paths/index.ts';
import { applyCommand, COMMANDS, type PartCommand } from './commands.ts';
import { worded } from '../units/index.ts';

const idsOf = (part: Part): readonly string[] => [
  ...pathsOf(part).flatMap((path) => [
    path.id,
    ...path.nodes.map(({ id }) => id),
    ...path.segments.map(({ id }) => id),
  ]),
  ...part.operations.map(({ id }) => id),
  ...[part.dimensions, part.features, part.guides, part.pathGroups, part.seams].flatMap((list) =>
    (list ?? []).map(({ id }) => id),
  ),
];
/** Ids of all that an edit can tell that it made. */
const entriesOf = (part: Part): readonly string[] => [
  ...pathsOf(part).map(({ id }) => id),
  ...[part.operations, part.dimensions, part.features, part.guides, part.pathGroups, part.seams, part.joints].flatMap(
    (list) => (list ?? []).map(({ id }) => id),
  ),
];
test('every command has arguments here and is there by its name', () =>
  expect(COMMAND_NAMES.toSorted()).toEqual(Object.keys(COMMANDS).toSorted()));

test('whatever is done in whatever order, a part stays sound, no id is used twice or again, and the old part is as it was', () => {
  fc.assert(
    fc.property(fc.array(anyChoice, { maxLength: 25 }), (choices) => {
      let part = boxSide();
      const retired = new Set<string>();
      for (const choice of choices) {
        const command = commandFrom(part, choice);
        const before = JSON.stringify(part);
        const result = applyCommand(part, command);
        expect(JSON.stringify(part)).toBe(before);
        if (!result.ok) {
          expect(result.message.length).toBeGreaterThan(8);
          continue;
        }
        expect(result.label).not.toBe('');
        expect(brokenInvariant(result.part)).toBeUndefined();
        const whole = made(result.part);
        expect(
          Number.isFinite(whole.areaMm2) && whole.outer.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y)),
        ).toBe(true);
        const ids = idsOf(result.part);
        const known = new Set(idsOf(part));
        expect(Object.values(result.made).flat()).toEqual(
          expect.arrayContaining(entriesOf(result.part).filter((id) => !known.has(id))),
        );
        for (const id of Object.values(result.made).flat()) expect(known.has(id)).toBe(false);
        expect(new Set(ids).size).toBe(ids.length);
        for (const id of idsOf(part)) if (!ids.includes(id)) retired.add(id);
        for (const id of ids) expect(retired.has(id)).toBe(false);
        part = result.part;
      }
    }),
    { numRuns: 220 },
  );
});

describe('points and edges', () => {
  const outline = (part: Part) => outlineOf(part)!;
  test('inserting a point keeps area, and operations on the edge run over both halves', () => {
    const part = boxSide();
    const bevel = part.operations.find(({ kind }) => kind === 'bevel')!;
    const result = applyCommand(part, { name: 'insertNode', args: { segmentId: bevel.on.segmentIds![0]!, t: 0.25 } });
    if (!result.ok) throw new Error(result.message);
    expect(made(result.part).areaMm2).toBeCloseTo(made(part).areaMm2, 9);
    expect(result.part.operations.find(({ id }) => id === bevel.id)!.on.segmentIds).toHaveLength(2);
    expect(outline(result.part).nodes[1]).toMatchObject({ x: 50, y: 0 });
    expect(made(result.part).strokes.find(({ kind }) => kind === 'bevel')!.lengthMm).toBeCloseTo(200, 9);
  });
  test('removing the last edge of a bevel removes the bevel; removing a point of three is refused', () => {
    const part = boxSide();
    const edge = part.operations.find(({ kind }) => kind === 'bevel')!.on.segmentIds![0]!;
    const gone = applyCommand(part, { name: 'removeNode', args: { nodeId: outline(part).nodes[0]!.id } });
    expect(gone.ok && gone.part.operations.some(({ on }) => on.segmentIds?.includes(edge))).toBe(false);
    const triangle = applyCommand(part, { name: 'removeNode', args: { nodeId: outline(part).nodes[2]!.id } });
    if (!triangle.ok) throw new Error(triangle.message);
    expect(
      applyCommand(triangle.part, { name: 'removeNode', args: { nodeId: outline(triangle.part).nodes[0]!.id } }),
    ).toMatchObject({ ok: false, message: expect.stringContaining('at least 3 points') });
  });
  test('mirroring twice gives the same part back', () => {
    const part = boxSide();
    const once = applyCommand(part, { name: 'mirrorPart', args: { across: 'vertical' } });
    if (!once.ok) throw new Error(once.message);
    const twice = applyCommand(once.part, { name: 'mirrorPart', args: { across: 'vertical' } });
    if (!twice.ok) throw new Error(twice.message);
    expect(twice.part.contours).toEqual(part.contours);
    expect(made(once.part).areaMm2).toBeCloseTo(made(part).areaMm2, 6);
  });
  test('a typed length moves the far end along the run', () => {
    const part = plate(200, 100);
    const result = applyCommand(part, {
      name: 'shapeRun',
      args: { segmentId: outline(part).segments[0]!.id, lengthMm: 187.3 },
    });
    expect(result.ok && outline(result.part).nodes[1]).toMatchObject({ x: 187.3, y: 0 });
  });
  test.each<[string, PartCommand, string]>([
    [
      'a second outline',
      { name: 'drawOutline', args: { draft: rectangleDraft({ x: 0, y: 0 }, 5, 5) } },
      'has an outline already',
    ],
    [
      'two points on each other',
      {
        name: 'drawHole',
        args: {
          draft: {
            points: [
              { x: 1, y: 1 },
              { x: 1, y: 1 },
              { x: 3, y: 3 },
            ],
            segments: [{ kind: 'line' }, { kind: 'line' }, { kind: 'line' }],
            closed: true,
          },
        },
      },
      'lie on each other',
    ],
    [
      'a point 20 m away',
      { name: 'moveNodes', args: { nodeIds: ['n1'], by: { x: 20_000, y: 0 } } },
      'within ±10000 mm',
    ],
    ['a move by NaN', { name: 'moveNodes', args: { nodeIds: ['n1'], by: { x: Number.NaN, y: 0 } } }, 'finite'],
    ['a point that is not there', { name: 'placeNode', args: { nodeId: 'n99', at: { x: 0, y: 0 } } }, 'n99'],
    ['a quantity of 0', { name: 'changeDetails', args: { changes: { quantity: 0 } } }, 'got 0'],
    [
      'a bevel along a bent line',
      {
        name: 'drawLine',
        args: {
          draft: polylineDraft([
            { x: 0, y: 0 },
            { x: 50, y: 20 },
            { x: 100, y: 0 },
          ]),
          operation: { kind: 'bevel', face: 'face', bevelDegrees: 45, label: '' },
        },
      },
      'runs along an edge',
    ],
    [
      'a field that an operation has not',
      { name: 'changeOperation', args: { operationId: 'o12', changes: { depthMm: 3 } } },
      'no',
    ],
  ])('%s is refused', (_, command, message) => {
    const result = applyCommand(withLine(plate(200, 100), [0, 50], [200, 50], groove()), command);
    expect(result.ok || worded(result.message, 'mm')).toEqual(expect.stringContaining(message));
  });
});
