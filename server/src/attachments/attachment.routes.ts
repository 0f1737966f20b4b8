import Router from '@koa/router';
import { MOST_SHEET_BYTES } from '@grain-fold/core/formats';
import type { AppContext, AppState } from '../http/app-context.ts';
import { readBytes } from '../http/read-body.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { AttachmentService } from './attachment.service.ts';

const HASH = /^[0-9a-f]{64}$/;
const LONGEST_NAME = 200;

/** Pictures and drawings to trace: kept, and given back to their owner alone. */
export function attachmentRoutes(attachments: AttachmentService): Router<AppState, AppContext> {
  const router = new Router<AppState, AppContext>({ prefix: '/api/attachments' });
  const owner = (ctx: { state: { accountId?: string } }): string => {
    if (!ctx.state.accountId) throw new ServerProblem('SIGN_IN_NEEDED');
    return ctx.state.accountId;
  };
  router.post('/', async (ctx) => {
    const accountId = owner(ctx),
      { name = 'The file' } = ctx.query;
    const bytes = await readBytes(ctx.req, MOST_SHEET_BYTES);
    ctx.body = await attachments.keep(accountId, String(name).slice(0, LONGEST_NAME), bytes);
    ctx.status = 201;
  });
  router.get('/:hash', async (ctx) => {
    const { hash = '' } = ctx.params;
    if (!HASH.test(hash)) throw new ServerProblem('NOT_FOUND', 'There is no such picture in your workshop.');
    const { bytes } = await attachments.read(owner(ctx), hash);
    // Told by its hash it never changes; told as bytes to be saved, no browser runs what a drawing may hold.
    ctx.set('Cache-Control', 'private, max-age=604800, immutable');
    ctx.set('Content-Disposition', 'attachment');
    ctx.type = 'application/octet-stream';
    ctx.body = bytes;
  });
  return router;
}
