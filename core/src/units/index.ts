export { degrees, degreesBetween, normaliseDegrees, radians, withinFullTurn } from './angle.ts';
export { CoreError, type CoreErrorCode } from './core-error.ts';
export { defined } from './defined.ts';
export {
  countOf,
  decimalLength,
  formatAngle,
  formatBareMass,
  formatLength,
  formatLengthWithUnit,
  formatMass,
  formatPrice,
  formatRounded,
  formatRunLength,
  ouncesOf,
} from './format-length.ts';
export {
  LOADING_WORDS,
  formatLoading,
  formatSpeed,
  formatThrust,
  formatWingArea,
  fromLoading,
  toLoading,
} from './flight-quantities.ts';
export { formatArea, formatBoardArea } from './format-area.ts';
export { LENGTH_UNITS, type LengthUnit, MM_PER_INCH } from './length-unit.ts';
export { MASS_PER_AREA, type MassPerArea, fromMassPerArea, toMassPerArea, usualMassPerArea } from './mass-per-area.ts';
export { identityOf, memo } from './memo.ts';
export { bareLengthText, lengthText, roundLengthText, sizeText, worded } from './quantity-text.ts';
export { parseLength, parseNumber } from './parse-length.ts';
export { type RandomSource, seededRandom } from './random.ts';
export { stableHash } from './stable-hash.ts';
