import { pathSignedArea, selfCrossings, splitCurve, type Curve, type SelfCrossing } from '../geometry/index.ts';
import {
  curveOf,
  curvesOf,
  FINE_TOLERANCE_MM,
  segmentFrom,
  type DrawnPath,
  type PathNode,
  type Segment,
} from './drawn-path.ts';
import type { PathIds } from './path-ids.ts';
import type { PathShape } from './split-path.ts';

/**
 * A closed path without the smaller of the two loops that it makes at its first crossing with itself.
 * @returns undefined when it does not cross itself
 */
export function uncrossedPath(path: DrawnPath, ids: PathIds): PathShape | undefined {
  const crossing = selfCrossings(curvesOf(path), FINE_TOLERANCE_MM, true, 1)[0];
  if (!crossing) return undefined;
  const [inner, outer] = loopsAt(path, crossing, ids);
  const area = (loop: Loop): number => Math.abs(pathSignedArea(loop.curves));
  const { nodes, segments } = area(inner) > area(outer) ? inner : outer;
  return { nodes, segments };
}

interface Loop extends PathShape {
  readonly curves: readonly Curve[];
}

/** Both closed loops that a crossing makes: from its first passage to its second, and the rest. */
function loopsAt(path: DrawnPath, crossing: SelfCrossing, ids: PathIds): readonly [Loop, Loop] {
  const count = path.segments.length;
  const { first, second } = crossing;
  const part = (curve: Curve, t: number, half: 0 | 1): Curve =>
    t <= 1e-9 ? curve : t >= 1 - 1e-9 ? curve : splitCurve(curve, t)[half];
  const build = (from: { curve: number; t: number }, to: { curve: number; t: number }): Loop => {
    const nodes: PathNode[] = [{ id: ids.next('n'), ...crossing.point }];
    const segments: Segment[] = [];
    const curves: Curve[] = [];
    const push = (curve: Curve, id: string): void => {
      segments.push(segmentFrom(curve, id));
      curves.push(curve);
    };
    const steps = (to.curve - from.curve + count) % count || (to.t > from.t ? 0 : count);
    if (from.t < 1 - 1e-9) push({ ...part(curveOf(path, from.curve), from.t, 1), from: crossing.point }, ids.next('s'));
    for (let step = 1; step <= steps; step++) {
      const index = (from.curve + step) % count;
      if (step === steps && to.t <= 1e-9) break;
      if (!(step === 1 && from.t >= 1 - 1e-9)) nodes.push(path.nodes[index]!);
      if (step === steps) push({ ...part(curveOf(path, index), to.t, 0), to: crossing.point }, ids.next('s'));
      else push(curveOf(path, index), path.segments[index]!.id);
    }
    return { nodes: nodes.slice(0, segments.length), segments, curves };
  };
  return [build(first, second), build(second, first)];
}
