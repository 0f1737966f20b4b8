import { pathBounds, pathLength, pathSignedArea } from '../geometry/index.ts';
import { fileBytes, readPdf, readText } from '../../test/read-file.ts';
import { kindOfFile, readDrawing, type ReadDrawing } from './index.ts';

const boxOf = (drawing: ReadDrawing, index: number): readonly number[] => {
  const { minX, minY, maxX, maxY } = pathBounds(drawing.lines[index]!.path);
  return [minX, minY, maxX, maxY];
};
const near = (values: readonly number[], wanted: readonly number[], digits: number): void => {
  expect(values).toHaveLength(wanted.length);
  values.forEach((value, index) => expect(value).toBeCloseTo(wanted[index]!, digits));
};

test('blocks in blocks come out turned, mirrored, stretched and in rows, about their base points', () => {
  const drawing = readText('blocks-r12.dxf');
  expect(drawing.unit).toMatchObject({ mmPerUnit: 1, isCertain: false });
  // Plates: 40 wide and a half circle of radius 10 at the right; its base point lies at its lower left corner.
  const outlines = drawing.lines.filter(({ isClosed, path }) => isClosed && path.some(({ kind }) => kind === 'line'));
  const plates = outlines.filter(({ path }) => path.some(({ kind }) => kind === 'arc'));
  const area = 40 * 20 + (Math.PI * 100) / 2;
  near(
    plates.map(({ path }) => Math.abs(pathSignedArea(path))).sort((a, b) => a - b),
    [area, area, 4 * area, 4 * area, 4 * area],
    6,
  );
  // The pair, a quarter turned about (100, 100): its first plate goes up from there, and lies left of it.
  near(boxOf(drawing, 0), [80, 100, 100, 150], 1);
  // The second, half turned and mirrored, stands on y = 40 of the pair: it goes up too, and reaches the other way.
  near(boxOf(drawing, 2), [60, 100, 80, 150], 1);
  // Twice as large, three in a row, 120 apart.
  near(boxOf(drawing, 4), [300, 0, 400, 40], 1);
  near(boxOf(drawing, 8), [540, 0, 640, 40], 1);
  // Stretched along only, its half circle is half an ellipse, and its area twice as large.
  const stretched = outlines.find(({ path }) => path.some(({ kind }) => kind === 'cubic'))!;
  expect(Math.abs(pathSignedArea(stretched.path))).toBeCloseTo(2 * area, 2);
});

test('a circle as a rational spline, part of an ellipse and an arc seen from below keep their lengths and places', () => {
  const drawing = readText('curves-r2018.dxf');
  expect(drawing.unit).toEqual({ word: 'centimetre', mmPerUnit: 10, isCertain: true });
  const [circle, ellipse, arc, dashed] = drawing.lines;
  expect(pathLength(circle!.path)).toBeCloseTo(2 * Math.PI * 5, 2);
  expect(Math.abs(pathSignedArea(circle!.path))).toBeCloseTo(Math.PI * 25, 2);
  // Half of an ellipse with half axes 4 and 2: by the complete integral of the second kind, 4·E(m = 3/4) = 4.8442241, times 4 / 2.
  expect(pathLength(ellipse!.path)).toBeCloseTo(9.6884482, 4);
  near(boxOf(drawing, 1), [16, 0, 24, 2], 3);
  // From below, x runs the other way: the first quarter about (40, 0) is the second about (-40, 0).
  near(boxOf(drawing, 2), [-43, 0, -40, 3], 3);
  expect(pathLength(arc!.path)).toBeCloseTo((3 * Math.PI) / 2, 9);
  expect(dashed).toMatchObject({ isDashed: true, colour: '#1428c8' });
  expect(dashed!.width * drawing.unit.mmPerUnit).toBeCloseTo(0.5, 9);
  expect(Object.fromEntries(drawing.leftOut.map(({ what, count }) => [what, count]))).toMatchObject({
    hatches: 1,
    'things on layers that are switched off': 1,
  });
});

test('an SVG of another program comes out in true mm, turned as it is drawn', () => {
  const drawing = readText('cairo.svg'),
    k = drawing.unit.mmPerUnit;
  expect(drawing.unit.isCertain).toBe(true);
  const [rectangle, circle] = drawing.lines;
  expect(Math.abs(pathSignedArea(rectangle!.path)) * k * k).toBeCloseTo(40 * 25, 1);
  expect(Math.abs(pathSignedArea(circle!.path)) * k * k).toBeCloseTo(Math.PI * 25, 1);
  expect([rectangle!.colour, circle!.colour]).toEqual(['#cc0000', '#0000ff']);
  expect([rectangle!.isDashed, circle!.isDashed]).toEqual([false, true]);
  expect(rectangle!.width * k).toBeCloseTo(0.3, 3);
});

test('nested groups, symbols with a view box, rounded corners and a flipped group lie where they are drawn, in dots', () => {
  const drawing = readText('plover-tail.svg'),
    k = drawing.unit.mmPerUnit;
  expect(drawing.unit).toMatchObject({ word: 'dot', isCertain: false });
  const mm = (index: number): readonly number[] => boxOf(drawing, index).map((value) => value * k);
  near(mm(0), [10, -100, 190, -20], 2);
  const holes = drawing.lines.flatMap((line, index) => (line.path.every(({ kind }) => kind === 'arc') ? [index] : []));
  near(mm(holes[0]!), [40, -36, 46, -30], 2);
  const fin = drawing.lines.findIndex(({ layer }) => layer === 'Fin');
  near(mm(fin), [250, -210, 320, -120], 2);
  expect(Math.abs(pathSignedArea(drawing.lines[fin]!.path)) * k * k).toBeCloseTo(90 * 70 - (4 - Math.PI) * 144, 3);
  expect(drawing.texts.map(({ text }) => text)).toEqual(['Stabiliser half x2', 'Fin']);
});

test('white areas without a line bound nothing: backgrounds are left out and told', () => {
  const read = readDrawing(
    'svg',
    '<svg xmlns="http://www.w3.org/2000/svg" width="9mm" height="9mm"><rect width="9" height="9" fill="white"/><rect width="5" height="5" fill="white" stroke="red"/></svg>',
  );
  if (!read.ok) throw new Error(read.message);
  expect(read.drawing.lines).toHaveLength(1);
  expect(read.drawing.leftOut).toEqual([{ what: 'white areas', count: 1 }]);
});

test('pages printed by a browser, rewritten by another program and turned by hand are read at true size, with their layers', async () => {
  for (const name of ['chromium.pdf', 'ghostscript.pdf']) {
    const [page] = await readPdf(fileBytes(name));
    near([page!.widthMm, page!.heightMm], [148.2, 209.9], 0);
    const [square, circle, fold] = page!.lines;
    // 100 by 80 mm, 20 mm in from the left and the top, to a tenth of a millimetre: browsers round to their own dots.
    const box = pathBounds(square!.path);
    near([box.maxX - box.minX, box.maxY - box.minY, box.minX], [100, 80, 20.1], 0);
    expect(Math.abs(pathSignedArea(circle!.path))).toBeCloseTo(Math.PI * 144, 0);
    expect(fold).toMatchObject({ colour: '#0000cc' });
  }
  const [page] = await readPdf(fileBytes('layers.pdf'));
  // 200 by 100 units of two points, turned a quarter clockwise.
  near([page!.widthMm, page!.heightMm], [(200 * 25.4) / 72, (400 * 25.4) / 72], 6);
  expect(page!.lines.map(({ layer, isDashed }) => [layer, isDashed])).toEqual([
    ['Outline', false],
    ['Folds', true],
    ['', true],
  ]);
  const unit = (2 * 25.4) / 72,
    box = pathBounds(page!.lines[0]!.path);
  // (10, 10) to (110, 60) becomes, seen turned: x from 10 to 60 of 100, y down from 10 to 110 of 200.
  near([box.minX, box.maxX], [10 * unit, 60 * unit], 6);
  near([box.minY, box.maxY], [(200 - 110) * unit, (200 - 10) * unit], 6);
});

test('a section is the same from one run round and from two lists, and closes at its trailing edge', () => {
  const [round, lists] = ['section-round.dat', 'section-lists.dat'].map(readText) as [ReadDrawing, ReadDrawing];
  for (const { lines, texts } of [round, lists]) {
    expect(texts[0]!.text).toBe('Made-up 7');
    // ∫ of both halves of the thickness over the chord, by hand: 2·0.35·(2/3·0.2969 - 0.126/2 - 0.3516/3 + 0.2843/4 - 0.1036/5).
    const area = 0.7 * ((2 / 3) * 0.2969 - 0.063 - 0.1172 + 0.071075 - 0.02072);
    expect(Math.abs(pathSignedArea(lines[0]!.path))).toBeCloseTo(area, 4);
  }
  near(boxOf(round, 0), boxOf(lists, 0), 9);
});

test('a table of points gives a line for each run of rows; a line that comes back to its start is closed', () => {
  const read = readDrawing('points', 'x;y\n0;0\n10,5;0\n10,5;4\n0;0\n\n20;20\n30;20\nfoo;bar\n');
  if (!read.ok) throw new Error(read.message);
  expect(read.drawing.lines.map(({ path, isClosed }) => [path.length, isClosed])).toEqual([
    [3, true],
    [1, false],
  ]);
  expect(pathBounds(read.drawing.lines[0]!.path).maxX).toBe(10.5);
  expect(read.drawing.leftOut).toEqual([{ what: 'rows without two numbers', count: 1 }]);
});

test.each([
  ['empty.svg', new Uint8Array(0), 'empty.svg is empty.'],
  ['packed.zip', Uint8Array.from([0x50, 0x4b, 3, 4]), 'is packed'],
  ['packed.svgz', Uint8Array.from([0x1f, 0x8b, 8, 0]), 'is packed'],
  ['notes.doc', new TextEncoder().encode('Dear builder'), 'neither SVG, DXF, PDF'],
  ['picture.png', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0]), 'neither SVG, DXF, PDF'],
  ['old.dxf', Uint8Array.from([...Array.from({ length: 18 }, () => 65), 13, 10, 0x1a, 0]), 'binary DXF'],
])('%s is told apart', (name, bytes, words) => {
  const known = kindOfFile(name, bytes, bytes.length);
  expect(known.ok ? known.kind : known.message).toContain(words);
});

test('a file that is too large is refused by its size alone', () => {
  const known = kindOfFile('large.dxf', new TextEncoder().encode('0\nSECTION'), 200 * 1024 * 1024);
  expect(known.ok ? '' : known.message).toContain('large.dxf is 200 MB large; files up to 64 MB are read');
});
