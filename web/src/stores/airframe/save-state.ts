import type { ErrorCode } from '@grain-fold/contract';

/** How edits stand with the server. */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'offline' | 'stale' | 'signed-out' | 'refused';

/** What happens to them. */
export type SaveEvent =
  | { readonly kind: 'edited' }
  | { readonly kind: 'started' }
  /** The server has what was sent; `isAll` when nothing was edited meanwhile. */
  | { readonly kind: 'acknowledged'; readonly isAll: boolean }
  | { readonly kind: 'failed'; readonly code: ErrorCode | 'OFFLINE' };

/** Failures that pass by themselves: the same is tried again. */
const PASSING: readonly (ErrorCode | 'OFFLINE')[] = ['OFFLINE', 'DATABASE_AWAY', 'SERVER_FAULT', 'TOO_MANY_TRIES'];
const RETRY_MS = [1000, 2000, 5000, 10_000];

/** The state after an event. An edit made while the server is away, or after a refusal by version or sign-in, waits for that to end. */
export function nextSaveState(state: SaveState, event: SaveEvent): SaveState {
  switch (event.kind) {
    case 'edited':
      return state === 'saved' || state === 'refused' ? 'unsaved' : state;
    case 'started':
      return 'saving';
    case 'acknowledged':
      return event.isAll ? 'saved' : 'unsaved';
    case 'failed':
      if (event.code === 'STALE_SAVE') return 'stale';
      if (event.code === 'SIGN_IN_NEEDED') return 'signed-out';
      return PASSING.includes(event.code) ? 'offline' : 'refused';
  }
}

/** How long to wait before a save is tried again, in ms, after so many failures in a row. */
export const retryAfterMs = (failures: number): number =>
  RETRY_MS[Math.min(failures, RETRY_MS.length) - 1] ?? RETRY_MS[0]!;
