import { foldReach } from '../editing/index.ts';
import {
  boundsOf,
  boxIndex,
  distanceToRun,
  edgeDistanceOf,
  flattenOpenPath,
  growBounds,
  insideRegionOf,
  midpoint,
  type Point,
} from '../geometry/index.ts';
import { canFold, isThroughCut, tooSlantEnds, traitsOf, type Operation } from '../operations/index.ts';
import { findLine, findPath, holesOf, isMadeId, outlineOf, type Part } from '../part/index.ts';
import { curvesOf, ringOf } from '../paths/index.ts';
import { foundLips, type ResolvedPart } from '../resolve/index.ts';
import { formatAngle, lengthText } from '../units/index.ts';
import type { Fault } from './fault.ts';

/** Work narrower than this is run out by the blade wherever it ends, in mm. */
const LEAST_SLANT_MM = 0.5;
/** How near a fold's end must come to an edge, in mm: the width of a knife cut. */
const REACH_MM = 0.2;
const STRAIGHT_MM = 0.05;
const RING_MM = 0.02;

/** Fold lines that are not straight, or that end before an edge. */
export function foldFaults(part: Part): readonly Fault[] {
  const folds = part.operations.filter(
    (operation) => canFold(operation.kind) && findLine(part, operation.on.pathId) !== undefined,
  );
  if (folds.length === 0) return [];
  const gapOf = gapsIn(part);
  return folds.flatMap((operation) => [...curved(part, operation), ...short(part, operation, gapOf)]);
}

/** How far a place on the part is from the nearest edge, or from the nearest cut or fold of other work, in mm; 0 beside the part. */
type GapOf = (p: Point, except: Operation) => number;

function gapsIn(part: Part): GapOf {
  const outline = outlineOf(part);
  if (!outline?.closed) return () => 0;
  const ring = ringOf(outline, RING_MM),
    holes = holesOf(part)
      .filter((hole) => hole.closed)
      .map((hole) => ringOf(hole, RING_MM));
  const isOn = insideRegionOf(ring, holes),
    toEdge = edgeDistanceOf([ring, ...holes]);
  const stops = part.operations
    .filter(({ kind }) => isThroughCut(kind) || canFold(kind))
    .flatMap(({ id, on }) => {
      const points = flattenOpenPath(curvesOf(findPath(part, on.pathId)!), 0.05);
      return points.slice(1).map((to, index) => ({ id, run: [points[index]!, to] as const }));
    });
  const near = boxIndex(stops.map(({ run }) => boundsOf(run)));
  return (p, except) => {
    if (!isOn(p)) return 0;
    const most = toEdge(p);
    return near
      .touching(growBounds(boundsOf([p]), most))
      .map((index) => stops[index]!)
      .filter(({ id }) => id !== except.id)
      .reduce((least, { run }) => Math.min(least, distanceToRun(p, ...run)), most);
  };
}

/** Work that meets an edge at so slant an angle that it cannot be run to it. */
export function slantFaults({ id, name, strokes, outer, holeRings }: ResolvedPart): readonly Fault[] {
  if (outer.length === 0) return [];
  const body = [outer, ...holeRings];
  return strokes.flatMap((stroke) => {
    // What a form makes ends where it was worked out to end.
    if (isMadeId(stroke.operationId)) return [];
    if (stroke.closed || !traitsOf(stroke.kind).plateSide || stroke.widthMm < LEAST_SLANT_MM) return [];
    const ends = stroke.paths.flatMap((path) => tooSlantEnds(flattenOpenPath(path, 0.05), stroke.widthMm, body));
    return ends.slice(0, 1).map(({ at, toEdgeDegrees }): Fault => ({
      code: 'WORK_SLANT',
      partId: id,
      targetId: stroke.operationId,
      place: at,
      title: `This ${traitsOf(stroke.kind).word} meets an edge of ${name} at ${formatAngle(toEdgeDegrees)}`,
      detail: `Its ${lengthText(stroke.widthMm)} of width cannot be run to the edge there: turn the line, or end it elsewhere.`,
      mend: { label: 'Remove it', command: { name: 'removeOperation', args: { operationId: stroke.operationId } } },
    }));
  });
}

/** Bevels on a line within the part that have no second beside them. */
export const lipFaults = (part: Part, thicknessMm: number): readonly Fault[] =>
  foundLips(part, thicknessMm).alone.map(({ operation, line }): Fault => ({
    code: 'LIP_ALONE',
    partId: part.id,
    targetId: operation.id,
    place: midpoint(line.nodes[0]!, line.nodes[1]!),
    title: `A bevel within ${part.name} stands alone`,
    detail: 'It is one lip of a groove: the other must run beside it, as far away as the groove is wide.',
    mend: {
      label: 'Make it a groove',
      command: { name: 'changeWork', args: { operationId: operation.id, kind: 'groove' } },
    },
  }));

function curved(part: Part, operation: Operation): readonly Fault[] {
  const line = findPath(part, operation.on.pathId)!;
  const points = flattenOpenPath(curvesOf(line), 0.02);
  const from = points[0]!,
    to = points.at(-1)!;
  const off = Math.max(...points.map((p) => distanceToRun(p, from, to)));
  if (off <= STRAIGHT_MM) return [];
  return [
    {
      code: 'FOLD_CURVED',
      partId: part.id,
      targetId: operation.id,
      place: points[Math.floor(points.length / 2)]!,
      title: `This ${traitsOf(operation.kind).word} is not straight`,
      detail: `It leaves the straight line by ${lengthText(off)}; flat board only folds along a straight line.`,
      mend: { label: 'Straighten it', command: { name: 'straightenLine', args: { pathId: line.id } } },
    },
  ];
}

function short(part: Part, operation: Operation, gapOf: GapOf): readonly Fault[] {
  const outline = outlineOf(part),
    line = findPath(part, operation.on.pathId)!;
  if (!outline?.closed || line.closed) return [];
  const first = line.nodes[0]!,
    last = line.nodes.at(-1)!;
  const worst = [first, last].map((p) => ({ p, gap: gapOf(p, operation) })).reduce((a, b) => (b.gap > a.gap ? b : a));
  const isOffPart = !foldReach(part, line.id);
  if (worst.gap <= REACH_MM && !isOffPart) return [];
  if (isOffPart) {
    return [
      {
        code: 'FOLD_SHORT',
        partId: part.id,
        targetId: operation.id,
        place: first,
        title: `This ${traitsOf(operation.kind).word} does not lie across ${part.name}`,
        detail: 'Neither of its sides reaches an edge of the part.',
        mend: { label: 'Remove it', command: { name: 'removeOperation', args: { operationId: operation.id } } },
      },
    ];
  }
  return [
    {
      code: 'FOLD_SHORT',
      partId: part.id,
      targetId: operation.id,
      place: worst.p,
      title: `This ${traitsOf(operation.kind).word} stops ${lengthText(worst.gap)} before the edge`,
      detail: 'A fold must run from edge to edge, or the board tears at its end.',
      mend: { label: 'Extend it', command: { name: 'extendFold', args: { pathId: line.id } } },
    },
  ];
}
