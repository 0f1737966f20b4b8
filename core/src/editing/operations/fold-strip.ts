import { flatStrip, type FlatStrip, type StripSide } from '../../allowance/index.ts';
import { operationDraft, traitsOf, workOfTurn, type FoldStyle, type OperationDraft } from '../../operations/index.ts';
import { outlineOf, type Part } from '../../part/index.ts';
import { rectangleDraft } from '../../paths/index.ts';
import { CoreError, lengthText } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { drawLine } from '../path/draw-line.ts';
import { drawOutline } from '../path/draw-outline.ts';

const MOST_SIDES = 40;

/** A fold of a strip by its style and its turn, toward the face; or why that style cannot turn so far. */
function operationFor(style: FoldStyle, foldDegrees: number): OperationDraft | string {
  const cannot = traitsOf(style).fold!.cannot(foldDegrees);
  return cannot ?? ({ ...operationDraft(style), ...workOfTurn(style, foldDegrees) } as OperationDraft);
}

/** A fold of a strip: how far it turns, whichever way its style folds, and the style. */
export interface StyledFold {
  readonly foldDegrees: number;
  readonly style: FoldStyle;
}

/**
 * The flat strip that folds to wanted sizes in the styles of its folds: a slit folds away from the face, so that its skin lies inside.
 * @throws CoreError OUT_OF_RANGE as flatStrip
 */
export const flatStripOf = (
  sides: readonly StripSide[],
  folds: readonly StyledFold[],
  thicknessMm: number,
): FlatStrip =>
  flatStrip(
    sides,
    folds.map(({ foldDegrees, style }) => {
      const { sign, leavesStrip } = traitsOf(style).fold!;
      return { foldDegrees: sign * foldDegrees, isTrench: leavesStrip === true };
    }),
    thicknessMm,
  );

/**
 * Draws a strip that folds to wanted sizes: a channel, a box, a doubled spar. Sides follow each other upwards, folds run across.
 * @param args sizes outside or inside, in mm; folds by their turn, one fewer than sides; `lengthMm` along the folds
 */
export function foldStrip(
  part: Part,
  args: {
    readonly lengthMm: number;
    readonly sides: readonly StripSide[];
    readonly folds: readonly StyledFold[];
    readonly thicknessMm: number;
  },
): CommandResult {
  const { sides, folds, thicknessMm, lengthMm } = args;
  if (outlineOf(part)) return refused(`${part.name} has an outline already: fold a strip in a new part.`);
  if (sides.length < 2 || sides.length > MOST_SIDES)
    return refused(`A strip has 2 to ${MOST_SIDES} sides, got ${sides.length}.`);
  if (!(lengthMm > 0)) return refused(`A strip is longer than 0, got ${lengthText(lengthMm)}.`);
  const wrong = folds.find(({ foldDegrees }) => !(foldDegrees > 0 && foldDegrees <= 180));
  if (wrong) return refused(`A strip folds by more than 0° and up to 180°, got ${wrong.foldDegrees}.`);
  try {
    const { lines, lengthMm: heightMm } = flatStripOf(sides, folds, thicknessMm);
    const drawn = drawOutline(part, { draft: rectangleDraft({ x: 0, y: 0 }, lengthMm, heightMm) });
    const folded = lines.reduce<CommandResult>((now, y, index) => {
      if (!now.ok) return now;
      const { style, foldDegrees } = folds[index]!,
        operation = operationFor(style, foldDegrees);
      if (typeof operation === 'string') return refused(operation);
      // A wall turns about its line and stands on the strip beside it, which is part of the larger neighbour.
      const isBelow = sides[index]!.sizeMm >= sides[index + 1]!.sizeMm;
      const sided =
        operation.kind === 'trench' && foldDegrees === 90
          ? { ...operation, side: isBelow ? ('right' as const) : ('left' as const) }
          : operation;
      const next = drawLine(now.part, {
        draft: {
          points: [
            { x: 0, y },
            { x: lengthMm, y },
          ],
          segments: [{ kind: 'line' }],
          closed: false,
        },
        operation: sided,
      });
      return next.ok ? done(next.part, 'Fold a strip from its sizes') : next;
    }, drawn);
    return folded.ok ? done(withInsideSizes(folded.part, sides), folded.label) : folded;
  } catch (error) {
    if (error instanceof CoreError) return refused(`${error.message[0]!.toUpperCase()}${error.message.slice(1)}.`);
    throw error;
  }
}

/** Remembers which sides of a fresh strip were asked for inside: between its folds, and from its free ends. */
function withInsideSizes(part: Part, sides: readonly StripSide[]): Part {
  const edges = outlineOf(part)!.segments;
  const ends = [edges[0]!.id, ...part.operations.map(({ id }) => id), edges[2]!.id];
  const insideSizes = sides.flatMap(({ is }, index) =>
    is === 'inner' ? [{ fromId: ends[index]!, toId: ends[index + 1]! }] : [],
  );
  return insideSizes.length > 0 ? { ...part, insideSizes } : part;
}
