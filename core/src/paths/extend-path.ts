import { curveMeetings, directionDegrees, distance, polar, type Path, type Point } from '../geometry/index.ts';
import type { DrawnPath } from './drawn-path.ts';

/** The end itself is no place to extend to, mm. */
const AT_THE_TIP_MM = 1e-4;

/**
 * Where a straight end of an open path, lengthened, first meets one of other curves.
 * @param reachMm how far it may be lengthened
 * @returns undefined when it meets none
 */
export function extensionOf(
  path: DrawnPath,
  end: 'start' | 'end',
  others: Path,
  reachMm: number,
): { readonly nodeId: string; readonly at: Point } | undefined {
  const last = path.nodes.length - 1;
  const [tip, back] = end === 'start' ? [path.nodes[0]!, path.nodes[1]!] : [path.nodes[last]!, path.nodes[last - 1]!];
  const ray = {
    kind: 'line' as const,
    from: { x: tip.x, y: tip.y },
    to: polar(tip, reachMm, directionDegrees(back, tip)),
  };
  const nearest = others
    .flatMap((curve) => curveMeetings(ray, curve))
    .filter(({ point }) => distance(point, tip) > AT_THE_TIP_MM)
    .sort((a, b) => a.s - b.s)[0];
  return nearest && { nodeId: tip.id, at: nearest.point };
}
