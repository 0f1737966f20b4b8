import type { Middleware } from 'koa';
import { ServerProblem } from './server-problem.ts';

const SAFE_METHODS = ['GET', 'HEAD', 'OPTIONS'];

/** Every change must come from a page of this very server. */
export const sameOrigin: Middleware = async (ctx, next) => {
  if (!SAFE_METHODS.includes(ctx.method) && ctx.get('Origin') !== `${ctx.protocol}://${ctx.host}`)
    throw new ServerProblem('WRONG_ORIGIN');
  await next();
};
