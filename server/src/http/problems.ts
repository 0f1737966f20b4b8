import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import { ConnectionError, DatabaseError, TimeoutError } from 'sequelize';
import { CoreError } from '@grain-fold/core/units';
import { ServerProblem } from './server-problem.ts';

/** Turns whatever was thrown into `application/problem+json`; the one place where errors become answers. */
export function problems(logger: Logger): Middleware {
  return async (ctx, next) => {
    try {
      await next();
      if (ctx.status === 404 && ctx.body === undefined) throw new ServerProblem('NOT_FOUND');
    } catch (error) {
      // Who asked is gone: there is nobody to answer, and nothing failed.
      if ((error as { name?: string } | null)?.name === 'AbortError') return;
      const problem = problemFrom(error);
      if (problem.code === 'SERVER_FAULT' || problem.code === 'DATABASE_AWAY')
        logger.error({ err: error, path: ctx.path }, problem.message);
      const body = problem.toJSON();
      // What is left of a body that is refused is not waited for.
      if (!ctx.req.complete) ctx.set('Connection', 'close');
      if (problem.more.retryAfterSeconds) ctx.set('Retry-After', String(problem.more.retryAfterSeconds));
      ctx.status = body.status;
      ctx.body = JSON.stringify(body);
      ctx.type = 'application/problem+json';
    }
  };
}

function problemFrom(error: unknown): ServerProblem {
  if (error instanceof ServerProblem) return error;
  if (error instanceof CoreError)
    return new ServerProblem(error.code === 'OUT_OF_RANGE' ? 'OUT_OF_RANGE' : 'BAD_REQUEST', error.message);
  if (error instanceof ConnectionError || error instanceof TimeoutError || isLostConnection(error))
    return new ServerProblem('DATABASE_AWAY');
  const { status } = (error ?? {}) as { status?: number };
  if (status === 400) return new ServerProblem('BAD_REQUEST', 'The address could not be read.');
  return new ServerProblem('SERVER_FAULT');
}

const isLostConnection = (error: unknown): boolean =>
  (error instanceof DatabaseError &&
    /socket|connection|closed|gone away|ECONNRESET|ECONNREFUSED/i.test(error.message)) ||
  (error as { code?: string } | null)?.code === 'ECONNREFUSED';
