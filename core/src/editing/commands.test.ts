import fc from 'fast-check';
import { boxSide, groove, made, plate, withLine } from '../../test/samples.ts';
import { FEATURE_KINDS, featureTraits } from '../features/index.ts';
import { brokenInvariant, outlineOf, pathsOf, type Part } from '../part/index.ts';
import { circleDraft, polylineDraft, rectangleDraft } from '../paths/index.ts';
import { applyCommand, type PartCommand } from './commands.ts';
import { copiedFrom } from './path/paste-paths.ts';

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
const pick = <T>(list: readonly T[], at: number): T | undefined => list[Math.floor(at * list.length)];

/** A command on something that the part has, chosen by numbers from 0 to 1. */
function commandFrom(part: Part, [kind, which, a, b]: readonly [number, number, number, number]): PartCommand {
  const nodes = pathsOf(part).flatMap((path) => path.nodes),
    segments = pathsOf(part).flatMap((path) => path.segments);
  const nodeId = pick(nodes, which)?.id ?? 'none',
    segmentId = pick(segments, which)?.id ?? 'none',
    operation = pick(part.operations, which);
  const by = { x: (a - 0.5) * 80, y: (b - 0.5) * 80 };
  const all: readonly PartCommand[] = [
    { name: 'moveNodes', args: { nodeIds: [nodeId], by } },
    { name: 'placeNode', args: { nodeId, at: by } },
    { name: 'insertNode', args: { segmentId, t: a } },
    { name: 'removeNode', args: { nodeId } },
    {
      name: 'changeSegment',
      args: {
        segmentId,
        to: a < 0.4 ? { kind: 'line' } : a < 0.7 ? { kind: 'arc', bulge: b * 2 - 1 } : { kind: 'cubic' },
      },
    },
    { name: 'shapeRun', args: { segmentId, lengthMm: a * 100 } },
    { name: 'mirrorPart', args: { across: a < 0.5 ? 'vertical' : 'horizontal' } },
    { name: 'drawHole', args: { draft: circleDraft({ x: a * 200, y: b * 100 }, 3 + which * 10) } },
    {
      name: 'drawLine',
      args: {
        draft: polylineDraft([
          { x: 0, y: a * 100 },
          { x: 200, y: b * 100 },
        ]),
        operation: groove(),
      },
    },
    { name: 'removeOperation', args: { operationId: operation?.id ?? 'none' } },
    { name: 'removePath', args: { pathId: pick(pathsOf(part), which)?.id ?? 'none' } },
    { name: 'changeOperation', args: { operationId: operation?.id ?? 'none', changes: { foldDegrees: a * 200 } } },
    { name: 'extendFold', args: { pathId: pick(part.lines, which)?.id ?? 'none' } },
    { name: 'drawOutline', args: { draft: rectangleDraft({ x: 0, y: 0 }, 50 + a * 100, 50) } },
    { name: 'changeDetails', args: { changes: { quantity: Math.round(a * 1200) } } },
    {
      name: 'combineOutline',
      args: { pathId: pick(pathsOf(part), which)?.id ?? 'none', how: a < 0.4 ? 'cutOut' : a < 0.8 ? 'join' : 'common' },
    },
    {
      name: 'offsetContour',
      args: {
        pathId: pick(pathsOf(part), which)?.id ?? 'none',
        byMm: (a - 0.5) * 30,
        corners: b < 0.5 ? 'sharp' : 'round',
        as: b < 0.3 ? 'hole' : b < 0.6 ? 'line' : 'itself',
      },
    },
    { name: 'shapeCorners', args: { nodeIds: [nodeId], how: a < 0.5 ? 'round' : 'chamfer', sizeMm: b * 30 } },
    { name: 'divideSegment', args: { segmentId, count: 2 + Math.floor(a * 4) } },
    {
      name: 'arrangePaths',
      args: {
        pathIds: [pick(pathsOf(part), which)?.id ?? 'none'],
        motion:
          a < 0.3
            ? { kind: 'move', by }
            : a < 0.6
              ? { kind: 'turn', about: by, angleDegrees: b * 360 }
              : { kind: 'mirror', from: { x: 100, y: 0 }, to: { x: 100 + b, y: 80 } },
        copies: b < 0.5 ? 0 : 1,
      },
    },
    {
      name: 'changeSlot',
      args: {
        pathId: pick(part.contours, which)?.id ?? 'none',
        plate: a < 0.7 ? { material: 'foam', slantDegrees: (b - 0.5) * 160, fitMm: a } : null,
      },
    },
    {
      name: 'pinDimension',
      args: {
        fromNodeId: nodeId,
        toNodeId: pick(nodes, a)?.id ?? 'none',
        along: b < 0.4 ? 'straight' : b < 0.7 ? 'across' : 'up',
      },
    },
    { name: 'setDimension', args: { dimensionId: pick(part.dimensions ?? [], which)?.id ?? 'none', valueMm: a * 300 } },
    { name: 'removeDimension', args: { dimensionId: pick(part.dimensions ?? [], which)?.id ?? 'none' } },
    { name: 'trimLine', args: { segmentId, t: a } },
    { name: 'extendLine', args: { pathId: pick(part.lines, which)?.id ?? 'none', end: a < 0.5 ? 'start' : 'end' } },
    { name: 'splitLine', args: { nodeId } },
    {
      name: 'joinLines',
      args: { pathIds: [pick(part.lines, which)?.id ?? 'none', pick(part.lines, a)?.id ?? 'none'] },
    },
    {
      name: 'alignPaths',
      args: { pathIds: pathsOf(part).map(({ id }) => id), to: a < 0.5 ? 'centre' : 'spreadAcross' },
    },
    { name: 'movePath', args: { pathId: pick(pathsOf(part), which)?.id ?? 'none', by } },
    { name: 'straightenLine', args: { pathId: pick(part.lines, which)?.id ?? 'none' } },
  ];
  const path = pick(pathsOf(part), which),
    feature = pick(part.features ?? [], which),
    guide = pick(part.guides ?? [], which);
  const featureKind = pick(FEATURE_KINDS, a)!;
  const more: readonly PartCommand[] = [
    {
      name: 'addFeature',
      args:
        featureTraits(featureKind).ground === 'edge'
          ? { kind: featureKind, on: { pathId: path?.id ?? 'none', segmentId: path?.segments[0]!.id ?? 'none' } }
          : { kind: featureKind, at: by },
    },
    {
      name: 'changeFeature',
      args: { featureId: feature?.id ?? 'none', changes: a < 0.5 ? { lengthMm: b * 60 } : { angleDegrees: b * 400 } },
    },
    { name: 'moveFeature', args: { featureId: feature?.id ?? 'none', by } },
    { name: 'removeFeature', args: { featureId: feature?.id ?? 'none' } },
    { name: 'centreFeature', args: { featureId: feature?.id ?? 'none' } },
    {
      name: 'addGuide',
      args: {
        guide:
          a < 0.3
            ? { kind: 'line', at: by, angleDegrees: b * 360 }
            : a < 0.5
              ? { kind: 'circle', at: by, radiusMm: b * 90 }
              : a < 0.8
                ? { kind: 'beside', of: { segmentId }, byMm: (b - 0.5) * 60 }
                : { kind: 'beside', of: { guideId: guide?.id ?? 'none' }, byMm: b * 20 },
      },
    },
    {
      name: 'changeGuide',
      args: { guideId: guide?.id ?? 'none', changes: guide?.kind === 'beside' ? { byMm: (a - 0.5) * 80 } : { at: by } },
    },
    { name: 'removeGuide', args: { guideId: guide?.id ?? 'none' } },
    { name: 'attachNode', args: { nodeId, guideId: guide?.id ?? 'none' } },
    { name: 'detachNodes', args: { nodeIds: [nodeId] } },
    { name: 'setSymmetry', args: { symmetry: a < 0.7 ? { along: b < 0.5 ? 'level' : 'upright', atMm: by.x } : null } },
    { name: 'meetCentreLine', args: {} },
    {
      name: 'groupPaths',
      args: {
        pathIds: pathsOf(part)
          .slice(0, 2 + Math.floor(a * 3))
          .map(({ id }) => id),
      },
    },
    { name: 'ungroupPaths', args: { groupId: pick(part.pathGroups ?? [], which)?.id ?? 'none' } },
    { name: 'addSeam', args: { fromSegmentId: segmentId, toSegmentId: pick(segments, a)?.id ?? 'none' } },
    { name: 'removeSeam', args: { seamId: pick(part.seams ?? [], which)?.id ?? 'none' } },
    { name: 'moveEdge', args: { segmentId, acrossMm: (a - 0.5) * 20 } },
    { name: 'setVariants', args: { targetId: path?.id ?? 'none', variants: a < 0.5 ? ['with'] : null } },
    { name: 'simplifyPath', args: { pathId: path?.id ?? 'none', toleranceMm: b * 12 } },
    { name: 'pastePaths', args: { copied: copiedFrom(part, [path?.id ?? 'none'], [feature?.id ?? 'none']), by } },
  ];
  return pick([...all, ...more], kind)!;
}

test('whatever is done in whatever order, a part stays sound, no id is used twice or again, and the old part is as it was', () => {
  const number = fc.double({ min: 0, max: 0.999999, noNaN: true });
  fc.assert(
    fc.property(fc.array(fc.tuple(number, number, number, number), { maxLength: 25 }), (choices) => {
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
        expect(new Set(ids).size).toBe(ids.length);
        for (const id of idsOf(part)) if (!ids.includes(id)) retired.add(id);
        for (const id of ids) expect(retired.has(id)).toBe(false);
        part = result.part;
      }
    }),
    { numRuns: 150 },
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
    expect(result).toMatchObject({ ok: false, message: expect.stringContaining(message) });
  });
});
