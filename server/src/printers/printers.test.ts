import { jest } from '@jest/globals';
import fs from 'node:fs';
import path from 'node:path';
import { MOST_PRINTERS, type Printer } from '@grain-fold/core/printers';
import { readPdf } from '../../../scripts/test-support/read-pdf.ts';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';

jest.setTimeout(30_000);

let server: TestServer, builder: Browser, id: string;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
  const file = path.resolve(import.meta.dirname, '../../../demo/paperbark-mite.grainfold.json');
  ({ id } = (await builder.post('/airframes/import', { text: fs.readFileSync(file, 'utf8') })).body.airframe);
});
afterAll(() => server.close());

const STUDY: Printer = { id: 'p1', name: 'Study', map: { across: 0.97, up: 0.97, lean: 0 }, measuredOn: '2026-01-02' };
const all = async (browser = builder): Promise<readonly Printer[]> =>
  (await browser.get('/printers').expect(200)).body.printers as readonly Printer[];
async function pdf(address: string): Promise<ReturnType<typeof readPdf>> {
  const response = await builder
    .get(address)
    .buffer(true)
    .parse((stream, done) => {
      const chunks: Buffer[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(chunk));
      stream.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  return readPdf(response.body as Buffer);
}

test('printers are kept by their id, to the last digit, and for their own workshop alone', async () => {
  expect(await all()).toEqual([]);
  await builder.post('/printers', STUDY).expect(204);
  const other = { ...STUDY, id: 'p2', name: 'Attic', map: { across: 1.0003, up: 0.9991, lean: -0.00123 } };
  await builder.post('/printers', other).expect(204);
  expect(await all()).toEqual([other, STUDY]);
  await builder.post('/printers', { ...other, name: 'Cellar' }).expect(204);
  expect((await all()).map(({ name }) => name)).toEqual(['Cellar', 'Study']);
  const stranger = await server.newcomer();
  expect(await all(stranger)).toEqual([]);
  await stranger.send('delete', '/printers/p1').expect(404);
  expect(await all()).toHaveLength(2);
  await builder.send('delete', '/printers/p2').expect(204);
  expect(await all()).toEqual([STUDY]);
});

test('pages are stretched by what the printer shrinks, about the middle of the paper; the paper stays', async () => {
  const [plain] = (await pdf(`/airframes/${id}/pages.pdf`)).pages,
    [corrected] = (await pdf(`/airframes/${id}/pages.pdf?printer=p1`)).pages;
  expect([corrected!.widthMm, corrected!.heightMm]).toEqual([plain!.widthMm, plain!.heightMm]);
  const bars = ({ runs }: NonNullable<typeof plain>, mm: number): number =>
    runs.filter(({ lengthMm }) => Math.abs(lengthMm - mm) < 0.01).length;
  expect(bars(plain!, 100)).toBeGreaterThan(1);
  expect(bars(corrected!, 100 / 0.97)).toBe(bars(plain!, 100));
  await builder.get(`/airframes/${id}/pages.pdf?printer=gone`).expect(404);
  await builder.get(`/airframes/${id}/pages.pdf?printer=${encodeURIComponent('../p1')}`).expect(400);
});

test('a printer’s test page has its crosses 170 and 230 apart, over what it shrinks by', async () => {
  const [page] = (await pdf(`/airframes/${id}/printer-test.pdf?printer=p1`)).pages;
  // The arms of a cross are 12 long.
  const arms = page!.runs.filter(({ lengthMm }) => Math.abs(lengthMm - 12 / 0.97) < 0.01),
    level = arms.filter(({ y1, y2 }) => Math.abs(y1 - y2) < 1e-6),
    middles = level.map(({ x1, x2, y1 }) => ({ x: (x1 + x2) / 2, y: y1 }));
  expect(middles).toHaveLength(4);
  const spread = (key: 'x' | 'y'): number =>
    Math.max(...middles.map((one) => one[key])) - Math.min(...middles.map((one) => one[key]));
  expect(spread('x')).toBeCloseTo(170 / 0.97, 2);
  expect(spread('y')).toBeCloseTo(230 / 0.97, 2);
  await builder.get(`/airframes/${id}/printer-test.pdf`).expect(400);
});

test.each([
  [{ ...STUDY, map: { ...STUDY.map, across: 0 } }],
  [{ ...STUDY, map: { ...STUDY.map, up: 400 } }],
  [{ ...STUDY, map: { ...STUDY.map, lean: null } }],
  [{ ...STUDY, id: '../p1' }],
  [{ ...STUDY, name: ' ' }],
  [{ ...STUDY, measuredOn: 'yesterday' }],
  [{}],
])('what is no printer is refused: %j', async (printer) => {
  await builder.post('/printers', printer).expect(400);
  expect(await all()).toEqual([STUDY]);
});

test('the ink of a printer, its weight and its white edge are kept; what no printer has is refused by its bounds', async () => {
  const pen = { ink: 'black', weight: 2.5 } as const,
    heavy: Printer = { ...STUDY, id: 'p9', name: 'Heavy', marginMm: 50, pen };
  await builder.post('/printers', heavy).expect(204);
  expect((await all()).find((one) => one.id === 'p9')).toEqual(heavy);
  await builder.get(`/airframes/${id}/pages.pdf?printer=p9`).expect(200);
  for (const wrong of [
    { pen: { ink: 'gold', weight: 1 } },
    { pen: { ink: 'black', weight: 0 } },
    { pen: { ink: 'black', weight: 2.51 } },
    { pen: { ink: 'black', weight: Number.MAX_VALUE } },
    { pen: 'black' },
    { marginMm: -1 },
    { marginMm: 51 },
    { marginMm: '5' },
  ])
    await builder.post('/printers', { ...heavy, ...wrong }).expect(400);
  expect((await all()).find((one) => one.id === 'p9')).toEqual(heavy);
  await builder.send('delete', '/printers/p9').expect(204);
});

test('a workshop has so many printers and no more, however many ask at once', async () => {
  const answers = await Promise.all(
    Array.from({ length: MOST_PRINTERS + 4 }, (_, index) => builder.post('/printers', { ...STUDY, id: `n${index}` })),
  );
  expect(answers.filter(({ status }) => status === 204)).toHaveLength(MOST_PRINTERS - 1);
  expect(await all()).toHaveLength(MOST_PRINTERS);
});

test('nobody is told of printers who is not signed in', async () => {
  await server.guest().get('/printers').expect(401);
});
