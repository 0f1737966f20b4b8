import { distance3, dot3, point3, subtract3, unit3, type Point3 } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';

/** A plane face of a shell: its corners in order, so that they turn left as seen from inside. */
export interface MeshFace {
  readonly name: string;
  /** Faces of one group are cut from common pieces. */
  readonly group: string;
  readonly loop: readonly string[];
}

/** A shell of faces on its outer skin. Faces meet where they share two corners. */
export interface Mesh {
  readonly vertices: ReadonlyMap<string, Point3>;
  readonly faces: readonly MeshFace[];
}

export const edgeKey = (a: string, b: string): string => (a < b ? `${a}_${b}` : `${b}_${a}`);

export const pointsOf = ({ vertices }: Mesh, { loop }: MeshFace): readonly Point3[] =>
  loop.map((key) => vertices.get(key)!);

/** The normal of a face to the inside. @source Newell's sum over the corners, which takes a face that is not quite plane at its mean */
export function inwardOf(points: readonly Point3[]): Point3 {
  let x = 0,
    y = 0,
    z = 0;
  points.forEach((a, index) => {
    const b = points[(index + 1) % points.length]!;
    x += (a.y - b.y) * (a.z + b.z);
    y += (a.z - b.z) * (a.x + b.x);
    z += (a.x - b.x) * (a.y + b.y);
  });
  return unit3(point3(x, y, z));
}

export const middleOf = (points: readonly Point3[]): Point3 =>
  point3(
    points.reduce((sum, { x }) => sum + x, 0) / points.length,
    points.reduce((sum, { y }) => sum + y, 0) / points.length,
    points.reduce((sum, { z }) => sum + z, 0) / points.length,
  );

/** How far the corners of a face lie off its plane at most, in mm. */
export function offPlane(points: readonly Point3[]): number {
  const normal = inwardOf(points),
    middle = middleOf(points);
  return Math.max(...points.map((p) => Math.abs(dot3(normal, subtract3(p, middle)))));
}

/** Corners of four that are off by less are plane, in mm. */
const PLANE_MM = 0.05;

/**
 * The faces of a mesh, those with four corners that do not lie in one plane split in two along the diagonal that bends outward; of two that
 * do, along the shorter.
 */
export function planeFaces(mesh: Mesh): { readonly mesh: Mesh; readonly split: readonly string[] } {
  const split: string[] = [];
  const faces = mesh.faces.flatMap((face): readonly MeshFace[] => {
    const points = pointsOf(mesh, face);
    if (points.length !== 4 || offPlane(points) <= PLANE_MM) return [face];
    split.push(face.name);
    const [a, b, c, d] = face.loop as [string, string, string, string];
    const ways = [
      [
        [a, b, c],
        [a, c, d],
      ],
      [
        [b, c, d],
        [b, d, a],
      ],
    ] as const;
    const cornersOf = (loop: readonly string[]): readonly Point3[] => loop.map((key) => mesh.vertices.get(key)!);
    const rated = ways.map(([first, second]) => {
      const p = cornersOf(first);
      return { first, second, turn: turnOver(p, cornersOf(second)), long: distance3(p[0]!, p[2]!) };
    });
    const outward = rated.filter(({ turn }) => turn >= 0),
      best = (outward.length > 0 ? outward : rated).reduce((x, y) => (y.long < x.long ? y : x));
    return [
      { ...face, name: `${face.name}a`, loop: best.first },
      { ...face, name: `${face.name}b`, loop: best.second },
    ];
  });
  return { mesh: { ...mesh, faces }, split };
}

/** The turn from one face to another over their common edge, in degrees: above 0 where the shell is bent outward, as an egg is. */
export function turnOver(one: readonly Point3[], other: readonly Point3[]): number {
  const a = inwardOf(one),
    b = inwardOf(other);
  const angle = degrees(Math.acos(Math.max(-1, Math.min(1, dot3(a, b)))));
  return dot3(a, subtract3(middleOf(other), middleOf(one))) >= 0 ? angle : -angle;
}

/** The side of a face: from one corner to the next, with the face on the left as seen from inside. */
export interface FaceSide {
  readonly face: MeshFace;
  readonly from: string;
  readonly to: string;
}

/** All sides of faces by the key of their edge: two where faces meet, one at a rim. */
export function sidesByEdge({ faces }: Mesh): ReadonlyMap<string, readonly FaceSide[]> {
  const found = new Map<string, FaceSide[]>();
  for (const face of faces)
    face.loop.forEach((from, index) => {
      const to = face.loop[(index + 1) % face.loop.length]!,
        key = edgeKey(from, to);
      found.set(key, [...(found.get(key) ?? []), { face, from, to }]);
    });
  return found;
}
