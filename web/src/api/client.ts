import type { Problem } from '@grain-fold/contract';

/** An answer that is not what was asked for: the server's problem, or no server at all. */
export class ApiError extends Error {
  override readonly name = 'ApiError';
  constructor(
    readonly problem: Pick<Problem, 'code' | 'title' | 'detail' | 'mend' | 'fields' | 'conflicts'> | undefined,
  ) {
    super(
      problem
        ? `${problem.detail} ${problem.mend}`
        : 'The server does not answer. Your edits are kept here and saved when it is back.',
    );
  }

  get code(): Problem['code'] | 'OFFLINE' {
    return this.problem?.code ?? 'OFFLINE';
  }
}

/** Asks the server. @throws ApiError with the server's problem, or code OFFLINE */
export async function ask<T>(method: 'GET' | 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(30_000),
      ...(body === undefined ? {} : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError(undefined);
  }
  const isProblem = response.headers.get('Content-Type')?.includes('problem+json') ?? false;
  if (response.ok) return (response.status === 204 ? undefined : await read(response)) as T;
  throw new ApiError(isProblem ? ((await read(response)) as Problem) : undefined);
}

/** What an answer says. One that was cut off on its way is no answer: the same is asked again. */
async function read(response: Response): Promise<unknown> {
  try {
    return await response.json();
  } catch {
    throw new ApiError(undefined);
  }
}
