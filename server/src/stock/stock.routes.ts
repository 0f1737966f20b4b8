import Router from '@koa/router';
import { HandBoards } from '@grain-fold/contract';
import type { AppContext, AppState } from '../http/app-context.ts';
import { checkedBody } from '../http/checked-body.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { StockService } from './stock.service.ts';

/** The stock of a workshop: what lies with which airframe, and boards handed on. */
export function stockRoutes(stock: StockService): Router<AppState, AppContext> {
  const router = new Router<AppState, AppContext>({ prefix: '/api/stock' });
  const owner = (ctx: { state: { accountId?: string } }): string => {
    if (!ctx.state.accountId) throw new ServerProblem('SIGN_IN_NEEDED');
    return ctx.state.accountId;
  };
  router.get('/', async (ctx) => {
    ctx.body = await stock.all(owner(ctx));
  });
  router.post('/hand', async (ctx) => {
    const accountId = owner(ctx);
    ctx.body = await stock.hand(accountId, checkedBody(ctx, HandBoards));
  });
  return router;
}
