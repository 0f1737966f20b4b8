import { nearestOnCurve, type Point } from '../../geometry/index.ts';
import { curveOf, splitSegment } from '../../paths/index.ts';
import { CoreError } from '../../units/index.ts';
import type { Plan } from '../plan.ts';
import type { PlanEdit } from './thing-edits.ts';

/**
 * Sets one more point on a drawn line, where it is nearest to a place; the line keeps its shape.
 * @throws CoreError NOT_FOUND when the line is gone
 */
export function insertLinePoint(plan: Plan, lineId: string, at: Point): PlanEdit & { readonly nodeId: string } {
  const line = plan.lines.find(({ id }) => id === lineId);
  if (!line) throw new CoreError('NOT_FOUND', 'This line is no longer there.');
  const nearest = line.segments
    .map((_, index) => ({ index, ...nearestOnCurve(curveOf(line, index), at) }))
    .reduce((best, one) => (one.distance < best.distance ? one : best));
  // A point on a point would be two: the ends of a run are left a little way off.
  const t = Math.max(0.001, Math.min(0.999, nearest.t));
  let { lastId } = plan;
  const ids = { next: (prefix: string): string => `${prefix}${++lastId}` };
  const { nodes, segments } = splitSegment(line, nearest.index, t, ids);
  return {
    label: 'Set a point',
    nodeId: nodes[nearest.index + 1]!.id,
    plan: { ...plan, lastId, lines: plan.lines.map((one) => (one.id === lineId ? { ...one, nodes, segments } : one)) },
  };
}
