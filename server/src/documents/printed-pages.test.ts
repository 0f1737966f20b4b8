import { jest } from '@jest/globals';
import fs from 'node:fs';
import path from 'node:path';
import type { AirframeSettings } from '@grain-fold/core/airframe';
import { readPdf } from '../../../scripts/test-support/read-pdf.ts';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';

// Documents are worked out on a worker thread, which a busy machine starts late.
jest.setTimeout(30_000);

let server: TestServer, builder: Browser, id: string, settings: AirframeSettings;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
  const file = path.resolve(import.meta.dirname, '../../../demo/paperbark-mite.grainfold.json');
  const { body } = await builder.post('/airframes/import', { text: fs.readFileSync(file, 'utf8') });
  ({ id, settings } = body.airframe);
});
afterAll(() => server.close());

async function printed(query = ''): Promise<Buffer> {
  const response = await builder
    .get(`/airframes/${id}/pages.pdf${query}`)
    .buffer(true)
    .parse((stream, done) => {
      const chunks: Buffer[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(chunk));
      stream.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  return response.body as Buffer;
}
/** Names of the pages as a viewer lists them. */
const namesIn = (pdf: Buffer): readonly string[] =>
  [...pdf.toString('latin1').matchAll(/\/P \(([\w ]+)\)/g)].map(([, name]) => name!);
async function saving(pages: object): Promise<object> {
  const { body } = await builder.get(`/airframes/${id}`).expect(200);
  return {
    label: 'Pages',
    settings: { basedOn: body.versions.settings, value: { ...settings, pages: { ...settings.pages, ...pages } } },
  };
}

test('pages are listed by their names; one alone is printed again, and what is no page is refused', async () => {
  const whole = await printed(),
    names = namesIn(whole);
  expect(names.length).toBeGreaterThan(1);
  expect(names).toHaveLength(readPdf(whole).pages.length);
  const again = await printed(`?pages=${names.at(-1)!}`);
  expect(namesIn(again)).toEqual([names.at(-1)]);
  expect(readPdf(again).pages).toHaveLength(1);
  // Nothing was printed yet: all of it changed.
  expect(namesIn(await printed('?changed=yes'))).toEqual(names);
  const { body } = await builder.get(`/airframes/${id}/pages.pdf?pages=99Z9`).expect(400);
  expect(JSON.stringify(body)).toContain('There is no page 99Z9');
  for (const wrong of ['../1', '', '1A,', 'one'])
    await builder.get(`/airframes/${id}/pages.pdf?pages=${encodeURIComponent(wrong)}`).expect(400);
});

test('a cover comes first, off a roll all is one sheet as wide as the roll', async () => {
  await builder
    .post(`/airframes/${id}/save`, await saving({ hasCover: true, paper: 'roll', rollWidthMm: 420 }))
    .expect(200);
  const pdf = await printed(),
    [cover, sheet, ...more] = readPdf(pdf).pages;
  expect(namesIn(pdf)).toEqual(['Cover', '1']);
  expect(more).toEqual([]);
  expect([cover!.widthMm, cover!.heightMm]).toEqual([expect.closeTo(210, 2), expect.closeTo(297, 2)]);
  expect(sheet!.widthMm).toBeCloseTo(420, 2);
});

test.each([
  [{ sections: [] }, 'sections'],
  [{ sections: [{ id: 's1', way: 'origami' }] }, 'way'],
  [{ sections: [{ id: 's1', way: 'loose', partIds: ['../../x'] }] }, 'partIds'],
  [{ paper: 'roll', rollWidthMm: 0 }, 'rollWidthMm'],
  [{ paper: 'roll', rollWidthMm: 1e9 }, 'rollWidthMm'],
  [{ printed: { date: 'today', pieces: [] } }, 'date'],
  [{ printed: { date: '2026-01-02', pieces: [{ pieceId: 'a', readHash: 'x' }] } }, 'readHash'],
])('what is no way of printing is refused by its field, and nothing is changed: %j', async (pages, field) => {
  const before = (await builder.get(`/airframes/${id}`).expect(200)).body.version as number;
  const { body } = await builder.post(`/airframes/${id}/save`, await saving(pages)).expect(400);
  expect(JSON.stringify(body)).toContain(field);
  expect((await builder.get(`/airframes/${id}`).expect(200)).body.version).toBe(before);
});
