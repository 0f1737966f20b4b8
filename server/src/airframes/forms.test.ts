import { jest } from '@jest/globals';
import type { OpenedAirframe } from '@grain-fold/contract';
import { withForm } from '@grain-fold/core/airframe';
import { withParameter, wingFromNumbers, type Form } from '@grain-fold/core/forms';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';

jest.setTimeout(30_000);
let server: TestServer, builder: Browser;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
});
afterAll(() => server.close());

const form: Form = {
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters: wingFromNumbers({
    spanMm: 900,
    rootChordMm: 180,
    tipChordMm: 180,
    dihedralDegrees: 5,
    sparHeightMm: 10,
    material: 'faced board',
  }),
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
};
const opened = async (id: string): Promise<OpenedAirframe> =>
  (await builder.get(`/airframes/${id}`).expect(200)).body as OpenedAirframe;

test('a form and its parts are saved as one, told when stale, looked back at, restored, copied by their file and taken out', async () => {
  const { airframe } = (await builder.post('/airframes', { name: 'Plank', unit: 'mm' }).expect(201))
    .body as OpenedAirframe;
  const made = withForm(airframe, form);
  const save = (forms: unknown[], parts: unknown[] = []) =>
    builder.post(`/airframes/${airframe.id}/save`, { label: 'Make Wing', forms, parts });
  const asPart = (value: (typeof made.parts)[number], position: number) => ({
    id: value.id,
    basedOn: 0,
    position,
    value,
  });
  const first = await save(
    [{ id: 'w1', basedOn: 0, position: 0, value: made.forms![0] }],
    made.parts.map(asPart),
  ).expect(200);
  expect(first.body.forms).toEqual({ w1: 1 });
  const now = await opened(airframe.id);
  expect(now.airframe.forms).toEqual(made.forms);
  expect(now.airframe.parts).toEqual(made.parts);
  expect(now.versions.forms).toEqual({ w1: 1 });

  const longer = { ...form, parameters: withParameter(form.parameters, 'rootChordMm', 200) };
  await save([{ id: 'w1', basedOn: 1, position: 0, value: longer }]).expect(200);
  const stale = await save([{ id: 'w1', basedOn: 1, position: 0, value: { ...longer, name: 'Other' } }]).expect(409);
  expect(stale.body.conflicts).toMatchObject([{ kind: 'form', id: 'w1', current: { version: 2, value: longer } }]);

  const before = (await builder.get(`/airframes/${airframe.id}/revisions/2`).expect(200)).body;
  expect(JSON.stringify(before)).toContain('"rootChordMm":180');
  await builder.post(`/airframes/${airframe.id}/revisions/2/restore`).expect(200);
  expect((await opened(airframe.id)).airframe.forms).toEqual([form]);

  await save([{ id: 'w1', basedOn: 3, position: 0, value: null }]).expect(200);
  expect((await opened(airframe.id)).airframe.forms).toBeUndefined();
});

test('forms that break a rule are refused by their field, and somebody else cannot reach them', async () => {
  const { airframe } = (await builder.post('/airframes', { name: 'Bad', unit: 'mm' }).expect(201))
    .body as OpenedAirframe;
  for (const [value, field] of [
    [{ ...form, parameters: { ...form.parameters, rootChordMm: -5 } }, 'rootChordMm'],
    [{ ...form, parameters: { ...form.parameters, panels: [] } }, 'panels'],
    [{ ...form, id: 'w2' }, 'value.id'],
    [{ ...form, extra: 1 }, 'extra'],
  ] as const) {
    const { body } = await builder
      .post(`/airframes/${airframe.id}/save`, { label: '', forms: [{ id: 'w1', basedOn: 0, position: 0, value }] })
      .expect(400);
    expect(JSON.stringify(body)).toContain(field);
  }
  const stranger = await server.newcomer();
  await stranger
    .post(`/airframes/${airframe.id}/save`, { label: '', forms: [{ id: 'w1', basedOn: 0, position: 0, value: form }] })
    .expect(404);
});
