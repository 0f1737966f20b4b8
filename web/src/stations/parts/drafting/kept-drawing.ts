import { createStore, del, get, set } from 'idb-keyval';
import type { DrawnSoFar } from '../../../mat/drafting/use-path-drafting.ts';
import type { Tool } from './part-tools.ts';

/** A path that was being drawn on a part. */
export interface KeptDrawing extends DrawnSoFar<Tool> {
  readonly partId: string;
}

const store = createStore('grain-fold-drawing', 'half-drawn');

/** The path that is being drawn in an airframe, in the browser's own storage: it outlives a crash and a closed tab. */
export const keptDrawing = {
  keep: (airframeId: string, drawing: KeptDrawing): Promise<void> => set(airframeId, drawing, store),
  find: (airframeId: string): Promise<KeptDrawing | undefined> => get<KeptDrawing>(airframeId, store),
  forget: (airframeId: string): Promise<void> => del(airframeId, store),
};
