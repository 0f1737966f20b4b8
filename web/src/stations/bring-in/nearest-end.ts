import type { Point } from '@grain-fold/core/geometry';
import type { ShownLines } from '@grain-fold/core/intake';

/** The point of shown lines that lies nearest to a place, within a reach; in mm on the mat. @param scale from the lines to the mat */
export function nearestEnd(shown: readonly ShownLines[], scale: number, at: Point, reachMm: number): Point | undefined {
  const x = at.x / scale,
    y = at.y / scale;
  let best = (reachMm / scale) ** 2,
    found: Point | undefined;
  for (const lines of shown)
    for (let index = 0; index < lines.length; index += 2) {
      const dx = lines[index]! - x,
        dy = lines[index + 1]! - y,
        off = dx * dx + dy * dy;
      if (off < best) {
        best = off;
        found = { x: lines[index]! * scale, y: lines[index + 1]! * scale };
      }
    }
  return found;
}
