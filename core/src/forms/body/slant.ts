import { degrees } from '../../units/index.ts';
import type { MadeEdgeWork } from '../form/index.ts';
import { heightAt, type Profile } from './profile.ts';

/**
 * A sheet that butts on another which leans both ways does not meet it square: one of its faces reaches further than the other. Its edge is
 * drawn at the face that reaches further, and bevelled from the other.
 */
export interface Slant {
  /** How far along the body the face lies from the far skin, at a place. */
  readonly faceShift: (x: number) => number;
  readonly thicknessMm: number;
  /** Slope of the sheet itself at a place, in radians: it is longer on the flat than along the body. */
  readonly slope: (x: number) => number;
}

/** Edges that are out of square by less over the board are cut square: glue fills them, in mm. */
const SQUARE_MM = 0.1;

/** The height of a line, which goes on beyond its ends. */
function heightBeyond(profile: Profile, x: number): number {
  const [a, b] = x < profile[0]!.x ? [profile[0]!, profile[1]!] : [profile.at(-2)!, profile.at(-1)!];
  if ((x >= profile[0]!.x && x <= profile.at(-1)!.x) || b.x === a.x) return heightAt(profile, x);
  return a.z + ((b.z - a.z) * (x - a.x)) / (b.x - a.x);
}

/** The line that an edge is drawn on, so that both of its faces reach the sheet that it butts on. */
export const slanted = (profile: Profile, { faceShift }: Slant, keeps: 'most' | 'least'): Profile =>
  profile.map((point) => {
    const face = heightBeyond(profile, point.x + faceShift(point.x));
    return { ...point, z: keeps === 'most' ? Math.max(point.z, face) : Math.min(point.z, face) };
  });

/** A run of an edge: from where to where, and its names. */
export interface EdgeRun {
  readonly x: number;
  readonly next: number;
  readonly edges: readonly string[];
}

/** The bevels of a slanted edge, run by run. */
export function slantBevels(
  profile: Profile,
  runs: readonly EdgeRun[],
  { faceShift, thicknessMm, slope }: Slant,
  keeps: 'most' | 'least',
  name: string,
): readonly MadeEdgeWork[] {
  const outOf = ({ x, next }: EdgeRun): number => {
    const middle = (x + next) / 2;
    return heightBeyond(profile, middle + faceShift(middle)) - heightBeyond(profile, middle);
  };
  // Neighbours on a curve are bevelled alike: one cut square between them would end in a long wedge.
  if (runs.every((run) => Math.abs(outOf(run)) < SQUARE_MM)) return [];
  const groups = new Map<string, { readonly face: 'face' | 'back'; readonly angle: number; edges: string[] }>();
  for (const run of runs) {
    const { x, next, edges } = run,
      out = outOf(run);
    const reachesFurther = keeps === 'most' ? out > 0 : out < 0,
      face = reachesFurther ? ('back' as const) : ('face' as const),
      // Square to the edge, which itself leans on the flat.
      lean = Math.atan(
        ((heightAt(profile, next) - heightAt(profile, x)) / (next - x)) * Math.cos(slope((x + next) / 2)),
      ),
      angle = Math.round(10 * degrees(Math.atan((Math.abs(out) * Math.cos(lean)) / thicknessMm))) / 10;
    if (angle === 0) continue;
    const key = `${face}${angle}`,
      group = groups.get(key) ?? { face, angle, edges: [] };
    group.edges.push(...edges);
    groups.set(key, group);
  }
  return [...groups.values()].map(({ face, angle, edges }, index) => ({
    name: `${name}-${index + 1}`,
    edges,
    work: { kind: 'bevel', face, bevelDegrees: angle, label: '' },
  }));
}
