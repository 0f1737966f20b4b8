import type { Operation } from '../../operations/index.ts';
import { type DrawnLine, type Part, IdSource } from '../../part/index.ts';
import { foundLips, middleLine } from '../../resolve/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { lengthText } from '../../units/index.ts';

/** Makes one centre line with an angle of two bevel lines: its groove then follows the measured board. */
export function lipsToFold(
  part: Part,
  args: { readonly operationId: string; readonly thicknessMm: number },
): CommandResult {
  if (!(args.thicknessMm > 0 && args.thicknessMm <= 100))
    return refused(
      `A board is more than 0 and up to ${lengthText(100, 0)} thick, got ${lengthText(args.thicknessMm)}.`,
    );
  const pair = foundLips(part, args.thicknessMm).pairs.find(
    ({ first, second }) => first.operation.id === args.operationId || second.operation.id === args.operationId,
  );
  if (!pair) return refused('That is not one of two bevel lines side by side.');
  const { first, second } = pair,
    middle = middleLine(pair),
    ids = new IdSource(part);
  const line: DrawnLine = {
    ...first.line,
    id: ids.next('l'),
    nodes: middle.nodes.map(({ x, y }) => ({ id: ids.next('n'), x, y })),
    segments: [{ id: ids.next('s'), kind: 'line' }],
  };
  const groove: Operation = {
    id: first.operation.id,
    kind: 'groove',
    on: { pathId: line.id },
    face: first.operation.face,
    foldDegrees: Math.round(pair.foldDegrees * 100) / 100,
    mouthMm: 'auto',
    label: first.operation.label || second.operation.label,
  };
  const operations = [
    ...part.operations.filter(({ id }) => id !== first.operation.id && id !== second.operation.id),
    groove,
  ];
  const lines = part.lines.filter(
    ({ id }) => (id !== first.line.id && id !== second.line.id) || operations.some(({ on }) => on.pathId === id),
  );
  return done({ ...part, lines: [...lines, line], operations, lastId: ids.lastId }, 'Make one fold of two bevels');
}
