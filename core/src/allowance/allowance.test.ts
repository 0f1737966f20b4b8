import fc from 'fast-check';
import { hingeWidth } from './hinge.ts';
import { bevelRun, unequalBevelAngles, foldOfMouth, mitreBevelAngle, mitreMouthWidth } from './mitre.ts';
import { rolledEdge } from './rolled.ts';
import { slitGap } from './slit.ts';
import { trenchWidth } from './trench.ts';

test('a square corner in 5 mm board: two bevels of 45° and a mouth of 10 mm', () => {
  expect(mitreBevelAngle(90)).toBe(45);
  expect(mitreMouthWidth(90, 5)).toBeCloseTo(10, 9);
  expect(mitreMouthWidth(60, 5)).toBeCloseTo((2 * 5) / Math.sqrt(3), 9);
});
test('a 30° bevel in 6 mm board reaches in by 6·tan 30° = 3.464 mm', () =>
  expect(bevelRun(30, 6)).toBeCloseTo(3.4641, 4));
test('a trench takes out the wall, or twice the board', () => {
  expect(trenchWidth(90, 4.9)).toBe(4.9);
  expect(trenchWidth(180, 4.9)).toBe(9.8);
});
test('folding the groove shut: both lips meet when the plates have turned by the fold', () => {
  // Independent check: turn the far lip about the hinge at the back and see where it lands.
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 120, noNaN: true }),
      fc.double({ min: 1, max: 20, noNaN: true }),
      (fold, thickness) => {
        const half = mitreMouthWidth(fold, thickness) / 2;
        const turn = (fold * Math.PI) / 180;
        const lip = {
          x: half * Math.cos(turn) - thickness * Math.sin(turn),
          y: half * Math.sin(turn) + thickness * Math.cos(turn),
        };
        expect(lip.x).toBeCloseTo(-half, 6);
        expect(lip.y).toBeCloseTo(thickness, 6);
        expect(foldOfMouth(2 * half, thickness)).toBeCloseTo(fold, 6);
      },
    ),
  );
});
test('plates of unequal thickness meet along one line from corner to corner, at any turn', () => {
  expect(unequalBevelAngles(90, 5, 3).map((angle) => Number(angle.toFixed(2)))).toEqual([30.96, 59.04]);
  const thickness = fc.double({ min: 1, max: 12, noNaN: true });
  fc.assert(
    fc.property(fc.double({ min: 5, max: 120, noNaN: true }), thickness, thickness, (fold, first, second) => {
      const [a, b] = unequalBevelAngles(fold, first, second).map((angle) => (angle * Math.PI) / 180) as [
        number,
        number,
      ];
      // First plate lies left of the corner with its inner face at height t1; the second, turned about the corner, right of it.
      const turn = (fold * Math.PI) / 180;
      const inner = { x: -first * Math.tan(a), y: first };
      const own = { x: second * Math.tan(b), y: second };
      const turned = {
        x: own.x * Math.cos(turn) - own.y * Math.sin(turn),
        y: own.x * Math.sin(turn) + own.y * Math.cos(turn),
      };
      expect(turned.x).toBeCloseTo(inner.x, 6);
      expect(turned.y).toBeCloseTo(inner.y, 6);
    }),
  );
  expect(() => unequalBevelAngles(180, 5, 5)).toThrow('got 180');
  expect(() => unequalBevelAngles(90, 0, 5)).toThrow('got 0 and 5');
});
test('a rolled edge: six creases of 15° round 30 mm; its strips touch the circle, its corners stand off as told', () => {
  const { foldDegrees, pitchMm, deviationMm } = rolledEdge(30, 90, 6);
  expect(foldDegrees).toBe(15);
  // By another way: walk along the strips from a touching point and look how far each corner is from the centre.
  let x = 0,
    y = -30,
    heading = 0;
  for (let corner = 0; corner < 6; corner++) {
    x += (pitchMm / (corner === 0 ? 2 : 1)) * Math.cos(heading);
    y += (pitchMm / (corner === 0 ? 2 : 1)) * Math.sin(heading);
    expect(Math.hypot(x, y) - 30).toBeCloseTo(deviationMm, 9);
    heading += (foldDegrees * Math.PI) / 180;
  }
  expect(() => rolledEdge(30, 90, 2)).toThrow('3 to 200 creases, got 2');
  for (const radius of [0, -4, Number.NaN]) expect(() => rolledEdge(radius, 90, 6)).toThrow('more than 0 mm');
});
test('a slit in 5 mm board folded away by 90° gapes 7.07 mm, doubled 10 mm: the chord between lips that turn about the far skin', () => {
  expect(slitGap(90, 5)).toBeCloseTo(Math.hypot(5, 5), 9);
  expect(slitGap(180, 5)).toBeCloseTo(10, 9);
});
test('a hinge that moves 45° either way in 5 mm board: 5 mm off one edge, or 2.07 off each of both', () => {
  expect(hingeWidth(45, 'left', 5)).toBeCloseTo(5, 9);
  expect(hingeWidth(45, 'both', 5)).toBeCloseTo(2 * 5 * (Math.SQRT2 - 1), 9);
});
test('angles that no board has are refused by number', () => {
  expect(() => mitreBevelAngle(180)).toThrow('got 180');
  expect(() => bevelRun(90, 5)).toThrow('got 90');
  expect(() => bevelRun(Number.NaN, 5)).toThrow('NaN');
});
