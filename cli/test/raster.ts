import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';

/** A page as poppler draws it: `at(x, y)` in dots from the upper left, 0 black to 255 white. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly at: (x: number, y: number) => number;
}

/** Draws one page of a PDF in dots to the inch: grey, or black and white alone. */
export function rasterOf(pdf: string, page: number, dotsAnInch: number, isMono = false): Raster {
  const stem = path.join(path.dirname(pdf), `raster-${page}`);
  const options = ['-r', dotsAnInch, isMono ? '-mono' : '-gray', '-f', page, '-l', page, '-singlefile'];
  execFileSync('pdftoppm', [...options.map(String), pdf, stem]);
  const file = `${stem}.${isMono ? 'pbm' : 'pgm'}`;
  const bytes = fs.readFileSync(file);
  fs.rmSync(file);
  const [head, wide, high] = (isMono ? /^P4\s(\d+)\s(\d+)\s/ : /^P5\s(\d+)\s(\d+)\s255\s/).exec(
    bytes.toString('latin1', 0, 80),
  ) as unknown as [string, string, string];
  const [width, height] = [Number(wide), Number(high)],
    from = head.length,
    row = Math.ceil(width / 8);
  // One bit is black where it is set.
  return {
    width,
    height,
    at: isMono
      ? (x, y) => (bytes[from + y * row + (x >> 3)]! & (0x80 >> (x & 7)) ? 0 : 255)
      : (x, y) => bytes[from + y * width + x]!,
  };
}
