import fc from 'fast-check';
import type { PartCommand } from '../src/editing/index.ts';
import { copiedFrom } from '../src/editing/index.ts';
import { FEATURE_KINDS, featureTraits } from '../src/features/index.ts';
import { OPERATION_KINDS, operationDraft } from '../src/operations/index.ts';
import { pathsOf, type Part } from '../src/part/index.ts';
import { circleDraft, polylineDraft, rectangleDraft } from '../src/paths/index.ts';
import { groove } from './samples.ts';

type CommandName = PartCommand['name'];
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
  changeFeatureSizing: (at) => ({ featureId: at.featureId, sizing: at.a < 0.5 ? 'scaled' : 'fixed' }),
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
  cutAtCentreLine: () => ({}),
  keepSize: (at) => ({ ends: [at.operationId, at.segmentId], is: at.a < 0.7 ? 'inner' : 'outer' }),
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
export const COMMAND_NAMES = Object.keys(ARGUMENTS) as readonly CommandName[];

/** A command on something that the part has, chosen by numbers from 0 to 1. */
export function commandFrom(part: Part, [kind, ...at]: readonly [number, number, number, number]): PartCommand {
  const name = pick(COMMAND_NAMES, kind)!;
  return { name, args: ARGUMENTS[name](siteOf(part, at)) } as PartCommand;
}

const number = fc.double({ min: 0, max: 0.999999, noNaN: true });
/** Numbers that choose a command and what it is done on. */
export const anyChoice = fc.tuple(number, number, number, number);

/** Values that a hand, a script or a slip of the pen may put where another is meant. */
const WILD: readonly unknown[] = [
  0,
  -1,
  0.5,
  3,
  -270,
  359,
  450,
  725,
  -1e9,
  1e7,
  Number.NaN,
  Number.POSITIVE_INFINITY,
  '',
  ' ',
  'saw',
  'x'.repeat(200),
  's1~mirror',
  'n1',
  'ply',
  'auto',
  true,
  null,
];

/** The same command with some of its values exchanged for wild ones, chosen by numbers from 0 to 1. */
export function wildly(command: PartCommand, chances: readonly number[]): PartCommand {
  let at = 0;
  const next = (): number => chances[at++ % chances.length]!;
  const changed = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(changed);
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, changed(one)]));
    return next() < 0.25 ? pick(WILD, next()) : value;
  };
  return { name: command.name, args: changed(command.args) } as PartCommand;
}
