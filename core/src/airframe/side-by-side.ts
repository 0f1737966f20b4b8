import { separation } from '../geometry/index.ts';
import { gapBetweenParts, setsOf, type Airframe, type NestSettings } from './airframe.ts';
import { piecesOnBoards } from './funnel.ts';
import type { BoardView } from './nest-airframe.ts';
import type { Piece } from './piece.ts';

/** Pieces that lie no farther apart than this beyond the clearance are side by side, in mm. */
const BESIDE_MM = 5;

/** The id of the piece that one is cut side by side with; its own where two of it are. */
export function mateOf({ sideBySide = [] }: NestSettings, pieceId: string): string | undefined {
  const pair = sideBySide.find(({ first, second }) => first === pieceId || second === pieceId);
  return pair && (pair.first === pieceId ? pair.second : pair.first);
}

/** Settings in which a piece is cut side by side with another, or with none; pairs that either was in before are parted. */
export function withMate(nest: NestSettings, pieceId: string, mateId: string | undefined): NestSettings {
  const { sideBySide = [], ...rest } = nest;
  const touched = [pieceId, mateId];
  const others = sideBySide.filter(({ first, second }) => !touched.includes(first) && !touched.includes(second));
  const pairs = mateId === undefined ? others : [...others, { first: pieceId, second: mateId }];
  return pairs.length > 0 ? { ...rest, sideBySide: pairs } : rest;
}

/** The pieces that one can be cut side by side with: those of its material, itself where it is cut twice. */
export function matesFor(airframe: Airframe, { id, part }: Piece): readonly Piece[] {
  const times = (piece: Piece): number => piece.quantity * (piece.guest ? 1 : setsOf(airframe));
  return piecesOnBoards(airframe).filter(
    (piece) => piece.part.material === part.material && (piece.id !== id || times(piece) > 1),
  );
}

/** Pieces that are to lie side by side and do not. */
export interface PairApart {
  readonly first: Piece;
  readonly second: Piece;
  /** How many of them lie apart. */
  readonly count: number;
}

/** The pairs that lie apart in a nest, boards that are cut left aside. */
export function lyingApart(airframe: Airframe, views: readonly BoardView[]): readonly PairApart[] {
  const { nest } = airframe.settings,
    { sideBySide = [] } = nest;
  const open = views.filter(({ isCut }) => !isCut);
  const pieces = new Map(open.flatMap((view) => view.pieces.map(({ piece }) => [piece.id, piece] as const)));
  return sideBySide.flatMap((pair): readonly PairApart[] => {
    const [first, second] = [pieces.get(pair.first), pieces.get(pair.second)];
    if (!first || !second) return [];
    const placed = (id: string): number =>
      open.reduce((sum, view) => sum + view.pieces.filter(({ piece }) => piece.id === id).length, 0);
    const pairs = first === second ? Math.floor(placed(first.id) / 2) : Math.min(placed(first.id), placed(second.id));
    const near = open.reduce(
      (sum, view) => sum + pairsOn(view, first.id, second.id, gapBetweenParts(nest) + BESIDE_MM),
      0,
    );
    return near < pairs ? [{ first, second, count: pairs - near }] : [];
  });
}

/** How many pairs of two pieces lie within a distance on one board, the nearest taken first. */
function pairsOn(view: BoardView, first: string, second: string, withinMm: number): number {
  const at = (id: string): readonly number[] =>
    view.pieces.flatMap(({ piece }, index) => (piece.id === id ? [index] : []));
  const shape = (index: number): BoardView['pieces'][number]['shape'] => view.pieces[index]!.shape;
  const near = at(first)
    .flatMap((one) =>
      at(second)
        .filter((other) => other !== one)
        .map((other) => ({ one, other, apart: separation(shape(one), shape(other), withinMm + 1) })),
    )
    .filter(({ apart }) => apart <= withinMm)
    .sort((a, b) => a.apart - b.apart);
  const taken = new Set<number>();
  let pairs = 0;
  for (const { one, other } of near) {
    if (taken.has(one) || taken.has(other)) continue;
    taken.add(one).add(other);
    pairs += 1;
  }
  return pairs;
}
