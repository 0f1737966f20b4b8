import { add, cross, distance, dot, leftOf, subtract, times, unitVector, type Point } from '../geometry/index.ts';
import type { PathDraft } from './path-draft.ts';

/** Rectangle from its lower left corner. */
export function rectangleDraft(corner: Point, widthMm: number, heightMm: number): PathDraft {
  const points = [
    corner,
    { x: corner.x + widthMm, y: corner.y },
    { x: corner.x + widthMm, y: corner.y + heightMm },
    { x: corner.x, y: corner.y + heightMm },
  ];
  return { points, segments: points.map(() => ({ kind: 'line' })), closed: true };
}

/** Circle as two half-turn arcs. */
export function circleDraft(centre: Point, radiusMm: number): PathDraft {
  return {
    points: [
      { x: centre.x + radiusMm, y: centre.y },
      { x: centre.x - radiusMm, y: centre.y },
    ],
    segments: [
      { kind: 'arc', bulge: 1 },
      { kind: 'arc', bulge: 1 },
    ],
    closed: true,
  };
}

/** Slot with round ends from one end's centre to the other's. */
export function roundEndedSlot(from: Point, to: Point, widthMm: number): PathDraft {
  const aside = times(leftOf(unitVector(from, to)), widthMm / 2);
  return {
    points: [subtract(from, aside), subtract(to, aside), add(to, aside), add(from, aside)],
    segments: [{ kind: 'line' }, { kind: 'arc', bulge: 1 }, { kind: 'line' }, { kind: 'arc', bulge: 1 }],
    closed: true,
  };
}

/** Bulge of the arc that leaves a point in a direction and ends at another; beyond a right angle it goes the long way round. */
export function bulgeLeaving(from: Point, direction: Point, to: Point): number {
  const chord = subtract(to, from);
  const turn = Math.atan2(cross(direction, chord), dot(direction, chord));
  return Math.abs(turn) < 1e-9 ? 0 : Math.max(-1000, Math.min(1000, Math.tan(turn / 2)));
}

/** Bulge of the smaller arc of a radius between two points, to the left of the run or the right; undefined when the radius is too small. */
export function bulgeOfRadius(from: Point, to: Point, radiusMm: number, side: 'left' | 'right'): number | undefined {
  const half = distance(from, to) / 2;
  if (!(radiusMm >= half) || half === 0) return undefined;
  return Math.tan(Math.asin(half / radiusMm) / 2) * (side === 'left' ? -1 : 1);
}

/** Closed outline of straight runs through points. */
export const polygonDraft = (points: readonly Point[]): PathDraft => ({
  points,
  segments: points.map(() => ({ kind: 'line' })),
  closed: true,
});
/** Open line of straight runs through points. */
export const polylineDraft = (points: readonly Point[]): PathDraft => ({
  points,
  segments: points.slice(1).map(() => ({ kind: 'line' })),
  closed: false,
});
