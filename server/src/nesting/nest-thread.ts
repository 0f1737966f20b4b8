import { parentPort, workerData } from 'node:worker_threads';
import type { ThreadData } from './nest-search.ts';
import { toldSearch } from './told-search.ts';

/** A thread that searches for one nest and tells how it stands. */
const { stop, ...search } = workerData as ThreadData;
const flag = new Int32Array(stop);
for (const told of toldSearch(search, () => Atomics.load(flag, 0) === 1)) parentPort!.postMessage(told);
