import Router from '@koa/router';
import type { Context } from 'koa';
import { CreateAirframe, RenameAirframe, writeProjectFile } from '@grain-fold/contract';
import { someParts, type Airframe } from '@grain-fold/core/airframe';
import { packProject } from '@grain-fold/core/formats';
import { pageSettingsFault } from '@grain-fold/core/pages';
import { PLAN_VIEWS } from '@grain-fold/core/plan';
import { worded } from '@grain-fold/core/units';
import type { AttachmentService } from '../attachments/attachment.service.ts';
import type { DocumentJob } from '../documents/document-job.ts';
import type { Asker, DocumentService } from '../documents/document.service.ts';
import type { AppContext, AppState } from '../http/app-context.ts';
import { checkedBody } from '../http/checked-body.ts';
import { TAKEN_OUT, takenOutOf, type TakenOut } from '../documents/taken-out.ts';
import { ServerProblem } from '../http/server-problem.ts';
import type { PrinterService } from '../printers/printer.service.ts';
import type { ReadingService } from '../reading/reading.service.ts';
import type { AirframeService } from './airframe.service.ts';

/** Names of pages as a plan gives them, two hundred at most. */
const PAGE_NAMES = /^\d{1,4}[A-Z]{0,3}\d{0,4}(,\d{1,4}[A-Z]{0,3}\d{0,4}){0,199}$/;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Everything about airframes: list, open, save, revisions, project file, pages and cut list. */
export function airframeRoutes(
  airframes: AirframeService,
  reading: ReadingService,
  documents: DocumentService,
  attachments: AttachmentService,
  printers: PrinterService,
): Router<AppState, AppContext> {
  const router = new Router<AppState, AppContext>({ prefix: '/api/airframes' });
  const owner = (ctx: { state: { accountId?: string } }): string => {
    if (!ctx.state.accountId) throw new ServerProblem('SIGN_IN_NEEDED');
    return ctx.state.accountId;
  };
  const idOf = (ctx: { params: Record<string, string | undefined> }): string => {
    const id = ctx.params.id ?? '';
    if (!UUID.test(id)) throw new ServerProblem('NOT_FOUND', 'There is no such airframe in your workshop.');
    return id;
  };
  const numberOf = (ctx: { params: Record<string, string | undefined> }): number => {
    const number = Number(ctx.params.number);
    if (!Number.isInteger(number) || number < 1) throw new ServerProblem('NOT_FOUND', 'There is no such version.');
    return number;
  };
  /** How many lines of a list are passed over. */
  const fromOf = ({ query: { from = '0' } }: Pick<Context, 'query'>): number => {
    if (typeof from !== 'string' || !/^\d{1,7}$/.test(from))
      throw new ServerProblem('BAD_REQUEST', 'from: must be a whole number.');
    return Number(from);
  };
  /** What of the pages is asked for: `changed=yes`, `pages=1A,2`. */
  const printedOf = ({ query: { changed, pages } }: Pick<Context, 'query'>): DocumentJob['printed'] => {
    if (pages !== undefined && (typeof pages !== 'string' || !PAGE_NAMES.test(pages)))
      throw new ServerProblem('BAD_REQUEST', 'pages: must be names of pages, as 1A,2.');
    return { isChanged: changed === 'yes', ...(pages === undefined ? {} : { pages: pages.split(',') }) };
  };
  /** The printer that pages are corrected for, as `printer=` names it. */
  async function printerOf(ctx: Pick<Context, 'query'> & { state: { accountId?: string } }) {
    const { printer } = ctx.query;
    if (printer === undefined) return undefined;
    if (typeof printer !== 'string' || !/^[A-Za-z0-9_-]{1,40}$/.test(printer))
      throw new ServerProblem('BAD_REQUEST', 'printer: must be the id of a printer.');
    return printers.find(owner(ctx), printer);
  }
  /** A body that is not JSON by its type carries no airframe. */
  const textOf = ({ request }: Pick<Context, 'request'>): string => request.text ?? 'null';
  const attach = (ctx: { attachment(name: string): void }, name: string, ending: string): void =>
    ctx.attachment(`${name.replace(/[^\p{L}\p{N} ._-]/gu, '')}${ending}`);
  const today = (): string => new Date().toISOString().slice(0, 10);
  /** Who asks: they wait no longer when their connection closes. */
  const asker = (ctx: Pick<Context, 'res'> & { state: { accountId?: string } }): Asker => {
    const gone = new AbortController();
    ctx.res.once('close', () => gone.abort());
    return { accountId: owner(ctx), signal: gone.signal };
  };

  router.use(async (ctx, next) => {
    owner(ctx);
    await next();
  });
  router.get('/', async (ctx) => {
    ctx.body = await airframes.list(owner(ctx), ctx.query.away === 'yes', fromOf(ctx));
  });
  router.post('/', async (ctx) => {
    const { name, unit } = checkedBody(ctx, CreateAirframe);
    ctx.body = await airframes.create(owner(ctx), name, unit);
    ctx.status = 201;
  });
  router.post('/import', async (ctx) => {
    ctx.body = await airframes.import(owner(ctx), await reading.projectFile(owner(ctx), textOf(ctx)));
    ctx.status = 201;
  });
  router.get('/:id', async (ctx) => {
    ctx.body = await airframes.open(owner(ctx), idOf(ctx));
  });
  router.get('/:id/hosts', async (ctx) => {
    ctx.body = await airframes.hosts(owner(ctx), idOf(ctx));
  });
  router.post('/:id/save', async (ctx) => {
    const id = idOf(ctx);
    ctx.body = await airframes.save(owner(ctx), id, await reading.save(owner(ctx), textOf(ctx)));
  });
  router.patch('/:id', async (ctx) => {
    await airframes.rename(owner(ctx), idOf(ctx), checkedBody(ctx, RenameAirframe).name);
    ctx.status = 204;
  });
  router.post('/:id/duplicate', async (ctx) => {
    ctx.body = await airframes.duplicate(owner(ctx), idOf(ctx));
    ctx.status = 201;
  });
  router.post('/:id/put-away', async (ctx) => {
    await airframes.setPutAway(owner(ctx), idOf(ctx), true);
    ctx.status = 204;
  });
  router.post('/:id/bring-back', async (ctx) => {
    await airframes.setPutAway(owner(ctx), idOf(ctx), false);
    ctx.status = 204;
  });
  router.get('/:id/revisions', async (ctx) => {
    ctx.body = await airframes.revisions(owner(ctx), idOf(ctx), fromOf(ctx));
  });
  router.get('/:id/revisions/:number', async (ctx) => {
    ctx.body = await airframes.revision(owner(ctx), idOf(ctx), numberOf(ctx));
  });
  router.post('/:id/revisions/:number/restore', async (ctx) => {
    ctx.body = await airframes.restore(owner(ctx), idOf(ctx), numberOf(ctx));
  });

  router.get('/:id/project-file', async (ctx) => {
    const { airframe } = await airframes.open(owner(ctx), idOf(ctx));
    attach(ctx, airframe.name, '.grainfold.json');
    ctx.type = 'application/json';
    ctx.body = writeProjectFile(ctx.query.parts === undefined ? airframe : partsAsked(airframe, ctx.query.parts));
  });
  /** The project file alone, or packed with the pictures of its plan. */
  router.get('/:id/export', async (ctx) => {
    const { airframe } = await airframes.open(owner(ctx), idOf(ctx));
    const hashes = (airframe.plan?.sheets ?? []).map(({ hash }) => hash),
      files = await attachments.among(owner(ctx), hashes),
      text = writeProjectFile(airframe);
    if (files.length === 0) {
      attach(ctx, airframe.name, '.grainfold.json');
      ctx.type = 'application/json';
      ctx.body = text;
      return;
    }
    attach(ctx, airframe.name, '.grainfold.zip');
    ctx.type = 'application/zip';
    ctx.body = Buffer.from(packProject(airframe.name, text, files));
  });
  async function sendPicture(
    ctx: Pick<Context, 'set' | 'type' | 'body' | 'res'> & { state: { accountId?: string } },
    airframe: Airframe,
    version: number,
  ): Promise<void> {
    const picture = await documents.make({ kind: 'picture', airframe, version, date: today() }, asker(ctx));
    // The page asks by the version: what a version looks like never changes.
    ctx.set('Cache-Control', 'private, max-age=604800, immutable');
    ctx.type = 'image/svg+xml';
    ctx.body = picture.length > 0 ? picture : null;
  }
  router.get('/:id/picture.svg', async (ctx) => {
    const { airframe, version } = await airframes.open(owner(ctx), idOf(ctx));
    await sendPicture(ctx, airframe, version);
  });
  router.get('/:id/revisions/:number/picture.svg', async (ctx) => {
    await sendPicture(ctx, await airframes.revision(owner(ctx), idOf(ctx), numberOf(ctx)), numberOf(ctx));
  });
  router.get('/:id/pages.pdf', async (ctx) => {
    const { airframe, version } = await airframes.open(owner(ctx), idOf(ctx));
    const fault = pageSettingsFault(airframe.settings.pages);
    if (fault) throw new ServerProblem('CANNOT_PRINT', worded(fault, airframe.settings.unit));
    attach(ctx, airframe.name, ' pages.pdf');
    ctx.body = await documents.make(
      {
        kind: 'pages',
        airframe,
        version,
        date: today(),
        isMany: ctx.query.all === 'yes',
        printed: printedOf(ctx),
        printer: await printerOf(ctx),
      },
      asker(ctx),
    );
  });
  router.get('/:id/printer-test.pdf', async (ctx) => {
    const { airframe, version } = await airframes.open(owner(ctx), idOf(ctx)),
      printer = await printerOf(ctx);
    if (!printer) throw new ServerProblem('BAD_REQUEST', 'printer: must be the id of a printer.');
    attach(ctx, printer.name, ' test.pdf');
    ctx.body = await documents.make({ kind: 'printer-test', airframe, version, date: today(), printer }, asker(ctx));
  });
  router.get('/:id/cut-list.pdf', async (ctx) => {
    const { airframe, version } = await airframes.open(owner(ctx), idOf(ctx));
    attach(ctx, airframe.name, ' cut list.pdf');
    ctx.body = await documents.make({ kind: 'cut-list', airframe, version, date: today() }, asker(ctx));
  });
  router.get('/:id/plan.pdf', async (ctx) => {
    const { airframe, version } = await airframes.open(owner(ctx), idOf(ctx));
    const asked = ctx.query.view,
      view = PLAN_VIEWS.find((one) => one === asked);
    if (asked !== undefined && !view)
      throw new ServerProblem('BAD_REQUEST', `view is one of ${PLAN_VIEWS.join(', ')}, or left out.`);
    const fault = view ? pageSettingsFault(airframe.settings.pages) : undefined;
    if (fault) throw new ServerProblem('CANNOT_PRINT', worded(fault, airframe.settings.unit));
    attach(ctx, airframe.name, view ? ` ${view} view.pdf` : ' plan.pdf');
    ctx.body = await documents.make(
      { kind: 'plan', airframe, version, date: today(), ...(view ? { view } : {}) },
      asker(ctx),
    );
  });
  router.get('/:id/cut-list.csv', async (ctx) => {
    const { airframe, version } = await airframes.open(owner(ctx), idOf(ctx));
    attach(ctx, airframe.name, ' cut list.csv');
    ctx.body = await documents.make({ kind: 'cut-list-table', airframe, version, date: today() }, asker(ctx));
    ctx.type = 'text/csv; charset=utf-8';
  });
  for (const [file, { kind, type, word }] of Object.entries(TAKEN_OUT))
    router.get(`/:id/${file}`, async (ctx) => {
      const { airframe, version } = await airframes.open(owner(ctx), idOf(ctx));
      const takenOut = takenOutOf(kind, ctx.query);
      attach(ctx, airframe.name, nameOf(takenOut, word));
      ctx.body = await documents.make({ kind, airframe, version, date: today(), takenOut }, asker(ctx));
      ctx.type = type;
    });
  return router;
}

/** What is taken out, behind the airframe's name. */
const nameOf = ({ board, page }: TakenOut, word: string): string =>
  page !== undefined ? ` page ${page}${word}` : board !== undefined ? ` board ${board}${word}` : word;

/** The parts that are asked for, by themselves. */
function partsAsked(airframe: Airframe, asked: string | readonly string[]): Airframe {
  const some = someParts(airframe, [asked].flat().join(',').split(','));
  if (some.parts.length === 0) throw new ServerProblem('NOT_FOUND', 'This airframe has none of these parts.');
  return some;
}
