import { distance } from '../../geometry/index.ts';
import type { SkinSection } from './section.ts';

/** Skins whose outer line leans more than this stand up: nothing rests on them. */
const STEEPEST_REST = 0.985;

/**
 * Heights of the two inner faces of a section over its pivot line at a place along the chord.
 * @param thicknessMm of both skins
 * @returns undefined where no board lies below or above
 * @source each plate's inner face is its outer line moved in by the board's thickness; of neighbours at an inward corner the one further in
 */
export function innerHeights(
  { corners, plates }: Pick<SkinSection, 'corners' | 'plates'>,
  aftMm: number,
  thicknessMm: number,
): { readonly low: number; readonly top: number } | undefined {
  let low = -Infinity,
    top = Infinity;
  plates.forEach(({ isSkin }, index) => {
    const from = corners[index]!,
      to = corners[index + 1]!,
      long = distance(from, to);
    if (isSkin || long === 0) return;
    const along = { x: (to.x - from.x) / long, y: (to.y - from.y) / long };
    // The inside lies to the right of the way from the lower tail round the nose.
    const inward = { x: along.y, y: -along.x };
    if (Math.abs(inward.x) > STEEPEST_REST) return;
    const [least, most] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
    if (aftMm < least - thicknessMm || aftMm > most + thicknessMm) return;
    const height = from.y + thicknessMm * inward.y + ((aftMm - from.x - thicknessMm * inward.x) * along.y) / along.x;
    if (inward.y > 0) low = Math.max(low, height);
    else top = Math.min(top, height);
  });
  return low > -Infinity && top < Infinity ? { low, top } : undefined;
}
