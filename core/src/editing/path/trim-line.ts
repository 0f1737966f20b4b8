import { pathsOf, type DrawnLine, type Part, findSegment, IdSource, withoutLostPlaces } from '../../part/index.ts';
import { curvesOf, trimPath } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/**
 * Takes out of an open line the stretch round a place, as far as the next lines or edges it meets on either side. What is left keeps
 * the line's work; when the middle goes, two lines are left.
 * @param t place on the segment, 0 to 1
 */
export function trimLine(part: Part, args: { readonly segmentId: string; readonly t: number }): CommandResult {
  const found = findSegment(part, args.segmentId);
  const line = found && part.lines.find(({ id }) => id === found.path.id);
  if (!found || !line) return refused('Only lines on the part can be trimmed: an outline would be left open.');
  if (line.closed) return refused('Only open lines can be trimmed.');
  const others = pathsOf(part)
    .filter(({ id }) => id !== line.id)
    .flatMap(curvesOf);
  const ids = new IdSource(part);
  const { meets, head, tail } = trimPath(line, found.index, args.t, others, ids);
  if (!meets)
    return refused('It meets no other line or edge there, so there is nothing to trim it at. Remove it instead.');
  const kept = [head, tail].filter((one) => one !== undefined);
  if (kept.length === 0) return refused('Nothing of the line would be left. Remove it instead.');
  const [first, second] = kept;
  const secondId = ids.next('l');
  const lines = part.lines.flatMap((one): readonly DrawnLine[] =>
    one === line ? [{ ...one, ...first! }, ...(second ? [{ ...one, ...second, id: secondId }] : [])] : [one],
  );
  const copies = second
    ? part.operations
        .filter(({ on }) => on.pathId === line.id && !on.segmentIds)
        .map((operation) => ({ ...operation, id: ids.next('o'), on: { pathId: secondId } }))
    : [];
  return done(
    withoutLostPlaces({ ...part, lines, operations: [...part.operations, ...copies], lastId: ids.lastId }),
    'Trim line',
  );
}
