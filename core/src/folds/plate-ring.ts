import { cross, distance, dot, subtract, type Point, type Polygon } from '../geometry/index.ts';

/** Cuts run on past their ends by this much, so that they part the board where they meet an edge. */
export const OVERRUN_MM = 0.02;

/** Board narrower than this that runs out and back along an edge is none, in mm: rounding leaves it beside a strip. */
const SPIKE_MM = 2e-3;

/** A ring without spikes: corners at which it turns back on itself. */
export function withoutSpikes(ring: Polygon): Polygon {
  const left = [...ring];
  for (let index = 0; index < left.length && left.length > 2;) {
    const [a, b, c] = [left.at(index - 1)!, left[index]!, left[(index + 1) % left.length]!];
    const [back, on] = [subtract(a, b), subtract(c, b)];
    const far = Math.max(distance(a, b), distance(b, c));
    const isSpike = distance(b, c) < 1e-6 || (dot(back, on) > 0 && Math.abs(cross(back, on)) / far < SPIKE_MM);
    if (!isSpike) {
      index += 1;
      continue;
    }
    left.splice(index, 1);
    index = Math.max(0, index - 2);
  }
  return left;
}

/** Corners that were drawn, and which of them are near a place. */
export interface Corners {
  readonly points: readonly Point[];
  readonly near: (p: Point, reachMm: number) => readonly number[];
}

/** Corners nearer together than this are the nicks of cuts that ran on past an edge. */
const NICK_MM = 3 * OVERRUN_MM;

/**
 * A ring without the nicks that cuts leave: each becomes the one corner that was drawn there.
 * @param known corners that were drawn, those that count first in front
 */
export function withoutNicks(ring: Polygon, known: readonly Corners[]): Polygon {
  const isApart = (index: number): boolean =>
    distance(ring[index]!, ring[(index + ring.length - 1) % ring.length]!) > NICK_MM;
  const first = ring.findIndex((_, index) => isApart(index));
  if (first < 0) return [];
  const clusters: Point[][] = [];
  for (let step = 0; step < ring.length; step++) {
    const p = ring[(first + step) % ring.length]!,
      last = clusters.at(-1);
    if (last && distance(last[0]!, p) <= NICK_MM) last.push(p);
    else clusters.push([p]);
  }
  return clusters.map((cluster) => {
    for (const corners of known) {
      const near = nearestOf(corners, cluster);
      if (near) return near;
    }
    return cluster[0]!;
  });
}

/** The corner nearest to one of a cluster's, within the size of a nick. */
function nearestOf({ points, near }: Corners, cluster: readonly Point[]): Point | undefined {
  let nearest: { readonly p: Point; readonly mm: number } | undefined;
  const about = new Set(cluster.flatMap((own) => near(own, NICK_MM)));
  for (const index of [...about].sort((a, b) => a - b)) {
    const p = points[index]!;
    const mm = Math.min(...cluster.map((own) => distance(own, p)));
    if (mm <= NICK_MM && (!nearest || mm < nearest.mm)) nearest = { p, mm };
  }
  return nearest?.p;
}
