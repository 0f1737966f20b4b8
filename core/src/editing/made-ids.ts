import type { Part } from '../part/index.ts';

/** Ids of what an edit made, in the order of the drawing. What only changed, or was split, is not new. */
export interface MadeIds {
  readonly paths: readonly string[];
  readonly operations: readonly string[];
  readonly features: readonly string[];
  readonly guides: readonly string[];
  readonly dimensions: readonly string[];
  readonly seams: readonly string[];
  readonly joints: readonly string[];
  readonly pathGroups: readonly string[];
}

type Identified = readonly { readonly id: string }[];

function fresh(before: Identified = [], after: Identified = []): readonly string[] {
  if (before === after) return [];
  const known = new Set(before.map(({ id }) => id));
  return after.flatMap(({ id }) => (known.has(id) ? [] : [id]));
}

/** What a part has that it did not have before. */
export const madeIds = (before: Part, after: Part): MadeIds => ({
  paths: [...fresh(before.contours, after.contours), ...fresh(before.lines, after.lines)],
  operations: fresh(before.operations, after.operations),
  features: fresh(before.features, after.features),
  guides: fresh(before.guides, after.guides),
  dimensions: fresh(before.dimensions, after.dimensions),
  seams: fresh(before.seams, after.seams),
  joints: fresh(before.joints, after.joints),
  pathGroups: fresh(before.pathGroups, after.pathGroups),
});
