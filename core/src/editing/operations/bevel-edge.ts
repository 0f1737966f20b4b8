import type { BoardFace, Operation } from '../../operations/index.ts';
import { type Part, findSegment, IdSource } from '../../part/index.ts';
import { defined } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Bevels one edge on one side of the board by an angle, whatever bevel it has there now; 0 leaves it square. */
export function bevelEdge(
  part: Part,
  args: { readonly segmentId: string; readonly face: BoardFace; readonly bevelDegrees: number },
): CommandResult {
  const found = findSegment(part, args.segmentId);
  if (!found || !('role' in found.path)) return refused(`There is no edge "${args.segmentId}" in ${part.name}.`);
  if (!(args.bevelDegrees >= 0 && args.bevelDegrees < 90))
    return refused(`An edge is bevelled by 0° and less than 90°, got ${args.bevelDegrees}.`);
  const { path } = found;
  const isBevel = (operation: Operation): boolean => operation.kind === 'bevel' && operation.on.pathId === path.id;
  const others = part.operations.flatMap((operation): readonly Operation[] => {
    if (!isBevel(operation) || operation.face !== args.face) return [operation];
    const left = (operation.on.segmentIds ?? path.segments.map(({ id }) => id)).filter((id) => id !== args.segmentId);
    return left.length === 0 ? [] : [{ ...operation, on: { pathId: path.id, segmentIds: left } }];
  });
  if (args.bevelDegrees === 0) return done({ ...part, operations: others }, 'Leave edge square');
  const ids = new IdSource(part);
  const before = part.operations.find(
    (operation) =>
      isBevel(operation) &&
      operation.face === args.face &&
      (operation.on.segmentIds ?? [args.segmentId]).includes(args.segmentId),
  );
  // An edge that had a bevel of its own keeps that bevel's id and label.
  const own: Operation = {
    id: before && !others.some(({ id }) => id === before.id) ? before.id : ids.next('o'),
    kind: 'bevel',
    on: { pathId: path.id, segmentIds: [args.segmentId] },
    face: args.face,
    bevelDegrees: args.bevelDegrees,
    label: before?.label ?? '',
    ...defined({ variants: before?.variants }),
  };
  return done({ ...part, operations: [...others, own], lastId: ids.lastId }, 'Bevel edge');
}
