import {
  curveTangent,
  distance,
  pathSignedArea,
  pointIndex,
  reverseCurve,
  reversePath,
  type Curve,
  type Path,
  type Point,
} from '../geometry/index.ts';

/** Curves that run end to start: a loop, or a line with two ends. */
export interface Chain {
  readonly path: Path;
  readonly isClosed: boolean;
}

/** One way along a curve, from a knot to a knot. */
interface Run {
  readonly curves: Path;
  readonly from: number;
  readonly to: number;
}

/**
 * Chains loose curves by their ends. Where more than two meet, as in parts that share an edge, each area that they enclose is a loop.
 * @param joinMm ends closer than this are one
 */
export function chainCurves(curves: readonly Curve[], joinMm: number): readonly Chain[] {
  const loops = curves.filter(({ from, to }) => distance(from, to) <= 1e-9);
  const { edges, at } = knotted(
    curves.filter(({ from, to }) => distance(from, to) > 1e-9),
    joinMm,
  );
  const degree = degrees(edges);
  const runs = throughKnots(edges, degree);
  const closed = runs.filter(({ from, to }) => from === to).map(({ curves: path }) => ({ path, isClosed: true }));
  const rest = runs.filter(({ from, to }) => from !== to);
  const { core, dangling } = pruned(rest);
  return [
    ...loops.map((curve) => ({ path: [curve], isClosed: true })),
    ...closed,
    ...facesOf(core, at).map((path) => ({ path, isClosed: true })),
    ...dangling.map(({ curves: path }) => ({ path, isClosed: false })),
  ].map(({ path, isClosed }) => ({ path: isClosed && pathSignedArea(path) < 0 ? reversePath(path) : path, isClosed }));
}

/** Ends that lie together become one knot, and the curves end on it. */
function knotted(
  curves: readonly Curve[],
  joinMm: number,
): { readonly edges: readonly Run[]; readonly at: readonly Point[] } {
  const ends = curves.flatMap(({ from, to }) => [from, to]);
  const near = pointIndex(ends);
  const knot = new Int32Array(ends.length).fill(-1);
  const at: Point[] = [];
  ends.forEach((end, index) => {
    if (knot[index]! >= 0) return;
    const number = at.length;
    at.push(end);
    for (const other of near(end, joinMm))
      if (knot[other]! < 0 && distance(ends[other]!, end) <= joinMm) knot[other] = number;
    knot[index] = number;
  });
  const edges = curves.flatMap((curve, index): readonly Run[] => {
    const from = knot[2 * index]!,
      to = knot[2 * index + 1]!;
    // What is shorter than the tolerance has no place between its ends.
    if (from === to && curve.kind === 'line') return [];
    return [{ curves: [{ ...curve, from: at[from]!, to: at[to]! }], from, to }];
  });
  return { edges, at };
}

function degrees(runs: readonly Run[]): ReadonlyMap<number, number> {
  const degree = new Map<number, number>();
  for (const { from, to } of runs) for (const end of [from, to]) degree.set(end, (degree.get(end) ?? 0) + 1);
  return degree;
}

const reversed = ({ curves, from, to }: Run): Run => ({ curves: reversePath(curves), from: to, to: from });

/** Runs from one knot where not just two curves meet to the next; rings of knots where two do come back to where they start. */
function throughKnots(edges: readonly Run[], degree: ReadonlyMap<number, number>): readonly Run[] {
  const at = new Map<number, number[]>();
  edges.forEach(({ from, to }, index) => {
    for (const end of [from, to]) {
      const list = at.get(end);
      if (list) list.push(index);
      else at.set(end, [index]);
    }
  });
  const used = new Uint8Array(edges.length);
  const follow = (first: number, start: number): Run => {
    const curves: Curve[] = [];
    let index: number | undefined = first,
      knot = start;
    while (index !== undefined) {
      used[index] = 1;
      const edge: Run = edges[index]!;
      const isForward = edge.from === knot;
      curves.push(isForward ? edge.curves[0]! : reverseCurve(edge.curves[0]!));
      knot = isForward ? edge.to : edge.from;
      index = degree.get(knot) === 2 ? at.get(knot)!.find((other) => !used[other]) : undefined;
    }
    return { curves, from: start, to: knot };
  };
  const runs: Run[] = [];
  edges.forEach(({ from, to }, index) => {
    for (const end of [from, to]) if (!used[index] && degree.get(end) !== 2) runs.push(follow(index, end));
  });
  edges.forEach(({ from }, index) => {
    if (!used[index]) runs.push(follow(index, from));
  });
  return runs;
}

/** Runs that enclose something, and those that end in the open. */
function pruned(runs: readonly Run[]): { readonly core: readonly Run[]; readonly dangling: readonly Run[] } {
  let core = runs;
  const dangling: Run[] = [];
  for (;;) {
    const degree = degrees(core);
    const loose = core.filter(({ from, to }) => degree.get(from) === 1 || degree.get(to) === 1);
    if (loose.length === 0) return { core, dangling };
    dangling.push(...loose);
    const gone = new Set(loose);
    core = core.filter((run) => !gone.has(run));
  }
}

/** The areas that runs enclose, each counter-clockwise: at every knot the way goes on by the sharpest turn to the left. */
function facesOf(runs: readonly Run[], at: readonly Point[]): readonly Path[] {
  const ways = runs.flatMap((run) => [run, reversed(run)]);
  const leaving = new Map<number, { readonly way: number; readonly angle: number }[]>();
  ways.forEach((way, index) => {
    const list = leaving.get(way.from) ?? [];
    list.push({ way: index, angle: leavingAngle(way, at[way.from]!) });
    leaving.set(way.from, list);
  });
  for (const list of leaving.values()) list.sort((a, b) => a.angle - b.angle);
  // Coming in on a way, one goes on by the one before its reverse, counted counter-clockwise.
  const next = (index: number): number => {
    const list = leaving.get(ways[index]!.to)!;
    const back = list.findIndex(({ way }) => way === (index ^ 1));
    return list[(back + list.length - 1) % list.length]!.way;
  };
  const used = new Uint8Array(ways.length);
  const faces: Path[] = [];
  ways.forEach((_, first) => {
    if (used[first]) return;
    const path: Curve[] = [];
    for (let index = first; !used[index]; index = next(index)) {
      used[index] = 1;
      path.push(...ways[index]!.curves);
    }
    if (pathSignedArea(path) > 0) faces.push(path);
  });
  return faces;
}

function leavingAngle({ curves }: Run, at: Point): number {
  const tangent = curveTangent(curves[0]!, 0);
  const isStill = Math.hypot(tangent.x, tangent.y) < 1e-12;
  const { x, y } = isStill ? { x: curves[0]!.to.x - at.x, y: curves[0]!.to.y - at.y } : tangent;
  return Math.atan2(y, x);
}
