import Router from '@koa/router';
import { KeepPrinter, type KeptPrinters } from '@grain-fold/contract';
import type { AppContext, AppState } from '../http/app-context.ts';
import { checkedBody } from '../http/checked-body.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { PrinterService } from './printer.service.ts';

const ID = /^[A-Za-z0-9_-]{1,40}$/;

/** The printers of a workshop: told, kept and left out. */
export function printerRoutes(printers: PrinterService): Router<AppState, AppContext> {
  const router = new Router<AppState, AppContext>({ prefix: '/api/printers' });
  const owner = (ctx: { state: { accountId?: string } }): string => {
    if (!ctx.state.accountId) throw new ServerProblem('SIGN_IN_NEEDED');
    return ctx.state.accountId;
  };
  router.get('/', async (ctx) => {
    ctx.body = { printers: await printers.all(owner(ctx)) } satisfies KeptPrinters;
  });
  router.post('/', async (ctx) => {
    const accountId = owner(ctx);
    await printers.keep(accountId, checkedBody(ctx, KeepPrinter));
    ctx.status = 204;
  });
  router.delete('/:id', async (ctx) => {
    const { id = '' } = ctx.params;
    if (!ID.test(id)) throw new ServerProblem('NOT_FOUND', 'There is no such printer in your workshop.');
    await printers.leaveOut(owner(ctx), id);
    ctx.status = 204;
  });
  return router;
}
