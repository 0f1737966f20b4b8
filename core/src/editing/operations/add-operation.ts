import {
  lineFault,
  operationDataFault,
  operationWord,
  type Operation,
  type OperationPlace,
  type OperationDraft,
} from '../../operations/index.ts';
import { findPath, type Part, IdSource } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Adds an operation along a path that exists: a bevel on edges, a second operation on a line. */
export function addOperation(
  part: Part,
  args: { readonly on: OperationPlace; readonly operation: OperationDraft },
): CommandResult {
  const path = findPath(part, args.on.pathId);
  if (!path) return refused(`There is no line "${args.on.pathId}" in ${part.name}.`);
  const fault =
    operationDataFault(args.operation) ??
    ('role' in path ? undefined : lineFault(args.operation.kind, { closed: path.closed, points: path.nodes.length }));
  if (fault) return refused(fault);
  const taken = part.operations.find(
    (operation) =>
      operation.kind === args.operation.kind &&
      operation.on.pathId === args.on.pathId &&
      operation.face === args.operation.face &&
      (operation.on.segmentIds ?? path.segments.map((s) => s.id)).some((id) =>
        (args.on.segmentIds ?? path.segments.map((s) => s.id)).includes(id),
      ),
  );
  if (taken) return refused(`That edge has a ${operationWord(taken)} on this face already: change that one.`);
  const ids = new IdSource(part);
  const operation = { ...args.operation, id: ids.next('o'), on: args.on } as Operation;
  return done(
    { ...part, operations: [...part.operations, operation], lastId: ids.lastId },
    `Add ${operationWord(operation)}`,
  );
}
