import { formatMass, ouncesOf } from './format-length.ts';
import { MM_PER_INCH, type LengthUnit } from './length-unit.ts';

const MM2_PER_DM2 = 10_000,
  MM2_PER_SQ_IN = MM_PER_INCH ** 2,
  SQ_FT_PER_DM2 = MM2_PER_DM2 / (12 * MM_PER_INCH) ** 2,
  FEET_PER_METRE = 1000 / (12 * MM_PER_INCH);

/** The area of a wing or tail as flyers say it: `18.4 dm²`, `285 sq in`. */
export const formatWingArea = (areaMm2: number, unit: LengthUnit): string =>
  unit === 'in' ? `${(areaMm2 / MM2_PER_SQ_IN).toFixed(0)} sq in` : `${(areaMm2 / MM2_PER_DM2).toFixed(1)} dm²`;

/** A wing loading: `31 g/dm²`, `10.2 oz/sq ft`. @param loading in g/dm² */
export const formatLoading = (loading: number, unit: LengthUnit): string =>
  unit === 'in'
    ? `${(ouncesOf(loading) / SQ_FT_PER_DM2).toFixed(1)} oz/sq ft`
    : `${loading.toFixed(loading < 10 ? 1 : 0)} g/dm²`;
/** The same as a number in the builder's unit, and back. */
export const toLoading = (loading: number, unit: LengthUnit): number =>
  unit === 'in' ? ouncesOf(loading) / SQ_FT_PER_DM2 : loading;
export const fromLoading = (value: number, unit: LengthUnit): number =>
  unit === 'in' ? value / toLoading(1, 'in') : value;
export const LOADING_WORDS: Readonly<Record<LengthUnit, string>> = { mm: 'g/dm²', in: 'oz/sq ft' };

/** A speed of flight: `7.4 m/s`, `24 ft/s`. */
export const formatSpeed = (metresPerSecond: number, unit: LengthUnit): string =>
  unit === 'in' ? `${(metresPerSecond * FEET_PER_METRE).toFixed(0)} ft/s` : `${metresPerSecond.toFixed(1)} m/s`;

/** The thrust of a propeller as the mass that it would hold up. @param newtons at standard gravity */
export const formatThrust = (newtons: number, unit: LengthUnit): string => formatMass((newtons / 9.80665) * 1000, unit);
