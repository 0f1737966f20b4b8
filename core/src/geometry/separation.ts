import { boundsOf, boundsTouch, growBounds, type Bounds } from './bounds.ts';
import { cross, distanceToRun, subtract, type Point } from './point.ts';
import { isInsideRegion, type Polygon } from './polygon.ts';

/** A flat shape: one outer ring and its holes. */
export interface Shape {
  readonly outer: Polygon;
  readonly holes: readonly Polygon[];
}

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly box: Bounds;
}
const edgesOf = (shape: Shape): readonly Edge[] =>
  [shape.outer, ...shape.holes].flatMap((ring) =>
    ring.map((a, index) => {
      const b = ring[(index + 1) % ring.length]!;
      return { a, b, box: boundsOf([a, b]) };
    }),
  );

const runsCross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  cross(subtract(b, a), subtract(c, a)) * cross(subtract(b, a), subtract(d, a)) < 0 &&
  cross(subtract(d, c), subtract(a, c)) * cross(subtract(d, c), subtract(b, c)) < 0;

/**
 * Distance between two shapes, 0 when they overlap. A shape inside the other's hole is apart from it.
 * @param upTo distances beyond this are reported as Infinity, which spares most of the work
 */
export function separation(first: Shape, second: Shape, upTo: number): number {
  if (!boundsTouch(growBounds(boundsOf(first.outer), upTo), boundsOf(second.outer))) return Infinity;
  const reach = growBounds(boundsOf(second.outer), upTo);
  const near = edgesOf(first).filter((edge) => boundsTouch(edge.box, reach));
  const others = edgesOf(second);
  let nearest = Infinity;
  for (const p of near) {
    const grown = growBounds(p.box, Math.min(upTo, nearest));
    for (const q of others) {
      if (!boundsTouch(grown, q.box)) continue;
      if (runsCross(p.a, p.b, q.a, q.b)) return 0;
      nearest = Math.min(
        nearest,
        distanceToRun(p.a, q.a, q.b),
        distanceToRun(p.b, q.a, q.b),
        distanceToRun(q.a, p.a, p.b),
        distanceToRun(q.b, p.a, p.b),
      );
    }
  }
  // Shapes whose edges only touch, or that coincide, still overlap when a point well inside one lies in the other.
  if (overlapsWithin(first, second) || overlapsWithin(second, first)) return 0;
  return nearest <= upTo ? nearest : Infinity;
}

function overlapsWithin(inner: Shape, outer: Shape): boolean {
  const probe = innerPoint(inner);
  if (isInsideRegion(probe, outer.outer, outer.holes)) return true;
  return inner.outer.some((p) => isInsideRegion(p, outer.outer, outer.holes) && strictlyInside(p, outer));
}
const strictlyInside = (p: Point, shape: Shape): boolean =>
  [shape.outer, ...shape.holes].every((ring) =>
    ring.every((a, index) => distanceToRun(p, a, ring[(index + 1) % ring.length]!) > 1e-7),
  );

/** A point inside a shape and off its edges: the middle of the widest span of a few scan lines. */
export function innerPoint(shape: Shape): Point {
  const box = boundsOf(shape.outer);
  let best: Point = shape.outer[0] ?? { x: 0, y: 0 };
  let widest = -1;
  for (let line = 1; line < 12; line++) {
    const y = box.minY + (box.maxY - box.minY) * (line / 12 + 0.00137);
    const spans = scanSpans(shape, y);
    for (const [left, right] of spans)
      if (right - left > widest) [widest, best] = [right - left, { x: (left + right) / 2, y }];
  }
  return best;
}

/** Spans of x in which the shape covers the horizontal line at y, ascending. @source even-odd rule over all rings */
export function scanSpans(shape: Shape, y: number): readonly (readonly [number, number])[] {
  const xs: number[] = [];
  for (const ring of [shape.outer, ...shape.holes]) {
    for (let index = 0, last = ring.length - 1; index < ring.length; last = index++) {
      const a = ring[index]!,
        b = ring[last]!;
      if (a.y > y !== b.y > y) xs.push(((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x);
    }
  }
  xs.sort((p, q) => p - q);
  const spans: [number, number][] = [];
  for (let index = 0; index + 1 < xs.length; index += 2) spans.push([xs[index]!, xs[index + 1]!]);
  return spans;
}
