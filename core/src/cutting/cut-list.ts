import { glueSection, grooveWallDegrees, USUAL_TOOL_DEGREES } from '../allowance/index.ts';
import { foldNamesInOrder } from '../folds/index.ts';
import { pathLength } from '../geometry/index.ts';
import { cutWords, type BoardFace, type OperationKind, type Stroke } from '../operations/index.ts';
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
}

/** A nested board as the cut list needs it. */
export interface CutBoard {
  readonly label: string;
  readonly pieces: readonly { readonly part: ResolvedPart; readonly quantity: number }[];
}

const WORDS: Readonly<Record<OperationKind, string>> = {
  through: 'cut through',
  groove: 'mitre groove',
  bevel: 'edge bevel',
  crease: 'crease',
  trench: 'trench',
  pocket: 'pocket',
  slit: 'open slit',
  hinge: 'control hinge',
  mark: 'mark',
  engrave: 'drawn on the skin',
};

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
  const ORDER = ['through', 'pocket', 'trench', 'groove', 'crease', 'slit', 'hinge', 'bevel', 'mark', 'engrave'];
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
    ...[...works.values()].sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind) || (a.face < b.face ? 1 : -1)),
  ];
}

const withTape = (words: string, { isTaped }: Stroke): string => (isTaped ? `${words}, cut through, taped` : words);

/** Glue that is not worth a figure, in ml. */
const LEAST_GLUE_ML = 0.05;

function grooveWork(stroke: Stroke, base: CutWork, thicknessMm: number): CutWork {
  const cut = stroke.cut ?? { school: 'knife', toolDegrees: USUAL_TOOL_DEGREES },
    foldDegrees = Math.min(170, Math.max(0, stroke.angleDegrees ?? 0));
  const glueMl = (glueSection(foldDegrees, stroke.widthMm, thicknessMm, cut.school) * stroke.lengthMm) / 1000;
  return {
    ...base,
    words: withTape([base.words, cutWords(cut)].filter(Boolean).join(', '), stroke),
    angleDegrees: stroke.angleDegrees,
    bladeDegrees: grooveWallDegrees(foldDegrees, cut),
    widthMm: stroke.widthMm,
    ...(glueMl > LEAST_GLUE_ML ? { glueMl } : {}),
  };
}

function workOf(stroke: Stroke, thicknessMm: number): CutWork {
  const base = {
    kind: stroke.kind,
    face: stroke.kind === 'through' ? ('through' as const) : stroke.face,
    count: stroke.paths.length,
    lengthMm: stroke.lengthMm,
  };
  const words =
    stroke.label && stroke.kind !== 'mark'
      ? `${WORDS[stroke.kind]}, ${stroke.label}`
      : stroke.kind === 'mark' && stroke.label
        ? `mark: ${stroke.label}`
        : WORDS[stroke.kind];
  switch (stroke.kind) {
    case 'groove':
      return grooveWork(stroke, { ...base, words }, thicknessMm);
    case 'bevel':
      return {
        ...base,
        words,
        angleDegrees: stroke.angleDegrees,
        bladeDegrees: stroke.angleDegrees,
        widthMm: stroke.widthMm,
      };
    case 'trench':
      return { ...base, words, angleDegrees: stroke.angleDegrees, widthMm: stroke.widthMm };
    case 'crease':
      return { ...base, words, angleDegrees: stroke.angleDegrees };
    case 'slit':
      return { ...base, words: withTape(words, stroke), angleDegrees: stroke.angleDegrees, depthMm: stroke.depthMm };
    case 'hinge':
      return { ...base, words: withTape(words, stroke), angleDegrees: stroke.angleDegrees, widthMm: stroke.widthMm };
    case 'pocket':
      return { ...base, words, depthMm: stroke.depthMm };
    default:
      return { ...base, words };
  }
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
      (sum, { part, quantity }) => sum + quantity * part.strokes.filter((stroke) => stroke.kind === 'pocket').length,
      0,
    ),
    pieces: pieces.reduce((sum, { quantity }) => sum + quantity, 0),
  };
}

/**
 * The cut list of an airframe: part by part, and board by board once it is nested.
 * @param pieces every drawn shape and how often it is cut
 * @param boards nested boards in order; empty before a nest
 */
export function cutList(
  pieces: readonly { readonly part: ResolvedPart; readonly quantity: number }[],
  boards: readonly CutBoard[],
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
  };
}

const isSame = (a: ResolvedPart, b: ResolvedPart): boolean => a.id === b.id && a.side === b.side;
