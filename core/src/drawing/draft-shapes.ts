import { bulgeThrough, type Point } from '../geometry/index.ts';
import type { PathDraft } from './commands/index.ts';

/** Rectangle from its lower left corner. */
export function rectangleDraft(corner: Point, widthMm: number, heightMm: number): PathDraft {
  const points = [corner, { x: corner.x + widthMm, y: corner.y }, { x: corner.x + widthMm, y: corner.y + heightMm }, { x: corner.x, y: corner.y + heightMm }];
  return { points, segments: points.map(() => ({ kind: 'line' })), closed: true };
}

/** Circle as two half-turn arcs. */
export function circleDraft(centre: Point, radiusMm: number): PathDraft {
  return {
    points: [{ x: centre.x + radiusMm, y: centre.y }, { x: centre.x - radiusMm, y: centre.y }],
    segments: [{ kind: 'arc', bulge: 1 }, { kind: 'arc', bulge: 1 }], closed: true,
  };
}

/** Closed outline of straight runs through points. */
export const polygonDraft = (points: readonly Point[]): PathDraft => ({ points, segments: points.map(() => ({ kind: 'line' })), closed: true });
/** Open line of straight runs through points. */
export const polylineDraft = (points: readonly Point[]): PathDraft => ({ points, segments: points.slice(1).map(() => ({ kind: 'line' })), closed: false });
/** The bulge of an arc drawn by its two ends and a point on the way; 0 when they lie on a line. */
export const arcThrough = (from: Point, through: Point, to: Point): number => bulgeThrough(from, through, to);
