/** Standard gravity in m/s². @source ISO 80000-3 */
export const GRAVITY = 9.80665;
/** Air at sea level and 15 °C, kg/m³. @source ISO 2533 */
export const STANDARD_DENSITY = 1.225;
const MM2_PER_DM2 = 10_000,
  MM2_PER_M2 = 1e6;

/** Mass over wing area, g/dm². */
export const wingLoading = (massG: number, areaMm2: number): number => massG / (areaMm2 / MM2_PER_DM2);

/** Mass over wing area to the power of 1.5, kg/m³: the same for models of one shape and any size. */
export const cubicLoading = (massG: number, areaMm2: number): number => massG / 1000 / (areaMm2 / MM2_PER_M2) ** 1.5;

/**
 * Slowest level flight, m/s.
 * @param liftCoefficient greatest that the section reaches, stated beside the figure
 * @source m·g = ρ/2·v²·S·CL
 */
export const stallSpeed = (
  massG: number,
  areaMm2: number,
  liftCoefficient: number,
  density: number = STANDARD_DENSITY,
): number => Math.sqrt((2 * (massG / 1000) * GRAVITY) / (density * (areaMm2 / MM2_PER_M2) * liftCoefficient));

/**
 * Static thrust of a propeller in newtons, an estimate: what an ideal disc makes of the power, times what real ones reach.
 * @param shareOfIdeal 0.5 to 0.7 for small propellers
 * @source momentum theory: T = (2·ρ·A·P²)^(1/3)
 */
export function staticThrust(
  powerW: number,
  diameterMm: number,
  shareOfIdeal: number,
  density: number = STANDARD_DENSITY,
): number {
  const discM2 = (Math.PI * (diameterMm / 1000) ** 2) / 4;
  return shareOfIdeal * Math.cbrt(2 * density * discM2 * powerW ** 2);
}

/** Thrust over weight. */
export const thrustToWeight = (thrustN: number, massG: number): number => thrustN / ((massG / 1000) * GRAVITY);
