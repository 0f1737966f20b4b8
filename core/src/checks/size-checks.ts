import { applyTransform, boundsHeight, boundsOf, boundsWidth, convexHull, rotation } from '../geometry/index.ts';
import { splitPart } from '../editing/index.ts';
import type { Part } from '../part/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import {
  allowedTurns,
  fitStep,
  LONGEST_BOARD_MM,
  TURN_STEPS,
  type Board,
  type FitStep,
  type TurnStep,
} from '../stock/index.ts';
import type { Fault, Mend } from './fault.ts';
import { lengthText, sizeText } from '../units/index.ts';

/** A part that fits at this factor fits: the rest is rounding. */
const FITS = 1 - 1e-9;

/** Width and height of a part in each turn. */
function sizesIn(
  part: ResolvedPart,
  turns: readonly number[],
): readonly { readonly width: number; readonly height: number }[] {
  const hull = convexHull(part.outer);
  return turns.map((turn) => {
    const box = boundsOf(hull.map((p) => applyTransform(rotation(turn), p)));
    return { width: boundsWidth(box), height: boundsHeight(box) };
  });
}

/** The largest factor by which a part could be scaled and still lie on one of the boards in its allowed turns. */
export function largestFit(
  part: ResolvedPart,
  boards: readonly Board[],
  grain: Part['grain'],
  edgeMarginMm: number,
  step: FitStep,
): number {
  const fits = boards.flatMap((board) =>
    sizesIn(part, allowedTurns(grain, board.grain, step)).map((size) => fitOn(board, size, edgeMarginMm)),
  );
  return Math.max(0, ...fits);
}

const fitOn = (
  { widthMm, heightMm }: Board,
  { width, height }: { readonly width: number; readonly height: number },
  edgeMarginMm: number,
): number => Math.min((widthMm - 2 * edgeMarginMm) / width, (heightMm - 2 * edgeMarginMm) / height);

/**
 * Turns beside the listed ones that a part, to be turned freely, needs so that it fits one of the boards at all: the roomiest by whole degrees, and the
 * same on a board that lies the other way round. None where it fits as listed.
 */
export function turnsToFit(
  part: ResolvedPart,
  boards: readonly Board[],
  grain: Part['grain'],
  edgeMarginMm: number,
  step: TurnStep,
): readonly number[] {
  if (boards.length === 0 || largestFit(part, boards, grain, edgeMarginMm, step) >= FITS) return [];
  const halfTurn = Array.from({ length: 180 }, (_, turn) => turn);
  const factors = sizesIn(part, halfTurn).map((size) =>
    Math.max(...boards.map((board) => fitOn(board, size, edgeMarginMm))),
  );
  const roomiest = factors.indexOf(Math.max(...factors));
  return [0, 90, 180, 270].map((by) => (roomiest + by) % 360);
}

/** Slots whose plate's material is not in stock: their width is a guess. */
export function slotFaults(part: Part, boards: readonly Board[]): readonly Fault[] {
  return part.contours.flatMap(({ id, plate, nodes }): readonly Fault[] =>
    !plate || boards.some(({ material }) => material === plate.material)
      ? []
      : [
          {
            code: 'PLATE_MISSING',
            partId: part.id,
            targetId: id,
            place: nodes[0]!,
            title: `A slot of ${part.name} is for a plate of "${plate.material}"`,
            detail: 'No such board is in stock, so the width of the slot is a guess.',
            mend: { label: `Add a board of ${plate.material}`, action: { name: 'addBoard', material: plate.material } },
          },
        ],
  );
}

/** A part that no board of its material can hold, or whose material is not in stock. */
export function sizeFaults(
  part: Part,
  resolved: ResolvedPart,
  boards: readonly Board[],
  scale: number,
  edgeMarginMm: number,
  step: FitStep,
): readonly Fault[] {
  if (resolved.outer.length === 0) return [];
  const ofMaterial = boards.filter((board) => board.material === part.material && board.count > 0);
  if (ofMaterial.length === 0) {
    return [
      {
        code: 'BOARD_MISSING',
        partId: part.id,
        title: `No board of "${part.material}" in stock`,
        detail: `${part.name} cannot be placed, and its thickness is a guess.`,
        mend: { label: `Add a board of ${part.material}`, action: { name: 'addBoard', material: part.material } },
      },
    ];
  }
  const fit = largestFit(resolved, ofMaterial, part.grain, edgeMarginMm, step);
  if (fit >= FITS) return [];
  const width = boundsWidth(resolved.bounds),
    height = boundsHeight(resolved.bounds);
  const base = {
    code: 'PART_TOO_LARGE' as const,
    partId: part.id,
    title: `${part.name} is larger than any board`,
    detail: `It measures ${sizeText(width, height)}; the largest board of ${part.material} is ${largest(ofMaterial)} less ${lengthText(edgeMarginMm)} a side.`,
  };
  const factor = Math.floor(scale * fit * 1000) / 1000;
  const [mend, ...others] = [
    ...grainMends(part, resolved, ofMaterial, edgeMarginMm, step),
    { label: `Scale to ${factor.toFixed(3)}`, action: { name: 'setScale' as const, factor } },
    ...stepMends(part, resolved, ofMaterial, edgeMarginMm, step),
    ...marginMends(part, resolved, ofMaterial, edgeMarginMm, step),
    ...boardMends(part, resolved, ofMaterial, edgeMarginMm, step),
    ...splitMends(part, scale),
  ] as const;
  return [{ ...base, mend: mend!, others }];
}

/** Lying across its grain rule it would fit. */
function grainMends(
  part: Part,
  resolved: ResolvedPart,
  boards: readonly Board[],
  edgeMarginMm: number,
  step: FitStep,
): readonly Mend[] {
  const free = { ...part.grain, rule: 'any' as const };
  return part.grain.rule !== 'any' && largestFit(resolved, boards, free, edgeMarginMm, step) >= FITS
    ? [{ label: 'Let it lie any way', command: { name: 'changeDetails', args: { changes: { grain: free } } } }]
    : [];
}

/** Turned by finer steps, or freely, it would fit: the coarsest that does. */
function stepMends(
  part: Part,
  resolved: ResolvedPart,
  boards: readonly Board[],
  edgeMarginMm: number,
  step: FitStep,
): readonly Mend[] {
  const fits = (one: FitStep): boolean =>
    one < step && largestFit(resolved, boards, part.grain, edgeMarginMm, one) >= FITS;
  const turnStep = [...TURN_STEPS].sort((a, b) => b - a).find(fits);
  if (turnStep) return [{ label: `Turn free parts by ${turnStep}°`, action: { name: 'setNest', turnStep } }];
  return fits(fitStep({ turnStep: 15, turnsFreely: true }))
    ? [{ label: 'Turn free parts freely', action: { name: 'setNest', turnsFreely: true } }]
    : [];
}

/** Nearer to the board's edge it would fit. */
function marginMends(
  part: Part,
  resolved: ResolvedPart,
  boards: readonly Board[],
  edgeMarginMm: number,
  step: FitStep,
): readonly Mend[] {
  const most = Math.max(
    ...boards.flatMap((board) =>
      sizesIn(resolved, allowedTurns(part.grain, board.grain, step)).map(({ width, height }) =>
        Math.min((board.widthMm - width) / 2, (board.heightMm - height) / 2),
      ),
    ),
  );
  const margin = Math.floor(most * 10) / 10;
  return margin >= 0 && margin < edgeMarginMm
    ? [{ label: `Edge margin ${lengthText(margin)}`, action: { name: 'setNest', edgeMarginMm: margin } }]
    : [];
}

/** Cut in two that lock into each other: the halves are looked at by themselves again. */
function splitMends(part: Part, scale: number): readonly Mend[] {
  const split = splitPart(part, `${part.id}-`);
  if (!split) return [];
  const at = lengthText(split.atMm * (part.sizing === 'fixed' ? 1 : scale), 0);
  return [
    {
      label: `Split it at ${at}, ${split.how === 'tongues' ? 'with tongues' : 'on a slant'}`,
      action: { name: 'splitPart', partId: part.id },
    },
  ];
}

/** A board with the grain of those in stock that is as large as it takes, in whole centimetres; none beyond what a board can measure. */
function boardMends(
  part: Part,
  resolved: ResolvedPart,
  [like]: readonly Board[],
  edgeMarginMm: number,
  step: FitStep,
): readonly Mend[] {
  const withMargin = (size: number): number => Math.ceil((size + 2 * edgeMarginMm) / 10) * 10;
  return sizesIn(resolved, allowedTurns(part.grain, like!.grain, step))
    .map(({ width, height }) => ({ widthMm: withMargin(width), heightMm: withMargin(height) }))
    .filter(({ widthMm, heightMm }) => Math.max(widthMm, heightMm) <= LONGEST_BOARD_MM)
    .sort((a, b) => a.widthMm * a.heightMm - b.widthMm * b.heightMm)
    .slice(0, 1)
    .map(({ widthMm, heightMm }) => ({
      label: `Add a board of ${sizeText(widthMm, heightMm, 0)}`,
      action: { name: 'addBoardOf', material: part.material, widthMm, heightMm },
    }));
}

function largest(boards: readonly Board[]): string {
  const board = boards.reduce((a, b) => (b.widthMm * b.heightMm > a.widthMm * a.heightMm ? b : a));
  return sizeText(board.widthMm, board.heightMm, 0);
}
