import { isOnEdge } from '../../features/index.ts';
import { cross, distance, leftOf, subtract, times, unitVector, type Point } from '../../geometry/index.ts';
import { FURTHEST_COORDINATE_MM, pathsOf, type Part } from '../../part/index.ts';
import { defined, lengthText } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { moveNodes } from '../path/move-nodes.ts';

/** Points this near the line count as on it, in mm. */
const ON_LINE_MM = 1e-4;

/**
 * Stretches the part across a line: all that lies on the line or to its left goes further left (back to the right below 0), with its
 * features; what lies to its right stays.
 * @param args `pathIds` are lines that go along whichever side they lie on, such as the fold on the line
 */
export function stretchPart(
  part: Part,
  args: { readonly from: Point; readonly to: Point; readonly byMm: number; readonly pathIds?: readonly string[] },
): CommandResult {
  const { from, to, byMm } = args,
    length = distance(from, to);
  if (!(length > 1e-6 && Number.isFinite(length)))
    return refused('A line to stretch across needs two places apart from each other.');
  if (!(Math.abs(byMm) <= FURTHEST_COORDINATE_MM))
    return refused(`A part is stretched by up to ${lengthText(FURTHEST_COORDINATE_MM, 0)}, got ${lengthText(byMm)}.`);
  const along = unitVector(from, to),
    isBeyond = (p: Point): boolean => cross(along, subtract(p, from)) >= -ON_LINE_MM;
  const by = times(leftOf(along), byMm);
  const moving = pathsOf(part).flatMap(({ id, nodes }) =>
    (args.pathIds?.includes(id) ? nodes : nodes.filter(isBeyond)).map((node) => node.id),
  );
  const moved = moving.length === 0 ? done(part, '') : moveNodes(part, { nodeIds: moving, by });
  if (!moved.ok) return moved;
  const features = moved.part.features?.map((feature) =>
    isOnEdge(feature) || !isBeyond(feature.at)
      ? feature
      : { ...feature, at: { x: feature.at.x + by.x, y: feature.at.y + by.y } },
  );
  return done({ ...moved.part, ...defined({ features }) }, 'Set folded size');
}
