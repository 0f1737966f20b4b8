import type { FormFault, ParameterChange } from './form.ts';

/** A fault that no parts can be made with, and what mends it. */
export const blocking = (
  code: string,
  path: string,
  title: string,
  detail: string,
  label: string,
  changes: readonly ParameterChange[],
): FormFault => ({ code, path, title, detail, isBlocking: true, mend: { label, changes } });
