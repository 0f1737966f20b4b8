import { freeHalf, freeLow, freeTop, type BodySite } from './body-site.ts';
import { boardsOfFormer } from './former-places.ts';
import type { BodyBay } from './parameters.ts';
import { heightsBetween } from './profile.ts';

/** What a bay has room for, and which formers stand in it. */
export interface BayFit {
  /** Undefined where it reaches beyond the body. */
  readonly room: { readonly widthMm: number; readonly heightMm: number } | undefined;
  readonly inTheWay: readonly string[];
}

/** Whether what is to be put in finds room: between walls, floor and lid, and through the windows of formers. */
export function bayFits(site: BodySite, { fromMm, lengthMm, widthMm, heightMm }: BodyBay): BayFit {
  const toMm = fromMm + lengthMm;
  if (fromMm < site.fromMm || toMm > site.toMm) return { room: undefined, inTheWay: [] };
  const { tray } = site.body,
    onTray = tray && tray.fromMm < toMm && tray.toMm > fromMm ? site.board.thicknessMm : 0;
  const low = heightsBetween(freeLow(site), fromMm, toMm).most + onTray,
    top = heightsBetween(freeTop(site), fromMm, toMm).least,
    half = freeHalf(site, fromMm, toMm);
  const inTheWay = site.body.formers.flatMap((former, index) => {
    const boards = boardsOfFormer(site, former);
    if (boards[0]!.fore >= toMm || boards.at(-1)!.aft <= fromMm) return [];
    const [wide, high] = [2 * (half - former.rimMm), top - low - 2 * former.rimMm];
    return former.rimMm > 0 && wide >= widthMm && high >= heightMm ? [] : [`former ${index + 1} stands in it`];
  });
  return { room: { widthMm: 2 * half, heightMm: Math.max(0, top - low) }, inTheWay };
}
