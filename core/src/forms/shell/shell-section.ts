import type { Point } from '../../geometry/index.ts';
import { pointsOf, type MeshFace } from './mesh.ts';
import type { ShellSite } from './shell-site.ts';

/** A run of a section's outline, on one face, with the inside to its left: x to starboard, y up. */
export interface SectionRun {
  readonly face: MeshFace;
  readonly from: Point;
  readonly to: Point;
}

/** Ends of runs nearer than this are one, in mm. */
const ONE_MM = 1e-4;

/** Where a face is cut across; undefined where it is not. */
function cutOf({ whole }: ShellSite, face: MeshFace, x: number): SectionRun | undefined {
  const points = pointsOf(whole, face);
  const found = points.flatMap((a, index): readonly { readonly at: Point; readonly isForward: boolean }[] => {
    const b = points[(index + 1) % points.length]!;
    if ((a.x - x) * (b.x - x) >= 0) return [];
    const share = (x - a.x) / (b.x - a.x);
    return [{ at: { x: a.y + (b.y - a.y) * share, y: a.z + (b.z - a.z) * share }, isForward: b.x < a.x }];
  });
  if (found.length !== 2) return undefined;
  // Seen from inside the face lies to the left of its sides: the side that runs forward begins the run seen from behind.
  const [first, second] = found as [(typeof found)[number], (typeof found)[number]];
  return first.isForward ? { face, from: second.at, to: first.at } : { face, from: first.at, to: second.at };
}

/** The outline of a shell cut across, run by run, round with the inside to the left; empty where it is cut by no face. */
export function shellSection(site: ShellSite, x: number): readonly SectionRun[] {
  const runs = site.whole.faces.flatMap((face) => cutOf(site, face, x) ?? []);
  const ring: SectionRun[] = [];
  const near = (p: Point, q: Point): boolean => Math.hypot(p.x - q.x, p.y - q.y) < ONE_MM;
  let at = runs[0];
  while (at && !ring.includes(at)) {
    ring.push(at);
    const { to } = at;
    at = runs.find(({ from }) => near(from, to));
  }
  // A shell open above or below ends: it is closed straight from its last corner to its first.
  return ring.length === runs.length ? ring : [];
}
