import Papa from 'papaparse';
import { partsInVariant, resolveIn, type Airframe } from '../../airframe/index.ts';
import { boundsHeight, boundsWidth } from '../../geometry/index.ts';
import { piecesOf } from '../../part/index.ts';
import { decimalLength, type LengthUnit } from '../../units/index.ts';

const SQUARE: Readonly<Record<LengthUnit, readonly [word: string, mm2: number]>> = {
  mm: ['cm2', 100],
  in: ['in2', 25.4 * 25.4],
};

/** A table as CSV; cells that a spreadsheet would run as a formula are made text. */
const csv = (rows: readonly object[]): string => Papa.unparse([...rows], { escapeFormulae: true, newline: '\r\n' });
const lengthIn = (unit: LengthUnit) => (mm: number) => decimalLength(mm, unit, unit === 'mm' ? 2 : 3);

/** The parts of an airframe at its scale and in its variant: one row each, one unit a column. */
export function partsCsv(airframe: Airframe): string {
  const { unit } = airframe.settings,
    length = lengthIn(unit),
    [areaWord, mm2] = SQUARE[unit];
  return csv(
    partsInVariant(airframe).map((part) => {
      const resolved = resolveIn(airframe, part);
      return {
        part: part.name,
        group: part.group,
        material: part.material,
        pieces: piecesOf(part),
        made: part.handed === 'pair' ? 'handed pair' : 'single',
        [`across ${unit}`]: length(boundsWidth(resolved.bounds)),
        [`up ${unit}`]: length(boundsHeight(resolved.bounds)),
        [`thickness ${unit}`]: length(resolved.thicknessMm),
        [`area ${areaWord}`]: (resolved.areaMm2 / mm2).toFixed(2),
        'foam each g': resolved.massG.toFixed(2),
        [`edge ${unit}`]: length(resolved.outlineLengthMm),
        notes: part.notes,
      };
    }),
  );
}

/** The boards of an airframe's stock: one row each, one unit a column. */
export function stockCsv({ boards, settings }: Airframe): string {
  const { unit } = settings,
    length = lengthIn(unit);
  return csv(
    boards.map((board) => ({
      board: board.name,
      material: board.material,
      [`across ${unit}`]: length(board.widthMm),
      [`up ${unit}`]: length(board.heightMm),
      [`thickness ${unit}`]: length(board.thicknessMm),
      count: board.count,
      [`price${settings.currency ? ` ${settings.currency}` : ''}`]: board.price,
      'g per m2': board.gramsPerSquareMetre,
      'cut out': board.outline ? 'yes' : '',
    })),
  );
}
