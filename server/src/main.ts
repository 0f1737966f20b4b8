import http from 'node:http';
import { availableParallelism } from 'node:os';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { configFrom } from './config.ts';
import { closeDemo } from './accounts/demo-workshop.ts';
import { documentPool, DocumentService } from './documents/document.service.ts';
import { NestRunner } from './nesting/nest-runner.ts';
import { searchOnThread } from './nesting/nest-search.ts';
import { readingPool, ReadingService } from './reading/reading.service.ts';
import { migrate } from './migrations/index.ts';
import { connect } from './models/index.ts';

/** Most searches for nests at once; one core is left to the pages. */
const MOST_NESTS = 4;

const config = configFrom(process.env);
const logger = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const sequelize = connect(config.database);
await migrate(sequelize);
const threads = {
  documents: documentPool(new URL('./documents/document-job.js', import.meta.url)),
  reading: readingPool(new URL('./reading/reading-job.js', import.meta.url)),
};
const { app, accounts, workshop } = createApp({
  sequelize,
  documents: new DocumentService(threads.documents),
  reading: new ReadingService(threads.reading),
  logger,
  signInTries: config.signInTries,
  pages: config.pages,
  demo: config.demo,
  names: config.names,
});
const nests = new NestRunner(
  sequelize,
  searchOnThread(new URL('./nesting/nest-thread.js', import.meta.url)),
  logger,
  Math.max(1, Math.min(MOST_NESTS, availableParallelism() - 1)),
);
nests.start();
await (workshop ? workshop.account() : closeDemo(accounts));

/** A request is here whole within this time, its head sooner, in ms: half a request holds no socket. */
const WHOLE_REQUEST_MS = 60_000,
  HEAD_MS = 15_000,
  LOOK_MS = 5000;
const server = http.createServer(
  { requestTimeout: WHOLE_REQUEST_MS, headersTimeout: HEAD_MS, connectionsCheckingInterval: LOOK_MS },
  app.callback(),
);
server.once('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${config.port} is taken. Stop the program on it, or set PORT to another number.`
      : error.message,
  );
  process.exit(1);
});
server.listen(config.port, config.host, () =>
  console.log(`Grain Fold is ready at http://${config.host}:${config.port}`),
);

async function stop(): Promise<void> {
  server.closeAllConnections();
  await new Promise((resolve) => {
    server.close(resolve);
  });
  await nests.close();
  await Promise.all([threads.documents.close(), threads.reading.close()]);
  await sequelize.close();
  process.exit(0);
}
// A starter that was killed takes its server with it: the channel between them closes.
if (process.connected) process.once('disconnect', () => void stop());
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void stop());
