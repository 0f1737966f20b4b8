import {
  differenceOf,
  distanceToEdge,
  intersectionOf,
  isInside,
  regionArea,
  unionOf,
  type Polygon,
} from '../../geometry/index.ts';
import type { MadeHole } from '../form/index.ts';
import type { Removal } from './removals.ts';

/** A layer after everything is taken out of it. */
export interface CutLayer {
  /** One ring, or pieces that fall apart, largest first. */
  readonly left: readonly Polygon[];
  readonly holes: readonly MadeHole[];
}

/** Rings that come nearer to an edge than this are open there, in mm. */
const EDGE_MM = 0.05;
/** Slivers smaller than this are none, in mm². */
const SLIVER_MM2 = 1;

const byArea = (rings: readonly Polygon[]): readonly Polygon[] =>
  [...rings].sort((a, b) => regionArea([b]) - regionArea([a]));

/** Whether a ring lies wholly within another, off its edges. */
const isWithin = (ring: Polygon, outline: Polygon): boolean =>
  ring.every((p) => isInside(p, outline) && distanceToEdge(p, outline) > EDGE_MM) &&
  outline.every((p) => !isInside(p, ring));

const overlap = (a: Polygon, b: Polygon): boolean => regionArea(intersectionOf([a], [b])) > SLIVER_MM2 / 100;

/** Takes rings out of an outline: those within are holes, those that meet become one, the others open its edge. */
export function cutLayer(ring: Polygon, removals: readonly Removal[]): CutLayer {
  let left: readonly Polygon[] = [ring],
    within = removals.filter((one) => overlap(one.ring, ring));
  for (;;) {
    const outline = left[0]!,
      open = within.filter((one) => !isWithin(one.ring, outline));
    // One that ends in a notch already cut opens it further.
    if (open.length === 0) break;
    within = within.filter((one) => !open.includes(one));
    const cut = differenceOf(left, unionOf(open.map((one) => one.ring)));
    left = byArea(cut.filter((piece) => regionArea([piece]) > SLIVER_MM2));
    if (left.length === 0) return { left: [], holes: [] };
  }
  const holes = within.filter((one) => isWithin(one.ring, left[0]!));
  return { left, holes: joined(holes) };
}

/** Holes that meet are one, under the name of the first. */
function joined(removals: readonly Removal[]): readonly MadeHole[] {
  const groups: { readonly first: Removal; readonly rings: Polygon[] }[] = [];
  for (const one of removals) {
    const met = groups.filter(({ rings }) => rings.some((ring) => overlap(ring, one.ring)));
    const [group, ...others] = met;
    if (!group) {
      groups.push({ first: one, rings: [one.ring] });
      continue;
    }
    group.rings.push(one.ring, ...others.flatMap(({ rings }) => rings));
    for (const other of others) groups.splice(groups.indexOf(other), 1);
  }
  return groups.map(({ first, rings }): MadeHole => {
    const sizing = first.isFixed ? 'fixed' : 'scaled';
    if (rings.length === 1 && first.round) return { name: first.key, sizing, round: first.round };
    return { name: first.key, sizing, corners: rings.length === 1 ? first.ring : byArea(unionOf(rings))[0]! };
  });
}
