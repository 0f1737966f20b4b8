import fc from 'fast-check';
import type { Point } from '@grain-fold/core/geometry';
import type { TextMark } from '@grain-fold/core/marks';
import { CAPTION_HEIGHT_PX, placeCaptions, type PlacedCaption } from './place-captions.ts';

const toScreen = ({ x, y }: Point): Point => ({ x: 100 + 2 * x, y: 500 - 2 * y });
const text = (x: number, y: number, angleDegrees: number, slideMm?: number, words = 'former 2'): TextMark => ({
  kind: 'text',
  at: { x, y },
  angleDegrees,
  text: words,
  slideMm,
  tone: 'ink',
});

/** Whether a place lies in a caption's box, looked at in the box's own directions. */
function covers({ mark, at, width }: PlacedCaption, p: Point): boolean {
  const angle = (mark.angleDegrees * Math.PI) / 180,
    off = { x: p.x - at.x, y: at.y - p.y };
  const along = off.x * Math.cos(angle) + off.y * Math.sin(angle),
    across = off.y * Math.cos(angle) - off.x * Math.sin(angle);
  return Math.abs(along) < width / 2 - 0.5 && Math.abs(across) < CAPTION_HEIGHT_PX / 2 - 0.5;
}
/** Places all over a caption. */
const placesOn = ({ mark, at, width }: PlacedCaption): readonly Point[] => {
  const angle = (-mark.angleDegrees * Math.PI) / 180;
  return Array.from({ length: 21 * 5 }, (_, index) => {
    const along = ((index % 21) / 20 - 0.5) * (width - 1),
      across = (Math.floor(index / 21) / 4 - 0.5) * (CAPTION_HEIGHT_PX - 1);
    return {
      x: at.x + along * Math.cos(angle) - across * Math.sin(angle),
      y: at.y + along * Math.sin(angle) + across * Math.cos(angle),
    };
  });
};

test('two near upright lines with room have captions beside each other, both on their own lines', () => {
  const [first, second] = placeCaptions([text(60, 100, 90, 90), text(64, 100, 90, 90)], toScreen, 14);
  expect(first!.at).toEqual(toScreen({ x: 60, y: 100 }));
  expect(second!.at.x).toBeCloseTo(toScreen({ x: 64, y: 100 }).x, 9);
  expect(placesOn(first!).some((p) => covers(second!, p))).toBe(false);
});

test('a caption that was moved covers none before it, and one that stays alone is where its line has it', () => {
  const mark = fc
    .tuple(
      fc.integer({ min: 0, max: 120 }),
      fc.integer({ min: 0, max: 120 }),
      fc.integer({ min: -89, max: 90 }),
      fc.integer({ min: 0, max: 150 }),
    )
    .map(([x, y, angle, slide]) => text(x, y, angle, slide));
  fc.assert(
    fc.property(fc.array(mark, { maxLength: 8 }), (texts) => {
      const placed = placeCaptions(texts, toScreen, 14);
      expect(placed).toHaveLength(texts.length);
      placed.forEach((one, index) => {
        const home = toScreen(one.mark.at),
          by = Math.hypot(one.at.x - home.x, one.at.y - home.y);
        if (by < 1e-9) return;
        expect(by + one.width / 2).toBeLessThanOrEqual(2 * one.mark.slideMm! + 1e-6);
        for (const before of placed.slice(0, index)) {
          expect(placesOn(one).some((p) => covers(before, p))).toBe(false);
          expect(placesOn(before).some((p) => covers(one, p))).toBe(false);
        }
      });
    }),
  );
});
