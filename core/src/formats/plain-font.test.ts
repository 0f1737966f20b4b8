import fs from 'node:fs';
import { createRequire } from 'node:module';
import { plainFont } from './plain-font.ts';

const file = createRequire(import.meta.url).resolve('@fontsource/barlow/files/barlow-latin-400-normal.woff');

test('a packed font comes out as a plain one whose every table has the sum that it is said to have', () => {
  const plain = plainFont(fs.readFileSync(file)),
    view = new DataView(plain.buffer, plain.byteOffset, plain.byteLength);
  expect(view.getUint32(0)).toBe(0x00010000);
  const count = view.getUint16(4);
  expect(count).toBeGreaterThan(8);
  for (let index = 0; index < count; index++) {
    const at = 12 + 16 * index,
      tag = String.fromCharCode(...plain.slice(at, at + 4)),
      [sum, offset, length] = [4, 8, 12].map((field) => view.getUint32(at + field)) as [number, number, number];
    let added = 0;
    for (let word = 0; word < length; word += 4) {
      // The head's own field for the sum of the whole file counts as none.
      const isAdjustment = tag === 'head' && word === 8;
      if (!isAdjustment) added = (added + view.getUint32(offset + word)) >>> 0;
    }
    expect([tag, added]).toEqual([tag, sum]);
  }
});

test('a font that is plain already is left alone', () => {
  const plain = plainFont(fs.readFileSync(file));
  expect(plainFont(plain)).toBe(plain);
});
