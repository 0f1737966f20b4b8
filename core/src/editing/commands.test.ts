import fc from 'fast-check';
import { boxSide, groove, made, plate, withLine } from '../../test/samples.ts';
import { FEATURE_KINDS, featureTraits } from '../features/index.ts';
import { OPERATION_KINDS, operationDraft } from '../operations/index.ts';
import { brokenInvariant, outlineOf, pathsOf, type Part } from '../part/index.ts';
import { circleDraft, polylineDraft, rectangleDraft } from '../paths/index.ts';
import { applyCommand, COMMANDS, type CommandName, type PartCommand } from './commands.ts';
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
/** Ids of all that an edit can tell that it made. */
const entriesOf = (part: Part): readonly string[] => [
  ...pathsOf(part).map(({ id }) => id),
  ...[part.operations, part.dimensions, part.features, part.guides, part.pathGroups, part.seams, part.joints].flatMap(
    (list) => (list ?? []).map(({ id }) => id),
  ),
];
const pick = <T>(list: readonly T[], at: number): T | undefined => list[Math.floor(at * list.length)];

/** Something of a part to do a command on, chosen by numbers from 0 to 1. */
function siteOf(part: Part, [which, a, b]: readonly [number, number, number]) {
  const nodes = pathsOf(part).flatMap((path) => path.nodes),
    segments = pathsOf(part).flatMap((path) => path.segments);
  const path = pick(pathsOf(part), which),
    guide = pick(part.guides ?? [], which);
  return {
    part,
    which,
    a,
    b,
    nodes,
    segments,
    path,
    guide,
    by: { x: (a - 0.5) * 80, y: (b - 0.5) * 80 },
    nodeId: pick(nodes, which)?.id ?? 'none',
    segmentId: pick(segments, which)?.id ?? 'none',
    operationId: pick(part.operations, which)?.id ?? 'none',
    pathId: path?.id ?? 'none',
    lineId: pick(part.lines, which)?.id ?? 'none',
    featureId: pick(part.features ?? [], which)?.id ?? 'none',
    guideId: guide?.id ?? 'none',
    jointId: pick(part.joints ?? [], which)?.id ?? 'none',
    featureKind: pick(FEATURE_KINDS, a)!,
  };
}
type Site = ReturnType<typeof siteOf>;

/** Arguments for every command: one that is added without them does not compile. */
const ARGUMENTS: { readonly [N in CommandName]: (at: Site) => Extract<PartCommand, { name: N }>['args'] } = {
  addFeature: (at) =>
    featureTraits(at.featureKind).ground === 'edge'
      ? { kind: at.featureKind, on: { pathId: at.pathId, segmentId: at.path?.segments[0]!.id ?? 'none' } }
      : { kind: at.featureKind, at: at.by },
  addGuide: (at) => ({
    guide:
      at.a < 0.3
        ? { kind: 'line', at: at.by, angleDegrees: at.b * 360 }
        : at.a < 0.5
          ? { kind: 'circle', at: at.by, radiusMm: at.b * 90 }
          : at.a < 0.8
            ? { kind: 'beside', of: { segmentId: at.segmentId }, byMm: (at.b - 0.5) * 60 }
            : { kind: 'beside', of: { guideId: at.guideId }, byMm: at.b * 20 },
  }),
  addSeam: (at) => ({ fromSegmentId: at.segmentId, toSegmentId: pick(at.segments, at.a)?.id ?? 'none' }),
  alignPaths: (at) => ({ pathIds: pathsOf(at.part).map(({ id }) => id), to: at.a < 0.5 ? 'centre' : 'spreadAcross' }),
  arrangePaths: (at) => ({
    pathIds: [at.pathId],
    motion:
      at.a < 0.3
        ? { kind: 'move', by: at.by }
        : at.a < 0.6
          ? { kind: 'turn', about: at.by, angleDegrees: at.b * 360 }
          : { kind: 'mirror', from: { x: 100, y: 0 }, to: { x: 100 + at.b, y: 80 } },
    copies: at.b < 0.5 ? 0 : 1,
  }),
  attachNode: (at) => ({ nodeId: at.nodeId, guideId: at.guideId }),
  centreFeature: (at) => ({ featureId: at.featureId }),
  changeDetails: (at) => ({ changes: { quantity: Math.round(at.a * 1200) } }),
  changeFeature: (at) => ({
    featureId: at.featureId,
    changes: at.a < 0.5 ? { lengthMm: at.b * 60 } : { angleDegrees: at.b * 400 },
  }),
  changeGuide: (at) => ({
    guideId: at.guideId,
    changes: at.guide?.kind === 'beside' ? { byMm: (at.a - 0.5) * 80 } : { at: at.by },
  }),
  changeOperation: (at) => ({ operationId: at.operationId, changes: { foldDegrees: at.a * 200 } }),
  changeSegment: (at) => ({
    segmentId: at.segmentId,
    to: at.a < 0.4 ? { kind: 'line' } : at.a < 0.7 ? { kind: 'arc', bulge: at.b * 2 - 1 } : { kind: 'cubic' },
  }),
  changeSlot: (at) => ({
    pathId: pick(at.part.contours, at.which)?.id ?? 'none',
    plate: at.a < 0.7 ? { material: 'foam', slantDegrees: (at.b - 0.5) * 160, fitMm: at.a } : null,
  }),
  combineOutline: (at) => ({ pathId: at.pathId, how: at.a < 0.4 ? 'cutOut' : at.a < 0.8 ? 'join' : 'common' }),
  detachNodes: (at) => ({ nodeIds: [at.nodeId] }),
  divideSegment: (at) => ({ segmentId: at.segmentId, count: 2 + Math.floor(at.a * 4) }),
  drawHole: (at) => ({ draft: circleDraft({ x: at.a * 200, y: at.b * 100 }, 3 + at.which * 10) }),
  drawLine: (at) => ({
    draft: polylineDraft([
      { x: 0, y: at.a * 100 },
      { x: 200, y: at.b * 100 },
    ]),
    operation: groove(),
  }),
  drawOutline: (at) => ({ draft: rectangleDraft({ x: 0, y: 0 }, 50 + at.a * 100, 50) }),
  extendFold: (at) => ({ pathId: at.lineId }),
  extendLine: (at) => ({ pathId: at.lineId, end: at.a < 0.5 ? 'start' : 'end' }),
  groupPaths: (at) => ({
    pathIds: pathsOf(at.part)
      .slice(0, 2 + Math.floor(at.a * 3))
      .map(({ id }) => id),
  }),
  insertNode: (at) => ({ segmentId: at.segmentId, t: at.a }),
  joinLines: (at) => ({ pathIds: [at.lineId, pick(at.part.lines, at.a)?.id ?? 'none'] }),
  meetCentreLine: () => ({}),
  mirrorPart: (at) => ({ across: at.a < 0.5 ? 'vertical' : 'horizontal' }),
  moveEdge: (at) => ({ segmentId: at.segmentId, acrossMm: (at.a - 0.5) * 20 }),
  moveFeature: (at) => ({ featureId: at.featureId, by: at.by }),
  moveNodes: (at) => ({ nodeIds: [at.nodeId], by: at.by }),
  movePath: (at) => ({ pathId: at.pathId, by: at.by }),
  offsetContour: (at) => ({
    pathId: at.pathId,
    byMm: (at.a - 0.5) * 30,
    corners: at.b < 0.5 ? 'sharp' : 'round',
    as: at.b < 0.3 ? 'hole' : at.b < 0.6 ? 'line' : 'itself',
  }),
  pastePaths: (at) => ({ copied: copiedFrom(at.part, [at.pathId], [at.featureId]), by: at.by }),
  pinDimension: (at) => ({
    fromNodeId: at.nodeId,
    toNodeId: pick(at.nodes, at.a)?.id ?? 'none',
    along: at.b < 0.4 ? 'straight' : at.b < 0.7 ? 'across' : 'up',
  }),
  placeNode: (at) => ({ nodeId: at.nodeId, at: at.by }),
  removeDimension: (at) => ({ dimensionId: pick(at.part.dimensions ?? [], at.which)?.id ?? 'none' }),
  removeFeature: (at) => ({ featureId: at.featureId }),
  removeGuide: (at) => ({ guideId: at.guideId }),
  removeNode: (at) => ({ nodeId: at.nodeId }),
  removeOperation: (at) => ({ operationId: at.operationId }),
  removePath: (at) => ({ pathId: at.pathId }),
  removeSeam: (at) => ({ seamId: pick(at.part.seams ?? [], at.which)?.id ?? 'none' }),
  setDimension: (at) => ({ dimensionId: pick(at.part.dimensions ?? [], at.which)?.id ?? 'none', valueMm: at.a * 300 }),
  setSymmetry: (at) => ({ symmetry: at.a < 0.7 ? { along: at.b < 0.5 ? 'level' : 'upright', atMm: at.by.x } : null }),
  setVariants: (at) => ({ targetId: at.pathId, variants: at.a < 0.5 ? ['with'] : null }),
  shapeCorners: (at) => ({ nodeIds: [at.nodeId], how: at.a < 0.5 ? 'round' : 'chamfer', sizeMm: at.b * 30 }),
  shapeRun: (at) => ({ segmentId: at.segmentId, lengthMm: at.a * 100 }),
  simplifyPath: (at) => ({ pathId: at.pathId, toleranceMm: at.b * 12 }),
  splitLine: (at) => ({ nodeId: at.nodeId }),
  straightenLine: (at) => ({ pathId: at.lineId }),
  trimLine: (at) => ({ segmentId: at.segmentId, t: at.a }),
  ungroupPaths: (at) => ({ groupId: pick(at.part.pathGroups ?? [], at.which)?.id ?? 'none' }),
  addJoint: (at) => ({
    joint: {
      ownSegmentId: at.segmentId,
      ownSkin: 'back',
      toPartId: at.a < 0.9 ? 'other' : at.part.id,
      toSegmentId: 's1',
      toSkin: 'face',
      turnDegrees: at.b * 200,
      alongMm: at.by.x,
      isReversed: at.a < 0.5,
    },
  }),
  addOperation: (at) => ({
    on: { pathId: at.pathId, segmentIds: [at.path?.segments[0]?.id ?? 'none'] },
    operation: operationDraft(pick(OPERATION_KINDS, at.b)!),
  }),
  bevelEdge: (at) => ({ segmentId: at.segmentId, face: 'face', bevelDegrees: at.b * 80 }),
  bringHoleInside: (at) => ({ pathId: at.pathId }),
  changeJoint: (at) => ({ jointId: at.jointId, changes: { turnDegrees: (at.a - 0.5) * 400, alongMm: at.by.y } }),
  changeSizing: (at) => ({ pathId: at.pathId, sizing: at.a < 0.4 ? 'fixed' : at.a < 0.7 ? 'slot' : 'scaled' }),
  changeWork: (at) => ({ operationId: at.operationId, kind: pick(OPERATION_KINDS, at.b)! }),
  closePath: (at) => ({ pathId: at.pathId }),
  creaseSection: (at) => ({
    operationId: at.operationId,
    sectionPathId: pick(at.part.lines, at.a)?.id ?? 'none',
    creases: 1 + Math.floor(at.b * 4),
    side: 'left',
  }),
  foldStrip: (at) => ({
    lengthMm: 50 + at.a * 100,
    sides: [
      { sizeMm: 30, is: 'outer' },
      { sizeMm: 40, is: 'inner' },
    ],
    folds: [{ foldDegrees: at.b * 200, style: 'groove' }],
    thicknessMm: 5,
  }),
  lipsToFold: (at) => ({ operationId: at.operationId, thicknessMm: 5 }),
  meetNode: (at) => ({ nodeId: at.nodeId, atNodeId: pick(at.nodes, at.a)?.id ?? 'none' }),
  openFold: (at) => ({ operationId: at.operationId }),
  removeJoint: (at) => ({ jointId: at.jointId }),
  rollCrease: (at) => ({
    operationId: at.operationId,
    radiusMm: 20 + at.a * 60,
    turnDegrees: 10 + at.b * 80,
    creases: 3,
    side: 'right',
  }),
  setFoldOrder: (at) => ({ operationIds: at.a < 0.3 ? undefined : [at.operationId] }),
  setPlace: (at) => ({
    place:
      at.a < 0.3
        ? undefined
        : { at: { x: at.by.x, y: 0, z: at.b * 12_000 }, rollDegrees: at.b * 400, pitchDegrees: 0, yawDegrees: 0 },
  }),
  stretchPart: (at) => ({ from: { x: 100, y: 0 }, to: { x: 100, y: 100 }, byMm: (at.a - 0.5) * 30 }),
  uncrossOutline: (at) => ({ pathId: at.pathId }),
};
const NAMES = Object.keys(ARGUMENTS) as readonly CommandName[];

/** A command on something that the part has, chosen by numbers from 0 to 1. */
function commandFrom(part: Part, [kind, ...at]: readonly [number, number, number, number]): PartCommand {
  const name = pick(NAMES, kind)!;
  return { name, args: ARGUMENTS[name](siteOf(part, at)) } as PartCommand;
}

test('every command has arguments here and is there by its name', () =>
  expect(NAMES.toSorted()).toEqual(Object.keys(COMMANDS).toSorted()));

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
    expect(result).toMatchObject({ ok: false, message: expect.stringContaining(message) });
  });
});
