import type { FormContext, MadeForm } from '../form/index.ts';
import { bulkheadParts } from './bulkheads.ts';
import type { ShellForm } from './parameters.ts';
import { patchParts } from './patch-parts.ts';
import { shellAdvice } from './shell-advice.ts';
import { shellFaults } from './shell-faults.ts';
import { shellFigures, type ShellFigures } from './shell-figures.ts';
import { shellSite, type ShellSite } from './shell-site.ts';
import { shellWorking } from './shell-working.ts';

/** A shell made, with what its parts were made from: for pictures of its faces. */
export interface MadeShell extends MadeForm<ShellFigures> {
  readonly site: ShellSite | undefined;
}

/**
 * Makes a shell of plane faces: its pieces with their folds and bevels, and its bulkheads, each with its place in the airframe.
 * @returns no parts, and faults with values that work, when the numbers make no shell
 */
export function makeShell(form: ShellForm, context: FormContext): MadeShell {
  const faults = shellFaults(form.parameters, context);
  if (faults.length > 0) return { parts: [], figures: undefined, working: [], faults, site: undefined };
  const site = shellSite(form, context),
    parts = [...patchParts(site), ...bulkheadParts(site)],
    figures = shellFigures(site, parts);
  return { parts, figures, working: shellWorking(figures, context), faults: shellAdvice(site, figures), site };
}
