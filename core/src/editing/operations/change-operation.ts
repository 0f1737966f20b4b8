import { fieldFault, fieldOf, operationWord, type BoardFace, type Operation } from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** New values for fields of an operation; one that may be left to the airframe is given as undefined to leave it. */
export interface OperationChanges {
  readonly face?: BoardFace;
  readonly label?: string;
  readonly [field: string]: unknown;
}

const LONGEST_LABEL = 80;

/** Changes the numbers, face or label of an operation; its kind and place stay. */
export function changeOperation(
  part: Part,
  args: { readonly operationId: string; readonly changes: OperationChanges },
): CommandResult {
  const found = part.operations.find((operation) => operation.id === args.operationId);
  if (!found) return refused(`That work is no longer on ${part.name}.`);
  for (const [key, value] of Object.entries(args.changes)) {
    const fault = changeFault(found, key, value);
    if (fault) return refused(fault);
  }
  const changed = Object.fromEntries(
    Object.entries({ ...found, ...args.changes }).filter(([, value]) => value !== undefined),
  ) as unknown as Operation;
  return done(
    { ...part, operations: part.operations.map((operation) => (operation === found ? changed : operation)) },
    `Change ${operationWord(found)}`,
  );
}

function changeFault(operation: Operation, key: string, value: unknown): string | undefined {
  if (key === 'face')
    return value === 'face' || value === 'back'
      ? undefined
      : `Work is on the face or on the back, got ${String(value)}.`;
  if (key === 'label')
    return typeof value === 'string' && value.length <= LONGEST_LABEL
      ? undefined
      : `A label is a text of at most ${LONGEST_LABEL} characters.`;
  const field = fieldOf(operation.kind, key);
  return field ? fieldFault(operation.kind, field, value) : `A ${operationWord(operation)} has no ${key} to change.`;
}
