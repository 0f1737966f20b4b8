import type { Point } from '../../geometry/index.ts';
import { draftFault, pathFromDraft, type PathDraft } from '../../paths/index.ts';
import { CoreError } from '../../units/index.ts';
import type { Plan, ViewLine } from '../plan.ts';
import type { PlanView } from '../plan-view.ts';
import { PLAN_BOUNDS } from '../things/thing-fields.ts';
import { VIEW_WORDS } from '../views.ts';
import type { PlanEdit } from './thing-edits.ts';

/** Draws a path in a view. @throws CoreError OUT_OF_RANGE for a draft that cannot stand, or a plan that is full */
export function drawInView(plan: Plan, view: PlanView, draft: PathDraft): PlanEdit & { readonly lineId: string } {
  const fault = draftFault(draft);
  if (fault) throw new CoreError('OUT_OF_RANGE', fault);
  if (plan.lines.length >= PLAN_BOUNDS.lines)
    throw new CoreError('OUT_OF_RANGE', `A plan holds ${PLAN_BOUNDS.lines} drawn lines: take some out first.`);
  let { lastId } = plan;
  const ids = { next: (prefix: string): string => `${prefix}${++lastId}` };
  const path = pathFromDraft(draft, ids, 'l');
  const count = plan.lines.filter((line) => line.view === view).length + 1;
  const name = `${VIEW_WORDS[view]} ${draft.closed ? 'outline' : 'line'} ${count}`;
  return {
    label: `Draw ${name.toLowerCase()}`,
    plan: { ...plan, lastId, lines: [...plan.lines, { ...path, name, view }] },
    lineId: path.id,
  };
}

const changed = (plan: Plan, lineId: string, change: (line: ViewLine) => ViewLine): Plan => ({
  ...plan,
  lines: plan.lines.map((line) => (line.id === lineId ? change(line) : line)),
});

/** Moves a point of a drawn path; the handles of curves beside it go along. */
export function moveLinePoint(plan: Plan, lineId: string, nodeId: string, to: Point): PlanEdit {
  return {
    label: 'Move point',
    plan: changed(plan, lineId, (line) => {
      const index = line.nodes.findIndex(({ id }) => id === nodeId),
        from = line.nodes[index];
      if (!from) return line;
      const by = { x: to.x - from.x, y: to.y - from.y },
        shift = (p: Point): Point => ({ x: p.x + by.x, y: p.y + by.y });
      const last = line.segments.length;
      return {
        ...line,
        nodes: line.nodes.map((node) => (node.id === nodeId ? { ...node, ...to } : node)),
        segments: line.segments.map((segment, place) => {
          if (segment.kind !== 'cubic') return segment;
          const starts = place === index,
            ends = (place + 1) % (line.closed ? last : last + 1) === index;
          return {
            ...segment,
            ...(starts ? { control1: shift(segment.control1) } : {}),
            ...(ends ? { control2: shift(segment.control2) } : {}),
          };
        }),
      };
    }),
  };
}

/** Moves a whole drawn path. */
export function moveLine(plan: Plan, lineId: string, by: Point): PlanEdit {
  const shift = <P extends Point>(p: P): P => ({ ...p, x: p.x + by.x, y: p.y + by.y });
  return {
    label: 'Move line',
    plan: changed(plan, lineId, (line) => ({
      ...line,
      nodes: line.nodes.map(shift),
      segments: line.segments.map((segment) =>
        segment.kind === 'cubic'
          ? { ...segment, control1: shift(segment.control1), control2: shift(segment.control2) }
          : segment,
      ),
    })),
  };
}

export const nameLine = (plan: Plan, lineId: string, name: string): PlanEdit => ({
  label: `Name ${name}`,
  plan: changed(plan, lineId, (line) => ({ ...line, name })),
});

export function removeLine(plan: Plan, lineId: string): PlanEdit {
  const name = plan.lines.find(({ id }) => id === lineId)?.name ?? 'line';
  return {
    label: `Take out ${name.toLowerCase()}`,
    plan: { ...plan, lines: plan.lines.filter(({ id }) => id !== lineId) },
  };
}

/** Takes a point out of a drawn path; one that could no longer stand is taken out whole. */
export function removeLinePoint(plan: Plan, lineId: string, nodeId: string): PlanEdit {
  const line = plan.lines.find(({ id }) => id === lineId),
    index = line?.nodes.findIndex(({ id }) => id === nodeId) ?? -1;
  if (!line || index < 0) throw new CoreError('NOT_FOUND', 'This point is no longer there.');
  if (line.nodes.length <= (line.closed ? 3 : 2)) return removeLine(plan, lineId);
  // The run before the point goes on straight to the point behind it.
  const drops = line.closed ? index : Math.min(index, line.segments.length - 1),
    joins = line.closed ? (index + line.nodes.length - 1) % line.nodes.length : index - 1;
  return {
    label: 'Take out point',
    plan: changed(plan, lineId, (one) => ({
      ...one,
      nodes: one.nodes.filter(({ id }) => id !== nodeId),
      segments: one.segments
        .map((segment, place) =>
          place === joins && joins !== drops ? ({ id: segment.id, kind: 'line' } as const) : segment,
        )
        .filter((_, place) => place !== drops),
    })),
  };
}
