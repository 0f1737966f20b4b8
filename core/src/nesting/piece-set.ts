import { regionArea } from '../geometry/index.ts';
import type { Spot } from './attempt.ts';
import { boardRooms, type BoardRoom } from './board-room.ts';
import { mayLieOn, type NestInstance, type NestLayout } from './instance.ts';
import { FINE_ROWS, PoseSet, stripGrowth } from './pose-set.ts';
import { stripsArea } from './strips.ts';

/** A nest as boards of kinds, each by index in the instance, and where each piece lies on them; undefined for what has no place. */
export interface SpotsOnBoards {
  readonly kinds: readonly number[];
  readonly spots: readonly (Spot | undefined)[];
}

/** Every piece of an instance by itself, the poses it may take and the rooms of the boards; reads nests as spots and writes spots as nests. */
export class PieceSet {
  readonly poses: PoseSet;
  /** Area of all pieces with the room round each, in mm². */
  readonly areaMm2: number;
  /** Area of each pose with the room round it, in mm². */
  readonly areas: readonly number[];
  readonly boardRooms: readonly BoardRoom[];
  /** Pose of what cannot be used on each kind of board, or -1. */
  readonly blockedPose: readonly number[];
  /** Part of each piece, every piece by itself. */
  readonly parts: readonly number[];

  constructor(
    private readonly instance: NestInstance,
    private readonly pitchMm: number,
  ) {
    this.boardRooms = boardRooms(instance, pitchMm, stripGrowth(instance.clearance));
    const blocked = this.boardRooms.map((one) => one.blocked);
    this.poses = PoseSet.of(
      instance.parts,
      instance.clearance,
      pitchMm,
      blocked.filter((region) => region.length > 0),
    );
    this.areas = this.poses.strips.map(stripsArea);
    let next = this.poses.strips.length - blocked.filter((region) => region.length > 0).length;
    this.blockedPose = blocked.map((region) => (region.length > 0 ? next++ : -1));
    this.areaMm2 = instance.parts.reduce(
      (sum, { quantity }, part) => sum + quantity * this.areas[this.poses.from[part]!]!,
      0,
    );
    this.parts = instance.parts.flatMap(({ quantity }, part) => Array.from({ length: quantity }, () => part));
  }

  /** Whether a piece may lie on a board of a kind. */
  mayLieOn(kind: number, piece: number): boolean {
    return mayLieOn(this.instance.parts[this.parts[piece]!]!, this.instance.boards[kind]!);
  }

  /** Which of some boards, each by its kind, every piece may lie on; undefined where all may lie on all. */
  choicesOn(kinds: readonly number[], pieces: readonly number[]): readonly (readonly number[])[] | undefined {
    if (!this.instance.parts.some(({ boards }) => boards)) return undefined;
    return pieces.map((piece) => kinds.flatMap((kind, board) => (this.mayLieOn(kind, piece) ? [board] : [])));
  }

  /** Whether a piece may lie, and fits, on an empty board of one of these kinds. */
  fitsOn(kinds: readonly number[], piece: number): boolean {
    const part = this.parts[piece]!;
    return kinds.some((kind) => {
      if (!this.mayLieOn(kind, piece)) return false;
      const { room } = this.boardRooms[kind]!;
      for (let pose = this.poses.from[part]!; pose < this.poses.to[part]!; pose++) {
        const { width, height } = this.poses.strips[pose]!;
        if (width <= room.maxX - room.minX + 1e-6 && height <= room.maxY - room.minY + 1e-6) return true;
      }
      return false;
    });
  }

  /** Share of boards of these kinds that all placed pieces would take, the room round each counted. */
  fillOf(kinds: readonly number[], spots: SpotsOnBoards['spots']): number {
    const wanted = spots.reduce((sum, spot) => sum + (spot ? this.areas[spot.pose]! : 0), 0);
    const there = kinds.reduce((sum, kind) => {
      const { room, blocked } = this.boardRooms[kind]!;
      return sum + (room.maxX - room.minX) * (room.maxY - room.minY) - regionArea(blocked);
    }, 0);
    return wanted / there;
  }

  /** A nest as boards and spots; feet are moved to the nearest fine row, and what stands a hair over the edge back into the room. */
  read(layout: NestLayout): SpotsOnBoards {
    const { instance, poses } = this;
    const kinds = layout.boards.map(({ boardId }) => instance.boards.findIndex(({ id }) => id === boardId));
    const partOf = new Map(instance.parts.map(({ id }, part) => [id, part]));
    const free = instance.parts.map((): number[] => []);
    this.parts.forEach((part, piece) => free[part]!.push(piece));
    const spots: (Spot | undefined)[] = this.parts.map(() => undefined);
    layout.boards.forEach(({ placements }, board) => {
      const { minX, minY, maxX, maxY } = this.boardRooms[kinds[board]!]!.room;
      for (const { partId, x, y, rotation, mirrored } of placements) {
        const part = partOf.get(partId)!;
        const pose = poses.poseOf(part, { rotation, mirrored: mirrored ?? false });
        const strips = poses.strips[pose]!,
          fineMm = this.pitchMm / FINE_ROWS,
          lastRow = Math.floor((maxY - minY - strips.height) / fineMm + 1e-6);
        spots[free[part]!.pop()!] = {
          board,
          pose,
          x: Math.max(minX, Math.min(maxX - strips.width, x + strips.minX)),
          row: Math.max(0, Math.min(lastRow, Math.round((y + strips.minY - minY) / fineMm))) / FINE_ROWS,
        };
      }
    });
    return { kinds, spots };
  }

  /** Boards and spots as a nest. */
  written(kinds: readonly number[], spots: SpotsOnBoards['spots']): NestLayout {
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
      boards: boards.filter(({ placements }, at) => placements.length > 0 || instance.boards[kinds[at]!]!.taken),
      unplaced: [...unplaced].map(([partId, quantity]) => ({ partId, quantity })),
      seconds: 0,
    };
  }
}
