import { type DrawnLine, type Part, findNode, IdSource, withoutLostPlaces } from '../../part/index.ts';
import { splitPath } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Splits an open line at one of its inner points into two lines; the second gets the same work. */
export function splitLine(part: Part, args: { readonly nodeId: string }): CommandResult {
  const found = findNode(part, args.nodeId);
  const line = found && part.lines.find(({ id }) => id === found.path.id);
  if (!found || !line || line.closed) return refused('Only open lines can be split: an outline would be left open.');
  if (found.index === 0 || found.index === line.nodes.length - 1)
    return refused('The line ends at that point already.');
  const ids = new IdSource(part);
  const [head, tail] = splitPath(line, found.index, ids);
  const first: DrawnLine = { ...line, ...head };
  const second: DrawnLine = { ...line, ...tail, id: ids.next('l') };
  const operations = part.operations.flatMap((operation) => {
    if (operation.on.pathId !== line.id) return [operation];
    if (!operation.on.segmentIds) return [operation, { ...operation, id: ids.next('o'), on: { pathId: second.id } }];
    const onSecond = operation.on.segmentIds.filter((id) => second.segments.some((segment) => segment.id === id));
    return onSecond.length === 0
      ? [operation]
      : [operation, { ...operation, id: ids.next('o'), on: { pathId: second.id, segmentIds: onSecond } }];
  });
  return done(
    withoutLostPlaces({
      ...part,
      lines: part.lines.flatMap((one) => (one.id === line.id ? [first, second] : [one])),
      operations,
      lastId: ids.lastId,
    }),
    'Split line',
  );
}
