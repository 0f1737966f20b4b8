import { wrap, type Remote } from 'comlink';
import type { FiguresWorker } from './figures.worker.ts';
import type { Folder } from './folds.worker.ts';
import type { Nester } from './nest.worker.ts';

let figures: Remote<FiguresWorker> | undefined;
let folder: Remote<Folder> | undefined;
let nester: Remote<Nester> | undefined;

/** The worker for slow figures, started when it is first asked. */
export const figuresWorker = (): Remote<FiguresWorker> =>
  (figures ??= wrap<FiguresWorker>(new Worker(new URL('./figures.worker.ts', import.meta.url), { type: 'module' })));
/** The worker that nests. */
export const nestWorker = (): Remote<Nester> =>
  (nester ??= wrap<Nester>(new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' })));
/** The worker that folds. */
export const foldsWorker = (): Remote<Folder> =>
  (folder ??= wrap<Folder>(new Worker(new URL('./folds.worker.ts', import.meta.url), { type: 'module' })));
