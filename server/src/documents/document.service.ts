import { Piscina } from 'piscina';
import { CoreError } from '@grain-fold/core/units';
import { ServerProblem } from '../http/server-problem.ts';
import type { DocumentJob, DocumentResult } from './document-job.ts';

/** Documents that are made at the same time. */
const MOST_AT_ONCE = 2;
/** What one account may have asked for and not got yet: few documents, and as many pictures as its list of airframes shows at once. */
const MOST_DOCUMENTS = 4,
  MOST_PICTURES = 100;
/** What the making of one document may take. */
export interface JobLimits {
  readonly longestMs: number;
  readonly mostMegabytes: number;
}
const USUAL_LIMITS: JobLimits = { longestMs: 60_000, mostMegabytes: 1024 };

/** Who asks for a document, and when they no longer wait for it. */
export interface Asker {
  readonly accountId: string;
  readonly signal?: AbortSignal;
}

/** Makes documents on worker threads, a few at a time, each within its limits; one that nobody waits for any more is ended. */
export class DocumentService {
  private readonly pool: Piscina;
  /** What each account waits for, pictures and documents apart. */
  private readonly waiting = new Map<string, number>();

  /** @param worker address of the built or source job module; sources are run through tsx */
  constructor(
    worker: URL,
    private readonly limits: JobLimits = USUAL_LIMITS,
  ) {
    this.pool = new Piscina({
      filename: worker.href,
      minThreads: 0,
      maxThreads: MOST_AT_ONCE,
      idleTimeout: 30_000,
      resourceLimits: { maxOldGenerationSizeMb: limits.mostMegabytes },
      ...(worker.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {}),
    });
  }

  /**
   * @throws CoreError as core threw it on the worker thread
   * @throws ServerProblem TOO_MANY_DOCUMENTS when the account waits for several already; DOCUMENT_TOO_LARGE beyond the limits
   */
  async make(job: DocumentJob, { accountId, signal }: Asker): Promise<Buffer> {
    const isPicture = job.kind === 'picture',
      key = `${isPicture ? 'pictures' : 'documents'} of ${accountId}`;
    const count = this.waiting.get(key) ?? 0;
    if (count >= (isPicture ? MOST_PICTURES : MOST_DOCUMENTS)) throw new ServerProblem('TOO_MANY_DOCUMENTS');
    this.waiting.set(key, count + 1);
    try {
      return await this.run(job, signal);
    } finally {
      const left = this.waiting.get(key)! - 1;
      if (left > 0) this.waiting.set(key, left);
      else this.waiting.delete(key);
    }
  }

  private async run(job: DocumentJob, signal?: AbortSignal): Promise<Buffer> {
    const late = new AbortController();
    const clock = setTimeout(() => late.abort(), this.limits.longestMs);
    try {
      const ends = signal ? AbortSignal.any([signal, late.signal]) : late.signal;
      const result = (await this.pool.run(job, { signal: ends })) as DocumentResult;
      if (!result.ok) throw new CoreError(result.code, result.message);
      return Buffer.from(result.bytes);
    } catch (error) {
      const isOutOfMemory = (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (late.signal.aborted || isOutOfMemory) throw new ServerProblem('DOCUMENT_TOO_LARGE');
      throw error;
    } finally {
      clearTimeout(clock);
    }
  }

  close(): Promise<void> {
    return this.pool.close();
  }
}
