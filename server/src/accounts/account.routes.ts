import Router from '@koa/router';
import type { ParameterizedContext } from 'koa';
import { ChangePassword, SignIn, SignUp, type Me } from '@grain-fold/contract';
import type { AppContext, AppState } from '../http/app-context.ts';
import { checkedBody } from '../http/checked-body.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { Account } from '../models/index.ts';
import type { AccountService } from './account.service.ts';
import type { DemoWorkshop } from './demo-workshop.ts';
import { SignInLimits } from './sign-in-limits.ts';

type RequestContext = ParameterizedContext<AppState, AppContext>;

/**
 * Sign up, sign in, sign out, who is signed in, another password, and the demo workshop.
 * @param demo undefined on a server without one
 */
export function accountRoutes(
  accounts: AccountService,
  demo: DemoWorkshop | undefined,
  signInTries: number,
): Router<AppState, AppContext> {
  const router = new Router<AppState, AppContext>({ prefix: '/api' });
  const limits = new SignInLimits(signInTries);
  const open = async (ctx: RequestContext, account: Account): Promise<void> => {
    await accounts.boundSessions(account);
    await ctx.session!.regenerate(); // a key from before the sign-in must not open the account
    ctx.session!.accountId = account.id;
    ctx.body = { name: account.name, isDemo: account.isDemo } satisfies Me;
  };

  router.get('/session', async (ctx) => {
    const { accountId } = ctx.state;
    const account = accountId ? await accounts.find(accountId) : null;
    ctx.body = {
      me: account && { name: account.name, isDemo: account.isDemo },
      hasDemo: demo !== undefined,
    };
  });
  router.post('/accounts', async (ctx) => {
    await limits.fromAddress(ctx.ip);
    const { name, password } = checkedBody(ctx, SignUp);
    await open(ctx, await accounts.signUp(name, password));
    ctx.status = 201;
  });
  router.post('/session', async (ctx) => {
    await limits.fromAddress(ctx.ip);
    const { name, password } = checkedBody(ctx, SignIn);
    await open(ctx, await limits.forName(name, () => accounts.signIn(name, password)));
  });
  router.post('/session/demo', async (ctx) => {
    await open(ctx, await theDemo().account());
  });
  router.delete('/session', (ctx) => {
    ctx.session = null;
    ctx.status = 204;
  });
  router.post('/account/password', async (ctx) => {
    await limits.fromAddress(ctx.ip);
    const account = await signedIn(ctx);
    const { present, next } = checkedBody(ctx, ChangePassword);
    await limits.forName(account.name, () => accounts.changePassword(account.id, present, next));
    await open(ctx, account);
  });
  router.post('/demo/reset', async (ctx) => {
    const workshop = theDemo();
    if (!(await signedIn(ctx)).isDemo) throw new ServerProblem('NOT_FOUND', 'Only the demo workshop is reset.');
    await workshop.reset();
    ctx.status = 204;
  });
  return router;

  function theDemo(): DemoWorkshop {
    if (!demo) throw new ServerProblem('NOT_FOUND', 'This server has no demo workshop.');
    return demo;
  }
  async function signedIn(ctx: RequestContext): Promise<Account> {
    const account = ctx.state.accountId ? await accounts.find(ctx.state.accountId) : null;
    if (!account) throw new ServerProblem('SIGN_IN_NEEDED');
    return account;
  }
}
