import fs from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { zipSync } from 'fflate';
import { isPacked, packProject, sheetFacts, unpackProject } from './index.ts';

const picture = new Uint8Array(
  fs.readFileSync(path.resolve(import.meta.dirname, '../../../demo/plans/wren-three-views.png')),
);
/** A JPEG by hand: an application segment, a frame header of 640 by 480, a scan, the end, and what a camera writes behind it. */
const jpeg = Uint8Array.from([
  0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 2, 0xff, 0xff, 0xc2, 0, 11, 8, 0x01, 0xe0, 0x02, 0x80, 1, 1, 0x11, 0, 0xff, 0xda, 0,
  2, 7, 7, 0xff, 0xd9, 0, 0, 0,
]);

test('pictures are told by what they hold, with their size', () => {
  expect(sheetFacts('wren.png', picture)).toEqual({ ok: true, kind: 'png', widthPx: 3100, heightPx: 2300 });
  expect(sheetFacts('photo.JPG', jpeg)).toEqual({ ok: true, kind: 'jpeg', widthPx: 640, heightPx: 480 });
  expect(sheetFacts('photo.png', jpeg)).toMatchObject({
    kind: 'jpeg',
    note: 'photo.png is a JPEG by what it holds, and is read as one.',
  });
  const text = new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg"/>');
  expect(sheetFacts('a.svg', text)).toEqual({ ok: true, kind: 'svg' });
});

test('a picture cut off anywhere is refused, and never read as whole', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: picture.length - 13 }), (length) => {
      expect(sheetFacts('wren.png', picture.subarray(0, length)).ok).toBe(false);
    }),
  );
  expect(sheetFacts('photo.jpg', jpeg.subarray(0, 27))).toMatchObject({
    ok: false,
    message: expect.stringContaining('cut off'),
  });
  expect(sheetFacts('photo.jpg', jpeg.subarray(0, 6))).toMatchObject({
    ok: false,
    message: expect.stringContaining('no size'),
  });
});

test('whatever the bytes, the answer is a kind or words', () => {
  fc.assert(
    fc.property(
      fc.uint8Array({ maxLength: 300 }),
      fc.constantFrom([], [...picture.subarray(0, 40)], [0xff, 0xd8]),
      (bytes, head) => {
        const facts = sheetFacts('any', Uint8Array.from([...head, ...bytes]));
        expect(facts.ok || facts.message.length > 10).toBe(true);
      },
    ),
  );
});

const HASH = 'ab'.repeat(32);
test('a project packed with its pictures is unpacked as it was', () => {
  const packed = packProject('Wren: "no 1"', '{"format":"x"}', [{ hash: HASH, kind: 'png', bytes: picture }]);
  expect(isPacked(packed)).toBe(true);
  const back = unpackProject('Wren.zip', packed);
  if (!back.ok) throw new Error(back.message);
  expect(back.projectFile).toBe('{"format":"x"}');
  expect(back.files.map(({ hash, name }) => [hash, name])).toEqual([[HASH, 'picture.png']]);
  expect(back.files[0]!.bytes).toEqual(picture);
});

test('what is no packed project, holds too much or leads elsewhere is refused or left out', () => {
  const message = (bytes: Uint8Array): string => {
    const result = unpackProject('x.zip', bytes);
    return result.ok ? 'unpacked' : result.message;
  };
  const one = new TextEncoder().encode('{}');
  expect(message(picture)).toContain('cannot be unpacked');
  expect(message(packProject('a', '{}', []).subarray(0, 60))).toContain('cannot be unpacked');
  expect(message(zipSync({ 'readme.txt': one }))).toContain('no project file');
  expect(message(zipSync({ 'a.grainfold.json': one, 'b.grainfold.json': one }))).toContain('2 project files');
  // A bomb: little that would become nine megabytes.
  expect(message(zipSync({ 'a.grainfold.json': new Uint8Array(9 * 1024 * 1024) }))).toContain(
    'larger than what is taken in',
  );
  const many = Object.fromEntries(
    Array.from({ length: 20 }, (_, index) => [`pictures/${String(index).padStart(64, '0')}.png`, one]),
  );
  expect(message(zipSync({ 'a.grainfold.json': one, ...many }))).toContain('more than 16 files');
  const elsewhere = unpackProject(
    'x.zip',
    zipSync({ 'a.grainfold.json': one, '../../pictures/evil.png': one, [`pictures/../${HASH}.png`]: one }),
  );
  expect(elsewhere).toMatchObject({ ok: true, files: [] });
});
