import { interpolate, subtract } from '../../geometry/index.ts';
import {
  dimensionValue,
  placedDimensions,
  type DimensionAlong,
  FURTHEST_COORDINATE_MM,
  type Part,
  findNode,
  IdSource,
} from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { moveNodes } from '../path/move-nodes.ts';
import { lengthText } from '../../units/index.ts';

/** Pins a dimension between two points. */
export function pinDimension(
  part: Part,
  args: { readonly fromNodeId: string; readonly toNodeId: string; readonly along: DimensionAlong },
): CommandResult {
  const from = findNode(part, args.fromNodeId),
    to = findNode(part, args.toNodeId);
  if (!from || !to || args.fromNodeId === args.toNodeId)
    return refused('A dimension is pinned between two points of the drawing.');
  const [a, b] = [from.path.nodes[from.index]!, to.path.nodes[to.index]!];
  if (dimensionValue(a, b, args.along) < 1e-6) return refused('Those points have no distance that way.');
  const same = part.dimensions?.some(
    ({ fromNodeId, toNodeId, along }) =>
      along === args.along && [fromNodeId, toNodeId].sort().join() === [args.fromNodeId, args.toNodeId].sort().join(),
  );
  if (same) return refused('That distance is pinned already.');
  const ids = new IdSource(part);
  const dimension = { id: ids.next('d'), ...args };
  return done({ ...part, dimensions: [...(part.dimensions ?? []), dimension], lastId: ids.lastId }, 'Pin dimension');
}

export function removeDimension(part: Part, args: { readonly dimensionId: string }): CommandResult {
  if (!part.dimensions?.some(({ id }) => id === args.dimensionId))
    return refused(`There is no dimension "${args.dimensionId}" in ${part.name}.`);
  return done({ ...part, dimensions: part.dimensions.filter(({ id }) => id !== args.dimensionId) }, 'Remove dimension');
}

/** Gives a dimension another value: its second point moves along its direction, the first stays. */
export function setDimension(
  part: Part,
  args: { readonly dimensionId: string; readonly valueMm: number },
): CommandResult {
  const found = placedDimensions(part).find(({ id }) => id === args.dimensionId);
  if (!found) return refused(`There is no dimension "${args.dimensionId}" in ${part.name}.`);
  if (!(args.valueMm > 0 && args.valueMm <= 2 * FURTHEST_COORDINATE_MM))
    return refused(`A dimension must be more than 0, got ${lengthText(args.valueMm)}.`);
  const { from, to, along, valueMm } = found;
  const wanted = interpolate(from, to, args.valueMm / valueMm);
  const target =
    along === 'straight' ? wanted : along === 'across' ? { x: wanted.x, y: to.y } : { x: to.x, y: wanted.y };
  const moved = moveNodes(part, { nodeIds: [found.toNodeId], by: subtract(target, to) });
  return moved.ok ? { ...moved, label: 'Set dimension' } : moved;
}
