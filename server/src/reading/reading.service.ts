import type { SaveAirframe } from '@grain-fold/contract';
import type { Airframe } from '@grain-fold/core/airframe';
import { ServerProblem } from '../http/server-problem.ts';
import { JobPool, type Jobs } from '../threads/job-pool.ts';
import read, { type Read, type ReadingJob } from './reading-job.ts';

/** Requests up to this many letters are read at once: that takes a few milliseconds. */
const SMALL = 8 * 1024;
/** Large requests of one account that are read or wait to be. */
const MOST_WAITING = 4;

/** The threads that large requests are read on. @param worker address of the built or source job module */
export const readingPool = (worker: URL): Jobs<ReadingJob, Read> =>
  new JobPool(worker, { longestMs: 60_000, mostMegabytes: 768 });

/** Reads what carries an airframe: small requests at once, large ones apart, so that nobody waits for another's. */
export class ReadingService {
  constructor(private readonly jobs: Jobs<ReadingJob, Read>) {}

  /** A save that keeps every rule. @throws ServerProblem BAD_REQUEST naming every field */
  async save(accountId: string, text: string): Promise<SaveAirframe> {
    await this.checked(accountId, { kind: 'save', text });
    return JSON.parse(text) as SaveAirframe;
  }

  /** The airframe of a project file. @throws ServerProblem with the file's own code, naming line or field */
  async projectFile(accountId: string, text: string): Promise<Airframe> {
    const { airframe } = await this.checked(accountId, { kind: 'import', text });
    return JSON.parse(airframe!) as Airframe;
  }

  private async checked(accountId: string, job: ReadingJob): Promise<Extract<Read, { ok: true }>> {
    const result = job.text.length <= SMALL ? read(job) : await this.apart(accountId, job);
    if (!result.ok) throw new ServerProblem(result.code, result.message, { fields: result.faults });
    return result;
  }

  /** @throws ServerProblem TOO_MANY_TRIES, which passes by itself, or FILE_TOO_LARGE: nobody asked for a document */
  private async apart(accountId: string, job: ReadingJob): Promise<Read> {
    try {
      return await this.jobs.run(job, { key: accountId, most: MOST_WAITING });
    } catch (error) {
      if (error instanceof ServerProblem && error.code === 'TOO_MANY_DOCUMENTS')
        throw new ServerProblem(
          'TOO_MANY_TRIES',
          'Several large requests of yours are being read already.',
          error.more,
        );
      if (error instanceof ServerProblem && error.code === 'DOCUMENT_TOO_LARGE')
        throw new ServerProblem(
          'FILE_TOO_LARGE',
          'Reading it takes longer than a minute, or more memory than there is.',
        );
      throw error;
    }
  }
}
