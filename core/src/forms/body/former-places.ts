import { doublerAt, FILM_MM, freeLow, freeTop, type BodySite } from './body-site.ts';
import type { BodyFormer } from './parameters.ts';
import { heightAt } from './profile.ts';

/** One board of a former: its fore and its aft face along the body. */
export interface FormerBoard {
  readonly fore: number;
  readonly aft: number;
}

/** A former whose fore face lies this near to the body's nose is marked along its aft face, in mm. */
const AT_NOSE_MM = 1;

/** Which face of a former is marked on what it stands on: at the very nose there is no board before the fore one. */
export const markedFace = ({ fromMm }: Pick<BodySite, 'fromMm'>, { fore }: FormerBoard): 'fore' | 'aft' =>
  fore < fromMm + AT_NOSE_MM ? 'aft' : 'fore';

/** The sheet that a former is cut from. */
export const formerMaterial = ({ body }: Pick<BodySite, 'body'>, { material }: BodyFormer): string =>
  material ?? body.material;

/** The boards of a former, from its fore face aft. */
export function boardsOfFormer(site: BodySite, former: BodyFormer): readonly FormerBoard[] {
  const t = site.boardOf(formerMaterial(site, former)).thicknessMm;
  return Array.from({ length: former.boards }, (_, index) => ({
    fore: former.aftMm + index * (t + (index === 0 ? 0 : FILM_MM)),
    aft: former.aftMm + (index + 1) * t,
  }));
}

/** A former lower or narrower than this is none, in mm. */
const LEAST_MM = 4;

/** How low, how high and how wide the inside of a body is. */
export interface InnerReach {
  readonly low: number;
  readonly top: number;
  readonly half: number;
}

/** What is free across the body at a place, with room for glue; doublers and the tray are those of a stretch. */
function reachAt(site: BodySite, x: number, fore: number, aft: number): InnerReach {
  const { tray } = site.body,
    isOnTray = tray !== undefined && tray.fromMm < aft && tray.toMm > fore;
  return {
    low: heightAt(freeLow(site), x) + FILM_MM + (isOnTray ? site.board.thicknessMm : 0),
    top: heightAt(freeTop(site), x) - FILM_MM,
    half: heightAt(site.innerHalf, x) - doublerAt(site, fore, aft) - FILM_MM,
  };
}

/**
 * How low, how high and how wide a plate across the body is, at its fore face and at its aft face.
 * @returns undefined where nothing is left for it
 */
export function formerReach(
  site: BodySite,
  { fore, aft }: FormerBoard,
): { readonly fore: InnerReach; readonly aft: InnerReach } | undefined {
  const reach = { fore: reachAt(site, fore, fore, aft), aft: reachAt(site, aft, fore, aft) };
  const isWithin = fore >= site.fromMm - 1e-6 && aft <= site.toMm + 1e-6;
  const hasRoom = [reach.fore, reach.aft].every(({ low, top, half }) => top - low >= LEAST_MM && half >= LEAST_MM / 2);
  return isWithin && hasRoom ? reach : undefined;
}
