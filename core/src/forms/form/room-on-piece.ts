import {
  counterClockwise,
  flattenCurve,
  intersectionOf,
  midpoint,
  polygonArea,
  roomiestPlace,
  type Point,
} from '../../geometry/index.ts';
import type { MadeCorner, MadeHole } from './made-part.ts';

/** How near to the roomiest place on a piece is near enough, in mm. */
const ROOMIEST_MM = 1;
/** Corners that a round hole is taken to have. */
const ROUND_CORNERS = 12;
/** How near the runs of an arc lie to it, in mm. */
const FINE_MM = 0.05;

function ringOfHole(hole: MadeHole): readonly Point[] {
  if ('corners' in hole) return hole.corners;
  const { centre, radiusMm } = hole.round;
  return Array.from({ length: ROUND_CORNERS }, (_, index): Point => {
    const angle = (2 * Math.PI * index) / ROUND_CORNERS;
    return { x: centre.x + radiusMm * Math.cos(angle), y: centre.y + radiusMm * Math.sin(angle) };
  });
}

/** The corners of a made outline, its arcs as fine runs. */
export const ringOfOutline = (outline: readonly MadeCorner[]): readonly Point[] =>
  outline.flatMap(({ at, bulge }, index) =>
    bulge
      ? flattenCurve({ kind: 'arc', from: at, to: outline[(index + 1) % outline.length]!.at, bulge }, FINE_MM).map(
          ({ point }) => point,
        )
      : [at],
  );

/** A place on a plane piece of a made part that is board: off its edges and its holes. */
export function roomOnPiece(
  piece: readonly Point[],
  outline: readonly MadeCorner[],
  holes: readonly MadeHole[],
): Point {
  const openings = holes.map(ringOfHole);
  const board = intersectionOf([counterClockwise(ringOfOutline(outline))], [counterClockwise(piece)]);
  const largest = board.reduce((best, ring) => (polygonArea(ring) > polygonArea(best) ? ring : best), board[0] ?? []);
  return largest.length > 2
    ? roomiestPlace(largest, openings, ROOMIEST_MM).place
    : midpoint(midpoint(piece[0]!, piece[1]!), midpoint(piece[2]!, piece.at(-1)!));
}
