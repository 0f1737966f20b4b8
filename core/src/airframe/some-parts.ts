import { defined } from '../units/index.ts';
import type { Airframe } from './airframe.ts';

/**
 * Some parts of an airframe by themselves, with the boards that they are cut from: a small file to share. What leads to parts that stay behind
 * is left out, the nest, the plan and the forms too: parts that forms made are drawn parts there.
 */
export function someParts(
  { nest: _nest, plan: _plan, forms: _forms, ...airframe }: Airframe,
  partIds: readonly string[],
): Airframe {
  const parts = airframe.parts.filter(({ id }) => partIds.includes(id)),
    materials = new Set(parts.map(({ material }) => material));
  return {
    ...airframe,
    parts: parts.map(({ joints, seams, planned: _planned, source: _source, ...part }) => ({
      ...part,
      ...defined({
        joints: joints?.filter(({ toPartId }) => partIds.includes(toPartId)),
        seams: seams?.filter(({ toPartId }) => toPartId === undefined || partIds.includes(toPartId)),
      }),
    })),
    boards: airframe.boards.filter(({ material }) => materials.has(material)),
  };
}
