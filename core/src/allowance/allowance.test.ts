import fc from 'fast-check';
import { hingeWidth, slitGap, bevelRun, foldOfMouth, mitreBevelAngle, mitreMouthWidth, trenchWidth } from './index.ts';

test('a square corner in 5 mm board: two bevels of 45° and a mouth of 10 mm', () => {
  expect(mitreBevelAngle(90)).toBe(45);
  expect(mitreMouthWidth(90, 5)).toBeCloseTo(10, 9);
  expect(mitreMouthWidth(60, 5)).toBeCloseTo(2 * 5 / Math.sqrt(3), 9);
});
test('a 30° bevel in 6 mm board reaches in by 6·tan 30° = 3.464 mm', () => expect(bevelRun(30, 6)).toBeCloseTo(3.4641, 4));
test('a trench takes out the wall, or twice the board', () => {
  expect(trenchWidth(90, 4.9)).toBe(4.9);
  expect(trenchWidth(180, 4.9)).toBe(9.8);
});
test('folding the groove shut: both lips meet when the plates have turned by the fold', () => {
  // Independent check: turn the far lip about the hinge at the back and see where it lands.
  fc.assert(fc.property(fc.double({ min: 1, max: 120, noNaN: true }), fc.double({ min: 1, max: 20, noNaN: true }), (fold, thickness) => {
    const half = mitreMouthWidth(fold, thickness) / 2;
    const turn = (fold * Math.PI) / 180;
    const lip = { x: half * Math.cos(turn) - thickness * Math.sin(turn), y: half * Math.sin(turn) + thickness * Math.cos(turn) };
    expect(lip.x).toBeCloseTo(-half, 6);
    expect(lip.y).toBeCloseTo(thickness, 6);
    expect(foldOfMouth(2 * half, thickness)).toBeCloseTo(fold, 6);
  }));
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
