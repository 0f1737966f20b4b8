import { createStore, del, get, set } from 'idb-keyval';
import type { Point } from '@grain-fold/core/geometry';
import type { DraftSegment } from '@grain-fold/core/paths';
import type { ArcWay, DraftShape, RunKind } from './draft-runs.ts';
import type { Tool } from './part-tools.ts';

/** A path as far as it is drawn: what the next point needs to go on from it. */
export interface DrawnSoFar {
  readonly tool: Tool;
  readonly shape: DraftShape;
  readonly points: readonly Point[];
  readonly segments: readonly DraftSegment[];
  readonly runKind: RunKind;
  readonly arcWay: ArcWay;
  readonly arcVia?: Point;
}
/** A path that was being drawn on a part. */
export interface KeptDrawing extends DrawnSoFar {
  readonly partId: string;
}

const store = createStore('grain-fold-drawing', 'half-drawn');

/** The path that is being drawn in an airframe, in the browser's own storage: it outlives a crash and a closed tab. */
export const keptDrawing = {
  keep: (airframeId: string, drawing: KeptDrawing): Promise<void> => set(airframeId, drawing, store),
  find: (airframeId: string): Promise<KeptDrawing | undefined> => get<KeptDrawing>(airframeId, store),
  forget: (airframeId: string): Promise<void> => del(airframeId, store),
};
