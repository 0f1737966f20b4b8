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
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as T;
  const isProblem = response.headers.get('Content-Type')?.includes('problem+json') ?? false;
  throw new ApiError(isProblem ? ((await response.json()) as Problem) : undefined);
}
