import { inflateSync } from 'node:zlib';

/** A picture with four bytes a dot, as renderers write it. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  /** How opaque a dot is, 0 to 255; 0 beside the picture. */
  opacity(x: number, y: number): number;
}

const BYTES = 4;

/** The value that a byte was predicted by. @source PNG specification, 9.2: none, left, up, mean, Paeth */
function predicted(filter: number, left: number, up: number, corner: number): number {
  switch (filter) {
    case 1:
      return left;
    case 2:
      return up;
    case 3:
      return (left + up) >> 1;
    case 4: {
      const guess = left + up - corner,
        [a, b, c] = [left, up, corner].map((value) => Math.abs(guess - value)) as [number, number, number];
      return a <= b && a <= c ? left : b <= c ? up : corner;
    }
    default:
      return 0;
  }
}

/** Reads a PNG of 8 bits a channel with opacity. @throws Error for one of another kind */
export function readPng(file: Buffer): Picture {
  const width = file.readUInt32BE(16),
    height = file.readUInt32BE(20);
  if (file[24] !== 8 || file[25] !== 6 || file[28] !== 0) throw new Error('Only PNG of 8 bits with opacity is read.');
  const packed: Buffer[] = [];
  for (let at = 8; at < file.length;) {
    const length = file.readUInt32BE(at);
    if (file.toString('latin1', at + 4, at + 8) === 'IDAT') packed.push(file.subarray(at + 8, at + 8 + length));
    at += length + 12;
  }
  const raw = inflateSync(Buffer.concat(packed)),
    row = width * BYTES,
    dots = new Uint8Array(row * height);
  for (let y = 0; y < height; y++) {
    const filter = raw[y * (row + 1)]!,
      own = y * row;
    for (let x = 0; x < row; x++) {
      const left = x >= BYTES ? dots[own + x - BYTES]! : 0,
        up = y > 0 ? dots[own + x - row]! : 0,
        corner = x >= BYTES && y > 0 ? dots[own + x - row - BYTES]! : 0;
      dots[own + x] = raw[y * (row + 1) + 1 + x]! + predicted(filter, left, up, corner);
    }
  }
  return {
    width,
    height,
    opacity: (x, y) => (x >= 0 && y >= 0 && x < width && y < height ? dots[y * row + BYTES * x + 3]! : 0),
  };
}

/** The box of what is drawn on a picture, in dots. */
export function drawnBox({
  width,
  height,
  opacity,
}: Picture): readonly [minX: number, minY: number, maxX: number, maxY: number] {
  let [minX, minY, maxX, maxY] = [width, height, -1, -1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (opacity(x, y) > 0) {
        minX = Math.min(minX, x);
        maxX = Math.max(maxX, x);
        minY = Math.min(minY, y);
        maxY = Math.max(maxY, y);
      }
  return [minX, minY, maxX, maxY];
}
