import {
  add3,
  cross3,
  dot3,
  point3,
  subtract3,
  times3,
  unit3,
  type Point,
  type Point3,
  type RigidMap,
} from '../../geometry/index.ts';
import { degrees, formatAngle } from '../../units/index.ts';
import type { StandingAirframe } from '../form/index.ts';
import { angleOutline, ARM_MM, cornerOutline, gaugeMark, wedgeOutline } from '../gauge-shapes/index.ts';
import { partMissing, type GaugeMiss, type GaugePlate, type LaidGauge } from './laid-gauge.ts';
import type { Gauge } from './parameters.ts';
import { mainPlate, type PlacedPlate } from './standing-plates.ts';

/** Planes that lean less than this to each other have no angle that a gauge could hold, in degrees. */
const LEAST_DEGREES = 0.3;
/** An angle narrower than this is a wedge, not a corner. */
const WEDGE_DEGREES = 20;
/** Arms outside of an angle turn at most so far. */
const MOST_TURN_DEGREES = 120;
/** Arms end at this share of the plate that they lie on. */
const REACH_SHARE = 0.8;
/** A plate that lies this near to the line of the angle is on both of its sides, in mm. */
const ON_LINE_MM = 1;

/** One side of an angle: a plane, and what lies in it. */
interface Side {
  readonly word: string;
  readonly normal: Point3;
  readonly through: Point3;
  readonly plate?: PlacedPlate;
}

const TABLE = point3(0, 0, 1);
const UPRIGHT = point3(0, 1, 0);

/** The other side of an angle. */
function sideAgainst(gauge: Gauge, own: PlacedPlate, standing: StandingAirframe): Side | GaugeMiss {
  const { against } = gauge;
  if (against === 'table' || against === 'upright') {
    const normal = against === 'table' ? TABLE : UPRIGHT;
    const off = (p: Point3): number => (against === 'table' ? p.z : Math.abs(p.y));
    const through = own.corners.reduce((best, p) => (off(p) < off(best) ? p : best));
    return { word: against === 'table' ? 'table' : 'upright', normal, through };
  }
  const plate = against === 'mirror' ? mainPlate(standing, own.part.id, true) : mainPlate(standing, gauge.againstId);
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

/** A side moved onto the skin that the gauge touches: the far one of a folded part, else the one toward the other side. */
function touched(side: Side, toOther: Point3, isInner: boolean): Side {
  if (!side.plate?.isAlone) return side;
  const isFace = dot3(side.normal, toOther) > 0 === isInner;
  return isFace ? { ...side, through: add3(side.through, times3(side.normal, side.plate.thicknessMm)) } : side;
}

/** How far a plate reaches from the line of the angle. */
const reachOf = (plate: PlacedPlate | undefined, from: Point3, way: Point3): number =>
  plate ? Math.max(...plate.corners.map((p) => dot3(subtract3(p, from), way))) : Infinity;

/** A plate of a firewall faces forward: a gauge lies against its rear, along the airframe. */
const facesForward = ({ normal }: PlacedPlate): boolean => Math.abs(normal.x) > 0.8;

/** A gauge for the angle between a part and another, its mirror image, the table or the upright middle plane. */
export function angleGauge(gauge: Gauge, standing: StandingAirframe): LaidGauge | GaugeMiss {
  const own = mainPlate(standing, gauge.partId);
  if (!own) return partMissing('What it gauges');
  const other = sideAgainst(gauge, own, standing);
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
  if (!isInner && 180 - angle > MOST_TURN_DEGREES)
    return {
      code: 'ANGLE_SHUT',
      title: `${first.word} and ${other.word} shut an angle of ${formatAngle(angle)}`,
      detail: 'No gauge goes into it, and arms outside of it would not reach. Measure one of them from the table.',
      mend: { label: 'Measure from the table', key: 'against', value: 'table' },
    };
  const foot = onBoth(touched(first, b, isInner), touched(other, a, isInner), line);
  const reach = (plate: PlacedPlate | undefined, way: Point3): number =>
    Math.min(gauge.reachMm, Math.max(ARM_MM, REACH_SHARE * reachOf(plate, foot, way)));
  const [firstMm, secondMm] = [reach(own, a), Math.min(reach(own, a), reach(other.plate, b))];
  const laid = isInner
    ? { plate: innerPlate(gauge, angle, firstMm, secondMm, first.word, other.word), x: a }
    : { plate: outerPlate(gauge, 180 - angle, firstMm, secondMm, first.word, other.word), x: times3(a, -1) };
  const up = unit3(subtract3(b, times3(laid.x, dot3(b, laid.x))));
  const map: RigidMap = { x: laid.x, y: up, z: cross3(laid.x, up), origin: foot };
  return {
    gauge,
    plates: [laid.plate],
    figure: formatAngle(isInner ? angle : 180 - angle),
    formula: 'cos φ = a · b',
    notes: `${isInner ? 'Held into the angle between' : 'Held against the outside of'} ${first.word} and ${againstWords(gauge, other)}, square to their joint: ${formatAngle(angle)} from one to the other.`,
    map,
  };
}

const againstWords = ({ against }: Gauge, { word }: Side): string =>
  against === 'mirror'
    ? 'its mirror image'
    : against === 'part'
      ? word
      : against === 'table'
        ? 'the table'
        : 'the upright middle plane';

/** A way with the sign that brings it nearest to another. */
const pointing = (way: Point3, to: Point3): Point3 => times3(unit3(way), dot3(way, to) < 0 ? -1 : 1);
/** Across a firewall: to starboard, or up. */
const wayAcross = (way: Point3): Point3 =>
  Math.abs(way.y) > Math.abs(way.z) ? pointing(way, point3(0, 1, 0)) : pointing(way, point3(0, 0, 1));

/** What lies on each arm, printed on it: so it is clear which way up it goes. */
const armMarks = (
  from: readonly [Point, Point],
  to: readonly [Point, Point],
  words: readonly [string, string],
): GaugePlate['lines'] => [
  gaugeMark('print-first-arm', ...from, words[0]),
  gaugeMark('print-second-arm', ...to, words[1]),
];

function innerPlate(
  { name }: Gauge,
  angle: number,
  firstMm: number,
  secondMm: number,
  first: string,
  second: string,
): GaugePlate {
  const turned = (along: number, off: number): Point => {
    const [cos, sin] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
    return { x: along * cos + off * sin, y: along * sin - off * cos };
  };
  if (angle < WEDGE_DEGREES)
    return {
      outline: wedgeOutline(angle, firstMm),
      lines: [
        gaugeMark(
          'print-first-arm',
          { x: 0.5 * firstMm, y: 1 },
          { x: 0.95 * firstMm, y: 1 },
          `${name}: ${first} below, ${second} above`,
        ),
      ],
    };
  return {
    outline: cornerOutline(angle, firstMm, secondMm),
    lines: armMarks(
      [
        { x: 0.35 * firstMm, y: 4 },
        { x: 0.85 * firstMm, y: 4 },
      ],
      [turned(0.35 * secondMm, 4), turned(0.85 * secondMm, 4)],
      [`${name} ${formatAngle(angle)}: ${first}`, second],
    ),
  };
}

function outerPlate(
  { name }: Gauge,
  turnDegrees: number,
  firstMm: number,
  secondMm: number,
  first: string,
  second: string,
): GaugePlate {
  const [cos, sin] = [Math.cos((turnDegrees * Math.PI) / 180), Math.sin((turnDegrees * Math.PI) / 180)];
  const turned = (along: number): Point => ({
    x: along * cos + (ARM_MM / 2) * sin,
    y: along * sin - (ARM_MM / 2) * cos,
  });
  return {
    outline: angleOutline(turnDegrees, firstMm, secondMm),
    lines: armMarks(
      [
        { x: -firstMm + 6, y: -ARM_MM / 2 },
        { x: -8, y: -ARM_MM / 2 },
      ],
      [turned(0.3 * secondMm), turned(0.9 * secondMm)],
      [`${name} ${formatAngle(turnDegrees)}: ${first}`, second],
    ),
  };
}
