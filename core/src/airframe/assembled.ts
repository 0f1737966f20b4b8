import { assemble, assemblySeams, foldedBy, plateBody, type SeamState, type StandingPart } from '../folds/index.ts';
import type { Part } from '../part/index.ts';
import { expandPart } from '../resolve/index.ts';
import type { Airframe } from './airframe.ts';
import { partAtScale } from './forms-of-airframe.ts';
import { contextOf, partsInVariant } from './funnel.ts';

/** A part of the airframe with what it folds to, at the airframe's scale; undefined while it has no closed outline. */
export function standingPart(airframe: Airframe, drawn: Part): StandingPart | undefined {
  const { scale } = airframe.settings,
    part = partAtScale(airframe, drawn),
    context = contextOf(airframe, drawn, scale);
  const body = plateBody(part, context);
  return body && { part, whole: expandPart(part, context), body };
}

/** Parts of the airframe's variant as they can stand together. */
export const standingParts = (
  airframe: Airframe,
  parts: readonly Part[] = partsInVariant(airframe),
): readonly StandingPart[] => parts.flatMap((part) => standingPart(airframe, part) ?? []);

/** The parts that figure in seams: those that declare one, and those that stand together. */
function partsWithSeams(airframe: Airframe): readonly Part[] {
  const drawn = partsInVariant(airframe);
  const between = drawn.some(({ seams }) => seams?.some(({ toPartId }) => toPartId !== undefined));
  const met = new Set(
    drawn.flatMap(({ joints, seams }) =>
      [...(joints ?? []), ...(seams ?? [])].flatMap(({ toPartId }) => toPartId ?? []),
    ),
  );
  return drawn.filter(
    ({ id, seams, joints, place }) =>
      (seams?.length ?? 0) > 0 || (between && ((joints?.length ?? 0) > 0 || place !== undefined || met.has(id))),
  );
}

/** Every declared seam of the airframe, within parts and between them. */
export function seamsOfAirframe(airframe: Airframe): readonly SeamState[] {
  const parts = standingParts(airframe, partsWithSeams(airframe));
  return [...parts.flatMap(({ body }) => body.seams), ...assemblySeams(parts, assemble(parts, foldedBy(1)))];
}
