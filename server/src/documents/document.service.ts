import { Piscina } from 'piscina';
import { CoreError } from '@grain-fold/core/units';
import type { DocumentJob, DocumentResult } from './document-job.ts';

/** Makes documents on worker threads, at most two at a time. */
export class DocumentService {
  private readonly pool: Piscina;

  /** @param worker address of the built or source job module; sources are run through tsx */
  constructor(worker: URL) {
    this.pool = new Piscina({
      filename: worker.href,
      minThreads: 0,
      maxThreads: 2,
      idleTimeout: 30_000,
      ...(worker.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {}),
    });
  }

  /** @throws CoreError as core threw it on the worker thread */
  async make(job: DocumentJob): Promise<Buffer> {
    const result = (await this.pool.run(job)) as DocumentResult;
    if (!result.ok) throw new CoreError(result.code, result.message);
    return Buffer.from(result.bytes);
  }

  close(): Promise<void> {
    return this.pool.close();
  }
}
