import { isBetter } from '@grain-fold/core/nesting';
import type { NestProgress, NestResult } from './nest.worker.ts';

/** One search of several: begun with a seed, it tells how it stands and ends with its best. */
export type SeededSearch = (seed: number, onProgress: (progress: NestProgress) => void) => Promise<NestResult>;

/** Apart far enough that neither the next seed by hand nor the next search meets another's. */
const SEEDS_APART = 1_000_003;

/**
 * Runs searches side by side, each with a seed of its own, and keeps the best; of two alike the first one's, so that which of them was
 * quicker changes nothing. A search that fails costs only what it would have found.
 * @throws what the first search failed of, when all fail
 */
export async function nestSideBySide(
  searches: readonly SeededSearch[],
  seed: number,
  onProgress: (progress: NestProgress) => void,
): Promise<NestResult> {
  const standing: NestProgress[] = [];
  let told: NestProgress | undefined;
  const tell = (at: number, progress: NestProgress): void => {
    standing[at] = progress;
    const isNews = progress.nest !== undefined && (!told || isBetter(progress.score, told.score));
    if (isNews) told = progress;
    if (told)
      onProgress({
        ...(isNews ? { nest: progress.nest } : {}),
        score: told.score,
        tried: standing.reduce((sum, { tried }) => sum + tried, 0),
        seconds: progress.seconds,
      });
  };
  const ended = await Promise.allSettled(
    searches.map(async (search, at) =>
      search((seed + at * SEEDS_APART) >>> 0, (progress) => {
        tell(at, progress);
      }),
    ),
  );
  const results = ended.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
  const failed = ended.find((one) => one.status === 'rejected');
  if (results.length === 0 && failed) throw failed.reason;
  const best = results.reduce((now, next) => (isBetter(next.score, now.score) ? next : now));
  return {
    ...best,
    tried: results.reduce((sum, { tried }) => sum + tried, 0),
    seconds: Math.max(...results.map(({ seconds }) => seconds)),
  };
}
