import type { OpenedAirframe, SaveAirframe } from '@grain-fold/contract';
import type { Airframe } from '@grain-fold/core/airframe';
import { defined } from '@grain-fold/core/units';

interface Entity {
  readonly id: string;
}
interface ListChange<T> {
  readonly id: string;
  readonly basedOn: number;
  readonly position: number;
  readonly value: T | null;
}

/** What of a list was added, changed, moved or removed. Entities are immutable, so another reference is another value. */
function listChanges<T extends Entity>(
  base: readonly T[],
  now: readonly T[],
  versions: Readonly<Record<string, number>>,
): readonly ListChange<T>[] {
  const changed = now.flatMap((value, position): readonly ListChange<T>[] => {
    const before = base.findIndex(({ id }) => id === value.id);
    return before >= 0 && base[before] === value && before === position
      ? []
      : [{ id: value.id, basedOn: versions[value.id] ?? 0, position, value }];
  });
  const removed = base
    .filter(({ id }) => !now.some((one) => one.id === id))
    .map((one): ListChange<T> => ({ id: one.id, basedOn: versions[one.id] ?? 0, position: 0, value: null }));
  return [...changed, ...removed];
}

/**
 * The save that turns the saved state into the present one, or undefined when nothing differs.
 * @param base what the server has acknowledged
 */
export function changesBetween(
  base: Airframe,
  now: Airframe,
  versions: OpenedAirframe['versions'],
  label: string,
): SaveAirframe | undefined {
  if (base === now) return undefined;
  const parts = listChanges(base.parts, now.parts, versions.parts),
    boards = listChanges(base.boards, now.boards, versions.boards);
  const forms = listChanges(base.forms ?? [], now.forms ?? [], versions.forms);
  const settings = base.settings !== now.settings,
    nest = base.nest !== now.nest,
    plan = base.plan !== now.plan;
  if (parts.length === 0 && boards.length === 0 && forms.length === 0 && !settings && !nest && !plan) return undefined;
  return {
    label,
    ...(settings ? { settings: { basedOn: versions.settings, value: now.settings } } : {}),
    ...(parts.length > 0 ? { parts: [...parts] } : {}),
    ...(boards.length > 0 ? { boards: [...boards] } : {}),
    ...(forms.length > 0 ? { forms: [...forms] } : {}),
    ...(nest ? { nest: { basedOn: versions.nest, value: now.nest ?? null } } : {}),
    ...(plan ? { plan: { basedOn: versions.plan, value: now.plan ?? null } } : {}),
  };
}

/** Whether it is a form, or a part that a form makes. */
const isOfForm = (one: object): boolean => 'parameters' in one || 'source' in one;

/** How to settle edits that met a newer version: take theirs, or keep theirs and add mine beside them. */
export type Settlement = 'theirs' | 'both';

/**
 * My edits laid over the newer state. What only I changed is mine; what both changed is settled as asked: with `both`, my parts and
 * boards come as copies named "(mine)", and my settings, nest and plan go on top, theirs staying in the list of versions.
 * @param base the state that my edits started from
 */
export function mergeEdits(
  base: Airframe,
  mine: Airframe,
  theirs: Airframe,
  settlement: Settlement,
  newId: (prefix: string) => string,
): Airframe {
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  const list = <T extends Entity & { readonly name: string }>(
    from: readonly T[],
    edited: readonly T[],
    newer: readonly T[],
    prefix: string,
  ): readonly T[] => {
    const changed = edited.filter((one) => from.find(({ id }) => id === one.id) !== one);
    const merged = newer.flatMap((their): readonly T[] => {
      const own = changed.find(({ id }) => id === their.id);
      const before = from.find(({ id }) => id === their.id);
      const removedByMe = before !== undefined && !edited.some(({ id }) => id === their.id);
      if (removedByMe && same(before, their)) return [];
      if (!own || same(own, their)) return [their];
      if (same(before, their)) return [own];
      // Two forms cannot make the same parts: as with settings, mine goes on top.
      if (settlement === 'both' && isOfForm(own)) return [own];
      return settlement === 'theirs'
        ? [their]
        : [their, { ...own, id: newId(prefix), name: `${own.name} (mine)`.slice(0, 80) }];
    });
    const added = changed.filter(
      (own) =>
        !newer.some(({ id }) => id === own.id) && !(settlement === 'theirs' && from.some(({ id }) => id === own.id)),
    );
    return [...merged, ...added];
  };
  const value = <T>(from: T, edited: T, newer: T): T =>
    same(from, edited) || (settlement === 'theirs' && !same(from, newer)) ? newer : edited;
  const forms = list(base.forms ?? [], mine.forms ?? [], theirs.forms ?? [], 'w');
  const nest = value(base.nest, mine.nest, theirs.nest),
    plan = value(base.plan, mine.plan, theirs.plan);
  const { nest: _theirNest, plan: _theirPlan, forms: _theirForms, ...rest } = theirs;
  return {
    ...rest,
    settings: value(base.settings, mine.settings, theirs.settings),
    parts: list(base.parts, mine.parts, theirs.parts, 'p'),
    boards: list(base.boards, mine.boards, theirs.boards, 'b'),
    ...defined({ nest, plan, forms: forms.length > 0 ? forms : undefined }),
  };
}
