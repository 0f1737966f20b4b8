/** The two systems a builder works in: decimal millimetres, or inches with fractions. */
export const LENGTH_UNITS = ['mm', 'in'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

export const MM_PER_INCH = 25.4;

/** Millimetres in one of the unit. */
export const mmPer = (unit: LengthUnit): number => (unit === 'mm' ? 1 : MM_PER_INCH);
