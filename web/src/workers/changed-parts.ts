import type { Airframe } from '@grain-fold/core/airframe';
import type { Form } from '@grain-fold/core/forms';
import type { Part } from '@grain-fold/core/part';

/** What became of an airframe's parts and forms: those that are otherwise now, and the order of all. */
export interface ChangedParts {
  readonly order: readonly string[];
  readonly parts: readonly Part[];
  readonly forms: readonly Form[];
}

const isAlike = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** What of parts and forms is otherwise; undefined when nothing is. */
export function changedBetween(before: Airframe, next: Airframe): ChangedParts | undefined {
  const known = new Map(before.parts.map((part) => [part.id, part])),
    order = next.parts.map(({ id }) => id),
    parts = next.parts.filter((part) => !isAlike(known.get(part.id), part)),
    wereForms = new Map((before.forms ?? []).map((form) => [form.id, form])),
    forms = (next.forms ?? []).filter((form) => !isAlike(wereForms.get(form.id), form));
  const isSameOrder = isAlike(
    before.parts.map(({ id }) => id),
    order,
  );
  return parts.length === 0 && forms.length === 0 && isSameOrder ? undefined : { order, parts, forms };
}

/** An airframe with what became of its parts and forms; what stayed is the same object as before. */
export function withChanged(airframe: Airframe, { order, parts, forms }: ChangedParts): Airframe {
  const all = new Map([...airframe.parts, ...parts].map((part) => [part.id, part])),
    own = new Map(forms.map((form) => [form.id, form]));
  return {
    ...airframe,
    parts: order.flatMap((id) => all.get(id) ?? []),
    ...(airframe.forms ? { forms: airframe.forms.map((form) => own.get(form.id) ?? form) } : {}),
  };
}
