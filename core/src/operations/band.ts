import { bandAlong, intersectionOf, leftOf, unitVector, type Point, type Region } from '../geometry/index.ts';
import type { OperationSite } from './operation-kind.ts';

/** A run moved to the left of its direction (right below 0), as a whole. */
function movedLeft(run: readonly Point[], byMm: number): readonly Point[] {
  const first = run[0],
    last = run.at(-1);
  if (byMm === 0 || !first || !last) return run;
  const left = leftOf(unitVector(first, last));
  return run.map((p) => ({ x: p.x + left.x * byMm, y: p.y + left.y * byMm }));
}

/** The band of a width on a site's lines, or wholly to one side of them, as far as it lies on the part. */
export function bandOn(site: OperationSite, widthMm: number, side: 'centre' | 'left' | 'right'): Region {
  const byMm = side === 'centre' ? 0 : side === 'left' ? widthMm / 2 : -widthMm / 2;
  return intersectionOf(
    site.runs.flatMap((run) => bandAlong(movedLeft(run, byMm), widthMm)),
    site.body,
  );
}
