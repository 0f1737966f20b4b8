import { createHash } from 'node:crypto';
import { jest } from '@jest/globals';
import fs from 'node:fs';
import path from 'node:path';
import type { KeptAttachment, OpenedAirframe } from '@grain-fold/contract';
import { MOST_SHEET_BYTES, unpackProject } from '@grain-fold/core/formats';
import { EMPTY_PLAN, usualThing, type Plan } from '@grain-fold/core/plan';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';
import { Attachment, AttachmentPiece } from '../models/index.ts';

jest.setTimeout(30_000);
const picture = fs.readFileSync(path.resolve(import.meta.dirname, '../../../demo/plans/wren-three-views.png'));
const hash = createHash('sha256').update(picture).digest('hex');

let server: TestServer, builder: Browser;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
});
afterAll(() => server.close());

const create = async (): Promise<OpenedAirframe> =>
  (await builder.post('/airframes', { name: 'Wren', unit: 'mm' }).expect(201)).body as OpenedAirframe;
const tracedPlan: Plan = {
  ...EMPTY_PLAN,
  things: [usualThing('wing', 't1', 5)],
  sheets: [
    {
      id: 's1',
      name: 'wren.png',
      hash,
      kind: 'png',
      widthPx: 3100,
      heightPx: 2300,
      calibration: { kind: 'two lengths', lengthIds: ['k1', 'k2'] },
      lengths: [
        { id: 'k1', name: 'span', from: { x: 10, y: 10 }, to: { x: 10, y: 1010 }, lengthMm: 1020 },
        { id: 'k2', name: 'length', from: { x: 10, y: 10 }, to: { x: 810, y: 10 }, lengthMm: 760.25 },
      ],
    },
  ],
  underlays: [
    {
      id: 'u1',
      sheetId: 's1',
      view: 'side',
      turnDegrees: 1.25,
      isMirrored: false,
      originPx: { x: 100.5, y: 200 },
      originAt: { x: 0, y: 0 },
      opacity: 0.8,
      isHidden: false,
      isLocked: true,
    },
  ],
  lastId: 9,
};

describe('pictures beside an airframe', () => {
  test('are kept once by their hash, told by what they hold, and given back word for word to their owner alone', async () => {
    const kept = (await builder.upload('/attachments?name=wren.jpg', picture).expect(201)).body as KeptAttachment;
    expect(kept).toMatchObject({ hash, kind: 'png', bytes: picture.length, widthPx: 3100, heightPx: 2300 });
    expect(kept.note).toContain('wren.jpg is a PNG by what it holds');
    await builder.upload('/attachments?name=again.png', picture).expect(201);
    expect(await Attachment.count({ where: { hash } })).toBe(1);
    const answer = await builder.get(`/attachments/${hash}`).buffer(true).parse(asBytes).expect(200);
    expect(Buffer.compare(answer.body as Buffer, picture)).toBe(0);
    // No browser opens it as a page: what a drawing may carry is never run.
    expect(answer.headers).toMatchObject({
      'content-type': 'application/octet-stream',
      'content-disposition': 'attachment',
      'x-content-type-options': 'nosniff',
    });
    const stranger = await server.newcomer();
    await stranger.get(`/attachments/${hash}`).expect(404);
    await server.guest().get(`/attachments/${hash}`).expect(401);
    await server.guest().upload('/attachments?name=x.png', picture).expect(401);
  });

  test.each([
    ['notes.png', Buffer.from('no picture'), 400, 'neither a picture'],
    ['empty.png', Buffer.alloc(0), 400, 'is empty'],
    ['half.png', picture.subarray(0, 5000), 400, 'cut off'],
    ['large.png', Buffer.alloc(MOST_SHEET_BYTES + 1), 413, '40 MB'],
  ])('%s is refused in words, and nothing of it is kept', async (name, bytes, status, words) => {
    const before = await AttachmentPiece.count();
    const { body } = await builder.upload(`/attachments?name=${name}`, bytes).expect(status);
    expect(body.detail).toContain(words);
    expect(await AttachmentPiece.count()).toBe(before);
  });

  test('a large file comes back whole out of its stretches', async () => {
    // Five stretches: an SVG padded with a comment.
    const large = Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg"><!--${'foam '.repeat(3_500_000)}--></svg>`);
    const { body } = await builder.upload('/attachments?name=large.svg', large).expect(201);
    expect(await AttachmentPiece.count({ where: { hash: body.hash } })).toBe(5);
    const answer = await builder.get(`/attachments/${body.hash}`).buffer(true).parse(asBytes).expect(200);
    expect(
      createHash('sha256')
        .update(answer.body as Buffer)
        .digest('hex'),
    ).toBe(body.hash);
  });
});

describe('the plan of an airframe', () => {
  test('is saved on the version it was made from, stale ones told, looked back at, and taken out again', async () => {
    const { airframe } = await create();
    const save = (basedOn: number, value: Plan | null) =>
      builder.post(`/airframes/${airframe.id}/save`, { label: 'Plan', plan: { basedOn, value } });
    expect((await save(0, tracedPlan).expect(200)).body.plan).toBe(1);
    const opened = (await builder.get(`/airframes/${airframe.id}`).expect(200)).body as OpenedAirframe;
    expect(opened.airframe.plan).toEqual(tracedPlan);
    expect(opened.versions.plan).toBe(1);
    const stale = await save(0, { ...tracedPlan, type: 'glider' }).expect(409);
    expect(stale.body.conflicts).toMatchObject([{ kind: 'plan', current: { version: 1 } }]);
    await save(1, null).expect(200);
    expect(((await builder.get(`/airframes/${airframe.id}`)).body as OpenedAirframe).airframe.plan).toBeUndefined();
    await builder.post(`/airframes/${airframe.id}/revisions/2/restore`).expect(200);
    expect(((await builder.get(`/airframes/${airframe.id}`)).body as OpenedAirframe).airframe.plan).toEqual(tracedPlan);
  });

  test('a plan that breaks its own rules is refused by its field', async () => {
    const { airframe } = await create();
    const wing = usualThing('wing', 't1', 5);
    for (const [change, words] of [
      [{ things: [wing, wing] }, '"t1" is used twice'],
      [{ things: [{ ...wing, angles: [] }] }, 'angles'],
      [{ things: [{ ...wing, goesWith: 't1' }] }, 'goes along with itself'],
      [{ things: [{ ...wing, at: { x: 1e9, y: 0, z: 0 } }] }, 'at most 10000'],
      [{ underlays: tracedPlan.underlays, sheets: [] }, 'there is no sheet'],
      [{ things: [{ ...wing, kind: 'balloon' }] }, 'things[0]'],
    ] as const) {
      const { body } = await builder
        .post(`/airframes/${airframe.id}/save`, {
          label: 'x',
          plan: { basedOn: 0, value: { ...tracedPlan, ...change } },
        })
        .expect(400);
      expect(body.detail).toContain(words);
      expect(body.detail).toContain('plan');
    }
  });

  test('goes out with its pictures as one packed file, and prints', async () => {
    const { airframe } = await create();
    await builder.upload('/attachments?name=wren.png', picture).expect(201);
    await builder
      .post(`/airframes/${airframe.id}/save`, { label: 'Plan', plan: { basedOn: 0, value: tracedPlan } })
      .expect(200);
    const packed = await builder.get(`/airframes/${airframe.id}/export`).buffer(true).parse(asBytes).expect(200);
    expect(packed.headers['content-disposition']).toContain('Wren.grainfold.zip');
    const unpacked = unpackProject('Wren.zip', new Uint8Array(packed.body as Buffer));
    if (!unpacked.ok) throw new Error(unpacked.message);
    expect(JSON.parse(unpacked.projectFile).plan).toEqual(tracedPlan);
    expect(unpacked.files.map((file) => [file.hash, file.bytes.length])).toEqual([[hash, picture.length]]);
    for (const [query, status] of [
      ['', 200],
      ['?view=top', 200],
      ['?view=inside', 400],
    ] as const)
      await builder.get(`/airframes/${airframe.id}/plan.pdf${query}`).expect(status);
    const bare = await create();
    const { body } = await builder.get(`/airframes/${bare.airframe.id}/plan.pdf`).expect(400);
    expect(body.detail).toContain('no plan yet');
  });
});

type Parser = Parameters<ReturnType<Browser['get']>['parse']>[0];
const asBytes: Parser = (response, done) => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};
