import { createStore, del, get, set } from 'idb-keyval';
import type { OpenedAirframe, SaveAirframe } from '@grain-fold/contract';
import type { Airframe } from '@grain-fold/core/airframe';
import type { StepsAround } from './kept-history.ts';

/** A save that was sent and of which nothing is known yet: it is sent again as it was, so that the server knows it. */
export interface SentSave {
  readonly changes: SaveAirframe;
  /** The airframe that it leaves. */
  readonly airframe: Airframe;
}

/** Edits that the server has not acknowledged, with the versions they were made from. */
export interface UnsavedEdits {
  readonly airframe: Airframe;
  readonly base: Airframe;
  readonly versions: OpenedAirframe['versions'];
  readonly at: string;
  /** The save that was under way. */
  readonly sent?: SentSave;
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
