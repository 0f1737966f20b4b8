import type { Fault } from '../checks/index.ts';
import { boundsHeight, boundsWidth, distance, type Point } from '../geometry/index.ts';
import { holesOf, outlineOf, type Part } from '../part/index.ts';
import { resolve, type ResolvedPart } from '../resolve/index.ts';
import { memo } from '../units/index.ts';
import type { Airframe } from './airframe.ts';

/** Outlines this alike are one shape, in mm. */
const SAME_MM = 0.05;

/** Shapes are compared as drawn, on one board: only their likeness matters. */
const PLAIN = { thicknessMm: 5, gramsPerSquareMetre: 500, plateThicknesses: {} } as const;

/**
 * Parts that are drawn a second time beside a pair: the pair's drawing gives port and starboard already. By part id; remembered by the
 * list of parts.
 */
export const twiceDrawn = memo((parts: Airframe['parts']): ReadonlyMap<string, readonly Fault[]> => {
  const pairs = parts.filter(({ handed }) => handed === 'pair');
  return new Map(
    pairs.length === 0
      ? []
      : parts.flatMap((part, index): readonly (readonly [string, readonly Fault[]])[] => {
          const pair = pairs.find(
            (one) =>
              one !== part &&
              one.material === part.material &&
              // Forms make as many alike as they need, each in its own place: both wings of a biplane.
              (one.source === undefined || part.source === undefined) &&
              isLike(one, part) &&
              (part.handed === 'single' || parts.indexOf(one) < index) &&
              isSameShape(resolve(one, PLAIN), resolve(part, PLAIN)),
          );
          return pair ? [[part.id, [faultOf(part, pair)]]] : [];
        }),
  );
});

/** Whether two drawings have as many edges and holes: others need no closer look. */
const isLike = (a: Part, b: Part): boolean =>
  outlineOf(a)?.segments.length === outlineOf(b)?.segments.length && holesOf(a).length === holesOf(b).length;

const faultOf = (part: Part, pair: Part): Fault => ({
  code: 'PAIR_TWICE',
  partId: part.id,
  title: `${part.name} is drawn twice`,
  detail: `${pair.name} is made as a pair, port and starboard; this is the same shape and would be cut besides.`,
  mend: { label: `Remove ${part.name}`, action: { name: 'removePart', partId: part.id } },
});

/** Whether two outlines are one shape or each other's mirror image, in the place they were drawn or moved. */
function isSameShape(a: ResolvedPart, b: ResolvedPart): boolean {
  if (!a.outline || !b.outline || a.outline.length !== b.outline.length || a.holes.length !== b.holes.length)
    return false;
  if (
    Math.abs(a.areaMm2 - b.areaMm2) > SAME_MM * a.outlineLengthMm ||
    Math.abs(boundsWidth(a.bounds) - boundsWidth(b.bounds)) > SAME_MM ||
    Math.abs(boundsHeight(a.bounds) - boundsHeight(b.bounds)) > SAME_MM
  )
    return false;
  const corners = (part: ResolvedPart, isTurned: boolean): readonly Point[] =>
    part.outline!.map(({ from }) => ({
      x: isTurned ? part.bounds.maxX - from.x : from.x - part.bounds.minX,
      y: from.y - part.bounds.minY,
    }));
  const own = corners(a, false);
  return [false, true].some((isTurned) => {
    const others = corners(b, isTurned);
    return own.every((p) => others.some((q) => distance(p, q) <= SAME_MM));
  });
}
