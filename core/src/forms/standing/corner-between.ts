import { add3, cross3, dot3, point3, subtract3, times3, unit3, type Point3 } from '../../geometry/index.ts';
import { degrees, formatAngle } from '../../units/index.ts';
import type { StandingAirframe } from '../form/index.ts';
import { partMissing, type Miss } from './miss.ts';
import { mainPlate, type PlacedPlate } from './standing-plates.ts';

/** What an angle is measured from: another part, the part's own mirror image, the table, or the upright middle plane. */
export const MEASURED_AGAINST = ['part', 'mirror', 'table', 'upright'] as const;
/** Planes that lean less than this to each other have no angle that anything could hold, in degrees. */
const LEAST_DEGREES = 0.3;
/** A plate that lies this near to the line of the angle is on both of its sides, in mm. */
const ON_LINE_MM = 1;

/** Between which parts a corner lies. */
export interface CornerOf {
  readonly partId: string;
  readonly against: (typeof MEASURED_AGAINST)[number];
  readonly againstId: string;
}

/** The corner between two plates that stand, cut square to the line in which their planes meet. */
export interface CornerBetween {
  readonly first: Side;
  readonly other: Side;
  /** The line of the corner. */
  readonly along: Point3;
  /** From the line along the one plate and along the other, of length 1. */
  readonly a: Point3;
  readonly b: Point3;
  /** Between both, in degrees. */
  readonly angle: number;
  /** Whether both plates are free on the inside of the corner. */
  readonly isInner: boolean;
  /** Where both skins that are free meet, in the middle of what both plates share. */
  readonly foot: Point3;
}

/** One side of an angle: a plane, and what lies in it. */
export interface Side {
  readonly word: string;
  readonly normal: Point3;
  readonly through: Point3;
  readonly plate?: PlacedPlate;
}

const TABLE = point3(0, 0, 1);
const UPRIGHT = point3(0, 1, 0);

/** The other side of an angle. */
function sideAgainst(of: CornerOf, own: PlacedPlate, standing: StandingAirframe): Side | Miss {
  const { against } = of;
  if (against === 'table' || against === 'upright') {
    const normal = against === 'table' ? TABLE : UPRIGHT;
    const off = (p: Point3): number => (against === 'table' ? p.z : Math.abs(p.y));
    const through = own.corners.reduce((best, p) => (off(p) < off(best) ? p : best));
    return { word: against === 'table' ? 'table' : 'upright', normal, through };
  }
  const plate = against === 'mirror' ? mainPlate(standing, own.part.id, true) : mainPlate(standing, of.againstId);
  if (!plate)
    return against === 'mirror'
      ? {
          code: 'NO_MIRROR',
          title: `${own.part.name} is no pair`,
          detail: 'Only a part that is cut for both sides has a mirror image. Choose another part, or the table.',
          mend: { label: 'Measure from the table', key: 'against', value: 'table' },
        }
      : partMissing('What the angle is measured from');
  return { word: plate.part.name, normal: plate.normal, through: plate.middle, plate };
}

/** The way of a side, square to the line of the angle, from the line to where its plate lies. */
function wayOf(side: Side, along: Point3, line: Point3): Point3 {
  const way = unit3(cross3(along, side.normal)),
    off = dot3(subtract3(side.plate?.middle ?? side.through, line), way);
  if (Math.abs(off) > ON_LINE_MM) return times3(way, Math.sign(off));
  // It lies on both sides of the line: the gauge goes to port, else forward.
  const sign = Math.abs(way.y) > 0.5 ? -Math.sign(way.y) : Math.abs(way.z) > 0.5 ? Math.sign(way.z) : -Math.sign(way.x);
  return times3(way, sign || 1);
}

/** A point of both planes, as near to a place as it can be. */
function onBoth(a: Side, b: Side, near: Point3): Point3 {
  const c = dot3(a.normal, b.normal),
    [da, db] = [dot3(subtract3(a.through, near), a.normal), dot3(subtract3(b.through, near), b.normal)],
    square = 1 - c * c;
  return add3(near, add3(times3(a.normal, (da - c * db) / square), times3(b.normal, (db - c * da) / square)));
}

/** The middle of the stretch of a line that both plates share; of the first one where they share none. */
function stationOn(along: Point3, a: PlacedPlate, b: PlacedPlate | undefined): number {
  const range = ({ corners }: PlacedPlate): readonly [number, number] => {
    const all = corners.map((p) => dot3(p, along));
    return [Math.min(...all), Math.max(...all)];
  };
  const [from, to] = range(a),
    [otherFrom, otherTo] = b ? range(b) : [from, to],
    shared = [Math.max(from, otherFrom), Math.min(to, otherTo)] as const;
  return shared[0] < shared[1] ? (shared[0] + shared[1]) / 2 : (from + to) / 2;
}

/** A side moved onto the skin that is touched: the far one of a folded part, else the one toward the other side. */
function touched(side: Side, toOther: Point3, isInner: boolean): Side {
  if (!side.plate?.isAlone) return side;
  const isFace = dot3(side.normal, toOther) > 0 === isInner;
  return isFace ? { ...side, through: add3(side.through, times3(side.normal, side.plate.thicknessMm)) } : side;
}

/** A plate of a firewall faces forward: a gauge lies against its rear, along the airframe. */
const facesForward = ({ normal }: PlacedPlate): boolean => Math.abs(normal.x) > 0.8;

/** A way with the sign that brings it nearest to another. */
const pointing = (way: Point3, to: Point3): Point3 => times3(unit3(way), dot3(way, to) < 0 ? -1 : 1);
/** Across a firewall: to starboard, or up. */
const wayAcross = (way: Point3): Point3 =>
  Math.abs(way.y) > Math.abs(way.z) ? pointing(way, point3(0, 1, 0)) : pointing(way, point3(0, 0, 1));

/** The corner between a part and another, its mirror image, the table or the upright middle plane, as they stand. */
export function cornerBetween(of: CornerOf, standing: StandingAirframe): CornerBetween | Miss {
  const own = mainPlate(standing, of.partId);
  if (!own) return partMissing('What it is of');
  const other = sideAgainst(of, own, standing);
  if ('code' in other) return other;
  const first: Side = { word: own.part.name, normal: own.normal, through: own.middle, plate: own };
  const turn = cross3(first.normal, other.normal);
  if (Math.hypot(turn.x, turn.y, turn.z) < Math.sin((LEAST_DEGREES * Math.PI) / 180))
    return {
      code: 'NO_ANGLE',
      title: `${first.word} and ${other.word} lie alike`,
      detail: `They lean less than ${formatAngle(LEAST_DEGREES)} to each other: there is no angle to hold. Measure from something else.`,
    };
  const along = unit3(turn),
    near = onBoth(first, other, own.middle),
    line = add3(near, times3(along, stationOn(along, own, other.plate) - dot3(near, along)));
  const isAft = !other.plate && facesForward(own);
  const a = isAft ? wayAcross(cross3(along, first.normal)) : wayOf(first, along, line);
  const b = other.plate
    ? wayOf(other, along, line)
    : isAft
      ? pointing(cross3(along, other.normal), point3(1, 0, 0))
      : pointing(cross3(along, other.normal), a);
  const angle = degrees(Math.acos(Math.max(-1, Math.min(1, dot3(a, b)))));
  const isFree = (side: Side, to: Point3): boolean => !side.plate || side.plate.isAlone || dot3(side.normal, to) < 0;
  const isInner = isFree(first, b) && isFree(other, a);
  const foot = onBoth(touched(first, b, isInner), touched(other, a, isInner), line);
  return { first, other, along, a, b, angle, isInner, foot };
}

/** How far a plate reaches from the line of a corner. */
export const reachFrom = ({ plate }: Side, foot: Point3, way: Point3): number =>
  plate ? Math.max(...plate.corners.map((p) => dot3(subtract3(p, foot), way))) : Infinity;
