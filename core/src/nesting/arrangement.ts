import type { PoseSet } from './pose-set.ts';

/** The room of one open board that shapes may lie in, in mm; rows are counted from its foot. */
export interface Room {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/**
 * Pieces on boards, overlapping or not, with how deep each pair overlaps and what that weighs. Changed in place: it lives for one search.
 * A piece stands with its left side at `x` (mm) and its foot on a row of its board.
 */
export class Arrangement {
  readonly count: number;
  readonly board: Int32Array;
  readonly pose: Int32Array;
  readonly x: Float64Array;
  readonly row: Int32Array;
  /** Depth of overlap of pairs in mm, and their weights, both as full squares. */
  readonly depth: Float64Array;
  readonly weight: Float64Array;
  /** Pieces on each board, and how many. */
  readonly members: readonly Int32Array[];
  readonly memberCount: Int32Array;
  private readonly slot: Int32Array;

  constructor(
    readonly poses: PoseSet,
    readonly rooms: readonly Room[],
    count: number,
  ) {
    this.count = count;
    this.board = new Int32Array(count).fill(-1);
    this.pose = new Int32Array(count);
    this.x = new Float64Array(count);
    this.row = new Int32Array(count);
    this.slot = new Int32Array(count);
    this.depth = new Float64Array(count * count);
    this.weight = new Float64Array(count * count).fill(1);
    this.members = rooms.map(() => new Int32Array(count));
    this.memberCount = new Int32Array(rooms.length);
  }

  /** Last row that a pose may stand on; below 0 when it is too tall for the board. */
  lastRow(board: number, pose: number): number {
    const room = this.rooms[board]!;
    return Math.floor((room.maxY - room.minY - this.poses.strips[pose]!.height) / this.poses.rows.pitchMm + 1e-6);
  }
  /** Greatest x at which a pose still lies in the board; less than its minX when it is too wide. */
  lastX(board: number, pose: number): number {
    return this.rooms[board]!.maxX - this.poses.strips[pose]!.width + 1e-6;
  }

  /** The whole row that is nearest to a place between rows, and within the board where one beside it is. */
  rowNear(board: number, pose: number, row: number): number {
    const near = Math.round(row);
    return near > this.lastRow(board, pose) ? Math.floor(row) : near;
  }

  /** Puts a piece somewhere and works out its overlaps anew. */
  put(piece: number, board: number, pose: number, x: number, row: number): void {
    this.lift(piece);
    this.board[piece] = board;
    this.pose[piece] = pose;
    this.x[piece] = x;
    this.row[piece] = row;
    const members = this.members[board]!;
    for (let at = 0; at < this.memberCount[board]!; at++) {
      const other = members[at]!;
      const depth = this.depthBetween(piece, other);
      this.depth[piece * this.count + other] = depth;
      this.depth[other * this.count + piece] = depth;
    }
    this.slot[piece] = this.memberCount[board]!;
    members[this.memberCount[board]!] = piece;
    this.memberCount[board]! += 1;
  }

  /** Takes a piece off its board. */
  lift(piece: number): void {
    const board = this.board[piece]!;
    if (board < 0) return;
    const members = this.members[board]!;
    const last = members[this.memberCount[board]! - 1]!;
    members[this.slot[piece]!] = last;
    this.slot[last] = this.slot[piece]!;
    this.memberCount[board]! -= 1;
    this.board[piece] = -1;
    for (let at = 0; at < this.memberCount[board]!; at++) {
      const other = members[at]!;
      this.depth[piece * this.count + other] = 0;
      this.depth[other * this.count + piece] = 0;
    }
  }

  /** How deep two pieces of one board overlap: the shortest way along x or along y that parts them, in mm; 0 when they are apart. */
  private depthBetween(a: number, b: number): number {
    return this.poses.depth(this.pose[a]!, this.pose[b]!, this.x[b]! - this.x[a]!, this.row[b]! - this.row[a]!);
  }

  /** Sum of all depths of a piece, in mm. */
  overlapOf(piece: number): number {
    const { depth, count } = this;
    const board = this.board[piece]!;
    const members = this.members[board]!;
    let sum = 0;
    for (let at = 0; at < this.memberCount[board]!; at++) sum += depth[piece * count + members[at]!]!;
    return sum;
  }

  /** Sum of all weighted depths of a piece. */
  costOf(piece: number): number {
    const { depth, weight, count } = this;
    const board = this.board[piece]!;
    const members = this.members[board]!;
    let sum = 0;
    for (let at = 0; at < this.memberCount[board]!; at++) {
      const index = piece * count + members[at]!;
      sum += depth[index]! * weight[index]!;
    }
    return sum;
  }

  /** What the overlaps of a piece would weigh elsewhere. */
  costAt(piece: number, board: number, pose: number, x: number, row: number): number {
    const members = this.members[board]!;
    let sum = 0;
    for (let at = 0; at < this.memberCount[board]!; at++) {
      const other = members[at]!;
      if (other === piece) continue;
      sum +=
        this.poses.depth(this.pose[other]!, pose, x - this.x[other]!, row - this.row[other]!) *
        this.weight[piece * this.count + other]!;
    }
    return sum;
  }

  /** Sum of the depths of all pairs, in mm. */
  overlap(): number {
    let sum = 0;
    for (let piece = 0; piece < this.count; piece++) if (this.board[piece]! >= 0) sum += this.overlapOf(piece);
    return sum / 2;
  }
}
