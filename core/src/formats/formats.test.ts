import type { Ink } from '../ink/index.ts';
import { circleDraft } from '../paths/index.ts';
import { paintPdfPage, POINTS_PER_MM, type PdfCanvas } from './paint-pdf.ts';
import { writePdf, type PdfDocument } from './write-pdf.ts';
import { made, outlined } from '../../test/samples.ts';

/** A canvas that remembers what it is told, in the order of the calls. */
function recorder(): { readonly canvas: PdfCanvas; readonly calls: [string, ...unknown[]][] } {
  const calls: [string, ...unknown[]][] = [];
  const canvas = new Proxy(
    {},
    {
      get:
        (_, name: string) =>
        (...args: unknown[]) => {
          calls.push([name, ...args]);
          return name === 'widthOfString' ? 30 : undefined;
        },
    },
  ) as PdfCanvas;
  return { canvas, calls };
}
const path = (from: [number, number], to: [number, number]): Ink => ({
  kind: 'path',
  path: [{ kind: 'line', from: { x: from[0], y: from[1] }, to: { x: to[0], y: to[1] } }],
  closed: false,
  widthMm: 0.35,
  tone: 'ink',
});

test('a run of 100 mm is 283.4646 points long, measured from the top of the page', () => {
  const { canvas, calls } = recorder();
  paintPdfPage(canvas, [path([10, 20], [110, 20])], 210, 297);
  const [, x1, y1] = calls.find(([name]) => name === 'moveTo')! as [string, number, number];
  const [, x2, y2] = calls.find(([name]) => name === 'lineTo')! as [string, number, number];
  expect(x2 - x1).toBeCloseTo(283.464567, 6);
  expect(y1).toBe(y2);
  expect(y1).toBeCloseTo((297 - 20) * POINTS_PER_MM, 9);
  expect(calls[0]).toEqual([
    'addPage',
    { size: [expect.closeTo(595.2756, 3), expect.closeTo(841.8898, 3)], margin: 0 },
  ]);
  expect(calls.find(([name]) => name === 'lineWidth')).toEqual(['lineWidth', expect.closeTo(0.35 * POINTS_PER_MM, 9)]);
});

test('a circle of 50 mm leaves the true one by less than a thousandth of a millimetre', () => {
  const { canvas, calls } = recorder();
  const outline = made(outlined(circleDraft({ x: 0, y: 0 }, 50))).outline!;
  paintPdfPage(canvas, [{ kind: 'path', path: outline, closed: true, widthMm: 0.2, tone: 'ink' }], 0, 0);
  let [x0, y0] = (calls.find(([name]) => name === 'moveTo')!.slice(1) as number[]).map(
    (value) => value / POINTS_PER_MM,
  ) as [number, number];
  const curves = calls
    .filter(([name]) => name === 'bezierCurveTo')
    .map(([, ...numbers]) => (numbers as number[]).map((value) => value / POINTS_PER_MM));
  expect(curves.length).toBeGreaterThanOrEqual(6);
  for (const [x1, y1, x2, y2, x3, y3] of curves as [number, number, number, number, number, number][]) {
    for (let t = 0; t <= 1; t += 0.05) {
      const u = 1 - t;
      const at = (a: number, b: number, c: number, d: number): number =>
        u ** 3 * a + 3 * u * u * t * b + 3 * u * t * t * c + t ** 3 * d;
      expect(Math.abs(Math.hypot(at(x0, x1, x2, x3), at(y0, y1, y2, y3)) - 50)).toBeLessThan(0.001);
    }
    [x0, y0] = [x3, y3];
  }
});

test('dashes are set and taken back; what is clipped stays between save and restore', () => {
  const { canvas, calls } = recorder();
  paintPdfPage(
    canvas,
    [
      {
        kind: 'clip',
        box: { minX: 0, minY: 0, maxX: 50, maxY: 50 },
        inks: [{ ...path([0, 0], [9, 9]), dashMm: [2, 1] } as Ink],
      },
      path([0, 0], [1, 1]),
    ],
    100,
    100,
  );
  const names = calls.map(([name]) => name);
  expect(names.indexOf('save')).toBeLessThan(names.indexOf('clip'));
  expect(names.indexOf('clip')).toBeLessThan(names.indexOf('dash'));
  expect(names.lastIndexOf('restore')).toBeLessThan(names.lastIndexOf('lineTo'));
  expect(names.filter((name) => name === 'undash').length).toBeGreaterThanOrEqual(2);
});

test('turned text is turned about its own point, and right-aligned text ends there', () => {
  const { canvas, calls } = recorder();
  paintPdfPage(
    canvas,
    [
      {
        kind: 'text',
        at: { x: 20, y: 30 },
        text: 'fold 90°',
        sizeMm: 3,
        weight: 'bold',
        align: 'right',
        angleDegrees: 90,
        tone: 'ink',
      },
    ],
    100,
    100,
  );
  expect(calls.find(([name]) => name === 'rotate')).toEqual([
    'rotate',
    -90,
    { origin: [20 * POINTS_PER_MM, 70 * POINTS_PER_MM] },
  ]);
  expect(calls.find(([name]) => name === 'text')![2]).toBeCloseTo(20 * POINTS_PER_MM - 30, 9);
});

test('a document tells viewers not to scale it; without pages it has one blank one', () => {
  const { canvas, calls } = recorder();
  const data: Record<string, unknown> = {};
  const document = new Proxy(canvas, {
    get: (target, name: keyof PdfCanvas) =>
      String(name) === '_root' ? { data } : String(name) === 'ref' ? (value: unknown) => value : target[name],
  }) as PdfDocument;
  writePdf(document, [], { text: 'a.woff', figure: 'b.woff', bold: 'c.woff' });
  expect(data.ViewerPreferences).toMatchObject({ PrintScaling: 'None' });
  expect(calls.filter(([name]) => name === 'addPage')).toHaveLength(1);
  expect(calls.at(-1)![0]).toBe('end');
});
