import { arcGeometry, distance, unitVector } from '../geometry/index.ts';
import { shapeBeside, type GuideShape, curveOf } from '../paths/index.ts';
import { radians } from '../units/index.ts';
import type { Guide, GuideBase } from './guide.ts';
import { pathsOf, type Part } from './part.ts';

export interface PlacedGuide {
  readonly guide: Guide;
  readonly shape: GuideShape;
}

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
      return base && shapeBeside(base, guide.byMm);
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

/** Every guide of a part where it runs now; those without a place are left out. */
export function placedGuides(part: Part): readonly PlacedGuide[] {
  return (part.guides ?? []).flatMap((guide) => {
    const shape = guideShape(part, guide);
    return shape ? [{ guide, shape }] : [];
  });
}
