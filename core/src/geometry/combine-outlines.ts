import { curvePoint, curveTangent, nearestOnCurve, splitCurve, type Curve } from './curve.ts';
import { curveMeetings } from './meetings.ts';
import { flattenClosedPath, pathSignedArea, reversePath, type Path } from './path.ts';
import { distance, dot, type Point } from './point.ts';
import { isInside } from './polygon.ts';

/** How two outlines become one: everything in either, the first without the second, what both have. */
export type Combination = 'join' | 'cutOut' | 'common';

/** Points nearer than this are one point, in mm. */
const SAME_PLACE_MM = 1e-4;

/**
 * Combines two closed outlines exactly: lines stay lines, arcs stay arcs, cubics are cut where the outlines meet.
 * @returns closed loops; counter-clockwise ones bound, clockwise ones are holes; empty when nothing is left
 */
export function combineOutlines(first: Path, second: Path, how: Combination): readonly Path[] {
  const a = counterClockwisePath(first), b = counterClockwisePath(second);
  const keptA = cutAt(a, b).filter((piece) => {
    const side = sideOf(piece, b);
    if (side === 'on') return how !== 'cutOut';
    if (side === 'against') return how === 'cutOut';
    return how === 'common' ? side === 'inside' : side === 'outside';
  });
  const keptB = cutAt(b, a).filter((piece) => {
    const side = sideOf(piece, a);
    return how === 'join' ? side === 'outside' : side === 'inside';
  });
  return chain([...keptA, ...(how === 'cutOut' ? reversePath(keptB) : keptB)]);
}

const counterClockwisePath = (path: Path): Path => (pathSignedArea(path) < 0 ? reversePath(path) : path);

/** The path's curves, cut wherever they meet the other path. */
export function cutAt(path: Path, other: Path): Path {
  return path.flatMap((curve) => {
    const cuts = other.flatMap((one) => curveMeetings(curve, one).map(({ s }) => s)).filter((s) => s > 0 && s < 1).sort((m, n) => m - n);
    return cutCurve(curve, cuts);
  });
}

/** A curve cut at ascending parameters; cuts that leave no length are passed over. */
export function cutCurve(curve: Curve, cuts: readonly number[]): readonly Curve[] {
  const pieces: Curve[] = [];
  let rest = curve, from = 0;
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

/** Where a piece lies to a closed path, judged by its middle; `on` runs the same way along it, `against` the other. */
function sideOf(piece: Curve, path: Path): 'inside' | 'outside' | 'on' | 'against' {
  const middle = curvePoint(piece, 0.5);
  for (const curve of path) {
    const near = nearestOnCurve(curve, middle);
    if (near.distance < SAME_PLACE_MM) return dot(curveTangent(piece, 0.5), curveTangent(curve, near.t)) > 0 ? 'on' : 'against';
  }
  return isInside(middle, flattenClosedPath(path, 1e-3)) ? 'inside' : 'outside';
}

/** Pieces joined end to start into closed loops; what closes nowhere is left out. */
export function chain(pieces: readonly Curve[]): readonly Path[] {
  const left = [...pieces];
  const loops: Path[] = [];
  while (left.length > 0) {
    const loop = [left.shift()!];
    for (;;) {
      const end: Point = loop.at(-1)!.to;
      if (distance(end, loop[0]!.from) < SAME_PLACE_MM * 10) {
        loops.push(sealed(loop));
        break;
      }
      const next = left.findIndex((curve) => distance(curve.from, end) < SAME_PLACE_MM * 10);
      if (next < 0) break;
      loop.push(left.splice(next, 1)[0]!);
    }
  }
  return loops.filter((loop) => Math.abs(pathSignedArea(loop)) > 1e-6);
}

/** A loop whose ends meet to the last digit. */
const sealed = (loop: Path): Path => loop.map((curve, index) => ({ ...curve, to: loop[(index + 1) % loop.length]!.from }));
