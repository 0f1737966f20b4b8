import { jest } from '@jest/globals';
import fs from 'node:fs';
import path from 'node:path';
import { pino } from 'pino';
import type { NestJobState, OpenedAirframe } from '@grain-fold/contract';
import { isNestCurrent } from '@grain-fold/core/airframe';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';
import { NestJob } from '../models/index.ts';
import { NestRunner } from './nest-runner.ts';
import type { BeginSearch } from './nest-search.ts';
import { toldSearch } from './told-search.ts';

jest.setTimeout(60_000);

const FILE = path.resolve(import.meta.dirname, '../../../demo/paperbark-mite.grainfold.json');
const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });

let server: TestServer, builder: Browser, id: string;
beforeEach(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
  id = await imported(builder);
});
afterEach(async () => {
  await NestJob.destroy({ where: {} });
  await server.close();
});

const imported = async (browser: Browser): Promise<string> =>
  (
    (await browser.post('/airframes/import', { text: fs.readFileSync(FILE, 'utf8') }).expect(201))
      .body as OpenedAirframe
  ).airframe.id;

/** Searches step by step on this thread, so that a test sees them; one that is killed never ends. */
function inTurns(isKilled: () => boolean = () => false): BeginSearch {
  return (search, tell) => {
    let isToEnd = false;
    const run = async (): Promise<void> => {
      for (const told of toldSearch(search, () => isToEnd)) {
        if (isKilled()) return new Promise(() => undefined);
        tell(told);
        await pause(5);
      }
    };
    return { ended: run(), stop: () => (isToEnd = true) };
  };
}
const runner = (begin: BeginSearch, times = { lookMs: 40, turnMs: 60_000, lostMs: 600 }, places = 1): NestRunner =>
  new NestRunner(server.sequelize, begin, pino({ level: 'silent' }), places, times);
const started = async (browser: Browser, airframeId: string, seconds = 5): Promise<NestJobState> =>
  (await browser.post('/nest-jobs', { airframeId, seconds }).expect(201)).body as NestJobState;
const state = async (browser: Browser, jobId: string): Promise<NestJobState> =>
  ((await browser.get('/nest-jobs').expect(200)).body.jobs as NestJobState[]).find((job) => job.id === jobId)!;
async function until(holds: () => Promise<boolean>): Promise<void> {
  for (const end = Date.now() + 20_000; !(await holds());) {
    if (Date.now() > end) throw new Error('it did not come about within 20 s');
    await pause(50);
  }
}
/** What is told of a search, until its end. */
async function heard(browser: Browser, jobId: string): Promise<NestJobState[]> {
  const { text } = await browser
    .get(`/nest-jobs/${jobId}/events`)
    .expect(200)
    .expect('Content-Type', /event-stream/);
  return text
    .split('\n\n')
    .flatMap((one) => (one.startsWith('data: ') ? [JSON.parse(one.slice(6)) as NestJobState] : []));
}

test('a search waits, runs, is told as it goes and is fetched: its nest fits the airframe and is never worse than before', async () => {
  const job = await started(builder, id);
  expect(job).toMatchObject({ state: 'waiting', airframeId: id, seconds: 5 });
  const running = runner(inTurns());
  running.start();
  const states = await heard(builder, job.id);
  await running.close();
  const last = states.at(-1)!;
  expect(last.state).toBe('done');
  const boards = states.flatMap(({ progress }) => (progress ? [progress.score.effectiveBoards] : []));
  expect(boards.length).toBeGreaterThan(0);
  boards.slice(1).forEach((now, at) => expect(now).toBeLessThanOrEqual(boards[at]! + 1e-9));
  const { airframe } = (await builder.get(`/airframes/${id}`).expect(200)).body as OpenedAirframe;
  expect(isNestCurrent({ ...airframe, nest: last.nest! })).toBe(true);
  expect(last.nest!.unplaced).toEqual([]);
  await builder.send('delete', `/nest-jobs/${job.id}`).expect(204);
  await builder.get(`/nest-jobs/${job.id}/events`).expect(404);
});

test('a server that is killed in the midst: another takes the search up where it stood, and searches no longer than was asked', async () => {
  const job = await started(builder, id, 5);
  let isKilled = false;
  const first = runner(inTurns(() => isKilled));
  first.start();
  await until(async () => (await state(builder, job.id)).progress !== undefined);
  isKilled = true;
  void first.close(); // its search never ends, and says nothing more
  const before = (await state(builder, job.id)).progress!;
  const second = runner(inTurns());
  second.start();
  const last = (await heard(builder, job.id)).at(-1)!;
  await second.close();
  expect(last.state).toBe('done');
  expect(last.progress!.score.effectiveBoards).toBeLessThanOrEqual(before.score.effectiveBoards + 1e-9);
  expect(last.progress!.seconds).toBeGreaterThanOrEqual(5);
  expect(last.progress!.seconds).toBeLessThan(7);
  expect(last.progress!.tried).toBeGreaterThan(before.tried);
});

test('stopped it ends with the best so far; one that has not begun ends with nothing', async () => {
  const waiting = await started(builder, id, 600);
  await builder.post(`/nest-jobs/${waiting.id}/stop`).expect(204);
  expect((await state(builder, waiting.id)).state).toBe('done');
  const job = await started(builder, id, 600);
  const running = runner(inTurns());
  running.start();
  await until(async () => (await state(builder, job.id)).progress !== undefined);
  await builder.post(`/nest-jobs/${job.id}/stop`).expect(204);
  const last = (await heard(builder, job.id)).at(-1)!;
  await running.close();
  expect(last).toMatchObject({ state: 'done', nest: { unplaced: [] } });
});

test('with one place two workshops take turns: the second does not wait for the end of the first', async () => {
  const other = await server.newcomer();
  const otherId = await imported(other);
  const long = await started(builder, id, 600);
  const running = runner(inTurns(), { lookMs: 40, turnMs: 300, lostMs: 5000 });
  running.start();
  await until(async () => (await state(builder, long.id)).progress !== undefined);
  const short = await started(other, otherId, 600);
  await until(async () => (await state(other, short.id)).progress !== undefined);
  // And the first has its turn again.
  const then = (await state(builder, long.id)).progress!.seconds;
  await until(async () => (await state(builder, long.id)).progress!.seconds > then + 0.1);
  await running.close();
  expect((await state(builder, long.id)).state).not.toBe('done');
});

test('two servers never run the same search; what fails says why', async () => {
  let begun = 0;
  const counted: BeginSearch = (search, tell) => {
    if (search.airframe.id === id) begun += 1;
    return inTurns()(search, tell);
  };
  const job = await started(builder, id, 5);
  const both = [runner(counted), runner(counted)];
  for (const one of both) one.start();
  await until(async () => (await state(builder, job.id)).progress !== undefined);
  expect(begun).toBe(1);
  await builder.post(`/nest-jobs/${job.id}/stop`).expect(204);
  await until(async () => (await state(builder, job.id)).state === 'done');
  await Promise.all(both.map((one) => one.close()));
  const failing = runner(() => ({
    ended: Promise.reject(new Error('the thread ran out of memory')),
    stop: () => undefined,
  }));
  const bad = await started(builder, id, 5);
  failing.start();
  await until(async () => (await state(builder, bad.id)).state === 'failed');
  await failing.close();
  expect((await state(builder, bad.id)).fault).toBe('the thread ran out of memory');
});

test('bounds: three at once a workshop, one an airframe, ten minutes; strangers and guests see nothing', async () => {
  const first = await started(builder, id);
  const again = await started(builder, id);
  await builder.post(`/nest-jobs/${first.id}/stop`).expect(404);
  for (let more = 0; more < 2; more++) await started(builder, await imported(builder));
  const full = await builder.post('/nest-jobs', { airframeId: await imported(builder), seconds: 5 }).expect(429);
  expect(full.body.detail).toBe('3 searches of your workshop wait or run already.');
  const stranger = await server.newcomer();
  expect((await stranger.get('/nest-jobs').expect(200)).body.jobs).toEqual([]);
  await stranger.get(`/nest-jobs/${again.id}/events`).expect(404);
  await stranger.post(`/nest-jobs/${again.id}/stop`).expect(404);
  await stranger.send('delete', `/nest-jobs/${again.id}`).expect(404);
  await stranger.post('/nest-jobs', { airframeId: id, seconds: 5 }).expect(404);
  await server.guest().get('/nest-jobs').expect(401);
  for (const bad of [
    { seconds: 4 },
    { seconds: 601 },
    { seconds: 5, board: 99 },
    { seconds: 5, board: -1 },
    { seconds: NaN },
  ])
    await builder.post('/nest-jobs', { airframeId: id, ...bad }).expect(400);
});
