import { boundsOf, type Bounds, type Point, type Shape } from '../geometry/index.ts';
import { memo } from '../units/index.ts';
import type { Room } from './arrangement.ts';
import { boardRooms } from './board-room.ts';
import type { NestBoard } from './instance.ts';
import { grownShape } from './nest-piece.ts';
import { ShiftIntervals } from './shift-intervals.ts';
import { stripsOf, type Strips } from './strips.ts';

/** How far apart rows are that a place is looked for in, at first, in mm. */
const ROW_MM = 4;
/** How far apart rows are that a first place on a board is looked for in, in mm. */
const FIRST_ROW_MM = 2;
/** Golden sections by which the best row is refined: to a hundredth of a millimetre. */
const REFINEMENTS = 14;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Arcs of grown outlines lie inside the true ones by so much at most; grown so much more, shapes are never too near. */
const RESERVE_MM = 0.003,
  ARC_TOLERANCE_MM = 0.002;
/** What lies as near as this to another is not pressed by it, in mm. */
const PRESSED_MM = 0.01;
/** Shifts closer than this are one, in mm. */
const SAME_MM = 1e-6;

/** A shape in its place, grown by half the clearance and cut into strips. */
type RoomShape = Strips;

/** A shape grown by half the clearance, in its place; remembered by the shape. */
const roomShape = memo(
  (shape: Shape, byMm: number): RoomShape => stripsOf(grownShape(shape, byMm, ARC_TOLERANCE_MM)),
  (byMm) => byMm,
);
const extentOf = memo(({ outer }: Shape): Bounds => boundsOf(outer));

/**
 * What of one board is free for a shape among others, so that it can slide along them. A shape is given where it lies; places are told
 * as by how much it is moved from there.
 */
export class FreeRoom {
  private readonly room: Room;
  private readonly blocked: readonly RoomShape[];
  private readonly intervals = new ShiftIntervals();
  private readonly growthMm: number;
  /** Ends of the intervals of a row that are taken; used again for each row. */
  private readonly taken: number[] = [];

  /** @param others shapes that lie on the board */
  constructor(
    board: NestBoard,
    private readonly others: readonly Shape[],
    private readonly clearanceMm: number,
    edgeMarginMm: number,
  ) {
    this.growthMm = clearanceMm / 2 + RESERVE_MM;
    const { room, blocked } = boardRooms(
      { name: '', boards: [board], parts: [], clearance: 2 * this.growthMm, edgeMargin: edgeMarginMm },
      ROW_MM,
      this.growthMm,
    )[0]!;
    this.room = room;
    this.blocked = blocked.length > 0 ? [stripsOf(blocked)] : [];
  }

  /**
   * The place nearest to where a shape is wanted at which it touches nothing.
   * @param wanted by how much it is to be moved
   * @param reachMm how far from there it is looked for
   * @returns by how much to move the shape from its place; undefined when there is no free place within reach
   */
  nearest(own: Shape, wanted: Point, reachMm: number): Point | undefined {
    const shape = roomShape(own, this.growthMm);
    const near = this.near(shape, wanted, reachMm);
    let best: Point | undefined,
      least = reachMm;
    const tryRow = (y: number): number => {
      const x = this.nearestInRow(shape, near, wanted.x, wanted.y + y);
      if (x === undefined) return Infinity;
      const away = Math.hypot(x - wanted.x, y);
      if (away < least) {
        least = away;
        best = { x, y: wanted.y + y };
      }
      return away;
    };
    if (tryRow(0) === 0) return best;
    // A shape that reaches over the board's foot or head is free nowhere near until it is back on it.
    const foot = this.room.minY - shape.minY - wanted.y,
      head = this.room.maxY - shape.height - shape.minY - wanted.y;
    let row = 0;
    if (foot > 0 && tryRow(foot) === least) row = foot;
    if (head < 0 && tryRow(head) === least) row = head;
    for (let y = ROW_MM; y < least; y += ROW_MM)
      for (const at of [y, -y]) if (tryRow(at) === least && best?.y === wanted.y + at) row = at;
    if (best) this.refine(row, tryRow);
    return best;
  }

  /** Looks on both sides of a row for one that is better, by golden sections. */
  private refine(row: number, tryRow: (y: number) => number): void {
    for (const side of [-1, 1]) {
      let near = row,
        far = row + side * ROW_MM;
      for (let step = 0; step < REFINEMENTS; step++) {
        const a = far + (near - far) * GOLDEN,
          b = near + (far - near) * GOLDEN;
        if (tryRow(a) <= tryRow(b)) far = b;
        else near = a;
      }
    }
  }

  /** The lowest free place of a shape on the board, leftmost there. @returns by how much to move it from its place */
  first(own: Shape): Point | undefined {
    const shape = roomShape(own, this.growthMm),
      others = this.all(this.others);
    const from = this.room.minY - shape.minY,
      to = this.room.maxY - shape.height - shape.minY;
    const leftmost = (y: number): number | undefined =>
      this.nearestInRow(shape, others, this.room.minX - shape.minX, y);
    for (let y = from; y <= to + SAME_MM; y += FIRST_ROW_MM) {
      if (leftmost(y) === undefined) continue;
      let free = y;
      for (let half = FIRST_ROW_MM / 2; half > 0.01; half /= 2)
        if (free - half >= from && leftmost(free - half) !== undefined) free -= half;
      return { x: leftmost(free)!, y: free };
    }
    return undefined;
  }

  /** Whether a shape moved by so much lies within the board, others left aside. */
  isOnBoard(own: Shape, by: Point): boolean {
    const x = this.nearestInRow(roomShape(own, this.growthMm), this.blocked, by.x, by.y);
    return x !== undefined && Math.abs(x - by.x) < SAME_MM;
  }

  /** Whether two shapes keep apart when the first is moved by so much; what just touches is apart. */
  isApart(own: Shape, other: Shape, by: Point): boolean {
    const [shape, beside] = [roomShape(own, this.growthMm), roomShape(other, this.growthMm)];
    const count = this.intervals.workOut(beside, shape, shape.minY + by.y - beside.minY);
    const shift = shape.minX + by.x - beside.minX;
    for (let at = 0; at < count; at++)
      if (shift > this.intervals.low[at]! + PRESSED_MM && shift < this.intervals.high[at]! - PRESSED_MM) return false;
    return true;
  }

  private all(shapes: readonly Shape[]): readonly RoomShape[] {
    return [...shapes.map((shape) => roomShape(shape, this.growthMm)), ...this.blocked];
  }

  /** What could be met within reach of where a shape is wanted. */
  private near(shape: RoomShape, { x, y }: Point, reachMm: number): readonly RoomShape[] {
    const room = reachMm + this.clearanceMm + 2 * RESERVE_MM;
    const left = shape.minX + x - room,
      foot = shape.minY + y - room;
    const right = left + shape.width + 2 * room,
      head = foot + shape.height + 2 * room;
    return this.all(
      this.others.filter((other) => {
        const { minX, minY, maxX, maxY } = extentOf(other);
        return minX < right && maxX > left && minY < head && maxY > foot;
      }),
    );
  }

  /** The shift along x nearest to one that is wanted at which a shape moved up by so much is free. */
  private nearestInRow(shape: RoomShape, others: readonly RoomShape[], wanted: number, up: number): number | undefined {
    const { minX, minY, maxX, maxY } = this.room;
    const foot = shape.minY + up;
    if (foot < minY - SAME_MM || foot + shape.height > maxY + SAME_MM) return undefined;
    const least = minX - shape.minX,
      most = maxX - shape.width - shape.minX;
    if (most < least - SAME_MM) return undefined;
    const { taken, intervals } = this;
    taken.length = 0;
    for (const other of others) {
      const lift = foot - other.minY;
      if (lift >= other.height || lift + shape.height <= 0) continue;
      const count = intervals.workOut(other, shape, lift);
      for (let at = 0; at < count; at++)
        taken.push(other.minX - shape.minX + intervals.low[at]!, other.minX - shape.minX + intervals.high[at]!);
    }
    return nearestFree(taken, Math.max(least, Math.min(most, wanted)), least, most);
  }
}

/** The number nearest to one that is wanted, from least to most, that lies inside none of the intervals, told as pairs of ends. */
function nearestFree(taken: readonly number[], wanted: number, least: number, most: number): number | undefined {
  const step = (side: -1 | 1): number | undefined => {
    let at = wanted;
    for (let isMoved = true; isMoved;) {
      isMoved = false;
      for (let index = 0; index < taken.length; index += 2) {
        if (at <= taken[index]! || at >= taken[index + 1]!) continue;
        at = taken[side < 0 ? index : index + 1]!;
        isMoved = true;
      }
    }
    return at < least - SAME_MM || at > most + SAME_MM ? undefined : at;
  };
  const left = step(-1),
    right = step(1);
  if (left === undefined || right === undefined) return left ?? right;
  return wanted - left <= right - wanted ? left : right;
}
