import { PassThrough } from 'node:stream';
import Router from '@koa/router';
import { StartNestJob, type NestJobs, type NestJobState } from '@grain-fold/contract';
import type { AppContext, AppState } from '../http/app-context.ts';
import { checkedBody } from '../http/checked-body.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { NestJobService } from './nest-job.service.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
/** How often a listener is told, at most, in ms. */
const TELL_EVERY_MS = 700;
/** Listeners of one account at once. */
const MOST_LISTENERS = 8;

/** Searches for nests on the server: asked for, listened to, stopped and fetched. */
export function nestJobRoutes(jobs: NestJobService): Router<AppState, AppContext> {
  const router = new Router<AppState, AppContext>({ prefix: '/api/nest-jobs' });
  const listeners = new Map<string, number>();
  const owner = (ctx: { state: { accountId?: string } }): string => {
    if (!ctx.state.accountId) throw new ServerProblem('SIGN_IN_NEEDED');
    return ctx.state.accountId;
  };
  const idOf = (ctx: { params: Record<string, string | undefined> }): string => {
    const { id = '' } = ctx.params;
    if (!UUID.test(id)) throw new ServerProblem('NOT_FOUND', 'There is no such search in your workshop.');
    return id;
  };
  router.get('/', async (ctx) => {
    ctx.body = { jobs: await jobs.all(owner(ctx)) } satisfies NestJobs;
  });
  router.post('/', async (ctx) => {
    const accountId = owner(ctx);
    ctx.body = await jobs.start(accountId, checkedBody(ctx, StartNestJob));
    ctx.status = 201;
  });
  router.post('/:id/stop', async (ctx) => {
    const accountId = owner(ctx);
    await jobs.stop(accountId, idOf(ctx));
    ctx.status = 204;
  });
  router.delete('/:id', async (ctx) => {
    const accountId = owner(ctx);
    await jobs.drop(accountId, idOf(ctx));
    ctx.status = 204;
  });
  /** Tells how a search stands as it changes, until it has ended or the listener goes. */
  router.get('/:id/events', async (ctx) => {
    const accountId = owner(ctx),
      id = idOf(ctx);
    const first = await jobs.find(accountId, id);
    const count = listeners.get(accountId) ?? 0;
    if (count >= MOST_LISTENERS)
      throw new ServerProblem('TOO_MANY_TRIES', `${count} pages listen to searches already.`);
    listeners.set(accountId, count + 1);
    const stream = new PassThrough();
    ctx.compress = false;
    ctx.type = 'text/event-stream';
    ctx.body = stream;
    const gone = new Promise<void>((resolve) => {
      ctx.res.once('close', resolve);
    });
    void tellOn(jobs, accountId, first, stream, gone).finally(() => {
      stream.end();
      listeners.set(accountId, listeners.get(accountId)! - 1);
    });
  });
  return router;
}

async function tellOn(
  jobs: NestJobService,
  accountId: string,
  first: NestJobState,
  stream: PassThrough,
  gone: Promise<void>,
): Promise<void> {
  let isGone = false;
  void gone.then(() => (isGone = true));
  let said = '';
  for (let state = first; ;) {
    const text = JSON.stringify(state);
    // A comment keeps the line open where nothing is new.
    stream.write(text === said ? ':\n\n' : `data: ${text}\n\n`);
    said = text;
    if (isGone || state.state === 'done' || state.state === 'failed') return;
    await Promise.race([gone, new Promise((resolve) => setTimeout(resolve, TELL_EVERY_MS))]);
    if (isGone) return;
    try {
      state = await jobs.find(accountId, first.id);
    } catch {
      return; // dropped, or the database is away: the listener asks again
    }
  }
}
