import { isIP } from 'node:net';
import type { Middleware } from 'koa';
import { ServerProblem } from './server-problem.ts';

/**
 * Answers only to the names that the server was started for, and to addresses by number: a page elsewhere that has its own name point here
 * is not let in.
 * @param names names beside `localhost`, in lower case
 */
export function knownHost(names: readonly string[]): Middleware {
  const known = new Set(['localhost', ...names]);
  return async (ctx, next) => {
    const { hostname } = ctx;
    const bare = hostname.replace(/^\[|\]$/g, '').toLowerCase();
    if (isIP(bare) === 0 && !known.has(bare))
      throw new ServerProblem(
        'WRONG_HOST',
        `This server is not "${hostname.slice(0, 80)}". Start it with GRAIN_FOLD_NAMES set to the names it has.`,
      );
    await next();
  };
}
