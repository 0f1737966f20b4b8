import type { RandomSource } from '../units/index.ts';
import type { AttemptStart, Spot } from './attempt.ts';

/** The share of pieces, largest first, that one is exchanged of; and how far the other may be from it in size. */
const LARGE_SHARE = 0.5,
  SIZES_APART = 5;
const LOTS_FOR_ANOTHER = 20;

/** Spots with two large pieces of different parts exchanged, each as near the middle of the other's place as its board lets it; as they are where lots find no two. */
export function disturbed(
  { poses, parts, rooms, choices }: AttemptStart,
  spots: readonly Spot[],
  random: RandomSource,
): readonly Spot[] {
  const boxMm2 = ({ pose }: Spot): number => poses.strips[pose]!.width * poses.strips[pose]!.height;
  const order = spots.map((_, piece) => piece).sort((a, b) => boxMm2(spots[b]!) - boxMm2(spots[a]!));
  const at = Math.floor(random() * Math.max(1, Math.ceil(order.length * LARGE_SHARE)));
  const mayLie = (piece: number, where: number): boolean => choices?.[piece]?.includes(spots[where]!.board) ?? true;
  const isOfUse = (one: number): boolean =>
    parts[order[at]!] !== parts[order[one]!] && mayLie(order[at]!, order[one]!) && mayLie(order[one]!, order[at]!);
  let other = at;
  for (let lot = 0; lot < LOTS_FOR_ANOTHER && !isOfUse(other); lot++) {
    const by = Math.round((2 * random() - 1) * SIZES_APART);
    other = Math.max(0, Math.min(order.length - 1, at + by));
  }
  if (!isOfUse(other)) return spots;
  const [first, second] = [order[at]!, order[other]!];
  const inPlaceOf = (piece: number, to: Spot): Spot => {
    const { pose } = spots[piece]!,
      own = poses.strips[pose]!,
      there = poses.strips[to.pose]!,
      { minX, maxX, minY, maxY } = rooms[to.board]!,
      { pitchMm } = poses.rows;
    const lastRow = Math.floor((maxY - minY - own.height) / pitchMm);
    const row = Math.round(to.row + (there.height - own.height) / 2 / pitchMm);
    return {
      board: to.board,
      pose,
      x: Math.max(minX, Math.min(maxX - own.width, to.x + (there.width - own.width) / 2)),
      row: Math.max(0, Math.min(lastRow, row)),
    };
  };
  return spots.map((spot, piece) =>
    piece === first ? inPlaceOf(first, spots[second]!) : piece === second ? inPlaceOf(second, spots[first]!) : spot,
  );
}
