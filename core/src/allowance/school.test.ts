import fc from 'fast-check';
import {
  foldedMouthGap,
  glueSection,
  grooveWallDegrees,
  largestFoldOf,
  schoolMouthWidth,
  type GrooveCut,
} from './school.ts';
import { creasedSection } from './section.ts';

const cut = (school: GrooveCut['school'], toolDegrees = 45): GrooveCut => ({ school, toolDegrees });

describe('schools of cutting a groove', () => {
  test('for 60° in 5 mm: a knife opens 5.77 mm, a 45° tool 10 mm, whatever the fold', () => {
    expect(schoolMouthWidth(60, 5, cut('knife'))).toBeCloseTo(5.7735, 4);
    expect(schoolMouthWidth(60, 5, cut('tool'))).toBeCloseTo(10, 9);
    expect(schoolMouthWidth(60, 5, cut('tool', 30))).toBeCloseTo(5.7735, 4);
  });
  test('walls lean by half the fold, by the tool, or not at all; the tool closes at twice its tilt, sanding goes further than a knife', () => {
    expect(
      [cut('knife'), cut('sanded'), cut('tool', 40), cut('square')].map((one) => grooveWallDegrees(60, one)),
    ).toEqual([30, 30, 40, 0]);
    expect([cut('knife'), cut('sanded'), cut('tool', 40), cut('square')].map(largestFoldOf)).toEqual([
      120, 150, 80, 120,
    ]);
  });
  test('lips come together at the fold a groove was cut for, and stand apart before', () => {
    // Turned by half of 60°, the lip at (5, 5) comes to x = 5·cos 30° - 5·sin 30° = 1.83; there are two.
    expect(foldedMouthGap(60, 10, 5)).toBeCloseTo(3.66, 2);
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 120, noNaN: true }),
        fc.double({ min: 2, max: 10, noNaN: true }),
        (fold, t) => {
          expect(Math.abs(foldedMouthGap(fold, schoolMouthWidth(fold, t, cut('knife')), t))).toBeLessThan(1e-9);
        },
      ),
    );
  });
  test('glue: none where knife bevels meet; for a square corner a square cut leaves half of 10 × 5 mm', () => {
    expect(glueSection(90, 10, 5, 'knife')).toBeCloseTo(0, 9);
    expect(glueSection(90, 10, 5, 'square')).toBeCloseTo(25, 9);
    // A 45° tool folded by 60° leaves a wedge of 30° between walls of 7.07: ½ · 7.07² · sin 30° = 12.5.
    expect(glueSection(60, 10, 5, 'tool')).toBeCloseTo(12.5, 9);
  });
  test.each([0, 90, -10, Number.NaN])('a tool that tilts by %d° is refused', (tilt) =>
    expect(() => schoolMouthWidth(60, 5, cut('tool', tilt))).toThrow('toolDegrees'),
  );
});

describe('a section made of creases', () => {
  const arc = (radius: number, degrees: number, count = 181) =>
    Array.from({ length: count }, (_, index) => {
      const a = ((index / (count - 1)) * (degrees * Math.PI)) / 180;
      return { x: radius * Math.sin(a), y: radius * (1 - Math.cos(a)) };
    });
  test('a quarter round of radius 60 in five strips: each chord falls short by 60·(1 - cos 9°) = 0.74, folds are 18°', () => {
    const { creases, deviationMm, lengthMm } = creasedSection(arc(60, 90), 4);
    expect(deviationMm).toBeCloseTo(60 * (1 - Math.cos(Math.PI / 20)), 2);
    for (const { foldDegrees } of creases) expect(foldDegrees).toBeCloseTo(18, 1);
    expect(lengthMm).toBeCloseTo(5 * 2 * 60 * Math.sin(Math.PI / 20), 2);
  });
  test('no other choice of corners is better, tried out for small curves', () => {
    const offOf = (points: readonly { x: number; y: number }[], corners: readonly number[]): number =>
      Math.max(
        ...corners.slice(1).map((end, index) => {
          const [a, b] = [points[corners[index]!]!, points[end]!],
            length = Math.hypot(b.x - a.x, b.y - a.y);
          return Math.max(
            0,
            ...points
              .slice(corners[index]! + 1, end)
              .map((p) => Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / length),
          );
        }),
      );
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1.5, max: 1.5, noNaN: true }), { minLength: 6, maxLength: 9 }),
        (heights) => {
          // Heights that no crease has to turn by more than 35° for.
          const points = heights.map((y, index) => ({ x: index * 10, y }));
          const inner = points.slice(1, -1).map((_, index) => index + 1);
          const tried = inner.flatMap((i) =>
            inner.filter((j) => j > i).map((j) => offOf(points, [0, i, j, points.length - 1])),
          );
          expect(creasedSection(points, 2).deviationMm).toBeCloseTo(Math.min(...tried), 9);
        },
      ),
    );
  });
  test('too few creases for the bend, or more than the curve has room for, are refused', () => {
    expect(() => creasedSection(arc(60, 90), 1)).toThrow('more than 35°: use more creases');
    expect(() => creasedSection(arc(60, 90, 5), 4)).toThrow('takes 1 to 3 creases');
    expect(() => creasedSection(arc(60, 90, 2), 1)).toThrow('at least 3 points');
  });
});
