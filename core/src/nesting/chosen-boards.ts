import type { RandomSource } from '../units/index.ts';
import type { Spot } from './attempt.ts';

/** Most pieces that are moved in one attempt; of larger nests some boards at a time. */
export const MOST_PIECES = 160;
/** Share of attempts that leave all but two or three boards as they are. */
const FEW_BOARDS_SHARE = 0.7;

/** Which boards take part, the last one always: all, or two or three, or as many as hold few enough pieces. */
export function chosenBoards(
  spots: readonly (Spot | undefined)[],
  count: number,
  random: RandomSource,
): readonly number[] {
  const isFew = count > 2 && random() < FEW_BOARDS_SHARE,
    mostBoards = isFew ? 2 + Math.floor(random() * 2) : count;
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
    const [board] = others.splice(Math.floor(random() * others.length), 1);
    pieces += held[board!]!;
    if ((pieces > MOST_PIECES && chosen.length > 1) || chosen.length >= mostBoards) break;
    chosen.unshift(board!);
  }
  return chosen;
}
