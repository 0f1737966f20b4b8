import type { PanelSite } from './panel.ts';
import { rodOf } from './spar-place.ts';
import { sparRun } from './spar-strip.ts';

/** A rod that lies in the place of a spar. */
export interface RodLength {
  /** The panels that it goes through, from the inner one outward. */
  readonly panels: readonly number[];
  /** Whether it goes through both halves: then there is one of it, else one a side. */
  readonly isThrough: boolean;
  readonly lengthMm: number;
}

/** Joints that turn, and rods that bend at one, by less than this are straight, in degrees. */
const STRAIGHT_DEGREES = 0.05;

const runDegrees = (site: PanelSite): number => {
  const { root, tip } = sparRun(site);
  return (Math.atan2(tip - root, site.laid.panel.spanMm) * 180) / Math.PI;
};

/** The rods of a wing: joined where nothing turns between two panels, up or aft. */
export function rodLengths(sites: readonly PanelSite[]): readonly RodLength[] {
  const rods: { panels: number[]; isThrough: boolean; lengthMm: number }[] = [];
  const isShort = sites[0]?.wing.sparEnds === 'short';
  sites.forEach((site, index) => {
    const rod = rodOf(site);
    if (!rod) return;
    const { laid } = site,
      inner = sites[index - 1],
      own = runDegrees(site);
    const goesOn =
      !isShort &&
      (inner
        ? Math.abs(laid.rootTiltDegrees) < STRAIGHT_DEGREES && Math.abs(own - runDegrees(inner)) < STRAIGHT_DEGREES
        : !laid.isMiddle && Math.abs(laid.rootTiltDegrees) < STRAIGHT_DEGREES && Math.abs(own) < STRAIGHT_DEGREES);
    const before = inner && rods.at(-1);
    if (goesOn && before) {
      before.panels.push(laid.number);
      before.lengthMm += rod.lengthMm * (before.isThrough ? 2 : 1);
      return;
    }
    const isThrough = laid.isMiddle || (goesOn && !inner);
    rods.push({ panels: [laid.number], isThrough, lengthMm: rod.lengthMm * (isThrough && !laid.isMiddle ? 2 : 1) });
  });
  return rods;
}

/** `panel 2, a side`, `panels 1 to 2, right across`. */
export function rodWords({ panels, isThrough }: RodLength): string {
  const [first, last] = [panels[0]!, panels.at(-1)!],
    own = first === last ? `panel ${first}` : `panels ${first} to ${last}`;
  return isThrough ? `${own}, right across` : `${own}, a side`;
}
