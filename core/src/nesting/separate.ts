import type { RandomSource } from '../units/index.ts';
import type { Arrangement } from './arrangement.ts';
import type { PlaceFinder } from './place-finder.ts';

/** How the weights of pairs change in a pass. */
export interface Weighing {
  /** By how much that of a pair grows, from the shallowest overlap to the deepest. */
  readonly leastGrowth: number;
  readonly mostGrowth: number;
  /** What pairs that are apart keep of theirs. */
  readonly decay: number;
}

/** Moves overlapping pieces one at a time to where their overlaps weigh least, while pairs that stay in each other's way grow heavier. */
export class Separator {
  moves = 0;
  private readonly queue: Int32Array;

  constructor(
    private readonly state: Arrangement,
    private readonly finder: PlaceFinder,
    /** The part of each piece that may be moved; the others stay. */
    private readonly parts: readonly number[],
    private readonly random: RandomSource,
    private readonly weighing: Weighing,
  ) {
    this.queue = new Int32Array(parts.length);
  }

  /** One pass over the pieces that overlap. @returns the depths left, in mm; 0 when nothing overlaps */
  pass(): number {
    const { state, queue, random } = this;
    let count = 0;
    for (let piece = 0; piece < queue.length; piece++) if (state.overlapOf(piece) > 0) queue[count++] = piece;
    for (let index = count - 1; index > 0; index--) {
      const other = Math.floor(random() * (index + 1));
      const swapped = queue[index]!;
      queue[index] = queue[other]!;
      queue[other] = swapped;
    }
    for (let index = 0; index < count; index++) {
      const piece = queue[index]!;
      if (state.overlapOf(piece) > 0) this.move(piece);
    }
    this.reweigh();
    return state.overlap();
  }

  private move(piece: number): void {
    const { state } = this;
    this.moves += 1;
    const place = this.finder.find(piece, this.parts[piece]!);
    if (place.cost < state.costOf(piece)) state.put(piece, place.board, place.pose, place.x, place.row);
  }

  private reweigh(): void {
    const { count, depth, weight } = this.state,
      { leastGrowth, mostGrowth, decay } = this.weighing;
    let deepest = 0;
    for (let index = 0; index < depth.length; index++) if (depth[index]! > deepest) deepest = depth[index]!;
    for (let a = 0; a < count; a++) {
      for (let b = a + 1; b < count; b++) {
        const index = a * count + b;
        const by = depth[index]! > 0 ? leastGrowth + (mostGrowth - leastGrowth) * (depth[index]! / deepest) : decay;
        const heavier = Math.max(1, weight[index]! * by);
        weight[index] = heavier;
        weight[b * count + a] = heavier;
      }
    }
  }
}
