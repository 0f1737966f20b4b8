import type { Point } from '@grain-fold/core/geometry';
import type { ShownIntake, ShownLines } from '@grain-fold/core/intake';

const made = new WeakMap<ShownLines, Path2D>();

/** Shown lines as a path of a canvas; made once. */
export function pathOf(lines: ShownLines): Path2D {
  const known = made.get(lines);
  if (known) return known;
  const path = new Path2D();
  let isOpen = false;
  for (let at = 0; at < lines.length; at += 2) {
    const x = lines[at]!,
      y = lines[at + 1]!;
    if (Number.isNaN(x)) isOpen = false;
    else if (isOpen) path.lineTo(x, y);
    else {
      path.moveTo(x, y);
      isOpen = true;
    }
  }
  made.set(lines, path);
  return path;
}

let canvas: CanvasRenderingContext2D | null | undefined;

/** The part that lies under a place of the mat, by its number; undefined where there is none. */
export function partAt({ parts }: ShownIntake, { x, y }: Point): number | undefined {
  canvas ??= document.createElement('canvas').getContext('2d');
  const found = parts.findIndex(({ edges }) => canvas?.isPointInPath(pathOf(edges), x, y, 'evenodd') === true);
  return found < 0 ? undefined : found;
}
