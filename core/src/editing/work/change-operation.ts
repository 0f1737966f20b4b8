import { MOST_TRENCH_LAYERS } from '../../allowance/index.ts';
import { operationWord, type Operation, type OperationKind } from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Fields that say how work is done and may be left to the airframe. */
const OPTIONAL: Readonly<Partial<Record<OperationKind, readonly string[]>>> = {
  groove: ['school', 'toolDegrees', 'hingeOn'],
  slit: ['hingeOn'],
  hinge: ['hingeOn'],
  trench: ['layers'],
};

/** Changes the numbers, face or label of an operation; its kind and place stay. A way of doing it given as undefined is left to the airframe. */
export function changeOperation(
  part: Part,
  args: { readonly operationId: string; readonly changes: Readonly<Record<string, unknown>> },
): CommandResult {
  const found = part.operations.find((operation) => operation.id === args.operationId);
  if (!found) return refused(`There is no operation "${args.operationId}" in ${part.name}.`);
  for (const [field, value] of Object.entries(args.changes)) {
    if (OPTIONAL[found.kind]?.includes(field)) {
      if (field === 'toolDegrees' && value !== undefined && !(typeof value === 'number' && value >= 5 && value <= 80))
        return refused(`A bevel tool tilts by 5° to 80°, got ${String(value)}.`);
      if (
        field === 'layers' &&
        value !== undefined &&
        !(Number.isInteger(value) && (value as number) >= 1 && (value as number) <= MOST_TRENCH_LAYERS)
      )
        return refused(`A trench fits 1 to ${MOST_TRENCH_LAYERS} boards, got ${String(value)}.`);
      continue;
    }
    if (field === 'id' || field === 'on' || field === 'kind' || !(field in found))
      return refused(`A ${operationWord(found)} has no ${field} to change.`);
    if (field.endsWith('Degrees') && !(typeof value === 'number' && value > -180 && value <= 180))
      return refused(`An angle must be between -180° and 180°, got ${String(value)}.`);
    if (field.endsWith('Mm') && value !== 'auto' && !(typeof value === 'number' && value > 0 && value <= 1000))
      return refused(`A width or depth must be more than 0 and at most 1000 mm, got ${String(value)}.`);
  }
  const changed = Object.fromEntries(
    Object.entries({ ...found, ...args.changes }).filter(([, value]) => value !== undefined),
  ) as unknown as Operation;
  return done(
    { ...part, operations: part.operations.map((operation) => (operation === found ? changed : operation)) },
    `Change ${operationWord(found)}`,
  );
}
