import { centroid, distanceToEdge, flattenClosedPath, isInside, separation } from '../geometry/index.ts';
import { holesOf, outlineOf, type Part } from '../part/index.ts';
import { curvesOf } from '../paths/index.ts';
import type { Fault } from './fault.ts';
import { lengthText } from '../units/index.ts';

/** Flattening for the checks: a tenth of a knife's width. */
const TOLERANCE_MM = 0.05;

/** Holes that lie outside the outline, cut through its edge, or run into each other. */
export function holeFaults(part: Part): readonly Fault[] {
  const outline = outlineOf(part);
  if (!outline?.closed) return [];
  const ring = flattenClosedPath(curvesOf(outline), TOLERANCE_MM);
  const holes = holesOf(part)
    .filter((hole) => hole.closed)
    .map((hole) => ({ hole, ring: flattenClosedPath(curvesOf(hole), TOLERANCE_MM) }));
  return holes.flatMap(({ hole, ring: edge }, index): readonly Fault[] => {
    const outside = edge.filter((p) => !isInside(p, ring));
    const cutsThrough = outside.length < edge.length;
    const reach = outside.length > 0 ? Math.max(...outside.map((p) => distanceToEdge(p, ring))) : 0;
    const clash = holes
      .slice(0, index)
      .some((other) => separation({ outer: edge, holes: [] }, { outer: other.ring, holes: [] }, 0.01) < 0.01);
    if (outside.length === 0 && !clash) return [];
    const title =
      clash && outside.length === 0
        ? `Two holes of ${part.name} run into each other`
        : cutsThrough
          ? `A hole of ${part.name} cuts through its edge`
          : `A hole of ${part.name} lies outside it`;
    return [
      {
        code: 'HOLE_OUTSIDE',
        partId: part.id,
        targetId: hole.id,
        place: centroid(edge),
        title,
        detail:
          outside.length > 0
            ? `It reaches ${lengthText(reach)} past the outline.`
            : 'Cut one larger hole, or move one of them.',
        mend: { label: 'Move it inside', command: { name: 'bringHoleInside', args: { pathId: hole.id } } },
      },
    ];
  });
}
