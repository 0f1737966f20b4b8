import type { FormContext, StandingAirframe } from '../form/index.ts';
import { angleGauge } from './angle-gauge.ts';
import type { LaidGauge } from './laid-gauge.ts';
import { balanceGauge, squareGauge, throwGauge } from './other-gauges.ts';
import type { Gauge, GaugeForm } from './parameters.ts';
import type { Miss } from '../standing/index.ts';
import { blockGauge, cradleGauge, profileGauge, tableOf } from './station-gauges.ts';

/** What gauges are laid against. */
export interface GaugeSight {
  readonly standing: StandingAirframe;
  readonly context: FormContext;
  /** How thick the sheet is that they are cut from, in mm. */
  readonly thicknessMm: number;
  readonly tableMm: number;
}

/** A set of gauges, each laid where it is held, or why it cannot be. */
export interface GaugeSite extends GaugeSight {
  readonly form: GaugeForm;
  readonly laid: readonly (LaidGauge | Miss)[];
}

const NOTHING: StandingAirframe = { parts: [], pieces: [] };

/** What gauges of a material are laid against in an airframe. */
export function gaugeSight(material: string, gauges: readonly Gauge[], context: FormContext): GaugeSight {
  const standing = context.standing?.() ?? NOTHING;
  return {
    standing,
    context,
    thicknessMm: context.boardOf(material).thicknessMm,
    tableMm: tableOf(gauges, standing),
  };
}

/** A gauge laid against what it is for. */
export function layGauge(gauge: Gauge, { standing, context, thicknessMm, tableMm }: GaugeSight): LaidGauge | Miss {
  const { unit, forms = [] } = context,
    station = { standing, unit, tableMm };
  switch (gauge.kind) {
    case 'angle':
      return angleGauge(gauge, standing);
    case 'cradle':
      return cradleGauge(gauge, station);
    case 'profile':
      return profileGauge(gauge, station);
    case 'block':
      return blockGauge(gauge, station);
    case 'throw':
      return throwGauge(gauge, forms, unit);
    case 'square':
      return squareGauge(gauge, standing, unit);
    case 'balance':
      return balanceGauge(gauge, standing, thicknessMm, unit);
  }
}

/** A whole set laid. */
export function laySet(form: GaugeForm, context: FormContext): GaugeSite {
  const { material, gauges } = form.parameters,
    sight = gaugeSight(material, gauges, context);
  return { ...sight, form, laid: gauges.map((gauge) => layGauge(gauge, sight)) };
}
