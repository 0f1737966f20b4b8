import { STEEPEST_BEVEL_DEGREES } from '../allowance/index.ts';
import type { PartCommand } from '../editing/index.ts';
import {
  applyRigid,
  composeRigid,
  distance,
  interpolate3,
  invertRigid,
  runsInside,
  subtract3,
  unit3,
  type Point,
  type Point3,
} from '../geometry/index.ts';
import { drawnId } from '../part/index.ts';
import { degrees, radians } from '../units/index.ts';
import { SKIN, type Line3, type PlacedEdge } from './seam-edges.ts';

/** Where the cut end of a plate meets another plate: how long, and what stays open or presses. Lengths in mm. */
export interface FootContact {
  /** An end that stands on a skin, two ends that meet at their edges, or skin that lies along skin, or at too small an angle to be cut to it. */
  readonly kind: 'end' | 'edges' | 'lap';
  /** Where they touch, in space. */
  readonly line: Line3;
  /** Length of the foot, and how much of it has the other plate under it. */
  readonly footMm: number;
  readonly contactMm: number;
  /** Angle that stays open between the end and what it stands on, and how wide it is at its mouth; 0 when it is closed. */
  readonly wedgeDegrees: number;
  readonly wedgeMm: number;
  /** How deep the end's other edge stands in the plate; 0 when it does not. */
  readonly pressMm: number;
  /** Bevel that brings the end down along its whole depth; undefined when it has it, or no knife cuts it. */
  readonly bevel?: FootBevel;
}

/** How a foot is cut to stand with its whole end. */
export interface FootBevel {
  readonly face: 'face' | 'back';
  readonly bevelDegrees: number;
  /** How far the edge goes outward before it is bevelled, so that the part stands where it stood. */
  readonly outwardMm: number;
}

/** Ends that are out of true by less than this are closed, in degrees. */
const TRUE_DEGREES = 0.1;
/** Skins that lie on each other nearer than this are a lap, in degrees. */
const LAP_DEGREES = 1;
/** Points nearer to a line than this are on it, in mm. */
const ON_MM = 0.01;

/** A vector of the cross-section through a joint: across the other plate from its line, and up from the skin stood on. */
type Across = Point;
const angleOf = ({ x, y }: Across): number => degrees(Math.atan2(y, x));
/** A turn as it lies from -150 up to 210 degrees: an end presses by less than it can stand open. */
const opening = (turn: number): number => ((((turn + 150) % 360) + 360) % 360) - 150;

/**
 * How the end of a plate stands on another plate by a joint or a seam: its edge on a line or an edge of the other.
 * @param own the edge it stands by, and which of its skins lies on the other's line
 * @param to the line or edge it stands on, and on which skin
 * @param pieces what tabs leave of the edge, which lies on the other plate; all of it without them
 * @returns undefined when it stands by a line that ends nothing
 * @source the cross-section through the joint: the angles of the two skins, of the end face and of the other plate's end about the point
 * where they touch
 */
export function footContact(
  own: PlacedEdge,
  ownSkin: keyof typeof SKIN,
  to: PlacedEdge,
  toSkin: keyof typeof SKIN,
  pieces: readonly PlacedEdge[] = [own],
): FootContact | undefined {
  if (own.edge.isLine) return undefined;
  const section = sectionOf(own, ownSkin, to, toSkin);
  const { end, inward, otherEnd, thicknessMm } = section;
  const turning = inward.x * end.y - inward.y * end.x > 0 ? 1 : -1;
  // What the end face comes to next, turned on about the line where they touch: the skin stood on, its other half, or the other end.
  const skinAhead = turning < 0 ? 0 : otherEnd ? angleOf(otherEnd) + 360 : 180;
  const skinBehind = turning < 0 ? (otherEnd ? angleOf(otherEnd) : -180) : 0;
  const open = opening(turning * (skinAhead - angleOf(end)));
  const behind = opening(turning * (angleOf(inward) - skinBehind));
  const isOnEnd = turning > 0 && otherEnd !== undefined;
  // The angle that the end's two faces would enclose, lay the end on what it stands on.
  const span = opening(turning * (angleOf(end) - angleOf(inward))) + open;
  const isFlat = Math.abs(behind) < LAP_DEGREES && open > LAP_DEGREES;
  const isLap = isFlat || (!isOnEnd && Math.abs(90 - span) > STEEPEST_BEVEL_DEGREES);
  const kind = isLap ? 'lap' : isOnEnd ? 'edges' : 'end';
  const depth = Math.hypot(end.x, end.y);
  const reach = isOnEnd ? Math.min(depth, Math.hypot(otherEnd.x, otherEnd.y)) : depth;
  const mouth =
    isOnEnd && open > 0
      ? 2 * reach * Math.sin(radians(Math.min(180, Math.abs(open))) / 2)
      : reach * Math.sin(radians(Math.min(90, Math.abs(open))));
  const isTrue = kind === 'lap' || Math.abs(open) < TRUE_DEGREES;
  return {
    kind,
    ...stretchOf(pieces, ownSkin, to, section),
    wedgeDegrees: isTrue || open < 0 ? 0 : open,
    wedgeMm: isTrue || open < 0 ? 0 : mouth,
    pressMm: isTrue || open > 0 ? 0 : mouth,
    ...(isTrue || kind !== 'end' ? {} : bevelFor(span, section, ownSkin, thicknessMm)),
  };
}

/** The cross-section through a joint, the place where they touch its origin. */
interface Section {
  /** From the skin that stands on the line across the end to the other skin. */
  readonly end: Across;
  /** Along the plate that stands, away from its end. */
  readonly inward: Across;
  /** Across the other plate's end, from the skin stood on to its other skin; undefined on a line within it. */
  readonly otherEnd?: Across;
  readonly thicknessMm: number;
  /** How far the end's other skin is from square: more than 0 when it is further in. */
  readonly setBackMm: number;
}

function sectionOf(own: PlacedEdge, ownSkin: keyof typeof SKIN, to: PlacedEdge, toSkin: keyof typeof SKIN): Section {
  const map = composeRigid(own.map, invertRigid(to.map));
  const place = ([a, b]: Line3): Point3 => applyRigid(map, interpolate3(a, b, 0.5));
  const mine = own.edge.flat[SKIN[ownSkin]],
    other = own.edge.flat[1 - SKIN[ownSkin]]!,
    there = to.edge.flat[SKIN[toSkin]];
  const along = unit3(subtract3(there[1], there[0])),
    up = toSkin === 'face' ? 1 : -1;
  const across = (v: Point3): Across => ({ x: along.x * v.y - along.y * v.x, y: up * v.z });
  const here = place(mine);
  // A place well within the plate that stands, on the skin that is stood on.
  const { from, to: until } = own.edge;
  const length = distance(from, until);
  const inFlat = { x: -(until.y - from.y) / length, y: (until.x - from.x) / length };
  const within = (line: Line3): Line3 => [
    { ...line[0], x: line[0].x + inFlat.x, y: line[0].y + inFlat.y },
    { ...line[1], x: line[1].x + inFlat.x, y: line[1].y + inFlat.y },
  ];
  const [m, o] = [mine, other].map(([a]) => (a.x - from.x) * inFlat.x + (a.y - from.y) * inFlat.y) as [number, number];
  const end = across(subtract3(place(other), here));
  const far = to.edge.flat[1 - SKIN[toSkin]]!;
  return {
    end,
    inward: across(subtract3(place(within(mine)), here)),
    ...(to.edge.isLine
      ? {}
      : { otherEnd: across(subtract3(interpolate3(far[0], far[1], 0.5), interpolate3(there[0], there[1], 0.5))) }),
    thicknessMm: own.edge.solid.thicknessMm,
    setBackMm: o - m,
  };
}

/** The bevel of an end whose faces would enclose an angle with the skin it stands by, for it to lie on what is under it. */
function bevelFor(
  span: number,
  { setBackMm }: Section,
  ownSkin: keyof typeof SKIN,
  thicknessMm: number,
): { readonly bevel: FootBevel } {
  const lean = 90 - span;
  const otherSkin = ownSkin === 'face' ? 'back' : 'face';
  return {
    bevel: {
      face: lean >= 0 ? otherSkin : ownSkin,
      bevelDegrees: Math.abs(lean),
      // The outline runs along the skin that reaches furthest; the skin that stands on the line stays where it is.
      outwardMm: Math.max(0, -thicknessMm * Math.tan(radians(lean))) - Math.max(0, -setBackMm),
    },
  };
}

/** Where the foot and what it stands on lie on each other, and from where to where. */
function stretchOf(
  pieces: readonly PlacedEdge[],
  ownSkin: keyof typeof SKIN,
  to: PlacedEdge,
  { end, inward }: Section,
): Pick<FootContact, 'line' | 'footMm' | 'contactMm'> {
  const back = invertRigid(to.map);
  const { outer, holes } = to.edge.solid.plate;
  const [p, q] = [to.edge.from, to.edge.to];
  // The end is looked at a little way in under its foot, so that a foot flush with an edge is on its plate.
  const by = to.edge.isLine ? ((Math.sign(end.x + inward.x) || 1) * ON_MM) / distance(p, q) : 0;
  const step = { x: -(q.y - p.y) * by, y: (q.x - p.x) * by };
  const shift = (point: Point3): Point => ({ x: point.x + step.x, y: point.y + step.y });
  const feet = pieces.map(({ edge, map }): Line3 => {
    const [a, b] = edge.flat[SKIN[ownSkin]];
    return [applyRigid(back, applyRigid(map, a)), applyRigid(back, applyRigid(map, b))];
  });
  const runs = feet.flatMap(([from, until]) =>
    to.edge.isLine ? runsInside([shift(from), shift(until)], [outer, ...holes]) : overlapAlong([from, until], [p, q]),
  );
  const [first, last] = [feet[0]![0], feet.at(-1)![1]];
  const lift = (point: Point | undefined, other: Point3): Point3 =>
    applyRigid(to.map, point ? { x: point.x - step.x, y: point.y - step.y, z: other.z } : other);
  return {
    line: [lift(runs[0]?.[0], first), lift(runs.at(-1)?.at(-1), last)],
    footMm: feet.reduce((sum, [from, until]) => sum + distance(from, until), 0),
    contactMm: runs.reduce((sum, run) => sum + distance(run[0]!, run.at(-1)!), 0),
  };
}

/** The stretch that two lines which run along each other share. */
function overlapAlong([a, b]: readonly [Point, Point], [p, q]: readonly [Point, Point]): readonly (readonly Point[])[] {
  const length = distance(p, q),
    along = { x: (q.x - p.x) / length, y: (q.y - p.y) / length };
  const at = (point: Point): number => (point.x - p.x) * along.x + (point.y - p.y) * along.y;
  const [low, high] = [Math.max(0, Math.min(at(a), at(b))), Math.min(length, Math.max(at(a), at(b)))];
  const on = (t: number): Point => ({ x: p.x + t * along.x, y: p.y + t * along.y });
  return high > low ? [[on(low), on(high)]] : [];
}

/**
 * The edits that cut a foot to stand with its whole end where it stood.
 * @param scale factor that the part is folded at; the edits are made on its drawing
 */
export function footCommands(own: PlacedEdge, bevel: FootBevel, scale = 1): readonly PartCommand[] {
  const segmentId = drawnId(own.edge.segmentId);
  const other = bevel.face === 'face' ? 'back' : 'face';
  const outwardMm = bevel.outwardMm / scale;
  return [
    { name: 'bevelEdge', args: { segmentId, face: other, bevelDegrees: 0 } },
    ...(Math.abs(outwardMm) > 1e-9
      ? [{ name: 'moveEdge' as const, args: { segmentId, acrossMm: own.edge.isBoardLeft ? -outwardMm : outwardMm } }]
      : []),
    { name: 'bevelEdge', args: { segmentId, face: bevel.face, bevelDegrees: bevel.bevelDegrees } },
  ];
}
