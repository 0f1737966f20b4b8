import { parentsOf, type Loop } from './nest-loops.ts';

/** A rectangle round everything else of a drawing. */
export interface SheetFrame {
  /** Its place among the loops. */
  readonly index: number;
  /** Whether it is surely none of the parts: there are holes in what lies in it. */
  readonly isSure: boolean;
}

/** The rectangle round all other loops, two of them at least: the edge of a sheet, or a part with holes. Undefined where there is none. */
export function sheetFrame(loops: readonly Loop[]): SheetFrame | undefined {
  const parents = parentsOf(loops),
    index = parents.indexOf(-1);
  const isOnly = parents.lastIndexOf(-1) === index,
    inside = parents.filter((parent) => parent === index).length;
  const path = loops[index]?.path ?? [];
  if (!isOnly || inside < 2 || path.length !== 4 || !path.every(({ kind }) => kind === 'line')) return undefined;
  return { index, isSure: parents.some((parent) => parent >= 0 && parent !== index) };
}
