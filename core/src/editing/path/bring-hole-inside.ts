import { boundsCentre, boundsOf, distance, flattenClosedPath, roomiestPlace, subtract } from '../../geometry/index.ts';
import { findPath, holesOf, outlineOf, type Part } from '../../part/index.ts';
import { curvesOf } from '../../paths/index.ts';
import { refused, type CommandResult } from '../command.ts';
import { movePath } from './move-path.ts';
import { removePath } from './remove-path.ts';

/** Moves a hole to the roomiest place of its part, or removes it when no place is large enough. */
export function bringHoleInside(part: Part, args: { readonly pathId: string }): CommandResult {
  const hole = findPath(part, args.pathId),
    outline = outlineOf(part);
  if (!hole?.closed || !outline?.closed)
    return refused('The part needs a closed outline and the hole must be closed first.');
  const ring = flattenClosedPath(curvesOf(hole), 0.1);
  const centre = boundsCentre(boundsOf(ring));
  const reach = Math.max(...ring.map((p) => distance(p, centre)));
  const others = holesOf(part)
    .filter((one) => one.id !== hole.id && one.closed)
    .map((one) => flattenClosedPath(curvesOf(one), 0.1));
  const room = roomiestPlace(flattenClosedPath(curvesOf(outline), 0.1), others, 0.5);
  if (room.distance <= reach) return removePath(part, args);
  return movePath(part, { pathId: hole.id, by: subtract(room.place, centre) });
}
