import type { PowerParameters } from './parameters.ts';

/** A power box of another size: what follows the motor, its bolts, its leads and its propeller stays. */
export const scalePower = (power: PowerParameters, factor: number): PowerParameters => ({
  ...power,
  insideWidthMm: power.insideWidthMm * factor,
  insideHeightMm: power.insideHeightMm * factor,
  lengthMm: power.lengthMm * factor,
  lineMm: power.lineMm * factor,
  ...(power.dowels
    ? {
        dowels: {
          ...power.dowels,
          firstMm: power.dowels.firstMm * factor,
          apartMm: power.dowels.apartMm * factor,
          upMm: power.dowels.upMm * factor,
        },
      }
    : {}),
});

/** The sheets that a power box's parts are cut from. */
export const powerMaterials = ({ material, plateMaterial }: PowerParameters): readonly string[] => [
  material,
  plateMaterial,
];
