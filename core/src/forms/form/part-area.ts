import { pathSignedArea } from '../../geometry/index.ts';
import { holesOf, outlineOf, piecesOf, type Part } from '../../part/index.ts';
import { curvesOf } from '../../paths/index.ts';
import type { FormContext } from './form.ts';

/** Area of one piece of a part, without its holes, arcs and all, in mm². */
export const partArea = (part: Part): number => {
  const outline = outlineOf(part);
  return outline
    ? Math.abs(pathSignedArea(curvesOf(outline))) -
        holesOf(part).reduce((sum, hole) => sum + Math.abs(pathSignedArea(curvesOf(hole))), 0)
    : 0;
};

/** Area of all pieces of those parts that are cut from a material, in mm². */
export const areaFrom = (parts: readonly Part[], material: string): number =>
  parts.reduce((sum, part) => sum + (part.material === material ? partArea(part) * piecesOf(part) : 0), 0);

/** Mass of all pieces of a part, in g. */
export const partMass = (part: Part, { boardOf }: Pick<FormContext, 'boardOf'>): number =>
  (partArea(part) * piecesOf(part) * boardOf(part.material).gramsPerSquareMetre) / 1e6;
