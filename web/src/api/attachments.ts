import type { KeptAttachment, Problem } from '@grain-fold/contract';
import { ApiError } from './client.ts';

const isProblem = (response: Response): boolean =>
  response.headers.get('Content-Type')?.includes('problem+json') ?? false;

async function answered(request: Promise<Response>): Promise<Response> {
  let response: Response;
  try {
    response = await request;
  } catch {
    throw new ApiError(undefined);
  }
  if (response.ok) return response;
  throw new ApiError(isProblem(response) ? ((await response.json()) as Problem) : undefined);
}

/** Pictures and drawings to trace, kept beside the airframes of an account by their hash. */
export const attachmentsApi = {
  /** @throws ApiError as the server says it, or code OFFLINE */
  keep: async (file: Blob, name: string): Promise<KeptAttachment> =>
    (await (
      await answered(
        fetch(`/api/attachments?name=${encodeURIComponent(name)}`, {
          method: 'POST',
          credentials: 'same-origin',
          headers: { 'Content-Type': 'application/octet-stream' },
          body: file,
        }),
      )
    ).json()) as KeptAttachment,
  /** @throws ApiError when it is not there, or code OFFLINE */
  read: async (hash: string): Promise<ArrayBuffer> =>
    (await answered(fetch(`/api/attachments/${hash}`, { credentials: 'same-origin' }))).arrayBuffer(),
};
