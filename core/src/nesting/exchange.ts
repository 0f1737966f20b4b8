import type { RandomSource } from '../units/index.ts';
import type { PieceSet, SpotsOnBoards } from './piece-set.ts';

/** What the other board may gain in area, as shares of it, and how full it may become. */
const LEAST_GAIN = 0.001,
  MOST_GAIN = 0.05,
  MOST_FILL = 0.97;
/** Pieces that leave the last board, one at least, and those that come to it. */
const MOST_FROM = 2,
  MOST_TO = 2;
const LOTS = 300;

/** Pieces of the last board that change places with smaller ones of another, so that the last holds less. */
export interface Exchange {
  readonly other: number;
  readonly fromLast: readonly number[];
  readonly toLast: readonly number[];
  /** By how much less the last board holds, as a share of the other. */
  readonly gain: number;
}

/** Draws an exchange that the other board may have room for; undefined where lots find none. */
export function drawExchange(
  set: PieceSet,
  { kinds, spots }: SpotsOnBoards,
  random: RandomSource,
): Exchange | undefined {
  const last = kinds.length - 1,
    other = Math.floor(random() * last);
  const on = (board: number): readonly number[] =>
    spots.flatMap((spot, piece) => (spot?.board === board ? [piece] : []));
  const { minX, minY, maxX, maxY } = set.boardRooms[kinds[other]!]!.room,
    boardMm2 = (maxX - minX) * (maxY - minY);
  const shareOf = (pieces: readonly number[]): number =>
    pieces.reduce((sum, piece) => sum + set.areas[spots[piece]!.pose]!, 0) / boardMm2;
  const ours = on(last),
    theirs = on(other),
    mostGain = Math.min(MOST_GAIN, MOST_FILL - shareOf(theirs));
  if (ours.length === 0) return undefined;
  for (let lot = 0; lot < LOTS; lot++) {
    const fromLast = drawn(ours, 1 + Math.floor(random() * MOST_FROM), random),
      toLast = drawn(theirs, Math.floor(random() * (MOST_TO + 1)), random),
      gain = shareOf(fromLast) - shareOf(toLast);
    const isAllowed =
      fromLast.every((piece) => set.mayLieOn(kinds[other]!, piece)) &&
      toLast.every((piece) => set.mayLieOn(kinds[last]!, piece));
    if (isAllowed && gain >= LEAST_GAIN && gain <= mostGain) return { other, fromLast, toLast, gain };
  }
  return undefined;
}

function drawn(from: readonly number[], count: number, random: RandomSource): readonly number[] {
  const left = [...from];
  return Array.from(
    { length: Math.min(count, left.length) },
    () => left.splice(Math.floor(random() * left.length), 1)[0]!,
  );
}
