import { boundsCentre, boundsOf, type Shape } from '../geometry/index.ts';
import { FreeRoom } from '../nesting/index.ts';
import { mayLieTurned } from '../stock/index.ts';
import { memo } from '../units/index.ts';
import { gapBetweenParts, mayBeCutFrom, type Airframe, type AirframeNest, type PlacedPiece } from './airframe.ts';
import type { Piece } from './piece.ts';
import { nestBoard, shapeOf } from './material-nests.ts';
import { pieceFaults, turnsOn, type BoardView } from './nest-airframe.ts';

/** A placed piece by its board and its place in the board's list. */
export interface PieceAddress {
  readonly board: number;
  readonly index: number;
}

/** How far from where it is wanted a piece may slide, in mm. */
const SLIDE_REACH_MM = 60;
/** Places are kept to a thousandth of a millimetre. */
export const rounded = (placed: PlacedPiece): PlacedPiece => ({
  ...placed,
  x: Math.round(placed.x * 1000) / 1000,
  y: Math.round(placed.y * 1000) / 1000,
});

/** The room of a board, all its pieces but one taken; -1 for all. */
export const roomBeside = memo(
  (view: BoardView, index: number, nest: Airframe['settings']['nest']) =>
    new FreeRoom(
      nestBoard(view.board, false),
      view.pieces.filter((_, at) => at !== index).map(({ shape }) => shape),
      gapBetweenParts(nest),
      nest.edgeMarginMm,
    ),
  (index, nest) => `${index}/${gapBetweenParts(nest)}/${nest.edgeMarginMm}`,
);
/** A piece turned, its drawing's origin at that of the board. */
const turnedShape = memo(
  (piece: Piece, rotation: number): Shape => shapeOf(piece, { x: 0, y: 0, rotation }),
  (rotation) => rotation,
);

/**
 * Where a piece comes to lie that is wanted at a place: there if it is free, else along what is in the way.
 * @param index the piece's place on this board, or -1 where it comes from another
 * @returns undefined where there is no room within reach
 */
export function slidTo(
  airframe: Airframe,
  view: BoardView,
  index: number,
  piece: Piece,
  wanted: PlacedPiece,
): PlacedPiece | undefined {
  const room = roomBeside(view, index, airframe.settings.nest);
  const place = room.nearest(turnedShape(piece, wanted.rotation), wanted, SLIDE_REACH_MM);
  return place && { ...wanted, ...place };
}

/** A nest with some pieces of a board laid elsewhere on it. */
export function relaid(nest: AirframeNest, board: number, places: ReadonlyMap<number, PlacedPiece>): AirframeNest {
  return {
    ...nest,
    boards: nest.boards.map((one, at) =>
      at === board ? { ...one, placements: one.placements.map((placed, index) => places.get(index) ?? placed) } : one,
    ),
  };
}

/** What came of work by hand: a nest, or why there is none. */
export type ByHand =
  { readonly ok: true; readonly nest: AirframeNest } | { readonly ok: false; readonly message: string };

/** A nest in which a piece is locked where it lies, or free again. */
export function locked(nest: AirframeNest, { board, index }: PieceAddress, isLocked: boolean): AirframeNest {
  const { isLocked: _before, ...placed } = nest.boards[board]!.placements[index]!;
  return relaid(nest, board, new Map([[index, isLocked ? { ...placed, isLocked } : placed]]));
}

/** The turns a piece may take on a board, the one that it has first. */
const turnsFrom = (airframe: Airframe, piece: Piece, view: BoardView, rotation: number): readonly number[] => [
  ...(mayLieTurned(piece.part.grain, view.board.grain, rotation) ? [rotation] : []),
  ...turnsOn(airframe, piece, view.board).filter((turn) => turn !== rotation),
];

/** Sends a piece to the lowest free place of another board. The board that it leaves is given up when nothing is left on it. */
export function sentTo(
  airframe: Airframe,
  views: readonly BoardView[],
  nest: AirframeNest,
  from: PieceAddress,
  board: number,
): ByHand {
  const { piece, placed } = views[from.board]!.pieces[from.index]!,
    view = views[board]!;
  const { name, material } = piece.part;
  if (material !== view.board.material)
    return { ok: false, message: `${name} is cut from ${material}; board ${view.number} is ${view.board.material}.` };
  if (!mayBeCutFrom(airframe, piece.part.id, view.board))
    return { ok: false, message: notCleanWords(name, view.number) };
  const room = roomBeside(view, -1, airframe.settings.nest);
  const places = turnsFrom(airframe, piece, view, placed.rotation).flatMap((rotation) => {
    const place = room.first(turnedShape(piece, rotation));
    return place ? [{ pieceId: placed.pieceId, ...place, rotation }] : [];
  });
  if (places.length === 0) return { ok: false, message: `Board ${view.number} has no place left for ${name}.` };
  const lowest = places.reduce((best, one) =>
    one.y + boundsOf(turnedShape(piece, one.rotation).outer).maxY <
    best.y + boundsOf(turnedShape(piece, best.rotation).outer).maxY
      ? one
      : best,
  );
  const boards = nest.boards.map((one, at) => {
    if (at === from.board) return { ...one, placements: one.placements.filter((_, index) => index !== from.index) };
    return at === board ? { ...one, placements: [...one.placements, rounded(lowest)] } : one;
  });
  return { ok: true, nest: { ...nest, boards: boards.filter(({ placements }) => placements.length > 0) } };
}

/** Why a piece that is kept to clean boards may not lie on one. */
export const notCleanWords = (name: string, board: number): string =>
  `${name} is kept to clean boards; board ${board} is marked or an offcut.`;

/** Has two pieces change places, middle for middle, each as it is turned or as it fits there. */
export function swapped(
  airframe: Airframe,
  views: readonly BoardView[],
  nest: AirframeNest,
  a: PieceAddress,
  b: PieceAddress,
): ByHand {
  const [one, other] = [a, b].map(({ board, index }) => views[board]!.pieces[index]!) as [
    BoardView['pieces'][number],
    BoardView['pieces'][number],
  ];
  const names = `${one.piece.part.name} and ${other.piece.part.name}`;
  for (const locked of [one, other])
    if (locked.placed.isLocked) return { ok: false, message: `${locked.piece.part.name} is locked.` };
  if (one.piece.part.material !== other.piece.part.material)
    return { ok: false, message: `${names} are of different materials.` };
  for (const [{ piece }, { board, number }] of [
    [one, views[b.board]!],
    [other, views[a.board]!],
  ] as const)
    if (!mayBeCutFrom(airframe, piece.part.id, board))
      return { ok: false, message: notCleanWords(piece.part.name, number) };
  const laid = (piece: Piece, at: BoardView['pieces'][number], rotation: number): PlacedPiece => {
    const middle = boundsCentre(boundsOf(at.shape.outer)),
      own = boundsCentre(boundsOf(turnedShape(piece, rotation).outer));
    return rounded({ pieceId: piece.id, x: middle.x - own.x, y: middle.y - own.y, rotation });
  };
  for (const turnA of turnsFrom(airframe, one.piece, views[b.board]!, other.placed.rotation)) {
    const toB = laid(one.piece, other, turnA);
    for (const turnB of turnsFrom(airframe, other.piece, views[a.board]!, one.placed.rotation)) {
      const toA = laid(other.piece, one, turnB);
      if (!isFreeBoth(airframe, views, a, { piece: other.piece, placed: toA }, b, { piece: one.piece, placed: toB }))
        continue;
      const first = relaid(nest, a.board, new Map([[a.index, toA]]));
      return { ok: true, nest: relaid(first, b.board, new Map([[b.index, toB]])) };
    }
  }
  return { ok: false, message: `${names} do not fit in each other's places.` };
}

interface Laid {
  readonly piece: Piece;
  readonly placed: PlacedPiece;
}

/** Whether two pieces lie without fault at each other's addresses. */
function isFreeBoth(
  airframe: Airframe,
  views: readonly BoardView[],
  a: PieceAddress,
  toA: Laid,
  b: PieceAddress,
  toB: Laid,
): boolean {
  const put = (view: BoardView, index: number, { piece, placed }: Laid): BoardView => ({
    ...view,
    pieces: view.pieces.with(index, { piece, placed, shape: shapeOf(piece, placed) }),
  });
  const viewA = put(views[a.board]!, a.index, toA);
  const onA = a.board === b.board ? put(viewA, b.index, toB) : viewA;
  const onB = a.board === b.board ? onA : put(views[b.board]!, b.index, toB);
  return (
    pieceFaults(airframe, onA, a.index, toA.placed).length === 0 &&
    pieceFaults(airframe, onB, b.index, toB.placed).length === 0
  );
}
