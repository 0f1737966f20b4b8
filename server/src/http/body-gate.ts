import type Router from '@koa/router';
import type { Middleware } from 'koa';
import { LARGEST_PROJECT_FILE } from '@grain-fold/contract';
import type { AppContext, AppState } from './app-context.ts';
import { parsed, readJsonText } from './read-body.ts';
import { ServerProblem } from './server-problem.ts';

/** Longest body of a request that carries names and choices, in bytes. */
const SMALL_BODY = 16 * 1024;
/** An airframe within JSON may take twice its own length: every quotation mark in a text is two letters there. */
const AIRFRAME_BODY = 2 * LARGEST_PROJECT_FILE;
const CARRIES_AIRFRAME = /^\/api\/airframes\/(import|[^/]+\/save)$/;
const NEEDS_ACCOUNT = /^\/api\/(airframes|attachments)(\/|$)/;
/** Bytes that the route reads itself, once it is known whose they are. */
const CARRIES_FILE = /^\/api\/attachments\/?$/;
const WITHOUT_BODY = ['GET', 'HEAD', 'OPTIONS'];

/**
 * Reads a body only for a route that is there, only for one who may use it, and no more of it than that route takes: nobody who is not
 * signed in can make the server read or parse an airframe.
 */
export function bodyGate(routers: readonly Router<AppState, AppContext>[]): Middleware<AppState, AppContext> {
  return async (ctx, next) => {
    if (!WITHOUT_BODY.includes(ctx.method)) {
      if (!routers.some((router) => router.match(ctx.path, ctx.method).route)) throw new ServerProblem('NOT_FOUND');
      if (NEEDS_ACCOUNT.test(ctx.path) && !ctx.state.accountId) throw new ServerProblem('SIGN_IN_NEEDED');
      if (CARRIES_FILE.test(ctx.path)) return next();
      const carriesAirframe = CARRIES_AIRFRAME.test(ctx.path);
      const text = await readJsonText(ctx.req, carriesAirframe ? AIRFRAME_BODY : SMALL_BODY);
      if (carriesAirframe) ctx.request.text = text;
      else if (text !== undefined) ctx.request.body = parsed(text);
    }
    await next();
  };
}
