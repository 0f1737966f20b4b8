import {
  cross3,
  dot3,
  subtract3,
  times3,
  unit3,
  type Point,
  type Point3,
  type RigidMap,
} from '../../geometry/index.ts';
import { formatAngle } from '../../units/index.ts';
import type { StandingAirframe } from '../form/index.ts';
import { angleOutline, ARM_MM, cornerOutline, gaugeMark, wedgeOutline } from '../gauge-shapes/index.ts';
import type { GaugePlate, LaidGauge } from './laid-gauge.ts';
import { cornerBetween, reachFrom, type Side, type Miss } from '../standing/index.ts';
import type { Gauge } from './parameters.ts';

/** An angle narrower than this is a wedge, not a corner. */
const WEDGE_DEGREES = 20;
/** Arms outside of an angle turn at most so far. */
const MOST_TURN_DEGREES = 120;
/** Arms end at this share of the plate that they lie on. */
const REACH_SHARE = 0.8;

/** A gauge for the angle between a part and another, its mirror image, the table or the upright middle plane. */
export function angleGauge(gauge: Gauge, standing: StandingAirframe): LaidGauge | Miss {
  const corner = cornerBetween(gauge, standing);
  if ('code' in corner) return corner;
  const { first, other, a, b, angle, isInner, foot } = corner;
  if (!isInner && 180 - angle > MOST_TURN_DEGREES)
    return {
      code: 'ANGLE_SHUT',
      title: `${first.word} and ${other.word} shut an angle of ${formatAngle(angle)}`,
      detail: 'No gauge goes into it, and arms outside of it would not reach. Measure one of them from the table.',
      mend: { label: 'Measure from the table', key: 'against', value: 'table' },
    };
  const reach = (side: Side, way: Point3): number =>
    Math.min(gauge.reachMm, Math.max(ARM_MM, REACH_SHARE * reachFrom(side, foot, way)));
  const [firstMm, secondMm] = [reach(first, a), Math.min(reach(first, a), reach(other, b))];
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
