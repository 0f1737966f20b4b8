import { applyTransform, boundsHeight, boundsOf, boundsWidth, type Shape } from '../geometry/index.ts';
import {
  boardsByArea,
  boardsByLongParts,
  largestRest,
  placementFaults,
  placementTransform,
  searchNest,
  searchSets,
  type NestLayout,
  type NestScore,
  type PlacementFault,
  type SearchStep,
} from '../nesting/index.ts';
import { allowedTurns, boardAreaMm2, mayLieTurned, type Board } from '../stock/index.ts';
import { defined, memo } from '../units/index.ts';
import { gapBetweenParts, setsOf, type Airframe, type AirframeNest, type PlacedPiece } from './airframe.ts';
import { isAsCut, pieceAsCut } from './as-cut.ts';
import { nestHash, piecesOnBoards } from './funnel.ts';
import type { Piece } from './piece.ts';
import {
  materialNests,
  NEST_TOLERANCE_MM,
  nestBoard,
  placedPiece,
  shapeOf,
  type MaterialNest,
} from './material-nests.ts';
import { nestsAround, type NestScope } from './nest-around.ts';

/** Boards that no nest of the airframe can do without; parts of a material without boards are left out. */
export function boardsAtLeast(airframe: Airframe): {
  /** By area alone, in effective boards. */
  readonly byArea: number;
  /** By what long parts take of each board's middle, in whole boards. */
  readonly byLongParts: number;
} {
  const nests = materialNests(airframe),
    cut = cutBoardsOf(airframe).length;
  return {
    byArea: nests.reduce((sum, { instance }) => sum + boardsByArea(instance), cut),
    byLongParts: nests.reduce((sum, { instance }) => sum + Math.ceil(boardsByLongParts(instance) - 1e-9), cut),
  };
}

/** The boards of the kept nest that are cut. */
const cutBoardsOf = ({ nest }: Airframe): AirframeNest['boards'] =>
  (nest?.boards ?? []).filter(({ cutFrom }) => cutFrom !== undefined);

/** A nest of the whole airframe while it is being searched. */
export interface AirframeNestStep {
  readonly nest: AirframeNest;
  /** Steps taken so far, each over all materials. */
  readonly tried: number;
  /** Sums over all materials. */
  readonly score: NestScore;
  readonly improved: boolean;
  /** Whether the first nest is not whole yet: of many pieces some have not had their turn. */
  readonly isGrowing: boolean;
}

/**
 * Searches nests for every material in turn, without end: each step gives every material one more try. The caller stops it.
 * Same airframe, seed, scope and number of steps: same nest.
 * @param scope what of the kept nest it goes on from; left out, everything is nested from nothing
 */
export function* searchAirframeNest(
  airframe: Airframe,
  seed: number,
  scope?: NestScope,
): Generator<AirframeNestStep, never> {
  const readHash = nestHash(airframe);
  const all = scope ? nestsAround(airframe, scope) : materialNests(airframe);
  const withoutBoards = all.filter(({ instance }) => instance.boards.length === 0);
  const searches = all
    .filter(({ instance }) => instance.boards.length > 0)
    .map((material) => ({ material, search: searchOf(material, setsOf(airframe), seed) }));
  const cut = cutBoardsOf(airframe);
  const homeless = withoutBoards.flatMap(({ instance }) =>
    instance.parts.map((part) => ({ pieceId: part.id, quantity: part.quantity })),
  );
  for (let tried = 1; ; tried++) {
    const steps = searches.map(({ material, search }) => ({ material, step: search.next().value }));
    const total = (figure: keyof NestScore): number => steps.reduce((sum, { step }) => sum + step.score[figure], 0);
    const boards = steps.flatMap(({ material, step }) => boardsIn(step.layout, material));
    const only = scope?.board;
    yield {
      tried,
      score: {
        unplacedMm2: total('unplacedMm2'),
        cost: total('cost'),
        effectiveBoards: total('effectiveBoards') + (only === undefined ? cut.length : 0),
      },
      isGrowing: steps.some(({ step }) => step.isGrowing),
      improved: tried === 1 || steps.some(({ step }) => step.improved),
      nest: {
        readHash,
        seed,
        tried,
        boards:
          only === undefined
            ? [...cut, ...boards]
            : airframe.nest!.boards.flatMap((one, at) => (at === only ? boards : [one])),
        unplaced:
          only === undefined
            ? [...steps.flatMap(({ step }) => unplacedOf(step.layout)), ...homeless]
            : airframe.nest!.unplaced,
      },
    };
  }
}

const unplacedOf = (layout: NestLayout): readonly { pieceId: string; quantity: number }[] =>
  layout.unplaced.map(({ partId, quantity }) => ({ pieceId: partId, quantity }));

/** The search for a material's nest; of several sets that are whole, one that may repeat itself. */
function searchOf({ instance, lying, start }: MaterialNest, sets: number, seed: number): Generator<SearchStep, never> {
  const options = { seed, ...defined({ start }) };
  const areWhole = sets > 1 && lying.size === 0 && instance.parts.every(({ quantity }) => quantity % sets === 0);
  if (!areWhole) return searchNest(instance, options);
  const parts = instance.parts.map((part) => ({ ...part, quantity: part.quantity / sets }));
  return searchSets({ ...instance, parts }, sets, options);
}

/** The boards of a material's nest in the airframe's terms, with the pieces that stayed on them. */
const boardsIn = ({ boards }: NestLayout, material: MaterialNest): AirframeNest['boards'] =>
  boards.map(({ boardId, placements }) => {
    const lying = material.lying.get(boardId);
    return {
      boardId: lying?.board.id ?? boardId,
      placements: [
        ...(lying?.placements ?? []),
        ...placements.map((placement) => placedPiece(placement, material, boardId)),
      ],
    };
  });

/** A nest found in a fixed, small number of steps: quick enough to follow every edit. */
export function quickNest(airframe: Airframe, steps = 2): AirframeNestStep {
  const search = searchAirframeNest(airframe, airframe.settings.nest.seed);
  let step = search.next().value;
  while (step.tried < steps || step.isGrowing) step = search.next().value;
  return step;
}

/** A piece where it lies. */
export interface ViewedPiece {
  readonly placed: PlacedPiece;
  /** On a board that is cut, as it was then. */
  readonly piece: Piece;
  readonly shape: Shape;
  /** Whether its part has changed since it was cut. */
  readonly isChanged?: boolean;
}

/** A nested board ready to be looked at. */
export interface BoardView {
  readonly number: number;
  readonly board: Board;
  readonly isCut: boolean;
  /** Number of the first board that is laid out just so, where this one repeats it. */
  readonly alikeTo?: number;
  readonly pieces: readonly ViewedPiece[];
  /** Part area over board area, 0 to 1. */
  readonly yield: number;
  /** Largest free rectangle. */
  readonly rest: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number };
}

/** The nest's boards with the shapes that lie on them. Pieces that the airframe no longer has are left out. */
export const boardViews = (airframe: Airframe, nest: AirframeNest): readonly BoardView[] => viewsIn(airframe)(nest);
const viewsIn = memo((airframe: Airframe) => memo((nest: AirframeNest) => viewsAnew(airframe, nest)));

function viewsAnew(airframe: Airframe, nest: AirframeNest): readonly BoardView[] {
  const firsts = new Map<string, number>();
  const pieces = new Map(piecesOnBoards(airframe).map((piece) => [piece.id, piece]));
  return nest.boards.flatMap(({ boardId, placements, cutFrom, cutPieces = [] }, index): readonly BoardView[] => {
    const board = cutFrom ?? airframe.boards.find((one) => one.id === boardId);
    if (!board) return [];
    const placed = placements.flatMap((placement) => {
      const now = pieces.get(placement.pieceId),
        cut = cutFrom && cutPieces.find(({ id }) => id === placement.pieceId);
      const isChanged = cut !== undefined && now !== undefined && !isAsCut(now, cut, board),
        piece = cut && (isChanged || !now) ? pieceAsCut(airframe, cut, board) : now;
      if (!piece) return [];
      return [{ placed: placement, piece, shape: shapeOf(piece, placement), ...(isChanged ? { isChanged } : {}) }];
    });
    const laid = JSON.stringify([
      boardId,
      cutFrom !== undefined,
      placements.map(({ isLocked: _isLocked, ...place }) => place),
    ]);
    const first = firsts.get(laid);
    if (first === undefined) firsts.set(laid, index + 1);
    const partArea = placed.reduce((sum, { piece }) => sum + piece.part.areaMm2, 0);
    return [
      {
        number: index + 1,
        board,
        isCut: cutFrom !== undefined,
        ...defined({ alikeTo: first }),
        pieces: placed,
        yield: partArea / boardAreaMm2(board),
        rest: largestRest(
          nestBoard(board, false),
          placed.map(({ shape }) => shape),
          4,
        ),
      },
    ];
  });
}

/** What is wrong with where a piece lies on its board, distances in mm. */
export function pieceFaults(
  airframe: Airframe,
  view: BoardView,
  index: number,
  placed: PlacedPiece,
): readonly PlacementFault[] {
  const shapes = view.pieces.map((one, at) => (at === index ? shapeOf(one.piece, placed) : one.shape));
  const { nest } = airframe.settings;
  return placementFaults(
    nestBoard(view.board, false),
    shapes,
    index,
    gapBetweenParts(nest),
    nest.edgeMarginMm,
    NEST_TOLERANCE_MM,
  );
}

/** The turns a piece may take on a board. */
export const turnsOn = (airframe: Airframe, piece: Piece, board: Board): readonly number[] =>
  allowedTurns(piece.part.grain, board.grain, airframe.settings.nest.turnStep);

/** Whether the grain lets a piece lie on a board turned by so many degrees; by hand it need be no step of the search. */
export const mayTurnTo = (piece: Piece, board: Board, degrees: number): boolean =>
  mayLieTurned(piece.part.grain, board.grain, degrees);

/** The placement turned by a step about the middle of its shape, so that it stays where it is seen. */
export function turnPlaced(piece: Piece, placed: PlacedPiece, rotation: number): PlacedPiece {
  const before = boundsOf(shapeOf(piece, placed).outer);
  const turned = piece.part.outer.map((p) => applyTransform(placementTransform({ x: 0, y: 0, rotation }), p));
  const after = boundsOf(turned);
  return {
    ...placed,
    rotation,
    x: before.minX + boundsWidth(before) / 2 - (after.minX + boundsWidth(after) / 2),
    y: before.minY + boundsHeight(before) / 2 - (after.minY + boundsHeight(after) / 2),
  };
}

/** Whether a nest still fits what the airframe is now. */
export const isNestCurrent = (airframe: Airframe): boolean =>
  airframe.nest !== undefined && airframe.nest.readHash === nestHash(airframe);

/** The nest to go by: the kept one while it still fits, else a quick one. */
export function nestToGoBy(airframe: Airframe): { readonly nest: AirframeNest; readonly isNested: boolean } {
  return airframe.nest && isNestCurrent(airframe)
    ? { nest: airframe.nest, isNested: true }
    : { nest: quickNest(airframe).nest, isNested: false };
}
