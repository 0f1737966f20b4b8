import { jest } from '@jest/globals';
import fs from 'node:fs';
import path from 'node:path';
import { LARGEST_PROJECT_FILE, type AirframeLine, type OpenedAirframe, type SaveAirframe } from '@grain-fold/contract';
import { applyCommand } from '@grain-fold/core/editing';
import { emptyPart, type Part } from '@grain-fold/core/part';
import { rectangleDraft } from '@grain-fold/core/paths';
import { CoreError } from '@grain-fold/core/units';
import { readPdf } from '../../../scripts/test-support/read-pdf.ts';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';
import { PartRow, RevisionEntry } from '../models/index.ts';

const demo = (name: string): string =>
  fs.readFileSync(path.resolve(import.meta.dirname, '../../../demo', `${name}.grainfold.json`), 'utf8');
const plate = (id: string, name: string, width = 120): Part => {
  const result = applyCommand(emptyPart(id, name, 'faced board'), {
    name: 'drawOutline',
    args: { draft: rectangleDraft({ x: 0, y: 0 }, width, 60) },
  });
  if (!result.ok) throw new Error(result.message);
  return result.part;
};

// Documents are worked out on a worker thread, which a busy machine starts late.
jest.setTimeout(30_000);

let server: TestServer, builder: Browser;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
});
afterAll(() => server.close());

const create = async (browser = builder, name = 'Shore Tern'): Promise<OpenedAirframe> =>
  (await browser.post('/airframes', { name, unit: 'mm' }).expect(201)).body as OpenedAirframe;
const open = async (id: string): Promise<OpenedAirframe> =>
  (await builder.get(`/airframes/${id}`).expect(200)).body as OpenedAirframe;
const save = (id: string, changes: Partial<SaveAirframe>) =>
  builder.post(`/airframes/${id}/save`, { label: 'Edit', ...changes });
const partChange = (value: Part | null, basedOn = 0, position = 0, id = value?.id ?? '') => ({
  id,
  basedOn,
  position,
  value,
});

describe('the list', () => {
  test('new, rename, duplicate, put away and bring back', async () => {
    const browser = await server.newcomer();
    const list = async (): Promise<AirframeLine[]> =>
      (await browser.get('/airframes').expect(200)).body.lines as AirframeLine[];
    const { airframe } = await create(browser, 'First');
    await browser.send('patch', `/airframes/${airframe.id}`, { name: 'Renamed' }).expect(204);
    await browser
      .post(`/airframes/${airframe.id}/duplicate`)
      .expect(201)
      .expect(({ body }) => expect(body.airframe.name).toBe('Renamed copy'));
    expect((await list()).map(({ name }) => name).sort()).toEqual(['Renamed', 'Renamed copy']);
    await browser.post(`/airframes/${airframe.id}/put-away`).expect(204);
    expect((await list()).map(({ name }) => name)).toEqual(['Renamed copy']);
    const away = (await browser.get('/airframes?away=yes').expect(200)).body;
    expect(away).toMatchObject({ total: 1, away: 1, lines: [{ id: airframe.id, putAwayAt: expect.any(String) }] });
    await browser.post(`/airframes/${airframe.id}/bring-back`).expect(204);
    expect((await list()).find(({ id }) => id === airframe.id)!.putAwayAt).toBeNull();
  });
  test('it tells parts, boards and a drawn thumbnail', async () => {
    const browser = await server.newcomer();
    await browser.post('/airframes/import', { text: demo('paperbark-mite') }).expect(201);
    const [line] = (await browser.get('/airframes')).body.lines as AirframeLine[];
    expect(line).toMatchObject({ name: 'Paperbark Mite', parts: 9, boards: 1 });
    expect(line!.thumbnail.length).toBeGreaterThan(3);
    expect(line!.thumbnail[0]!.d).toMatch(/^M[\d. -]+/);
  });
});

test('the thumbnail shows outlines as they are drawn, a half drawing whole', async () => {
  const browser = await server.newcomer();
  const made = (await browser.post('/airframes', { name: 'Halves', unit: 'mm' }).expect(201)).body as OpenedAirframe;
  const drawn = applyCommand(
    { ...emptyPart('h', 'Half', 'faced board'), symmetry: { along: 'upright', atMm: 0 } },
    {
      name: 'drawOutline',
      args: {
        draft: {
          points: [
            { x: 0, y: 0 },
            { x: 60, y: 0 },
            { x: 60, y: 40 },
            { x: 0, y: 40 },
          ],
          segments: [{ kind: 'line' }, { kind: 'line' }, { kind: 'line' }],
          closed: false,
        },
      },
    },
  );
  if (!drawn.ok) throw new Error(drawn.message);
  await browser
    .post(`/airframes/${made.airframe.id}/save`, {
      label: 'Half',
      parts: [{ id: 'h', basedOn: 0, position: 0, value: drawn.part }],
    })
    .expect(200);
  const [line] = (await browser.get('/airframes')).body.lines as AirframeLine[];
  expect(line!.thumbnail[0]!.box).toEqual([-60, 0, 60, 40]);
});

describe('nobody reaches another’s airframe', () => {
  const routes: readonly (readonly ['get' | 'post' | 'patch', string, object?])[] = [
    ['get', ''],
    ['get', '/picture.svg'],
    ['post', '/save', { label: 'Theft' }],
    ['patch', '', { name: 'Mine now' }],
    ['post', '/duplicate'],
    ['post', '/put-away'],
    ['post', '/bring-back'],
    ['get', '/revisions'],
    ['get', '/revisions/1'],
    ['get', '/revisions/1/picture.svg'],
    ['post', '/revisions/1/restore'],
    ['get', '/project-file'],
    ['get', '/pages.pdf'],
    ['get', '/cut-list.pdf'],
    ['get', '/cut-list.csv'],
    ['get', '/drawing.svg'],
    ['get', '/everything.zip'],
  ];
  test.each(routes.map(([method, route, body]) => ({ method, route, body })))(
    '$method $route',
    async ({ method, route, body }) => {
      const { airframe } = await create();
      const stranger = await server.newcomer();
      const ask = (browser: Browser, id: string) =>
        method === 'get'
          ? browser.get(`/airframes/${id}${route}`)
          : browser.send(method, `/airframes/${id}${route}`, body ?? {});
      await ask(stranger, airframe.id).expect(404);
      await ask(server.guest(), airframe.id).expect(401);
      await ask(builder, '00000000-0000-4000-8000-000000000000').expect(404);
      await ask(builder, "x' OR 1=1 --").expect(404);
      expect((await open(airframe.id)).airframe).toEqual(airframe);
    },
  );
  test('a stranger’s list is empty', async () => {
    await create();
    expect((await (await server.newcomer()).get('/airframes')).body).toEqual({ lines: [], total: 0, away: 0 });
  });
});

describe('saving', () => {
  test('parts are added, changed, moved and removed, and read back as they were sent', async () => {
    const {
      airframe: { id },
    } = await create();
    const [a, b] = [plate('a', 'Rib'), plate('b', 'Former', 80)];
    const first = await save(id, { parts: [partChange(a), partChange(b, 0, 1)] }).expect(200);
    expect(first.body).toMatchObject({ version: 2, parts: { a: 1, b: 1 } });
    await save(id, { parts: [partChange({ ...a, name: 'Rib 1' }, 1, 1), partChange(b, 1, 0)] }).expect(200);
    expect((await open(id)).airframe.parts).toEqual([b, { ...a, name: 'Rib 1' }]);
    await save(id, { parts: [partChange(null, 2, 0, 'b')] }).expect(200);
    expect((await open(id)).airframe.parts.map(({ name }) => name)).toEqual(['Rib 1']);
  });
  test('every digit of every coordinate survives', async () => {
    const {
      airframe: { id },
    } = await create();
    const part = plate('a', 'Exact', 100 / 3 + 1e-9);
    await save(id, { parts: [partChange(part)] }).expect(200);
    expect((await open(id)).airframe.parts[0]).toEqual(part);
  });
  test('where a part stands, what it meets, its order of folds and how folds are made survive; a joint that cannot be is refused', async () => {
    const {
      airframe: { id, settings },
      versions,
    } = await create();
    const drawn = plate('a', 'Wall'),
      segmentId = drawn.contours[0]!.segments[0]!.id;
    const joint = {
      id: 'k900',
      ownSegmentId: segmentId,
      ownSkin: 'back',
      toPartId: 'b',
      toSegmentId: `${segmentId}~mirror`,
      toSkin: 'face',
      turnDegrees: 90,
      alongMm: 1 / 3,
      isReversed: false,
    } as const;
    const standing: Part = {
      ...drawn,
      joints: [joint],
      seams: [{ id: 'j900', fromSegmentId: segmentId, toSegmentId: 's7', toPartId: 'b' }],
      place: { at: { x: 1, y: -2.5, z: 1e-9 }, rollDegrees: 90, pitchDegrees: 0, yawDegrees: -37.5 },
      foldOrder: [],
    };
    const folds = { style: 'groove', school: 'tool', toolDegrees: 30, hingeOn: 'tape' } as const;
    await save(id, {
      parts: [partChange(standing)],
      settings: { basedOn: versions.settings, value: { ...settings, folds } },
    }).expect(200);
    expect((await open(id)).airframe).toMatchObject({ parts: [standing], settings: { folds } });
    await save(id, { parts: [partChange({ ...standing, joints: [{ ...joint, turnDegrees: 400 }] }, 1)] })
      .expect(400)
      .expect(({ body }) => expect(JSON.stringify(body)).toContain('turnDegrees'));
    expect((await open(id)).airframe.parts).toEqual([standing]);
  });
  test('a save on an older version is answered with the newer state, and changes nothing', async () => {
    const {
      airframe: { id },
      versions,
    } = await create();
    await save(id, { parts: [partChange(plate('a', 'Rib'))] }).expect(200);
    await save(id, { parts: [partChange(plate('a', 'Theirs'), 1)] }).expect(200);
    const before = await open(id);
    const stale = await save(id, {
      parts: [partChange(plate('a', 'Mine'), 1)],
      settings: { basedOn: versions.settings, value: { ...before.airframe.settings, scale: 2 } },
    }).expect(409);
    expect(stale.body).toMatchObject({
      code: 'STALE_SAVE',
      conflicts: [{ kind: 'part', id: 'a', current: { version: 2, value: { name: 'Theirs' } } }],
    });
    expect(await open(id)).toEqual(before);
  });
  test('a save whose answer was lost can be sent again without harm', async () => {
    const {
      airframe: { id },
    } = await create();
    const changes = { parts: [partChange(plate('a', 'Rib'))] };
    await save(id, changes).expect(200);
    await save(id, changes)
      .expect(200)
      .expect(({ body }) => expect(body.parts).toEqual({ a: 1 }));
    expect((await open(id)).airframe.parts).toHaveLength(1);
  });
  test('of twenty saves at once on one version, one wins and nineteen are told', async () => {
    const {
      airframe: { id },
    } = await create();
    await save(id, { parts: [partChange(plate('a', 'Rib'))] }).expect(200);
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, index) => save(id, { parts: [partChange(plate('a', `Rib ${index}`), 1)] })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(19).fill(409)]);
    expect((await open(id)).versions.parts).toEqual({ a: 2 });
  });
  test('when the database fails half-way through a save, nothing of it is kept', async () => {
    const {
      airframe: { id },
    } = await create();
    const before = await open(id);
    const fail = jest.spyOn(RevisionEntry, 'bulkCreate').mockRejectedValueOnce(new Error('the disk is full'));
    await save(id, { parts: [partChange(plate('a', 'Rib'))] }).expect(500);
    fail.mockRestore();
    expect(await open(id)).toEqual(before);
    expect(await PartRow.count({ where: { airframeId: id } })).toBe(0);
    await save(id, { parts: [partChange(plate('a', 'Rib'))] }).expect(200);
  });
  test.each<[string, (part: Part) => object, string]>([
    [
      'NaN written as null',
      (part) => ({ parts: [{ ...partChange(part), value: { ...part, quantity: null } }] }),
      'quantity',
    ],
    [
      'an operation on no line',
      (part) => ({
        parts: [
          partChange({
            ...part,
            operations: [{ id: 'o9', kind: 'mark', face: 'face', label: '', on: { pathId: 'zz' } }],
          }),
        ],
      }),
      'zz',
    ],
    ['another id inside', (part) => ({ parts: [{ ...partChange(part), id: 'other' }] }), 'id'],
    ['a version below 0', (part) => ({ parts: [{ ...partChange(part), basedOn: -1 }] }), 'basedOn'],
    ['a scale of 1000', () => ({ settings: { basedOn: 1, value: { unit: 'mm', scale: 1000 } } }), 'scale'],
    [
      'a board 0 mm thick',
      () => ({
        boards: [
          {
            id: 'b9',
            basedOn: 0,
            position: 0,
            value: {
              id: 'b9',
              name: 'x',
              material: 'x',
              thicknessMm: 0,
              widthMm: 1,
              heightMm: 1,
              count: 1,
              price: 1,
              grain: 'width',
              gramsPerSquareMetre: 1,
            },
          },
        ],
      }),
      'thicknessMm',
    ],
    ['an unknown field', () => ({ accountId: 'someone' }), 'accountId'],
  ])('%s is refused by field and changes nothing', async (_, changes, word) => {
    const {
      airframe: { id },
    } = await create();
    const { body } = await save(id, changes(plate('a', 'Rib')) as Partial<SaveAirframe>).expect(400);
    expect(JSON.stringify(body)).toContain(word);
    expect((await open(id)).airframe.parts).toEqual([]);
  });
});

describe('versions', () => {
  test('each save is kept as it was, and going back is a new version', async () => {
    const {
      airframe: { id },
    } = await create();
    await save(id, { label: 'Draw rib', parts: [partChange(plate('a', 'Rib'))] });
    await save(id, { label: 'Remove rib', parts: [partChange(null, 1, 0, 'a')] });
    const { lines } = (await builder.get(`/airframes/${id}/revisions`).expect(200)).body;
    expect(lines.map(({ number, label }: { number: number; label: string }) => [number, label])).toEqual([
      [3, 'Remove rib'],
      [2, 'Draw rib'],
      [1, 'New airframe'],
    ]);
    expect((await builder.get(`/airframes/${id}/revisions/2`)).body.parts).toHaveLength(1);
    const { body: restored } = await builder.post(`/airframes/${id}/revisions/2/restore`).expect(200);
    expect(restored).toMatchObject({ version: 4, airframe: { parts: [{ name: 'Rib' }] } });
    await builder.get(`/airframes/${id}/revisions/99`).expect(404);
    await builder.get(`/airframes/${id}/revisions/x`).expect(404);
  });
});

describe('files', () => {
  test.each(['paperbark-mite', 'saltbox-36', 'reedling-1100'])(
    '%s: import and export give the same airframe back',
    async (name) => {
      const { body } = await builder.post('/airframes/import', { text: demo(name) }).expect(201);
      const exported = await builder.get(`/airframes/${body.airframe.id}/project-file`).expect(200);
      expect(exported.headers['content-disposition']).toContain('.grainfold.json');
      expect({ ...JSON.parse(exported.text), id: '' }).toEqual({ ...JSON.parse(demo(name)), id: '' });
    },
  );
  test('some parts go out by themselves and come in again; parts that are not there are said, and drawings take no wrong number', async () => {
    const { body } = await builder.post('/airframes/import', { text: demo('saltbox-36') }).expect(201);
    const at = `/airframes/${body.airframe.id}`,
      some = (body.airframe as { parts: { id: string }[] }).parts.slice(0, 2).map(({ id }) => id);
    const small = await builder.get(`${at}/project-file?parts=${some.join(',')}`).expect(200);
    const again = await builder.post('/airframes/import', { text: small.text }).expect(201);
    expect((again.body.airframe as { parts: { id: string }[] }).parts.map(({ id }) => id)).toEqual(some);
    await builder.get(`${at}/project-file?parts=nowhere`).expect(404);
    const drawing = await builder.get(`${at}/drawing.dxf?parts=${some[0]}&lines=both`).expect(200);
    expect(drawing.headers['content-disposition']).toContain('.dxf');
    await builder.get(`${at}/drawing.svg?board=0`).expect(400);
    await builder.get(`${at}/drawing.svg?lines=wavy`).expect(400);
  });
  test.each<[string, string, number, string]>([
    ['a cut-off file', demo('paperbark-mite').slice(0, 4000), 400, 'FILE_NOT_JSON'],
    ['a newer file', demo('paperbark-mite').replace(/"formatVersion": \d/u, '"formatVersion": 9'), 400, 'FILE_NEWER'],
    ['a damaged file', demo('paperbark-mite').replace(/"x": [\d.]+/, '"x": "far"'), 400, 'FILE_DAMAGED'],
    ['another file', '{"a":1}', 400, 'FILE_OF_ANOTHER_KIND'],
    ['a file of 9 MiB', ' '.repeat(LARGEST_PROJECT_FILE + 1), 413, 'FILE_TOO_LARGE'],
  ])('%s is refused and leaves nothing behind', async (_, text, status, code) => {
    // The builder's own: other suites make airframes in the same database meanwhile.
    const lines = async (): Promise<AirframeLine[]> =>
      (await builder.get('/airframes').expect(200)).body.lines as AirframeLine[];
    const before = await lines();
    const { body } = await builder.post('/airframes/import', { text }).expect(status);
    expect(body).toMatchObject({ code, mend: expect.stringMatching(/\w+/) });
    expect(await lines()).toEqual(before);
  });
  test('the pages measure what they should, and viewers are told not to scale them', async () => {
    const { body } = await builder.post('/airframes/import', { text: demo('saltbox-36') });
    const response = await builder
      .get(`/airframes/${body.airframe.id}/pages.pdf`)
      .buffer(true)
      .parse((stream, done) => {
        const chunks: Buffer[] = [];
        stream.on('data', (chunk: Buffer) => chunks.push(chunk));
        stream.on('end', () => done(null, Buffer.concat(chunks)));
      })
      .expect(200);
    expect(response.headers['content-type']).toBe('application/pdf');
    const pdf = readPdf(response.body as Buffer);
    expect(pdf.hasNoScaling).toBe(true);
    expect(pdf.pages.length).toBeGreaterThan(5);
    for (const page of pdf.pages) {
      expect([page.widthMm, page.heightMm]).toEqual([expect.closeTo(215.9, 3), expect.closeTo(279.4, 3)]);
      const bar = page.runs.filter(
        ({ y1, y2, lengthMm }) => Math.abs(y1 - y2) < 1e-6 && Math.abs(lengthMm - 100) < 0.5,
      );
      expect(bar.some(({ lengthMm }) => Math.abs(lengthMm - 100) < 0.01)).toBe(true);
      expect(
        page.runs.some(({ x1, x2, lengthMm }) => Math.abs(x1 - x2) < 1e-6 && Math.abs(lengthMm - 100) < 0.01),
      ).toBe(true);
    }
  });
  test('an import is checked like every other request', async () => {
    for (const body of [{}, { text: 5 }, { text: null }, { text: '{}', more: 1 }]) {
      const { body: problem } = await builder.post('/airframes/import', body).expect(400);
      expect(problem).toMatchObject({ code: 'BAD_REQUEST', fields: [{ field: 'more' in body ? 'more' : 'text' }] });
    }
  });
  test('the picture shows the model as it stands; while nothing stands there is none', async () => {
    const { body } = await builder.post('/airframes/import', { text: demo('reedling-1100') });
    const picture = await builder
      .get(`/airframes/${body.airframe.id}/picture.svg?version=1`)
      .expect(200)
      .expect('Content-Type', /image\/svg\+xml/);
    const svg = (picture.body as Buffer).toString('utf8');
    expect(svg.match(/<path /g)!.length).toBeGreaterThan(50);
    const kept = await builder.get(`/airframes/${body.airframe.id}/revisions/1/picture.svg`).expect(200);
    expect((kept.body as Buffer).toString('utf8')).toBe(svg);
    await builder.get(`/airframes/${body.airframe.id}/revisions/7/picture.svg`).expect(404);
    const { airframe } = await create();
    await builder.get(`/airframes/${airframe.id}/picture.svg?version=1`).expect(204);
  });
  test('the cut list comes as CSV and as a PDF', async () => {
    const { body } = await builder.post('/airframes/import', { text: demo('reedling-1100') });
    const csv = await builder
      .get(`/airframes/${body.airframe.id}/cut-list.csv`)
      .expect(200)
      .expect('Content-Type', /text\/csv/);
    expect(csv.text.split('\r\n')[0]).toContain('part,group,side,quantity');
    expect(csv.text).toContain('Pod battery tray');
    await builder
      .get(`/airframes/${body.airframe.id}/cut-list.pdf`)
      .expect(200)
      .expect('Content-Type', 'application/pdf');
  });
  test('a number that core cannot take is told as what it is, not as a page that cannot print', async () => {
    const failing = await startTestServer({
      documents: {
        make: () => Promise.reject(new CoreError('OUT_OF_RANGE', 'a scale must be from 0.05 to 20, got 30')),
      } as never,
    });
    const browser = await failing.newcomer();
    const { airframe } = await create(browser);
    const { body } = await browser.get(`/airframes/${airframe.id}/cut-list.pdf`).expect(422);
    expect(body).toMatchObject({ code: 'OUT_OF_RANGE', detail: expect.stringContaining('got 30') });
    await failing.close();
  });
});
