import type { LengthUnit } from './length-unit.ts';

/** What the mass of a board by its area is told in. */
export const MASS_PER_AREA = ['g/m²', 'oz/sq yd'] as const;
export type MassPerArea = (typeof MASS_PER_AREA)[number];

/** Grams a square metre in one ounce a square yard: 28.349523125 g over 0.9144² m². */
const GRAMS_PER_SQUARE_METRE = { 'g/m²': 1, 'oz/sq yd': 28.349523125 / 0.9144 ** 2 } as const;

/** What it is told in when the builder has not said: ounces for one who builds in inches. */
export const usualMassPerArea = (unit: LengthUnit): MassPerArea => (unit === 'in' ? 'oz/sq yd' : 'g/m²');
/** A mass by area as a number of its unit. */
export const toMassPerArea = (gramsPerSquareMetre: number, unit: MassPerArea): number =>
  gramsPerSquareMetre / GRAMS_PER_SQUARE_METRE[unit];
/** A number of a unit in g/m². */
export const fromMassPerArea = (value: number, unit: MassPerArea): number => value * GRAMS_PER_SQUARE_METRE[unit];
