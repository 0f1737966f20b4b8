import { radians } from '../../units/index.ts';
import type { Development } from './development.ts';

/** Bends wider than this are none, in mm. */
const FLAT_MM = 20_000;

/** The tightest radius that a bent sheet's far skin is bent to; undefined for a flat one. */
export function tightestBend({ turns, lengths }: Development): number | undefined {
  const radii = turns.flatMap((turn, index) => {
    if (index === 0 || index === turns.length - 1 || turn === 0) return [];
    const run = (lengths[index + 1]! - lengths[index - 1]!) / 2;
    return [run / Math.abs(radians(turn))];
  });
  const least = Math.min(...radii);
  return least < FLAT_MM ? least : undefined;
}
