/** A source of numbers in [0, 1). */
export type RandomSource = () => number;

/**
 * Repeatable random numbers from a seed; the same seed gives the same run on every machine.
 * @param seed any finite number; its low 32 bits are used
 * @source mulberry32, a 32-bit mixing generator in the public domain
 */
export function seededRandom(seed: number): RandomSource {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}
