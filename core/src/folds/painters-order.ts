import { cross, isInside, subtract, type Bounds, type Point } from '../geometry/index.ts';

/** A plane face as it is seen: its rings on the paper, each corner with its depth toward the eye. */
export interface SeenFace {
  readonly rings: readonly (readonly (Point & { readonly depth: number })[])[];
}

/** Faces whose depths differ by less than this where they overlap touch each other, in mm. */
const TOUCHING_MM = 1e-3;

interface Measured {
  readonly box: Bounds;
  readonly middle: number;
  /** Depth of the face's plane over a place of the paper. */
  readonly depthAt: (p: Point) => number;
}

function measured({ rings }: SeenFace): Measured {
  const outer = rings[0]!,
    a = outer[0]!;
  // The plane by the two edges from one corner that span it best.
  let best = { area: 0, slopeX: 0, slopeY: 0 };
  for (let index = 1; index + 1 < outer.length; index++) {
    const [p, q] = [subtract(outer[index]!, a), subtract(outer[index + 1]!, a)],
      area = cross(p, q);
    if (Math.abs(area) <= Math.abs(best.area)) continue;
    const [dp, dq] = [outer[index]!.depth - a.depth, outer[index + 1]!.depth - a.depth];
    best = { area, slopeX: (dp * q.y - dq * p.y) / area, slopeY: (dq * p.x - dp * q.x) / area };
  }
  const [xs, ys] = [outer.map(({ x }) => x), outer.map(({ y }) => y)];
  return {
    box: { minX: Math.min(...xs), maxX: Math.max(...xs), minY: Math.min(...ys), maxY: Math.max(...ys) },
    middle: outer.reduce((sum, { depth }) => sum + depth, 0) / outer.length,
    depthAt: (p) => a.depth + best.slopeX * (p.x - a.x) + best.slopeY * (p.y - a.y),
  };
}

/** Where two straight runs cross, ends included. */
function crossing(a: Point, b: Point, c: Point, d: Point): Point | undefined {
  const u = subtract(b, a),
    v = subtract(d, c),
    turn = cross(u, v);
  if (Math.abs(turn) < 1e-12) return undefined;
  const w = subtract(c, a),
    s = cross(w, v) / turn,
    t = cross(w, u) / turn;
  return s >= 0 && s <= 1 && t >= 0 && t <= 1 ? { x: a.x + s * u.x, y: a.y + s * u.y } : undefined;
}

const holds = ({ rings: [outer, ...holes] }: SeenFace, p: Point): boolean =>
  isInside(p, outer!) && !holes.some((hole) => isInside(p, hole));

/** A difference of depth that leaves no doubt which face is in front, in mm. */
const DECISIVE_MM = 0.2;

/** By how much one face is in front of another where both are seen: more than 0 nearer to the eye, 0 when they do not overlap or only touch. */
function inFront(a: SeenFace, m: Measured, b: SeenFace, n: Measured): number {
  let most = 0;
  const isPlain = (p: Point): boolean => {
    const by = m.depthAt(p) - n.depthAt(p);
    if (Math.abs(by) > Math.abs(most)) most = by;
    return Math.abs(most) > DECISIVE_MM;
  };
  for (const ring of a.rings) for (const p of ring) if (isWithin(n.box, p) && holds(b, p) && isPlain(p)) return most;
  for (const ring of b.rings) for (const p of ring) if (isWithin(m.box, p) && holds(a, p) && isPlain(p)) return most;
  for (const [p, q] of edgesNear(a, n.box)) {
    for (const [r, s] of edgesNear(b, m.box)) {
      const met = crossing(p, q, r, s);
      if (met && isPlain(met)) return most;
    }
  }
  return Math.abs(most) < TOUCHING_MM ? 0 : most;
}

const isWithin = ({ minX, maxX, minY, maxY }: Bounds, { x, y }: Point): boolean =>
  x >= minX && x <= maxX && y >= minY && y <= maxY;
/** The edges of a face that come near a box. */
const edgesNear = ({ rings }: SeenFace, box: Bounds): readonly (readonly [Point, Point])[] =>
  rings.flatMap((ring) =>
    ring.flatMap((p, index) => {
      const q = ring[(index + 1) % ring.length]!;
      return Math.max(p.x, q.x) < box.minX ||
        Math.min(p.x, q.x) > box.maxX ||
        Math.max(p.y, q.y) < box.minY ||
        Math.min(p.y, q.y) > box.maxY
        ? []
        : [[p, q] as const];
    }),
  );

/**
 * An order to paint faces in, those behind first: each after all that it covers.
 * @returns indices of the faces
 * @source painter's algorithm: two faces are compared where they overlap on the paper; a ring of faces that cover each other in turn,
 * which plates that do not pass through each other hardly make, is broken at its furthest
 */
export function paintersOrder(faces: readonly SeenFace[]): readonly number[] {
  const all = faces.map(measured);
  const over: number[][] = faces.map(() => []),
    under = new Int32Array(faces.length);
  const byX = faces.map((_, index) => index).sort((i, j) => all[i]!.box.minX - all[j]!.box.minX);
  byX.forEach((i, at) => {
    for (let k = at + 1; k < byX.length; k++) {
      const j = byX[k]!,
        [a, b] = [all[i]!.box, all[j]!.box];
      if (b.minX >= a.maxX) break;
      if (b.minY >= a.maxY || b.maxY <= a.minY) continue;
      const front = inFront(faces[i]!, all[i]!, faces[j]!, all[j]!);
      if (front === 0) continue;
      const [behind, before] = front > 0 ? [j, i] : [i, j];
      over[behind]!.push(before);
      under[before]!++;
    }
  });
  const waiting = new Set(faces.map((_, index) => index)),
    order: number[] = [];
  const furthest = (indices: Iterable<number>): number =>
    [...indices].reduce((a, b) => (all[b]!.middle < all[a]!.middle ? b : a));
  let free = [...waiting].filter((index) => under[index] === 0);
  while (waiting.size > 0) {
    const next = free.length > 0 ? furthest(free) : furthest(waiting);
    free = free.filter((index) => index !== next);
    waiting.delete(next);
    order.push(next);
    for (const index of over[next]!) if (--under[index]! === 0 && waiting.has(index)) free.push(index);
  }
  return order;
}
