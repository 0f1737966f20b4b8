import { defined, type RandomSource } from '../units/index.ts';
import type { Room } from './arrangement.ts';
import { planned, type BoardPlan } from './board-plans.ts';
import { BoughtForLess } from './bought-for-less.ts';
import { chosenBoards, MOST_PIECES } from './chosen-boards.ts';
import { PATIENT, QUICK, type Spot } from './attempt.ts';
import { layoutFaults } from './check-layout.ts';
import { isBetter, scored, type ScoredLayout } from './effective-boards.ts';
import { bestExchange, type Exchange } from './exchange.ts';
import type { NestInstance } from './instance.ts';
import { PieceSet, type SpotsOnBoards } from './piece-set.ts';
import { RepeatedAttempt, type Worth } from './repeated-attempt.ts';

/** A last board smaller than this share is given up altogether. */
const SMALLEST_LAST = 0.04;
/** By how much of a board the last one is made smaller: at first, at least and at most, and how that changes with luck. */
const FIRST_STEP = 0.06,
  LEAST_STEP = 0.005,
  MOST_STEP = 0.2,
  AFTER_SUCCESS = 1.3,
  AFTER_FAILURE = 0.6;
/** Where all pieces would fill the other boards less than this, such a share of all moves goes into leaving the last one out, however full it is. */
const DENSEST_HOPE = 0.87,
  LEAVE_OUT_SHARE = 0.6;
/** What saves a whole board is worth going on with from twice as far off. */
const BOARD_SAVED: Worth = { patience: 2, manner: QUICK };
/** Where all is to lie on one board there is nothing else to try: it may take long. */
const ALL_ON_ONE: Worth = { patience: 2, manner: PATIENT };
/** Failures in a row after which another nest to start from is worth more. */
const STALE_AFTER = 150;
/** Share of attempts that exchange pieces of the last board for smaller ones of another. */
const EXCHANGE_SHARE = 0.5;
/** What a nest whose last board holds less may take more than before, in boards: a few millimetres. */
const LESS_ON_LAST_WORTH = 0.008;

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
  /** Whether it leaves less on the last board, which is worth something by itself. */
  readonly isExchange?: boolean;
  /** Whether it is on boards that cost less. */
  readonly isPlan?: boolean;
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
  /** Moves since it began, and those of them that went into leaving the last board out. */
  private moves = 0;
  private movesToLeaveOut = 0;
  private readonly forLess: BoughtForLess;

  constructor(
    private readonly instance: NestInstance,
    pitchMm: number,
    private readonly areaMm2Of: ReadonlyMap<string, number>,
    private readonly random: RandomSource,
  ) {
    this.pieces = new PieceSet(instance, pitchMm);
    this.forLess = new BoughtForLess(instance, this.pieces.areaMm2, DENSEST_HOPE);
  }

  /** Starts from a nest. */
  begin(best: ScoredLayout): void {
    this.goOnFrom(best);
    this.running = undefined;
    this.steps = [FIRST_STEP, FIRST_STEP];
    this.failures = 0;
    this.moves = 0;
    this.movesToLeaveOut = 0;
  }
  private goOnFrom(best: ScoredLayout): void {
    this.chain = { best, ...this.pieces.read(best.layout) };
    this.forLess.than(best.score.cost);
  }

  /** The nest that it betters now; its figure is that of the best. */
  get reached(): ScoredLayout | undefined {
    return this.chain?.best;
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
    const { attempt, axis, kinds, isExchange, isPlan } = this.running;
    attempt.run(moves);
    this.moves += moves;
    if (isPlan) this.forLess.spend(moves);
    if (kinds.length < this.chain!.kinds.length) this.movesToLeaveOut += moves;
    if (attempt.isSolved === undefined) return undefined;
    const found = attempt.isSolved ? this.taken(this.running) : undefined;
    this.running = undefined;
    if (found) this.failures = 0;
    else if (!isExchange && !isPlan) this.failures += 1;
    if (axis !== undefined) this.learn(axis, found !== undefined);
    return found;
  }

  /** Larger steps after a success; after a failure smaller ones, and the other axis next. */
  private learn(axis: 0 | 1, isSuccess: boolean): void {
    const step = this.steps[axis] * (isSuccess ? AFTER_SUCCESS : AFTER_FAILURE);
    this.steps[axis] = Math.max(LEAST_STEP, Math.min(MOST_STEP, step));
    if (!isSuccess) this.axis = axis === 0 ? 1 : 0;
  }

  /**
   * Keeps what an attempt came to when it is better, or hardly worse with less on the last board, and holds before the independent check.
   * @returns it when it is better
   */
  private taken({ attempt, boards, pieces, kinds, isExchange }: Running): ScoredLayout | undefined {
    const chain = this.chain!;
    const spots = [...chain.spots];
    attempt.spots().forEach((spot, at) => {
      spots[pieces[at]!] = { ...spot, board: boards[spot.board]! };
    });
    const layout = this.pieces.written(kinds, spots);
    const found = scored(this.instance, layout, this.areaMm2Of);
    const isGain = isBetter(found.score, chain.best.score);
    const least = { ...chain.best.score, effectiveBoards: chain.best.score.effectiveBoards + LESS_ON_LAST_WORTH };
    const isKept = isGain || (isExchange && isBetter(found.score, least));
    if (!isKept || layoutFaults(this.instance, layout).length > 0) return undefined;
    // The figure to better stays the least there was, so that many small steps do not lead away from it.
    const best = isGain ? found : { ...found, score: chain.best.score };
    this.goOnFrom(best);
    return isGain ? found : undefined;
  }

  private nextAttempt(): Running | undefined {
    const chain = this.chain!;
    const homeless = chain.spots.findIndex((spot, piece) => !spot && this.pieces.fitsOn(chain.kinds, piece));
    if (homeless >= 0) return this.attemptToPlace(homeless);
    if (this.isToLeaveOut()) return this.attemptToLeaveOut();
    const isSmall = chain.spots.length <= MOST_PIECES && chain.spots.every(Boolean);
    const plan = isSmall ? this.forLess.next(this.moves) : undefined;
    if (plan) return this.attemptOnPlan(plan);
    const isExchange = chain.kinds.length > 1 && this.random() < EXCHANGE_SHARE;
    const exchange = isExchange ? bestExchange(this.pieces, chain, this.random) : undefined;
    return exchange ? this.attemptToExchange(exchange) : this.attemptToShrink();
  }

  /** All pieces on boards that cost less. */
  private attemptOnPlan(plan: BoardPlan): Running {
    const { kinds, spots } = planned(this.instance, plan, this.chain!.kinds, this.chain!.spots);
    const boards = kinds.map((_, board) => board),
      pieces = spots.map((_, piece) => piece),
      choices = this.pieces.choicesOn(kinds, pieces);
    const attempt = new RepeatedAttempt(
      {
        poses: this.pieces.poses,
        rooms: kinds.map((kind) => this.pieces.boardRooms[kind]!.room),
        blocked: kinds.map((kind) => this.pieces.blockedPose[kind]!),
        parts: this.pieces.parts,
        spots,
        ...defined({ choices }),
      },
      this.random,
      BOARD_SAVED,
    );
    return { attempt, boards, pieces, kinds, isPlan: true };
  }

  /** Whether the last board is to be left out altogether: where hardly anything would be left of it, and now and then where there is hope. */
  private isToLeaveOut(): boolean {
    const { kinds, spots } = this.chain!;
    const last = kinds.length - 1;
    if (last < 0 || this.shareLeft() < SMALLEST_LAST) return true;
    const { taken } = this.pieces.boardRooms[kinds[last]!]!.board;
    const isHopeful = last > 0 && !taken && this.pieces.fillOf(kinds.slice(0, -1), spots) < DENSEST_HOPE;
    return isHopeful && this.movesToLeaveOut <= LEAVE_OUT_SHARE * this.moves;
  }
  /** Share of the last board that the next step along the axis leaves. */
  private shareLeft(): number {
    const { kinds, best } = this.chain!;
    return best.score.effectiveBoards - (kinds.length - 1) - this.steps[this.axis];
  }

  private attemptToLeaveOut(): Running | undefined {
    const { kinds } = this.chain!;
    const last = kinds.length - 1;
    if (last < 1 || this.pieces.boardRooms[kinds[last]!]!.board.taken) return undefined;
    const worth = last === 1 ? ALL_ON_ONE : BOARD_SAVED;
    return this.attemptOn(kinds.slice(0, -1), this.chosenBoards(last), {}, { worth });
  }

  /** Both boards of an exchange with their pieces kept to them, the last no larger than it was, or smaller by some of the gain. */
  private attemptToExchange({ other, fromLast, toLast, gain }: Exchange): Running {
    const { kinds, spots, best } = this.chain!;
    const last = kinds.length - 1,
      boards = [other, last];
    const pieces = spots.flatMap((spot, piece) => (spot && boards.includes(spot.board) ? [piece] : []));
    const homes = pieces.map((piece) => {
      if (fromLast.includes(piece)) return 0;
      return toLast.includes(piece) ? 1 : boards.indexOf(spots[piece]!.board);
    });
    const placeOf = (piece: number, home: number): Spot | undefined => {
      const spot = spots[piece]!;
      if (boards[home] === spot.board) return { ...spot, board: home };
      const place = spots[(home === 0 ? toLast : fromLast)[0] ?? -1];
      return place && { ...spot, board: home, x: place.x, row: place.row };
    };
    const smallerBy = this.random() < 0.5 ? 0 : this.random() * gain,
      rooms = boards.map((board) => this.pieces.boardRooms[kinds[board]!]!.room);
    const attempt = new RepeatedAttempt(
      {
        poses: this.pieces.poses,
        rooms: [
          rooms[0]!,
          { ...rooms[1]!, ...this.shrunk(this.narrowAxis(), best.score.effectiveBoards - last - smallerBy) },
        ],
        blocked: boards.map((board) => this.pieces.blockedPose[kinds[board]!]!),
        parts: pieces.map((piece) => this.pieces.parts[piece]!),
        spots: pieces.map((piece, at) => placeOf(piece, homes[at]!)),
        choices: homes.map((home) => [home]),
      },
      this.random,
    );
    return { attempt, boards, pieces, kinds, isExchange: true };
  }

  /** The axis along which the pieces of the last board reach less far, as a share of it. */
  private narrowAxis(): 0 | 1 {
    const { kinds, spots } = this.chain!;
    const last = kinds.length - 1,
      { poses } = this.pieces,
      { board, room } = this.pieces.boardRooms[kinds[last]!]!;
    const onLast = spots.filter((spot) => spot?.board === last).map((spot) => spot!);
    const right = Math.max(...onLast.map(({ x, pose }) => x + poses.strips[pose]!.width)) - room.minX,
      top = Math.max(...onLast.map(({ row, pose }) => row * poses.rows.pitchMm + poses.strips[pose]!.height));
    return right / board.width < top / board.height ? 0 : 1;
  }

  /** The last board's room with only a share of the board left along an axis. */
  private shrunk(axis: 0 | 1, share: number): Partial<Room> {
    const { board, room } = this.pieces.boardRooms[this.chain!.kinds.at(-1)!]!;
    return axis === 0
      ? { maxX: room.maxX - board.width * (1 - share) }
      : { maxY: room.maxY - board.height * (1 - share) };
  }

  private attemptToPlace(homeless: number): Running {
    const { kinds } = this.chain!;
    return this.attemptOn(kinds, this.chosenBoards(kinds.length), {}, { homeless });
  }

  private attemptToShrink(): Running {
    const { kinds } = this.chain!,
      { axis } = this;
    return { ...this.attemptOn(kinds, this.chosenBoards(kinds.length), this.shrunk(axis, this.shareLeft())), axis };
  }

  private chosenBoards(count: number): readonly number[] {
    return chosenBoards(this.chain!.spots, count, this.random);
  }

  private attemptOn(
    kinds: readonly number[],
    boards: readonly number[],
    shrunk: Partial<Room>,
    { homeless, worth }: { readonly homeless?: number; readonly worth?: Worth } = {},
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
        ...defined({
          choices: this.pieces.choicesOn(
            boards.map((board) => kinds[board]!),
            pieces,
          ),
        }),
      },
      this.random,
      worth,
    );
    return { attempt, boards, pieces, kinds };
  }
}
