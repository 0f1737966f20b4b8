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
const MAY_BE_NULL = /^((parts|boards|forms)\[\d+\]|nest|plan)\.value$/;
/** Names that every object has of itself: as fields they would pass for known. */
const OWN_OF_OBJECTS = new Set(Object.getOwnPropertyNames(Object.prototype));

/** What no text may have, wherever it stands: it could be neither kept nor written as it came. */
function strayLetters(text: string): string | undefined {
  if (/\p{Surrogate}/u.test(text)) return 'has half a letter in it: it was cut off, or is of another encoding';
  if (/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/.test(text)) return 'has a control character in it';
  return /\p{M}{5}/u.test(text) ? 'has more than four marks on one letter' : undefined;
}

/** Nulls, fields named like what every object has, and letters that are none, wherever they are: rules of classes let them through. */
export function strayFaults(data: unknown, field = ''): readonly FieldFault[] {
  if (typeof data === 'string') {
    const message = strayLetters(data);
    return message ? [{ field, message }] : [];
  }
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

/** A value in a message, where the rule's own words could not hold it. */
const shown = (value: unknown): string =>
  value === undefined ? 'nothing' : (JSON.stringify(value) ?? String(value)).slice(0, 60);

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
            : message.replace(new RegExp(`^${error.property} `), '').replace('$value', () => shown(error.value)),
    }));
  return [...own, ...(error.children ?? []).flatMap((child) => flattened(child, field))];
}
