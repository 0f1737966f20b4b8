import type { Point } from '../geometry/index.ts';
import { pathsOf, placedGuides, type Part } from '../part/index.ts';
import { snapToPaths, type Snap, type SnapOptions } from '../paths/index.ts';

/** How a pointer is caught on a part. */
export interface PartSnapOptions extends SnapOptions {
  /** A part that lies beneath and is drawn over. */
  readonly beneath?: Part;
}

/** Lets a pointer catch on the paths and guides of a part, and on those of a part beneath it; on the grid alone without a part. */
export function snap(part: Part | undefined, pointer: Point, { beneath, ...options }: PartSnapOptions): Snap {
  return snapToPaths(
    {
      paths: part ? pathsOf(part) : [],
      guides: part ? placedGuides(part).map(({ shape }) => shape) : [],
      beneath: beneath ? pathsOf(beneath) : [],
    },
    pointer,
    options,
  );
}
