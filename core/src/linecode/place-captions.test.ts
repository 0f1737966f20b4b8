import fc from 'fast-check';
import { groove, made, plate, withLine } from '../../test/samples.ts';
import { distance, type Point } from '../geometry/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import type { Part } from '../part/index.ts';
import { placeCaptions, type TurnedBox } from './place-captions.ts';

const LETTERING = { letterMm: 3, heightMm: 4, paddingMm: 2 };
const hinge = (): OperationDraft => ({
  kind: 'hinge',
  face: 'face',
  deflectionDegrees: 20,
  relief: 'both',
  label: '',
});
/** Whether a place lies in a box, looked at in the box's own directions. */
function covers({ at, angleDegrees, widthMm, heightMm }: TurnedBox, p: Point): boolean {
  const angle = (angleDegrees * Math.PI) / 180,
    off = { x: p.x - at.x, y: p.y - at.y };
  const along = off.x * Math.cos(angle) + off.y * Math.sin(angle),
    across = off.y * Math.cos(angle) - off.x * Math.sin(angle);
  return Math.abs(along) < widthMm / 2 - 0.05 && Math.abs(across) < heightMm / 2 - 0.05;
}
/** Places all over a box. */
const placesOn = ({ at, angleDegrees, widthMm, heightMm }: TurnedBox): readonly Point[] => {
  const angle = (angleDegrees * Math.PI) / 180;
  return Array.from({ length: 21 * 5 }, (_, index) => {
    const along = ((index % 21) / 20 - 0.5) * widthMm,
      across = (Math.floor(index / 21) / 4 - 0.5) * heightMm;
    return {
      x: at.x + along * Math.cos(angle) - across * Math.sin(angle),
      y: at.y + along * Math.sin(angle) + across * Math.cos(angle),
    };
  });
};
const overlap = (a: TurnedBox, b: TurnedBox): boolean =>
  placesOn(a).some((p) => covers(b, p)) || placesOn(b).some((p) => covers(a, p));
const captions = (part: Part, obstacles: readonly TurnedBox[] = []) =>
  placeCaptions(made(part), 'mm', LETTERING, obstacles);

test('a caption with room stands in the middle of its line', () => {
  const [only] = captions(withLine(plate(200, 100), [0, 50], [200, 50], groove()));
  expect(only!.at).toEqual({ x: 100, y: 50 });
});
test('of two lines that cross in their middles neither caption is struck through nor covered', () => {
  const part = withLine(withLine(plate(200, 200), [0, 100], [200, 100], groove()), [100, 0], [100, 200], hinge());
  const [across, up] = captions(part);
  expect(across!.at.y).toBeCloseTo(100, 9);
  expect(up!.at.x).toBeCloseTo(100, 9);
  expect(placesOn(across!).some(({ x }) => Math.abs(x - 100) < 0.2)).toBe(false);
  expect(placesOn(up!).some(({ y }) => Math.abs(y - 100) < 0.2)).toBe(false);
});
test('what is in the way is left clear', () => {
  const name: TurnedBox = { at: { x: 100, y: 52 }, angleDegrees: 0, widthMm: 40, heightMm: 8 };
  const [only] = captions(withLine(plate(200, 100), [0, 50], [200, 50], groove()), [name]);
  expect(overlap(only!, name)).toBe(false);
  expect(only!.at.y).toBeCloseTo(50, 9);
});
test('where there is room for all, captions of any lines across a plate cover neither each other nor its edge', () => {
  const place = fc.integer({ min: 20, max: 480 });
  fc.assert(
    fc.property(fc.array(fc.tuple(place, place), { minLength: 1, maxLength: 4 }), (ends) => {
      // Lines all but on top of each other leave no room on any of them.
      const isApart = ([from, to]: readonly [number, number], at: number): boolean =>
        ends.slice(0, at).every(([f, t]) => Math.abs(from - f) + Math.abs(to - t) > 60);
      fc.pre(ends.every(isApart));
      const part = ends.reduce((now, [from, to]) => withLine(now, [0, from], [500, to], groove()), plate(500, 500));
      const placed = captions(part);
      expect(placed).toHaveLength(ends.length);
      placed.forEach((one, index) => {
        for (const before of placed.slice(0, index)) expect(overlap(one, before)).toBe(false);
        for (const { x, y } of placesOn(one)) expect(Math.min(x, y, 500 - x, 500 - y)).toBeGreaterThan(0);
        // It stays on its own line.
        const [from, to] = ends[index]!;
        const off = Math.abs(one.at.y - (from + ((to - from) * one.at.x) / 500));
        expect(off / Math.hypot(1, (to - from) / 500)).toBeLessThan(1e-6);
        expect(distance(one.at, { x: 250, y: (from + to) / 2 })).toBeLessThanOrEqual(260);
      });
    }),
  );
});
