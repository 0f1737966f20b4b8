import { curveLength, parameterAtLength } from '../../geometry/index.ts';
import { type Part, findSegment } from '../../part/index.ts';
import { curveOf } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { insertNode } from './insert-node.ts';

/** Divides an edge into so many parts of one length, its shape unchanged. */
export function divideSegment(part: Part, args: { readonly segmentId: string; readonly count: number }): CommandResult {
  if (!(Number.isInteger(args.count) && args.count >= 2 && args.count <= 200))
    return refused(`An edge is divided into 2 to 200 parts, got ${args.count}.`);
  let divided = part,
    segmentId = args.segmentId;
  for (let left = args.count; left >= 2; left--) {
    const found = findSegment(divided, segmentId);
    if (!found) return refused(`There is no edge "${segmentId}" in ${part.name}.`);
    const curve = curveOf(found.path, found.index);
    const result = insertNode(divided, { segmentId, t: parameterAtLength(curve, curveLength(curve) / left) });
    if (!result.ok) return result;
    divided = result.part;
    segmentId = findSegment(divided, segmentId)!.path.segments[found.index + 1]!.id;
  }
  return done(divided, `Divide edge into ${args.count}`);
}
