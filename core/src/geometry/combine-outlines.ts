import { curvePoint, curveTangent, nearestOnCurve, splitCurve, type Curve } from './curve.ts';
import { curveMeetings, type Meeting } from './meetings.ts';
import { flattenClosedPath, pathSignedArea, reversePath, type Path } from './path.ts';
import { cross, distance, dot, subtract, type Point } from './point.ts';
import { boundsOf, growBounds } from './bounds.ts';
import { pointIndex } from './box-index.ts';
import { curveBounds, curveIndex } from './curve-bounds.ts';
import { insideOf } from './ring-index.ts';

/** How two outlines become one: everything in either, the first without the second, what both have. */
export type Combination = 'join' | 'cutOut' | 'common';

/** Points nearer than this are one point, in mm. */
const SAME_PLACE_MM = 1e-4;

/**
 * Combines two closed outlines exactly: lines stay lines, arcs stay arcs, cubics are cut where the outlines meet.
 * @returns closed loops; counter-clockwise ones bound, clockwise ones are holes; empty when nothing is left
 */
export function combineOutlines(first: Path, second: Path, how: Combination): readonly Path[] {
  const a = counterClockwisePath(first),
    b = counterClockwisePath(second);
  const sideOfA = sides(a),
    sideOfB = sides(b);
  const keptA = cutAt(a, b).filter((piece) => {
    const side = sideOfB(piece);
    if (side === 'on') return how !== 'cutOut';
    if (side === 'against') return how === 'cutOut';
    return how === 'common' ? side === 'inside' : side === 'outside';
  });
  const keptB = cutAt(b, a).filter((piece) => {
    const side = sideOfA(piece);
    return how === 'join' ? side === 'outside' : side === 'inside';
  });
  return chain([...keptA, ...(how === 'cutOut' ? reversePath(keptB) : keptB)]);
}

const counterClockwisePath = (path: Path): Path => (pathSignedArea(path) < 0 ? reversePath(path) : path);

/** Curves further apart than this meet nowhere: they start to be looked for where they come near each other. */
const REACH_MM = 0.2;

/** The path's curves, cut wherever they meet the other path; where they only touch it they are left whole. */
export function cutAt(path: Path, other: Path): Path {
  const others = curveIndex(other);
  return path.flatMap((curve, index) => {
    const cuts = others
      .touching(growBounds(curveBounds(curve), REACH_MM))
      .map((at) => other[at]!)
      .flatMap((one) =>
        curveMeetings(curve, one)
          .filter((meeting) => !isTouch(path, index, one, other, meeting))
          .map(({ s }) => s),
      )
      .filter((s) => s > 0 && s < 1)
      .sort((m, n) => m - n);
    return cutCurve(curve, cuts);
  });
}

/** Sine of the angle below which two curves run alike where they meet. */
const ALIKE = 0.01;
/** How far to either side of a meeting paths are looked at to tell a touch from a crossing, in mm. */
const ASIDE_MM = 1;

/**
 * Whether a path only touches another and stays on its side of it. Round a touch both are one within any tolerance for a while, so that
 * cuts there fall anywhere and leave splinters that belong to neither.
 */
function isTouch(path: Path, index: number, one: Curve, other: Path, { s, t }: Meeting): boolean {
  const curve = path[index]!,
    u = curveTangent(curve, s),
    v = curveTangent(one, t),
    speed = Math.hypot(u.x, u.y);
  if (speed === 0 || Math.abs(cross(u, v)) > ALIKE * speed * Math.hypot(v.x, v.y)) return false;
  const step = ASIDE_MM / speed;
  const sides = [pointAside(path, index, s - step), pointAside(path, index, s + step)].map((p) =>
    p ? sideAt(other, p) : 0,
  );
  return sides[0] !== 0 && sides[0] === sides[1];
}

/** A place of a closed path by a parameter of one of its curves, which may run over into its neighbour. */
function pointAside(path: Path, index: number, at: number): Point | undefined {
  const curve = path[index]!;
  if (at >= 0 && at <= 1) return curvePoint(curve, at);
  const next = path[(index + (at < 0 ? path.length - 1 : 1)) % path.length]!;
  const own = curveTangent(curve, at < 0 ? 0 : 1),
    others = curveTangent(next, at < 0 ? 1 : 0);
  const over = ((at < 0 ? -at : at - 1) * Math.hypot(own.x, own.y)) / Math.hypot(others.x, others.y);
  return over < 1 ? curvePoint(next, at < 0 ? 1 - over : over) : undefined;
}

/** Which side of a path a point lies on: 1 on its left, -1 on its right, 0 on it or off its ends. */
function sideAt(path: Path, p: Point): number {
  const { curve, near, distance: d, point } = nearestOnPathCurve(path, p);
  return d < SAME_PLACE_MM ? 0 : Math.sign(cross(curveTangent(curve, near), subtract(p, point)));
}

/** A curve cut at ascending parameters; cuts that leave no length are passed over. */
export function cutCurve(curve: Curve, cuts: readonly number[]): readonly Curve[] {
  const pieces: Curve[] = [];
  let rest = curve,
    from = 0;
  for (const cut of cuts) {
    const t = (cut - from) / (1 - from);
    if (t <= 0 || t >= 1) continue;
    const [head, tail] = splitCurve(rest, t);
    if (distance(head.from, head.to) < SAME_PLACE_MM && curveIsShort(head)) continue;
    if (distance(tail.from, tail.to) < SAME_PLACE_MM && curveIsShort(tail)) continue;
    pieces.push(head);
    [rest, from] = [tail, cut];
  }
  return [...pieces, rest];
}
const curveIsShort = (curve: Curve): boolean => distance(curvePoint(curve, 0.5), curve.from) < SAME_PLACE_MM;

/** Places along a piece by which its side is judged: a piece may touch the path in one of them. */
const JUDGED_AT = [0.5, 0.31, 0.73];

type Side = 'inside' | 'outside' | 'on' | 'against';

/** Where pieces lie to a closed path; `on` runs the same way along it, `against` the other. */
function sides(path: Path): (piece: Curve) => Side {
  const index = curveIndex(path),
    isWithin = insideOf(flattenClosedPath(path, 1e-3));
  return (piece) => {
    let first: { readonly t: number; readonly curve: Curve; readonly near: number } | undefined;
    for (const t of JUDGED_AT) {
      const at = curvePoint(piece, t);
      const close = index.touching(growBounds(boundsOf([at]), SAME_PLACE_MM)).map((one) => path[one]!);
      const nearest = close.length > 0 ? nearestOnPathCurve(close, at) : undefined;
      if (!nearest || nearest.distance >= SAME_PLACE_MM) return isWithin(at) ? 'inside' : 'outside';
      first ??= { t, ...nearest };
    }
    const { t, curve, near } = first!;
    return dot(curveTangent(piece, t), curveTangent(curve, near)) > 0 ? 'on' : 'against';
  };
}

/** The curve of a path that a point lies nearest to, and where on it. */
const nearestOnPathCurve = (
  path: Path,
  p: Point,
): { readonly curve: Curve; readonly near: number; readonly distance: number; readonly point: Point } =>
  path
    .map((curve) => {
      const { t, distance: d, point } = nearestOnCurve(curve, p);
      return { curve, near: t, distance: d, point };
    })
    .reduce((a, b) => (b.distance < a.distance ? b : a));

/** Pieces joined end to start into closed loops; what closes nowhere is left out. */
export function chain(pieces: readonly Curve[]): readonly Path[] {
  const startsNear = pointIndex(pieces.map(({ from }) => from)),
    isLeft = pieces.map(() => true);
  const loops: Path[] = [];
  pieces.forEach((piece, index) => {
    if (!isLeft[index]) return;
    isLeft[index] = false;
    const loop = [piece];
    for (;;) {
      const end: Point = loop.at(-1)!.to;
      if (distance(end, loop[0]!.from) < SAME_PLACE_MM * 10) {
        loops.push(sealed(loop));
        break;
      }
      const next = startsNear(end, SAME_PLACE_MM * 10).find(
        (at) => isLeft[at] && distance(pieces[at]!.from, end) < SAME_PLACE_MM * 10,
      );
      if (next === undefined) break;
      isLeft[next] = false;
      loop.push(pieces[next]!);
    }
  });
  return loops.filter((loop) => Math.abs(pathSignedArea(loop)) > 1e-6);
}

/** A loop whose ends meet to the last digit. */
const sealed = (loop: Path): Path =>
  loop.map((curve, index) => ({ ...curve, to: loop[(index + 1) % loop.length]!.from }));
