import type { RandomSource } from '../units/index.ts';
import { Arrangement } from './arrangement.ts';
import { PlaceFinder } from './place-finder.ts';
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

/** Exchanges that are compared for one that is tried. */
const COMPARED = 24;

/** Of some exchanges the one whose pieces find the least overlap in the room that the others leave; undefined where there is none. */
export function bestExchange(set: PieceSet, chain: SpotsOnBoards, random: RandomSource): Exchange | undefined {
  let best: Exchange | undefined,
    least = Infinity;
  const lots = 1 + Math.floor(random() * COMPARED);
  for (let lot = 0; lot < lots && least > 0; lot++) {
    const exchange = drawExchange(set, chain, random);
    if (!exchange) continue;
    const cost = costOf(set, chain, exchange, random);
    if (cost >= least) continue;
    least = cost;
    best = exchange;
  }
  return best;
}

/** How much the pieces that come to the other board overlap others there, each laid at the best place that a look round finds, in mm. */
function costOf(set: PieceSet, { kinds, spots }: SpotsOnBoards, exchange: Exchange, random: RandomSource): number {
  const { other, fromLast, toLast } = exchange,
    { poses } = set;
  const staying = spots.flatMap((spot, piece) => (spot?.board === other && !toLast.includes(piece) ? [piece] : []));
  const blocked = set.blockedPose[kinds[other]!]!,
    { room } = set.boardRooms[kinds[other]!]!;
  const count = staying.length + fromLast.length + (blocked >= 0 ? 1 : 0);
  const state = new Arrangement(poses, [room], count);
  staying.forEach((piece, at) => {
    const { pose, x, row } = spots[piece]!;
    state.put(at, 0, pose, x, state.rowNear(0, pose, row));
  });
  if (blocked >= 0) state.put(count - 1, 0, blocked, room.minX - 1, -1);
  const finder = new PlaceFinder(state, random);
  let cost = 0;
  fromLast.forEach((piece, index) => {
    const at = staying.length + index,
      { pose } = spots[piece]!,
      there = spots[toLast[index] ?? toLast[0] ?? staying[0] ?? piece]!;
    const x = Math.max(room.minX, Math.min(state.lastX(0, pose), there.x)),
      row = Math.max(0, Math.min(state.lastRow(0, pose), Math.round(there.row)));
    state.put(at, 0, pose, x, row);
    const place = finder.find(at, set.parts[piece]!);
    cost += place.cost;
    if (place.board >= 0) state.put(at, 0, place.pose, place.x, place.row);
  });
  return cost;
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
