import Koa from 'koa';
import compress from 'koa-compress';
import helmet from 'koa-helmet';
import { createSession } from 'koa-session';
import serve from 'koa-static';
import type { Logger } from 'pino';
import { QueryTypes, type Sequelize } from 'sequelize';
import { randomBytes } from 'node:crypto';
import { accountRoutes } from './accounts/account.routes.ts';
import { AccountService } from './accounts/account.service.ts';
import { DemoWorkshop } from './accounts/demo-workshop.ts';
import { airframeRoutes } from './airframes/airframe.routes.ts';
import { AirframeService } from './airframes/airframe.service.ts';
import { attachmentRoutes } from './attachments/attachment.routes.ts';
import { AttachmentService } from './attachments/attachment.service.ts';
import type { DocumentService } from './documents/document.service.ts';
import type { AppContext, AppState } from './http/app-context.ts';
import { nestJobRoutes } from './nesting/nest-job.routes.ts';
import { NestJobService } from './nesting/nest-job.service.ts';
import { printerRoutes } from './printers/printer.routes.ts';
import { PrinterService } from './printers/printer.service.ts';
import { stockRoutes } from './stock/stock.routes.ts';
import { StockService } from './stock/stock.service.ts';
import type { ReadingService } from './reading/reading.service.ts';
import { bodyGate } from './http/body-gate.ts';
import { knownHost } from './http/known-host.ts';
import { problems } from './http/problems.ts';
import { ServerProblem } from './http/server-problem.ts';
import { sameOrigin } from './http/same-origin.ts';
import { sessionStore } from './http/session-store.ts';
import fs from 'node:fs';
import path from 'node:path';

const SESSION_DAYS = 30;
const HEALTH = '/api/health';

/** What the application is built from. */
export interface AppParts {
  readonly sequelize: Sequelize;
  readonly documents: DocumentService;
  readonly reading: ReadingService;
  readonly logger: Logger;
  readonly signInTries: number;
  readonly pages?: string;
  /** Folder of the demo workshop's project files; none: no demo workshop. */
  readonly demo?: string;
  /** Names of the server beside `localhost`, in lower case. */
  readonly names?: readonly string[];
}

/** Builds the application: security, sessions, routes, then the pages. */
export function createApp({ sequelize, documents, reading, logger, signInTries, pages, demo, names = [] }: AppParts): {
  readonly app: Koa<AppState, AppContext>;
  readonly accounts: AccountService;
  readonly workshop: DemoWorkshop | undefined;
} {
  const app = new Koa<AppState, AppContext>();
  const accounts = new AccountService();
  const airframes = new AirframeService(sequelize);
  const workshop = demo ? new DemoWorkshop(demo, sequelize, accounts, airframes) : undefined;
  app.use(problems(logger));
  app.use(
    helmet({
      // Plain http on loopback: nothing may be upgraded to https.
      hsts: false,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
        },
      },
    }),
  );
  app.use(knownHost(names));
  app.use(compress());
  app.use(sameOrigin);
  // The key is 192 random bits and only its hash is stored, so a signature would add nothing.
  const sessions = createSession(
    {
      key: 'grain_fold_session',
      maxAge: SESSION_DAYS * 86_400_000,
      renew: true,
      httpOnly: true,
      sameSite: 'strict',
      signed: false,
      genid: () => randomBytes(24).toString('base64url'),
      store: sessionStore,
    },
    app,
  );
  // Files need no session: they are there while the database is away.
  const needsSession = (path: string): boolean => path.startsWith('/api/') && path !== HEALTH;
  app.use((ctx, next) => (needsSession(ctx.path) ? sessions(ctx, next) : next()));
  app.use(async (ctx, next) => {
    if (!needsSession(ctx.path)) return next();
    ctx.state.accountId = ctx.session?.accountId;
    // What one account is told is kept by nobody else; pictures say otherwise for themselves.
    ctx.set('Cache-Control', 'no-store');
    await next();
  });
  const attachments = new AttachmentService(sequelize),
    printers = new PrinterService(sequelize);
  const routers = [
    accountRoutes(accounts, workshop, signInTries),
    airframeRoutes(airframes, reading, documents, attachments, printers),
    attachmentRoutes(attachments),
    printerRoutes(printers),
    stockRoutes(new StockService(sequelize)),
    nestJobRoutes(new NestJobService(sequelize)),
  ];
  app.use(bodyGate(routers));
  app.use(async (ctx, next) => {
    if (ctx.path !== HEALTH) return next();
    if (ctx.method !== 'GET' && ctx.method !== 'HEAD') throw new ServerProblem('NOT_FOUND');
    await sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
    ctx.set('Cache-Control', 'no-store');
    ctx.body = { ok: true };
  });
  for (const router of routers) app.use(router.routes());
  if (pages) servePages(app, pages);
  return { app, accounts, workshop };
}

/** Serves the built pages; every address that is no file gets the page itself, which knows its own routes. */
function servePages(app: Koa<AppState, AppContext>, folder: string): void {
  const index = fs.readFileSync(path.join(folder, 'index.html'), 'utf8');
  app.use(async (ctx, next) => {
    const isPage =
      ctx.method === 'GET' &&
      !ctx.path.startsWith('/api') &&
      (ctx.path === '/index.html' || !/\.[a-z0-9]+$/i.test(ctx.path));
    if (!isPage) return next();
    ctx.type = 'html';
    ctx.set('Cache-Control', 'no-cache');
    ctx.body = index;
  });
  app.use(serve(folder, { maxage: 365 * 86_400_000, immutable: true, index: false }));
}
