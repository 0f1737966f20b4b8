import type { RandomSource } from '../units/index.ts';
import type { Arrangement } from './arrangement.ts';
import type { PlaceFinder } from './place-finder.ts';

/** By how much the weight of a pair grows in a pass, from the shallowest overlap to the deepest, and what pairs apart keep of theirs. */
const GROWTH_LEAST = 1.05,
  GROWTH_MOST = 1.4,
  DECAY = 0.98;

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
    const { count, depth, weight } = this.state;
    let deepest = 0;
    for (let index = 0; index < depth.length; index++) if (depth[index]! > deepest) deepest = depth[index]!;
    for (let a = 0; a < count; a++) {
      for (let b = a + 1; b < count; b++) {
        const index = a * count + b;
        const by = depth[index]! > 0 ? GROWTH_LEAST + (GROWTH_MOST - GROWTH_LEAST) * (depth[index]! / deepest) : DECAY;
        const heavier = Math.max(1, weight[index]! * by);
        weight[index] = heavier;
        weight[b * count + a] = heavier;
      }
    }
  }
}
