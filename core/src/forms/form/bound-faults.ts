import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import { blocking } from './blocking.ts';
import type { FormField } from './form-field.ts';
import type { FormContext, FormFault } from './form.ts';
import { parameterAt } from './parameter-path.ts';

/** A number of a form in words. */
export const quantity = (value: number, { kind }: FormField, { unit }: Pick<FormContext, 'unit'>): string =>
  kind === 'length'
    ? formatLengthWithUnit(value, unit)
    : kind === 'angle'
      ? formatAngle(value)
      : kind === 'percent'
        ? `${value} %`
        : String(value);

/** A number of a form by its path, with its bounds. */
export type FormNumber = readonly [path: string, field: FormField];

/** The numbers of a group of fields, under the path of the group with its dot. */
export const numbersUnder = (prefix: string, fields: Readonly<Record<string, FormField>>): readonly FormNumber[] =>
  Object.entries(fields).map(([key, field]) => [`${prefix}${key}`, field] as const);

/** Numbers that are none or out of their bounds, with the nearest that is within. */
export function boundFaults(
  parameters: object,
  numbers: readonly FormNumber[],
  context: Pick<FormContext, 'unit'>,
): readonly FormFault[] {
  return numbers.flatMap(([path, field]): readonly FormFault[] => {
    const value = parameterAt(parameters, path);
    if (value === undefined && field.isOptional) return [];
    const isWhole = field.kind !== 'count' || Number.isInteger(value);
    if (typeof value === 'number' && value >= field.least && value <= field.most && isWhole) return [];
    const known = typeof value === 'number' && Number.isFinite(value) ? Math.round(value * 1e6) / 1e6 : field.least;
    const whole = field.kind === 'count' ? Math.round(known) : known;
    const nearest = Math.min(field.most, Math.max(field.least, whole));
    return [
      blocking(
        'OUT_OF_BOUNDS',
        path,
        `${field.word}: ${typeof value === 'number' && Number.isFinite(value) ? quantity(value, field, context) : 'no number'}`,
        `It is from ${quantity(field.least, field, context)} to ${quantity(field.most, field, context)}.`,
        `Set ${quantity(nearest, field, context)}`,
        [{ path, value: nearest }],
      ),
    ];
  });
}
