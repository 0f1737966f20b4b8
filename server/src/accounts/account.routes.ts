import Router from '@koa/router';
import type { Context } from 'koa';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { SignIn, SignUp, type Me } from '@grain-fold/contract';
import { checkedBody } from '../http/checked-body.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { Account } from '../models/index.ts';
import type { AccountService } from './account.service.ts';

/** What a session holds. */
export interface SessionBody {
  accountId?: string;
  regenerate(callback?: () => void): Promise<void>;
}
type WithSession = Context & { session: SessionBody | null };

/** Sign up, sign in, sign out, and who is signed in. */
export function accountRoutes(accounts: AccountService, signInTries: number): Router {
  const router = new Router({ prefix: '/api' });
  const limiter = new RateLimiterMemory({ points: signInTries, duration: 60 });
  const limit = async (ctx: Context): Promise<void> => {
    try {
      await limiter.consume(ctx.ip);
    } catch {
      throw new ServerProblem('TOO_MANY_TRIES');
    }
  };
  const open = async (ctx: Context, account: Account): Promise<void> => {
    const { session } = ctx as WithSession;
    await session!.regenerate(); // a key from before the sign-in must not open the account
    (ctx as WithSession).session!.accountId = account.id;
    ctx.body = { name: account.name, isDemo: account.isDemo } satisfies Me;
  };

  router.get('/session', async (ctx) => {
    const { session } = ctx as unknown as WithSession;
    const account = session?.accountId ? await accounts.find(session.accountId) : null;
    ctx.body = {
      me: account && { name: account.name, isDemo: account.isDemo },
      hasDemo: (await accounts.demo()) !== null,
    };
  });
  router.post('/accounts', async (ctx) => {
    await limit(ctx as unknown as Context);
    const { name, password } = checkedBody(ctx as unknown as Context, SignUp);
    await open(ctx as unknown as Context, await accounts.signUp(name, password));
    ctx.status = 201;
  });
  router.post('/session', async (ctx) => {
    await limit(ctx as unknown as Context);
    const { name, password } = checkedBody(ctx as unknown as Context, SignIn);
    await open(ctx as unknown as Context, await accounts.signIn(name, password));
  });
  router.post('/session/demo', async (ctx) => {
    const demo = await accounts.demo();
    if (!demo) throw new ServerProblem('NOT_FOUND', 'This server has no demo workshop.');
    await open(ctx as unknown as Context, demo);
  });
  router.delete('/session', (ctx) => {
    (ctx as unknown as WithSession).session = null;
    ctx.status = 204;
  });
  return router;
}
