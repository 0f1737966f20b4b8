import { DEFAULT_SETTINGS, type Airframe } from '@grain-fold/core/airframe';
import { applyCommand } from '@grain-fold/core/editing';
import { emptyPart } from '@grain-fold/core/part';
import { rectangleDraft } from '@grain-fold/core/paths';
import type { DocumentJob } from './document-job.ts';
import type { JobLimits } from '../threads/job-pool.ts';
import { documentPool, DocumentService } from './document.service.ts';
import type { TakenOut } from './taken-out.ts';

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

test('parts, a page and all of it packed go out as what they are; what is not there is said', async () => {
  const documents = serve();
  const out = (kind: TakenOut['kind'], more: Partial<TakenOut> = {}): Promise<Buffer> =>
    documents.make({ ...job(kind), takenOut: { kind, options: { wideLines: 'centre', hasWords: true }, ...more } }, me);
  expect((await out('drawing-svg')).toString()).toMatch(/width="130mm" height="90mm"[^]*aria-label="cut"/);
  expect((await out('drawing-dxf', { partIds: ['a'] })).toString()).toContain('LWPOLYLINE');
  expect((await out('drawing-pdf')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await out('drawing-svg', { page: 1 })).toString()).toMatch(/width="220mm" height="307mm"/);
  expect((await out('parts-table')).toString().split('\r\n')[1]).toMatch(
    /^Plate,,foam,1,single,120\.00,80\.00,5\.00,96\.00,/,
  );
  expect((await out('everything')).subarray(0, 2).toString()).toBe('PK');
  await expect(out('drawing-svg', { partIds: ['nowhere'] })).rejects.toMatchObject({ code: 'NOTHING_TO_DO' });
  await expect(out('drawing-svg', { board: 1 })).rejects.toThrow('has no nest');
  await expect(out('drawing-svg', { page: 9 })).rejects.toThrow('pages 1 to 1, got 9');
}, 60_000);
