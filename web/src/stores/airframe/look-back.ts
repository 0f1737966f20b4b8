import type { OpenedAirframe } from '@grain-fold/contract';
import { changesBetween } from './changes.ts';
import { NO_HISTORY, type History } from './history.ts';
import type { HistoryKeeper } from './kept-history.ts';
import { unsavedEdits, type UnsavedEdits } from './unsaved-edits.ts';

/** What this browser kept of an airframe. */
export interface LookedBack {
  /** The steps around what was opened; around the unsaved edits, where there are any. */
  readonly history: History;
  /** Edits that the server never got. */
  readonly found?: UnsavedEdits;
}

/** Looks for what this browser kept of an airframe that was opened. Edits that did reach the server are no longer unsaved. */
export async function lookBack({ airframe, version }: OpenedAirframe, keeper: HistoryKeeper): Promise<LookedBack> {
  const kept = await unsavedEdits.find(airframe.id);
  const isUnsaved = kept !== undefined && changesBetween(kept.base, kept.airframe, kept.versions, '') !== undefined;
  const hasArrived = isUnsaved && JSON.stringify(kept.airframe) === JSON.stringify(airframe);
  if (isUnsaved && !hasArrived)
    return { history: kept.steps ? await keeper.read(kept.airframe, kept.steps) : NO_HISTORY, found: kept };
  if (hasArrived) await unsavedEdits.forget(airframe.id);
  const around = hasArrived ? kept.steps : await keeper.aroundVersion(airframe.id, version);
  return { history: around ? await keeper.read(airframe, around) : NO_HISTORY };
}
