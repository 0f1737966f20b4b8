import {
  lineFault,
  operationAngle,
  traitsOf,
  turnOf,
  workOfTurn,
  type Operation,
  type OperationKind,
} from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import { defined } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** A fold that is made another kind turns by at least this, in degrees. */
const LEAST_TURN_DEGREES = 1;

/** The turn of a fold toward the part's face, never so little that nothing would be left of it. */
function keptTurn(operation: Operation): number {
  const turn = turnOf({ ...operation, angleDegrees: operationAngle(operation) });
  return (turn < 0 ? -1 : 1) * Math.max(LEAST_TURN_DEGREES, Math.abs(turn));
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
  if (!found) return refused(`That work is no longer on ${part.name}.`);
  if (!line) return refused('Work on an edge stays what it is: remove it and draw a line instead.');
  const unfit = lineFault(args.kind, { closed: line.closed, points: line.nodes.length });
  if (unfit) return refused(unfit);
  const { id, on, label, variants } = found,
    { defaults, word, fields } = traitsOf(args.kind);
  const isTurned = (traitsOf(found.kind).fold?.sign ?? 0) !== 0;
  const turn = isTurned ? workOfTurn(args.kind, keptTurn(found)) : { face: found.face };
  const keepsHold = 'hingeOn' in found && fields.some(({ key }) => key === 'hingeOn');
  const hingeOn = keepsHold ? { hingeOn: found.hingeOn } : {};
  const changed = { ...defaults, ...turn, ...hingeOn, id, on, label, ...defined({ variants }) } as Operation;
  return done(
    { ...part, operations: part.operations.map((operation) => (operation === found ? changed : operation)) },
    `Make it a ${word}`,
  );
}
