import {
  boundsOf,
  boxIndex,
  centroid,
  edgeDistanceOf,
  flattenClosedPath,
  growBounds,
  insideOf,
  separation,
} from '../geometry/index.ts';
import { holesOf, outlineOf, type Part } from '../part/index.ts';
import { curvesOf } from '../paths/index.ts';
import type { Fault } from './fault.ts';
import { lengthText } from '../units/index.ts';

/** Flattening for the checks: a tenth of a knife's width. */
const TOLERANCE_MM = 0.05;
/** Holes nearer than this run into each other, in mm. */
const TOUCHING_MM = 0.01;

/** Holes that lie outside the outline, cut through its edge, or run into each other. */
export function holeFaults(part: Part): readonly Fault[] {
  const outline = outlineOf(part);
  if (!outline?.closed) return [];
  const ring = flattenClosedPath(curvesOf(outline), TOLERANCE_MM);
  const holes = holesOf(part)
    .filter((hole) => hole.closed)
    .map((hole) => ({ hole, ring: flattenClosedPath(curvesOf(hole), TOLERANCE_MM) }));
  const isWithin = insideOf(ring),
    fromEdge = edgeDistanceOf([ring]),
    boxes = holes.map(({ ring: edge }) => boundsOf(edge)),
    others = boxIndex(boxes);
  return holes.flatMap(({ hole, ring: edge }, index): readonly Fault[] => {
    const outside = edge.filter((p) => !isWithin(p));
    const cutsThrough = outside.length < edge.length;
    const reach = outside.length > 0 ? Math.max(...outside.map(fromEdge)) : 0;
    const clash = others
      .touching(growBounds(boxes[index]!, TOUCHING_MM))
      .some(
        (at) =>
          at < index &&
          separation({ outer: edge, holes: [] }, { outer: holes[at]!.ring, holes: [] }, TOUCHING_MM) < TOUCHING_MM,
      );
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
