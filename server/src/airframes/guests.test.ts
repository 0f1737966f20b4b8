import { jest } from '@jest/globals';
import type { OpenedAirframe } from '@grain-fold/contract';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';

jest.setTimeout(30_000);

let server: TestServer, builder: Browser;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
});
afterAll(() => server.close());

/** A guest with so many pieces, each of so many corners round a circle of 100 mm. */
const guest = (pieces: number, corners: number): Record<string, unknown> => ({
  id: 'guest1',
  airframeId: 'someone',
  name: 'Sandpiper',
  pieces: Array.from({ length: pieces }, (_, at) => ({
    id: `guest1-${at + 1}`,
    name: `Rib ${at + 1}, port`,
    material: 'faced board',
    quantity: 2,
    grain: { directionDegrees: 30, rule: 'along' },
    outline: {
      corners: Array.from({ length: 2 * corners }, (__, n) => {
        const angle = (2 * Math.PI * Math.floor(n / 2)) / corners;
        return Math.round(100_000 * (n % 2 === 0 ? Math.cos(angle) : Math.sin(angle))) / 1000 + 0;
      }),
    },
    holes: [{ corners: [0, 0, 10, 0, 0, 10.125] }],
  })),
});

const open = async (id: string): Promise<OpenedAirframe> =>
  (await builder.get(`/airframes/${id}`).expect(200)).body as OpenedAirframe;
async function made(): Promise<OpenedAirframe> {
  const { airframe } = (await builder.post('/airframes', { name: 'Host', unit: 'mm' }).expect(201))
    .body as OpenedAirframe;
  return open(airframe.id);
}
const saving = ({ airframe, versions }: OpenedAirframe, changes: object): ReturnType<Browser['post']> =>
  builder.post(`/airframes/${airframe.id}/save`, {
    label: 'Cut together',
    settings: {
      basedOn: versions.settings,
      value: { ...airframe.settings, nest: { ...airframe.settings.nest, ...changes } },
    },
  });

test('guests and clean boards are kept, written to a file and read again; 150 pieces of 200 corners are no trouble', async () => {
  const host = await made(),
    guests = [guest(150, 200)];
  const sideBySide = [
    { first: 'p1', second: 'p1:starboard' },
    { first: 'guest1-3', second: 'guest1-3' },
  ];
  await saving(host, { guests, onCleanBoards: ['p1', 'guest1-3'], sideBySide }).expect(200);
  const after = await open(host.airframe.id);
  expect(after.airframe.settings.nest).toMatchObject({ guests, onCleanBoards: ['p1', 'guest1-3'], sideBySide });
  const file = await builder.get(`/airframes/${host.airframe.id}/export`).expect(200);
  const again = (await builder.post('/airframes/import', { text: file.text }).expect(201)).body as OpenedAirframe;
  expect(again.airframe.settings.nest).toEqual(after.airframe.settings.nest);
});

test('an airframe is told which others of its workshop have its pieces on their boards, and what is cut there', async () => {
  const own = await made(),
    host = await made();
  const along = { ...guest(2, 4), airframeId: own.airframe.id };
  await saving(host, { guests: [along] }).expect(200);
  const told = async (): Promise<unknown> =>
    (await builder.get(`/airframes/${own.airframe.id}/hosts`).expect(200)).body;
  const line = { id: host.airframe.id, name: 'Host', pieces: 4 };
  expect(await told()).toEqual([{ ...line, cut: [] }]);
  const placement = { pieceId: 'guest1-2', x: 0, y: 0, rotation: 0 },
    board = { boardId: 'b1', placements: [placement, { ...placement, x: 210 }] };
  const { version } = await open(host.airframe.id);
  expect(version).toBeGreaterThan(1);
  await builder
    .post(`/airframes/${host.airframe.id}/save`, {
      label: 'Cut',
      nest: {
        basedOn: 0,
        value: {
          readHash: '0'.repeat(16),
          seed: 1,
          tried: 1,
          boards: [{ ...board, cutFrom: host.airframe.boards[0] }, board],
          unplaced: [],
        },
      },
    })
    .expect(200);
  expect(await told()).toEqual([{ ...line, cut: [{ name: 'Rib 2, port', quantity: 2 }] }]);
  // Put away it still holds them. Itself it is no host of its own, and a stranger is told nothing.
  await builder.post(`/airframes/${host.airframe.id}/put-away`, {}).expect(204);
  expect(await told()).toHaveLength(1);
  expect((await builder.get(`/airframes/${host.airframe.id}/hosts`).expect(200)).body).toEqual([]);
  await (await server.newcomer()).get(`/airframes/${own.airframe.id}/hosts`).expect(404);
  // Counted, it is kept, written and read again.
  const cutElsewhere = [{ airframeId: host.airframe.id, name: 'Host', pieces: [{ id: 'p1:starboard', quantity: 2 }] }];
  await saving(own, { cutElsewhere }).expect(200);
  const file = await builder.get(`/airframes/${own.airframe.id}/export`).expect(200);
  const again = (await builder.post('/airframes/import', { text: file.text }).expect(201)).body as OpenedAirframe;
  expect(again.airframe.settings.nest).toMatchObject({ cutElsewhere });
  const after = await open(own.airframe.id);
  for (const pieces of [[], [{ id: '<b>', quantity: 1 }], [{ id: 'p1', quantity: 0 }], [{ id: 'p1' }], 'all'])
    await saving(after, { cutElsewhere: [{ ...cutElsewhere[0], pieces }] }).expect(400);
});

const piece = (changes: object): object => {
  const one = guest(1, 4);
  return { ...one, pieces: [{ ...(one.pieces as object[])[0], ...changes }] };
};
test.each([
  ['two corners', [piece({ outline: { corners: [0, 0, 1, 1] } })]],
  ['a corner that is no number', [piece({ outline: { corners: [0, 0, 10, 0, 'x', 10] } })]],
  ['a corner a kilometre off', [piece({ outline: { corners: [0, 0, 1_000_000, 0, 0, 10] } })]],
  ['none of a piece', [piece({ quantity: 0 })]],
  ['a rule of grain that there is not', [piece({ grain: { directionDegrees: 0, rule: 'sideways' } })]],
  ['a list for an outline', [piece({ outline: [0, 0, 10, 0, 0, 10] })]],
  ['four guests', Array.from({ length: 4 }, () => guest(1, 4))],
  ['an id of markup', [{ ...guest(1, 4), id: '<b>' }]],
])('%s is refused, and nothing is kept', async (_, guests) => {
  const host = await made();
  await saving(host, { guests }).expect(400);
  expect((await open(host.airframe.id)).airframe.settings.nest).not.toHaveProperty('guests');
});
