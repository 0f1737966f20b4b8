import { nearestOnCurve, type Curve, type Point } from '../geometry/index.ts';
import { findSegment, type Part } from '../part/index.ts';
import { curveOf } from '../paths/index.ts';
import type { PlateSolid } from './plate-solid.ts';
import type { Line3, SeamEdge } from './seam-edge.ts';

/** Corners of a flattened curve lie as near to it as it is flattened to, in mm. */
const ON_CURVE_MM = 0.03;

/** Runs of neighbouring sides of a plate that lie on a curve: number of the first side, and how many. */
function runsOn({ plate: { outer }, sides }: PlateSolid, curve: Curve): readonly (readonly [number, number])[] {
  const isOn = outer.map((p) => nearestOnCurve(curve, p).distance < ON_CURVE_MM),
    count = outer.length;
  const lies = sides.map(
    (side, index) => (side === 'cut' || side === 'bevel') && isOn[index]! && isOn[(index + 1) % count]!,
  );
  if (lies.every((is) => is)) return [];
  return lies.flatMap((is, index): readonly (readonly [number, number])[] => {
    if (!is || lies[(index + count - 1) % count]) return [];
    let length = 1;
    while (lies[(index + length) % count]) length += 1;
    return [[index, length]];
  });
}

/** The free pieces of a curved edge: of every plate that it runs along, its chord from fold to fold. */
export function curvedEdges(whole: Part, solids: readonly PlateSolid[], segmentId: string): readonly SeamEdge[] {
  const found = findSegment(whole, segmentId);
  if (!found || !('role' in found.path) || found.path.segments[found.index]!.kind === 'line') return [];
  const curve = curveOf(found.path, found.index);
  return solids
    .filter(({ plate }) => plate.kind === 'board')
    .flatMap((solid) =>
      runsOn(solid, curve).map(([start, length]): SeamEdge => {
        const {
            plate: { outer },
            bottom,
            top,
            thicknessMm,
          } = solid,
          end = (start + length) % outer.length,
          [from, to] = [outer[start]!, outer[end]!];
        const line = (ring: readonly Point[], z: number): Line3 => [
          { ...ring[start]!, z },
          { ...ring[end]!, z },
        ];
        const along = [from, to].map((p) => nearestOnCurve(curve, p).t);
        return {
          solid,
          segmentId,
          from,
          to,
          isBoardLeft: along[1]! > along[0]!,
          flat: [line(bottom, 0), line(top, thicknessMm)],
          isCurved: true,
        };
      }),
    );
}
