import Papa from 'papaparse';
import type { Point } from '../../geometry/index.ts';
import { LeftOutCount, LineCollector, runsThrough, type ReadResult } from '../drawing.ts';

const MOST_ROWS = 300_000;

/**
 * Reads a table of points: x and y in the first two columns, and in a third, where there is one, the name of the line that they are on. An empty
 * row begins another line. A first row without numbers is its head. A line that ends where it starts is closed.
 */
export function readPoints(text: string): ReadResult {
  // Where fields are parted by a semicolon, a comma stands for the point of a number.
  const hasCommas = text.slice(0, 2000).includes(';');
  const { data } = Papa.parse<readonly string[]>(text, {
    preview: MOST_ROWS,
    ...(hasCommas ? { delimiter: ';' } : {}),
  });
  const numberOf = (word: string | undefined): number =>
    word === undefined || word.trim() === '' ? Number.NaN : Number(hasCommas ? word.replace(',', '.') : word);
  const leftOut = new LeftOutCount(),
    collector = new LineCollector(leftOut);
  let points: Point[] = [],
    name = '';
  const finish = (): void => {
    const isClosed = points.length > 2 && points[0]!.x === points.at(-1)!.x && points[0]!.y === points.at(-1)!.y;
    collector.add({
      path: runsThrough(points, false),
      isClosed,
      layer: name,
      colour: '#000000',
      width: 0,
      isDashed: false,
    });
    points = [];
  };
  data.forEach((row, index) => {
    const isEmpty = row.every((word) => word.trim() === '');
    const own = row[2]?.trim() ?? '';
    if (isEmpty || own !== name) finish();
    name = isEmpty ? name : own;
    if (isEmpty) return;
    const p = { x: numberOf(row[0]), y: numberOf(row[1]) };
    if (Number.isFinite(p.x) && Number.isFinite(p.y)) points.push(p);
    else if (index > 0) leftOut.add('rows without two numbers');
  });
  finish();
  if (collector.lines.length === 0) return { ok: false, message: 'It holds no two rows of numbers, x and y.' };
  return {
    ok: true,
    drawing: {
      lines: collector.lines,
      texts: [],
      unit: { word: 'millimetre', mmPerUnit: 1, isCertain: false },
      leftOut: leftOut.all,
    },
  };
}
