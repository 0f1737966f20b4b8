import Papa from 'papaparse';
import type { Airframe } from '../../airframe/index.ts';
import type { Point } from '../../geometry/index.ts';
import {
  BOARD_GRAINS,
  LONGEST_BOARD_MM,
  MOST_BOARDS,
  offcutShape,
  SHORTEST_BOARD_MM,
  THICKEST_BOARD_MM,
  THINNEST_BOARD_MM,
  type Board,
} from '../../stock/index.ts';
import { defined, LENGTH_UNITS, MM_PER_INCH, type LengthUnit } from '../../units/index.ts';
import { csv } from './csv.ts';

const MM_PER: Readonly<Record<LengthUnit, number>> = { mm: 1, in: MM_PER_INCH };
/** Decimals of a length, so that it is the same to the thousandth of a millimetre when it is read again. */
const DECIMALS: Readonly<Record<LengthUnit, number>> = { mm: 3, in: 5 };
/** Rows of a list that are read at most. */
const MOST_ROWS = 2000;

const lengthIn =
  (unit: LengthUnit) =>
  (mm: number): string =>
    String(Number((mm / MM_PER[unit]).toFixed(DECIMALS[unit])));

/** The boards of an airframe's stock: one row each, one unit a column; what stockFromCsv reads. */
export function stockCsv({ boards, settings }: Pick<Airframe, 'boards' | 'settings'>): string {
  const { unit } = settings,
    length = lengthIn(unit);
  const place = ({ x, y }: Point): string => `${length(x)} ${length(y)}`;
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
      grain: board.grain,
      [`outline ${unit}`]: board.outline?.map(place).join(', ') ?? '',
      [`not to be used ${unit}`]:
        board.blemishes?.map((one) => `${place(one)} ${length(one.radiusMm)}`).join(', ') ?? '',
    })),
  );
}

/** Boards read from a list, and the rows that are none, each with what is wrong. */
export interface StockList {
  readonly boards: readonly Board[];
  readonly faults: readonly string[];
}

type Row = Readonly<Record<string, string>>;

/**
 * Reads a list of boards: a head of columns by their names, as stockCsv writes it, lengths in the unit that stands in the head; `board`,
 * `material`, `across` and `up` are needed. A row that is no board is told and left out.
 * @param like what a board is where the list does not say it
 */
export function stockFromCsv(text: string, like: Board, freshId: () => string): StockList {
  const { data, meta } = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS,
    transformHeader: (head) => head.trim().toLowerCase(),
  });
  const heads = meta.fields ?? [];
  const columns = Object.fromEntries(
    (['across', 'up', 'thickness', 'outline', 'not to be used'] as const).map((name) => [name, columnOf(heads, name)]),
  );
  const missing = [
    ...(['board', 'material'] as const).filter((name) => !heads.includes(name)),
    ...(['across', 'up'] as const)
      .filter((name) => !columns[name])
      .map((name) => LENGTH_UNITS.map((unit) => `${name} ${unit}`).join(' or ')),
  ];
  if (missing.length > 0)
    return { boards: [], faults: [`The list has no column ${missing.map((name) => `“${name}”`).join(', ')}.`] };
  const price = heads.find((head) => head === 'price' || head.startsWith('price '));
  const boards: Board[] = [],
    faults: string[] = [];
  data.forEach((row, index) => {
    try {
      boards.push(boardOf(row, columns, price, like, freshId()));
    } catch (error) {
      if (!(error instanceof RowFault)) throw error;
      faults.push(`Row ${index + 2}: ${error.message}`);
    }
  });
  return { boards, faults };
}

class RowFault extends Error {}

interface Column {
  readonly head: string;
  readonly unit: LengthUnit;
}
/** The column of a length, whichever unit it is told in. */
function columnOf(heads: readonly string[], name: string): Column | undefined {
  const unit = LENGTH_UNITS.find((one) => heads.includes(`${name} ${one}`));
  return unit && { head: `${name} ${unit}`, unit };
}

/** By how much a number may be beyond its limit from rounding alone; it is taken as the limit then. */
const ROUNDING = 1e-3;

/** A number in a cell, a comma standing for its point where there is no point; text marks of a spreadsheet are left out. */
function numberOf(cell: string, name: string, least: number, most: number, per = 1): number {
  const bare = cell.trim().replace(/^'/, '');
  const value = Number(bare.includes('.') ? bare : bare.replace(',', '.')) * per;
  if (bare === '' || !Number.isFinite(value) || value < least - ROUNDING || value > most + ROUNDING) {
    const [from, to] = [least, most].map((limit) => Number((limit / per).toFixed(3)));
    throw new RowFault(`${name} must be a number from ${from} to ${to}, it is “${cell.slice(0, 30)}”.`);
  }
  return Math.max(least, Math.min(most, value));
}

const lengthOf = (row: Row, { head, unit }: Column, least: number, most: number): number =>
  numberOf(row[head] ?? '', head, least, most, MM_PER[unit]);

/** Groups of numbers parted by commas, as outlines are written. */
function placesOf(row: Row, column: Column | undefined, each: 2 | 3): readonly (readonly number[])[] {
  const cell = column && row[column.head]?.trim();
  if (!cell) return [];
  return cell.split(',').map((group) => {
    const numbers = group.trim().split(/\s+/).map(Number);
    if (numbers.length !== each || !numbers.every((one) => Number.isFinite(one) && Math.abs(one) <= LONGEST_BOARD_MM))
      throw new RowFault(`${column.head} holds “${group.trim().slice(0, 30)}”: ${each} numbers are wanted there.`);
    return numbers.map((one) => one * MM_PER[column.unit]);
  });
}

function boardOf(
  row: Row,
  columns: Readonly<Record<string, Column | undefined>>,
  price: string | undefined,
  like: Board,
  id: string,
): Board {
  const word = (name: string): string => (row[name] ?? '').trim().replace(/^'/, '').slice(0, 80);
  const name = word('board'),
    material = word('material');
  if (!name || !material) throw new RowFault(`it has no ${name ? 'material' : 'name under “board”'}.`);
  const size = {
    widthMm: lengthOf(row, columns.across!, SHORTEST_BOARD_MM, LONGEST_BOARD_MM),
    heightMm: lengthOf(row, columns.up!, SHORTEST_BOARD_MM, LONGEST_BOARD_MM),
  };
  const grain = word('grain');
  if (grain && !BOARD_GRAINS.some((one) => one === grain))
    throw new RowFault(`grain must be ${BOARD_GRAINS.join(', ')} or nothing, it is “${grain}”.`);
  const told = (head: string | undefined): boolean => head !== undefined && (row[head] ?? '').trim() !== '';
  const outline = placesOf(row, columns.outline, 2).map(([x, y]) => ({ x: x!, y: y! }));
  const shape = outline.length > 0 ? offcutShape(outline) : undefined;
  if (shape && !shape.ok) throw new RowFault('its outline bounds no piece of board.');
  const blemishes = placesOf(row, columns['not to be used'], 3).map(([x, y, radiusMm]) => ({
    x: x!,
    y: y!,
    radiusMm: radiusMm!,
  }));
  return {
    id,
    name,
    material,
    ...size,
    ...(shape?.ok ? defined({ widthMm: shape.widthMm, heightMm: shape.heightMm, outline: shape.outline }) : {}),
    thicknessMm:
      columns.thickness && told(columns.thickness.head)
        ? lengthOf(row, columns.thickness, THINNEST_BOARD_MM, THICKEST_BOARD_MM)
        : like.thicknessMm,
    count: told('count') ? Math.round(numberOf(row.count!, 'count', 0, MOST_BOARDS)) : 1,
    price: told(price) ? numberOf(row[price!]!, price!, 0, 1_000_000) : 0,
    gramsPerSquareMetre: told('g per m2')
      ? numberOf(row['g per m2']!, 'g per m2', 1, 100_000)
      : like.gramsPerSquareMetre,
    grain: grain ? (grain as Board['grain']) : like.grain,
    ...(blemishes.length > 0 ? { blemishes } : {}),
  };
}
