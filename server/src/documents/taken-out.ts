import { USUAL_WRITTEN, WIDE_LINES, type WrittenOptions } from '@grain-fold/core/formats';
import { defined } from '@grain-fold/core/units';
import { ServerProblem } from '../http/server-problem.ts';

/** What is taken out of an airframe for other programs. */
export interface TakenOut {
  readonly kind: 'drawing-svg' | 'drawing-dxf' | 'drawing-pdf' | 'parts-table' | 'stock-table' | 'everything';
  /** All parts when undefined. */
  readonly partIds?: readonly string[];
  /** A board of the nest instead of parts, from 1. */
  readonly board?: number;
  /** A printed page instead, from 1. */
  readonly page?: number;
  readonly options: WrittenOptions;
}

/** Files that are taken out: their names behind the airframe's, and how they are told to the browser. */
export const TAKEN_OUT = {
  'drawing.svg': { kind: 'drawing-svg', type: 'image/svg+xml', word: '.svg' },
  'drawing.dxf': { kind: 'drawing-dxf', type: 'image/vnd.dxf', word: '.dxf' },
  'drawing.pdf': { kind: 'drawing-pdf', type: 'application/pdf', word: '.pdf' },
  'parts.csv': { kind: 'parts-table', type: 'text/csv; charset=utf-8', word: ' parts.csv' },
  'stock.csv': { kind: 'stock-table', type: 'text/csv; charset=utf-8', word: ' stock.csv' },
  'everything.zip': { kind: 'everything', type: 'application/zip', word: '.zip' },
} as const satisfies Readonly<
  Record<string, { readonly kind: TakenOut['kind']; readonly type: string; readonly word: string }>
>;

type Query = Readonly<Record<string, string | readonly string[] | undefined>>;

const one = (query: Query, name: string): string | undefined => {
  const value = query[name];
  return typeof value === 'string' ? value : value?.[0];
};

/** Reads what is asked for. @throws ServerProblem BAD_REQUEST for a board or a way of drawing that is none */
export function takenOutOf(kind: TakenOut['kind'], query: Query): TakenOut {
  const parts = one(query, 'parts'),
    lines = one(query, 'lines') ?? USUAL_WRITTEN.wideLines;
  const wideLines = WIDE_LINES.find((word) => word === lines);
  if (!wideLines)
    throw new ServerProblem('BAD_REQUEST', `lines is one of ${WIDE_LINES.join(', ')}, got "${lines.slice(0, 40)}".`);
  const number = (name: 'board' | 'page'): number | undefined => {
    const typed = one(query, name),
      value = Number(typed);
    if (typed !== undefined && !(Number.isInteger(value) && value >= 1 && value <= 9999))
      throw new ServerProblem('BAD_REQUEST', `${name} is a number from 1 on, got "${typed.slice(0, 40)}".`);
    return typed === undefined ? undefined : value;
  };
  return {
    kind,
    ...(parts === undefined ? {} : { partIds: parts.split(',').slice(0, 500) }),
    ...defined({ board: number('board'), page: number('page') }),
    options: { wideLines, hasWords: one(query, 'words') !== 'no' },
  };
}
