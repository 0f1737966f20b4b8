import { randomBytes } from 'node:crypto';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import supertest from 'supertest';
import type { Sequelize } from 'sequelize';
import { createApp, type AppParts } from '../src/app.ts';
import { configFrom } from '../src/config.ts';
import makeDocument from '../src/documents/document-job.ts';
import { DocumentService } from '../src/documents/document.service.ts';
import read from '../src/reading/reading-job.ts';
import { ReadingService } from '../src/reading/reading.service.ts';
import type { Jobs } from '../src/threads/job-pool.ts';
import { migrate } from '../src/migrations/index.ts';
import { connect } from '../src/models/index.ts';

/** The application on the test database, listening on a port of its own; documents are made without a thread. */
export interface TestServer {
  readonly sequelize: Sequelize;
  readonly address: string;
  /** A browser that is not signed in. */
  guest(): Browser;
  /** A browser signed in to a new workshop of its own. */
  newcomer(): Promise<Browser>;
  close(): Promise<void>;
}

/** A client that keeps its cookies and sends the page's origin, as a browser does. */
export class Browser {
  private readonly agent: ReturnType<typeof supertest.agent>;
  constructor(private readonly address: string) {
    this.agent = supertest.agent(address);
  }
  get(path: string): supertest.Test {
    return this.agent.get(`/api${path}`);
  }
  send(method: 'post' | 'patch' | 'delete', path: string, body: object = {}): supertest.Test {
    return this.agent[method](`/api${path}`).set('Origin', this.address).send(body);
  }
  /** Sends a file as it is. */
  upload(path: string, bytes: Buffer): supertest.Test {
    return this.agent
      .post(`/api${path}`)
      .set('Origin', this.address)
      .set('Content-Type', 'application/octet-stream')
      .send(bytes);
  }
  post(path: string, body: object = {}): supertest.Test {
    return this.send('post', path, body);
  }
}

export const PASSWORD = 'eleven wide planks';
export const uniqueName = (): string => `builder-${randomBytes(6).toString('hex')}`;

const withoutThreads = <Job, Result>(work: (job: Job) => Promise<Result>): Jobs<Job, Result> => ({
  run: work,
  close: () => Promise.resolve(),
});

export async function startTestServer(changes: Partial<AppParts> = {}): Promise<TestServer> {
  const sequelize = connect(configFrom(process.env).database);
  await migrate(sequelize);
  const { app } = createApp({
    sequelize,
    documents: new DocumentService(withoutThreads(makeDocument)),
    reading: new ReadingService(withoutThreads((job) => Promise.resolve(read(job)))),
    logger: pino({ level: 'silent' }),
    signInTries: 1000,
    ...changes,
  });
  const server = http.createServer(app.callback());
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    sequelize,
    address,
    guest: () => new Browser(address),
    async newcomer() {
      const browser = new Browser(address);
      await browser.post('/accounts', { name: uniqueName(), password: PASSWORD }).expect(201);
      return browser;
    },
    async close() {
      server.closeAllConnections();
      await new Promise((resolve) => {
        server.close(resolve);
      });
      await sequelize.close();
    },
  };
}
