import { applyCommand, type PartCommand } from '../../editing/index.ts';
import type { Bounds, Path } from '../../geometry/index.ts';
import { operationDraft } from '../../operations/index.ts';
import { emptyPart, type Part } from '../../part/index.ts';
import { curvesOf, rectangleDraft, type PathDraft } from '../../paths/index.ts';
import { CoreError } from '../../units/index.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import type { PlanView } from '../plan-view.ts';
import { thingShapes } from '../things/thing-shapes.ts';
import { viewBounds, VIEW_WORDS } from '../views.ts';
import { wingSeats } from '../wing-seat.ts';

/** Room round a view within its frame, in mm. */
const ROOM_MM = 6;

const draftOf = (path: Path, closed: boolean): PathDraft => ({
  points: [...path.map(({ from }) => from), ...(closed ? [] : path.slice(-1).map(({ to }) => to))],
  segments: path.map((curve) =>
    curve.kind === 'line'
      ? { kind: 'line' }
      : curve.kind === 'arc'
        ? { kind: 'arc', bulge: curve.bulge }
        : { kind: 'cubic', control1: curve.control1, control2: curve.control2 },
  ),
  closed,
});

function run(part: Part, command: PartCommand): Part {
  const result = applyCommand(part, command);
  if (!result.ok) throw new CoreError('OUT_OF_RANGE', result.message);
  return result.part;
}

/** What stands on each other in a draft would not be a path. */
const isSound = ({ points, closed }: PathDraft): boolean =>
  points.every((p, index) => {
    const next = points[index + 1] ?? (closed ? points[0] : undefined);
    return !next || Math.hypot(next.x - p.x, next.y - p.y) > 1e-3;
  });

/**
 * A view of a plan as a drawing of marks within a frame, so that it is printed on pages at full size like any template.
 * @throws CoreError NOT_FOUND when the view shows nothing
 */
export function viewPart(plan: Plan, view: PlanView): Part {
  const shapes = [
    ...placedThings(plan).flatMap((thing) =>
      thingShapes(thing, view).map(({ path, isClosed }) => draftOf(path, isClosed)),
    ),
    ...plan.lines.filter((line) => line.view === view).map((line) => draftOf(curvesOf(line), line.closed)),
    ...(view === 'side'
      ? wingSeats(plan).map(({ corners }): PathDraft => ({
          points: corners.map(({ x, z }) => ({ x, y: z })),
          segments: corners.map(() => ({ kind: 'line' })),
          closed: true,
        }))
      : []),
  ].filter(isSound);
  if (shapes.length === 0)
    throw new CoreError('NOT_FOUND', `The ${view} view shows nothing yet: plan or draw something in it first.`);
  const frame = frameOf(viewBounds(plan, view));
  const name = `${VIEW_WORDS[view]} view`;
  const framed = run(emptyPart(`view-${view}`, name, 'paper'), { name: 'drawOutline', args: { draft: frame } });
  return shapes.reduce(
    (part, draft) => run(part, { name: 'drawLine', args: { draft, operation: operationDraft('mark') } }),
    framed,
  );
}

const frameOf = ({ minX, minY, maxX, maxY }: Bounds): PathDraft =>
  rectangleDraft({ x: minX - ROOM_MM, y: minY - ROOM_MM }, maxX - minX + 2 * ROOM_MM, maxY - minY + 2 * ROOM_MM);
