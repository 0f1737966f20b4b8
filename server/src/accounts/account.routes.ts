import Router from '@koa/router';
import type { ParameterizedContext } from 'koa';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { SignIn, SignUp, type Me } from '@grain-fold/contract';
import type { AppContext, AppState } from '../http/app-context.ts';
import { checkedBody } from '../http/checked-body.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { Account } from '../models/index.ts';
import type { AccountService } from './account.service.ts';

type RequestContext = ParameterizedContext<AppState, AppContext>;

/** Sign up, sign in, sign out, and who is signed in. */
export function accountRoutes(accounts: AccountService, signInTries: number): Router<AppState, AppContext> {
  const router = new Router<AppState, AppContext>({ prefix: '/api' });
  const limiter = new RateLimiterMemory({ points: signInTries, duration: 60 });
  const limit = async (ip: string): Promise<void> => {
    try {
      await limiter.consume(ip);
    } catch (error) {
      // Over the limit it rejects with a count, not with an error; an error is a fault of its own.
      if (error instanceof Error) throw error;
      throw new ServerProblem('TOO_MANY_TRIES');
    }
  };
  const open = async (ctx: RequestContext, account: Account): Promise<void> => {
    await ctx.session!.regenerate(); // a key from before the sign-in must not open the account
    ctx.session!.accountId = account.id;
    ctx.body = { name: account.name, isDemo: account.isDemo } satisfies Me;
  };

  router.get('/session', async (ctx) => {
    const accountId = ctx.session?.accountId;
    const account = accountId ? await accounts.find(accountId) : null;
    ctx.body = {
      me: account && { name: account.name, isDemo: account.isDemo },
      hasDemo: (await accounts.demo()) !== null,
    };
  });
  router.post('/accounts', async (ctx) => {
    await limit(ctx.ip);
    const { name, password } = checkedBody(ctx, SignUp);
    await open(ctx, await accounts.signUp(name, password));
    ctx.status = 201;
  });
  router.post('/session', async (ctx) => {
    await limit(ctx.ip);
    const { name, password } = checkedBody(ctx, SignIn);
    await open(ctx, await accounts.signIn(name, password));
  });
  router.post('/session/demo', async (ctx) => {
    const demo = await accounts.demo();
    if (!demo) throw new ServerProblem('NOT_FOUND', 'This server has no demo workshop.');
    await open(ctx, demo);
  });
  router.delete('/session', (ctx) => {
    ctx.session = null;
    ctx.status = 204;
  });
  return router;
}
