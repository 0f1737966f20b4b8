import type { FormContext, FormFault, MadeForm } from '../form/index.ts';
import type { BodyForm } from './body-form.ts';
import { bodySite, type BodySite } from './body-site.ts';
import { bodyAdvice } from './body-advice.ts';
import { blockingFaults } from './body-faults.ts';
import { bodyFigures, type BodyFigures } from './body-figures.ts';
import { bodyWorking } from './body-working.ts';
import { stripParts } from './corner-strips.ts';
import { fittingParts } from './fittings.ts';
import { floorAndLidParts } from './floor-and-lid.ts';
import { foldedFaults, foldedParts } from './folded-walls.ts';
import { formerParts } from './formers.ts';
import { holdParts } from './hold-downs.ts';
import { doublerParts } from './layers.ts';
import { wallParts } from './walls.ts';

/** A body made, with what its parts were made from: for pictures of its lines. */
export interface MadeBody extends MadeForm<BodyFigures> {
  readonly site: BodySite | undefined;
}

/**
 * Makes a body: walls, floor, lid, formers and what is fitted in, each with its place in the airframe, and its seams.
 * @returns no parts, and faults with values that work, when the numbers make no body
 */
export function makeBody(form: BodyForm, context: FormContext): MadeBody {
  const nothing = (faults: readonly FormFault[]): MadeBody => ({
    parts: [],
    figures: undefined,
    working: [],
    faults,
    site: undefined,
  });
  const blocking = blockingFaults(form.parameters, context);
  if (blocking.length > 0) return nothing(blocking);
  const site = bodySite(form, context),
    unfolded = foldedFaults(site);
  if (unfolded.length > 0) return nothing(unfolded);
  const parts = [
    ...foldedParts(site),
    ...wallParts(site),
    ...floorAndLidParts(site),
    ...formerParts(site),
    ...doublerParts(site),
    ...stripParts(site),
    ...holdParts(site),
    ...fittingParts(site),
  ];
  const figures = bodyFigures(site, parts);
  return { parts, figures, working: bodyWorking(site, figures), faults: bodyAdvice(site), site };
}
