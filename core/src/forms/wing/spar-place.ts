import type { Point, Point3 } from '../../geometry/index.ts';
import type { PanelSite } from './panel.ts';
import { hasRod, sparRun, stripCorners, stripMm, stripOf, stripsOf } from './spar-strip.ts';

/** Front and rear of the spar over a stretch of its panel, aft of the panel's nose line; undefined where none stands. */
export function sparSides(
  site: PanelSite,
  fromMm: number,
  toMm: number,
): { readonly frontMm: number; readonly rearMm: number } | undefined {
  const count = stripsOf(site),
    { wing, laid } = site;
  if (count === 0) return undefined;
  const span = laid.panel.spanMm,
    short = wing.sparEnds === 'short' ? wing.sparShortMm : 0;
  if (toMm < short || (fromMm > span - short && !(laid.number === wing.panels.length && !laid.isMiddle)))
    return undefined;
  const { root, tip, cos } = sparRun(site),
    places = [fromMm, toMm].map((out) => root + ((tip - root) * out) / span);
  return { frontMm: Math.min(...places), rearMm: Math.max(...places) + (count * stripMm(site)) / cos };
}

/** A rod in its panel: its length between both ends, and where its middle lies at a place out along the panel, aft and up. */
export function rodOf(
  site: PanelSite,
): { readonly lengthMm: number; readonly diameterMm: number; readonly at: (outMm: number) => Point } | undefined {
  if (!hasRod(site)) return undefined;
  const [foot] = sparFeet(site),
    diameterMm = stripMm(site);
  const { root, tip } = foot!;
  return {
    diameterMm,
    lengthMm: Math.hypot(tip.x - root.x, tip.y - root.y, tip.z - root.z),
    at: (outMm) => {
      const share = (outMm - root.x) / (tip.x - root.x);
      return {
        x: root.y + (tip.y - root.y) * share,
        y: root.z + (tip.z - root.z) * share + diameterMm / 2,
      };
    },
  };
}

/** An edge of the spar's foot on the skin's face. */
export interface SparFoot {
  readonly name: string;
  readonly label: string;
  readonly root: Point3;
  readonly tip: Point3;
  /** Along the chord, in the section's own axes. */
  readonly atRoot: number;
  readonly atTip: number;
}

/** Where the spar's front and rear edges stand on the lower skin. */
export function sparFeet(site: PanelSite): readonly SparFoot[] {
  const count = stripsOf(site),
    own = stripMm(site);
  const { sections } = site,
    { cos } = sparRun(site);
  // A rod touches the skin along its middle.
  const feet: readonly (readonly [name: string, label: string, index: number, side: number])[] = hasRod(site)
    ? [['spar-front', 'rod', 0, 0.5]]
    : count === 0
      ? []
      : [
          ['spar-front', 'spar front', 0, 0],
          ['spar-rear', 'spar rear', count - 1, 1],
        ];
  return feet.map(([name, label, index, side]): SparFoot => {
    const strip = stripOf(site, index),
      { corners } = stripCorners(site, strip);
    // The far skin looks aft: the front of a strip is its face.
    const z = (1 - side) * own,
      offset = ((index + side) * own) / cos;
    const stood = ({ x, y }: Point): Point3 => {
      const { map } = strip;
      return {
        x: map.origin.x + map.x.x * x + map.z.x * z,
        y: map.origin.y + map.x.y * x + map.z.y * z,
        z: y,
      };
    };
    return {
      name,
      label,
      root: stood(corners[0]),
      tip: stood(corners[1]),
      atRoot: sections.root.sparFrontMm + offset,
      atTip: sections.tip.sparFrontMm + offset,
    };
  });
}
