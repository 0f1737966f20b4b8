import zlib from 'node:zlib';

/** What a test reads out of a PDF: its pages, with every straight run and text size in millimetres of the paper. */
export interface ReadPdf {
  readonly pages: readonly {
    readonly widthMm: number;
    readonly heightMm: number;
    readonly runs: readonly {
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly lengthMm: number;
    }[];
  }[];
  readonly hasNoScaling: boolean;
}

const MM = 25.4 / 72;
type Matrix = readonly [number, number, number, number, number, number];
const multiply = ([a, b, c, d, e, f]: Matrix, [A, B, C, D, E, F]: Matrix): Matrix => [
  a * A + b * C,
  a * B + b * D,
  c * A + d * C,
  c * B + d * D,
  e * A + f * C + E,
  e * B + f * D + F,
];

/** Reads a PDF by its own means: page boxes from the objects, runs from the inflated content streams with their transforms. */
export function readPdf(bytes: Buffer): ReadPdf {
  const text = bytes.toString('latin1');
  const objects = new Map(
    [...text.matchAll(/(\d+) 0 obj\n([\s\S]*?)\nendobj/g)].map((match) => [match[1]!, match[2]!]),
  );
  const pages = [...objects.values()]
    .filter((body) => /\/Type \/Page\b/.test(body))
    .map((body) => {
      const box = /\/MediaBox \[([^\]]+)\]/.exec(body)![1]!.trim().split(/\s+/).map(Number);
      const content = objects.get(/\/Contents (\d+) 0 R/.exec(body)![1]!)!;
      const stream = Buffer.from(
        content.slice(content.indexOf('stream\n') + 7, content.lastIndexOf('\nendstream')),
        'latin1',
      );
      return {
        widthMm: box[2]! * MM,
        heightMm: box[3]! * MM,
        runs: runsOf((content.includes('/FlateDecode') ? zlib.inflateSync(stream) : stream).toString('latin1')),
      };
    });
  return { pages, hasNoScaling: /\/PrintScaling \/None/.test(text) };
}

function runsOf(content: string): ReadPdf['pages'][number]['runs'] {
  const runs: { x1: number; y1: number; x2: number; y2: number; lengthMm: number }[] = [];
  let matrix: Matrix = [1, 0, 0, 1, 0, 0],
    at = { x: 0, y: 0 };
  const stack: Matrix[] = [];
  let numbers: number[] = [];
  const place = (x: number, y: number): { x: number; y: number } => ({
    x: (matrix[0] * x + matrix[2] * y + matrix[4]) * MM,
    y: (matrix[1] * x + matrix[3] * y + matrix[5]) * MM,
  });
  for (const token of content.replace(/\([^)]*\)|<[^>]*>/g, ' ').split(/\s+/)) {
    if (/^-?[\d.]+$/.test(token)) {
      numbers.push(Number(token));
      continue;
    }
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = numbers;
    if (token === 'q') stack.push(matrix);
    else if (token === 'Q') matrix = stack.pop() ?? matrix;
    else if (token === 'cm') matrix = multiply([a, b, c, d, e, f], matrix);
    else if (token === 'm') at = place(a, b);
    else if (token === 'l') {
      const to = place(a, b);
      runs.push({ x1: at.x, y1: at.y, x2: to.x, y2: to.y, lengthMm: Math.hypot(to.x - at.x, to.y - at.y) });
      at = to;
    } else if (token === 'c') at = place(e, f);
    numbers = [];
  }
  return runs;
}
