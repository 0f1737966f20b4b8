import type { FormContext, MadeForm } from '../form/index.ts';
import type { TailForm } from './parameters.ts';
import { tailAdvice, tailClashes } from './tail-advice.ts';
import { tailFaults } from './tail-faults.ts';
import { tailFigures, type TailFigures } from './tail-figures.ts';
import { tailParts } from './tail-parts.ts';
import { tailSite, type TailSite } from './tail-site.ts';
import { tailWorking } from './tail-working.ts';

/** A tail made, with what its parts were made from: for pictures of it. */
export interface MadeTail extends MadeForm<TailFigures> {
  readonly site: TailSite | undefined;
}

/**
 * Makes a tail of flat plates: each has lost what others need to move through all of their travel, and stands in its place.
 * @returns no parts, and faults with values that work, when the numbers make no tail, or one whose plates run into each other
 */
export function makeTail(form: TailForm, context: FormContext): MadeTail {
  const none = (faults: MadeTail['faults']): MadeTail => ({
    parts: [],
    figures: undefined,
    working: [],
    faults,
    site: undefined,
  });
  const faults = tailFaults(form.parameters, context);
  if (faults.length > 0) return none(faults);
  const site = tailSite(form, context),
    clashes = tailClashes(site);
  if (clashes.length > 0) return none(clashes);
  const parts = tailParts(site),
    figures = tailFigures(site, parts);
  return { parts, figures, working: tailWorking(site, figures, context), faults: tailAdvice(site), site };
}
