import { interpolate, type Point } from '../../geometry/index.ts';
import type { MadeLine } from '../form/index.ts';
import { isInMiddle, MIDDLE } from './shell-mesh.ts';
import type { ShellSite } from './shell-site.ts';
import type { LaidFace, Patch } from './unfold.ts';

/** The number of a corner from its key: `s2-3` is the fourth from the keel. */
const cornerOf = (key: string): number => Number(/-(\d+)s?$/.exec(key)![1]);
/** A mark shorter than this is none, in mm. */
const LEAST_MM = 1;
const LABEL = 'cut the hatch here';

/** Whether a face is of the shell over a corner. */
const isOver = ({ face }: LaidFace, corner: number): boolean =>
  face.loop.every((key) => cornerOf(key) >= corner) && face.name !== 'nose' && face.name !== 'tail';

/** Where the outline of a face crosses a place along the shell. */
function crossings(site: ShellSite, { face, corners }: LaidFace, aftMm: number): readonly Point[] {
  return face.loop.flatMap((from, index): readonly Point[] => {
    const to = face.loop[(index + 1) % face.loop.length]!;
    const [a, b] = [site.mesh.vertices.get(from)!.x, site.mesh.vertices.get(to)!.x];
    if ((a - aftMm) * (b - aftMm) >= 0) return [];
    return [interpolate(corners[index]!, corners[(index + 1) % corners.length]!, (aftMm - a) / (b - a))];
  });
}

/** The lowest edge of the hatch along a face: over the corner that it opens at. */
function lowerEdge(
  site: ShellSite,
  { face, corners }: LaidFace,
  corner: number,
  from: number,
  to: number,
): readonly [Point, Point] | undefined {
  const side = face.loop.findIndex((key, index) => {
    const next = face.loop[(index + 1) % face.loop.length]!;
    return cornerOf(key) === corner && cornerOf(next) === corner && !isInMiddle(site.mesh.vertices.get(key)!);
  });
  if (side < 0) return undefined;
  const next = (side + 1) % face.loop.length;
  const [a, b] = [site.mesh.vertices.get(face.loop[side]!)!.x, site.mesh.vertices.get(face.loop[next]!)!.x];
  if (a === b) return undefined;
  const at = (x: number): number => Math.min(1, Math.max(0, (x - a) / (b - a)));
  const [s, u] = [at(from), at(to)];
  return Math.abs(s - u) < 1e-6
    ? undefined
    : [interpolate(corners[side]!, corners[next]!, s), interpolate(corners[side]!, corners[next]!, u)];
}

/** Lines on the outside along which a hatch is cut out of the shell once it is glued. */
export function hatchMarks(site: ShellSite, { faces }: Patch): readonly MadeLine[] {
  const { hatch } = site.shell;
  if (!hatch) return [];
  return faces.flatMap((laid): readonly MadeLine[] => {
    if (!isOver(laid, hatch.overCorner)) return [];
    const across = [hatch.fromMm, hatch.toMm].map((x) => crossings(site, laid, x));
    const lower =
      laid.face.group === MIDDLE ? undefined : lowerEdge(site, laid, hatch.overCorner, hatch.fromMm, hatch.toMm);
    const runs = [...across, ...(lower ? [lower] : [])];
    return runs.flatMap((run, index): readonly MadeLine[] => {
      const [from, to] = run;
      if (!from || !to || Math.hypot(to.x - from.x, to.y - from.y) < LEAST_MM) return [];
      return [
        { name: `hatch-${laid.face.name}-${index + 1}`, from, to, work: { kind: 'mark', face: 'back', label: LABEL } },
      ];
    });
  });
}
