import { cross, curveTangent, dot, fitCurves, flattenOpenPath, type Curve } from '../geometry/index.ts';
import { degrees } from '../units/index.ts';
import { curvesOf, type DrawnPath, type PathNode, type Segment, segmentFrom } from './drawn-path.ts';
import type { PathIds } from './path-ids.ts';
import type { PathShape } from './split-path.ts';

/** A turn of more than this at a point is a corner that stays. */
const CORNER_DEGREES = 24;

interface Stretch {
  readonly nodes: readonly PathNode[];
  readonly segments: readonly Segment[];
  /** Ids of the segments it was drawn from. */ readonly from: readonly string[];
}

/**
 * A path with fewer, smoother runs: between corners, chains of runs become a straight run, an arc or cubics no further from them than a
 * tolerance.
 * @param isBroken whether two neighbouring segments, by number, must not become one run
 * @returns the path, and for each old segment the ids that stand for it now: none when its neighbour before it stands for it too
 */
export function simplifiedPath(
  path: DrawnPath,
  toleranceMm: number,
  isBroken: (before: number, after: number) => boolean,
  ids: PathIds,
): PathShape & { readonly replaced: ReadonlyMap<string, readonly string[]> } {
  const stretches = stretchesOf(path, isBroken).map((stretch) => fitted(path, stretch, toleranceMm, ids));
  return {
    nodes: [...stretches.flatMap(({ nodes }) => nodes), ...(path.closed ? [] : [path.nodes.at(-1)!])],
    segments: stretches.flatMap(({ segments }) => segments),
    replaced: new Map(
      stretches.flatMap(({ from, segments }) =>
        from.map((id, index) => [id, index === 0 ? segments.map((segment) => segment.id) : []] as const),
      ),
    ),
  };
}

/** Runs of neighbouring segments, by number, between corners and other breaks. */
function stretchesOf(
  path: DrawnPath,
  isBroken: (before: number, after: number) => boolean,
): readonly (readonly number[])[] {
  const curves = curvesOf(path),
    count = curves.length;
  const breaksBefore = (index: number): boolean => {
    const before = (index + count - 1) % count;
    return isBroken(before, index) || isCorner(curves[before]!, curves[index]!);
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
function fitted(path: DrawnPath, stretch: readonly number[], toleranceMm: number, ids: PathIds): Stretch {
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
