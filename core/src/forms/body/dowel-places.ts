import type { MadeHole } from '../form/index.ts';
import type { BodySite } from './body-site.ts';
import { onSheet, type Development } from './development.ts';
import { heightAt } from './profile.ts';
import type { SeatCut } from './seat-cut.ts';

/** A dowel across both walls, before or behind a wing. */
export interface DowelPlace {
  readonly name: string;
  readonly x: number;
  readonly z: number;
  readonly cut: SeatCut;
}

const isHeld = ({ side }: SeatCut): boolean => side === 'top' || side === 'below' || side === 'clear';

/** Where dowels for bands cross the walls. */
export const dowelPlaces = (site: BodySite): readonly DowelPlace[] =>
  site.cuts.flatMap((cut): readonly DowelPlace[] => {
    const { seat } = cut;
    if (seat.hold !== 'dowels' || !isHeld(cut)) return [];
    const place = (name: string, x: number): readonly DowelPlace[] => {
      if (x < site.fromMm + seat.dowelMm || x > site.toMm - seat.dowelMm) return [];
      const z = cut.side === 'below' ? heightAt(site.wallLow, x) + seat.inMm : heightAt(site.wallTop, x) - seat.inMm;
      return [{ name: `${name}-${seat.id}`, x, z, cut }];
    };
    return [...place('fore', cut.fromMm - seat.aheadMm), ...place('aft', cut.toMm + seat.behindMm)];
  });

/** The holes for dowels in a sheet that lies along the walls, as far as they lie between two places along the body. */
export const holdHoles = (site: BodySite, sheet: Development, fromMm: number, toMm: number): readonly MadeHole[] =>
  dowelPlaces(site)
    .filter(({ x, cut }) => x - cut.seat.dowelMm > fromMm && x + cut.seat.dowelMm < toMm)
    .map(({ name, x, z, cut }) => ({
      name: `dowel-${name}`,
      sizing: 'fixed',
      round: { centre: onSheet(sheet, x, z), radiusMm: cut.seat.dowelMm / 2 },
    }));
