import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import { largestRest, squareTurns } from '../nesting/index.ts';
import { liesAnyWay, type Board } from '../stock/index.ts';
import { degreesBetween } from '../units/index.ts';
import type { Airframe, AirframeNest, PlacedPiece } from './airframe.ts';
import { relaid, rounded, slidTo } from './by-hand.ts';
import { nestBoard, shapeOf } from './material-nests.ts';
import type { Piece } from './piece.ts';
import { boardViews, pieceFaults, turnPlaced, turnsOn, type BoardView } from './nest-airframe.ts';

/** Most pieces that a square place is looked for. */
const MOST_LOOKED_FOR = 200;
/** Grid on which the rest of a board is compared, in mm. */
const REST_PITCH_MM = 2;

/** Turns nearer than this are the same, in degrees: those of edges are rounded. */
const SAME_DEGREES = 0.05;

const isUpright = (rotation: number): boolean => Math.abs(rotation - 90 * Math.round(rotation / 90)) < 1e-9;

/** The turns in which a piece lies square on a board: upright, and where it may be turned freely with a long edge along the board. */
function squareTurnsOf(airframe: Airframe, piece: Piece, board: Board): readonly number[] {
  const isFree = airframe.settings.nest.turnsFreely && liesAnyWay(piece.part.grain, board.grain);
  const ofEdges = isFree ? squareTurns(piece.part.outer.map(({ x, y }) => [x, y])) : [];
  return [...turnsOn(airframe, piece, board).filter(isUpright), ...ofEdges];
}

/**
 * A nest whose pieces lie square to their boards where that costs nothing: each that was turned aslant takes a square place beside its own
 * where there is one and the rest of its board stays as large. Locked pieces, those of boards that are cut and those to be cut side by side stay.
 * @param only the board that was nested by itself; left out, all
 */
export function squared(airframe: Airframe, nest: AirframeNest, only?: number): AirframeNest {
  let now = nest,
    left = MOST_LOOKED_FOR;
  for (const { number, isCut, alikeTo } of boardViews(airframe, nest)) {
    const board = number - 1;
    if (isCut || (only !== undefined && board !== only)) continue;
    if (alikeTo !== undefined && only === undefined && [alikeTo - 1, board].every((at) => isOpen(nest.boards[at]!))) {
      // Boards that are laid out alike stay so: they are cut from one list.
      const { placements } = now.boards[alikeTo - 1]!;
      now = { ...now, boards: now.boards.with(board, { ...now.boards[board]!, placements }) };
      continue;
    }
    for (const index of aslant(airframe, viewOf(airframe, now, board))) {
      if (left-- <= 0) return now;
      const place = squarePlace(airframe, viewOf(airframe, now, board), index);
      if (place) now = relaid(now, board, new Map([[index, rounded(place)]]));
    }
  }
  return now;
}

/** Whether a board is neither cut nor has a piece that is locked. */
const isOpen = ({ cutFrom, placements }: AirframeNest['boards'][number]): boolean =>
  !cutFrom && placements.every(({ isLocked }) => !isLocked);

const viewOf = (airframe: Airframe, nest: AirframeNest, board: number): BoardView =>
  boardViews(airframe, nest).find(({ number }) => number === board + 1)!;

/** The pieces of a board that lie aslant and may be moved. */
function aslant(airframe: Airframe, { board, pieces }: BoardView): readonly number[] {
  const paired = (airframe.settings.nest.sideBySide ?? []).flatMap(({ first, second }) => [first, second]);
  const isSquare = (piece: Piece, turn: number): boolean =>
    isUpright(turn) || squareTurnsOf(airframe, piece, board).some((one) => degreesBetween(one, turn) < SAME_DEGREES);
  return pieces.flatMap(({ placed, piece }, index) =>
    placed.isLocked || paired.includes(piece.id) || isSquare(piece, placed.rotation) ? [] : [index],
  );
}

/** A square place beside that of a piece, the nearest turn first; undefined where none is free or the rest would be smaller. */
function squarePlace(airframe: Airframe, view: BoardView, index: number): PlacedPiece | undefined {
  const { piece, placed } = view.pieces[index]!;
  const turns = squareTurnsOf(airframe, piece, view.board).toSorted(
    (a, b) => degreesBetween(placed.rotation, a) - degreesBetween(placed.rotation, b),
  );
  const before = restMm2(view);
  for (const turn of turns) {
    const slid = slidTo(airframe, view, index, piece, turnPlaced(piece, placed, turn)),
      place = slid && rounded(slid);
    if (!place || pieceFaults(airframe, view, index, place).length > 0) continue;
    const after = { ...view, pieces: view.pieces.with(index, { piece, placed: place, shape: shapeOf(piece, place) }) };
    if (restMm2(after) >= before - 1e-6) return place;
  }
  return undefined;
}

/** Area of the largest rectangle that a board has left. */
function restMm2({ board, pieces }: BoardView): number {
  const rest = largestRest(
    nestBoard(board, false),
    pieces.map(({ shape }) => shape),
    REST_PITCH_MM,
  );
  return boundsWidth(rest) * boundsHeight(rest);
}
