import { type Part, findNode, IdSource, withPath } from '../../part/index.ts';
import { cornerCut, cutCorner } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/**
 * Rounds or chamfers corners between straight runs: an arc of the radius that is tangent to both, or a straight cut that starts the
 * length away on both. The corner's id stays on the first of its two new points.
 */
export function shapeCorners(
  part: Part,
  args: { readonly nodeIds: readonly string[]; readonly how: 'round' | 'chamfer'; readonly sizeMm: number },
): CommandResult {
  if (!(args.sizeMm > 0 && args.sizeMm <= 10_000))
    return refused(`A ${args.how === 'round' ? 'radius' : 'chamfer'} must be more than 0, got ${args.sizeMm}.`);
  if (args.nodeIds.length === 0) return refused('Choose the corners first.');
  let shaped = part;
  for (const nodeId of args.nodeIds) {
    const found = findNode(shaped, nodeId);
    if (!found) return refused(`There is no point "${nodeId}" in ${part.name}.`);
    const corner = cornerCut(found.path, found.index, args.how, args.sizeMm);
    if (typeof corner === 'string') return refused(corner);
    const ids = new IdSource(shaped);
    const shape = cutCorner(found.path, corner, ids);
    shaped = { ...withPath(shaped, found.path.id, (path) => ({ ...path, ...shape })), lastId: ids.lastId };
  }
  const count = args.nodeIds.length;
  return done(shaped, `${args.how === 'round' ? 'Round' : 'Chamfer'} ${count === 1 ? 'corner' : `${count} corners`}`);
}
