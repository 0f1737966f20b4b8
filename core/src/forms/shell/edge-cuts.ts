import { add3, cross3, dot3, point3, subtract3, unit3, type Point3 } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import { edgeKey, inwardOf, pointsOf, sidesByEdge, turnOver, type FaceSide, type Mesh } from './mesh.ts';

/** How the edge of a plate is cut so that it lies in the plane that parts it from its neighbour. */
export interface EdgeCut {
  readonly edge: string;
  /** What it meets: another face, its own mirror image, or what the shell stands on. */
  readonly meets: 'face' | 'mirror' | 'rim';
  /** Turn over the edge, outward above 0; twice the lean of a rim. */
  readonly turnDegrees: number;
  /** How much further in the face is cut than the outer skin; below 0 the skin is cut back from the face, in mm. */
  readonly backMm: number;
  readonly bevelDegrees: number;
  readonly lengthMm: number;
}

/** How far a plate's face is cut back at a side, so that its end lies in a plane. */
function cutBack(inward: Point3, out: Point3, plane: Point3, thicknessMm: number): number {
  const along = dot3(plane, out);
  return Math.abs(along) < 1e-6 ? 0 : (thicknessMm * dot3(plane, inward)) / along;
}

/** The plane that an end lies in, by its normal: half way between two faces, the middle plane, or the plane of a rim. */
function endPlane(mesh: Mesh, side: FaceSide, other: FaceSide | undefined, a: Point3, b: Point3): Point3 {
  const isInMiddle = Math.abs(a.y) < 1e-3 && Math.abs(b.y) < 1e-3;
  if (other) {
    // Half way between both: it holds the edge and the mean of both inward normals.
    const mean = unit3(add3(inwardOf(pointsOf(mesh, side.face)), inwardOf(pointsOf(mesh, other.face))));
    return unit3(cross3(subtract3(b, a), mean));
  }
  return isInMiddle ? point3(0, 1, 0) : point3(1, 0, 0);
}

/** The cut along every side of every face, by `face>edge`. */
export function edgeCuts(mesh: Mesh, whole: Mesh, thicknessMm: number): ReadonlyMap<string, EdgeCut> {
  const sides = sidesByEdge(whole),
    cuts = new Map<string, EdgeCut>();
  for (const face of mesh.faces)
    face.loop.forEach((from, index) => {
      const to = face.loop[(index + 1) % face.loop.length]!,
        edge = edgeKey(from, to);
      const [a, b] = [whole.vertices.get(from)!, whole.vertices.get(to)!];
      const own: FaceSide = { face, from, to },
        other = (sides.get(edge) ?? []).find((side) => side.face !== face);
      const points = pointsOf(whole, face),
        inward = inwardOf(points),
        along = unit3(subtract3(b, a)),
        out = cross3(along, inward);
      const backMm = cutBack(inward, out, endPlane(whole, own, other, a, b), thicknessMm);
      const bevel = degrees(Math.atan(Math.abs(backMm) / thicknessMm));
      cuts.set(`${face.name}>${edge}`, {
        edge,
        meets: other ? (other.face.group === 'starboard' && face.group === 'port' ? 'mirror' : 'face') : 'rim',
        turnDegrees: other ? turnOver(points, pointsOf(whole, other.face)) : 2 * Math.sign(backMm) * bevel,
        backMm,
        bevelDegrees: bevel,
        lengthMm: Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z),
      });
    });
  return cuts;
}
