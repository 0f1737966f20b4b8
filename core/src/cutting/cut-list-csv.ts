import Papa from 'papaparse';
import { formatLength, type LengthUnit } from '../units/index.ts';
import type { CutList, CutPart } from './cut-list.ts';

/**
 * The cut list as CSV: one row for each kind of work on each part. Cells that a spreadsheet would run as a formula are made text.
 * @param unit unit of all lengths; it stands in the heads of the columns
 */
export function cutListCsv(list: CutList, unit: LengthUnit): string {
  const length = (mm: number | undefined): string =>
    mm === undefined ? '' : unit === 'mm' ? mm.toFixed(2) : formatLength(mm, 'in');
  const angle = (degrees: number | undefined): string | number =>
    degrees === undefined ? '' : Number(degrees.toFixed(1));
  const unplaced = (part: CutPart['part']): number =>
    list.unplaced.filter((one) => one.part === part).reduce((sum, { quantity }) => sum + quantity, 0);
  const rows = list.parts.flatMap((piece) =>
    piece.works.map((work) => ({
      part: piece.part.name,
      group: piece.part.group,
      side: piece.part.side === 'single' ? '' : piece.part.side,
      quantity: piece.quantity,
      material: piece.part.material,
      [`thickness ${unit}`]: length(piece.part.thicknessMm),
      boards: piece.boards.join(' '),
      'without place': unplaced(piece.part),
      work: work.words,
      face: work.face,
      count: work.count,
      [`length ${unit}`]: length(work.lengthMm),
      [`width ${unit}`]: length(work.widthMm),
      [`depth ${unit}`]: length(work.depthMm),
      'angle °': angle(work.angleDegrees),
      'blade °': angle(work.bladeDegrees),
      'glue ml': work.glueMl === undefined ? '' : work.glueMl.toFixed(1),
      'fold order': piece.folds.join(' > '),
    })),
  );
  return Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' });
}
