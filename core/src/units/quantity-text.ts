import { formatLength, formatLengthWithUnit, formatRounded } from './format-length.ts';
import type { LengthUnit } from './length-unit.ts';

/**
 * Texts of faults and refusals are made where no unit is known, and are kept for every unit: lengths stand in them as marks, which are
 * worded where the text is told. The marks are private-use characters, which nobody types.
 */
const [OPEN, NEXT, CLOSE] = ['\uE000', '\uE001', '\uE002'];
const MARKED = new RegExp(`${OPEN}([^${NEXT}]*)${NEXT}([0-9]*)${NEXT}([a-z]*)${CLOSE}`, 'g');

const marked = (mm: number, decimals: number, how: 'full' | 'bare' | 'round'): string =>
  `${OPEN}${mm}${NEXT}${decimals}${NEXT}${how}${CLOSE}`;

/**
 * A length in a text that is worded later.
 * @param decimals decimals when it is told in millimetres
 * @example worded(`stops ${lengthText(3.2)} before the edge`, 'mm') // 'stops 3.2 mm before the edge'
 */
export const lengthText = (mm: number, decimals = 1): string => marked(mm, decimals, 'full');
/** A length without its unit, where the unit stands beside it. */
export const bareLengthText = (mm: number, decimals = 1): string => marked(mm, decimals, 'bare');
/** A length that is a limit by rule of thumb: to the nearest whole millimetre or sixteenth of an inch. */
export const roundLengthText = (mm: number): string => marked(mm, 0, 'round');
/** Two sizes with one unit: `700 × 500 mm`. */
export const sizeText = (widthMm: number, heightMm: number, decimals = 1): string =>
  `${bareLengthText(widthMm, decimals)} × ${lengthText(heightMm, decimals)}`;

/** A text with its lengths in the builder's unit. */
export const worded = (text: string, unit: LengthUnit): string =>
  text.includes(OPEN)
    ? text.replace(MARKED, (_, mm: string, decimals: string, how: string) =>
        how === 'round'
          ? `${formatRounded(Number(mm), unit)} ${unit}`
          : (how === 'bare' ? formatLength : formatLengthWithUnit)(Number(mm), unit, Number(decimals)),
      )
    : text;
