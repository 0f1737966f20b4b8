import { add, isFinitePoint, type Point } from '../../geometry/index.ts';
import type { Contour, DrawnLine, Part } from '../../part/index.ts';
import type { Segment } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Moves nodes by one step; the handles of cubic curves go with the node they belong to. What does not move stays the same object. */
export function moveNodes(
  part: Part,
  args: { readonly nodeIds: readonly string[]; readonly by: Point },
): CommandResult {
  if (!isFinitePoint(args.by)) return refused('A move needs two finite numbers.');
  const moving = new Set(args.nodeIds);
  let known = 0;
  const shift = <P extends Contour | DrawnLine>(path: P): P => {
    const at = new Set<number>();
    path.nodes.forEach(({ id }, index) => {
      if (moving.has(id)) at.add(index);
    });
    if (at.size === 0) return path;
    known += at.size;
    const nodes = path.nodes.map((node, index) => (at.has(index) ? { ...node, ...add(node, args.by) } : node));
    const endOf = (index: number): number => (index + 1) % path.nodes.length;
    const isBent = (segment: Segment, index: number): boolean =>
      segment.kind === 'cubic' && (at.has(index) || at.has(endOf(index)));
    if (!path.segments.some(isBent)) return { ...path, nodes };
    const segments = path.segments.map((segment, index): Segment =>
      segment.kind !== 'cubic' || !isBent(segment, index)
        ? segment
        : {
            ...segment,
            control1: at.has(index) ? add(segment.control1, args.by) : segment.control1,
            control2: at.has(endOf(index)) ? add(segment.control2, args.by) : segment.control2,
          },
    );
    return { ...path, nodes, segments };
  };
  const moved = { ...part, contours: part.contours.map(shift), lines: part.lines.map(shift) };
  return known === 0
    ? refused('None of the chosen points are in this part.')
    : done(moved, known === 1 ? 'Move point' : `Move ${known} points`);
}
