import { foldNamesInOrder } from '../folds/index.ts';
import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import { traitsOf, type OperationKind } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { defined } from '../units/index.ts';
import { linesOf, type CutLine } from './cut-lines.ts';

/** Pieces cut from one drawing, on one side of the airframe. */
export interface CutPiece {
  readonly part: ResolvedPart;
  readonly quantity: number;
  /** Numbers, from 1, of the nested boards that hold them; none before a nest. */
  readonly boards: readonly number[];
}

/** One part of the cut list. */
export interface CutPart extends CutPiece {
  /** The rectangle round it, in mm. */
  readonly acrossMm: number;
  readonly upMm: number;
  readonly lines: readonly CutLine[];
  /** Its folds in the order to fold them. */
  readonly folds: readonly string[];
  /** What it stands on, what stands on it, and the edges that are glued to others: one sentence each, lengths as marks. */
  readonly joins: readonly string[];
}

/** A shape to cut, how often, and what the airframe tells of it. */
export interface PieceToCut {
  readonly part: ResolvedPart;
  readonly quantity: number;
  /** What each of its holes is for. */
  readonly holeWords?: readonly string[];
  readonly joins?: readonly string[];
}

/** Lengths in mm of all work on a set of parts, by what is done. */
export interface CutTotals {
  readonly throughMm: number;
  readonly grooveMm: number;
  readonly bevelMm: number;
  readonly trenchMm: number;
  readonly creaseMm: number;
  /** Tape along folds that are cut right through. */
  readonly tapeMm: number;
  readonly pockets: number;
  readonly pieces: number;
}

export interface CutList {
  readonly parts: readonly CutPart[];
  /** One entry a nested board, in order. */
  readonly boards: readonly {
    readonly number: number;
    readonly label: string;
    /** Number of the board that it is cut just like, where it repeats one before. */
    readonly alikeTo?: number;
    readonly parts: readonly CutPiece[];
    readonly totals: CutTotals;
  }[];
  readonly totals: CutTotals;
  /** Pieces that no board holds, and what would take them. */
  readonly unplaced: readonly UnplacedPiece[];
}

/** Pieces that a nest found no place for. */
export interface UnplacedPiece {
  readonly part: ResolvedPart;
  readonly quantity: number;
  /** What to buy, in words. */
  readonly words: string;
}

/** A nested board as the cut list needs it. */
export interface CutBoard {
  readonly label: string;
  /** Number of the board before that is cut just so. */
  readonly alikeTo?: number;
  readonly pieces: readonly { readonly part: ResolvedPart; readonly quantity: number }[];
}

/** Sums over pieces, each part's work as often as it is cut. */
export function cutTotals(pieces: readonly { readonly part: ResolvedPart; readonly quantity: number }[]): CutTotals {
  const lengthOf = (kind: OperationKind): number =>
    pieces.reduce(
      (sum, { part, quantity }) =>
        sum +
        quantity *
          part.strokes.filter((stroke) => stroke.kind === kind).reduce((length, stroke) => length + stroke.lengthMm, 0),
      0,
    );
  return {
    throughMm:
      pieces.reduce((sum, { part, quantity }) => sum + quantity * part.outlineLengthMm, 0) + lengthOf('through'),
    grooveMm: lengthOf('groove'),
    bevelMm: lengthOf('bevel'),
    trenchMm: lengthOf('trench'),
    creaseMm: lengthOf('crease'),
    tapeMm: pieces.reduce(
      (sum, { part, quantity }) =>
        sum +
        quantity *
          part.strokes.filter(({ isTaped }) => isTaped).reduce((length, stroke) => length + stroke.lengthMm, 0),
      0,
    ),
    pockets: pieces.reduce(
      (sum, { part, quantity }) =>
        sum + quantity * part.strokes.filter(({ kind }) => traitsOf(kind).ground === 'area').length,
      0,
    ),
    pieces: pieces.reduce((sum, { quantity }) => sum + quantity, 0),
  };
}

/**
 * The cut list of an airframe: part by part, and board by board once it is nested.
 * @param pieces every drawn shape and how often it is cut
 * @param boards nested boards in order; empty before a nest
 * @param unplaced what those boards do not hold
 */
export function cutList(
  pieces: readonly PieceToCut[],
  boards: readonly CutBoard[],
  unplaced: readonly UnplacedPiece[] = [],
): CutList {
  const holds = (part: ResolvedPart): readonly number[] =>
    boards.flatMap((board, index) => (board.pieces.some((piece) => isSame(piece.part, part)) ? [index + 1] : []));
  const parts = pieces
    .filter(({ part }) => part.outer.length > 0)
    .map(({ part, quantity, holeWords, joins = [] }): CutPart => ({
      part,
      quantity,
      boards: holds(part),
      acrossMm: boundsWidth(part.bounds),
      upMm: boundsHeight(part.bounds),
      lines: linesOf(part, holeWords),
      folds: foldNamesInOrder(part),
      joins,
    }));
  return {
    parts,
    boards: boards.map((board, index) => ({
      number: index + 1,
      label: board.label,
      ...defined({ alikeTo: board.alikeTo }),
      parts: board.pieces.map((piece) => ({ ...piece, boards: [index + 1] })),
      totals: cutTotals(board.pieces),
    })),
    totals: cutTotals(parts),
    unplaced,
  };
}

const isSame = (a: ResolvedPart, b: ResolvedPart): boolean => a.id === b.id && a.side === b.side;

/** The numbers of boards in words, runs drawn together: `1, 3 to 7`. */
export function boardNumbers(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs
    .flatMap(([from, to]) => (to - from > 1 ? [`${from} to ${to}`] : from === to ? [`${from}`] : [`${from}`, `${to}`]))
    .join(', ');
}
