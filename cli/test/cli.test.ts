import { jest } from '@jest/globals';
import { execFile, execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { layoutFaults, type NestInstance, type NestLayout } from '@grain-fold/core/nesting';
import { bundle } from '../../scripts/bundle.mjs';
import { readPdf } from '../../scripts/test-support/read-pdf.ts';

const root = path.resolve(import.meta.dirname, '../..');
const saltbox = path.join(root, 'demo/saltbox-36.grainfold.json');
let folder = '';
const bundled = path.join(root, 'cli/dist/main.js');
beforeAll(async () => {
  // What starts the sources through their compiler takes seconds each time: one test does, the others run the same program bundled.
  await bundle({ main: path.join(root, 'cli/src/main.ts') }, path.dirname(bundled));
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-cli-'));
});
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

interface Ran {
  readonly exit: number;
  readonly out: string;
  readonly error: string;
}
/** Runs the program as a person does, from another folder. */
const run = (...words: string[]): Promise<Ran> => runProgram(bundled, words);
const runProgram = (program: string, words: readonly string[]): Promise<Ran> =>
  new Promise((resolve) => {
    execFile(process.execPath, [program, ...words], { cwd: folder, maxBuffer: 1 << 26 }, (error, out, problem) => {
      resolve({ exit: error ? Number(error.code) : 0, out, error: problem });
    });
  });
const write = (name: string, data: unknown): string => {
  const file = path.join(folder, name);
  fs.writeFileSync(file, typeof data === 'string' ? data : JSON.stringify(data));
  return file;
};
jest.setTimeout(240_000);

test('check tells figures and faults, and its exit code says which', async () => {
  const sound = await runProgram(path.join(root, 'cli/bin/grain-fold.mjs'), ['check', saltbox]);
  expect(sound.exit).toBe(0);
  expect(JSON.parse(sound.out)).toMatchObject({
    airframe: 'Saltbox 36',
    faults: [],
    figures: { drawings: 30, pieces: 41 },
  });
  const three = await run('check', saltbox, '--variant', 'three channels');
  expect(JSON.parse(three.out)).toMatchObject({ faults: [], figures: { drawings: 29, pieces: 39 } });
  const large = await run('check', path.join(root, 'demo/paperbark-mite.grainfold.json'), '--scale', '3');
  expect(large.exit).toBe(1);
  expect(JSON.parse(large.out).faults.map(({ code }: { code: string }) => code)).toContain('PART_TOO_LARGE');
});

test('fold tells how every part closes and how all stand together, and draws it', async () => {
  const out = path.join(folder, 'folded.svg');
  const { exit, out: told } = await run('fold', saltbox, '--out', out);
  expect(exit).toBe(0);
  const result = JSON.parse(told) as {
    parts: { part: string; order: unknown[]; seams: { state: string }[] }[];
    together: { report: string[]; seams: { gapMm: number }[] };
  };
  expect(result.parts.find(({ part }) => part === 'Power box strip')).toMatchObject({
    seams: [{ state: 'closed' }, { state: 'closed' }],
    order: [{}, {}, {}, {}],
  });
  expect(result.together.report.slice(0, 3)).toEqual([
    '33 pieces of 26 parts stand together.',
    'All 30 seams are closed; the widest gap is 0.004 in.',
    'No piece is in another.',
  ]);
  for (const { gapMm } of result.together.seams) expect(gapMm).toBeLessThan(0.1);
  expect(fs.readFileSync(out, 'utf8')).toMatch(/^<svg.*<title>33 pieces of 26 parts/);
});

test('plan tells figures with their sources, and prints the views', async () => {
  const file = path.join(folder, 'plan.pdf');
  const { exit, out } = await run('plan', saltbox, '--out', file, '--view', 'side');
  expect(exit).toBe(0);
  const result = JSON.parse(out);
  expect(result.figures).toContainEqual(
    expect.objectContaining({
      key: 'balance',
      text: '27 to 33 %',
      source: expect.stringContaining('flat bottom tractor'),
    }),
  );
  expect(result.clearances.map(({ word }: { word: string }) => word)).toContain('Propeller over the ground');
  expect(fs.readFileSync(file).subarray(0, 5).toString()).toBe('%PDF-');
  const none = await run('plan', path.join(root, 'demo/paperbark-mite.grainfold.json'));
  expect([none.exit, none.error]).toEqual([2, expect.stringContaining('has no plan')]);
});

test('pages writes a PDF of the paper asked for, at the scale asked for, and tells the faults that check and fold tell', async () => {
  const out = path.join(folder, 'pages.pdf');
  const { exit, out: told } = await run('pages', saltbox, '--paper', '420x594', '--scale', '1.5', '--out', out);
  const [checked, folded] = await Promise.all(
    ['check', 'fold'].map((command) => run(command, saltbox, '--scale', '1.5')),
  );
  const faults = JSON.parse(told).faults as unknown[];
  expect(faults.length).toBeGreaterThan(0);
  expect([checked, folded].map((one) => [one!.exit, JSON.parse(one!.out).faults])).toEqual([
    [exit, faults],
    [exit, faults],
  ]);
  const pdf = readPdf(fs.readFileSync(out));
  expect(pdf.pages).toHaveLength(JSON.parse(told).pages);
  expect(pdf.pages[0]).toMatchObject({ widthMm: expect.closeTo(420, 3), heightMm: expect.closeTo(594, 3) });
  // The rudder stands 1/8 in over the stabiliser, whose fin is 4 1/2 in high: 111.125 mm, 166.6875 mm at 1.5.
  expect(pdf.pages.some(({ runs }) => runs.some(({ lengthMm }) => Math.abs(lengthMm - 166.6875) < 0.01))).toBe(true);
});

test('nest of a bare instance prints the layout alone, and it holds', async () => {
  const instance: NestInstance = {
    name: 'bare',
    clearance: 3,
    boards: [{ id: 'b', width: 300, height: 200, count: 2 }],
    parts: [
      {
        id: 'l',
        polygon: [
          [0, 0],
          [90, 0],
          [90, 30],
          [30, 30],
          [30, 90],
          [0, 90],
        ],
        holes: [],
        quantity: 6,
        rotations: [0, 90, 180, 270],
      },
    ],
  };
  const file = write('instance.json', instance);
  const { exit, out } = await run('nest', file, '--steps', '8', '--seed', '3');
  expect(exit).toBe(0);
  const layout = JSON.parse(out) as NestLayout;
  expect(Object.keys(layout).sort()).toEqual(['boards', 'seconds', 'unplaced']);
  expect(layoutFaults(instance, layout)).toEqual([]);
  const again = JSON.parse((await run('nest', file, '--steps', '8', '--seed', '3')).out) as NestLayout;
  expect(again.boards).toEqual(layout.boards);
  expect(
    (
      await run(
        'nest',
        write('full.json', { ...instance, boards: [{ id: 'b', width: 80, height: 80, count: 1 }] }),
        '--steps',
        '1',
      )
    ).exit,
  ).toBe(4);
});

test('cutlist in every format', async () => {
  expect(JSON.parse((await run('cutlist', saltbox)).out).totals.pieces).toBe(41);
  expect((await run('cutlist', saltbox, '--format', 'csv')).out).toContain('mitre groove');
  const out = path.join(folder, 'list.pdf');
  expect((await run('cutlist', saltbox, '--out', out)).exit).toBe(0);
  expect(readPdf(fs.readFileSync(out)).pages.length).toBeGreaterThan(1);
});

test.each<[string, () => string[], number, string]>([
  ['no command', () => [], 2, ''],
  ['an unknown command', () => ['fly', saltbox], 2, 'check, plan, form, fold, pages, nest, cutlist'],
  ['no file', () => ['check'], 2, 'needs a file'],
  ['an unknown option', () => ['check', saltbox, '--colour', 'red'], 2, 'colour'],
  ['a variant that nobody named', () => ['check', saltbox, '--variant', 'glider'], 2, 'three channels'],
  ['a scale of zero', () => ['check', saltbox, '--scale', '0'], 2, '0.05 to 20'],
  ['a scale that is no number', () => ['pages', saltbox, '--scale', 'big'], 2, '"big"'],
  ['paper that nobody makes', () => ['pages', saltbox, '--paper', 'B99'], 2, 'B99'],
  ['paper too small', () => ['pages', saltbox, '--paper', '20x20'], 2, '90 to 5000'],
  ['a file that is not there', () => ['check', 'nowhere.json'], 3, 'nowhere.json'],
  [
    'a file that was cut off',
    () => ['check', write('cut.json', fs.readFileSync(saltbox, 'utf8').slice(0, 3000))],
    3,
    'Line',
  ],
  [
    'an instance with a word for a width',
    () => [
      'nest',
      write(
        'nan.json',
        '{"name":"x","boards":[{"id":"b","width":"wide","height":2,"count":1}],"clearance":1,"parts":[{"id":"a","polygon":[[0,0],[1,0],[0,1]],"quantity":1,"rotations":[0]}]}',
      ),
    ],
    3,
    'width',
  ],
  ['a folder that is not there', () => ['pages', saltbox, '--out', '/nowhere/at/all.pdf'], 3, '/nowhere/at/all.pdf'],
])('%s: the exit code says which kind of error, one line says what', async (_, words, exit, message) => {
  const ran = await run(...words());
  expect(ran.exit).toBe(exit);
  if (message) expect(JSON.parse(ran.error).message).toContain(message);
});
test('help is on standard output', async () =>
  expect(await run('--help')).toMatchObject({ exit: 0, out: expect.stringContaining('grain-fold COMMAND FILE') }));

test('a tiled plan becomes an airframe, which goes out as DXF and comes in again; boards and parts are chosen', async () => {
  const plan = path.join(root, 'demo/plans/dunlin-tiled.pdf'),
    project = path.join(folder, 'dunlin.json');
  const { exit, out } = await run('bring-in', plan, '--board-mm', '5', '--out', project);
  expect(exit).toBe(0);
  const told = JSON.parse(out) as { parts: { name: string; quantity: number; works: string[] }[]; gaps: number };
  expect(told.parts.map(({ name }) => name)).toContain('Box floor');
  expect(told.parts.find(({ name }) => name === 'Box floor')!.works).toEqual(['trench', 'trench']);
  expect(JSON.parse((await run('check', project)).out).figures.drawings).toBe(7);
  const dxf = path.join(folder, 'two.dxf');
  expect((await run('convert', project, '--to', 'dxf', '--parts', 'Fin,Box floor', '--out', dxf)).exit).toBe(0);
  const again = await run('bring-in', dxf, '--out', path.join(folder, 'again.json'));
  const areas = (JSON.parse(again.out) as { parts: { areaMm2: number }[] }).parts.map(({ areaMm2 }) => areaMm2);
  expect(areas.map(Math.round).sort((a, b) => a - b)).toEqual([8272, 23993]);
  // A part that stands on others leaves what it stood on behind.
  const small = path.join(folder, 'small.json');
  expect(
    (await run('convert', saltbox, '--to', 'json', '--parts', 'Tail fin,Tail stabiliser', '--out', small)).exit,
  ).toBe(0);
  const shared = JSON.parse(fs.readFileSync(small, 'utf8')) as {
    parts: { id: string; joints?: { toPartId: string }[] }[];
  };
  const ids = shared.parts.map(({ id }) => id);
  expect(ids).toHaveLength(2);
  expect(shared.parts.flatMap(({ joints = [] }) => joints).every(({ toPartId }) => ids.includes(toPartId))).toBe(true);
  const svg = path.join(folder, 'board.svg');
  expect((await run('convert', saltbox, '--to', 'svg', '--board', '1', '--no-words', '--out', svg)).exit).toBe(0);
  expect(fs.readFileSync(svg, 'utf8')).toMatch(/width="[\d.]+mm"[^]*aria-label="board"/);
  const pdf = path.join(folder, 'part.pdf');
  expect((await run('convert', saltbox, '--to', 'pdf', '--parts', 'Tail fin', '--out', pdf)).exit).toBe(0);
  execFileSync('qpdf', ['--check', pdf]);
  // The fin's drawing and 5 mm all round, in points.
  expect(execFileSync('pdfinfo', [pdf]).toString()).toMatch(/Pages: +1\n[^]*Page size: +[\d.]+ x [\d.]+ pts/);
  const map = write('map.json', [
    { dashed: true, work: 'leave' },
    { colour: '#0033B2', work: 'crease', foldDegrees: 20 },
    { work: 'cut' },
  ]);
  const mapped = await run('bring-in', plan, '--map', map, '--scale', '2', '--out', project);
  const fin = (JSON.parse(mapped.out) as { parts: { name: string; areaMm2: number; works: string[] }[] }).parts.find(
    ({ name }) => name === 'Fin',
  )!;
  expect([Math.round(fin.areaMm2 / 4), fin.works]).toEqual([8272, ['crease']]);
});

test('form: tells figures and working, takes other numbers, and writes the airframe with its parts made anew', async () => {
  const plank = path.join(root, 'demo/saltbox-36.grainfold.json');
  const file = JSON.parse(fs.readFileSync(plank, 'utf8')) as { boards: { material: string }[] };
  const { material } = file.boards[0]!;
  const parameters = {
    material,
    middle: 'joint',
    dihedralAgainst: 'table',
    sweepAt: 'nose',
    rootChordMm: 180,
    section: { kind: 'strip-spar', creases: 7 },
    skin: 'creased',
    nose: 'trench',
    tail: 'lap',
    stripBoards: 1,
    sparKind: 'strips',
    sparBoards: 2,
    sparPercent: 28,
    sparHeightMm: 10,
    sparEnds: 'through',
    sparShortMm: 10,
    ends: 'square',
    panels: [{ id: 'p1', spanMm: 450, tipChordMm: 180, sweepDegrees: 0, dihedralDegrees: 0, washoutDegrees: 0 }],
    servos: [],
    controls: [],
    hasTipBlocks: false,
    hasWedges: false,
    hasJigs: false,
    jigMaterial: material,
  };
  const place = { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 };
  const given = write('plank.json', {
    ...file,
    parts: [],
    nest: undefined,
    plan: undefined,
    forms: [{ id: 'w1', kind: 'wing', name: 'Plank', parameters, place }],
  });
  const out = path.join(folder, 'plank-made.json');
  const ran = await run('form', given, '--set', 'panels.0.spanMm=500,ends=bevelled', '--out', out);
  expect(ran).toMatchObject({ exit: 0 });
  const told = JSON.parse(ran.out) as { figures: { spanMm: number; areaMm2: number }; parts: { role: string }[] };
  expect(told.figures).toMatchObject({ spanMm: 1000, areaMm2: 180_000 });
  expect(told.parts.map(({ role }) => role)).toEqual(['skin-1', 'spar-1-1', 'spar-1-2']);
  expect((await run('fold', out)).exit).toBe(0);
  expect(await run('form', given, '--set', 'panels.0.spanMm=5')).toMatchObject({
    exit: 1,
    out: expect.stringContaining('OUT_OF_BOUNDS'),
  });
  expect(await run('form', given, '--set', 'keel=5')).toMatchObject({
    exit: 2,
    error: expect.stringContaining('no \\"keel\\"'),
  });
  expect(await run('form', given, '--set', 'build=glass')).toMatchObject({
    exit: 2,
    error: expect.stringContaining('build: must be folded'),
  });
  expect(JSON.parse((await run('form', given, '--set', 'build=stepped')).out).parts[0]).toMatchObject({
    name: 'Plank plate',
  });
  expect(await run('form', saltbox, '--form', 'Keel')).toMatchObject({ exit: 2 });
});

test.each([
  [['convert', saltbox, '--to', 'stl', '--out', 'x'], 2, '--to must be svg, dxf, pdf, json'],
  [['convert', saltbox, '--to', 'svg'], 2, 'needs --out FILE'],
  [['convert', saltbox, '--to', 'svg', '--parts', 'Keel', '--out', 'x.svg'], 2, 'no part \\"Keel\\"'],
  [['convert', saltbox, '--to', 'svg', '--board', '99', '--out', 'x.svg'], 2, 'got 99'],
  [['bring-in', saltbox, '--out', 'x.json'], 2, 'is a project file already'],
  [['bring-in', 'nowhere.dxf', '--out', 'x.json'], 3, 'cannot be read'],
  [['bring-in', path.join(root, 'core/test/drawings/locked.pdf'), '--out', 'x.json'], 3, 'locked with a password'],
  [
    ['bring-in', path.join(root, 'demo/plans/plover-tail.svg'), '--unit', 'ell', '--out', 'x.json'],
    2,
    '--unit must be mm, cm or in',
  ],
])('%j is refused in words', async (words, exit, message) => {
  const ran = await run(...words);
  expect([ran.exit, ran.error]).toEqual([exit, expect.stringContaining(message)]);
});
