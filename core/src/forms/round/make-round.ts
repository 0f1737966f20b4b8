import type { FormContext, MadeForm } from '../form/index.ts';
import { frustumParts } from './frustum-parts.ts';
import type { RoundForm } from './parameters.ts';
import { ringParts } from './ring-parts.ts';
import { roundAdvice } from './round-advice.ts';
import { roundFaults } from './round-faults.ts';
import { roundFigures, type RoundFigures } from './round-figures.ts';
import { roundSite, type RoundSite } from './round-site.ts';
import { roundWorking } from './round-working.ts';

/** A round made, with what its parts were made from: for pictures of it. */
export interface MadeRound extends MadeForm<RoundFigures> {
  readonly site: RoundSite | undefined;
}

/**
 * Makes a round: rolled sheets that meet end to end, and the rings within them, each with its place in the airframe.
 * @returns no parts, and faults with values that work, when the numbers make no round
 */
export function makeRound(form: RoundForm, context: FormContext): MadeRound {
  const faults = roundFaults(form.parameters, context);
  if (faults.length > 0) return { parts: [], figures: undefined, working: [], faults, site: undefined };
  const site = roundSite(form, context),
    parts = [...frustumParts(site), ...ringParts(site)],
    figures = roundFigures(site, parts);
  return { parts, figures, working: roundWorking(site, figures, context), faults: roundAdvice(site, figures), site };
}
