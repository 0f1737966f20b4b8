import Fraction from 'fraction.js';
import { MM_PER_INCH, type LengthUnit } from './length-unit.ts';

/**
 * Writes a length the way the builder reads it: decimals for millimetres, the nearest 1/64 for inches.
 * An inch value further than 0.002 in from every 64th is written in decimals, so that no figure lies.
 *
 * @param mm length
 * @param unit unit to write in
 * @param decimals decimals for millimetres
 * @returns the figure without its unit
 * @example formatLength(187.325, 'in') // '7 3/8'
 */
export function formatLength(mm: number, unit: LengthUnit, decimals = 1): string {
  if (!Number.isFinite(mm)) return '–';
  if (unit === 'mm') return withoutNegativeZero(mm.toFixed(decimals));
  const inches = mm / MM_PER_INCH;
  const sixtyFourths = Math.round(Math.abs(inches) * 64);
  if (Math.abs(Math.abs(inches) - sixtyFourths / 64) > 0.002) return withoutNegativeZero(inches.toFixed(3));
  const text = new Fraction(sixtyFourths, 64).toFraction(true);
  return inches < 0 && sixtyFourths > 0 ? `-${text}` : text;
}

/** The figure with its unit: `187.3 mm`, `7 3/8 in`. */
export const formatLengthWithUnit = (mm: number, unit: LengthUnit, decimals = 1): string =>
  `${formatLength(mm, unit, decimals)} ${unit}`;

/** A length to the nearest whole millimetre or sixteenth of an inch, where more would say more than is known. */
export const formatRounded = (mm: number, unit: LengthUnit): string =>
  formatLength(unit === 'mm' ? Math.round(mm) : (Math.round((mm / MM_PER_INCH) * 16) * MM_PER_INCH) / 16, unit, 0);

/** A long run of work, such as all cuts through: `15.6 m`, or `51.0 ft` for builders in inches. */
export const formatRunLength = (mm: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${(mm / 1000).toFixed(1)} m` : `${(mm / MM_PER_INCH / 12).toFixed(1)} ft`;

/** `1 board`, `3 boards`. */
export const countOf = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

/** Angle with at most one decimal and the degree sign: `22.5°`, `90°`. */
export function formatAngle(angleDegrees: number): string {
  return `${withoutNegativeZero(angleDegrees.toFixed(1)).replace(/\.0$/, '')}°`;
}

const GRAMS_PER_OUNCE = 28.349523125;
export const ouncesOf = (grams: number): number => grams / GRAMS_PER_OUNCE;
/** Mass in grams, one decimal under 100 g; builders in inches read ounces beside it. */
export const formatMass = (grams: number, unit: LengthUnit = 'mm'): string => {
  const inGrams = `${grams.toFixed(grams < 100 ? 1 : 0)} g`,
    ounces = ouncesOf(grams);
  return unit === 'mm' ? inGrams : `${inGrams} · ${ounces.toFixed(ounces < 10 ? 2 : 1)} oz`;
};

/** Mass where there is room for one number: grams, or ounces for builders in inches. */
export function formatBareMass(grams: number, unit: LengthUnit): string {
  if (unit === 'mm') return formatMass(grams);
  const ounces = ouncesOf(grams);
  return `${ounces.toFixed(ounces < 10 ? 2 : 1)} oz`;
}

/** A price with two decimals: a sign stands before it, `€ 4.50`, letters behind it, `4.50 USD`. */
export const formatPrice = (price: number, currency = ''): string =>
  currency === ''
    ? price.toFixed(2)
    : /^\p{L}/u.test(currency)
      ? `${price.toFixed(2)} ${currency}`
      : `${currency} ${price.toFixed(2)}`;

const withoutNegativeZero = (figure: string): string => (/^-0(\.0*)?$/.test(figure) ? figure.slice(1) : figure);

/**
 * A length as a plain decimal number of the unit, without its word: for columns and coordinates, where fractions would not line up.
 * @param decimals of the unit's own number; a tenth of a millimetre or a thousandth of an inch when nothing is said
 */
export const decimalLength = (mm: number, unit: LengthUnit, decimals = unit === 'mm' ? 1 : 3): string =>
  withoutNegativeZero((unit === 'mm' ? mm : mm / MM_PER_INCH).toFixed(decimals));
