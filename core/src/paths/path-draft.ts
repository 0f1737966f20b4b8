import type { Point } from '../geometry/index.ts';
import type { DrawnPath, PathNode, Segment } from './drawn-path.ts';

/** How a path being drawn goes from one point to the next. */
export type DraftSegment =
  | { readonly kind: 'line' }
  | { readonly kind: 'arc'; readonly bulge: number }
  | { readonly kind: 'cubic'; readonly control1: Point; readonly control2: Point };

/** A path being drawn: n points with n - 1 segments, or n when closed. */
export interface PathDraft {
  readonly points: readonly Point[];
  readonly segments: readonly DraftSegment[];
  readonly closed: boolean;
}

/** The draft as a path with fresh ids. */
export function pathFromDraft(draft: PathDraft, ids: { next(prefix: string): string }, prefix: 'c' | 'l'): DrawnPath {
  const nodes = draft.points.map((p): PathNode => ({ id: ids.next('n'), x: p.x, y: p.y }));
  const segments = draft.segments.map((segment): Segment => ({ id: ids.next('s'), ...segment }));
  return { id: ids.next(prefix), closed: draft.closed, nodes, segments };
}

/** Why a draft cannot become a path, or undefined. */
export function draftFault(draft: PathDraft): string | undefined {
  const least = draft.closed && draft.segments.every((segment) => segment.kind === 'line') ? 3 : 2;
  if (draft.points.length < least)
    return `A ${draft.closed ? 'closed' : 'drawn'} path needs at least ${least} points; this one has ${draft.points.length}.`;
  const wanted = draft.closed ? draft.points.length : draft.points.length - 1;
  if (draft.segments.length !== wanted)
    return `${draft.points.length} points need ${wanted} segments, not ${draft.segments.length}.`;
  const repeated = draft.points.findIndex((p, index) => {
    const next = draft.points[index + 1] ?? (draft.closed ? draft.points[0] : undefined);
    return next !== undefined && Math.hypot(next.x - p.x, next.y - p.y) < 1e-6;
  });
  if (repeated >= 0)
    return `Points ${repeated + 1} and ${((repeated + 1) % draft.points.length) + 1} lie on each other. Leave one out.`;
  return undefined;
}
