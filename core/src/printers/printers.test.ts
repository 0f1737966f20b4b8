import fc from 'fast-check';
import { applyTransform, distance, type Point } from '../geometry/index.ts';
import { correctionOf, measuredPrinter, printedAt, printerWords, type PrinterMeasures } from './correction.ts';
import { findCross, type ScannedSheet } from './find-cross.ts';
import { TRUE_MAP, type PrinterMap } from './printer.ts';
import { HOME_PRINTER, standInMap } from './stand-in.ts';
import { testCrosses, testPage } from './test-page.ts';

const A4 = [210, 297] as const,
  MIDDLE = { x: 105, y: 148.5 };
/** What a rule reads between the crosses of a test page that a printer has printed, corrected for a map. */
function read(printer: PrinterMap, corrected: PrinterMap, to: number): PrinterMeasures {
  const [a, b, c, d] = testCrosses(...A4).map((p) =>
    printedAt(printer, applyTransform(correctionOf(corrected, ...A4), p), MIDDLE),
  ) as [Point, Point, Point, Point];
  const rule = (p: Point, q: Point): number => Math.round(distance(p, q) / to) * to;
  return { acrossMm: rule(a, b), upMm: rule(a, d), risingMm: rule(a, c), fallingMm: rule(d, b) };
}
function mapOf(measures: PrinterMeasures, before = TRUE_MAP): PrinterMap {
  const measured = measuredPrinter(measures, 'mm', before);
  if (!measured.ok) throw new Error(measured.message);
  return measured.map;
}
/** How far off true a printer is over 250 mm up, across and slantwise once it is corrected for a map. */
function residual(printer: PrinterMap, corrected: PrinterMap): number {
  const printed = (p: Point): Point => printedAt(printer, applyTransform(correctionOf(corrected, ...A4), p), MIDDLE);
  const from = printed({ x: 10, y: 20 });
  return Math.max(
    ...[0, 30, 60, 90, 120, 150].map((angle) => {
      const turn = (angle * Math.PI) / 180,
        to = printed({ x: 10 + 250 * Math.cos(turn), y: 20 + 250 * Math.sin(turn) });
      return Math.abs(distance(from, to) - 250);
    }),
  );
}
const printers = fc.record({
  across: fc.double({ min: 0.93, max: 1.07, noNaN: true }),
  up: fc.double({ min: 0.93, max: 1.07, noNaN: true }),
  lean: fc.double({ min: -0.015, max: 0.015, noNaN: true }),
});

test('a printer is known by four measures: exactly by exact ones, and again by those of a corrected page', () => {
  fc.assert(
    fc.property(printers, (printer) => {
      const first = mapOf(read(printer, TRUE_MAP, 1e-9));
      for (const key of ['across', 'up', 'lean'] as const) expect(first[key]).toBeCloseTo(printer[key], 6);
      expect(residual(printer, first)).toBeLessThan(1e-3);
      const second = mapOf(read(printer, first, 1e-9), first);
      for (const key of ['across', 'up', 'lean'] as const) expect(second[key]).toBeCloseTo(printer[key], 6);
    }),
  );
});

test('a rule read to a twentieth leaves less than a tenth over 250 mm, whatever the printer', () => {
  fc.assert(
    fc.property(printers, (printer) => {
      expect(residual(printer, mapOf(read(printer, TRUE_MAP, 0.05)))).toBeLessThan(0.1);
    }),
  );
});

test('a first print at 97 %, leaning: by hand', () => {
  // 170 · 0.97 = 164.9; 230 · 0.97 = 223.1; square, the diagonals are hypot(164.9, 223.1) = 277.43.
  expect(mapOf({ acrossMm: 164.9, upMm: 223.1 })).toEqual({
    across: expect.closeTo(0.97, 9),
    up: expect.closeTo(0.97, 9),
    lean: 0,
  });
  // A rhomboid that leans 1 in 100 of its height: 223.1 up, 2.231 aside.
  const measures = {
    acrossMm: 164.9,
    upMm: Math.hypot(223.1, 2.231),
    risingMm: Math.hypot(164.9 + 2.231, 223.1),
    fallingMm: Math.hypot(164.9 - 2.231, 223.1),
  };
  const map = mapOf(measures);
  expect(map.lean).toBeCloseTo(0.0097, 9);
  expect(printerWords(map)).toBe('97.00 % across, 97.00 % up, leans 0.57° to the right');
});

test.each<readonly [Partial<PrinterMeasures>, RegExp]>([
  [{ acrossMm: 0 }, /Across: 0.0 mm.*from 127.5 mm to 212.5 mm/],
  [{ upMm: 400 }, /Up: 400.0 mm.*from 172.5 mm to 287.5 mm/],
  [{ upMm: Number.NaN }, /Up: no number/],
  [{ risingMm: 286, fallingMm: 300 }, /do not go with the sides: by those they would be about 286.0 mm/],
  [{ risingMm: 297, fallingMm: 274.5 }, /leans by .*fed askew/],
])('what no printer does is refused by its number: %j', (more, message) => {
  const measured = measuredPrinter({ acrossMm: 170, upMm: 230, ...more }, 'mm');
  expect(measured).toMatchObject({ ok: false, message: expect.stringMatching(message) });
});

test('over 8 % a dialog that shrinks is asked about', () => {
  const measured = measuredPrinter({ acrossMm: 155, upMm: 210 }, 'in');
  expect(measured).toMatchObject({ ok: true, doubt: expect.stringContaining('91.2 % across and 91.3 % up') });
  expect(measuredPrinter({ acrossMm: 160, upMm: 216 }, 'mm')).not.toHaveProperty('doubt');
});

test('the test page has its four crosses as far apart as it says, within the margins of A4 and Letter', () => {
  for (const [widthMm, heightMm] of [A4, [215.9, 279.4]] as const) {
    const [a, b, c, d] = testCrosses(widthMm, heightMm);
    expect([distance(a, b), distance(a, d), distance(a, c), distance(d, b)]).toEqual(
      [170, 230, Math.hypot(170, 230), Math.hypot(170, 230)].map((mm) => expect.closeTo(mm, 9)),
    );
    const inks = testPage({ id: 'p', name: 'Study', map: TRUE_MAP }, { widthMm, heightMm }, 'mm', '2026-01-02');
    for (const ink of inks)
      if (ink.kind === 'path')
        for (const { from, to } of ink.path)
          for (const { x, y } of [from, to]) expect(Math.min(x, y, widthMm - x, heightMm - y)).toBeGreaterThan(13);
  }
});

/** A sheet with one cross, its arms 12 mm long and 0.25 wide, leaning, drawn by how much of each pixel they cover. */
function scanned(at: Point, leanMm: number, mmPerPx: number): ScannedSheet {
  const size = Math.round(40 / mmPerPx),
    lightness = new Uint8ClampedArray(size * size).fill(255);
  const PARTS = 4;
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      // Far from both lines a pixel is white.
      const near = { x: column * mmPerPx - at.x, y: (size - row) * mmPerPx - at.y };
      if (Math.min(Math.abs(near.x), Math.abs(near.y)) > 0.6 || Math.hypot(near.x, near.y) > 7) continue;
      let covered = 0;
      for (let i = 0; i < PARTS * PARTS; i++) {
        const x = (column + ((i % PARTS) + 0.5) / PARTS) * mmPerPx - at.x,
          y = (size - row - (Math.floor(i / PARTS) + 0.5) / PARTS) * mmPerPx - at.y;
        const isUpright = Math.abs(x - leanMm * y) < 0.125 && Math.abs(y) < 6,
          isLevel = Math.abs(y) < 0.125 && Math.abs(x) < 6;
        if (isUpright || isLevel) covered += 1;
      }
      lightness[row * size + column] = 255 * (1 - covered / (PARTS * PARTS));
    }
  return { widthPx: size, heightPx: size, mmPerPx, lightness };
}

test('a printed cross is found to three hundredths of a millimetre, wherever between pixels it lies and however far off it is looked for', () => {
  const place = fc.double({ min: 18, max: 22, noNaN: true }),
    off = fc.double({ min: -5, max: 5, noNaN: true });
  fc.assert(
    fc.property(place, place, off, off, fc.double({ min: -0.015, max: 0.015, noNaN: true }), (x, y, dx, dy, lean) => {
      const found = findCross(scanned({ x, y }, lean, 25.4 / 200), { x: x + dx, y: y + dy })!;
      expect(distance(found, { x, y })).toBeLessThan(0.03);
    }),
    { numRuns: 20 },
  );
});

test('where nothing crosses, no cross is found: on white paper, on one line alone, off the sheet', () => {
  const white = scanned({ x: -50, y: -50 }, 0, 0.2);
  expect(findCross(white, { x: 20, y: 20 })).toBeUndefined();
  expect(findCross(white, { x: 500, y: -20 })).toBeUndefined();
  const line = { ...white, lightness: white.lightness.map((_, index) => (index % white.widthPx === 100 ? 0 : 255)) };
  expect(findCross(line, { x: 20, y: 20 })).toBeUndefined();
});

test('a home printer stands in by its own numbers: 97 %, a feed that drags by 0.4 %, a lean of 0.4°', () => {
  const { across, up, lean } = standInMap(HOME_PRINTER);
  expect(across).toBe(0.97);
  expect(Math.hypot(up, lean)).toBeCloseTo(0.97 * 0.996, 12);
  expect((Math.atan2(lean, up) * 180) / Math.PI).toBeCloseTo(0.4, 9);
});
