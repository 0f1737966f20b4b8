import type { RandomSource } from '../units/index.ts';
import type { Room } from './arrangement.ts';
import { layoutFaults } from './check-layout.ts';
import { isBetter, scored, type ScoredLayout } from './effective-boards.ts';
import type { NestInstance } from './instance.ts';
import { PieceSet, type SpotsOnBoards } from './piece-set.ts';
import { RepeatedAttempt } from './repeated-attempt.ts';

/** A last board smaller than this share is given up altogether. */
const SMALLEST_LAST = 0.04;
/** By how much of a board the last one is made smaller: at first, at least and at most, and how that changes with luck. */
const FIRST_STEP = 0.06,
  LEAST_STEP = 0.005,
  MOST_STEP = 0.2,
  AFTER_SUCCESS = 1.3,
  AFTER_FAILURE = 0.6;
/** Where all pieces would fill the other boards less than this, leaving the last one out is tried so often, however full it is. */
const DENSEST_HOPE = 0.87,
  LEAVE_OUT_SHARE = 0.5;
/** Most pieces that are moved in one attempt; of larger nests some boards at a time. */
const MOST_PIECES = 160;
/** Share of attempts that leave all but two or three boards as they are. */
const FEW_BOARDS_SHARE = 0.7;
/** Failures in a row after which another nest to start from is worth more. */
const STALE_AFTER = 60;

/** A nest that is bettered; its last board is the one that is made smaller. */
interface Chain extends SpotsOnBoards {
  readonly best: ScoredLayout;
}

/** An attempt under way, with the boards and pieces of the chain that take part. */
interface Running {
  readonly attempt: RepeatedAttempt;
  /** Along which the last board is made smaller: 0 x, 1 y; undefined where it keeps its size or is left out. */
  readonly axis?: 0 | 1;
  readonly boards: readonly number[];
  readonly pieces: readonly number[];
  readonly kinds: readonly number[];
}

/**
 * Betters a nest by making its last board smaller, or leaving it out, and moving what overlaps then until nothing does.
 * Same random numbers and same steps: same nests.
 */
export class OverlapSearch {
  private readonly pieces: PieceSet;
  private chain: Chain | undefined;
  private running: Running | undefined;
  private steps: [number, number] = [FIRST_STEP, FIRST_STEP];
  private axis: 0 | 1 = 0;
  private failures = 0;

  constructor(
    private readonly instance: NestInstance,
    pitchMm: number,
    private readonly areaMm2Of: ReadonlyMap<string, number>,
    private readonly random: RandomSource,
  ) {
    this.pieces = new PieceSet(instance, pitchMm);
  }

  /** Starts from a nest. */
  begin(best: ScoredLayout): void {
    this.chain = { best, ...this.pieces.read(best.layout) };
    this.running = undefined;
    this.steps = [FIRST_STEP, FIRST_STEP];
    this.failures = 0;
  }

  /** Whether it has failed so often that another nest to start from is worth more. */
  get isStale(): boolean {
    return !this.chain || this.failures >= STALE_AFTER;
  }

  /** Works for about so many moves. @returns a nest better than all since it began, when one was found */
  step(moves: number): ScoredLayout | undefined {
    this.running ??= this.nextAttempt();
    if (!this.running) {
      this.failures = STALE_AFTER;
      return undefined;
    }
    const { attempt, axis } = this.running;
    attempt.run(moves);
    if (attempt.isSolved === undefined) return undefined;
    const found = attempt.isSolved ? this.taken(this.running) : undefined;
    this.running = undefined;
    this.failures = found ? 0 : this.failures + 1;
    if (axis !== undefined) this.learn(axis, found !== undefined);
    return found;
  }

  /** Larger steps after a success; after a failure smaller ones, and the other axis next. */
  private learn(axis: 0 | 1, isSuccess: boolean): void {
    const step = this.steps[axis] * (isSuccess ? AFTER_SUCCESS : AFTER_FAILURE);
    this.steps[axis] = Math.max(LEAST_STEP, Math.min(MOST_STEP, step));
    if (!isSuccess) this.axis = axis === 0 ? 1 : 0;
  }

  /** Keeps what an attempt came to when it is better and holds before the independent check. */
  private taken({ attempt, boards, pieces, kinds }: Running): ScoredLayout | undefined {
    const chain = this.chain!;
    const spots = [...chain.spots];
    attempt.spots().forEach((spot, at) => {
      spots[pieces[at]!] = { ...spot, board: boards[spot.board]! };
    });
    const layout = this.pieces.written(kinds, spots);
    const found = scored(this.instance, layout, this.areaMm2Of);
    if (!isBetter(found.score, chain.best.score) || layoutFaults(this.instance, layout).length > 0) return undefined;
    this.chain = { best: found, ...this.pieces.read(found.layout) };
    return found;
  }

  private nextAttempt(): Running | undefined {
    const chain = this.chain!;
    const homeless = chain.spots.findIndex((spot, piece) => !spot && this.pieces.fitsOn(chain.kinds, piece));
    return homeless >= 0 ? this.attemptToPlace(homeless) : this.attemptToShrink();
  }

  private attemptToPlace(homeless: number): Running {
    const { kinds } = this.chain!;
    return this.attemptOn(kinds, this.chosenBoards(kinds.length), {}, homeless);
  }

  private attemptToShrink(): Running | undefined {
    const { kinds, spots, best } = this.chain!;
    const last = kinds.length - 1;
    if (last < 0) return undefined;
    const { board, room } = this.pieces.boardRooms[kinds[last]!]!;
    const share = best.score.effectiveBoards - last - this.steps[this.axis];
    const isHopeful = last > 0 && !board.taken && this.pieces.fillOf(kinds.slice(0, -1), spots) < DENSEST_HOPE;
    if (share < SMALLEST_LAST || (isHopeful && this.random() < LEAVE_OUT_SHARE)) {
      if (last === 0 || board.taken) return undefined;
      return this.attemptOn(kinds.slice(0, -1), this.chosenBoards(last), {});
    }
    const shrunk =
      this.axis === 0
        ? { maxX: room.maxX - board.width * (1 - share) }
        : { maxY: room.maxY - board.height * (1 - share) };
    return { ...this.attemptOn(kinds, this.chosenBoards(last + 1), shrunk), axis: this.axis };
  }

  /** Which boards take part, the last one always: all, or two or three, or as many as hold few enough pieces. */
  private chosenBoards(count: number): readonly number[] {
    const { spots } = this.chain!;
    const isFew = count > 2 && this.random() < FEW_BOARDS_SHARE,
      mostBoards = isFew ? 2 + Math.floor(this.random() * 2) : count;
    if (!isFew && spots.length <= MOST_PIECES) return Array.from({ length: count }, (_, board) => board);
    const held = Array.from({ length: count }, () => 0);
    let pieces = 0;
    for (const spot of spots) {
      if (spot && spot.board < count) held[spot.board]! += 1;
      else if (spot) pieces += 1;
    }
    const chosen = [count - 1];
    pieces += held[count - 1]!;
    const others = Array.from({ length: count - 1 }, (_, board) => board);
    while (others.length > 0) {
      const [board] = others.splice(Math.floor(this.random() * others.length), 1);
      pieces += held[board!]!;
      if ((pieces > MOST_PIECES && chosen.length > 1) || chosen.length >= mostBoards) break;
      chosen.unshift(board!);
    }
    return chosen;
  }

  private attemptOn(
    kinds: readonly number[],
    boards: readonly number[],
    shrunk: Partial<Room>,
    homeless?: number,
  ): Running {
    const { spots } = this.chain!;
    const here = new Map(boards.map((board, at) => [board, at]));
    const pieces = spots.flatMap((spot, piece) =>
      piece === homeless || (spot && (here.has(spot.board) || spot.board >= kinds.length)) ? [piece] : [],
    );
    const attempt = new RepeatedAttempt(
      {
        poses: this.pieces.poses,
        rooms: boards.map((board) => {
          const { room } = this.pieces.boardRooms[kinds[board]!]!;
          return board === kinds.length - 1 ? { ...room, ...shrunk } : room;
        }),
        blocked: boards.map((board) => this.pieces.blockedPose[kinds[board]!]!),
        parts: pieces.map((piece) => this.pieces.parts[piece]!),
        spots: pieces.map((piece) => {
          const spot = spots[piece];
          const board = spot && here.get(spot.board);
          return board === undefined ? undefined : { ...spot!, board };
        }),
      },
      this.random,
    );
    return { attempt, boards, pieces, kinds };
  }
}
