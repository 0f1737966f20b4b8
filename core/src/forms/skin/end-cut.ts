import { cross3, dot3, unit3, type Point3 } from '../../geometry/index.ts';
import { degrees, radians } from '../../units/index.ts';

export const END_SCHOOLS = ['square', 'bevelled'] as const;
/** How the end of a plate is cut where a plane ends it: square to the board, where the first face touches, or bevelled to lie in the plane. */
export type EndSchool = (typeof END_SCHOOLS)[number];

/** The plane that ends a panel: places within it have `normal · p` of at most `mostMm`. */
export interface EndPlane {
  readonly normal: Point3;
  readonly mostMm: number;
}

/** What the end of one plate is cut to. */
export interface EndCut {
  /** How far the drawn edge lies beyond where the plane meets the outer skin; below 0 it is shorter. In mm, square to the edge. */
  readonly shiftMm: number;
  /** Bevel of the edge from the board's normal, in degrees: above 0 the face is cut back, below 0 the back. */
  readonly bevelDegrees: number;
}

/** Edges that are out of square by less than this are square, in degrees. */
const SQUARE_DEGREES = 0.05;

/**
 * The plane through a line across the wing at a place out along its panel, tilted toward the panel as it rises.
 * @param outMm where the line lies
 * @param tiltDegrees half the turn of the joint: above 0 the panel is shorter the higher it is
 * @param isTip whether it ends the panel outboard, or inboard
 */
export function endPlane(outMm: number, tiltDegrees: number, isTip: boolean): EndPlane {
  const cos = Math.cos(radians(tiltDegrees)),
    sin = Math.sin(radians(tiltDegrees)),
    way = isTip ? 1 : -1;
  return { normal: { x: way * cos, y: 0, z: sin }, mostMm: way * outMm * cos };
}

/**
 * How a plate is cut where a plane ends it.
 * @param inward unit normal of the plate from its outer skin to its face
 * @param along direction of the end's line on the outer skin
 * @source a place of the face lies t·n within the skin: it meets the plane δ = -t·(m·n)/(m·d) further out along the plate, for the plane's
 * normal m and the way d out of the plate square to its end
 */
export function endCut(
  plane: EndPlane,
  inward: Point3,
  along: Point3,
  thicknessMm: number,
  school: EndSchool,
): EndCut & { readonly outward: Point3 } {
  const across = unit3(cross3(along, inward)),
    outward = dot3(across, plane.normal) < 0 ? { x: -across.x, y: -across.y, z: -across.z } : across;
  const further = (-thicknessMm * dot3(plane.normal, inward)) / dot3(plane.normal, outward);
  const lean = degrees(Math.atan2(Math.abs(further), thicknessMm));
  if (lean < SQUARE_DEGREES || school === 'square') return { shiftMm: Math.min(0, further), bevelDegrees: 0, outward };
  return further < 0 ? { shiftMm: 0, bevelDegrees: lean, outward } : { shiftMm: further, bevelDegrees: -lean, outward };
}
