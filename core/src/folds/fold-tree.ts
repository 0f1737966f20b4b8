import { cross, distance, polygonArea, subtract, unitVector, type Point } from '../geometry/index.ts';
import { leavesStrip, type FlatPlates, type Hinge } from './plates.ts';

/** One turn of the tree: a plate and all beyond it turn about a hinge of the plate before. */
export interface Turn {
  readonly hinge: Hinge;
  readonly parent: number;
  readonly child: number;
}

/** A flat part as a tree: the largest plate stands still, the others turn about the plate before them. */
export interface FoldTree extends FlatPlates {
  readonly root: number;
  /** Turns in an order in which every parent comes before its children. */
  readonly turns: readonly Turn[];
  /** Hinges that would close a ring of plates: their two sides have to meet by themselves. */
  readonly rings: readonly Hinge[];
  /** Plates that no hinge joins to the rest: pieces that fall out. */
  readonly loose: readonly number[];
}

/** Stretches of a fold this near one line are one hinge, in mm. */
const ONE_LINE_MM = 0.05;
const joinsSame = (a: Hinge, b: Hinge): boolean =>
  (a.left === b.left && a.right === b.right) || (a.left === b.right && a.right === b.left);
const offLine = (p: Point, { from, to }: Hinge): number => Math.abs(cross(unitVector(from, to), subtract(p, from)));

/** Plates whose areas differ by less than this share are equally large. */
const SAME_AREA = 1e-3;

/** The largest plate of board; of equally large ones that with the most hinges, so that fewest plates hang on others. */
function rootOf({ plates, hinges }: FlatPlates, areas: readonly number[]): number {
  const boards = plates.filter(({ kind }) => kind === 'board').map(({ index }) => index);
  const largest = Math.max(0, ...boards.map((index) => areas[index]!));
  const count = (index: number): number => hinges.filter(({ left, right }) => left === index || right === index).length;
  return boards
    .filter((index) => areas[index]! >= largest * (1 - SAME_AREA))
    .reduce((best, index) => (best < 0 || count(index) > count(best) ? index : best), -1);
}

/** Stretches of a bend or a crease shorter than this share of its longest join plates past the needle of another one. */
const NEEDLE_SHARE = 0.03;

/** Short stretches of bends and creases: where three plates run out into one needle, those on either side of it seem to touch. */
function spuriousHinges({ hinges }: FlatPlates): ReadonlySet<Hinge> {
  const longest = new Map<string, number>(),
    bends = hinges.filter(({ kind }) => kind === 'bend' || kind === 'crease');
  for (const { operationId, from, to } of bends)
    longest.set(operationId, Math.max(longest.get(operationId) ?? 0, distance(from, to)));
  return new Set(
    bends.filter(({ operationId, from, to }) => distance(from, to) < NEEDLE_SHARE * longest.get(operationId)!),
  );
}

/** The fold tree of plates: from the largest plate outward, each plate by the shortest way. */
export function foldTree(flat: FlatPlates): FoldTree {
  const areas = flat.plates.map(
    ({ outer, holes }) => polygonArea(outer) - holes.reduce((sum, hole) => sum + polygonArea(hole), 0),
  );
  const root = rootOf(flat, areas);
  const seen = new Set([root]),
    used = new Set<Hinge>();
  const turns: Turn[] = [],
    isSpurious = spuriousHinges(flat);
  const walk = (hinges: readonly Hinge[]): void => {
    const queue = root < 0 ? [] : [...seen];
    for (const parent of queue) {
      // grows while it is walked
      for (const hinge of hinges) {
        if (hinge.left !== parent && hinge.right !== parent) continue;
        const child = hinge.left === parent ? hinge.right : hinge.left;
        if (seen.has(child)) continue;
        seen.add(child);
        used.add(hinge);
        turns.push({ hinge, parent, child });
        queue.push(child);
      }
    }
  };
  walk(flat.hinges.filter((hinge) => !isSpurious.has(hinge)));
  // What hangs on nothing else hangs on them after all.
  if (isSpurious.size > 0 && seen.size < flat.plates.length) walk(flat.hinges);
  // A hinge that a hole interrupts joins the same two plates twice in one line: that is one hinge, no ring.
  const isGoneOn = (hinge: Hinge): boolean =>
    [...used].some(
      (other) => joinsSame(hinge, other) && [hinge.from, hinge.to].every((p) => offLine(p, other) < ONE_LINE_MM),
    );
  const rings = flat.hinges.filter((hinge) => !used.has(hinge) && !isSpurious.has(hinge) && !isGoneOn(hinge));
  return {
    ...flat,
    root,
    turns: withWallsTurned(flat, turns),
    rings,
    loose: flat.plates.map(({ index }) => index).filter((index) => !seen.has(index)),
  };
}

/**
 * A trench of 90° has two edges but one turn. Where its line does not say at which, the wall turns about the edge on its own side and
 * stands on the skin of the trench, which stays with the plate before.
 */
function withWallsTurned(flat: FlatPlates, turns: readonly Turn[]): readonly Turn[] {
  const isOpen = ({ hinge, child }: Turn): boolean =>
    leavesStrip(hinge.kind) &&
    !hinge.isDoubled &&
    flat.plates[child]!.kind === 'skin' &&
    flat.hinges.every((other) => other.operationId !== hinge.operationId || other.turnDegrees !== 0);
  return turns.map((turn) => (isOpen(turn) ? { ...turn, hinge: { ...turn.hinge, turnDegrees: 0 } } : turn));
}
