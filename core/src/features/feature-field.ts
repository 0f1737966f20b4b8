import { formatAngle, lengthText } from '../units/index.ts';
import { lettersMissing } from './stroke-letters.ts';

/** A turn of a feature, in degrees. */
const TURN_DEGREES = 360;
/** Sizes of what grows with the airframe, as they may come out of scaling, in mm. */
const GROWN_SIZE_MM = { least: 0.01, most: 10_000 } as const;
/** Places along an edge, in mm: the longest edge between two corners of the drawing. */
export const FURTHEST_STATION_MM = 20_000;
export const MOST_STATION_MARKS = 200;
export const LONGEST_STATION_NAME = 40;
export const LONGEST_FEATURE_TEXT = 80;
/** A tab row that slots are cut to, as part id/feature id; empty while none is chosen. */
export const MATE_PATTERN = /^$|^[A-Za-z0-9_-]{1,40}\/f\d{1,12}$/;

/** One number, word or choice of a feature that a builder sets. Slip, commands and the project file all read it. */
export interface FeatureField {
  readonly key: string;
  readonly word: string;
  readonly kind: 'length' | 'angle' | 'count' | 'text' | 'material' | 'choice' | 'mate' | 'places';
  /** Bounds of a number as a builder sets it, both included. */
  readonly least?: number;
  readonly most?: number;
  readonly choices?: readonly (readonly [string, string])[];
  /** Whether it may follow the measured boards instead. */
  readonly auto?: boolean;
  /** Whether it is scaled with the airframe, so that a file may hold a size that no builder would set. */
  readonly grows?: boolean;
}

/** The numbers that a file may hold in a field, both included. */
export function storedBounds({ least = -TURN_DEGREES, most = TURN_DEGREES, grows }: FeatureField): {
  readonly least: number;
  readonly most: number;
} {
  return grows ? { least: Math.min(least, GROWN_SIZE_MM.least), most: GROWN_SIZE_MM.most } : { least, most };
}

/** Why a file cannot hold a value in a field, or undefined: what was scaled or written elsewhere may lie outside what a builder sets. */
export function storedFieldFault(field: FeatureField, value: unknown): string | undefined {
  if (field.kind === 'text')
    return typeof value === 'string' && value.length <= LONGEST_FEATURE_TEXT
      ? undefined
      : `Words have at most ${LONGEST_FEATURE_TEXT} letters.`;
  return featureFieldFault({ ...field, ...storedBounds(field) }, value);
}

/** Why a value that a builder sets does not suit a field, or undefined. */
export function featureFieldFault(field: FeatureField, value: unknown): string | undefined {
  if (field.auto && value === 'auto') return undefined;
  switch (field.kind) {
    case 'length':
    case 'angle':
    case 'count':
      return numberFault(field, value);
    case 'choice':
      return field.choices!.some(([name]) => name === value)
        ? undefined
        : `${field.word} cannot be "${String(value)}".`;
    case 'material':
      return typeof value === 'string' && value.length <= LONGEST_FEATURE_TEXT
        ? undefined
        : `${field.word} needs a name of up to ${LONGEST_FEATURE_TEXT} letters.`;
    case 'mate':
      return typeof value === 'string' && MATE_PATTERN.test(value) ? undefined : `${field.word} needs a tab row.`;
    case 'text':
      return textFault(value);
    case 'places':
      return placesFault(value);
  }
}

const quantity = (value: number, kind: FeatureField['kind']): string =>
  kind === 'angle' ? formatAngle(value) : lengthText(value, value === Math.round(value) ? 0 : 1);

function numberFault({ word, kind, least = -TURN_DEGREES, most = TURN_DEGREES }: FeatureField, value: unknown) {
  if (typeof value === 'number' && value >= least && value <= most && (kind !== 'count' || Number.isInteger(value)))
    return undefined;
  return kind === 'count'
    ? `${word}: a whole number from ${least} to ${most}, got ${String(value)}.`
    : `${word} goes from ${quantity(least, kind)} to ${quantity(most, kind)}, got ${typeof value === 'number' ? quantity(value, kind) : String(value)}.`;
}

function textFault(value: unknown): string | undefined {
  if (typeof value !== 'string' || value.trim() === '' || value.length > LONGEST_FEATURE_TEXT)
    return `Words need 1 to ${LONGEST_FEATURE_TEXT} letters.`;
  const missing = lettersMissing(value);
  return missing.length > 0
    ? `There are no strokes for ${missing.map((letter) => `"${letter}"`).join(', ')}: leave ${missing.length === 1 ? 'it' : 'them'} out.`
    : undefined;
}

function placesFault(value: unknown): string | undefined {
  if (!Array.isArray(value) || value.length > MOST_STATION_MARKS)
    return `At most ${MOST_STATION_MARKS} stations can be marked.`;
  const bad = value.findIndex((place: unknown) => {
    const { atMm, name } = (place ?? {}) as { atMm?: unknown; name?: unknown };
    return !(
      typeof atMm === 'number' &&
      atMm >= 0 &&
      atMm <= FURTHEST_STATION_MM &&
      typeof name === 'string' &&
      name.length <= LONGEST_STATION_NAME
    );
  });
  return bad >= 0
    ? `Station ${bad + 1} needs a place of 0 or more and a name of up to ${LONGEST_STATION_NAME} letters.`
    : undefined;
}
