import {
  add3,
  cross3,
  distance3,
  dot3,
  interpolate3,
  length3,
  subtract3,
  times3,
  unit3,
  type Point3,
} from '../geometry/index.ts';
import { degrees } from '../units/index.ts';
import type { FoldedFace } from './folded-faces.ts';
import type { Line3 } from './seam-edges.ts';

/** A click on the model: the line of sight through it, and where that first meets the model. */
export interface Sight {
  readonly from: Point3;
  /** Of length 1, away from the eye. */ readonly direction: Point3;
  readonly hit?: Point3;
}
/** A place to measure from: a corner, a place on an edge, or one on a flat face. */
export interface MeasuredPlace {
  readonly at: Point3;
  readonly on: 'corner' | 'edge' | 'face';
  /** The edge that it lies on. */ readonly line?: Line3;
  /** Square to the face that it lies on, of length 1. */ readonly normal?: Point3;
}

/** What lies this much further from the eye than the model's surface is hidden by it, in mm. */
const HIDDEN_MM = 0.5;

/**
 * The place that a click means: the corner nearest to the line of sight within reach, else the nearest edge, else the face that was hit.
 * @param reachMm how far from the line of sight counts: a few pixels
 * @returns undefined when the click missed the model by more than that
 */
export function placeInSight(faces: readonly FoldedFace[], sight: Sight, reachMm: number): MeasuredPlace | undefined {
  const depthOf = (p: Point3): number => dot3(subtract3(p, sight.from), sight.direction);
  const furthest = sight.hit ? depthOf(sight.hit) + reachMm + HIDDEN_MM : Infinity;
  const offSight = (p: Point3): number => distance3(p, add3(sight.from, times3(sight.direction, depthOf(p))));
  const isSeen = (p: Point3): boolean => depthOf(p) <= furthest;
  const edges = faces.flatMap(({ rings }) =>
    rings.flatMap((ring) => ring.map((p, index): Line3 => [p, ring[(index + 1) % ring.length]!])),
  );
  const corner = least(edges.map(([p]) => p).filter(isSeen), offSight);
  if (corner && offSight(corner) <= reachMm) return { at: corner, on: 'corner' };
  const onEdges = edges.flatMap((line) => {
    const at = nearestToSight(line, sight);
    return at && isSeen(at) ? [{ at, line }] : [];
  });
  const edge = least(onEdges, ({ at }) => offSight(at));
  if (edge && offSight(edge.at) <= reachMm) return { ...edge, on: 'edge' };
  if (!sight.hit) return undefined;
  const { hit } = sight;
  const planes = faces.flatMap(({ rings }) => {
    const normal = normalOf(rings[0] ?? []);
    return normal && Math.abs(dot3(subtract3(hit, rings[0]![0]!), normal)) < HIDDEN_MM
      ? [{ normal, ring: rings[0]! }]
      : [];
  });
  const plane = least(planes, ({ ring }) => distance3(hit, middleOf(ring)));
  return plane ? { at: hit, on: 'face', normal: plane.normal } : undefined;
}

function least<T>(items: readonly T[], figure: (one: T) => number): T | undefined {
  let [best, smallest] = [undefined as T | undefined, Infinity];
  for (const one of items) {
    const now = figure(one);
    if (now < smallest) [best, smallest] = [one, now];
  }
  return best;
}

/** The place of an edge that lies nearest to a line of sight. */
function nearestToSight([a, b]: Line3, { from, direction }: Sight): Point3 | undefined {
  const along = subtract3(b, a);
  const across = subtract3(along, times3(direction, dot3(along, direction)));
  const squared = dot3(across, across);
  if (squared < 1e-12) return undefined;
  const t = dot3(subtract3(from, a), across) / squared;
  return interpolate3(a, b, Math.min(1, Math.max(0, t)));
}

/** Square to a flat ring. @source Newell: right for any flat polygon */
function normalOf(ring: readonly Point3[]): Point3 | undefined {
  const sum = ring.reduce((total, p, index) => add3(total, cross3(p, ring[(index + 1) % ring.length]!)), {
    x: 0,
    y: 0,
    z: 0,
  } as Point3);
  return length3(sum) < 1e-9 ? undefined : unit3(sum);
}
const middleOf = (ring: readonly Point3[]): Point3 =>
  times3(
    ring.reduce((sum, p) => add3(sum, p), { x: 0, y: 0, z: 0 } as Point3),
    1 / ring.length,
  );

/** What two places on a model are to each other. Lengths in mm, angles in degrees. */
export interface ModelMeasure {
  readonly distanceMm: number;
  /** Between their edges or faces, 0 to 90; between two faces 0 to 180, the turn from one to the other. */
  readonly angleDegrees?: number;
  /** Square across, from a place to an edge or a face, or between two that are parallel. */
  readonly acrossMm?: number;
  readonly isParallel: boolean;
}

/** Nearer to parallel than this is parallel, in degrees. */
const PARALLEL_DEGREES = 0.05;

export function measureOnModel(a: MeasuredPlace, b: MeasuredPlace): ModelMeasure {
  const distanceMm = distance3(a.at, b.at);
  const angleDegrees = angleBetween(a, b);
  const isParallel =
    angleDegrees !== undefined && (angleDegrees < PARALLEL_DEGREES || angleDegrees > 180 - PARALLEL_DEGREES);
  const isOneFlat = angleDegrees === undefined && (a.line ?? a.normal ?? b.line ?? b.normal) !== undefined;
  const acrossMm = isParallel || isOneFlat ? (acrossFrom(a, b) ?? acrossFrom(b, a)) : undefined;
  return {
    distanceMm,
    isParallel,
    ...(angleDegrees === undefined ? {} : { angleDegrees }),
    ...(acrossMm === undefined ? {} : { acrossMm }),
  };
}

const directionOf = ({ line }: MeasuredPlace): Point3 | undefined => line && unit3(subtract3(line[1], line[0]));

/** Angle between what two places lie on; undefined when one of them is a corner. */
function angleBetween(a: MeasuredPlace, b: MeasuredPlace): number | undefined {
  const [u, v] = [directionOf(a), directionOf(b)];
  const between = (p: Point3, q: Point3): number => degrees(Math.atan2(length3(cross3(p, q)), dot3(p, q)));
  const acute = (angle: number): number => Math.min(angle, 180 - angle);
  if (u && v) return acute(between(u, v));
  if (a.normal && b.normal) return between(a.normal, b.normal);
  const [line, normal] = [u ?? v, a.normal ?? b.normal];
  return line && normal ? 90 - acute(between(line, normal)) : undefined;
}

/** From a place square to the edge or face of another. */
function acrossFrom({ at }: MeasuredPlace, to: MeasuredPlace): number | undefined {
  const step = subtract3(at, to.at);
  if (to.normal) return Math.abs(dot3(step, to.normal));
  const along = directionOf(to);
  return along && length3(subtract3(step, times3(along, dot3(step, along))));
}
