import Papa from 'papaparse';
import { decimalLength, worded, type LengthUnit } from '../units/index.ts';
import type { CutLine } from './cut-lines.ts';
import type { CutList, CutPart } from './cut-list.ts';
import { placeWords } from './cut-place.ts';

/**
 * The cut list as CSV: one row for each line of work on each part. Cells that a spreadsheet would run as a formula are made text.
 * @param unit unit of all lengths, as decimal numbers; it stands in the heads of the columns
 */
export function cutListCsv(list: CutList, unit: LengthUnit): string {
  const length = (mm: number | undefined): string =>
    mm === undefined ? '' : decimalLength(mm, unit, unit === 'mm' ? 2 : 3);
  const angle = (degrees: number | undefined): string | number =>
    degrees === undefined ? '' : Number(degrees.toFixed(1));
  const unplaced = (part: CutPart['part']): number =>
    list.unplaced.filter((one) => one.part === part).reduce((sum, { quantity }) => sum + quantity, 0);
  const rows = list.parts.flatMap((piece) =>
    piece.lines.map((line) => ({
      part: piece.part.name,
      group: piece.part.group,
      side: piece.part.side === 'single' ? '' : piece.part.side,
      quantity: piece.quantity,
      material: piece.part.material,
      [`thickness ${unit}`]: length(piece.part.thicknessMm),
      [`part across ${unit}`]: length(piece.acrossMm),
      [`part up ${unit}`]: length(piece.upMm),
      boards: piece.boards.join(' '),
      'without place': unplaced(piece.part),
      work: line.words,
      face: line.face,
      ...Object.fromEntries(Object.entries(endsOf(line)).map(([name, mm]) => [`${name} ${unit}`, length(mm)])),
      [`where ${unit}`]: worded(placeWords(line.place), unit),
      [`length ${unit}`]: length(line.lengthMm),
      [`width ${unit}`]: length(line.widthMm),
      [`depth ${unit}`]: length(line.depthMm),
      'angle °': angle(line.angleDegrees),
      'blade °': angle(line.blades[0]?.tiltDegrees),
      'blade side': line.blades[0]?.side ?? '',
      'second blade °': angle(line.blades[1]?.tiltDegrees),
      'second blade side': line.blades[1]?.side ?? '',
      'glue ml': line.glueMl === undefined ? '' : line.glueMl.toFixed(1),
      'fold order': piece.folds.join(' > '),
      joins: piece.joins.map((words) => worded(words, unit)).join(' '),
    })),
  );
  return Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' });
}

/** Ends of a straight line, or the middle and size of a round or square one; other paths have their words only. */
function endsOf({
  place,
}: CutLine): Readonly<Record<'from across' | 'from up' | 'to across' | 'to up', number | undefined>> {
  const ends = (
    from?: { readonly x: number; readonly y: number },
    to?: { readonly x: number; readonly y: number },
  ) => ({
    'from across': from?.x,
    'from up': from?.y,
    'to across': to?.x,
    'to up': to?.y,
  });
  switch (place.kind) {
    case 'run':
      return ends(place.from, place.to);
    case 'circle':
      return ends(place.middle);
    case 'box':
      return ends(place.corner, { x: place.corner.x + place.acrossMm, y: place.corner.y + place.upMm });
    case 'path':
      return ends();
  }
}
