import type { Point } from './point.ts';

/** A thing to hang, in mm. */
export interface Hung {
  readonly width: number;
  readonly height: number;
}

/** Things that hang in rows: lower left corner of each, and how large they are together. */
export interface Rows {
  readonly origins: readonly Point[];
  readonly width: number;
  readonly height: number;
}

/** Hangs things in rows of a width at most from y = 0 downwards, in their order; one that is wider has a row of its own. */
export function hangInWidth(things: readonly Hung[], rowWidth: number, gapX: number, gapY: number): Rows {
  let x = 0,
    top = 0,
    rowHeight = 0,
    width = 0;
  const origins = things.map((thing) => {
    if (x > 0 && x + thing.width > rowWidth + 1e-6) [x, top, rowHeight] = [0, top - rowHeight - gapY, 0];
    const origin = { x, y: top - thing.height };
    x += thing.width + gapX;
    width = Math.max(width, x - gapX);
    rowHeight = Math.max(rowHeight, thing.height);
    return origin;
  });
  return { origins, width, height: rowHeight - top };
}

/**
 * Hangs things in rows from y = 0 downwards, in their order, with the row width that shows them largest in about a square.
 * @returns lower left corner of each
 */
export function hangInRows(things: readonly Hung[], gapX: number, gapY: number): readonly Point[] {
  const widths = things.map((_, count) =>
    things.slice(0, count + 1).reduce((sum, { width }) => sum + width + gapX, -gapX),
  );
  const best = widths
    .map((rowWidth) => hangInWidth(things, Math.max(rowWidth, ...things.map(({ width }) => width)), gapX, gapY))
    .reduce<Rows | undefined>(
      (chosen, rows) =>
        chosen && Math.max(chosen.width, chosen.height) <= Math.max(rows.width, rows.height) ? chosen : rows,
      undefined,
    );
  return best?.origins ?? [];
}
