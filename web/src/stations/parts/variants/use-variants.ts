import { computed, type ComputedRef } from 'vue';
import type { Airframe } from '@grain-fold/core/airframe';
import type { Part } from '@grain-fold/core/part';
import { defined } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** Variants that an airframe can have. */
const MOST_VARIANTS = 20;

interface Variants {
  readonly names: ComputedRef<readonly string[]>;
  readonly chosen: ComputedRef<string | undefined>;
  readonly choose: (name: string | undefined) => void;
  /** @returns whether it was added; if not, the airframe's message says why */
  readonly add: (name: string) => boolean;
  readonly rename: (from: string, to: string) => void;
  readonly remove: (name: string) => void;
}

/** Naming and choosing the variants of the airframe, each change one step of the history. */
export function useVariants(): Variants {
  const work = useAirframe();
  const names = computed(() => work.airframe?.settings.variants ?? []);
  const chosen = computed(() => work.airframe?.settings.variant);

  function commit(
    label: string,
    variants: readonly string[],
    variant: string | undefined,
    parts?: readonly Part[],
  ): void {
    const now = work.airframe;
    if (!now) return;
    const { variants: _variants, variant: _variant, ...plain } = now.settings;
    const settings = {
      ...plain,
      ...(variants.length > 0 ? { variants } : {}),
      ...defined({ variant }),
    };
    work.commit(label, { ...now, settings, ...defined({ parts }) });
  }
  const choose = (name: string | undefined): void => {
    if (name !== chosen.value)
      commit(name === undefined ? 'Show every variant' : `Choose variant ${name}`, names.value, name);
  };

  function nameFault(name: string): string | undefined {
    if (name === '' || name.length > 40) return 'A variant needs a name of 1 to 40 letters.';
    if (names.value.includes(name)) return `There is a variant “${name}” already.`;
    return names.value.length >= MOST_VARIANTS ? `An airframe has at most ${MOST_VARIANTS} variants.` : undefined;
  }
  function add(name: string): boolean {
    const trimmed = name.trim(),
      fault = nameFault(trimmed);
    if (fault) work.message = fault;
    else commit(`Add variant ${trimmed}`, [...names.value, trimmed], chosen.value);
    return fault === undefined;
  }
  function rename(from: string, to: string): void {
    const trimmed = to.trim();
    if (trimmed === from) return;
    const fault = nameFault(trimmed);
    if (fault) work.message = fault;
    else
      commit(
        `Rename variant ${from}`,
        names.value.map((name) => (name === from ? trimmed : name)),
        chosen.value === from ? trimmed : chosen.value,
        changedParts((name) => (name === from ? trimmed : name)),
      );
  }
  /** What existed in other variants too stays there; what existed only in this one exists in all. */
  const remove = (name: string): void =>
    commit(
      `Remove variant ${name}`,
      names.value.filter((one) => one !== name),
      chosen.value === name ? undefined : chosen.value,
      changedParts((one) => (one === name ? undefined : one)),
    );

  function changedParts(change: (name: string) => string | undefined): Airframe['parts'] {
    const set = <T extends { readonly variants?: readonly string[] }>(thing: T): T => {
      if (!thing.variants) return thing;
      const { variants, ...plain } = thing;
      const left = variants.flatMap((name) => change(name) ?? []);
      return (left.length > 0 ? { ...plain, variants: left } : plain) as T;
    };
    return (work.airframe?.parts ?? []).map((part) => {
      const isOptional =
        part.variants ??
        [...part.contours, ...part.operations, ...(part.features ?? [])].some(({ variants }) => variants);
      return isOptional
        ? set({
            ...part,
            contours: part.contours.map(set),
            operations: part.operations.map(set),
            ...defined({ features: part.features?.map(set) }),
          })
        : part;
    });
  }
  return { names, chosen, choose, add, rename, remove };
}
