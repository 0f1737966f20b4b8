import type { Point } from '../../geometry/index.ts';
import type { PlanMend } from '../clearances/clearance.ts';
import type { Plan, ViewLine } from '../plan.ts';
import type { PlanAxis, PlanView } from '../plan-view.ts';
import { VIEW_AXES } from '../views.ts';
import { applyChanges, type PlanEdit } from './thing-edits.ts';

/** A move along an axis as a view shows it. */
function shiftInView(view: PlanView, axis: PlanAxis, byMm: number): Point {
  const { across, sign } = VIEW_AXES[view];
  return across === axis ? { x: sign * byMm, y: 0 } : { x: 0, y: byMm };
}

/** A drawn line with all its points and handles taken elsewhere. */
function mapped(line: ViewLine, to: (p: Point) => Point): ViewLine {
  return {
    ...line,
    nodes: line.nodes.map((node) => ({ ...node, ...to(node) })),
    segments: line.segments.map((segment) =>
      segment.kind === 'cubic'
        ? { ...segment, control1: to(segment.control1), control2: to(segment.control2) }
        : segment,
    ),
  };
}

function withShift(plan: Plan, { view, axis, byMm }: NonNullable<PlanMend['shift']>): Plan {
  const by = shiftInView(view, axis, byMm),
    to = ({ x, y }: Point): Point => ({ x: x + by.x, y: y + by.y });
  return {
    ...plan,
    lines: plan.lines.map((line) => (line.view === view ? mapped(line, to) : line)),
    underlays: plan.underlays.map((one) => (one.view === view ? { ...one, originAt: to(one.originAt) } : one)),
  };
}

function withFit(plan: Plan, { lineId, axis, from, to }: NonNullable<PlanMend['fit']>): Plan {
  const factor = (to[1] - to[0]) / (from[1] - from[0]),
    along = (value: number): number => to[0] + (value - from[0]) * factor;
  return {
    ...plan,
    lines: plan.lines.map((line) => {
      if (line.id !== lineId) return line;
      const { across, sign } = VIEW_AXES[line.view];
      return mapped(line, ({ x, y }) => (across === axis ? { x: sign * along(sign * x), y } : { x, y: along(y) }));
    }),
  };
}

/** A plan mended, with the name of the step. */
export function mendPlan(plan: Plan, mend: PlanMend): PlanEdit {
  let next = applyChanges(plan, mend.changes);
  if (mend.shift) next = withShift(next, mend.shift);
  if (mend.fit) next = withFit(next, mend.fit);
  const { guideFromDatum } = mend;
  if (guideFromDatum !== undefined)
    next = {
      ...next,
      guides: next.guides.map((guide) => (guide.id === guideFromDatum ? { ...guide, from: { kind: 'datum' } } : guide)),
    };
  return { label: mend.label, plan: next };
}
