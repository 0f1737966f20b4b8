import { BOUNDS, type OpenedAirframe, type SaveAirframe } from '@grain-fold/contract';
import { emptyPart } from '@grain-fold/core/part';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';
import { Airframe } from '../models/index.ts';

let server: TestServer, builder: Browser;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
});
afterAll(() => server.close());
const create = async (): Promise<OpenedAirframe> =>
  (await builder.post('/airframes', { name: 'Tern', unit: 'mm' }).expect(201)).body as OpenedAirframe;
const save = (id: string, changes: Partial<SaveAirframe>) =>
  builder.post(`/airframes/${id}/save`, { label: 'Edit', ...changes });
const part = (id: string, name = 'Rib') => ({ id, basedOn: 0, position: 0, value: emptyPart(id, name, 'foam') });

test('a save sent again is answered as it was, though others have saved since; the next of its browser is a save of its own', async () => {
  const { id } = (await create()).airframe;
  const first = { client: 'one', id: 's1', parts: [part('a')] };
  const receipt = (await save(id, first).expect(200)).body;
  await save(id, { client: 'two', id: 's1', parts: [{ ...part('a', 'Former'), basedOn: 1 }] }).expect(200);
  expect((await save(id, first).expect(200)).body).toEqual(receipt);
  const now = (await builder.get(`/airframes/${id}`)).body as OpenedAirframe;
  expect(now.airframe.parts.map(({ name }) => name)).toEqual(['Former']);
  expect(now.version).toBe(3);
  await save(id, { ...first, id: 's2' }).expect(409);
});

test('a save holds an airframe to the parts that its file may have, at the very limit', async () => {
  const { id } = (await create()).airframe;
  const parts = Array.from({ length: BOUNDS.parts }, (_, index) => part(`p${index}`));
  await save(id, { parts }).expect(200);
  await save(id, { parts: [part('q1')] })
    .expect(400)
    .expect(({ body }) => expect(body.detail).toContain(`${BOUNDS.parts} parts, this would be ${BOUNDS.parts + 1}`));
  const swapped = [part('q1'), { id: 'p0', basedOn: 1, position: 0, value: null }];
  await save(id, { parts: swapped }).expect(200);
}, 30_000);

test.each<[string, object, string]>([
  ['no value', { id: 'a', basedOn: 0, position: 0 }, 'value'],
  ['a list for a value', { id: 'a', basedOn: 0, position: 0, value: [] }, 'value'],
  ['another’s value', { id: 'a', basedOn: 0, position: 0, value: emptyPart('b', 'Rib', 'foam') }, 'value.id'],
])('a change with %s is refused by its field', async (_, change, field) => {
  const { id } = (await create()).airframe;
  const answer = await builder.post(`/airframes/${id}/save`, { label: '', parts: [change] }).expect(400);
  expect(answer.body.fields[0].field).toBe(`parts[0].${field}`);
});

test('the versions of a workshop take room, which is bounded and told', async () => {
  const own = await server.newcomer();
  const { id } = ((await own.post('/airframes', { name: 'Tern', unit: 'mm' })).body as OpenedAirframe).airframe;
  const row = (await Airframe.findByPk(id))!;
  const before = Number(row.bytes);
  const change = part('a');
  await own.post(`/airframes/${id}/save`, { label: '', parts: [change] }).expect(200);
  await row.reload();
  expect(Number(row.bytes) - before).toBe(JSON.stringify(change.value).length);
  await row.update({ bytes: 2048e6 });
  await own
    .post(`/airframes/${id}/save`, { label: '', parts: [part('b')] })
    .expect(409)
    .expect(({ body }) =>
      expect(body).toMatchObject({ code: 'WORKSHOP_FULL', detail: expect.stringContaining('2048') }),
    );
  await own.get(`/airframes/${id}`).expect(200);
});

test('the list of airframes is told sixty at a time, the last saved first', async () => {
  const own = await server.newcomer();
  for (let index = 0; index < 62; index++) await own.post('/airframes', { name: `A ${index}`, unit: 'mm' }).expect(201);
  const first = (await own.get('/airframes').expect(200)).body,
    rest = (await own.get('/airframes?from=60').expect(200)).body;
  expect([first.lines.length, rest.lines.length, first.total, rest.total]).toEqual([60, 2, 62, 62]);
  expect(rest.lines.map(({ name }: { name: string }) => name)).toEqual(['A 1', 'A 0']);
  for (const from of ['-1', '1e9', 'x', '0&from=1']) await own.get(`/airframes?from=${from}`).expect(400);
}, 30_000);

test('versions are told five hundred at a time, the newest first', async () => {
  const { id } = (await create()).airframe;
  for (let index = 0; index < 501; index++)
    await save(id, { parts: [{ ...part('a', `Rib ${index}`), basedOn: index }] }).expect(200);
  const first = (await builder.get(`/airframes/${id}/revisions`)).body,
    rest = (await builder.get(`/airframes/${id}/revisions?from=500`)).body;
  expect([first.lines.length, first.lines[0].number, first.total]).toEqual([500, 502, 502]);
  expect(rest.lines.map(({ number }: { number: number }) => number)).toEqual([2, 1]);
}, 60_000);
