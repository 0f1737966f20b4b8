import { CoreError } from '@grain-fold/core/units';
import { JobPool, type JobLimits, type Jobs } from '../threads/job-pool.ts';
import type { DocumentJob, DocumentResult } from './document-job.ts';

/** What one account may have asked for and not got yet: few documents, and as many pictures as its list of airframes shows at once. */
const MOST_DOCUMENTS = 4,
  MOST_PICTURES = 100;
const USUAL_LIMITS: JobLimits = { longestMs: 60_000, mostMegabytes: 1024 };

/** Who asks for a document, and when they no longer wait for it. */
export interface Asker {
  readonly accountId: string;
  readonly signal?: AbortSignal;
}

/** The threads that documents are made on. @param worker address of the built or source job module */
export const documentPool = (worker: URL, limits = USUAL_LIMITS): Jobs<DocumentJob, DocumentResult> =>
  new JobPool(worker, limits);

/** Makes documents, each account's in turn. */
export class DocumentService {
  constructor(private readonly jobs: Jobs<DocumentJob, DocumentResult>) {}

  /**
   * @throws CoreError as core threw it on the worker thread
   * @throws ServerProblem TOO_MANY_DOCUMENTS when the account waits for several already; DOCUMENT_TOO_LARGE beyond the limits
   */
  async make(job: DocumentJob, { accountId, signal }: Asker): Promise<Buffer> {
    const isPicture = job.kind === 'picture';
    const result = await this.jobs.run(job, {
      key: `${isPicture ? 'pictures' : 'documents'} of ${accountId}`,
      most: isPicture ? MOST_PICTURES : MOST_DOCUMENTS,
      signal,
    });
    if (!result.ok) throw new CoreError(result.code, result.message);
    return Buffer.from(result.bytes);
  }
}
