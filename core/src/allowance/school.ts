import { CoreError, radians } from '../units/index.ts';
import { LARGEST_GROOVE_FOLD_DEGREES, mitreBevelAngle, mitreMouthWidth, STEEPEST_BEVEL_DEGREES } from './mitre.ts';

/** How the foam of a groove is taken out: by two knife bevels, a tool of a fixed angle, a sanding block, or a square cut that glue fills. */
export type GrooveSchool = 'knife' | 'tool' | 'sanded' | 'square';
export const GROOVE_SCHOOLS: readonly GrooveSchool[] = ['knife', 'tool', 'sanded', 'square'];

/** Tilts that bevel tools are made with, in degrees from the normal. */
export const LEAST_TOOL_DEGREES = 5;
export const MOST_TOOL_DEGREES = 80;
/** Tilt of the usual bevel tool from the board's normal. */
export const USUAL_TOOL_DEGREES = 45;
/** Steepest face that a sanding block keeps true. */
const STEEPEST_SANDED_DEGREES = 75;

/** How a groove is cut. */
export interface GrooveCut {
  readonly school: GrooveSchool;
  /** Tilt of the tool from the normal; of no account in the other schools. */ readonly toolDegrees: number;
}

/** Largest turn that a groove of a school can take. A tool's groove closes at twice its tilt. */
export function largestFoldOf({ school, toolDegrees }: GrooveCut): number {
  switch (school) {
    case 'sanded':
      return 2 * STEEPEST_SANDED_DEGREES;
    case 'tool':
      return Math.min(2 * toolDegrees, 2 * STEEPEST_BEVEL_DEGREES);
    case 'knife':
    case 'square':
      return LARGEST_GROOVE_FOLD_DEGREES;
  }
}

/** Tilt of a groove's walls from the board's normal: half the fold, the tool's own, or none. */
export function grooveWallDegrees(foldDegrees: number, { school, toolDegrees }: GrooveCut): number {
  if (school === 'square') return 0;
  return school === 'tool' ? toolDegrees : mitreBevelAngle(foldDegrees);
}

/**
 * Mouth of a groove as a school cuts it: the least that lets both lips come together, or what the tool leaves.
 * @param foldDegrees in [0, 180)
 * @throws CoreError OUT_OF_RANGE when the tool's tilt is outside (0, 90)
 * @example schoolMouthWidth(60, 5, { school: 'tool', toolDegrees: 45 }) // 10, where a knife cuts 5.8
 */
export function schoolMouthWidth(foldDegrees: number, thicknessMm: number, { school, toolDegrees }: GrooveCut): number {
  if (school !== 'tool') return mitreMouthWidth(foldDegrees, thicknessMm);
  if (!(toolDegrees > 0 && toolDegrees < 90))
    throw new CoreError('OUT_OF_RANGE', `toolDegrees must be in (0, 90), got ${toolDegrees}`, { toolDegrees });
  return 2 * thicknessMm * Math.tan(radians(toolDegrees));
}

/**
 * How far both lips of a groove stand apart when it is folded: w·cos(φ/2) - 2·t·sin(φ/2); below 0 they press.
 * @source each lip lies w/2 beside the hinge and t above it, and turns by half the fold
 * @example foldedMouthGap(60, 10, 5) // 3.66
 */
export const foldedMouthGap = (foldDegrees: number, mouthMm: number, thicknessMm: number): number =>
  mouthMm * Math.cos(radians(foldDegrees / 2)) - 2 * thicknessMm * Math.sin(radians(foldDegrees / 2));

/**
 * Section of the space that glue has to fill once a groove is folded, in mm²: none for walls that meet.
 * @source half of it is the polygon hinge, foot of the wall, lip, and the lip's foot on the plane that halves the fold
 * @example glueSection(90, 10, 5, 'square') // 25
 */
export function glueSection(foldDegrees: number, mouthMm: number, thicknessMm: number, school: GrooveSchool): number {
  const half = radians(foldDegrees / 2),
    cos = Math.cos(half),
    sin = Math.sin(half);
  const turned = (x: number, y: number): readonly [number, number] => [x * cos - y * sin, x * sin + y * cos];
  const lip = turned(mouthMm / 2, thicknessMm);
  const corners = [
    [0, 0] as const,
    ...(school === 'square' ? [turned(mouthMm / 2, 0)] : []),
    lip,
    [0, lip[1]] as const,
  ];
  const twice = corners.reduce((sum, [x, y], index) => {
    const [u, v] = corners[(index + 1) % corners.length]!;
    return sum + x * v - u * y;
  }, 0);
  return Math.max(0, twice);
}
