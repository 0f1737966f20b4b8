import { Piscina } from 'piscina';
import { ServerProblem } from '../http/server-problem.ts';

/** What one job may take. */
export interface JobLimits {
  readonly longestMs: number;
  readonly mostMegabytes: number;
}

/** Whose job it is and how many of theirs may wait at once; a signal that they wait no longer. */
export interface JobOwner {
  readonly key: string;
  readonly most: number;
  readonly signal?: AbortSignal;
}

/** Does jobs one after the other, or several at once. */
export interface Jobs<Job, Result> {
  /** @throws ServerProblem TOO_MANY_DOCUMENTS when the owner waits for enough already; DOCUMENT_TOO_LARGE for a job beyond its limits */
  run(job: Job, owner: JobOwner): Promise<Result>;
  close(): Promise<void>;
}

/** Does jobs on worker threads, a few at a time, each within its limits; one that nobody waits for any more is ended. */
export class JobPool<Job, Result> implements Jobs<Job, Result> {
  private readonly pool: Piscina;
  private readonly waiting = new Map<string, number>();

  /** @param worker address of the built or source job module; sources are run through tsx */
  constructor(
    worker: URL,
    private readonly limits: JobLimits,
    threads = 2,
  ) {
    this.pool = new Piscina({
      filename: worker.href,
      minThreads: 0,
      maxThreads: threads,
      idleTimeout: 30_000,
      resourceLimits: { maxOldGenerationSizeMb: limits.mostMegabytes },
      ...(worker.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {}),
    });
  }

  async run(job: Job, { key, most, signal }: JobOwner): Promise<Result> {
    const count = this.waiting.get(key) ?? 0;
    if (count >= most) throw new ServerProblem('TOO_MANY_DOCUMENTS', undefined, { retryAfterSeconds: 5 });
    this.waiting.set(key, count + 1);
    const late = new AbortController();
    const clock = setTimeout(() => late.abort(), this.limits.longestMs);
    try {
      const ends = signal ? AbortSignal.any([signal, late.signal]) : late.signal;
      return (await this.pool.run(job, { signal: ends })) as Result;
    } catch (error) {
      const isOutOfMemory = (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (late.signal.aborted || isOutOfMemory) throw new ServerProblem('DOCUMENT_TOO_LARGE');
      throw error;
    } finally {
      clearTimeout(clock);
      const left = this.waiting.get(key)! - 1;
      if (left > 0) this.waiting.set(key, left);
      else this.waiting.delete(key);
    }
  }

  close(): Promise<void> {
    return this.pool.close();
  }
}
