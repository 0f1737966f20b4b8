import { onBeforeUnmount, shallowRef, watch, type ShallowRef } from 'vue';
import type { PlanSheet } from '@grain-fold/core/plan';
import { attachmentsApi } from '../../../api/attachments.ts';
import { ApiError } from '../../../api/client.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { sheets } from '../../../workers/sheets.ts';
import type { PlanDesk } from '../use-plan.ts';

/** How far a sheet has come: fetched and opened, or why it was not. */
export type SheetState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open'; readonly pages?: number }
  | { readonly kind: 'failed'; readonly message: string };

export interface OpenedSheets {
  readonly states: ShallowRef<ReadonlyMap<string, SheetState>>;
  readonly tellOpen: (key: string, pages: number | undefined) => void;
  /** Whether the airframe that a sheet was asked for is open no more; then that is told. */
  readonly isClosed: (airframeId: string | undefined, name: string) => boolean;
}

const openState = (pages: number | undefined): SheetState =>
  pages === undefined ? { kind: 'open' } : { kind: 'open', pages };

export const sheetKey = ({ hash, page }: Pick<PlanSheet, 'hash' | 'page'>): string => `${hash}#${page ?? 1}`;

/** The sheets of a plan in the worker: fetched and opened when they are first there, forgotten when the station is left. */
export function useOpenedSheets(desk: PlanDesk): OpenedSheets {
  const work = useAirframe();
  const states = shallowRef<ReadonlyMap<string, SheetState>>(new Map());
  let isLeft = false;
  const setState = (key: string, state: SheetState): void => {
    states.value = new Map([...states.value, [key, state]]);
  };

  // A large file takes its time, and edits go to what is open then.
  const isClosed = (airframeId: string | undefined, name: string): boolean => {
    if (work.airframe?.id === airframeId) return false;
    work.message = `${name} was not laid under: its airframe was closed before it had come. Open it and lay it under again.`;
    return true;
  };

  /** Every sheet of the plan is opened once, when it is first there. */
  async function openSheet(sheet: PlanSheet): Promise<void> {
    const key = sheetKey(sheet);
    if (states.value.has(key)) return;
    setState(key, { kind: 'opening' });
    try {
      const bytes = await attachmentsApi.read(sheet.hash);
      // What comes when the station is left would never be forgotten.
      if (isLeft) return;
      const answer = await sheets.open(key, sheet.name, bytes, sheet.page ?? 1);
      setState(key, answer.ok ? openState(answer.pages) : { kind: 'failed', message: answer.message });
    } catch (error) {
      const isGone = error instanceof ApiError && error.code === 'NOT_FOUND';
      setState(key, {
        kind: 'failed',
        message: isGone
          ? `${sheet.name} is not in this workshop: bring the airframe in as the .zip that holds its pictures.`
          : `${sheet.name}: ${error instanceof Error ? error.message : String(error)}`,
      });
    }
  }
  watch(
    () => desk.stored.value.sheets,
    (all) => all.forEach((sheet) => void openSheet(sheet)),
    { immediate: true },
  );
  onBeforeUnmount(() => {
    isLeft = true;
    [...states.value.keys()].forEach((key) => void sheets.forget(key));
  });

  const tellOpen = (key: string, pages: number | undefined): void => setState(key, openState(pages));
  return { states, tellOpen, isClosed };
}
