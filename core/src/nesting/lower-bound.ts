import { polygonArea } from '../geometry/index.ts';
import type { NestInstance, NestPart, XY } from './instance.ts';
import { placedShape } from './nest-piece.ts';
import { stripsOf, type Strips } from './strips.ts';

const areaOf = (ring: readonly XY[]): number => polygonArea(ring.map(([x, y]) => ({ x, y })));
const lessHoles = (outer: readonly XY[], holes: readonly (readonly XY[])[] = []): number =>
  areaOf(outer) - holes.reduce((sum, hole) => sum + areaOf(hole), 0);

/**
 * Boards that no nest can do without, by area alone: that of all parts over that of the largest board. Effective boards are never
 * fewer, for no part lies in the free rectangle of the last.
 */
export function boardsByArea({ boards, parts }: NestInstance): number {
  const largest = Math.max(
    0,
    ...boards.map(({ width, height, polygon }) => (polygon ? areaOf(polygon) : width * height)),
  );
  const wanted = parts.reduce((sum, { polygon, holes, quantity }) => sum + quantity * lessHoles(polygon, holes), 0);
  return largest > 0 ? wanted / largest : 0;
}

/**
 * Boards that no nest can do without because of long parts: each that is longer than half the board, however it lies, crosses the board's
 * middle, and what all of them take there at least is more than one board's middle has.
 * @returns a share of boards; nests use at least as many whole ones as the next integer
 * @source two parts that lie apart keep apart along the middle line too, so that their chords there and the clearances add up
 */
export function boardsByLongParts(instance: NestInstance): number {
  const { boards, parts, clearance, edgeMargin = clearance } = instance;
  const width = Math.max(0, ...boards.map((board) => board.width)) - 2 * edgeMargin,
    height = Math.max(0, ...boards.map((board) => board.height)) - 2 * edgeMargin;
  if (width <= 0 || height <= 0) return 0;
  const share = (isAcross: boolean): number => {
    const [long, tall] = isAcross ? [width, height] : [height, width];
    const taken = parts.reduce((sum, part) => {
      const chord = leastChord(part, long, isAcross);
      return sum + (chord === undefined ? 0 : part.quantity * (chord + clearance));
    }, 0);
    return taken / (tall + clearance);
  };
  return Math.max(share(true), share(false));
}

/** The least that a part takes of a board's middle line, in any way that it may lie; undefined where it need not cross it. */
function leastChord(part: NestPart, boardMm: number, isAcross: boolean): number | undefined {
  let least = Infinity;
  for (const turn of part.rotations) {
    for (const mirrored of part.allowMirror ? [false, true] : [false]) {
      const { outer, holes } = placedShape(part, { x: 0, y: 0, rotation: turn, mirrored });
      // Strips run along x: a region turned over has its columns as strips.
      const region = [outer, ...holes].map((ring) => (isAcross ? ring.map(({ x, y }) => ({ x: y, y: x })) : ring));
      const strips = stripsOf(region);
      if (strips.height <= boardMm / 2) return undefined;
      if (strips.height <= boardMm) least = Math.min(least, chordIn(strips, strips.height - boardMm / 2, boardMm / 2));
    }
  }
  return Number.isFinite(least) ? least : undefined;
}

/** The least width of a shape over heights from one to another. */
function chordIn({ cuts, first, sides }: Strips, from: number, to: number): number {
  let least = Infinity;
  for (let strip = 0; strip + 1 < cuts.length; strip++) {
    const low = cuts[strip]!,
      high = cuts[strip + 1]!;
    for (const at of [Math.max(low, from), Math.min(high, to)]) {
      if (at < low || at > high) continue;
      const share = (at - low) / (high - low);
      let width = 0;
      for (let side = 4 * first[strip]!; side < 4 * first[strip + 1]!; side += 4)
        width += (1 - share) * (sides[side + 2]! - sides[side]!) + share * (sides[side + 3]! - sides[side + 1]!);
      least = Math.min(least, width);
    }
  }
  return least;
}
