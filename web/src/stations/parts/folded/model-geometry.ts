import {
  BufferAttribute,
  BufferGeometry,
  CylinderGeometry,
  Matrix4,
  Quaternion,
  ShapeUtils,
  Vector2,
  Vector3,
} from 'three';
import { FACE_COLOURS, type FoldedFace } from '@grain-fold/core/folds';
import type { Point3, RigidMap } from '@grain-fold/core/geometry';

export const vector = ({ x, y, z }: Point3): Vector3 => new Vector3(x, y, z);

/** A plate as triangles, and as the lines of its edges, in the frame of its flat part: three numbers a vertex. */
export interface PlateShape {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly colours: Float32Array;
  readonly lines: Float32Array;
}

/** Two directions that span a face's plane, the second to the left of the first as seen from outside, and its normal. */
function frameOf(ring: readonly Point3[]): readonly [Vector3, Vector3, Vector3] {
  const normal = new Vector3();
  ring.forEach((p, index) => normal.add(vector(p).cross(vector(ring[(index + 1) % ring.length]!))));
  normal.normalize();
  const along =
    Math.abs(normal.z) < 0.9
      ? new Vector3(0, 0, 1).cross(normal).normalize()
      : new Vector3(1, 0, 0).sub(normal.clone().multiplyScalar(normal.x)).normalize();
  return [along, normal.clone().cross(along), normal];
}

/** The faces of a plate as triangles, each vertex in its face's colour; and their edges as lines. */
export function shapeOfFaces(faces: readonly FoldedFace[]): PlateShape {
  const positions: number[] = [],
    normals: number[] = [],
    colours: number[] = [],
    lines: number[] = [];
  for (const { rings, kind } of faces) {
    const [along, aside, normal] = frameOf(rings[0]!);
    const corners = rings.map((ring) => ring.map(vector));
    const [outer, ...holes] = corners.map((ring) => ring.map((p) => new Vector2(p.dot(along), p.dot(aside))));
    const all = corners.flat(),
      colour = FACE_COLOURS[kind].map((value) => (value / 255) ** 2.2);
    for (const triangle of ShapeUtils.triangulateShape(outer!, holes)) {
      for (const at of triangle) {
        positions.push(...all[at]!.toArray());
        normals.push(...normal.toArray());
        colours.push(...colour);
      }
    }
    for (const ring of corners)
      ring.forEach((p, index) => lines.push(...p.toArray(), ...ring[(index + 1) % ring.length]!.toArray()));
  }
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    colours: Float32Array.from(colours),
    lines: Float32Array.from(lines),
  };
}

/** Many plates as two geometries, so that a frame takes two strokes of the brush however many plates there are. */
export interface MergedPlates {
  readonly body: BufferGeometry;
  readonly edges: BufferGeometry;
  /** Carries every plate by its map, and colours its edges. */
  readonly place: (maps: readonly RigidMap[], edgeColours: readonly (readonly [number, number, number])[]) => void;
}

const together = (arrays: readonly Float32Array[]): Float32Array => {
  const all = new Float32Array(arrays.reduce((sum, { length }) => sum + length, 0));
  arrays.reduce((at, array) => {
    all.set(array, at);
    return at + array.length;
  }, 0);
  return all;
};

/** Plates in one body and one set of lines, to be placed before they are drawn. */
export function mergedPlates(shapes: readonly PlateShape[]): MergedPlates {
  const attribute = (array: Float32Array): BufferAttribute => new BufferAttribute(array, 3);
  const [positions, normals, lines] = [
    together(shapes.map((shape) => shape.positions)),
    together(shapes.map((shape) => shape.normals)),
    together(shapes.map((shape) => shape.lines)),
  ].map(attribute) as [BufferAttribute, BufferAttribute, BufferAttribute];
  const lineColours = attribute(new Float32Array(lines.array.length));
  const body = new BufferGeometry()
    .setAttribute('position', positions)
    .setAttribute('normal', normals)
    .setAttribute('color', attribute(together(shapes.map(({ colours }) => colours))));
  const edges = new BufferGeometry().setAttribute('position', lines).setAttribute('color', lineColours);
  function place(maps: readonly RigidMap[], edgeColours: readonly (readonly [number, number, number])[]): void {
    let [vertex, line] = [0, 0];
    shapes.forEach((shape, index) => {
      const map = maps[index]!,
        colour = edgeColours[index]!;
      carry(shape.positions, map, 1, positions.array as Float32Array, vertex);
      carry(shape.normals, map, 0, normals.array as Float32Array, vertex);
      carry(shape.lines, map, 1, lines.array as Float32Array, line);
      for (let at = 0; at < shape.lines.length; at += 3) lineColours.array.set(colour, line + at);
      vertex += shape.positions.length;
      line += shape.lines.length;
    });
    for (const changed of [positions, normals, lines, lineColours]) changed.needsUpdate = true;
    body.boundingSphere = edges.boundingSphere = null; // of where they were before
  }
  return { body, edges, place };
}

/** Writes points (or directions, by `weight` 0) under a map into a larger array. */
function carry(
  from: Float32Array,
  { x, y, z, origin }: RigidMap,
  weight: 0 | 1,
  to: Float32Array,
  start: number,
): void {
  for (let at = 0; at < from.length; at += 3) {
    const [a, b, c] = [from[at]!, from[at + 1]!, from[at + 2]!];
    to[start + at] = x.x * a + y.x * b + z.x * c + weight * origin.x;
    to[start + at + 1] = x.y * a + y.y * b + z.y * c + weight * origin.y;
    to[start + at + 2] = x.z * a + y.z * b + z.z * c + weight * origin.z;
  }
}

/** A rod between two points, to show a line thick enough to be seen. */
export function rodBetween(a: Point3, b: Point3, radiusMm: number): BufferGeometry {
  const [from, to] = [vector(a), vector(b)],
    along = to.clone().sub(from);
  const rod = new CylinderGeometry(radiusMm, radiusMm, along.length(), 8);
  const turn = new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), along.clone().normalize());
  return rod.applyMatrix4(new Matrix4().compose(from.add(to).multiplyScalar(0.5), turn, new Vector3(1, 1, 1)));
}
