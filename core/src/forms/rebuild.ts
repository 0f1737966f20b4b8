import type { Part } from '../part/index.ts';
import { drawnOnGone, mergeMade, type FormContext, type FormFault, type ParkedAddition } from './form/index.ts';
import { makeForm, type Form, type MadeOf } from './kinds.ts';

/** A form made anew among the parts of its airframe. */
export interface RebuiltForm<F extends Form> {
  readonly form: F;
  readonly parts: readonly Part[];
  readonly made: MadeOf<F>;
  /** Names of parts that are new, changed, or gone. */
  readonly changes: {
    readonly added: readonly string[];
    readonly changed: readonly string[];
    readonly gone: readonly string[];
  };
}

const isSame = (a: Part, b: Part): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Makes a form anew: its parts take the places of those that it made before, with what the builder added to them.
 * @returns the parts as they were, with the faults, when its numbers make none: the last good parts stay
 */
export function rebuildForm<F extends Form>(form: F, parts: readonly Part[], context: FormContext): RebuiltForm<F> {
  const whole = makeForm(form, context),
    { leftOut = [] } = form;
  // A drawn part may bear the name of one that was split or released: it stays.
  const drawn = new Set(parts.filter(({ source }) => source?.formId !== form.id).map(({ id }) => id));
  const made = {
    ...whole,
    parts: whole.parts.filter(({ id, source }) => !leftOut.includes(source!.role) && !drawn.has(id)),
  };
  const unchanged = { added: [], changed: [], gone: [] };
  if (whole.parts.length === 0) return { form, parts, made, changes: unchanged };
  const before = new Map(
    parts.filter(({ source }) => source?.formId === form.id).map((part) => [part.id, part] as const),
  );
  const parked: ParkedAddition[] = [...(form.parked ?? [])],
    added: string[] = [],
    changed: string[] = [];
  const now = new Map(
    made.parts.map((part): readonly [string, Part] => {
      const old = before.get(part.id);
      if (!old) {
        added.push(part.id);
        return [part.id, part];
      }
      const merged = mergeMade(part, old);
      parked.push(...merged.parked);
      if (merged.parked.length === 0 && isSame(merged.part, old)) return [part.id, old];
      changed.push(part.id);
      return [part.id, merged.part];
    }),
  );
  const gone = [...before.values()].filter(({ id }) => !now.has(id));
  for (const part of gone) parked.push(...drawnOnGone(part));
  const { parked: _parked, ...bare } = form,
    rest = bare as F;
  return {
    form: parked.length > 0 ? { ...rest, parked } : rest,
    parts: inPlace(parts, now, form.id),
    made,
    changes: { added, changed, gone: gone.map(({ name }) => name) },
  };
}

/** The list of parts with a form's own in their places: new ones follow the last of them, or come at the end. */
function inPlace(parts: readonly Part[], now: ReadonlyMap<string, Part>, formId: string): readonly Part[] {
  const kept = parts.flatMap((part) => (part.source?.formId !== formId ? [part] : (now.get(part.id) ?? [])));
  const known = new Set(kept.map(({ id }) => id)),
    fresh = [...now.values()].filter(({ id }) => !known.has(id));
  const last = kept.reduce((at, { source }, index) => (source?.formId === formId ? index : at), kept.length - 1);
  const result = [...kept.slice(0, last + 1), ...fresh, ...kept.slice(last + 1)];
  return result.length === parts.length && result.every((part, index) => part === parts[index]) ? parts : result;
}

/** Whether a form cannot be made of its numbers. */
export const isBlocked = (faults: readonly FormFault[]): boolean => faults.some((fault) => fault.isBlocking);
