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

/** A declared seam with the names of the parts that meet in it: the same where it lies within one. */
export interface NamedSeam {
  readonly from: string;
  readonly to: string;
  readonly state: SeamState;
}

/** Every declared seam of the airframe, within parts and between them. */
export function seamsNamed(airframe: Airframe): readonly NamedSeam[] {
  const parts = standingParts(airframe, partsWithSeams(airframe)),
    { pieces, ...rest } = assemble(parts, foldedBy(1));
  const names = new Map(parts.map(({ part: { id, name } }) => [id, name] as const)),
    nameOf = (piece: number): string => names.get(pieces[piece]!.partId)!;
  return [
    ...parts.flatMap(({ part: { name }, body }) => body.seams.map((state) => ({ from: name, to: name, state }))),
    ...assemblySeams(parts, { pieces, ...rest }).map((state) => ({
      from: nameOf(state.pieces[0]),
      to: nameOf(state.pieces[1]),
      state,
    })),
  ];
}
export const seamsOfAirframe = (airframe: Airframe): readonly SeamState[] =>
  seamsNamed(airframe).map(({ state }) => state);
