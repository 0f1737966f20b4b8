import { Piscina } from 'piscina';
import type { DocumentJob } from './document-job.ts';

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

  async make(job: DocumentJob): Promise<Buffer> {
    return Buffer.from((await this.pool.run(job)) as Uint8Array);
  }

  close(): Promise<void> {
    return this.pool.close();
  }
}
