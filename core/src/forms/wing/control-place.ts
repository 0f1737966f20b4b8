import { interpolate, type Point } from '../../geometry/index.ts';
import { controlChordAt } from './control-chords.ts';
import type { PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';

/** The controls of a panel, from its root outward: those of a foam core are cut out of it when it is covered. */
export const controlsOf = ({ wing, laid }: Pick<PanelSite, 'wing' | 'laid'>): readonly WingControl[] =>
  (wing.build === 'cored' ? [] : wing.controls)
    .filter(({ panelId }) => panelId === laid.panel.id)
    .sort((a, b) => a.fromMm - b.fromMm);

/** A control that ends this near to a free tip runs out of it, in mm. */
const AT_TIP_MM = 1e-6;

/** Whether a control runs out of the free tip of its panel: no wing is left beyond it. */
export const runsOut = ({ laid, isLast }: Pick<PanelSite, 'laid' | 'isLast'>, { toMm }: WingControl): boolean =>
  isLast && !laid.isMiddle && toMm > laid.panel.spanMm - AT_TIP_MM;

/** Both ends of a control out along its panel, within its gaps: flush where it runs out of the tip. */
export const controlEnds = (
  site: Pick<PanelSite, 'laid' | 'isLast'>,
  control: WingControl,
): readonly [number, number] => [
  control.fromMm + control.gapMm,
  control.toMm - (runsOut(site, control) ? 0 : control.gapMm),
];

const between = (from: number, to: number, share: number): number => from + (to - from) * share;

/** How far aft the lower tail lies at a place out along the panel. */
export function tailAft({ skin }: Pick<PanelSite, 'skin'>, outMm: number): number {
  const { root, tip } = skin.ends[0]!;
  return between(root.y, tip.y, (outMm - root.x) / (tip.x - root.x));
}

/** How far aft the hinge of a control lies at a place out along its panel. */
export const hingeAft = (site: Pick<PanelSite, 'skin'>, control: WingControl, outMm: number): number =>
  tailAft(site, outMm) - controlChordAt(control, outMm);

/** Where a place of the wing, out and aft, lies on the flat of one of its tail plates. */
export function ontoTailPlate({ skin }: PanelSite, plate: number, outMm: number, aftMm: number): Point {
  const along = (line: number): { readonly at: Point; readonly aft: number } => {
    const { root, tip } = skin.ends[line]!,
      flat = skin.flat[line]!,
      share = (outMm - root.x) / (tip.x - root.x);
    return { at: interpolate(flat.root, flat.tip, share), aft: between(root.y, tip.y, share) };
  };
  const [a, b] = [along(plate), along(plate + 1)];
  return interpolate(a.at, b.at, (aftMm - a.aft) / (b.aft - a.aft));
}

/** Names of the stretches of a tail edge that controls leave, from the root outward: none beyond one that runs out of the tip. */
export function tailEdges(site: PanelSite, side: 'low' | 'top'): readonly string[] {
  const own = controlsOf(site),
    numbers = own.map((_, index) => index + 1),
    last = own.at(-1),
    isCut = last !== undefined && runsOut(site, last);
  return side === 'low'
    ? ['tail-low', ...(isCut ? numbers.slice(0, -1) : numbers).map((number) => `tail-low-${number}`)]
    : [...numbers.map((number) => `tail-top-${number}`), ...(isCut ? [] : ['tail-top'])];
}
