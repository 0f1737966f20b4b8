import { add, isFinitePoint, type Point } from '../../geometry/index.ts';
import type { Contour, DrawnLine, Part, Segment } from '../part.ts';
import { done, refused, type CommandResult } from './command.ts';

/** Moves nodes by one step; the handles of cubic curves go with the node they belong to. */
export function moveNodes(part: Part, args: { readonly nodeIds: readonly string[]; readonly by: Point }): CommandResult {
  if (!isFinitePoint(args.by)) return refused('A move needs two finite numbers.');
  const moving = new Set(args.nodeIds);
  const known = [...part.contours, ...part.lines].flatMap((path) => path.nodes).filter((node) => moving.has(node.id)).length;
  if (known === 0) return refused('None of the chosen points are in this part.');
  const shift = <P extends Contour | DrawnLine>(path: P): P => {
    if (!path.nodes.some((node) => moving.has(node.id))) return path;
    const isMoving = (index: number): boolean => moving.has(path.nodes[index % path.nodes.length]!.id);
    return {
      ...path,
      nodes: path.nodes.map((node) => (moving.has(node.id) ? { ...node, ...add(node, args.by) } : node)),
      segments: path.segments.map((segment, index): Segment => {
        if (segment.kind !== 'cubic' || !(isMoving(index) || isMoving(index + 1))) return segment;
        return {
          ...segment,
          control1: isMoving(index) ? add(segment.control1, args.by) : segment.control1,
          control2: isMoving(index + 1) ? add(segment.control2, args.by) : segment.control2,
        };
      }),
    };
  };
  return done({ ...part, contours: part.contours.map(shift), lines: part.lines.map(shift) }, known === 1 ? 'Move point' : `Move ${known} points`);
}
