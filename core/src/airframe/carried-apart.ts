import { assemble, foldedBy } from '../folds/index.ts';
import { isWing } from '../forms/index.ts';
import { applyRigid, boundsHeight, boundsWidth, point3 } from '../geometry/index.ts';
import type { Airframe } from './airframe.ts';
import { flyingPieces } from './funnel.ts';
import { standingParts } from './made-at-scale.ts';

/** Three sizes in mm, the longest first. */
export type BoxSizes = readonly [number, number, number];

/** Something that an airframe is carried as: a wing comes off, the rest stays together. */
export interface CarriedPiece {
  readonly name: string;
  readonly sizes: BoxSizes;
}

/** Three sizes, the longest first. */
export const inOrder = (sizes: readonly number[]): BoxSizes => {
  const [a = 0, b = 0, c = 0] = [...sizes].sort((p, q) => q - p);
  return [a, b, c];
};

/**
 * What an airframe comes apart into for the way to the field: each wing that a form makes, and all else that stands together. Parts that
 * stand nowhere are carried flat, each by itself. Takes a fold of every part.
 */
export function carriedApart(airframe: Airframe): readonly CarriedPiece[] {
  const wings = new Map((airframe.forms ?? []).filter(isWing).map(({ id, name }) => [id, name] as const)),
    drawn = new Map(airframe.parts.map((part) => [part.id, part] as const)),
    flying = flyingPieces(airframe);
  const standing = standingParts(
    airframe,
    airframe.parts.filter(({ id }) => flying.some(({ part }) => part.id === id)),
  );
  // Two wings may bear one name: they are told apart by their form.
  const ends = new Map<string, { low: number[]; high: number[] }>();
  const { pieces } = assemble(standing, foldedBy(1));
  for (const { partId, body, maps } of pieces) {
    const formId = drawn.get(partId)?.source?.formId ?? '',
      key = wings.has(formId) ? formId : '';
    const { low, high } = ends.get(key) ?? {
      low: [Infinity, Infinity, Infinity],
      high: [-Infinity, -Infinity, -Infinity],
    };
    for (const { plate, bottom, thicknessMm } of body.solids)
      for (const { x, y } of bottom)
        for (const z of [0, thicknessMm]) {
          const at = applyRigid(maps[plate.index]!, point3(x, y, z));
          [at.x, at.y, at.z].forEach((value, axis) => {
            low[axis] = Math.min(low[axis]!, value);
            high[axis] = Math.max(high[axis]!, value);
          });
        }
    ends.set(key, { low, high });
  }
  const stood = new Set(pieces.map(({ partId }) => partId));
  const loose = flying
    .filter(({ part }) => !stood.has(part.id))
    .map(({ part }) => ({
      name: part.name,
      sizes: inOrder([boundsWidth(part.bounds), boundsHeight(part.bounds), part.thicknessMm]),
    }));
  return [
    ...[...ends].map(([key, { low, high }]) => ({
      name: wings.get(key) ?? 'The rest',
      sizes: inOrder(high.map((end, axis) => end - low[axis]!)),
    })),
    ...loose,
  ];
}
