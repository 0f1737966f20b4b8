import type { Point, RigidMap } from '../../geometry/index.ts';
import { point3 } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';

/**
 * A frustum on its neutral surface, unrolled: a sector of a ring, or a rectangle. Flat, its axis runs to the right from its fore end, and the
 * side opposite the seam lies on the axis of x.
 */
export interface Frustum {
  /** Ends of its neutral line: x along the axis, y the radius. */
  readonly fore: Point;
  readonly aft: Point;
  /** Along the neutral surface, from end to end. */
  readonly slantMm: number;
  /** Lean of its side against the axis: above 0 it grows aft. */
  readonly slopeDegrees: number;
  /** Angle of the sector; 0 for a cylinder. */
  readonly sectorDegrees: number;
  /** From the sector's point to its ends; Infinity for a cylinder. */
  readonly foreRadiusMm: number;
  readonly aftRadiusMm: number;
}

/** Sides that lean by less than this are parallel, in degrees: a sector of a kilometre's radius is a rectangle. */
const PARALLEL_DEGREES = 0.005;

/**
 * The flat of a frustum.
 * @param fore and `aft` ends of its neutral line, radii above 0
 * @source a cone of half angle α unrolls to a sector of 2π·sin α whose radius is the slant height ρ/sin α
 */
export function frustumBetween(fore: Point, aft: Point): Frustum {
  const slope = Math.atan2(aft.y - fore.y, aft.x - fore.x),
    sine = Math.abs(Math.sin(slope)),
    isCylinder = Math.abs(degrees(slope)) < PARALLEL_DEGREES;
  return {
    fore,
    aft,
    slantMm: Math.hypot(aft.x - fore.x, aft.y - fore.y),
    slopeDegrees: degrees(slope),
    sectorDegrees: isCylinder ? 0 : 360 * sine,
    foreRadiusMm: isCylinder ? Infinity : fore.y / sine,
    aftRadiusMm: isCylinder ? Infinity : aft.y / sine,
  };
}

/**
 * A place on the flat of a frustum.
 * @param along from the fore end, along the slant
 * @param share of the way round, from -0.5 at the starboard side of the seam to 0.5 at its port side
 */
export function onFrustum(
  { fore, aft, slantMm, sectorDegrees, foreRadiusMm }: Frustum,
  along: number,
  share: number,
): Point {
  if (sectorDegrees === 0) {
    const radius = fore.y + ((aft.y - fore.y) * along) / slantMm;
    return { x: along, y: 2 * Math.PI * radius * share };
  }
  const angle = ((share * sectorDegrees) / 180) * Math.PI,
    grows = aft.y > fore.y ? 1 : -1,
    radius = foreRadiusMm + grows * along;
  return { x: grows * (radius * Math.cos(angle) - foreRadiusMm), y: radius * Math.sin(angle) };
}

/** Bulge of the arc across a frustum from its starboard side to its port side. */
export const acrossBulge = ({ fore, aft, sectorDegrees }: Frustum): number =>
  (aft.y > fore.y ? 1 : -1) * Math.tan((sectorDegrees / 4 / 180) * Math.PI);

/** A frustum folded to strips, one of which lies opposite the seam. */
export interface FoldedFrustum {
  /** Turn from strip to strip, in degrees. */
  readonly turnDegrees: number;
  /** From the flat neutral surface to the strip opposite the seam, the axis of the round along x: face to the axis. */
  readonly map: RigidMap;
}

/**
 * How the strips of a frustum stand so that they close.
 * @param isAbove whether the strip opposite the seam lies on top
 * @source a pyramid of n faces whose points have the angle γ: its faces lean off the axis by b with sin b = tan(γ/2)/tan(π/n), and turn by
 * τ with cos τ = sin²b + cos²b·cos(2π/n)
 */
export function foldedFrustum(frustum: Frustum, strips: number, isAbove: boolean): FoldedFrustum {
  const { fore, aft, slantMm, sectorDegrees, foreRadiusMm } = frustum,
    half = Math.PI / strips,
    grows = aft.y > fore.y ? 1 : -1;
  const apexHalf = ((sectorDegrees / 2 / 180) * Math.PI) / strips,
    sine = grows * (Math.tan(apexHalf) / Math.tan(half)),
    cosine = Math.sqrt(1 - sine * sine);
  const turn = Math.acos(Math.min(1, sine * sine + cosine * cosine * Math.cos(2 * half)));
  // The middle of the strip stands where the middle of the frustum does.
  const along = slantMm / 2,
    reach =
      sectorDegrees === 0
        ? ((fore.y + aft.y) / 2) * (half / Math.tan(half))
        : ((foreRadiusMm + grows * along) * Math.sin(apexHalf)) / Math.tan(half);
  const up = isAbove ? 1 : -1,
    x = point3(cosine, 0, up * sine),
    z = point3(sine, 0, -up * cosine);
  // On the flat the strip's corners lie on the arc; its middle line a little within.
  const flatX =
    sectorDegrees === 0 ? along : grows * ((foreRadiusMm + grows * along) * Math.cos(apexHalf) - foreRadiusMm);
  const middle = point3((fore.x + aft.x) / 2, 0, up * reach);
  return {
    turnDegrees: degrees(turn),
    map: {
      x,
      y: point3(0, -up, 0),
      z,
      origin: point3(middle.x - x.x * flatX, 0, middle.z - x.z * flatX),
    },
  };
}
