import type { NestJobState } from '@grain-fold/contract';
import type { NestScope } from '@grain-fold/core/airframe';
import { nestJobsApi } from '../../api/nest-jobs.ts';
import type { NestProgress, NestResult } from '../../workers/nest.worker.ts';

/** A search on the server that the page listens to. */
export interface ServerSearch {
  readonly id: string;
  readonly scope: NestScope;
}

/** The search that the server runs, or has run, for an airframe; undefined when there is none, or the server is away. */
export async function searchOnServer(airframeId: string): Promise<ServerSearch | undefined> {
  const jobs = await nestJobsApi.all().catch(() => []);
  return jobs.find((job) => job.airframeId === airframeId);
}

/**
 * Listens to a search on the server to its end and fetches its nest, which stays there until it is dropped.
 * @returns undefined when the listening was ended, or the search has ended with nothing
 * @throws Error with what it failed of
 */
export async function heardFromServer(
  { id }: ServerSearch,
  onProgress: (progress: NestProgress) => void,
  signal: AbortSignal,
): Promise<NestResult | undefined> {
  let told = '';
  const tell = ({ progress, nest }: NestJobState): void => {
    if (!progress) return;
    const text = JSON.stringify(nest?.boards);
    onProgress(nest && text !== told ? { ...progress, nest } : progress);
    told = text;
  };
  const last = await nestJobsApi.listen(id, tell, signal);
  if (!last) return undefined;
  if (last.state === 'done' && last.nest && last.progress) return { ...last.progress, nest: last.nest };
  await dropFromServer({ id });
  if (last.state === 'failed') throw new Error(last.fault ?? 'the server does not say why');
  return undefined;
}

/** Lets a search on the server go; one that is left behind is dropped with the next. */
export const dropFromServer = async ({ id }: Pick<ServerSearch, 'id'>): Promise<void> =>
  nestJobsApi.drop(id).catch(() => undefined);
