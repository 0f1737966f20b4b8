import type { PanelSite } from './panel.ts';
import { tubeAt } from './rib-places.ts';
import { sparRun } from './spar-strip.ts';

/** A straight brace may lie off a spar that runs askew by this much at its ends, in mm: glue fills it. */
export const MOST_OFF_MM = 1.5;

/** The ends of a panel at which a brace crosses its joint. */
export function bracedEnds(site: PanelSite): { readonly root: boolean; readonly tip: boolean } {
  const { wing, laid, isLast } = site;
  if (!wing.braces || wing.sparKind === 'none' || (wing.build ?? 'folded') !== 'folded')
    return { root: false, tip: false };
  const next = wing.panels[laid.number]?.id,
    tip = !isLast && !tubeAt(site, next);
  return { root: laid.isMiddle ? tip : !tubeAt(site, laid.panel.id), tip };
}

/** Where the front of the spar lies at a place out along its panel. */
export function sparFrontAt(site: PanelSite, outMm: number): number {
  const { root, tip } = sparRun(site);
  return root + ((tip - root) * outMm) / site.laid.panel.spanMm;
}

/** What the braces of a panel take before its spar over a stretch of it: how deep, in mm; 0 where there is none. */
export function braceDepth(site: PanelSite, fromMm: number, toMm: number): number {
  const { root, tip } = bracedEnds(site),
    { wing, laid } = site;
  if (!wing.braces) return 0;
  const { reachMm, material } = wing.braces;
  const meets = (root && fromMm < reachMm) || (tip && toMm > laid.panel.spanMm - reachMm);
  return meets ? site.boardOf(material).thicknessMm + MOST_OFF_MM : 0;
}
