import type { RandomSource } from '../units/index.ts';
import { Arrangement, type Room } from './arrangement.ts';
import { PlaceFinder } from './place-finder.ts';
import type { PoseSet } from './pose-set.ts';
import { Separator, type Weighing } from './separate.ts';

/** Where a piece lies: on which of the boards, in which pose, its left side in mm and its foot in rows, a part of one where a last touch has moved it. */
export interface Spot {
  readonly board: number;
  readonly pose: number;
  readonly x: number;
  readonly row: number;
}

/** What an attempt starts from. */
export interface AttemptStart {
  readonly poses: PoseSet;
  /** The rooms of its boards, one of them smaller than it was. */
  readonly rooms: readonly Room[];
  /** Pose of what cannot be used on each board, or -1. */
  readonly blocked: readonly number[];
  /** Part of each piece, by its index in the pose set. */
  readonly parts: readonly number[];
  /** Where each piece lay, between rows too; those that lie there no more are put anywhere. */
  readonly spots: readonly (Spot | undefined)[];
  /** The boards that each piece may lie on; left out where all may lie on any. */
  readonly choices?: readonly (readonly number[])[];
}

/** How long an attempt goes on, and how its overlaps weigh. */
export interface Manner extends Weighing {
  /** Passes without less overlap after which it is given up. */
  readonly patience: number;
  /** Moves for each piece that it may take. */
  readonly movesAPiece: number;
}
/** Most attempts: many places are tried, quickly. */
export const QUICK: Manner = { patience: 60, movesAPiece: 40, leastGrowth: 1.05, mostGrowth: 1.4, decay: 0.98 };
/** Where a whole board is to be saved: seldom, and for as long as it takes. */
export const PATIENT: Manner = { patience: 300, movesAPiece: 1000, leastGrowth: 1.05, mostGrowth: 1.2, decay: 0.95 };

/** Overlap counts as less when it is below this share of the least before. */
const LESS = 0.99;
const LOTS_FOR_A_PLACE = 200;

/** One attempt to lay pieces on fewer or smaller boards: they start where they lay, overlapping, and are separated. */
export class Attempt {
  private readonly state: Arrangement;
  private readonly separator: Separator;
  private readonly pieces: number;
  private least = Infinity;
  private leastSpots: readonly Spot[] | undefined;
  private stale = 0;
  /** Whether every piece lies free, or undefined while that is open. */
  isSolved: boolean | undefined;

  constructor(
    private readonly start: AttemptStart,
    private readonly random: RandomSource,
    private readonly manner: Manner = QUICK,
  ) {
    const { poses, rooms, blocked, parts } = start;
    this.pieces = parts.length;
    const blockedCount = blocked.filter((pose) => pose >= 0).length;
    this.state = new Arrangement(poses, rooms, parts.length + blockedCount);
    let next = parts.length;
    blocked.forEach((pose, board) => {
      if (pose >= 0) this.state.put(next++, board, pose, rooms[board]!.minX - 1, -poses.rowsInOne);
    });
    this.separator = new Separator(
      this.state,
      new PlaceFinder(this.state, random, start.choices),
      parts,
      random,
      manner,
    );
    const isPut = parts.map((part, piece) => this.putAt(piece, part, start.spots[piece]));
    if (!isPut.every(Boolean)) this.isSolved = false;
  }

  /** Works for about so many moves. */
  run(moves: number): void {
    const from = this.separator.moves;
    while (this.isSolved === undefined && this.separator.moves - from < moves) {
      const overlap = this.separator.pass();
      if (overlap === 0) this.isSolved = true;
      else if (overlap < this.least * LESS) {
        this.least = overlap;
        this.stale = 0;
        this.leastSpots = this.spots();
      } else this.stale += 1;
      const isOver =
        this.stale >= this.manner.patience || this.separator.moves >= this.manner.movesAPiece * this.pieces;
      if (overlap > 0 && isOver) this.isSolved = false;
    }
  }

  /** The least overlap that there was, in mm, and where the pieces lay then; undefined before the first pass. */
  nearest(): { readonly overlapMm: number; readonly spots: readonly Spot[] } | undefined {
    return this.leastSpots && { overlapMm: this.least, spots: this.leastSpots };
  }

  /** Where the pieces lie now. */
  spots(): readonly Spot[] {
    const { board, pose, x, row } = this.state;
    return Array.from({ length: this.pieces }, (_, piece) => ({
      board: board[piece]!,
      pose: pose[piece]!,
      x: x[piece]!,
      row: row[piece]!,
    }));
  }

  private putAt(piece: number, part: number, spot: Spot | undefined): boolean {
    const { state, random } = this;
    const { poses, rooms, choices } = this.start,
      boards = choices?.[piece];
    if (boards?.length === 0) return false;
    const row = spot && state.rowNear(spot.board, spot.pose, spot.row);
    if (spot && spot.x <= state.lastX(spot.board, spot.pose) && row! <= state.lastRow(spot.board, spot.pose)) {
      state.put(piece, spot.board, spot.pose, spot.x, row!);
      return true;
    }
    for (let lot = 0; lot < LOTS_FOR_A_PLACE; lot++) {
      const board = boards ? boards[Math.floor(random() * boards.length)]! : Math.floor(random() * rooms.length),
        pose = poses.from[part]! + Math.floor(random() * (poses.to[part]! - poses.from[part]!));
      const { minX } = rooms[board]!,
        lastX = state.lastX(board, pose),
        lastRow = state.lastRow(board, pose);
      if (lastX < minX || lastRow < 0) continue;
      state.put(piece, board, pose, minX + random() * (lastX - minX), Math.floor(random() * (lastRow + 1)));
      return true;
    }
    return false;
  }
}
