import { curveMeetings, cutCurve, type Curve } from '../../geometry/index.ts';
import { pathsOf, type DrawnLine, type Part, findSegment, IdSource, withoutLostPlaces } from '../../part/index.ts';
import { curveOf, curvesOf, type PathNode, segmentFrom } from '../../paths/index.ts';
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
  const cutsOf = (curve: Curve): readonly number[] =>
    others.flatMap((other) => curveMeetings(curve, other).map(({ s }) => s)).sort((a, b) => a - b);
  const before = cutsOf(curveOf(line, found.index))
      .filter((s) => s < args.t - 1e-9)
      .at(-1),
    after = cutsOf(curveOf(line, found.index)).find((s) => s > args.t + 1e-9);
  const start = before !== undefined ? { index: found.index, t: before } : lastCut(line, found.index, cutsOf);
  const end = after !== undefined ? { index: found.index, t: after } : firstCut(line, found.index, cutsOf);
  if (!start && !end)
    return refused('It meets no other line or edge there, so there is nothing to trim it at. Remove it instead.');
  const ids = new IdSource(part);
  const head = start && piece(line, { index: 0, t: 0 }, start, ids, true),
    tail = end && piece(line, end, { index: line.segments.length - 1, t: 1 }, ids, !head);
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

interface Place {
  readonly index: number;
  readonly t: number;
}

const lastCut = (line: DrawnLine, index: number, cutsOf: (curve: Curve) => readonly number[]): Place | undefined => {
  for (let at = index - 1; at >= 0; at--) {
    const t = cutsOf(curveOf(line, at)).at(-1);
    if (t !== undefined) return { index: at, t };
  }
  return undefined;
};
const firstCut = (line: DrawnLine, index: number, cutsOf: (curve: Curve) => readonly number[]): Place | undefined => {
  for (let at = index + 1; at < line.segments.length; at++) {
    const t = cutsOf(curveOf(line, at))[0];
    if (t !== undefined) return { index: at, t };
  }
  return undefined;
};

/** The stretch of an open line between two places, or undefined when it has no length. */
function piece(
  line: DrawnLine,
  from: Place,
  to: Place,
  ids: IdSource,
  keepsIds: boolean,
): Pick<DrawnLine, 'nodes' | 'segments'> | undefined {
  const curves = line.segments.flatMap((segment, index): readonly { readonly curve: Curve; readonly id: string }[] => {
    if (index < from.index || index > to.index) return [];
    const cuts = [...(index === from.index ? [from.t] : []), ...(index === to.index ? [to.t] : [])].filter(
      (t) => t > 1e-9 && t < 1 - 1e-9,
    );
    const parts = cutCurve(curveOf(line, index), cuts);
    const curve =
      index === from.index && from.t > 1e-9
        ? from.t >= 1 - 1e-9
          ? undefined
          : parts[1]
        : index === to.index && to.t <= 1e-9
          ? undefined
          : parts[0];
    return curve ? [{ curve, id: keepsIds ? segment.id : ids.next('s') }] : [];
  });
  if (curves.length === 0) return undefined;
  const nodeAt = (p: { readonly x: number; readonly y: number }): PathNode => {
    const same = keepsIds ? line.nodes.find((node) => Math.hypot(node.x - p.x, node.y - p.y) < 1e-9) : undefined;
    return same ?? { id: ids.next('n'), x: p.x, y: p.y };
  };
  return {
    nodes: [nodeAt(curves[0]!.curve.from), ...curves.map(({ curve }) => nodeAt(curve.to))],
    segments: curves.map(({ curve, id }) => segmentFrom(curve, id)),
  };
}
