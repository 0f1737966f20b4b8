import { operationWord } from '../../operations/index.ts';
import { type Part, withoutLostPlaces } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Removes an operation, and its line when nothing else runs along it. */
export function removeOperation(part: Part, args: { readonly operationId: string }): CommandResult {
  const found = part.operations.find((operation) => operation.id === args.operationId);
  if (!found) return refused(`That work is no longer on ${part.name}.`);
  const operations = part.operations.filter((operation) => operation !== found);
  const isUsed = operations.some((operation) => operation.on.pathId === found.on.pathId);
  const lines = isUsed ? part.lines : part.lines.filter((line) => line.id !== found.on.pathId);
  return done(withoutLostPlaces({ ...part, operations, lines }), `Remove ${operationWord(found)}`);
}
