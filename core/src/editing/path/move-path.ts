import type { Point } from '../../geometry/index.ts';
import { findPath, type Part, pathWord } from '../../part/index.ts';
import { refused, type CommandResult } from '../command.ts';
import { moveNodes } from './move-nodes.ts';

/** Moves a whole outline, hole or line. */
export function movePath(part: Part, args: { readonly pathId: string; readonly by: Point }): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  const moved = moveNodes(part, { nodeIds: path.nodes.map((node) => node.id), by: args.by });
  return moved.ok ? { ...moved, label: `Move ${pathWord(path)}` } : moved;
}
