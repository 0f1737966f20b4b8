import {
  lineFault,
  operationDataFault,
  operationWord,
  type Operation,
  type OperationDraft,
} from '../../operations/index.ts';
import { type DrawnLine, type Part, IdSource } from '../../part/index.ts';
import { type Sizing, draftFault, pathFromDraft, type PathDraft } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Draws a line on the part together with what is done along it. */
export function drawLine(
  part: Part,
  args: { readonly draft: PathDraft; readonly operation: OperationDraft; readonly sizing?: Sizing },
): CommandResult {
  const { closed, points } = args.draft;
  const fault =
    draftFault(args.draft) ??
    operationDataFault(args.operation) ??
    lineFault(args.operation.kind, { closed, points: points.length });
  if (fault) return refused(fault);
  const ids = new IdSource(part);
  const line: DrawnLine = { ...pathFromDraft(args.draft, ids, 'l'), sizing: args.sizing ?? 'scaled' };
  const operation = { ...args.operation, id: ids.next('o'), on: { pathId: line.id } } as Operation;
  return done(
    { ...part, lines: [...part.lines, line], operations: [...part.operations, operation], lastId: ids.lastId },
    `Draw ${operationWord(operation)}`,
  );
}
