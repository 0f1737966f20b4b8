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
