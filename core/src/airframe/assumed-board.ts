/** Thickness and areal mass figured with while a material is not in stock. */
export const ASSUMED_BOARD = { thicknessMm: 5, gramsPerSquareMetre: 480 } as const;
