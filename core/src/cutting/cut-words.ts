import { traitsOf } from '../operations/index.ts';
import { formatAngle, formatLength, formatLengthWithUnit, worded, type LengthUnit } from '../units/index.ts';
import type { Blade, CutLine } from './cut-lines.ts';
import type { CutPart } from './cut-list.ts';
import { placeWords, pointsTold } from './cut-place.ts';

/** The columns of the cut list, as they are titled. */
export const CUT_COLUMNS = {
  work: 'Work',
  where: 'Where',
  long: 'Long',
  wide: 'Wide',
  deep: 'Deep',
  blades: 'Blade',
} as const;
/** What a reader must know of the columns. */
export const CUT_COLUMN_NOTES =
  'Places are measured on the face, from the left and the lower edge of the rectangle round the part; (across, up). Blades tilt from upright.';

/** A line of work as it stands in the columns; what does not apply is empty. */
export type CutCells = Readonly<Record<keyof typeof CUT_COLUMNS, string>>;

/** An outline of more points is not told point by point: its page is the better guide. */
const MOST_POINTS = 40;

/** The cells of a line of work, lengths in the builder's unit. */
export function cutCells(line: CutLine, unit: LengthUnit): CutCells {
  const { widthMm, depthMm } = line;
  return {
    work: [line.words, faceWords(line), angleWords(line), glueWords(line)].filter(Boolean).join(' · '),
    where: pointsTold(line.place) > MOST_POINTS ? 'curved: cut it by its page' : worded(placeWords(line.place), unit),
    long: formatLengthWithUnit(line.lengthMm, unit),
    wide: widthMm === undefined ? '' : formatLengthWithUnit(widthMm, unit),
    deep: depthMm === undefined ? '' : `${formatLengthWithUnit(depthMm, unit)}${isToSkin(line) ? ', to the skin' : ''}`,
    blades: line.blades.map((blade) => bladeWords(blade, unit)).join(', '),
  };
}

const cuttingOf = ({ kind }: CutLine) => (kind === 'outline' || kind === 'hole' ? undefined : traitsOf(kind).cutting);
const isToSkin = (line: CutLine): boolean => cuttingOf(line)?.toSkin === true;
const faceWords = ({ face }: CutLine): string => (face === 'through' ? '' : `on the ${face}`);
const angleWords = (line: CutLine): string =>
  line.angleDegrees === undefined ? '' : (cuttingOf(line)?.angleWords?.(line.angleDegrees) ?? '');
const glueWords = ({ glueMl }: CutLine): string => (glueMl === undefined ? '' : `glue ${glueMl.toFixed(1)} ml`);
const bladeWords = ({ side, tiltDegrees, reachMm }: Blade, unit: LengthUnit): string =>
  `${tiltDegrees === 0 ? 'upright' : formatAngle(tiltDegrees)} ${side}, out to ${formatLength(reachMm, unit)}`;

/** A part's size as it is cut out: `200.0 × 100.0 mm`. */
export const sizeWords = ({ acrossMm, upMm }: CutPart, unit: LengthUnit): string =>
  `${formatLength(acrossMm, unit)} × ${formatLengthWithUnit(upMm, unit)}`;

/** The folds in their order in one line. */
export const orderWords = (folds: readonly string[]): string =>
  `Fold ${folds.map((name, index) => `${index + 1} ${name}`).join(', ')}`;
