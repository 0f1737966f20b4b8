import { formatAngle, lengthText } from '../units/index.ts';

/** Bounds of an angle that can be written down; whether it can be cut is for the checks to say. */
export const ANGLE_BOUNDS = { least: -180, most: 180 } as const;
/** Bounds of a width or depth in mm. */
export const SIZE_BOUNDS = { least: 0.001, most: 1000 } as const;

/** One number or choice of a kind of work. Slip, mat, commands and the project file all read it here. */
export interface OperationField {
  readonly key: string;
  /** What it is called on the slip: `Folds to`. */
  readonly word: string;
  /** What it is called in a message: `fold`. */
  readonly name: string;
  /** Angles in degrees, lengths in mm, counts of boards. */
  readonly kind: 'angle' | 'length' | 'count' | 'choice';
  /** Bounds of a number, both included. */
  readonly least?: number;
  readonly most?: number;
  readonly choices?: readonly (readonly [value: string | number, word: string])[];
  /** What it does when it is `auto` instead of a number: `follows the measured board`. */
  readonly auto?: string;
  /** May be left out: the airframe's way of making folds says it. */
  readonly isFromAirframe?: boolean;
  /** May be left out: it is this then. */
  readonly usual?: number | string;
  /** Whether it is the number written on the line, which is typed there too. */
  readonly isOnLine?: boolean;
  /** Only with another field at a value. */
  readonly onlyWith?: readonly [key: string, value: string];
}

/** Whether a field may be missing. */
export const isOptionalField = ({ isFromAirframe, usual }: OperationField): boolean =>
  isFromAirframe === true || usual !== undefined;

const quantity = (value: number, { kind }: OperationField): string =>
  kind === 'angle'
    ? formatAngle(value)
    : kind === 'length'
      ? lengthText(value, value === Math.round(value) ? 0 : 1)
      : String(value);

/** The values that a field takes, in words: `from 5° to 80°`, `knife, tool or sanded`. */
export function fieldRange(field: OperationField): string {
  if (field.choices) {
    const values = field.choices.map(([value]) => String(value));
    return `${values.slice(0, -1).join(', ')} or ${values.at(-1)}`;
  }
  return `from ${quantity(field.least!, field)} to ${quantity(field.most!, field)}`;
}

/** Whether a value may stand in a field; a missing one where it may be missing. */
export function isFieldValue(field: OperationField, value: unknown): boolean {
  if (value === undefined) return isOptionalField(field);
  if (field.auto !== undefined && value === 'auto') return true;
  if (field.choices) return field.choices.some(([one]) => one === value);
  if (typeof value !== 'number' || !(value >= field.least! && value <= field.most!)) return false;
  return field.kind !== 'count' || Number.isInteger(value);
}
