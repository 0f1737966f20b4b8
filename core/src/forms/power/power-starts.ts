import { MM_PER_INCH, type LengthUnit } from '../../units/index.ts';
import type { BoxDowels, PowerParameters } from './parameters.ts';

/** The few numbers that a power box starts from. */
export interface PowerStart {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly lengthMm: number;
  readonly rightDegrees: number;
  readonly downDegrees: number;
  readonly material: string;
}

/** Numbers to begin with. */
export const usualPower = (unit: LengthUnit): Omit<PowerStart, 'material'> => ({
  ...(unit === 'in'
    ? { widthMm: 1.625 * MM_PER_INCH, heightMm: 1.625 * MM_PER_INCH, lengthMm: 3 * MM_PER_INCH }
    : { widthMm: 40, heightMm: 40, lengthMm: 80 }),
  rightDegrees: 2,
  downDegrees: 3,
});

/** A doubled box with a motor on an unequal cross in the middle of its height, two plates before it and one within. */
export const powerFromNumbers = (
  { widthMm, heightMm, lengthMm, rightDegrees, downDegrees, material }: PowerStart,
  plateMaterial: string,
): PowerParameters => ({
  material,
  plateMaterial,
  insideWidthMm: widthMm,
  insideHeightMm: heightMm,
  lengthMm,
  walls: 'doubled',
  lineMm: heightMm / 2,
  rightDegrees,
  downDegrees,
  reachMm: 32,
  frontLayers: 1,
  plugLayers: 1,
  pattern: { kind: 'unequal cross', firstMm: 25, secondMm: 19, bolts: 4, boltMm: 3, turnDegrees: 0, shaftMm: 6 },
  leadMm: 5,
  leadDownMm: 12.5,
  propellerMm: 200,
});

/** Two dowels through the box where its height is halved, in its rear half. */
export const usualBoxDowels = ({ insideHeightMm, lengthMm }: PowerParameters): BoxDowels => ({
  count: 2,
  acrossMm: 3,
  firstMm: Math.round(0.5 * lengthMm),
  apartMm: Math.round(0.3 * lengthMm),
  upMm: Math.round(insideHeightMm / 2),
});
