import { expandPart, type Part } from '../drawing/index.ts';
import { assemble, assemblySeams, foldedBy, plateBody, type SeamState, type StandingPart } from '../folds/index.ts';
import { scalePart } from '../scale/index.ts';
import type { Airframe } from './airframe.ts';
import { contextOf, partsInVariant } from './funnel.ts';

/** A part of the airframe with what it folds to, at the airframe's scale; undefined while it has no closed outline. */
export function standingPart(airframe: Airframe, drawn: Part): StandingPart | undefined {
  const { scale } = airframe.settings, part = scalePart(drawn, scale), context = contextOf(airframe, drawn, scale);
  const body = plateBody(part, context);
  return body && { part, whole: expandPart(part, context), body };
}

/** Parts of the airframe's variant as they can stand together. */
export const standingParts = (airframe: Airframe, parts: readonly Part[] = partsInVariant(airframe)): readonly StandingPart[] => parts.flatMap((part) => standingPart(airframe, part) ?? []);

/** Whether a part says where it stands or what it meets. */
const hasPlace = ({ place, joints, seams }: Part): boolean => place !== undefined || (joints?.length ?? 0) > 0 || (seams?.some(({ toPartId }) => toPartId !== undefined) ?? false);

/** Every declared seam of the airframe, within parts and between them. */
export function seamsOfAirframe(airframe: Airframe): readonly SeamState[] {
  const drawn = partsInVariant(airframe);
  const isAssembled = drawn.some(hasPlace);
  const parts = standingParts(airframe, isAssembled ? drawn : drawn.filter(({ seams }) => seams && seams.length > 0));
  const own = parts.flatMap(({ body }) => body.seams);
  return isAssembled ? [...own, ...assemblySeams(parts, assemble(parts, foldedBy(1)))] : own;
}
