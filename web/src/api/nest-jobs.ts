import type { NestJobs, NestJobState, StartNestJob } from '@grain-fold/contract';
import { ask } from './client.ts';

/** How soon a line that broke is tried again, in ms. */
const AGAIN_MS = 2000;

/** Searches for nests on the server. @throws ApiError as the server says it, or code OFFLINE */
export const nestJobsApi = {
  all: async (): Promise<readonly NestJobState[]> => (await ask<NestJobs>('GET', '/nest-jobs')).jobs,
  start: (job: StartNestJob) => ask<NestJobState>('POST', '/nest-jobs', job),
  stop: (id: string) => ask<void>('POST', `/nest-jobs/${id}/stop`),
  drop: (id: string) => ask<void>('DELETE', `/nest-jobs/${id}`),
  /**
   * Listens to a search until it has ended; a line that breaks is taken up again, also when the server was away.
   * @param signal ends the listening; the search goes on
   * @returns its last state; undefined when the listening was ended, or the search is there no more
   */
  listen: async (
    id: string,
    tell: (state: NestJobState) => void,
    signal: AbortSignal,
  ): Promise<NestJobState | undefined> => {
    while (!signal.aborted) {
      const last = await heardOnce(id, tell, signal);
      if (last) return last;
      if (signal.aborted) return undefined;
      await new Promise((resolve) => {
        setTimeout(resolve, AGAIN_MS);
      });
      // Where the server answers and knows of no such search, there is nothing more to hear.
      const jobs = await nestJobsApi.all().catch(() => undefined);
      if (jobs && !jobs.some((job) => job.id === id)) return undefined;
    }
    return undefined;
  },
} as const;

/** Listens on one line. @returns the last state where the search has ended; undefined when the line broke */
const heardOnce = (
  id: string,
  tell: (state: NestJobState) => void,
  signal: AbortSignal,
): Promise<NestJobState | undefined> =>
  new Promise((resolve) => {
    const line = new EventSource(`/api/nest-jobs/${id}/events`);
    const end = (state?: NestJobState): void => {
      line.close();
      resolve(state);
    };
    signal.addEventListener('abort', () => end(), { once: true });
    line.onmessage = ({ data }) => {
      const state = JSON.parse(data as string) as NestJobState;
      tell(state);
      if (state.state === 'done' || state.state === 'failed') end(state);
    };
    line.onerror = () => end();
  });
