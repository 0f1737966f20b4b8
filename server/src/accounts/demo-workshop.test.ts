import path from 'node:path';
import type { AirframePage } from '@grain-fold/contract';
import { PASSWORD, startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';
import { Account, Airframe } from '../models/index.ts';

const demo = path.resolve(import.meta.dirname, '../../../demo');
let server: TestServer, without: TestServer | undefined;
beforeAll(async () => {
  server = await startTestServer({ demo });
});
afterAll(async () => {
  await Account.destroy({ where: { isDemo: true } });
  await without?.close();
  await server.close();
});
const visit = async (): Promise<Browser> => {
  const browser = server.guest();
  await browser.post('/session/demo').expect(200);
  return browser;
};
const list = async (browser: Browser): Promise<AirframePage> =>
  (await browser.get('/airframes').expect(200)).body as AirframePage;

test('whatever was done there, it is put back as it was on a word; a builder’s own workshop has no such word', async () => {
  const visitor = await visit();
  const before = await list(visitor);
  expect(before.total).toBe(3);
  await visitor.send('patch', `/airframes/${before.lines[0]!.id}`, { name: 'Scribbled over' }).expect(204);
  await visitor.post('/airframes', { name: 'One more', unit: 'mm' }).expect(201);
  await (await server.newcomer()).post('/demo/reset').expect(404);
  await server.guest().post('/demo/reset').expect(401);
  await visitor.post('/demo/reset').expect(204);
  const names = ({ lines }: AirframePage) => lines.map(({ name }) => name).sort();
  expect(names(await list(visitor))).toEqual(names(before));
});

test('nobody takes the name of the demo workshop; where one was taken before it was kept, the demo gets a number', async () => {
  for (const name of ['Demo workshop', 'dеmo  w0rkshop'])
    await server.guest().post('/accounts', { name, password: PASSWORD }).expect(409);
  await Account.update({ isDemo: false }, { where: { isDemo: true } });
  expect((await list(await visit())).total).toBe(3);
  expect((await Account.findOne({ where: { isDemo: true } }))!.name).toBe('Demo workshop 2');
  await Account.destroy({ where: { isDemo: true } });
  await Account.update({ isDemo: true }, { where: { name: 'Demo workshop' } });
});

test('an account that a broken start left empty is filled when it is next opened', async () => {
  const { id: accountId } = (await Account.findOne({ where: { isDemo: true } }))!;
  await Airframe.destroy({ where: { accountId } });
  expect((await list(await visit())).total).toBe(3);
});

test('it has room for forty airframes and says how to get more', async () => {
  const visitor = await visit();
  for (let one = 3; one < 40; one++) await visitor.post('/airframes', { name: `A ${one}`, unit: 'mm' }).expect(201);
  await visitor
    .post('/airframes', { name: 'One too many', unit: 'mm' })
    .expect(409)
    .expect(({ body }) => expect(body).toMatchObject({ code: 'DEMO_FULL', detail: expect.stringContaining('40') }));
  await visitor.post('/demo/reset').expect(204);
}, 30_000);

test('a server that is started without it has none', async () => {
  without = await startTestServer();
  expect((await without.guest().get('/session')).body).toEqual({ me: null, hasDemo: false });
  await without.guest().post('/session/demo').expect(404);
});
