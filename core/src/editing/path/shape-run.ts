import { directionDegrees, distance, polar, subtract } from '../../geometry/index.ts';
import { type Part, findSegment } from '../../part/index.ts';
import { refused, type CommandResult } from '../command.ts';
import { moveNodes } from './move-nodes.ts';

/** Gives a run a typed length or direction: its start stays, its end moves. */
export function shapeRun(
  part: Part,
  args: { readonly segmentId: string; readonly lengthMm?: number; readonly angleDegrees?: number },
): CommandResult {
  const found = findSegment(part, args.segmentId);
  if (!found) return refused(`There is no edge "${args.segmentId}" in ${part.name}.`);
  const { path, index } = found;
  const from = path.nodes[index]!,
    to = path.nodes[(index + 1) % path.nodes.length]!;
  const lengthMm = args.lengthMm ?? distance(from, to);
  if (!(lengthMm > 0)) return refused(`A length must be more than 0, got ${lengthMm}.`);
  const end = polar(from, lengthMm, args.angleDegrees ?? directionDegrees(from, to));
  const moved = moveNodes(part, { nodeIds: [to.id], by: subtract(end, to) });
  return moved.ok ? { ...moved, label: args.lengthMm !== undefined ? 'Set length' : 'Set direction' } : moved;
}
