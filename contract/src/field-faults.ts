import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';

/** A field that does not keep its rule. */
export interface FieldFault {
  readonly field: string;
  readonly message: string;
}

/** Faults reported at most; a damaged file can have thousands. */
const MOST_FAULTS = 20;

/** The only fields that may be null: what a save takes away. */
const MAY_BE_NULL = /^((parts|boards)\[\d+\]|nest)\.value$/;
/** Names that every object has of itself: as fields they would pass for known. */
const OWN_OF_OBJECTS = new Set(Object.getOwnPropertyNames(Object.prototype));

/** Nulls, and fields named like what every object has, wherever they are: rules of classes let both through. */
export function strayFaults(data: unknown, field = ''): readonly FieldFault[] {
  if (data === null) return MAY_BE_NULL.test(field) ? [] : [{ field, message: 'must not be null' }];
  if (Array.isArray(data)) return data.flatMap((one, index) => strayFaults(one, `${field}[${index}]`));
  if (typeof data !== 'object') return [];
  return Object.entries(data).flatMap(([key, value]) => {
    const at = field === '' ? key : `${field}.${key}`;
    return OWN_OF_OBJECTS.has(key) ? [{ field: at, message: 'is not a known field' }] : strayFaults(value, at);
  });
}

/**
 * Checks plain data against a class of rules. Unknown fields are faults.
 * @returns every field that breaks a rule, as `parts[3].contours[0].nodes[2].x`; empty when all is well
 */
export function fieldFaults<T extends object>(rules: ClassConstructor<T>, data: unknown): readonly FieldFault[] {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return [{ field: '', message: 'must be a JSON object' }];
  const strays = strayFaults(data);
  if (strays.length > 0) return strays.slice(0, MOST_FAULTS);
  const errors = validateSync(plainToInstance(rules, data), {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
  });
  return errors.flatMap((error) => flattened(error, '')).slice(0, MOST_FAULTS);
}

function flattened(error: ValidationError, parent: string): readonly FieldFault[] {
  const field = /^\d+$/.test(error.property)
    ? `${parent}[${error.property}]`
    : parent
      ? `${parent}.${error.property}`
      : error.property;
  const own = Object.entries(error.constraints ?? {})
    .slice(0, 1)
    .map(([rule, message]) => ({
      field,
      message:
        rule === 'whitelistValidation'
          ? 'is not a known field'
          : rule === 'nestedValidation' || rule === 'isArray'
            ? `must be ${rule === 'isArray' ? 'a list' : 'an object'}`
            : message.replace(new RegExp(`^${error.property} `), ''),
    }));
  return [...own, ...(error.children ?? []).flatMap((child) => flattened(child, field))];
}
