import {
  applyRigid,
  distance,
  distanceToRun,
  dot,
  interpolate,
  isInsideRegion,
  subtract,
  type Point,
  type RigidMap,
} from '../geometry/index.ts';
import { isThroughCut } from '../operations/index.ts';
import { drawnId, findSegment, isMirrorId, pathsOf, type Part } from '../part/index.ts';
import { curveOf } from '../paths/index.ts';
import { curvedEdges } from './curved-edges.ts';
import type { PlateSolid } from './plate-solid.ts';
import type { Line3, SeamEdge } from './seam-edge.ts';

export type { Line3, SeamEdge } from './seam-edge.ts';

/** Which of an edge's two lines lies on a skin. */
export const SKIN = { back: 0, face: 1 } as const;

/** An edge where its plate has been carried to. */
export interface PlacedEdge {
  readonly edge: SeamEdge;
  /** From the flat part into space. */ readonly map: RigidMap;
  readonly lines: readonly [Line3, Line3];
}

const ON_EDGE_MM = 0.01;
const SHORTEST_EDGE_MM = 2;

/**
 * The free straight edges of plates.
 * @param part made whole
 */
export function seamEdges(part: Part, solids: readonly PlateSolid[]): readonly SeamEdge[] {
  const isCut = (pathId: string): boolean =>
    part.operations.some(({ kind, on }) => isThroughCut(kind) && on.pathId === pathId);
  const runs = pathsOf(part)
    .filter((path) => 'role' in path || isCut(path.id))
    .flatMap((path) =>
      path.segments.flatMap((segment, index) =>
        segment.kind === 'line' ? [{ segmentId: segment.id, curve: curveOf(path, index) }] : [],
      ),
    );
  const edges = solids
    .filter(({ plate }) => plate.kind === 'board')
    .flatMap((solid) =>
      solid.sides.flatMap((side, index): readonly SeamEdge[] => {
        if (side !== 'cut' && side !== 'bevel') return [];
        const {
            plate: { outer },
            bottom,
            top,
            thicknessMm,
          } = solid,
          next = (index + 1) % outer.length;
        const from = outer[index]!,
          to = outer[next]!;
        if (distance(from, to) < SHORTEST_EDGE_MM) return [];
        const run = runs.find(
          ({ curve }) =>
            distanceToRun(from, curve.from, curve.to) < ON_EDGE_MM &&
            distanceToRun(to, curve.from, curve.to) < ON_EDGE_MM,
        );
        if (!run) return [];
        const line = (ring: readonly Point[], z: number): Line3 => [
          { x: ring[index]!.x, y: ring[index]!.y, z },
          { x: ring[next]!.x, y: ring[next]!.y, z },
        ];
        return [
          {
            solid,
            segmentId: run.segmentId,
            from,
            to,
            isBoardLeft: dot(subtract(run.curve.to, run.curve.from), subtract(to, from)) > 0,
            flat: [line(bottom, 0), line(top, thicknessMm)],
          },
        ];
      }),
    );
  // A mirror image is not drawn: the side of its board is that of the edge it is the image of.
  return edges.map((edge) =>
    isMirrorId(edge.segmentId)
      ? {
          ...edge,
          isBoardLeft: edges.find(({ segmentId }) => segmentId === drawnId(edge.segmentId))?.isBoardLeft ?? true,
        }
      : edge,
  );
}

/** Places along a line at which its plate is looked for. */
const LOOKED_AT = [0.5, 0.02, 0.98, 0.25, 0.75, 0.37, 0.63] as const;

/** A straight line drawn on a plate, for others to meet or to stand on; undefined when it is none. */
function lineOnPlate(whole: Part, solids: readonly PlateSolid[], segmentId: string): SeamEdge | undefined {
  const found = findSegment(whole, segmentId);
  if (!found || 'role' in found.path || found.path.segments[found.index]!.kind !== 'line') return undefined;
  const { from, to } = curveOf(found.path, found.index);
  // Slots may be cut along a line that something stands on.
  const solid = LOOKED_AT.map((share) => interpolate(from, to, share))
    .map((p) => solids.find(({ plate: { kind, outer, holes } }) => kind === 'board' && isInsideRegion(p, outer, holes)))
    .find((one) => one !== undefined);
  const line = (z: number): Line3 => [
    { x: from.x, y: from.y, z },
    { x: to.x, y: to.y, z },
  ];
  return (
    solid && {
      solid,
      segmentId,
      from,
      to,
      isBoardLeft: true,
      flat: [line(0), line(solid.thicknessMm)],
      isLine: true,
    }
  );
}

/** The free pieces of a drawn edge, straight or curved, which folds and features part; or the line of this id that is drawn on a plate. */
export function edgesNamed(
  whole: Part,
  { edges, solids }: { readonly edges: readonly SeamEdge[]; readonly solids: readonly PlateSolid[] },
  segmentId: string,
): readonly SeamEdge[] {
  const own = edges.filter((edge) => edge.segmentId === segmentId || edge.segmentId.replace(/~f.*$/, '') === segmentId);
  if (own.length > 0) return own;
  const line = lineOnPlate(whole, solids, segmentId);
  return line ? [line] : curvedEdges(whole, solids, segmentId);
}

/** An edge carried by the map of its plate. */
export function placedEdge(edge: SeamEdge, map: RigidMap): PlacedEdge {
  const carried = ([a, b]: Line3): Line3 => [applyRigid(map, a), applyRigid(map, b)];
  return { edge, map, lines: [carried(edge.flat[0]), carried(edge.flat[1])] };
}
