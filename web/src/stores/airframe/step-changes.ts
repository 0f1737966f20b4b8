import type { Airframe } from '@grain-fold/core/airframe';
import { defined } from '@grain-fold/core/units';

/** What a list becomes: the ids it then has, in their order, and those of its things that are not as they were. */
interface ListChange<T> {
  readonly ids: readonly string[];
  readonly values: readonly T[];
}

/** What turns one state of an airframe into its neighbour in the history; what stays as it is, is not named. */
export interface AirframeChange {
  readonly name?: string;
  readonly settings?: Airframe['settings'];
  readonly parts?: ListChange<Airframe['parts'][number]>;
  readonly boards?: ListChange<Airframe['boards'][number]>;
  readonly forms?: ListChange<NonNullable<Airframe['forms']>[number]>;
  /** A nest that was taken away is null. */
  readonly nest?: Airframe['nest'] | null;
  /** A plan that was taken away is null. */
  readonly plan?: Airframe['plan'] | null;
}

function listChange<T extends { readonly id: string }>(
  from: readonly T[],
  to: readonly T[],
): ListChange<T> | undefined {
  if (from === to) return undefined;
  const before = new Map(from.map((one) => [one.id, one]));
  return { ids: to.map(({ id }) => id), values: to.filter((one) => before.get(one.id) !== one) };
}

/** What turns one state into another. States are immutable, so another reference is another value. */
export function changeTo(from: Airframe, to: Airframe): AirframeChange {
  return defined({
    name: from.name === to.name ? undefined : to.name,
    settings: from.settings === to.settings ? undefined : to.settings,
    parts: listChange(from.parts, to.parts),
    boards: listChange(from.boards, to.boards),
    forms: from.forms === to.forms ? undefined : listChange(from.forms ?? [], to.forms ?? []),
    nest: from.nest === to.nest ? undefined : (to.nest ?? null),
    plan: from.plan === to.plan ? undefined : (to.plan ?? null),
  });
}

function changedList<T extends { readonly id: string }>(
  from: readonly T[],
  change: ListChange<T> | undefined,
): readonly T[] {
  if (!change) return from;
  const known = new Map([...from, ...change.values].map((one) => [one.id, one]));
  return change.ids.flatMap((id) => known.get(id) ?? []);
}

/** The neighbour of a state, with everything that stays by reference. */
export function changed(from: Airframe, change: AirframeChange): Airframe {
  const { nest: nestBefore, plan: planBefore, forms: formsBefore, ...rest } = from;
  const formsNow = change.forms ? changedList(formsBefore ?? [], change.forms) : formsBefore;
  const nest = change.nest === undefined ? nestBefore : (change.nest ?? undefined),
    plan = change.plan === undefined ? planBefore : (change.plan ?? undefined);
  return {
    ...rest,
    ...defined({
      name: change.name,
      settings: change.settings,
      nest,
      plan,
      forms: formsNow?.length ? formsNow : undefined,
    }),
    parts: changedList(from.parts, change.parts),
    boards: changedList(from.boards, change.boards),
  };
}
