import { wordedFaults, type Fault } from '../checks/index.ts';
import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import { isCleanBoard, MOST_BOARDS, type Board } from '../stock/index.ts';
import { countOf, memo, sizeText } from '../units/index.ts';
import type { Airframe, AirframeNest } from './airframe.ts';
import { piecesOnBoards } from './funnel.ts';
import type { Piece } from './piece.ts';
import { quickNest } from './nest-airframe.ts';

/** A piece that a nest found no place for, and what would give it one. */
export interface Unplaced {
  readonly piece: Piece;
  readonly quantity: number;
  /** Boards to buy or count; undefined when no board of its material is large enough, or there is none. */
  readonly buy?: { readonly board: Board; readonly count: number };
}

/** Boards tried at most beyond those that the area asks for. */
const MOST_MORE = 5;

/** The pieces of an airframe that a nest has no place for. Remembered by the airframe and its nest. */
export const unplacedIn = (airframe: Airframe, nest: AirframeNest): readonly Unplaced[] => unplacedOf(airframe)(nest);
const unplacedOf = memo((airframe: Airframe) =>
  memo((nest: AirframeNest): readonly Unplaced[] => {
    const pieces = piecesOnBoards(airframe);
    const left = nest.unplaced.flatMap(({ pieceId, quantity }) => {
      const piece = pieces.find(({ id }) => id === pieceId);
      return piece && quantity > 0 ? [{ piece, quantity }] : [];
    });
    const buys = new Map(
      [...new Set(left.map(({ piece }) => piece.part.material))].map((material) => [
        material,
        boardsToBuy(airframe, material, left),
      ]),
    );
    return left.map((one) => {
      const buy = buys.get(one.piece.part.material);
      return buy ? { ...one, buy } : one;
    });
  }),
);

/** How many more of the largest whole board of a material a quick nest needs to place everything of it. */
function boardsToBuy(airframe: Airframe, material: string, left: readonly Omit<Unplaced, 'buy'>[]): Unplaced['buy'] {
  const own = left.filter(({ piece }) => piece.part.material === material);
  // Another marked board is not what one buys where a clean one is known, and of no use to parts that ask for clean ones.
  const isKept = own.some(({ piece }) => airframe.settings.nest.onCleanBoards?.includes(piece.part.id)),
    hasClean = airframe.boards.some((one) => one.material === material && isCleanBoard(one)),
    isBlank = (one: Board): boolean => isCleanBoard(one) || !(isKept || hasClean);
  const board = airframe.boards
    .filter((one) => one.material === material && !one.outline && isBlank(one))
    .sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm)[0];
  if (!board) return undefined;
  const area = own.reduce((sum, { piece, quantity }) => sum + piece.part.areaMm2 * quantity, 0);
  const least = Math.max(1, Math.ceil(area / (board.widthMm * board.heightMm)));
  for (let count = least; count < least + MOST_MORE && board.count + count <= MOST_BOARDS; count++) {
    const boards = airframe.boards.map((one) => (one === board ? { ...one, count: one.count + count } : one));
    const { unplaced } = quickNest({ ...airframe, boards }).nest;
    if (!unplaced.some(({ pieceId }) => own.some(({ piece }) => piece.id === pieceId))) return { board, count };
  }
  return undefined;
}

const handOf = ({ part }: Piece): string => (part.side === 'single' ? '' : `, ${part.side}`);

/** What is to be bought for a piece without a place, in words. */
export const buyWords = ({ piece: { part }, buy }: Unplaced): string =>
  buy
    ? `${countOf(buy.count, 'more board')} of ${buy.board.name} would take everything.`
    : `No board of ${part.material} in stock takes it: it needs ${sizeText(Math.ceil(boundsWidth(part.bounds)), Math.ceil(boundsHeight(part.bounds)), 0)}.`;

/** Pieces without a place, as faults of their parts. Parts whose material has no board at all are told by their own checks. */
export function placeFaults(airframe: Airframe, nest: AirframeNest): readonly Fault[] {
  const own = new Set(airframe.parts.map(({ id }) => id));
  const faults = unplacedIn(airframe, nest)
    // Pieces of guests are no parts of this airframe: Boards tells of them.
    .filter(({ piece }) => own.has(piece.part.id))
    .filter(({ piece }) => airframe.boards.some(({ material }) => material === piece.part.material))
    .map((one): Fault => {
      const { piece, quantity, buy } = one;
      return {
        code: 'PIECE_UNPLACED',
        partId: piece.part.id,
        title: `${quantity} ${piece.part.name}${handOf(piece)} ${quantity === 1 ? 'has' : 'have'} no place on the boards`,
        detail: buyWords(one),
        mend: buy
          ? {
              label: `Count ${buy.count} more`,
              action: { name: 'countBoards', boardId: buy.board.id, count: buy.board.count + buy.count },
            }
          : {
              label: `Add a board of ${piece.part.material}`,
              action: { name: 'addBoard', material: piece.part.material },
            },
      };
    });
  return wordedFaults(faults, airframe.settings.unit);
}
