import { operationWord, type Operation, type OperationDraft } from '../../operations/index.ts';
import { type DrawnLine, type Part, IdSource } from '../../part/index.ts';
import { type Sizing, draftFault, pathFromDraft, type PathDraft } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Draws a line on the part together with what is done along it. */
export function drawLine(
  part: Part,
  args: { readonly draft: PathDraft; readonly operation: OperationDraft; readonly sizing?: Sizing },
): CommandResult {
  const fault = draftFault(args.draft);
  if (fault) return refused(fault);
  if (args.operation.kind === 'pocket' && !args.draft.closed)
    return refused('A pocket needs a closed line: end it on its first point.');
  if (args.operation.kind === 'bevel' && (args.draft.closed || args.draft.points.length !== 2))
    return refused('A bevel runs along an edge, or on one straight line as a lip of a groove.');
  const ids = new IdSource(part);
  const line: DrawnLine = { ...pathFromDraft(args.draft, ids, 'l'), sizing: args.sizing ?? 'scaled' };
  const operation = { ...args.operation, id: ids.next('o'), on: { pathId: line.id } } as Operation;
  return done(
    { ...part, lines: [...part.lines, line], operations: [...part.operations, operation], lastId: ids.lastId },
    `Draw ${operationWord(operation)}`,
  );
}
