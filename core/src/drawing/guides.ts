import {
  add,
  arcGeometry,
  cross,
  distance,
  dot,
  leftOf,
  subtract,
  times,
  unitVector,
  type Point,
} from '../geometry/index.ts';
import { radians } from '../units/index.ts';
import { curveOf, pathsOf, type Part } from './part.ts';

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

/** Where a guide runs: without end through a place, or round a centre. */
export type GuideShape =
  | { readonly kind: 'line'; readonly through: Point; readonly direction: Point }
  | { readonly kind: 'circle'; readonly centre: Point; readonly radiusMm: number };
export interface PlacedGuide {
  readonly guide: Guide;
  readonly shape: GuideShape;
}

/** Points this near a guide lie on it, in mm. */
export const ON_GUIDE_MM = 1e-6;
/** Guides beside guides beside guides: no longer chain is followed. */
const LONGEST_CHAIN = 50;

/** Where a guide runs now, or undefined when what it stands beside is gone, is a free curve, or stands beside the guide itself. */
export function guideShape(part: Part, guide: Guide, depth = 0): GuideShape | undefined {
  switch (guide.kind) {
    case 'line':
      return {
        kind: 'line',
        through: guide.at,
        direction: { x: Math.cos(radians(guide.angleDegrees)), y: Math.sin(radians(guide.angleDegrees)) },
      };
    case 'circle':
      return { kind: 'circle', centre: guide.at, radiusMm: guide.radiusMm };
    case 'beside': {
      const base = depth < LONGEST_CHAIN ? baseShape(part, guide.of, depth) : undefined;
      return base && beside(base, guide.byMm);
    }
  }
}

function baseShape(part: Part, base: GuideBase, depth: number): GuideShape | undefined {
  if ('guideId' in base) {
    const guide = part.guides?.find(({ id }) => id === base.guideId);
    return guide && guideShape(part, guide, depth + 1);
  }
  for (const path of pathsOf(part)) {
    const index = path.segments.findIndex(({ id }) => id === base.segmentId);
    if (index < 0) continue;
    const curve = curveOf(path, index);
    if (curve.kind === 'cubic') return undefined;
    if (curve.kind === 'arc' && Math.abs(curve.bulge) > 1e-9) {
      const { centre, radius } = arcGeometry(curve);
      return { kind: 'circle', centre, radiusMm: radius };
    }
    return distance(curve.from, curve.to) < 1e-9
      ? undefined
      : { kind: 'line', through: curve.from, direction: unitVector(curve.from, curve.to) };
  }
  return undefined;
}

function beside(shape: GuideShape, byMm: number): GuideShape | undefined {
  if (shape.kind === 'line') return { ...shape, through: add(shape.through, times(leftOf(shape.direction), byMm)) };
  return shape.radiusMm + byMm > 1e-6 ? { ...shape, radiusMm: shape.radiusMm + byMm } : undefined;
}

/** Every guide of a part where it runs now; those without a place are left out. */
export function placedGuides(part: Part): readonly PlacedGuide[] {
  return (part.guides ?? []).flatMap((guide) => {
    const shape = guideShape(part, guide);
    return shape ? [{ guide, shape }] : [];
  });
}

/** The place on a guide nearest to a point; the right of a circle for its centre. */
export function nearestOnGuide(shape: GuideShape, p: Point): Point {
  if (shape.kind === 'line')
    return add(shape.through, times(shape.direction, dot(subtract(p, shape.through), shape.direction)));
  const from = distance(p, shape.centre) < 1e-9 ? { x: 1, y: 0 } : unitVector(shape.centre, p);
  return add(shape.centre, times(from, shape.radiusMm));
}
export const isOnGuide = (shape: GuideShape, p: Point): boolean => distance(nearestOnGuide(shape, p), p) <= ON_GUIDE_MM;

/** Where two guides cross: none, one, or two places. */
export function guideCrossings(a: GuideShape, b: GuideShape): readonly Point[] {
  if (a.kind === 'line' && b.kind === 'line') {
    const turn = cross(a.direction, b.direction);
    return Math.abs(turn) < 1e-9
      ? []
      : [add(a.through, times(a.direction, cross(subtract(b.through, a.through), b.direction) / turn))];
  }
  if (a.kind === 'circle' && b.kind === 'line') return guideCrossings(b, a);
  if (a.kind === 'line' && b.kind === 'circle') {
    const foot = nearestOnGuide(a, b.centre),
      off = distance(foot, b.centre);
    if (off > b.radiusMm) return [];
    const half = Math.sqrt(b.radiusMm ** 2 - off ** 2);
    return [add(foot, times(a.direction, half)), add(foot, times(a.direction, -half))];
  }
  if (a.kind === 'circle' && b.kind === 'circle') {
    const apart = distance(a.centre, b.centre);
    if (apart < 1e-9 || apart > a.radiusMm + b.radiusMm || apart < Math.abs(a.radiusMm - b.radiusMm)) return [];
    const along = (apart ** 2 + a.radiusMm ** 2 - b.radiusMm ** 2) / (2 * apart);
    const half = Math.sqrt(Math.max(0, a.radiusMm ** 2 - along ** 2)),
      way = unitVector(a.centre, b.centre);
    const foot = add(a.centre, times(way, along));
    return [add(foot, times(leftOf(way), half)), add(foot, times(leftOf(way), -half))];
  }
  return [];
}
