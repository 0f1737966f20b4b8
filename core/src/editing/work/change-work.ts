import { LARGEST_CREASE_FOLD_DEGREES, LARGEST_GROOVE_FOLD_DEGREES } from '../../allowance/index.ts';
import { operationAngle, traitsOf, type Operation, type OperationKind } from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Turn of a fold toward the face: a slit opens, so it turns away from its own. */
const turnOf = (operation: Operation): number =>
  (operation.kind === 'slit' ? -1 : 1) * (operation.face === 'back' ? -1 : 1) * (operationAngle(operation) ?? 0);
const clamped = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** The numbers and the face of a kind of work that turns the board as far as it can by a wanted turn. */
function foldNumbers(kind: OperationKind, turnDegrees: number): Readonly<Record<string, unknown>> {
  const by = Math.abs(turnDegrees),
    face = turnDegrees < 0 ? 'back' : 'face';
  switch (kind) {
    case 'groove':
      return { face, foldDegrees: clamped(by, 1, LARGEST_GROOVE_FOLD_DEGREES) };
    case 'crease':
      return { face, foldDegrees: clamped(by, 1, LARGEST_CREASE_FOLD_DEGREES) };
    case 'trench':
      return { face, foldDegrees: by > 135 ? 180 : 90 };
    case 'slit':
      return { face: face === 'face' ? 'back' : 'face', foldDegrees: clamped(by, 1, 180) };
    default:
      return { face };
  }
}

/**
 * Makes another kind of work of a drawn line: a mark becomes a cut, a groove a trench. A fold keeps the way it turns, and how far as far
 * as its new style can.
 */
export function changeWork(
  part: Part,
  args: { readonly operationId: string; readonly kind: OperationKind },
): CommandResult {
  const found = part.operations.find(({ id }) => id === args.operationId),
    line = part.lines.find(({ id }) => id === found?.on.pathId);
  if (!found) return refused(`There is no operation "${args.operationId}" in ${part.name}.`);
  if (!line) return refused('Work on an edge stays what it is: remove it and draw a line instead.');
  if (args.kind === 'pocket' && !line.closed) return refused('A pocket needs a closed line.');
  if (args.kind === 'bevel' && (line.closed || line.nodes.length !== 2))
    return refused('One lip of a groove is one straight line.');
  const { id, on, label, variants } = found,
    { defaults, word } = traitsOf(args.kind);
  const turn =
    traitsOf(found.kind).folds && found.kind !== 'hinge' ? foldNumbers(args.kind, turnOf(found)) : { face: found.face };
  const hingeOn =
    'hingeOn' in found && (args.kind === 'groove' || args.kind === 'slit' || args.kind === 'hinge')
      ? { hingeOn: found.hingeOn }
      : {};
  const changed = { ...defaults, ...turn, ...hingeOn, id, on, label, ...(variants ? { variants } : {}) } as Operation;
  return done(
    { ...part, operations: part.operations.map((operation) => (operation === found ? changed : operation)) },
    `Make it a ${word}`,
  );
}
