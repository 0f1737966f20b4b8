import {
  applyTransform,
  boundsCentre,
  boundsHeight,
  boundsOf,
  boundsWidth,
  boxIndex,
  growBounds,
  inverse,
  type Bounds,
  type BoxIndex,
  type Transform,
} from '../geometry/index.ts';
import { inkBounds, inkNear, inksOfMark, lineInk, moveInk, textInk, type Ink } from '../ink/index.ts';
import { lineMarks, placeCaptions, type TurnedBox } from '../linecode/index.ts';
import type { TextMark } from '../marks/index.ts';
import { degrees, memo, worded, type LengthUnit } from '../units/index.ts';
import { inLayers, layersOf, LAYERS } from './layers.ts';
import { foldNumberPlaces, foldNumbers, RING_MM } from './fold-numbers.ts';
import { sheetLabels } from './page-labels.ts';
import { seamBands } from './page-seams.ts';
import type { Page, PagePlan, Sheet } from './sheet.ts';
import type { Template } from './template.ts';

/** Size of captions on paper in mm, and white round the name of a part. */
const CAPTION = { letterMm: 3, heightMm: 3.6, paddingMm: 2 };
const ROUND_LABEL_MM = 1;

/** Everything drawn on a sheet but the names of its templates, in mm of the sheet, by where it lies. */
interface SheetInk {
  readonly inks: readonly Ink[];
  readonly near: BoxIndex;
}

/** Drawn once for all pages of a sheet: each shows what of it lies in its view. */
const sheetInk = memo(
  (plan: PagePlan, sheetNumber: number, unit: LengthUnit): SheetInk => {
    const sheet = plan.sheets.find(({ number }) => number === sheetNumber),
      labels = sheetLabels(plan, sheetNumber);
    const bands = seamBands(
      plan.pages.filter((page) => page.sheet === sheetNumber),
      plan.settings.overlapMm,
    );
    const inks = (sheet?.placed ?? []).flatMap((placed) => {
      const { template, transform } = placed;
      const names = labels
        .filter((label) => label.template === placed)
        .map(({ box }) => growBounds(box, ROUND_LABEL_MM));
      return [
        ...lineMarks(template.part).flatMap((mark) =>
          inLayers(layersOf(template.part, mark), inksOfMark(mark, transform)),
        ),
        ...captionsClear(template, transform, [...names, ...bands], unit).flatMap((mark) =>
          inLayers(layersOf(template.part, mark), inksOfMark(mark, transform)),
        ),
        ...inLayers([LAYERS.names], foldNumbers(template, transform)),
      ].map((ink) => wordedInk(ink, unit));
    });
    if (sheet?.board) inks.push(...inLayers([LAYERS.joins], boardInk(sheet.board)));
    return { inks, near: boxIndex(inks.map(inkBounds)) };
  },
  (sheetNumber, unit) => `${sheetNumber} ${unit}`,
);

/** Size of a board's words in mm, and how far they stand within its edge. */
const BOARD_WORDS_MM = 3,
  WITHIN_EDGE_MM = 1.5;

/** The edge of the board that a sheet is glued to, with what it is called along its lower one. */
function boardInk({ ring, words }: NonNullable<Sheet['board']>): readonly Ink[] {
  const { minX, minY } = boundsOf(ring);
  return [
    ...ring.map((p, index) => lineInk(p, ring[(index + 1) % ring.length]!, 0.2, [4, 1.2])),
    textInk({ x: minX + WITHIN_EDGE_MM, y: minY + WITHIN_EDGE_MM }, words, BOARD_WORDS_MM, { weight: 'figure' }),
  ];
}

/** What a page shows of its sheet, in mm of the paper. */
export function inkInView(plan: PagePlan, page: Page, toPaper: Transform, unit: LengthUnit): readonly Ink[] {
  const { inks, near } = sheetInk(plan, page.sheet, unit);
  return near
    .touching(page.view)
    .flatMap((index) => inkNear(inks[index]!, page.view))
    .map((ink) => moveInk(ink, toPaper));
}

/** Captions and labels are made for every unit; paper is in the builder's. */
export const wordedInk = (ink: Ink, unit: LengthUnit): Ink =>
  ink.kind === 'text' ? { ...ink, text: worded(ink.text, unit) } : ink;

/**
 * The captions of a template, clear of its names and of the seams, of the numbers of its folds, of each other and of its lines.
 * @param taken what is written on the sheet, which stands upright there however the template lies
 */
function captionsClear(
  template: Template,
  transform: Transform,
  taken: readonly Bounds[],
  unit: LengthUnit,
): readonly TextMark[] {
  const fromSheet = inverse(transform);
  const written = taken.map((box): TurnedBox => ({
    at: applyTransform(fromSheet, boundsCentre(box)),
    angleDegrees: -degrees(Math.atan2(transform.b, transform.a)),
    widthMm: boundsWidth(box),
    heightMm: boundsHeight(box),
  }));
  const numbers = foldNumberPlaces(template).map(({ at }): TurnedBox => ({
    at,
    angleDegrees: 0,
    widthMm: 2 * RING_MM,
    heightMm: 2 * RING_MM,
  }));
  return placeCaptions(template.part, unit, CAPTION, [...written, ...numbers]).map(({ mark, at }) => ({ ...mark, at }));
}
