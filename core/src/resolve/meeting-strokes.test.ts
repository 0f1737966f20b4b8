import fc from 'fast-check';
import { groove, made, plate, withBevel, withLine } from '../../test/samples.ts';
import { isInside, regionArea } from '../geometry/index.ts';
import type { Part } from '../part/index.ts';

const areaOf = (part: Part, kind: string): number[] =>
  made(part)
    .strokes.filter((stroke) => stroke.kind === kind)
    .map(({ area }) => regionArea(area));

test('a groove that ends on a 45° bevel comes to a point on the edge; the bevel gives way to it', () => {
  // 5 mm board: groove 10 wide over 100, bevel reaches in 5 along 200. On the bevel the groove narrows from 10 to 0 over 5 mm.
  const part = withBevel(withLine(plate(200, 100), [100, 0], [100, 100], groove()), 0, 45);
  expect(areaOf(part, 'groove')[0]).toBeCloseTo(1000 - 25, 2);
  expect(areaOf(part, 'bevel')[0]).toBeCloseTo(1000 - 25, 2);
});
test('two grooves that cross share the ground along their mitres', () => {
  const part = withLine(withLine(plate(200, 100), [100, 0], [100, 100], groove()), [0, 50], [200, 50], groove());
  const [upright, level] = areaOf(part, 'groove');
  // The square of 10 × 10 where they cross is shared along its diagonals: half each.
  expect(upright).toBeCloseTo(1000 - 50, 2);
  expect(level).toBeCloseTo(2000 - 50, 2);
});
test('a groove takes nothing where a trench has left no foam; work on the back meets nothing on the face', () => {
  const trench = {
    kind: 'trench',
    face: 'face',
    foldDegrees: 180,
    widthMm: 'auto',
    side: 'centre',
    label: '',
  } as const;
  const part = withLine(withLine(plate(200, 100), [100, 0], [100, 100], groove()), [0, 50], [200, 50], trench);
  expect(areaOf(part, 'groove')[0]).toBeCloseTo(1000 - 100, 2);
  expect(areaOf(part, 'trench')[0]).toBeCloseTo(2000, 2);
  const back = withLine(withLine(plate(200, 100), [100, 0], [100, 100], groove()), [0, 50], [200, 50], {
    ...groove(),
    face: 'back',
  });
  expect(areaOf(back, 'groove')).toEqual([expect.closeTo(1000, 2), expect.closeTo(2000, 2)]);
});
test('wherever two grooves cross, each place on both belongs to the deeper one', () => {
  const angle = fc.double({ min: 20, max: 160, noNaN: true });
  fc.assert(
    fc.property(
      angle,
      fc.integer({ min: 30, max: 110 }),
      fc.integer({ min: 30, max: 110 }),
      fc.double({ min: -0.98, max: 0.98, noNaN: true }),
      fc.double({ min: -0.98, max: 0.98, noNaN: true }),
      (turn, foldA, foldB, u, v) => {
        const way = { x: Math.cos((turn * Math.PI) / 180), y: Math.sin((turn * Math.PI) / 180) };
        const part = withLine(
          withLine(plate(400, 400), [0, 200], [400, 200], groove(foldA)),
          [200 - 300 * way.x, 200 - 300 * way.y],
          [200 + 300 * way.x, 200 + 300 * way.y],
          groove(foldB),
        );
        const [a, b] = made(part).strokes;
        const p = { x: 200 + u * 12, y: 200 + v * 12 };
        const depth = (offset: number, width: number): number => 5 * (1 - Math.abs(offset) / (width / 2));
        const depths = [depth(p.y - 200, a!.widthMm), depth((p.x - 200) * way.y - (p.y - 200) * way.x, b!.widthMm)];
        if (Math.min(...depths) < 0.05 || Math.abs(depths[0]! - depths[1]!) < 0.05) return;
        const owns = [a!, b!].map(({ area }) => area.filter((ring) => isInside(p, ring)).length % 2 === 1);
        expect(owns).toEqual([depths[0]! > depths[1]!, depths[1]! > depths[0]!]);
      },
    ),
    { numRuns: 150 },
  );
});
