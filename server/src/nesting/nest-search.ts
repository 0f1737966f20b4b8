import { Worker } from 'node:worker_threads';
import type { NestJobProgress } from '@grain-fold/contract';
import type { Airframe, AirframeNest, NestScope } from '@grain-fold/core/airframe';

/** What is searched, and for how long. */
export interface NestSearch {
  readonly airframe: Airframe;
  readonly seed: number;
  readonly scope: NestScope;
  readonly seconds: number;
}

/** How a search stands; its best nest when it is better than the one told before. */
export interface NestTold extends NestJobProgress {
  readonly nest?: AirframeNest;
}

/** A search under way. */
export interface RunningSearch {
  /** Settles when it has ended; the last told is its end. @throws what it failed of */
  readonly ended: Promise<void>;
  /** Ends it with what it has. */
  stop(): void;
}

/** Begins a search on a thread of its own. */
export type BeginSearch = (search: NestSearch, tell: (told: NestTold) => void) => RunningSearch;

/** Memory that one search may take, in MB: beyond it the search fails, not the server. */
const MOST_MEGABYTES = 1024;

/** What a thread is given. */
export interface ThreadData extends NestSearch {
  /** One number, 1 when the search is to end. */
  readonly stop: SharedArrayBuffer;
}

/** Searches on threads. @param worker address of the built thread's module */
export const searchOnThread =
  (worker: URL): BeginSearch =>
  (search, tell) => {
    const stop = new SharedArrayBuffer(4);
    const thread = new Worker(worker, {
      workerData: { ...search, stop } satisfies ThreadData,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
    });
    thread.on('message', tell);
    const ended = new Promise<void>((resolve, reject) => {
      thread.once('error', reject);
      thread.once('exit', () => resolve());
    });
    return { ended, stop: () => Atomics.store(new Int32Array(stop), 0, 1) };
  };
