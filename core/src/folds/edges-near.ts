import { applyRigid, boundsOf, interpolate3, invertRigid, type RigidMap } from '../geometry/index.ts';
import type { FoldedPart } from './folded-part.ts';
import type { Clash } from './interference.ts';
import type { PlateSolid } from './plate-solid.ts';
import { placedEdge, type SeamEdge } from './seam-edges.ts';
import type { StandingPiece } from './standing.ts';

/**
 * The free edges of two pressing plates that lie in, or at, the other one: what could be shortened.
 * @returns nearest to the other plate's middle plane first
 */
export function edgesNear({ edges, maps, solids }: FoldedPart, { plates, depthMm }: Clash): readonly SeamEdge[] {
  return nearestFirst(
    edges.flatMap((edge) => {
      const own = edge.solid.plate.index;
      const other = solids.find(
        ({ plate }) => plates.includes(own) && plate.index !== own && plates.includes(plate.index),
      );
      return other ? offFrom(edge, maps[own]!, other, maps[other.plate.index]!, depthMm) : [];
    }),
  );
}

interface NearEdge {
  readonly edge: SeamEdge;
  readonly off: number;
}
const nearestFirst = (found: readonly NearEdge[]): readonly SeamEdge[] => [
  ...new Set([...found].sort((a, b) => a.off - b.off).map(({ edge }) => edge)),
];
/** An edge with its distance from the middle of a plate that it reaches into or to. */
function offFrom(
  edge: SeamEdge,
  map: RigidMap,
  { thicknessMm, plate }: PlateSolid,
  otherMap: RigidMap,
  depthMm: number,
): readonly NearEdge[] {
  const middle = interpolate3(...placedEdge(edge, map).lines[0], 0.5);
  const { x, y, z } = applyRigid(invertRigid(otherMap), middle);
  const reach = depthMm + edge.solid.thicknessMm,
    { minX, minY, maxX, maxY } = boundsOf(plate.outer);
  const isBeside = x < minX - reach || x > maxX + reach || y < minY - reach || y > maxY + reach;
  return !isBeside && z > -reach && z < thicknessMm + reach ? [{ edge, off: Math.abs(z - thicknessMm / 2) }] : [];
}

/** The free edges of a standing piece that reach into another one: what could be shortened. @returns nearest to the plate it reaches into first */
export const edgesWithin = (
  { body, maps }: StandingPiece,
  other: StandingPiece,
  depthMm: number,
): readonly SeamEdge[] =>
  nearestFirst(
    body.edges.flatMap((edge) =>
      other.body.solids
        .filter(({ plate }) => plate.kind === 'board')
        .flatMap((solid) =>
          offFrom(edge, maps[edge.solid.plate.index]!, solid, other.maps[solid.plate.index]!, depthMm),
        ),
    ),
  );
