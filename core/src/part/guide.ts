import type { Point } from '../geometry/index.ts';

export const GUIDE_KINDS: readonly Guide['kind'][] = ['line', 'circle', 'beside'];
/** A line to draw to, that is neither cut nor printed. */
export type Guide =
  | {
      readonly id: string;
      readonly name: string;
      readonly kind: 'line';
      readonly at: Point;
      readonly angleDegrees: number;
    }
  | {
      readonly id: string;
      readonly name: string;
      readonly kind: 'circle';
      readonly at: Point;
      readonly radiusMm: number;
    }
  /** Beside a straight edge or an arc, or beside another guide; more than 0 lies to the left of it, or outside a circle. */
  | {
      readonly id: string;
      readonly name: string;
      readonly kind: 'beside';
      readonly of: GuideBase;
      readonly byMm: number;
    };
export type GuideBase = { readonly segmentId: string } | { readonly guideId: string };

/** A point that stays on a guide when the guide moves. */
export interface Attachment {
  readonly nodeId: string;
  readonly guideId: string;
}
