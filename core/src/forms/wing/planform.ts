import type { PanelSite } from './panel.ts';

/** The shape of a wing as it is seen from above. */
export interface Planform {
  readonly areaMm2: number;
  readonly meanChordMm: number;
  /** Nose of the mean chord, aft of the root's nose. */
  readonly meanChordNoseMm: number;
}

/** Mean chord of the planform, both sides alike: 2/S ∫ c² dy over the projected span. @source as in the figures of the plan */
export function planformOf(sites: readonly Pick<PanelSite, 'laid'>[]): Planform {
  let area = 0,
    squared = 0,
    nose = 0;
  for (const { laid } of sites) {
    const long = laid.panel.spanMm * Math.cos((laid.dihedralDegrees * Math.PI) / 180) * (laid.isMiddle ? 0.5 : 1);
    const [a, b] = [laid.rootChordMm, laid.panel.tipChordMm],
      [p, q] = [laid.rootNoseMm, laid.tipNoseMm];
    area += (long * (a + b)) / 2;
    squared += (long * (a * a + a * b + b * b)) / 3;
    // ∫ nose · chord over the panel, both straight.
    nose += (long * (2 * p * a + p * b + q * a + 2 * q * b)) / 6;
  }
  return { areaMm2: 2 * area, meanChordMm: squared / area, meanChordNoseMm: nose / area };
}
