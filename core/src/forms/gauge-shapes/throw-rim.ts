import type { Point } from '../../geometry/index.ts';
import { formatAngle, formatLengthWithUnit, radians, type LengthUnit } from '../../units/index.ts';
import type { MadeCorner, MadeLine } from '../form/index.ts';
import { gaugeCorner, gaugeMark } from './gauge-marks.ts';

/** How far what is hinged travels, and how deep it is from its hinge to its edge. */
export interface Throw {
  readonly chordMm: number;
  readonly upDegrees: number;
  readonly downDegrees: number;
}

/** Steps of a rim, in degrees, and how far it goes on past the throw. */
const RIM_DEGREES = 3;
const PAST_DEGREES = 8;
/** How far the foot reaches forward under what stands still, and how deep it is. */
const FOOT_MM = { long: 45, deep: 18 } as const;
/** The rim lies this much past the edge that it measures. */
const rimOf = ({ chordMm }: Throw): number => 1.25 * chordMm + 12;

const at = (degrees: number, r: number): Point => ({
  x: r * Math.cos(radians(degrees)),
  y: r * Math.sin(radians(degrees)),
});

/** A rim about a hinge that lies at the origin, what is hinged aft along x, with a foot before it. */
export function throwOutline(own: Throw): readonly MadeCorner[] {
  const radius = rimOf(own),
    [up, down] = [own.upDegrees + PAST_DEGREES, own.downDegrees + PAST_DEGREES];
  const steps = Math.ceil((up + down) / RIM_DEGREES);
  const rim = Array.from({ length: steps + 1 }, (_, step) => at(up - ((up + down) * step) / steps, radius));
  return [
    gaugeCorner(-FOOT_MM.long, 0, 'foot'),
    gaugeCorner(0, 0, 'upper'),
    ...rim.map(({ x, y }, index) => gaugeCorner(x, y, index === rim.length - 1 ? 'lower' : `rim-${index + 1}`)),
    gaugeCorner(-FOOT_MM.long, -FOOT_MM.deep, 'fore'),
  ];
}

/** The full and the half throw both ways, told in degrees and as far as the edge moves. */
export function throwMarks(own: Throw, unit: LengthUnit): readonly MadeLine[] {
  const radius = rimOf(own);
  return [-own.downDegrees, -own.downDegrees / 2, 0, own.upDegrees / 2, own.upDegrees].flatMap(
    (degrees, index): readonly MadeLine[] => {
      if (degrees === 0 && index !== 2) return [];
      const edge = own.chordMm * Math.sin(radians(Math.abs(degrees)));
      const words = degrees === 0 ? '0' : `${formatAngle(Math.abs(degrees))} ${formatLengthWithUnit(edge, unit)}`;
      return [gaugeMark(`throw-${index}`, at(degrees, 0.55 * radius), at(degrees, radius - 1), words)];
    },
  );
}
