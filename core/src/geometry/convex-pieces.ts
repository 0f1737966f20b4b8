import earcut from 'earcut';
import { cross, subtract, type Point } from './point.ts';
import { counterClockwise, type Polygon } from './polygon.ts';

/** A corner may turn the wrong way by this much, as twice the area in mm² of its triangle, and count as straight. */
const STRAIGHT_MM2 = 1e-9;

/** Whether a counter-clockwise ring has no corner that turns inwards. */
export const isConvex = (ring: Polygon): boolean => ring.every((_, index) => turnAt(ring, index) >= -STRAIGHT_MM2);
const turnAt = (ring: Polygon, index: number): number => {
  const p = ring[index]!,
    before = ring[(index + ring.length - 1) % ring.length]!,
    after = ring[(index + 1) % ring.length]!;
  return cross(subtract(p, before), subtract(after, p));
};

/**
 * A polygon with holes as convex polygons that cover it without overlapping, each counter-clockwise.
 * @source ear clipping, then the Hertel–Mehlhorn merging of triangles across the diagonals that no corner needs
 */
export function convexPieces(outer: Polygon, holes: readonly Polygon[]): readonly Polygon[] {
  const ring = counterClockwise(outer);
  if (holes.length === 0 && isConvex(ring)) return [ring];
  const points = [...ring, ...holes.flat()];
  const starts = holes.map((_, index) => ring.length + holes.slice(0, index).flat().length);
  const corners = earcut(
    points.flatMap(({ x, y }) => [x, y]),
    starts,
  );
  const triangles: number[][] = [];
  for (let at = 0; at < corners.length; at += 3) {
    const triangle = corners.slice(at, at + 3);
    const [a, b, c] = triangle.map((index) => points[index]!) as [Point, Point, Point];
    const turn = cross(subtract(b, a), subtract(c, a));
    if (Math.abs(turn) > STRAIGHT_MM2) triangles.push(turn > 0 ? triangle : triangle.reverse());
  }
  return merged(triangles, points).map((piece) => piece.map((index) => points[index]!));
}

/** Pieces joined across shared edges wherever the two of them together are convex. */
function merged(triangles: readonly (readonly number[])[], points: readonly Point[]): readonly (readonly number[])[] {
  const pieces: (readonly number[] | undefined)[] = [...triangles];
  const pieceOfEdge = new Map<string, number>();
  const own = (piece: readonly number[], at: number): void =>
    piece.forEach((from, index) => pieceOfEdge.set(`${from},${piece[(index + 1) % piece.length]}`, at));
  triangles.forEach(own);
  for (let at = 0; at < pieces.length; at++) {
    for (let edge = 0; edge < (pieces[at]?.length ?? 0); edge++) {
      const piece = pieces[at]!;
      const from = piece[edge]!,
        to = piece[(edge + 1) % piece.length]!;
      const other = pieceOfEdge.get(`${to},${from}`);
      if (other === undefined || other === at || !pieces[other]) continue;
      const joined = joinedAlong(piece, pieces[other], from, to);
      if (!isConvex(joined.map((index) => points[index]!))) continue;
      pieces[other] = undefined;
      pieces[at] = joined;
      own(joined, at);
      edge = -1;
    }
  }
  return pieces.filter((piece) => piece !== undefined);
}

/** Two rings without the edge that they share, which runs from `from` to `to` in the first. */
function joinedAlong(a: readonly number[], b: readonly number[], from: number, to: number): readonly number[] {
  const turned = (ring: readonly number[], first: number): readonly number[] => {
    const at = ring.indexOf(first);
    return [...ring.slice(at), ...ring.slice(0, at)];
  };
  return [...turned(a, to), ...turned(b, from).slice(1, -1)];
}
