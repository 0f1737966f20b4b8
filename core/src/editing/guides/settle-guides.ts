import { distance, subtract, type Point } from '../../geometry/index.ts';
import { guideShape, placedGuides, type Attachment, pathsOf, type Part } from '../../part/index.ts';
import { guideCrossings, isOnGuide, nearestOnGuide, ON_GUIDE_MM, type GuideShape } from '../../paths/index.ts';
import { moveNodes } from '../path/move-nodes.ts';

/** Points on guides beside edges that move with points: so many rounds settle, further ones are a circle of followers and stop. */
const ROUNDS = 8;

const nodesOf = (part: Part): ReadonlyMap<string, Point> =>
  new Map(pathsOf(part).flatMap(({ nodes }) => nodes.map((node) => [node.id, node] as const)));
const shapesOf = (part: Part): ReadonlyMap<string, GuideShape> =>
  new Map(placedGuides(part).map(({ guide, shape }) => [guide.id, shape]));

/**
 * Lets an edit settle on its guides: a point that the edit put on a guide is attached to it, one that it took off lets go, and the
 * points of a guide that moved go with it.
 * @param before the part that was edited
 * @param after what the edit gave
 */
export function settleGuides(before: Part, after: Part): Part {
  if (!after.guides?.length) return after.attachments?.length ? { ...after, attachments: [] } : after;
  const was = nodesOf(before),
    now = nodesOf(after),
    shapes = shapesOf(after),
    shapesBefore = shapesOf(before);
  const isMoved = (nodeId: string): boolean => {
    const [a, b] = [was.get(nodeId), now.get(nodeId)];
    return !a || !b || distance(a, b) > ON_GUIDE_MM;
  };
  const isLying = (nodeId: string, guideId: string): boolean => isOnGuide(shapes.get(guideId)!, now.get(nodeId)!);
  const kept = (after.attachments ?? []).filter(
    ({ nodeId, guideId }) => now.has(nodeId) && shapes.has(guideId) && (!isMoved(nodeId) || isLying(nodeId, guideId)),
  );
  const isKept = (nodeId: string, guideId: string): boolean =>
    kept.some((one) => one.nodeId === nodeId && one.guideId === guideId);
  // A guide that is new or was moved over points does not catch them; one that points are put on does.
  const still = [...shapes].filter(([id, shape]) => {
    const old = shapesBefore.get(id);
    return old !== undefined && isSamePlace(old, shape);
  });
  const caught = [...now.keys()]
    .filter(isMoved)
    .flatMap((nodeId) =>
      still
        .filter(([id]) => isLying(nodeId, id) && !isKept(nodeId, id))
        .map(([guideId]): Attachment => ({ nodeId, guideId })),
    );
  const attachments = [...kept, ...caught];
  if (attachments.length === 0 && !after.attachments?.length) return after;
  return followed({ ...after, attachments });
}

const isSamePlace = (a: GuideShape, b: GuideShape): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The part with every attached point back on its guide: at the crossing when it has two, else at the nearest place. */
function followed(part: Part): Part {
  let settled = part;
  for (let round = 0; round < ROUNDS; round++) {
    const nodes = nodesOf(settled);
    const moves = [...new Set(settled.attachments!.map(({ nodeId }) => nodeId))].flatMap((nodeId) => {
      const node = nodes.get(nodeId)!;
      const shapes = settled
        .attachments!.filter((one) => one.nodeId === nodeId)
        .flatMap(({ guideId }) => {
          const guide = settled.guides!.find(({ id }) => id === guideId);
          return guide ? (guideShape(settled, guide) ?? []) : [];
        });
      const target = wantedPlace(shapes, node);
      return distance(target, node) > ON_GUIDE_MM / 10 ? [{ nodeId, by: subtract(target, node) }] : [];
    });
    if (moves.length === 0) break;
    for (const { nodeId, by } of moves) {
      const result = moveNodes(settled, { nodeIds: [nodeId], by });
      if (result.ok) settled = result.part;
    }
  }
  return settled;
}

function wantedPlace(shapes: readonly GuideShape[], node: Point): Point {
  const [first, second] = shapes;
  if (!first) return node;
  const crossings = second ? guideCrossings(first, second) : [];
  return crossings.length > 0
    ? crossings.reduce((a, b) => (distance(b, node) < distance(a, node) ? b : a))
    : nearestOnGuide(first, node);
}
