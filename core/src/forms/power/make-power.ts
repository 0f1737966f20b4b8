import type { FormContext, FormFault, MadeForm, StandingBox } from '../form/index.ts';
import { boxAsItStands, dowelFaults } from './box-dowels.ts';
import type { PowerForm } from './parameters.ts';
import { powerAdvice, powerFaults } from './power-faults.ts';
import { powerFigures, type PowerFigures } from './power-figures.ts';
import { powerParts } from './power-parts.ts';
import { powerSite, type PowerSite } from './power-site.ts';
import { powerWorking } from './power-working.ts';

/** A power box made, with what its parts were made from: for pictures of it. */
export interface MadePower extends MadeForm<PowerFigures> {
  readonly site: PowerSite | undefined;
}

/**
 * Makes a power box: a strip folded to a box whose front is cut square to the shaft, and the plates that bear the motor.
 * @returns no parts, and faults with values that work, when the numbers make no box
 */
export function makePower(form: PowerForm, context: FormContext): MadePower {
  const found = soundSite(form, context);
  if ('faults' in found) return { parts: [], figures: undefined, working: [], faults: found.faults, site: undefined };
  const { site } = found,
    parts = powerParts(site),
    figures = powerFigures(site, parts);
  return { parts, figures, working: powerWorking(site, figures, context), faults: powerAdvice(site), site };
}

/** What a box is made from, or why its numbers make none. */
function soundSite(
  form: PowerForm,
  context: FormContext,
): { readonly site: PowerSite } | { readonly faults: readonly FormFault[] } {
  const faults = powerFaults(form.parameters, context);
  if (faults.length > 0) return { faults };
  const site = powerSite(form, context),
    outside = dowelFaults(site);
  return outside.length > 0 ? { faults: outside } : { site };
}

/** A power box as what it slides into sees it; undefined when its numbers make none. */
export function standingBox(form: PowerForm, context: FormContext): StandingBox | undefined {
  const found = soundSite(form, context);
  return 'site' in found ? boxAsItStands(found.site) : undefined;
}
