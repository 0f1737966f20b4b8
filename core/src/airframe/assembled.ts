import { assemble, assemblySeams, foldedBy, type SeamState } from '../folds/index.ts';
import type { Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { partsInVariant, standingParts } from './made-at-scale.ts';

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
