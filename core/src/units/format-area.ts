import { MM_PER_INCH, type LengthUnit } from './length-unit.ts';

/** An area as builders say it: square centimetres with one decimal, square inches with two. */
export const formatArea = (areaMm2: number, unit: LengthUnit): string =>
  unit === 'in' ? `${(areaMm2 / MM_PER_INCH ** 2).toFixed(2)} sq in` : `${(areaMm2 / 100).toFixed(1)} cm²`;

const SQUARE_FOOT_MM2 = (12 * MM_PER_INCH) ** 2;
/** The area of boards: square metres, or square feet. */
export const formatBoardArea = (areaMm2: number, unit: LengthUnit): string =>
  unit === 'in' ? `${(areaMm2 / SQUARE_FOOT_MM2).toFixed(1)} sq ft` : `${(areaMm2 / 1e6).toFixed(2)} m²`;
