import type { Part } from '../../part/index.ts';

/** Lets operations on a split segment run over all of its pieces, told by the old segment's id. */
export function overSplits(part: Part, splits: ReadonlyMap<string, readonly string[]>): Part {
  if (splits.size === 0) return part;
  const operations = part.operations.map((operation) => {
    const wanted = operation.on.segmentIds;
    if (!wanted?.some((id) => splits.has(id))) return operation;
    return {
      ...operation,
      on: { ...operation.on, segmentIds: wanted.flatMap((id) => [id, ...(splits.get(id) ?? [])]) },
    };
  });
  return { ...part, operations };
}
