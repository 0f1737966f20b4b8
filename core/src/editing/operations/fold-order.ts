import { canFold } from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Keeps the order in which the part's folds are to be folded; none given lets the program order them. */
export function setFoldOrder(
  part: Part,
  args: { readonly operationIds: readonly string[] | undefined },
): CommandResult {
  const { foldOrder: _before, ...rest } = part;
  if (!args.operationIds) return done(rest, 'Let folds order themselves');
  const lost = args.operationIds.find(
    (id, index, all) =>
      all.indexOf(id) !== index || !part.operations.some((operation) => operation.id === id && canFold(operation.kind)),
  );
  if (lost !== undefined) return refused(`"${lost}" is no fold of ${part.name}, or stands in the order twice.`);
  return done({ ...rest, foldOrder: args.operationIds }, 'Keep the order of folds');
}
