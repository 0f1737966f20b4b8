import { createStore, del, get, set } from 'idb-keyval';
import type { OpenedAirframe } from '@grain-fold/contract';
import type { Airframe } from '@grain-fold/core/airframe';
import type { StepsAround } from './kept-history.ts';

/** Edits that the server has not acknowledged, with the versions they were made from. */
export interface UnsavedEdits {
  readonly airframe: Airframe;
  readonly base: Airframe;
  readonly versions: OpenedAirframe['versions'];
  readonly at: string;
  /** The steps of the history around them. */
  readonly steps?: StepsAround;
}

const store = createStore('grain-fold', 'unsaved-edits');

/** Unsaved edits in the browser's own storage: they outlive a crash, a closed tab and a lost network. */
export const unsavedEdits = {
  keep: (airframeId: string, edits: UnsavedEdits): Promise<void> => set(airframeId, edits, store),
  find: (airframeId: string): Promise<UnsavedEdits | undefined> => get<UnsavedEdits>(airframeId, store),
  forget: (airframeId: string): Promise<void> => del(airframeId, store),
};
