import { distanceToRun, type Point } from '../../geometry/index.ts';
import type { StandingWing } from '../form/index.ts';
import type { BodySeat } from './parameters.ts';
import { heightAt, type Profile } from './profile.ts';

/** How a wing lies to the body: on its walls, cut into them from above or below, through them, or clear of them. */
export type SeatSide = 'clear' | 'top' | 'through' | 'below';

/** What a wing takes out of the body. */
export interface SeatCut {
  readonly seat: BodySeat;
  readonly name: string;
  readonly incidenceDegrees: number;
  readonly side: SeatSide;
  readonly fromMm: number;
  readonly toMm: number;
  /** The under and the upper side of the wing at the walls, with room for glue. */
  readonly under: Profile;
  readonly upper: Profile;
  /** The underside at a share of the half width: 0 in the middle, 1 at the walls; and the upper side. */
  readonly underAt: (share: number) => Profile;
  readonly upperAt: (share: number) => Profile;
}

/** Room between a wing and what it sits in, in mm. */
const ROOM_MM = 0.15;
/** Corners of a seat that lie nearer to the line of their neighbours are left out, in mm. */
const IN_LINE_MM = 0.02;
/** Boards of wall that have to stay over or under a wing that goes through. */
const BRIDGE_BOARDS = 3;

/** The height of a ring at a place: its least or its greatest. */
function ringHeight(ring: readonly Point[], x: number, isUpper: boolean): number | undefined {
  let found: number | undefined;
  ring.forEach((a, index) => {
    const b = ring[(index + 1) % ring.length]!;
    if (Math.min(a.x, b.x) > x + 1e-9 || Math.max(a.x, b.x) < x - 1e-9) return;
    const ends = Math.abs(b.x - a.x) < 1e-9 ? [a.y, b.y] : [a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x)];
    for (const y of ends) if (found === undefined || (isUpper ? y > found : y < found)) found = y;
  });
  return found;
}

/** Points without those that lie in the line of their neighbours. */
function withoutInLine(points: readonly Point[]): readonly Point[] {
  const kept: Point[] = [];
  points.forEach((p, index) => {
    const before = kept.at(-1),
      next = points[index + 1];
    if (!before || !next || distanceToRun(p, before, next) > IN_LINE_MM) kept.push(p);
  });
  return kept;
}

/** The under or upper side of rings together, grown by some room all round, from before their foremost to behind their aftmost corner. */
function envelope(rings: readonly (readonly Point[])[], isUpper: boolean, name: string, roomMm: number): Profile {
  const corners = rings.flat(),
    fore = Math.min(...corners.map(({ x }) => x)),
    aft = Math.max(...corners.map(({ x }) => x));
  const within = (x: number): number => Math.min(Math.max(x, fore + 1e-6), aft - 1e-6);
  const places = [...new Set(corners.flatMap(({ x }) => [x - roomMm, x, x + roomMm]))].sort((a, b) => a - b);
  const points = places.flatMap((x): readonly Point[] => {
    const heights = rings.flatMap((ring) =>
      [x - roomMm, x, x + roomMm].flatMap((at) => ringHeight(ring, within(at), isUpper) ?? []),
    );
    if (heights.length === 0) return [];
    return [{ x, y: isUpper ? Math.max(...heights) + ROOM_MM : Math.min(...heights) - ROOM_MM }];
  });
  return withoutInLine(points).map(({ x, y }, index) => ({ x, z: y, edge: `${name}-${index + 1}` }));
}

/** How a wing with these sides lies to the lines of the walls. */
function sideOf(under: Profile, upper: Profile, low: Profile, top: Profile, thicknessMm: number): SeatSide {
  const from = Math.max(under[0]!.x, low[0]!.x),
    to = Math.min(under.at(-1)!.x, low.at(-1)!.x);
  if (from >= to) return 'clear';
  const places = [
    from,
    to,
    ...[...under, ...upper, ...low, ...top].flatMap(({ x }) => (x > from && x < to ? [x] : [])),
  ];
  const above = Math.max(...places.map((x) => heightAt(upper, x) - heightAt(top, x))),
    beneath = Math.max(...places.map((x) => heightAt(low, x) - heightAt(under, x)));
  const reaches = places.some((x) => heightAt(under, x) < heightAt(top, x) && heightAt(upper, x) > heightAt(low, x));
  if (!reaches) return 'clear';
  const bridge = BRIDGE_BOARDS * thicknessMm;
  if (above < -bridge && beneath < -bridge) return 'through';
  return above >= beneath ? 'top' : 'below';
}

/**
 * What a wing takes out of a body.
 * @param sectionAt its outside so far out, in the body's frame
 * @param leanMm how far the cut edges of the walls run along the body from one face to the other
 * @param halves how far out its cut has to be right: within the walls and without
 */
export function seatCut(
  seat: BodySeat,
  { name, incidenceDegrees }: Pick<StandingWing, 'name' | 'incidenceDegrees'>,
  sectionAt: StandingWing['sectionAt'],
  halves: readonly [within: number, without: number],
  low: Profile,
  top: Profile,
  thicknessMm: number,
  leanMm: number,
): SeatCut {
  const rings = halves.map(sectionAt),
    room = ROOM_MM + leanMm,
    under = envelope(rings, false, `seat-${seat.id}-under`, room),
    upper = envelope(rings, true, `seat-${seat.id}-over`, room);
  const at =
    (isUpper: boolean) =>
    (share: number): Profile =>
      envelope([sectionAt(share * halves[1])], isUpper, seat.id, ROOM_MM);
  return {
    seat,
    name,
    incidenceDegrees,
    side: sideOf(under, upper, low, top, thicknessMm),
    fromMm: under[0]!.x,
    toMm: under.at(-1)!.x,
    under,
    upper,
    underAt: at(false),
    upperAt: at(true),
  };
}
