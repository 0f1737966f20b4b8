import { rolledEdge } from '../../allowance/index.ts';
import { leftOf, times, unitVector } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { CoreError, lengthText } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { arrangePaths } from '../path/arrange-paths.ts';
import { changeOperation } from './change-operation.ts';

/** Makes one straight crease a row of them that rolls the board round a radius: the others follow on its left, or on its right. */
export function rollCrease(
  part: Part,
  args: {
    readonly operationId: string;
    readonly radiusMm: number;
    readonly turnDegrees: number;
    readonly creases: number;
    readonly side: 'left' | 'right';
  },
): CommandResult {
  const operation = part.operations.find(({ id }) => id === args.operationId);
  const line = part.lines.find(({ id }) => id === operation?.on.pathId);
  if (operation?.kind !== 'crease' || line?.nodes.length !== 2 || line.segments[0]!.kind !== 'line')
    return refused('Only a straight crease can become a row of creases.');
  try {
    const { foldDegrees, pitchMm, deviationMm, creases } = rolledEdge(args.radiusMm, args.turnDegrees, args.creases);
    const folded = changeOperation(part, { operationId: operation.id, changes: { foldDegrees } });
    if (!folded.ok || creases === 1) return folded;
    const aside = times(leftOf(unitVector(line.nodes[0]!, line.nodes[1]!)), args.side === 'left' ? pitchMm : -pitchMm);
    const row = arrangePaths(folded.part, {
      pathIds: [line.id],
      motion: { kind: 'move', by: aside },
      copies: creases - 1,
    });
    return row.ok ? done(row.part, `Roll ${creases} creases, ${lengthText(deviationMm, 2)} off`) : row;
  } catch (error) {
    if (error instanceof CoreError) return refused(`${error.message[0]!.toUpperCase()}${error.message.slice(1)}.`);
    throw error;
  }
}
