import type { FormContext, MadeForm } from '../form/index.ts';
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
  const faults = powerFaults(form.parameters, context);
  if (faults.length > 0) return { parts: [], figures: undefined, working: [], faults, site: undefined };
  const site = powerSite(form, context),
    parts = powerParts(site),
    figures = powerFigures(site, parts);
  return { parts, figures, working: powerWorking(site, figures, context), faults: powerAdvice(site), site };
}
