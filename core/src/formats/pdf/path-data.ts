import { interpolate, type Curve, type Path, type Point } from '../../geometry/index.ts';

/** A run of a page's path. */
export interface PdfRun {
  readonly path: Path;
  readonly isClosed: boolean;
}

/** The runs of a path's numbers: 0 moves, 1 draws a straight line, 2 a cubic, 3 a quadratic, 4 closes. */
export function runsFrom(data: unknown): readonly PdfRun[] {
  if (data === null || typeof data !== 'object') return [];
  const numbers = data as ArrayLike<number>;
  const runs: PdfRun[] = [];
  let curves: Curve[] = [],
    start: Point = { x: 0, y: 0 },
    at: Point = start;
  const finish = (isClosed: boolean): void => {
    if (curves.length > 0) runs.push({ path: curves, isClosed });
    curves = [];
  };
  for (let index = 0; index < numbers.length;) {
    const code = numbers[index]!;
    const point = (place: number): Point => ({ x: numbers[index + place]!, y: numbers[index + place + 1]! });
    if (code === 0) {
      finish(false);
      start = at = point(1);
      index += 3;
    } else if (code === 1) {
      const to = point(1);
      if (to.x !== at.x || to.y !== at.y) curves.push({ kind: 'line', from: at, to });
      at = to;
      index += 3;
    } else if (code === 2) {
      const to = point(5);
      curves.push({ kind: 'cubic', from: at, control1: point(1), control2: point(3), to });
      at = to;
      index += 7;
    } else if (code === 3) {
      const control = point(1),
        to = point(3);
      curves.push({
        kind: 'cubic',
        from: at,
        control1: interpolate(at, control, 2 / 3),
        control2: interpolate(to, control, 2 / 3),
        to,
      });
      at = to;
      index += 5;
    } else if (code === 4) {
      if (at.x !== start.x || at.y !== start.y) curves.push({ kind: 'line', from: at, to: start });
      at = start;
      finish(true);
      index += 1;
    } else break;
  }
  finish(false);
  return runs;
}
