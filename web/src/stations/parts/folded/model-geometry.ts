import { BufferAttribute, BufferGeometry, CylinderGeometry, Matrix4, Quaternion, ShapeUtils, Vector2, Vector3 } from 'three';
import type { Point3 } from '@grain-fold/core/geometry';
import { FACE_COLOURS, type FoldedFace } from '@grain-fold/core/folds';

export const vector = ({ x, y, z }: Point3): Vector3 => new Vector3(x, y, z);

/** Two directions that span a face's plane, the second to the left of the first as seen from outside. */
function frameOf(ring: readonly Point3[]): readonly [Vector3, Vector3, Vector3] {
  const normal = new Vector3();
  ring.forEach((p, index) => normal.add(vector(p).cross(vector(ring[(index + 1) % ring.length]!))));
  normal.normalize();
  const along = Math.abs(normal.z) < 0.9 ? new Vector3(0, 0, 1).cross(normal).normalize() : new Vector3(1, 0, 0).sub(normal.clone().multiplyScalar(normal.x)).normalize();
  return [along, normal.clone().cross(along), normal];
}

/** All faces as triangles, each vertex in its face's colour; and their edges as lines. */
export function meshOf(faces: readonly FoldedFace[]): { readonly body: BufferGeometry; readonly edges: BufferGeometry } {
  const positions: number[] = [], normals: number[] = [], colours: number[] = [];
  for (const { rings, kind } of faces) {
    const [along, aside, normal] = frameOf(rings[0]!);
    const corners = rings.map((ring) => ring.map(vector));
    const [outer, ...holes] = corners.map((ring) => ring.map((p) => new Vector2(p.dot(along), p.dot(aside))));
    const all = corners.flat(), colour = FACE_COLOURS[kind].map((value) => (value / 255) ** 2.2);
    for (const triangle of ShapeUtils.triangulateShape(outer!, holes)) {
      for (const at of triangle) {
        positions.push(...all[at]!.toArray());
        normals.push(...normal.toArray());
        colours.push(...colour);
      }
    }
  }
  const body = new BufferGeometry().setAttribute('position', attribute(positions)).setAttribute('normal', attribute(normals)).setAttribute('color', attribute(colours));
  return { body, edges: edgeLines(faces) };
}

const attribute = (values: readonly number[]): BufferAttribute => new BufferAttribute(new Float32Array(values), 3);

/** The edges of faces as lines. */
export function edgeLines(faces: readonly FoldedFace[]): BufferGeometry {
  const lines = faces.flatMap(({ rings }) => rings.flatMap((ring) => ring.flatMap((p, index) => { const q = ring[(index + 1) % ring.length]!; return [p.x, p.y, p.z, q.x, q.y, q.z]; })));
  return new BufferGeometry().setAttribute('position', attribute(lines));
}

/** A rod between two points, to show a line thick enough to be seen. */
export function rodBetween(a: Point3, b: Point3, radiusMm: number): BufferGeometry {
  const [from, to] = [vector(a), vector(b)], along = to.clone().sub(from);
  const rod = new CylinderGeometry(radiusMm, radiusMm, along.length(), 8);
  const turn = new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), along.clone().normalize());
  return rod.applyMatrix4(new Matrix4().compose(from.add(to).multiplyScalar(0.5), turn, new Vector3(1, 1, 1)));
}
