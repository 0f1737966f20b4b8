import { CoreError } from '@grain-fold/core/units';

/** A result, or the message of the error that core threw; comlink would lose its code. */
export type Worked<T> = { readonly ok: true; readonly value: T } | Failed;
/** Work that could not be done, and why. */
export interface Failed {
  readonly ok: false;
  readonly message: string;
}

/** Runs work, and tells the message of an error of core as a value. */
export function worked<T>(work: () => T): Worked<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message };
    throw error;
  }
}
