import { subtract, type Point } from '../../geometry/index.ts';
import { type Part, findNode } from '../../part/index.ts';
import { refused, type CommandResult } from '../command.ts';
import { moveNodes } from './move-nodes.ts';

/** Puts one node at typed coordinates. */
export function placeNode(part: Part, args: { readonly nodeId: string; readonly at: Point }): CommandResult {
  const found = findNode(part, args.nodeId);
  if (!found) return refused(`There is no point "${args.nodeId}" in ${part.name}.`);
  return moveNodes(part, { nodeIds: [args.nodeId], by: subtract(args.at, found.path.nodes[found.index]!) });
}
