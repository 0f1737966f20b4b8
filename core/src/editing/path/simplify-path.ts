import { findPath, type Part, IdSource, pathWord, withPath } from '../../part/index.ts';
import { simplifiedPath, type DrawnPath } from '../../paths/index.ts';
import { defined, lengthText } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

const COARSEST_MM = 10;

/**
 * Draws a path with fewer, smoother runs: between corners, chains of runs become a straight run, an arc or cubics no further from them
 * than a tolerance. Work stays on the stretch it was on; edges that bear a feature or a guide stay as they are.
 */
export function simplifyPath(
  part: Part,
  args: { readonly pathId: string; readonly toleranceMm: number },
): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  if (!(args.toleranceMm > 0 && args.toleranceMm <= COARSEST_MM))
    return refused(
      `A tolerance is more than 0 and up to ${lengthText(COARSEST_MM)}, got ${lengthText(args.toleranceMm)}.`,
    );
  const ids = new IdSource(part);
  const { nodes, segments, replaced } = simplifiedPath(path, args.toleranceMm, breaksOf(part, path), ids);
  if (segments.length >= path.segments.length)
    return refused(`No ${pathWord(path)} with fewer points lies within ${lengthText(args.toleranceMm, 2)}.`);
  const operations = part.operations.map((operation) =>
    operation.on.pathId === path.id && operation.on.segmentIds
      ? {
          ...operation,
          on: { ...operation.on, segmentIds: operation.on.segmentIds.flatMap((id) => replaced.get(id) ?? [id]) },
        }
      : operation,
  );
  const gone = new Set(path.nodes.filter(({ id }) => !nodes.some((node) => node.id === id)).map(({ id }) => id));
  const dimensions = part.dimensions?.filter(
    ({ fromNodeId, toNodeId }) => !gone.has(fromNodeId) && !gone.has(toNodeId),
  );
  const attachments = part.attachments?.filter(({ nodeId }) => !gone.has(nodeId));
  const simple = withPath({ ...part, operations, ...defined({ dimensions, attachments }) }, path.id, (one) => ({
    ...one,
    nodes,
    segments,
  }));
  return done(
    { ...simple, lastId: ids.lastId },
    `Simplify ${pathWord(path)}: ${path.segments.length} runs to ${segments.length}`,
  );
}

/** Work ends between two segments, or a feature or guide holds to one of them. */
function breaksOf(part: Part, path: DrawnPath): (before: number, after: number) => boolean {
  const workOn = path.segments.map(({ id }) =>
    part.operations
      .filter(({ on }) => on.segmentIds?.includes(id))
      .map((operation) => operation.id)
      .join(),
  );
  const isHeld = path.segments.map(
    ({ id }) =>
      part.features?.some((feature) => 'on' in feature && feature.on.segmentId === id) ||
      part.guides?.some((guide) => guide.kind === 'beside' && 'segmentId' in guide.of && guide.of.segmentId === id),
  );
  return (before, after) => Boolean(isHeld[before] || isHeld[after]) || workOn[before] !== workOn[after];
}
