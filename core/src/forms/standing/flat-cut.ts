import { sectionRings, type StandingPiece } from '../../folds/index.ts';
import {
  boundsOf,
  dot3,
  intersectionOf,
  subtract3,
  type Point,
  type Polygon,
  type RigidMap,
} from '../../geometry/index.ts';

/** What stands, cut in the plane of a flat that lies in the airframe: rings on that flat. */
export const flatCut = (pieces: readonly StandingPiece[], { x, y, z, origin }: RigidMap): readonly Polygon[] =>
  sectionRings(
    pieces.flatMap(({ body, maps }) => body.solids.map((solid) => ({ solid, map: maps[solid.plate.index]! }))),
    { normal: z, atMm: dot3(origin, z) },
  ).map((ring) =>
    ring.map((p) => {
      const off = subtract3(p, origin);
      return { x: dot3(off, x), y: dot3(off, y) };
    }),
  );

/** What of rings lies within the bounds of an outline, and so far beyond them along it and across. */
export function within(
  rings: readonly Polygon[],
  outline: readonly Point[],
  alongMm: number,
  acrossMm: number,
): readonly Polygon[] {
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  const window: Polygon = [
    { x: minX - alongMm, y: minY - acrossMm },
    { x: maxX + alongMm, y: minY - acrossMm },
    { x: maxX + alongMm, y: maxY + acrossMm },
    { x: minX - alongMm, y: maxY + acrossMm },
  ];
  return rings.flatMap((ring) => intersectionOf([ring], [window]).filter(({ length }) => length > 2));
}
