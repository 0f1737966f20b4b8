import fc from 'fast-check';
import { normaliseDegrees } from './angle.ts';
import { CoreError } from './core-error.ts';
import { countOf, formatAngle, formatMass } from './format-length.ts';
import { seededRandom } from './random.ts';
import { stableHash } from './stable-hash.ts';

test('the same seed gives the same numbers, each at least 0 and below 1, spread evenly', () => {
  const [first, second, other] = [seededRandom(7), seededRandom(7), seededRandom(8)];
  const numbers = Array.from({ length: 20_000 }, () => first());
  expect(numbers.slice(0, 100)).toEqual(Array.from({ length: 100 }, () => second()));
  expect(numbers.slice(0, 10)).not.toEqual(Array.from({ length: 10 }, () => other()));
  for (const value of numbers) expect(value >= 0 && value < 1).toBe(true);
  // Ten bins of 2,000 each; five standard deviations are 212.
  for (let bin = 0; bin < 10; bin++)
    expect(Math.abs(numbers.filter((value) => Math.floor(value * 10) === bin).length - 2000)).toBeLessThan(212);
});

test('a fingerprint depends on every value, not on how the object was built', () => {
  expect(stableHash({ a: 1, b: [2, { c: 3 }] })).toBe(stableHash({ b: [2, { c: 3 }], a: 1 }));
  expect(stableHash([1, 2])).not.toBe(stableHash([2, 1]));
  expect(stableHash('1')).not.toBe(stableHash(1));
  expect(stableHash({})).toMatch(/^[0-9a-f]{16}$/);
  const seen = new Map<string, string>();
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const text = JSON.stringify(value),
        hash = stableHash(JSON.parse(text));
      expect(hash).toBe(stableHash(JSON.parse(text)));
      if (seen.has(hash)) expect(normal(JSON.parse(seen.get(hash)!))).toEqual(normal(JSON.parse(text)));
      seen.set(hash, text);
    }),
    { numRuns: 500 },
  );
});
/** Objects with their keys in one order. */
const normal = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    inner && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort())
      : inner,
  );

test('angles, masses and counts as they are read', () => {
  expect([formatAngle(90), formatAngle(22.5), formatAngle(-0.01)]).toEqual(['90°', '22.5°', '0°']);
  expect([formatMass(51.84), formatMass(265.9)]).toEqual(['51.8 g', '266 g']);
  expect([countOf(1, 'board'), countOf(3, 'board')]).toEqual(['1 board', '3 boards']);
  expect([normaliseDegrees(-90), normaliseDegrees(720), normaliseDegrees(450)]).toEqual([270, 0, 90]);
});

test('an error of the core carries its code and the numbers', () =>
  expect(new CoreError('OUT_OF_RANGE', 'too far', { at: 3 })).toMatchObject({
    code: 'OUT_OF_RANGE',
    message: 'too far',
  }));
