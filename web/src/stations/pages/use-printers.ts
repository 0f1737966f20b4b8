import { computed, onMounted, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { TRUE_MAP, type Printer } from '@grain-fold/core/printers';
import { ApiError } from '../../api/client.ts';
import { printersApi } from '../../api/printers.ts';

/** The printers of the workshop, and the one that pages are printed on. */
export interface Printers {
  readonly all: ShallowRef<readonly Printer[]>;
  readonly chosen: ComputedRef<Printer | undefined>;
  /** Why the last was not kept or told. */
  readonly fault: Ref<string>;
  /** Whether the workshop was asked for its printers. */
  readonly isKnown: Ref<boolean>;
  /** @returns whether it is kept */
  readonly keep: (printer: Printer) => Promise<boolean>;
  /** A printer that was never measured. */
  readonly add: (name: string) => Promise<Printer | undefined>;
  /** @returns whether it is gone */
  readonly leaveOut: (printer: Printer) => Promise<boolean>;
}

export function usePrinters(printerId: () => string | undefined): Printers {
  const all = shallowRef<readonly Printer[]>([]),
    fault = ref(''),
    isKnown = ref(false);
  async function told(work: () => Promise<unknown>): Promise<boolean> {
    fault.value = '';
    try {
      await work();
      all.value = await printersApi.all();
      return true;
    } catch (error) {
      fault.value = error instanceof ApiError ? error.message : String(error);
      return false;
    }
  }
  onMounted(async () => {
    isKnown.value = await told(() => Promise.resolve());
  });
  const keep = (printer: Printer): Promise<boolean> => told(() => printersApi.keep(printer));
  return {
    all,
    fault,
    isKnown,
    chosen: computed(() => all.value.find(({ id }) => id === printerId())),
    keep,
    async add(name) {
      const printer: Printer = { id: crypto.randomUUID(), name, map: TRUE_MAP };
      return (await keep(printer)) ? printer : undefined;
    },
    leaveOut: ({ id }) => told(() => printersApi.leaveOut(id)),
  };
}
