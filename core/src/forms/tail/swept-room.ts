import {
  convexHull,
  counterClockwise,
  cross,
  differenceOf,
  distance,
  distanceToEdge,
  distanceToRun,
  growRegion,
  intersectionOf,
  regionArea,
  subtract,
  unionOf,
  type Polygon,
} from '../../geometry/index.ts';
import { covered, turned, type TailPlate } from './plate.ts';

/** How a plate moves: from one turn about its axis to another, in degrees. */
export interface Travel {
  readonly plate: TailPlate;
  readonly fromDegrees: number;
  readonly toDegrees: number;
}

/** Travels are looked at in steps of at most so many degrees: between two, an edge 60 mm from its hinge bulges by 0.06 mm. */
const STEP_DEGREES = 5;
/** Board that is lost and smaller than this is none, in mm². */
const LEAST_MM2 = 0.05;

/** The turns of a travel, its ends among them. */
export function turnsOf({ fromDegrees, toDegrees }: Travel, stepDegrees = STEP_DEGREES): readonly number[] {
  const steps = Math.max(1, Math.ceil((toDegrees - fromDegrees) / stepDegrees));
  return fromDegrees === toDegrees
    ? [fromDegrees]
    : Array.from({ length: steps + 1 }, (_, step) => fromDegrees + ((toDegrees - fromDegrees) * step) / steps);
}

/**
 * What a plate must lose on its flat so that it and others move through all of their travels without touching.
 * @param pairs how the plate moves, each time with what it is not to touch: its flat is the same in all
 * @param gapMm left between them
 * @returns one convex ring with straight edges, as it is cut; undefined when they never meet
 * @source both travels are gone through together in small steps; at each the other plate's part within this one's thickness throws its shadow
 * on this one's flat; the shadows' convex hull is taken, since a knife cuts straight edges
 */
export function sweptRoom(
  pairs: readonly (readonly [own: Travel, other: Travel])[],
  gapMm: number,
): Polygon | undefined {
  const met = pairs.flatMap(([own, other]) => {
    const others = turnsOf(other).map((degrees) => turned(other.plate, degrees));
    return turnsOf(own).flatMap((degrees) => {
      const map = turned(own.plate, degrees);
      return others.flatMap((otherMap) => covered(own.plate, map, other.plate, otherMap));
    });
  });
  const hull = convexHull(met),
    ring = pairs[0]?.[0].plate.ring ?? [];
  if (hull.length < 3 || regionArea(intersectionOf([hull], [ring])) < LEAST_MM2) return undefined;
  const [grown] = growRegion([hull], gapMm, 0.01, 'sharp');
  return grown && withLongEdges(counterClockwise(grown));
}

/** Edges of a cut-out shorter than this are left out, where their neighbours run on past them by little, in mm. */
const SHORT_MM = 5;
const RUN_ON_MM = 1.5;

/** A convex ring with fewer and longer edges, nowhere within the one it is made from. */
function withLongEdges(ring: Polygon): Polygon {
  const count = ring.length;
  if (count <= 4) return ring;
  const candidates = ring.flatMap((b, index) => {
    const a = ring.at(index - 1)!,
      c = ring[(index + 1) % count]!,
      d = ring[(index + 2) % count]!;
    const [u, v] = [subtract(b, a), subtract(c, d)],
      sine = cross(u, v);
    if (distance(b, c) >= SHORT_MM || Math.abs(sine) < 1e-9) return [];
    const along = cross(subtract(d, a), v) / sine,
      corner = { x: a.x + u.x * along, y: a.y + u.y * along };
    const off = distanceToRun(corner, b, c);
    // Beyond both: neighbours that part do not meet there.
    return along > 1 && off <= RUN_ON_MM ? [{ index, corner, off }] : [];
  });
  if (candidates.length === 0) return ring;
  const { index, corner } = candidates.reduce((best, one) => (one.off < best.off ? one : best)),
    gone = (index + 1) % count;
  return withLongEdges(ring.flatMap((p, at) => (at === index ? [corner] : at === gone ? [] : [p])));
}

/** Strips narrower than this are no board, in mm. */
const LEAST_STRIP_MM = 2;

/** A plate's outline without what it loses: the pieces that are left, largest first. */
export function withoutRooms(ring: Polygon, rooms: readonly Polygon[]): readonly Polygon[] {
  if (rooms.length === 0) return [ring];
  const cut = differenceOf([ring], unionOf(rooms)),
    opened = growRegion(growRegion(cut, -LEAST_STRIP_MM / 2, 0.01, 'sharp'), LEAST_STRIP_MM / 2, 0.01, 'sharp'),
    left = intersectionOf(cut, opened).map((one) => withoutNicks(one, ring));
  return [...left].sort((a, b) => regionArea([b]) - regionArea([a]));
}

/** A corner this near to the line between its neighbours is none, in mm: far less than the room that is left. */
const NICK_MM = 0.12;

/** A ring without corners that hardly turn and do not lie on the outline that it was cut from. */
function withoutNicks(ring: Polygon, outline: Polygon): Polygon {
  const at = ring.findIndex(
    (p, index) =>
      ring.length > 3 &&
      distanceToEdge(p, outline) > ON_OUTLINE_MM &&
      distanceToRun(p, ring.at(index - 1)!, ring[(index + 1) % ring.length]!) < NICK_MM,
  );
  return at < 0
    ? ring
    : withoutNicks(
        ring.filter((_, index) => index !== at),
        outline,
      );
}
const ON_OUTLINE_MM = 0.005;
