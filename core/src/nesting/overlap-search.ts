import type { RandomSource } from '../units/index.ts';
import type { Spot } from './attempt.ts';
import type { Room } from './arrangement.ts';
import { boardRooms, type BoardRoom } from './board-room.ts';
import { layoutFaults } from './check-layout.ts';
import { isBetter, scored, type ScoredLayout } from './effective-boards.ts';
import type { NestInstance, NestLayout } from './instance.ts';
import { PoseSet } from './pose-set.ts';
import { RepeatedAttempt } from './repeated-attempt.ts';

/** A last board smaller than this share is given up altogether. */
const SMALLEST_LAST = 0.04;
/** By how much of a board the last one is made smaller: at first, at least and at most, and how that changes with luck. */
const FIRST_STEP = 0.06,
  LEAST_STEP = 0.005,
  MOST_STEP = 0.2,
  AFTER_SUCCESS = 1.3,
  AFTER_FAILURE = 0.6;
/** Most pieces that are moved in one attempt; of larger nests some boards at a time. */
const MOST_PIECES = 160;
/** Share of attempts that leave all but two or three boards as they are. */
const FEW_BOARDS_SHARE = 0.7;
/** Failures in a row after which another nest to start from is worth more. */
const STALE_AFTER = 60;

interface Chain {
  readonly best: ScoredLayout;
  /** Kind of each board, by index in the instance; the last board is the one that is made smaller. */
  readonly kinds: readonly number[];
  /** Where each piece lies; undefined for what has no place. */
  readonly spots: readonly (Spot | undefined)[];
}

/** An attempt under way, with the boards and pieces of the chain that take part. */
interface Running {
  readonly attempt: RepeatedAttempt;
  readonly axis: 0 | 1;
  readonly boards: readonly number[];
  readonly pieces: readonly number[];
  readonly kinds: readonly number[];
}

/**
 * Betters a nest by making its last board smaller, or leaving it out, and moving what overlaps then until nothing does.
 * Same random numbers and same steps: same nests.
 */
export class OverlapSearch {
  private readonly poses: PoseSet;
  private readonly boardRooms: readonly BoardRoom[];
  private readonly blockedPose: readonly number[];
  /** Part of each piece, every piece by itself. */
  private readonly parts: readonly number[];
  private chain: Chain | undefined;
  private running: Running | undefined;
  private steps: [number, number] = [FIRST_STEP, FIRST_STEP];
  private axis: 0 | 1 = 0;
  private failures = 0;

  constructor(
    private readonly instance: NestInstance,
    private readonly pitchMm: number,
    private readonly areaMm2Of: ReadonlyMap<string, number>,
    private readonly random: RandomSource,
  ) {
    this.boardRooms = boardRooms(instance, pitchMm);
    const blocked = this.boardRooms.map((one) => one.blocked);
    this.poses = new PoseSet(
      instance.parts,
      instance.clearance,
      pitchMm,
      blocked.filter((region) => region.length > 0),
    );
    let next = this.poses.strips.length - blocked.filter((region) => region.length > 0).length;
    this.blockedPose = blocked.map((region) => (region.length > 0 ? next++ : -1));
    this.parts = instance.parts.flatMap(({ quantity }, part) => Array.from({ length: quantity }, () => part));
  }

  /** Starts from a nest. */
  begin(best: ScoredLayout): void {
    this.chain = { best, ...this.read(best.layout) };
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
    if (found) {
      this.failures = 0;
      this.steps[axis] = Math.min(MOST_STEP, this.steps[axis] * AFTER_SUCCESS);
      return found;
    }
    this.failures += 1;
    this.steps[axis] = Math.max(LEAST_STEP, this.steps[axis] * AFTER_FAILURE);
    this.axis = axis === 0 ? 1 : 0;
    return undefined;
  }

  /** Keeps what an attempt came to when it is better and holds before the independent check. */
  private taken({ attempt, boards, pieces, kinds }: Running): ScoredLayout | undefined {
    const chain = this.chain!;
    const spots = [...chain.spots];
    attempt.spots().forEach((spot, at) => {
      spots[pieces[at]!] = { ...spot, board: boards[spot.board]! };
    });
    const layout = this.written(kinds, spots);
    const found = scored(this.instance, layout, this.areaMm2Of);
    if (!isBetter(found.score, chain.best.score) || layoutFaults(this.instance, layout).length > 0) return undefined;
    this.chain = { best: found, ...this.read(found.layout) };
    return found;
  }

  private nextAttempt(): Running | undefined {
    const chain = this.chain!;
    const homeless = chain.spots.findIndex((spot, piece) => !spot && this.fitsSomewhere(piece));
    return homeless >= 0 ? this.attemptToPlace(homeless) : this.attemptToShrink();
  }

  private fitsSomewhere(piece: number): boolean {
    const part = this.parts[piece]!;
    return this.chain!.kinds.some((kind) => {
      const { room } = this.boardRooms[kind]!;
      for (let pose = this.poses.from[part]!; pose < this.poses.to[part]!; pose++) {
        const { width, height } = this.poses.strips[pose]!;
        if (width <= room.maxX - room.minX + 1e-6 && height <= room.maxY - room.minY + 1e-6) return true;
      }
      return false;
    });
  }

  private attemptToPlace(homeless: number): Running {
    const { kinds } = this.chain!;
    return this.attemptOn(kinds, this.chosenBoards(kinds.length), {}, homeless);
  }

  private attemptToShrink(): Running | undefined {
    const { kinds, best } = this.chain!;
    const last = kinds.length - 1;
    if (last < 0) return undefined;
    const share = best.score.effectiveBoards - last - this.steps[this.axis];
    if (share < SMALLEST_LAST) {
      if (last === 0) return undefined;
      return this.attemptOn(kinds.slice(0, -1), this.chosenBoards(last), {});
    }
    const { board, room } = this.boardRooms[kinds[last]!]!;
    const shrunk =
      this.axis === 0
        ? { maxX: room.maxX - board.width * (1 - share) }
        : { maxY: room.maxY - board.height * (1 - share) };
    return this.attemptOn(kinds, this.chosenBoards(last + 1), shrunk);
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
        poses: this.poses,
        rooms: boards.map((board) => {
          const { room } = this.boardRooms[kinds[board]!]!;
          return board === kinds.length - 1 ? { ...room, ...shrunk } : room;
        }),
        blocked: boards.map((board) => this.blockedPose[kinds[board]!]!),
        parts: pieces.map((piece) => this.parts[piece]!),
        spots: pieces.map((piece) => {
          const spot = spots[piece];
          const board = spot && here.get(spot.board);
          return board === undefined ? undefined : { ...spot!, board };
        }),
      },
      this.random,
    );
    return { attempt, axis: this.axis, boards, pieces, kinds };
  }

  /** A nest as boards and spots; feet are moved to the nearest row. */
  private read(layout: NestLayout): Pick<Chain, 'kinds' | 'spots'> {
    const { instance, poses } = this;
    const kinds = layout.boards.map(({ boardId }) => instance.boards.findIndex(({ id }) => id === boardId));
    const partOf = new Map(instance.parts.map(({ id }, part) => [id, part]));
    const free = instance.parts.map((): number[] => []);
    this.parts.forEach((part, piece) => free[part]!.push(piece));
    const spots: (Spot | undefined)[] = this.parts.map(() => undefined);
    layout.boards.forEach(({ placements }, board) => {
      const { minY } = this.boardRooms[kinds[board]!]!.room;
      for (const { partId, x, y, rotation, mirrored } of placements) {
        const part = partOf.get(partId)!;
        const pose = poses.poseOf(part, { rotation, mirrored: mirrored ?? false });
        const strips = poses.strips[pose]!;
        spots[free[part]!.pop()!] = {
          board,
          pose,
          x: x + strips.minX,
          row: Math.max(0, Math.round((y + strips.minY - minY) / this.pitchMm)),
        };
      }
    });
    return { kinds, spots };
  }

  /** Boards and spots as a nest. */
  private written(kinds: readonly number[], spots: readonly (Spot | undefined)[]): NestLayout {
    const { instance, poses } = this;
    const boards = kinds.map((kind) => ({
      boardId: instance.boards[kind]!.id,
      placements: [] as NestLayout['boards'][number]['placements'][number][],
    }));
    const unplaced = new Map<string, number>();
    spots.forEach((spot, piece) => {
      const partId = instance.parts[this.parts[piece]!]!.id;
      if (!spot) return void unplaced.set(partId, (unplaced.get(partId) ?? 0) + 1);
      const { minX, minY } = poses.strips[spot.pose]!,
        { rotation, mirrored } = poses.turns[spot.pose]!;
      boards[spot.board]!.placements.push({
        partId,
        x: spot.x - minX,
        y: this.boardRooms[kinds[spot.board]!]!.room.minY + spot.row * this.pitchMm - minY,
        rotation,
        ...(mirrored ? { mirrored } : {}),
      });
    });
    return {
      boards: boards.filter(({ placements }) => placements.length > 0),
      unplaced: [...unplaced].map(([partId, quantity]) => ({ partId, quantity })),
      seconds: 0,
    };
  }
}
