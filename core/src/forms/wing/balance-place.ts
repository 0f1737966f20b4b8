import type { MadeLine } from '../form/index.ts';
import { NO_GAUGES } from './gauge-parameters.ts';
import { lowerPlateAt, ontoPlate } from './onto-plate.ts';
import { layPanels } from './panel-layout.ts';
import type { PanelSite } from './panel.ts';
import { planformOf } from './planform.ts';

/** Where a wing balances, told from the root's nose. */
export interface BalancePlace {
  readonly percent: number;
  readonly aftMm: number;
  /** The same place measured out along the nose from the middle, where the nose is swept so far back. */
  readonly alongNoseMm?: number;
  /** Between the two points that it is held up by: either side of a body. */
  readonly apartMm: number;
}

/** The points stand this far out from the middle, or this share of the first panel. */
const OUT_MM = 60;
const OUT_SHARE = 0.3;

/** How far out from the middle the points of a balance stand go, in mm. */
export const balanceOut = ({ laid }: Pick<PanelSite, 'laid'>): number =>
  Math.min(OUT_MM, OUT_SHARE * laid.panel.spanMm * (laid.isMiddle ? 0.5 : 1));

/** The place of balance of a wing by itself, at its share of the mean chord. */
export function balancePlace(sites: readonly Pick<PanelSite, 'laid' | 'wing'>[]): BalancePlace {
  const { meanChordMm, meanChordNoseMm } = planformOf(sites),
    percent = (sites[0]!.wing.gauges ?? NO_GAUGES).balancePercent,
    aftMm = meanChordNoseMm + (percent / 100) * meanChordMm;
  let along = 0,
    alongNoseMm: number | undefined;
  for (const { laid } of sites) {
    const run = laid.tipNoseMm - laid.rootNoseMm,
      out = laid.panel.spanMm * (laid.isMiddle ? 0.5 : 1),
      long = Math.hypot(run, out);
    if (alongNoseMm === undefined && run > 0 && aftMm > laid.rootNoseMm && aftMm <= laid.tipNoseMm)
      alongNoseMm = along + (long * (aftMm - laid.rootNoseMm)) / run;
    along += long;
  }
  return { percent, aftMm, apartMm: 2 * balanceOut(sites[0]!), ...(alongNoseMm === undefined ? {} : { alongNoseMm }) };
}

/** Half of the length of a balance mark, in mm. */
const MARK_MM = 12;

/** Where the points of the balance stand go, on the outside of the lower skin of the first panel. */
export function balanceMarks(site: PanelSite): readonly MadeLine[] {
  const { laid, wing } = site;
  if (laid.number > 1 || !wing.gauges?.hasBalance) return [];
  const { aftMm } = balancePlace(layPanels(wing).map((one) => ({ laid: one, wing })));
  const along = aftMm - laid.rootNoseMm,
    plate = lowerPlateAt(site, along, along - (laid.tipNoseMm - laid.rootNoseMm)) ?? lowerPlateAt(site, along, along);
  if (plate === undefined) return [];
  const middle = laid.isMiddle ? laid.panel.spanMm / 2 : 0,
    out = balanceOut(site);
  return (laid.isMiddle ? [-out, out] : [out]).map((from, index): MadeLine => {
    const at = (offset: number) => ontoPlate(site, plate, { x: middle + from + offset, y: aftMm, z: 0 }, 'root');
    return {
      name: `balance-${index + 1}`,
      from: at(-MARK_MM),
      to: at(MARK_MM),
      work: { kind: 'mark', face: 'back', label: 'balance' },
    };
  });
}
