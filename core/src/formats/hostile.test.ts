import { performance } from 'node:perf_hooks';
import { lineClasses, proposeWorks, takeIn, USUAL_INTAKE } from '../intake/index.ts';
import { seededRandom } from '../units/index.ts';
import { fileBytes, readPdf } from '../../test/read-file.ts';
import { pdfFault, readDrawing, type ReadResult } from './index.ts';

/** Far above what they take: what hangs is found here, how fast they are by the bench. */
const LONGEST_MS = 20_000;
const within = (work: () => ReadResult): ReadResult => {
  const start = performance.now(),
    read = work();
  expect(performance.now() - start).toBeLessThan(LONGEST_MS);
  return read;
};
const svg = (inside: string, head = 'width="100mm" height="100mm" viewBox="0 0 100 100"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${inside}</svg>`;
const leftOut = (read: ReadResult): string =>
  read.ok ? read.drawing.leftOut.map(({ what, count }) => `${count} ${what}`).join(', ') : read.message;
const dxf = (...values: readonly (string | number)[]): string =>
  ['0', 'SECTION', '2', 'ENTITIES', ...values, '0', 'ENDSEC', '0', 'EOF'].join('\n');

test('uses that lead back to themselves end, and uses of uses end at a bound', () => {
  const loop = within(() => readDrawing('svg', svg('<g id="a"><path d="M0 0H9" stroke="#000"/><use href="#a"/></g>')));
  expect(leftOut(loop)).toContain('uses that lead back to themselves');
  expect(loop.ok && loop.drawing.lines.length).toBeLessThan(50);
  const levels = Array.from(
    { length: 12 },
    (_, level) => `<g id="l${level + 1}">${`<use href="#l${level}"/>`.repeat(10)}</g>`,
  );
  const bomb = within(() =>
    readDrawing('svg', svg(`<g id="l0"><path d="M0 0H9" stroke="#000"/></g>${levels.join('')}`)),
  );
  expect(leftOut(bomb)).toContain('elements drawn through uses of uses');
});

test('entities of the file are not followed, nothing of another file is fetched, scripts and handlers are told', () => {
  const bomb = `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]>${svg('<text>&b;</text>')}`;
  expect(leftOut(within(() => readDrawing('svg', bomb)))).toContain('declares entities');
  const outside = `<!DOCTYPE svg SYSTEM "file:///etc/passwd">${svg('<image href="http://127.0.0.1/x.png"/><use href="http://127.0.0.1/x.svg#a"/><script>throw 1</script><path onclick="x()" d="M0 0H5" stroke="#000"/>')}`;
  expect(leftOut(within(() => readDrawing('svg', outside)))).toMatch(/2 scripts.*1 pictures.*1 uses of other files/);
});

test('a cut-off file gives what stands before the cut, with the place', () => {
  const whole = svg('<path d="M0 0H50V50Z" stroke="#000"/><path d="M0 0H20" stroke="#000"/>');
  const read = within(() => readDrawing('svg', whole.slice(0, whole.indexOf('<path d="M0 0H20') + 12)));
  expect(read.ok && read.drawing.lines).toHaveLength(1);
  expect(leftOut(read)).toMatch(/the rest of the file \(Line 1: /);
  const cut = within(() =>
    readDrawing('dxf', '0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\n0\n20\n0\n11\n30\n21\n0\n0\nLINE\n10\n5\n20'),
  );
  expect(cut.ok && cut.drawing.lines).toHaveLength(1);
  expect(leftOut(cut)).toContain('the rest of the file (Line 21: the file is cut off)');
});

test('coordinates that are no numbers or out of reach are left out and counted', () => {
  const read = within(() =>
    readDrawing(
      'svg',
      svg(
        '<path d="M0 0L1e300 0" stroke="#000"/><path d="M0 0 L NaN 5" stroke="#000"/><path d="M0 0H5" stroke="#000"/><rect width="1e400" height="3"/>',
      ),
    ),
  );
  expect(read.ok && read.drawing.lines.length).toBeLessThanOrEqual(2);
  expect(leftOut(read)).toContain('no number, or out of reach');
  const entity = dxf(
    '0',
    'LINE',
    '10',
    'NaN',
    '20',
    '0',
    '11',
    '1',
    '21',
    '0',
    '0',
    'CIRCLE',
    '10',
    '0',
    '20',
    '0',
    '40',
    '1e300',
    '0',
    'LINE',
    '10',
    '0',
    '20',
    '0',
    '11',
    '7',
    '21',
    '0',
  );
  const lines = within(() => readDrawing('dxf', entity));
  expect(lines.ok && lines.drawing.lines).toHaveLength(1);
  expect(leftOut(lines)).toContain('2 lines with a coordinate');
});

test('blocks that hold themselves end, and rows of blocks of blocks end at a bound', () => {
  const block = (name: string, ...inside: readonly string[]): readonly string[] => [
    '0',
    'BLOCK',
    '2',
    name,
    '10',
    '0',
    '20',
    '0',
    ...inside,
    '0',
    'ENDBLK',
  ];
  const insert = (name: string, ...more: readonly string[]): readonly string[] => [
    '0',
    'INSERT',
    '2',
    name,
    '10',
    '1',
    '20',
    '1',
    ...more,
  ];
  const file = (blocks: readonly string[], entities: readonly string[]): string =>
    [
      '0',
      'SECTION',
      '2',
      'BLOCKS',
      ...blocks,
      '0',
      'ENDSEC',
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      ...entities,
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n');
  const line = ['0', 'LINE', '10', '0', '20', '0', '11', '1', '21', '0'];
  const loop = within(() => readDrawing('dxf', file(block('A', ...line, ...insert('A')), insert('A'))));
  expect(leftOut(loop)).toContain('blocks that lead back to themselves');
  const rows = within(() =>
    readDrawing(
      'dxf',
      file(
        [...block('A', ...line), ...block('B', ...insert('A', '70', '1000', '71', '1000', '44', '1', '45', '1'))],
        insert('B', '70', '1000', '71', '1000', '44', '1', '45', '1'),
      ),
    ),
  );
  expect(rows.ok && rows.drawing.lines.length).toBeLessThanOrEqual(150_000);
  expect(leftOut(rows)).toMatch(/beyond/);
});

test('a million segments are read up to a bound, and the rest is told', () => {
  const data = Array.from({ length: 1_000_000 }, (_, index) => `${index % 997} ${index % 991}`).join('L');
  const read = within(() =>
    readDrawing('svg', svg(`<path d="M${data}" stroke="#000"/><path d="M0 0H5" stroke="#000"/>`)),
  );
  expect(read.ok).toBe(true);
  const lines = Array.from({ length: 400_000 }, (_, index) =>
    ['0', 'LINE', '10', index, '20', '0', '11', index, '21', '5'].join('\n'),
  );
  const many = within(() => readDrawing('dxf', dxf(lines.join('\n'))));
  expect(many.ok && many.drawing.lines.length).toBe(150_000);
  expect(leftOut(many)).toContain('beyond 150,000');
}, 30_000);

test.each([
  ['svg', '<html><body>no</body></html>', 'first element is not svg'],
  ['svg', '\u0000\u0001', ''],
  ['dxf', 'hello\nworld', 'no group code'],
  ['dxf', '', 'no sections'],
  ['section', 'name\n1 2 3\nx y', 'Line 3: "x y" is no point'],
  ['section', 'name\n0 0\n0 0\n0 0\n0 0\n0 0\n0 0', 'needs at least 5'],
  ['points', 'a,b\nc,d', 'no two rows of numbers'],
] as const)('a %s of %j is refused in words', (kind, text, words) => {
  const read = within(() => readDrawing(kind, text));
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.message).toContain(words);
});

test('a locked PDF and one that is none are refused in words; a scanned page is told apart', async () => {
  const fault = async (bytes: Uint8Array): Promise<string> => readPdf(bytes).then(() => 'read', pdfFault);
  expect(await fault(fileBytes('locked.pdf'))).toContain('locked with a password');
  expect(await fault(new TextEncoder().encode('%PDF-1.4 nothing more'))).toContain('damaged');
  const [page] = await readPdf(fileBytes('scanned.pdf'));
  expect([page!.pictureShare, page!.lines.length]).toEqual([expect.closeTo(1, 2), 0]);
});

/** Some bytes of a file changed, taken out, doubled or cut off. */
function mutated(bytes: Uint8Array, seed: number): Uint8Array {
  const random = seededRandom(seed);
  const list = [...bytes];
  const many = 1 + Math.floor(random() * 6);
  for (let count = 0; count < many; count++) {
    const at = Math.floor(random() * list.length),
      length = 1 + Math.floor(random() * 12);
    const sign = '0123456789.-eE<>/"\n &;#MLCAZhv'.charCodeAt(Math.floor(random() * 30));
    const kind = Math.floor(random() * 5);
    if (kind === 0) list[at] = sign;
    else if (kind === 1) list.splice(at, length);
    else if (kind === 2) list.splice(at, 0, ...list.slice(at, at + length));
    else if (kind === 3) list.splice(at, 0, ...Array.from({ length }, () => sign));
    else if (random() < 0.2) list.length = at;
  }
  return Uint8Array.from(list);
}

/** How many files of a kind are changed; more by ORACLE_FACTOR. */
const MUTANTS = 1000 * Number(process.env.ORACLE_FACTOR ?? 1) ** 0.5;

test.each([
  ['svg', 'plover-tail.svg'],
  ['dxf', 'blocks-r12.dxf'],
  ['section', 'section-lists.dat'],
] as const)(
  'changed %s files are read or refused, and what is read becomes parts or none: no exception, nothing that is no number',
  (kind, name) => {
    const bytes = fileBytes(name);
    for (let seed = 1; seed <= MUTANTS; seed++) {
      const read = within(() => readDrawing(kind, new TextDecoder().decode(mutated(bytes, seed))));
      if (!read.ok) continue;
      const { drawing } = read;
      expect(
        drawing.lines.every(({ path }) =>
          path.every(({ from, to }) => [from.x, from.y, to.x, to.y].every(Number.isFinite)),
        ),
      ).toBe(true);
      expect(lineClasses(drawing).every(({ lengthMm }) => Number.isFinite(lengthMm))).toBe(true);
      const intake = takeIn(drawing, {
        ...USUAL_INTAKE,
        mmPerUnit: drawing.unit.mmPerUnit,
        works: proposeWorks(drawing),
        gapMm: 1,
        drawnForMm: 5,
      });
      expect(intake.parts.every(({ areaMm2 }) => Number.isFinite(areaMm2))).toBe(true);
    }
  },
  120_000,
);

test('changed PDF files are read or refused', async () => {
  const bytes = fileBytes('layers.pdf');
  for (let seed = 1; seed <= MUTANTS / 5; seed++) {
    const pages = await readPdf(mutated(bytes, seed)).catch((error: unknown) => pdfFault(error));
    if (typeof pages === 'string') expect(pages).not.toBe('');
    else
      for (const { lines } of pages)
        expect(lines.every(({ path }) => path.every(({ to }) => Number.isFinite(to.x)))).toBe(true);
  }
}, 120_000);
