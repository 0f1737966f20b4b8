import { MM_PER_INCH, type LengthUnit } from './length-unit.ts';

/** An area as builders say it: square centimetres with one decimal, square inches with two. */
export const formatArea = (areaMm2: number, unit: LengthUnit): string =>
  unit === 'in' ? `${(areaMm2 / MM_PER_INCH ** 2).toFixed(2)} in²` : `${(areaMm2 / 100).toFixed(1)} cm²`;
