import type { ParameterChange } from './form.ts';

type Value = ParameterChange['value'];

/** The value at a path of a form's parameters: `panels.1.spanMm`; undefined where there is none. */
export function parameterAt(parameters: object, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((held, key) => (held as Record<string, unknown> | undefined)?.[key], parameters);
}

function withStep(held: unknown, keys: readonly string[], value: Value): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (Array.isArray(held)) return held.map((one, index) => (String(index) === key ? withStep(one, rest, value) : one));
  const { [key]: before, ...others } = held as Record<string, unknown>;
  const next = withStep(before, rest, value);
  if (next === undefined) return others;
  return { ...(held as object), [key]: next };
}

/** Parameters with some of their values changed; a value of undefined is taken out. Nothing is mutated. */
export const withParameters = <P extends object>(parameters: P, changes: readonly ParameterChange[]): P =>
  changes.reduce<P>((held, { path, value }) => withStep(held, path.split('.'), value) as P, parameters);

/** Parameters with one value changed. */
export const withParameter = <P extends object>(parameters: P, path: string, value: Value): P =>
  withParameters(parameters, [{ path, value }]);
