import { type Part, findNode } from '../../part/index.ts';
import { refused, type CommandResult } from '../command.ts';
import { placeNode } from './place-node.ts';

/** Brings one point onto another. Named by the points alone, so that it means the same at every scale. */
export function meetNode(part: Part, args: { readonly nodeId: string; readonly atNodeId: string }): CommandResult {
  const target = findNode(part, args.atNodeId);
  if (!target) return refused(`There is no point "${args.atNodeId}" in ${part.name}.`);
  const { x, y } = target.path.nodes[target.index]!;
  const placed = placeNode(part, { nodeId: args.nodeId, at: { x, y } });
  return placed.ok ? { ...placed, label: 'Bring points together' } : placed;
}
