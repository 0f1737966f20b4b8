import { directionDegrees, lineCuts, polar, type Point } from '../../geometry/index.ts';
import { findPath, outlineOf, type Part, withPath } from '../../part/index.ts';
import { FINE_TOLERANCE_MM, ringOf } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/**
 * Where the straight line of a fold meets the outline on either side of its middle.
 * @returns both places, or undefined when the line does not lie across the part
 */
export function foldReach(part: Part, pathId: string): readonly [Point, Point] | undefined {
  const line = findPath(part, pathId),
    outline = outlineOf(part);
  const from = line?.nodes[0],
    to = line?.nodes.at(-1);
  if (!outline?.closed || !from || !to) return undefined;
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const cuts = lineCuts(from, to, ringOf(outline, FINE_TOLERANCE_MM));
  const before = cuts.filter((at) => at < length / 2).at(-1),
    after = cuts.find((at) => at > length / 2);
  if (before === undefined || after === undefined) return undefined;
  const angle = directionDegrees(from, to);
  return [polar(from, before, angle), polar(from, after, angle)];
}

/** Lengthens or shortens a straight fold line so that it runs from edge to edge. */
export function extendFold(part: Part, args: { readonly pathId: string }): CommandResult {
  const reach = foldReach(part, args.pathId);
  if (!reach) return refused('That line does not lie across the outline. Move it onto the part first.');
  return done(
    withPath(part, args.pathId, (line) => ({
      ...line,
      nodes: line.nodes.map((node, index) =>
        index === 0 ? { ...node, ...reach[0] } : index === line.nodes.length - 1 ? { ...node, ...reach[1] } : node,
      ),
    })),
    'Extend fold to the edges',
  );
}
