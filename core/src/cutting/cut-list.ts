import { foldNamesInOrder } from '../folds/index.ts';
import { pathLength } from '../geometry/index.ts';
import { traitsOf, type BoardFace, type OperationKind, type Stroke } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';

/** Pieces cut from one drawing, on one side of the airframe. */
export interface CutPiece {
  readonly part: ResolvedPart;
  readonly quantity: number;
  /** Numbers, from 1, of the nested boards that hold them; none before a nest. */
  readonly boards: readonly number[];
}

/** One kind of work on a part, its like lines added up. All lengths in mm, angles in degrees. */
export interface CutWork {
  readonly kind: OperationKind | 'outline' | 'holes';
  readonly words: string;
  readonly face: BoardFace | 'through';
  readonly count: number;
  readonly lengthMm: number;
  readonly widthMm?: number;
  readonly depthMm?: number;
  /** Fold or bevel angle. */
  readonly angleDegrees?: number;
  /** Tilt of the blade from upright. */
  readonly bladeDegrees?: number;
  /** Glue that fills what a groove leaves open when it is folded, in ml. */
  readonly glueMl?: number;
}

/** One part of the cut list. */
export interface CutPart extends CutPiece {
  readonly works: readonly CutWork[];
  /** Its folds in the order to fold them. */ readonly folds: readonly string[];
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
  readonly pieces: readonly { readonly part: ResolvedPart; readonly quantity: number }[];
}

/** All work on a part, cuts through first, then face before back. */
export function worksOf(part: ResolvedPart): readonly CutWork[] {
  const works = new Map<string, CutWork>();
  for (const stroke of part.strokes) {
    const work = workOf(stroke, part.thicknessMm);
    const key = [work.kind, work.face, work.angleDegrees, work.widthMm?.toFixed(2), work.depthMm, work.words].join('/');
    const known = works.get(key);
    works.set(
      key,
      known
        ? {
            ...known,
            count: known.count + work.count,
            lengthMm: known.lengthMm + work.lengthMm,
            ...(work.glueMl === undefined ? {} : { glueMl: (known.glueMl ?? 0) + work.glueMl }),
          }
        : work,
    );
  }
  const outlineMm = part.outline ? pathLength(part.outline) : 0;
  const orderOf = ({ kind }: CutWork): number =>
    kind === 'outline' || kind === 'holes' ? -1 : traitsOf(kind).cutting.order;
  return [
    { kind: 'outline', words: 'outline', face: 'through', count: 1, lengthMm: outlineMm },
    ...(part.holes.length > 0
      ? [
          {
            kind: 'holes' as const,
            words: part.holes.length === 1 ? 'hole' : 'holes',
            face: 'through' as const,
            count: part.holes.length,
            lengthMm: part.outlineLengthMm - outlineMm,
          },
        ]
      : []),
    ...[...works.values()].sort((a, b) => orderOf(a) - orderOf(b) || (a.face < b.face ? 1 : -1)),
  ];
}

/** What a stroke is in words: `open slit, hatch`, `mark: former 2`, `mitre groove, 45° tool, cut through, taped`. */
function wordsOf({ kind, label, isTaped }: Stroke, details: string | undefined): string {
  const { words, wordsBeforeLabel } = traitsOf(kind).cutting;
  if (label && wordsBeforeLabel) return `${wordsBeforeLabel} ${label}`;
  return [words, label, details, isTaped ? 'cut through, taped' : ''].filter(Boolean).join(', ');
}

function workOf(stroke: Stroke, thicknessMm: number): CutWork {
  const { cutting } = traitsOf(stroke.kind);
  const { words, ...details } = cutting.details?.(stroke, thicknessMm) ?? {};
  return {
    kind: stroke.kind,
    words: wordsOf(stroke, words),
    face: cutting.isThrough ? 'through' : stroke.face,
    count: stroke.paths.length,
    lengthMm: stroke.lengthMm,
    angleDegrees: stroke.angleDegrees,
    depthMm: stroke.depthMm,
    ...(cutting.widthWord ? { widthMm: stroke.widthMm } : {}),
    ...details,
  };
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
  pieces: readonly { readonly part: ResolvedPart; readonly quantity: number }[],
  boards: readonly CutBoard[],
  unplaced: readonly UnplacedPiece[] = [],
): CutList {
  const holds = (part: ResolvedPart): readonly number[] =>
    boards.flatMap((board, index) => (board.pieces.some((piece) => isSame(piece.part, part)) ? [index + 1] : []));
  const parts = pieces
    .filter(({ part }) => part.outer.length > 0)
    .map((piece): CutPart => ({
      ...piece,
      boards: holds(piece.part),
      works: worksOf(piece.part),
      folds: foldNamesInOrder(piece.part),
    }));
  return {
    parts,
    boards: boards.map((board, index) => ({
      number: index + 1,
      label: board.label,
      parts: board.pieces.map((piece) => ({ ...piece, boards: [index + 1] })),
      totals: cutTotals(board.pieces),
    })),
    totals: cutTotals(parts),
    unplaced,
  };
}

const isSame = (a: ResolvedPart, b: ResolvedPart): boolean => a.id === b.id && a.side === b.side;
