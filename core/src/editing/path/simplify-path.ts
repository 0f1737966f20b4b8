import { cross, curveTangent, dot, fitCurves, flattenOpenPath, type Curve } from '../../geometry/index.ts';
import { findPath, type Part, IdSource, pathWord, withPath } from '../../part/index.ts';
import { curvesOf, type DrawnPath, type PathNode, type Segment, segmentFrom } from '../../paths/index.ts';
import { defined, degrees, formatLengthWithUnit } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** A turn of more than this at a point is a corner that stays. */
const CORNER_DEGREES = 24;
const COARSEST_MM = 10;

/**
 * Draws a path with fewer, smoother runs: between corners, chains of runs become a straight run, an arc or cubics no further from them
 * than a tolerance. Work stays on the stretch it was on; edges that bear a feature or a guide stay as they are.
 */
export function simplifyPath(
  part: Part,
  args: { readonly pathId: string; readonly toleranceMm: number },
): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  if (!(args.toleranceMm > 0 && args.toleranceMm <= COARSEST_MM))
    return refused(`A tolerance is more than 0 and up to ${COARSEST_MM} mm, got ${args.toleranceMm}.`);
  const ids = new IdSource(part);
  const stretches = stretchesOf(part, path).map((stretch) => fitted(path, stretch, args.toleranceMm, ids));
  const segments = stretches.flatMap(({ segments: own }) => own);
  if (segments.length >= path.segments.length)
    return refused(
      `No ${pathWord(path)} with fewer points lies within ${formatLengthWithUnit(args.toleranceMm, 'mm', 2)}.`,
    );
  const nodes = [...stretches.flatMap(({ nodes: own }) => own), ...(path.closed ? [] : [path.nodes.at(-1)!])];
  const replaced = new Map(
    stretches.flatMap(({ from, segments: own }) =>
      from.map((id, index) => [id, index === 0 ? own.map((segment) => segment.id) : []] as const),
    ),
  );
  const operations = part.operations.map((operation) =>
    operation.on.pathId === path.id && operation.on.segmentIds
      ? {
          ...operation,
          on: { ...operation.on, segmentIds: operation.on.segmentIds.flatMap((id) => replaced.get(id) ?? [id]) },
        }
      : operation,
  );
  const gone = new Set(path.nodes.filter(({ id }) => !nodes.some((node) => node.id === id)).map(({ id }) => id));
  const dimensions = part.dimensions?.filter(
    ({ fromNodeId, toNodeId }) => !gone.has(fromNodeId) && !gone.has(toNodeId),
  );
  const attachments = part.attachments?.filter(({ nodeId }) => !gone.has(nodeId));
  const simple = withPath({ ...part, operations, ...defined({ dimensions, attachments }) }, path.id, (one) => ({
    ...one,
    nodes,
    segments,
  }));
  return done(
    { ...simple, lastId: ids.lastId },
    `Simplify ${pathWord(path)}: ${path.segments.length} runs to ${segments.length}`,
  );
}

/** Runs of neighbouring segments, by number, between corners and between changes of the work on them. */
function stretchesOf(part: Part, path: DrawnPath): readonly (readonly number[])[] {
  const curves = curvesOf(path),
    count = curves.length;
  const workOn = path.segments.map(({ id }) =>
    part.operations
      .filter(({ on }) => on.segmentIds?.includes(id))
      .map((operation) => operation.id)
      .join(),
  );
  const isHeld = path.segments.map(
    ({ id }) =>
      part.features?.some((feature) => 'on' in feature && feature.on.segmentId === id) ||
      part.guides?.some((guide) => guide.kind === 'beside' && 'segmentId' in guide.of && guide.of.segmentId === id),
  );
  const breaksBefore = (index: number): boolean => {
    const before = (index + count - 1) % count;
    return (
      isHeld[index] || isHeld[before] || workOn[index] !== workOn[before] || isCorner(curves[before]!, curves[index]!)
    );
  };
  const firstBreak = curves.findIndex((_, index) => breaksBefore(index));
  const first = path.closed ? Math.max(0, firstBreak) : 0;
  const stretches: number[][] = [];
  for (let step = 0; step < count; step++) {
    const index = (first + step) % count;
    // A ring without corners is broken half way round: no curve ends where it starts.
    const halves = path.closed && firstBreak < 0 && step === Math.ceil(count / 2);
    if (step === 0 || breaksBefore(index) || halves) stretches.push([]);
    stretches.at(-1)!.push(index);
  }
  return stretches;
}

function isCorner(before: Curve, after: Curve): boolean {
  const u = curveTangent(before, 1),
    v = curveTangent(after, 0);
  return Math.abs(degrees(Math.atan2(cross(u, v), dot(u, v)))) > CORNER_DEGREES;
}

/** A stretch drawn anew where that takes fewer runs: its nodes but the last, its segments, and the ids they replace. */
function fitted(
  path: DrawnPath,
  stretch: readonly number[],
  toleranceMm: number,
  ids: IdSource,
): { readonly nodes: readonly PathNode[]; readonly segments: readonly Segment[]; readonly from: readonly string[] } {
  const from = stretch.map((index) => path.segments[index]!.id);
  const curves = curvesOf(path);
  const fit =
    stretch.length > 1
      ? fitCurves(
          flattenOpenPath(
            stretch.map((index) => curves[index]!),
            toleranceMm / 8,
          ),
          toleranceMm * 0.85,
        )
      : [];
  if (fit.length === 0 || fit.length >= stretch.length)
    return {
      from,
      nodes: stretch.map((index) => path.nodes[index]!),
      segments: stretch.map((index) => path.segments[index]!),
    };
  return {
    from,
    nodes: fit.map((curve, index) => (index === 0 ? path.nodes[stretch[0]!]! : { id: ids.next('n'), ...curve.from })),
    segments: fit.map((curve, index) => segmentFrom(curve, index === 0 ? from[0]! : ids.next('s'))),
  };
}
