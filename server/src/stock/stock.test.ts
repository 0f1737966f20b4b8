import { jest } from '@jest/globals';
import type { OpenedAirframe, WorkshopStock } from '@grain-fold/contract';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';

jest.setTimeout(30_000);

let server: TestServer, builder: Browser;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
});
afterAll(() => server.close());

const made = async (name: string, browser = builder): Promise<OpenedAirframe> =>
  (await browser.post('/airframes', { name, unit: 'mm' }).expect(201)).body as OpenedAirframe;
const opened = async (id: string): Promise<OpenedAirframe> =>
  (await builder.get(`/airframes/${id}`).expect(200)).body as OpenedAirframe;
const stock = async (browser = builder): Promise<WorkshopStock['boards']> =>
  ((await browser.get('/stock').expect(200)).body as WorkshopStock).boards;
const offcut = {
  id: 'cut1',
  name: 'Offcut of board 2',
  material: 'faced board',
  thicknessMm: 4.8,
  widthMm: 260,
  heightMm: 180,
  count: 1,
  price: 0,
  grain: 'width',
  gramsPerSquareMetre: 480,
  outline: [
    { x: 0, y: 0 },
    { x: 260, y: 0 },
    { x: 260, y: 90 },
    { x: 0, y: 180 },
  ],
};
const withOffcut = async (id: string, count = 1): Promise<void> => {
  await builder
    .post(`/airframes/${id}/save`, {
      label: 'Cut board 2',
      boards: [{ id: 'cut1', basedOn: 0, position: 1, value: { ...offcut, count } }],
    })
    .expect(200);
};

test('an offcut of one airframe is handed to another whole, with its outline; both have a version more and nothing is doubled', async () => {
  const [giver, taker] = [await made('Giver'), await made('Taker')];
  await withOffcut(giver.airframe.id);
  const hand = { from: giver.airframe.id, to: taker.airframe.id, boardId: 'cut1', count: 1 };
  const got = (await builder.post('/stock/hand', hand).expect(200)).body as OpenedAirframe;
  const taken = got.airframe.boards.at(-1)!;
  const { history, ...kind } = taken;
  expect({ ...kind, id: 'cut1' }).toEqual(offcut);
  expect(history).toEqual([{ date: expect.stringMatching(/^20\d\d-/), kind: 'taken', airframe: 'Giver' }]);
  const after = await opened(giver.airframe.id);
  expect(after.airframe.boards.find(({ id }) => id === 'cut1')!.count).toBe(0);
  expect((await stock()).filter(({ board }) => board.name === offcut.name).map(({ airframe }) => airframe)).toEqual([
    'Taker',
  ]);
  const versions = (await builder.get(`/airframes/${giver.airframe.id}/revisions`).expect(200)).body.lines as {
    label: string;
  }[];
  expect(versions[0]!.label).toBe('Hand 1 Offcut of board 2 to Taker');
  // There is none left to hand, and a page that still counts one is told so when it saves.
  await builder.post('/stock/hand', hand).expect(400);
  await builder
    .post(`/airframes/${giver.airframe.id}/save`, {
      label: 'Rename board',
      boards: [{ id: 'cut1', basedOn: 1, position: 1, value: { ...offcut, name: 'Old' } }],
    })
    .expect(409);
  // Handed back it joins the kind that is still listed there.
  const back = { from: taker.airframe.id, to: giver.airframe.id, boardId: taken.id, count: 1 };
  const returned = (await builder.post('/stock/hand', back).expect(200)).body as OpenedAirframe;
  expect(returned.airframe.boards).toHaveLength(2);
  expect(returned.airframe.boards[1]).toMatchObject({ id: 'cut1', count: 1 });
  expect(returned.airframe.boards[1]!.history!.map((event) => event.kind !== 'bought' && event.airframe)).toEqual([
    'Giver',
    'Taker',
  ]);
});

test('what a nest is to be cut from is reserved; what is cut is not', async () => {
  const [giver, taker] = [await made('Nester'), await made('Other')];
  await withOffcut(giver.airframe.id, 3);
  const nest = {
    readHash: '0123456789abcdef',
    seed: 1,
    tried: 1,
    unplaced: [],
    boards: [
      { boardId: 'cut1', placements: [], cutFrom: offcut },
      { boardId: 'cut1', placements: [] },
      { boardId: 'cut1', placements: [] },
    ],
  };
  await builder
    .post(`/airframes/${giver.airframe.id}/save`, { label: 'Nest', nest: { basedOn: 0, value: nest } })
    .expect(200);
  const [line] = (await stock()).filter(({ airframe, board }) => airframe === 'Nester' && board.id === 'cut1');
  expect(line).toMatchObject({ reserved: 2, board: { count: 3 } });
  const hand = { from: giver.airframe.id, to: taker.airframe.id, boardId: 'cut1' };
  const refused = await builder.post('/stock/hand', { ...hand, count: 2 }).expect(400);
  expect(refused.body.detail).toBe('Nester has 3 boards of Offcut of board 2, of which 1 is free.');
  await builder.post('/stock/hand', { ...hand, count: 1 }).expect(200);
});

test('two that take the same offcut at once: one has it', async () => {
  const [giver, one, other] = [await made('Source'), await made('One'), await made('Two')];
  await withOffcut(giver.airframe.id);
  const answers = await Promise.all(
    [one, other].map(({ airframe }) =>
      builder.post('/stock/hand', { from: giver.airframe.id, to: airframe.id, boardId: 'cut1', count: 1 }),
    ),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 400]);
  const held = (await stock()).filter(
    ({ airframe, board }) => ['Source', 'One', 'Two'].includes(airframe) && board.name === offcut.name,
  );
  expect(held.map(({ board }) => board.count)).toEqual([1]);
});

test('strangers, guests, oneself and nonsense get nothing', async () => {
  const giver = await made('Mine');
  const stranger = await server.newcomer();
  const theirs = await made('Theirs', stranger);
  await stranger
    .post('/stock/hand', { from: giver.airframe.id, to: theirs.airframe.id, boardId: 'b1', count: 1 })
    .expect(404);
  await builder
    .post('/stock/hand', { from: giver.airframe.id, to: theirs.airframe.id, boardId: 'b1', count: 1 })
    .expect(404);
  expect((await stock(stranger)).map(({ airframe }) => airframe)).toEqual(['Theirs']);
  await server.guest().get('/stock').expect(401);
  for (const bad of [
    { from: giver.airframe.id, to: giver.airframe.id, boardId: 'b1', count: 1 },
    { from: 'x', to: giver.airframe.id, boardId: 'b1', count: 1 },
    { from: giver.airframe.id, to: theirs.airframe.id, boardId: '../b1', count: 1 },
    { from: giver.airframe.id, to: theirs.airframe.id, boardId: 'b1', count: 0 },
    { from: giver.airframe.id, to: theirs.airframe.id, boardId: 'b1', count: 1.5 },
  ])
    await builder.post('/stock/hand', bad).expect(400);
});

test.each([
  ['a kind that there is not', { date: '2026-01-02', kind: 'lost', airframe: 'Mine' }],
  ['a day that is none', { date: 'yesterday', kind: 'bought', count: 1 }],
  ['a cut from nothing', { date: '2026-01-02', kind: 'cut', airframe: 'Mine' }],
  ['none bought', { date: '2026-01-02', kind: 'bought', count: 0 }],
])('a board with %s in its history is refused, and one without fault comes back from a file', async (_, event) => {
  const { airframe } = await made('Historian');
  const saving = (history: readonly object[]) =>
    builder.post(`/airframes/${airframe.id}/save`, {
      label: 'Count',
      boards: [{ id: 'cut1', basedOn: 0, position: 1, value: { ...offcut, history } }],
    });
  await saving([event]).expect(400);
  const history = [
    { date: '2026-01-02', kind: 'bought', count: 4 },
    { date: '2026-02-03', kind: 'cut', from: 'Foam', airframe: 'Mine' },
  ];
  await saving(history).expect(200);
  const file = await builder.get(`/airframes/${airframe.id}/export`).expect(200);
  const again = (await builder.post('/airframes/import', { text: file.text }).expect(201)).body as OpenedAirframe;
  expect(again.airframe.boards.find(({ id }) => id === 'cut1')).toEqual({ ...offcut, history });
});
