import { radians } from '../units/index.ts';
import { placedThings } from './guides.ts';
import type { Plan } from './plan.ts';
import { bodyAt } from './things/body-at.ts';
import type { BodyThing, SurfaceThing } from './things/thing.ts';

/** How a wing or tail meets a body. */
export type SeatKind = 'above' | 'on top' | 'shoulder' | 'middle' | 'low' | 'underneath' | 'below';

/** The opening or seat that a surface wants in a body: its root's box at its incidence, in the side view. It follows both. */
export interface WingSeat {
  readonly body: BodyThing;
  readonly surface: SurfaceThing;
  readonly kind: SeatKind;
  /** Corners in the side view, from the upper fore one round: x aft, z up. */
  readonly corners: readonly { readonly x: number; readonly z: number }[];
  /** The middle of the root between the body's bottom, 0, and top, 1. */
  readonly heightShare: number;
  /** How much of the root's chord lies along the body, 0 to 1. */
  readonly lengthShare: number;
}

/** The body that a surface sits in: the one that it runs along most, nearest in height. */
export function seatOf(surface: SurfaceThing, bodies: readonly BodyThing[]): WingSeat | undefined {
  const found = bodies.flatMap((body) => {
    const seat = seatIn(surface, body);
    return seat ? [seat] : [];
  });
  return found.sort(
    (a, b) => b.lengthShare - a.lengthShare || Math.abs(a.heightShare - 0.5) - Math.abs(b.heightShare - 0.5),
  )[0];
}

function seatIn(surface: SurfaceThing, body: BodyThing): WingSeat | undefined {
  const chord = surface.stations[0]!.chordMm,
    first = body.at.x + body.stations[0]!.aftMm,
    last = body.at.x + body.stations.at(-1)!.aftMm;
  const overlap = Math.min(last, surface.at.x + chord) - Math.max(first, surface.at.x);
  if (!(overlap > 0) || !(chord > 0)) return undefined;
  const middle = (Math.max(first, surface.at.x) + Math.min(last, surface.at.x + chord)) / 2,
    section = bodyAt(body, middle);
  if (!section) return undefined;
  const half = surface.thicknessMm / 2,
    tilt = radians(surface.incidenceDegrees),
    // Incidence turns the chord about its leading edge, trailing edge down.
    point = (along: number, up: number): { x: number; z: number } => ({
      x: surface.at.x + along * Math.cos(tilt) + up * Math.sin(tilt),
      z: surface.at.z - along * Math.sin(tilt) + up * Math.cos(tilt),
    });
  const z = point(middle - surface.at.x, 0).z,
    height = Math.max(1e-9, section.topMm - section.bottomMm),
    heightShare = (z - section.bottomMm) / height;
  const reaches = half / height;
  const kind: SeatKind =
    heightShare > 1 + 3 * reaches
      ? 'above'
      : heightShare + reaches > 1.02
        ? 'on top'
        : heightShare > 0.68
          ? 'shoulder'
          : heightShare >= 0.32
            ? 'middle'
            : heightShare - reaches >= -0.02
              ? 'low'
              : heightShare >= -3 * reaches
                ? 'underneath'
                : 'below';
  return {
    body,
    surface,
    kind,
    corners: [point(0, half), point(chord, half), point(chord, -half), point(0, -half)],
    heightShare,
    lengthShare: overlap / chord,
  };
}

/** The seats of every wing and tail in the bodies of a plan; a wing on supports above its body has none. */
export function wingSeats(plan: Pick<Plan, 'guides' | 'things'>): readonly WingSeat[] {
  const things = placedThings(plan),
    bodies = things.filter((thing): thing is BodyThing => thing.kind === 'body');
  return things.flatMap((thing) => {
    if (thing.kind !== 'wing' && thing.kind !== 'tail') return [];
    const seat = seatOf(thing, bodies);
    return seat ? [seat] : [];
  });
}
