import { distanceToRun, interpolate, type Point, type Polygon } from '../../geometry/index.ts';

/** A straight edge of an outline before anything is cut out of it. */
export interface NamedEdge {
  readonly name: string;
  readonly from: Point;
  readonly to: Point;
}

/** An edge of a ring lies on one that it was cut from when it is this near, in mm. */
const ON_EDGE_MM = 0.01;

/** A ring with each of its edges named after the edge that it lies on; what was cut anew is called so, and counted. */
export function namesOf(ring: Polygon, edges: readonly NamedEdge[], fresh: string): readonly string[] {
  const used = new Map<string, number>();
  return ring.map((p, index) => {
    const middle = interpolate(p, ring[(index + 1) % ring.length]!, 0.5),
      isOn = ({ from, to }: NamedEdge): boolean =>
        distanceToRun(middle, from, to) < ON_EDGE_MM && distanceToRun(p, from, to) < ON_EDGE_MM;
    const found = edges.find(isOn),
      name = found?.name ?? fresh,
      count = (used.get(name) ?? 0) + 1;
    used.set(name, count);
    return count === 1 && found ? name : `${name}-${count}`;
  });
}
