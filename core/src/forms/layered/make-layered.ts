import type { FormContext, MadeForm } from '../form/index.ts';
import { layeredParts } from './layer-parts.ts';
import { layeredAdvice, layeredFaults, partedFaults } from './layered-faults.ts';
import { layeredFigures, type LayeredFigures } from './layered-figures.ts';
import { layeredSite, type LayeredSite } from './layered-site.ts';
import { layeredWorking } from './layered-working.ts';
import type { LayeredForm, LayeredParameters } from './parameters.ts';

/** A profile body made, with what its parts were made from: for pictures of it. */
export interface MadeLayered extends MadeForm<LayeredFigures> {
  readonly site: LayeredSite | undefined;
}

/**
 * Makes a profile body: plates that lie on each other, each with its own openings, cut to the wings and tails that sit in it.
 * @returns no parts, and faults with values that work, when the numbers make no body
 */
export function makeLayered(form: LayeredForm, context: FormContext): MadeLayered {
  const none = { parts: [], figures: undefined, working: [], site: undefined };
  const faults = layeredFaults(form.parameters, context);
  if (faults.length > 0) return { ...none, faults };
  const site = layeredSite(form, context),
    parted = partedFaults(site);
  if (parted.length > 0) return { ...none, faults: parted };
  const parts = layeredParts(site),
    figures = layeredFigures(site, parts);
  return { parts, figures, working: layeredWorking(site, figures), faults: layeredAdvice(site), site };
}

/** A profile body of another size: what is put into it, dowels, packs, servos, stays as large as it is. */
export const scaleLayered = (layered: LayeredParameters, factor: number): LayeredParameters => ({
  ...layered,
  stations: layered.stations.map(({ id, aftMm, bottomMm, topMm }) => ({
    id,
    aftMm: aftMm * factor,
    bottomMm: bottomMm * factor,
    topMm: topMm * factor,
  })),
  openings: layered.openings.map((one) => ({
    ...one,
    // Its middle stays where it is in the body.
    fromMm: (one.fromMm + one.lengthMm / 2) * factor - one.lengthMm / 2,
    upMm: one.upMm * factor,
  })),
  reaches: layered.reaches.map((one) => ({ ...one, fromMm: one.fromMm * factor, toMm: one.toMm * factor })),
  slits: layered.slits.map((one) => ({ ...one, aftMm: one.aftMm * factor })),
});

/** The sheets that a profile body's parts are cut from. */
export const layeredMaterials = ({ material, nosePlate }: LayeredParameters): readonly string[] => [
  material,
  ...(nosePlate ? [nosePlate.material] : []),
];

/** The wings and tails that sit in it. */
export const layeredReads = ({ seats }: LayeredParameters): readonly string[] => seats.map(({ formId }) => formId);
