import { DEFAULT_SETTINGS, type Airframe } from '@grain-fold/core/airframe';
import { applyCommand } from '@grain-fold/core/editing';
import { emptyPart } from '@grain-fold/core/part';
import { rectangleDraft } from '@grain-fold/core/paths';
import type { DocumentJob } from './document-job.ts';
import type { JobLimits } from '../threads/job-pool.ts';
import { documentPool, DocumentService } from './document.service.ts';

const plate = applyCommand(emptyPart('a', 'Plate', 'foam'), {
  name: 'drawOutline',
  args: { draft: rectangleDraft({ x: 0, y: 0 }, 120, 80) },
});
if (!plate.ok) throw new Error(plate.message);
const airframe: Airframe = { id: 'x', name: 'Tern', settings: DEFAULT_SETTINGS, parts: [plate.part], boards: [] };
const job = (kind: DocumentJob['kind']): DocumentJob => ({ kind, airframe, version: 1, date: '2026-01-02' });
const me = { accountId: 'me' };

let pool: ReturnType<typeof documentPool> | undefined;
const serve = (limits?: JobLimits): DocumentService =>
  new DocumentService((pool = documentPool(new URL('./document-job.ts', import.meta.url), limits)));
afterEach(() => pool?.close());

test('the table of the cut list is made apart from the server, with a row for the outline', async () => {
  const csv = (await serve().make(job('cut-list-table'), me)).toString();
  expect(csv.split('\r\n')[1]).toMatch(/^Plate,.*outline,through,.*,400\.00,/);
}, 60_000);

test('a document beyond its time is ended and told so; the next one is made', async () => {
  const late = serve({ longestMs: 1, mostMegabytes: 512 });
  await expect(late.make(job('pages'), me)).rejects.toMatchObject({ code: 'DOCUMENT_TOO_LARGE' });
  await pool!.close();
  expect((await serve().make(job('pages'), me)).subarray(0, 5).toString()).toBe('%PDF-');
}, 60_000);

test('an account waits for four documents at most; another’s is not held up by that, nor by one whose asker has gone', async () => {
  const documents = serve();
  const gone = new AbortController();
  const mine = Array.from({ length: 4 }, () => documents.make(job('cut-list'), { ...me, signal: gone.signal }));
  await expect(documents.make(job('cut-list'), me)).rejects.toMatchObject({ code: 'TOO_MANY_DOCUMENTS' });
  gone.abort();
  for (const one of await Promise.allSettled(mine)) expect(one).toMatchObject({ reason: { name: 'AbortError' } });
  const others = await Promise.all([
    documents.make(job('cut-list'), { accountId: 'other' }),
    documents.make(job('cut-list'), me),
  ]);
  for (const one of others) expect(one.subarray(0, 5).toString()).toBe('%PDF-');
}, 60_000);

test('a list of many airframes gets all of its pictures, and documents beside them', async () => {
  const documents = serve();
  const pictures = Array.from({ length: 12 }, () => documents.make(job('picture'), me));
  const [table, ...all] = await Promise.all([documents.make(job('cut-list-table'), me), ...pictures]);
  expect([table!.length > 0, all.length]).toEqual([true, 12]);
}, 60_000);
