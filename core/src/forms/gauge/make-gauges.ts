import type { Part } from '../../part/index.ts';
import { partArea } from '../form/index.ts';
import { madePart, type FormContext, type FormFault, type MadeForm, type WorkingStep } from '../form/index.ts';
import { gaugeFaults, missFaults } from './gauge-faults.ts';
import type { LaidGauge } from './laid-gauge.ts';
import { laySet, type GaugeSite } from './lay-set.ts';
import type { GaugeForm, GaugeParameters } from './parameters.ts';
import { isMiss } from '../standing/index.ts';
import { gaugeWorking } from './gauge-working.ts';

/** Everything that a set of gauges tells of itself. */
export interface GaugeFigures {
  readonly gauges: readonly { readonly id: string; readonly name: string; readonly figure: string }[];
  /** Plates to cut, all told. */
  readonly plates: number;
  readonly sheetMm2: number;
}

/** A set of gauges made, with how each is held. */
export interface MadeGauges extends MadeForm<GaugeFigures> {
  readonly site: GaugeSite | undefined;
}

/** The parts of a gauge. */
const partsOf = ({ id: formId, name, parameters }: GaugeForm, { gauge, plates, notes }: LaidGauge): readonly Part[] =>
  plates.map(({ suffix, outline, lines, holes, edgeWork, quantity }) =>
    madePart({
      formId,
      role: suffix ? `${gauge.id}-${suffix.replaceAll(' ', '-')}` : gauge.id,
      name: suffix ? `${gauge.name}, ${suffix}` : gauge.name,
      group: name,
      material: parameters.material,
      handed: 'single',
      quantity: (quantity ?? 1) * gauge.quantity,
      grain: { directionDegrees: 0, rule: 'any' },
      notes,
      outline,
      ...(parameters.variant !== undefined ? { variants: [parameters.variant] } : {}),
      ...(lines ? { lines } : {}),
      ...(holes ? { holes } : {}),
      ...(edgeWork ? { edgeWork } : {}),
    }),
  );

/**
 * Makes gauges for what stands: each a flat part with what it holds printed on it.
 * @returns no parts, and faults with values that work, when the numbers make none; a gauge whose part stands nowhere is told and left out
 */
export function makeGauges(form: GaugeForm, context: FormContext): MadeGauges {
  const faults = gaugeFaults(form.parameters, context);
  if (faults.length > 0) return { parts: [], figures: undefined, working: [], faults, site: undefined };
  const site = laySet(form, context),
    laid = site.laid.flatMap((one) => (isMiss(one) ? [] : [one])),
    parts = laid.flatMap((one) => partsOf(form, one)),
    told: readonly FormFault[] = missFaults(site);
  if (parts.length === 0) return { parts, figures: undefined, working: [], faults: told, site };
  const working: readonly WorkingStep[] = gaugeWorking(site);
  return {
    parts,
    figures: {
      gauges: laid.map(({ gauge: { id, name }, figure }) => ({ id, name, figure })),
      plates: parts.reduce((sum, { quantity }) => sum + quantity, 0),
      sheetMm2: parts.reduce((sum, part) => sum + partArea(part) * part.quantity, 0),
    },
    working,
    faults: told,
    site,
  };
}

/** A set of gauges of another size: places and depths follow, arms and what is held in the hand stay. */
export const scaleGauges = (parameters: GaugeParameters, factor: number): GaugeParameters => ({
  ...parameters,
  gauges: parameters.gauges.map((gauge) => ({
    ...gauge,
    outMm: gauge.outMm * factor,
    chordMm: gauge.chordMm * factor,
    aftMm: gauge.aftMm * factor,
  })),
});

/** The sheets that gauges are cut from. */
export const gaugeMaterials = ({ material }: GaugeParameters): readonly string[] => [material];
