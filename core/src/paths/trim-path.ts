import { curveMeetings, cutCurve, type Curve, type Path } from '../geometry/index.ts';
import { defined } from '../units/index.ts';
import { curveOf, segmentFrom, type DrawnPath, type PathNode } from './drawn-path.ts';
import type { PathIds } from './path-ids.ts';
import type { PathShape } from './split-path.ts';

/** What is left of a trimmed path before and after the stretch that was taken out. */
export interface Trimmed {
  readonly meets: boolean;
  readonly head?: PathShape;
  readonly tail?: PathShape;
}

/**
 * Takes out of an open path the stretch round a place, as far as the next of other curves it meets on either side. The piece that is
 * left first keeps the path's ids.
 * @param t place on segment `index`, 0 to 1
 * @param others curves it is trimmed at
 */
export function trimPath(path: DrawnPath, index: number, t: number, others: Path, ids: PathIds): Trimmed {
  const cutsOf = (curve: Curve): readonly number[] =>
    others.flatMap((other) => curveMeetings(curve, other).map(({ s }) => s)).sort((a, b) => a - b);
  const own = cutsOf(curveOf(path, index));
  const before = own.filter((s) => s < t - 1e-9).at(-1),
    after = own.find((s) => s > t + 1e-9);
  const start = before !== undefined ? { index, t: before } : lastCut(path, index, cutsOf);
  const end = after !== undefined ? { index, t: after } : firstCut(path, index, cutsOf);
  const head = start && piece(path, { index: 0, t: 0 }, start, ids, true),
    tail = end && piece(path, end, { index: path.segments.length - 1, t: 1 }, ids, !head);
  return { meets: start !== undefined || end !== undefined, ...defined({ head, tail }) };
}

interface Place {
  readonly index: number;
  readonly t: number;
}

const lastCut = (line: DrawnPath, index: number, cutsOf: (curve: Curve) => readonly number[]): Place | undefined => {
  for (let at = index - 1; at >= 0; at--) {
    const t = cutsOf(curveOf(line, at)).at(-1);
    if (t !== undefined) return { index: at, t };
  }
  return undefined;
};
const firstCut = (line: DrawnPath, index: number, cutsOf: (curve: Curve) => readonly number[]): Place | undefined => {
  for (let at = index + 1; at < line.segments.length; at++) {
    const t = cutsOf(curveOf(line, at))[0];
    if (t !== undefined) return { index: at, t };
  }
  return undefined;
};

/** The stretch of an open line between two places, or undefined when it has no length. */
function piece(line: DrawnPath, from: Place, to: Place, ids: PathIds, keepsIds: boolean): PathShape | undefined {
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
