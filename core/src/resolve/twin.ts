import {
  boundsOf,
  counterClockwise,
  mirrorX,
  reversePath,
  transformPath,
  type Path,
  type Polygon,
  type Region,
  applyTransform,
} from '../geometry/index.ts';
import type { Stroke } from '../operations/index.ts';
import type { ResolvedPart } from './resolve.ts';

/** The part mirrored in the vertical axis: what the same drawing gives on the other side of the airframe. */
function mirrored(part: ResolvedPart): ResolvedPart {
  const turn = mirrorX(0);
  const path = (p: Path): Path => reversePath(transformPath(turn, p));
  const ring = (r: Polygon): Polygon => counterClockwise([...r.map((p) => applyTransform(turn, p))].reverse());
  const region = (r: Region): Region => r.map((one) => [...one.map((p) => applyTransform(turn, p))].reverse());
  const strokes = part.strokes.map((stroke): Stroke => ({
    ...stroke,
    paths: stroke.paths.map(path),
    area: region(stroke.area),
  }));
  const outer = ring(part.outer);
  return {
    ...part,
    outline: part.outline && path(part.outline),
    holes: part.holes.map(path),
    openPaths: part.openPaths.map(path),
    outer,
    holeRings: part.holeRings.map(ring),
    strokes,
    dimensions: part.dimensions.map((one) => ({
      ...one,
      from: applyTransform(turn, one.from),
      to: applyTransform(turn, one.to),
    })),
    grain: { ...part.grain, directionDegrees: -part.grain.directionDegrees },
    bounds: { minX: -part.bounds.maxX, maxX: -part.bounds.minX, minY: part.bounds.minY, maxY: part.bounds.maxY },
  };
}

/**
 * The starboard twin of a port part: mirrored, same face up.
 * @param part the port part
 */
export const starboardTwin = (part: ResolvedPart): ResolvedPart => ({ ...mirrored(part), side: 'starboard' });

/**
 * The part as seen from its back: mirrored, with the work of the two faces exchanged.
 * @param part any resolved part
 */
export function backView(part: ResolvedPart): ResolvedPart {
  const turned = mirrored(part);
  return {
    ...turned,
    strokes: turned.strokes.map((stroke) => ({ ...stroke, face: stroke.face === 'face' ? 'back' : 'face' })),
    bounds: turned.outer.length ? boundsOf(turned.outer) : turned.bounds,
  };
}
