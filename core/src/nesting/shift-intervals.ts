import { grown } from './grown-list.ts';
import type { Strips } from './strips.ts';

/** Overlaps thinner than this count as touching, in mm. */
export const TOUCH_MM = 1e-4;

/**
 * The shifts along x that make two shapes overlap where one stands a given height above the other: a row of their no-fit region.
 * Worked out anew each time into lists that are used again.
 * @source within two strips both sides run straight, so that the shifts that overlap are one interval from the least difference of
 * sides at the strips' ends to the greatest
 */
export class ShiftIntervals {
  /** Ends of the intervals that were worked out last, ascending. */
  low = new Float64Array(64);
  high = new Float64Array(64);
  private found = 0;

  /**
   * Works out the intervals of shape b's shifts, both shapes measured from their lower left corners.
   * @param liftMm by how much b's foot stands above a's
   * @returns how many there are
   */
  workOut(a: Strips, b: Strips, liftMm: number): number {
    this.collect(a, b, liftMm);
    return mergeSorted(this.low, this.high, this.found);
  }

  /** The interval of every pair of trapezoids that meet in height, without those that cannot stand alone. */
  private collect(a: Strips, b: Strips, lift: number): void {
    this.found = 0;
    let i = 0,
      j = 0;
    const lastA = a.cuts.length - 1,
      lastB = b.cuts.length - 1;
    while (i < lastA && a.cuts[i + 1]! <= lift) i += 1;
    while (j < lastB && b.cuts[j + 1]! + lift <= 0) j += 1;
    while (i < lastA && j < lastB) {
      const topA = a.cuts[i + 1]!,
        topB = b.cuts[j + 1]! + lift;
      const from = Math.max(a.cuts[i]!, b.cuts[j]! + lift),
        to = Math.min(topA, topB);
      if (to - from > TOUCH_MM) this.crossStrips(a, i, b, j, lift, from, to);
      if (topA <= topB) i += 1;
      if (topB <= topA) j += 1;
    }
  }

  private crossStrips(a: Strips, i: number, b: Strips, j: number, lift: number, from: number, to: number): void {
    const lowA = a.cuts[i]!,
      lowB = b.cuts[j]! + lift;
    const a0 = (from - lowA) / (a.cuts[i + 1]! - lowA),
      a1 = (to - lowA) / (a.cuts[i + 1]! - lowA);
    const tallB = b.cuts[j + 1]! - b.cuts[j]!;
    const b0 = (from - lowB) / tallB,
      b1 = (to - lowB) / tallB;
    for (let s = 4 * a.first[i]!; s < 4 * a.first[i + 1]!; s += 4) {
      const left = a.sides[s]!,
        leftBy = a.sides[s + 1]! - left,
        right = a.sides[s + 2]!,
        rightBy = a.sides[s + 3]! - right;
      for (let t = 4 * b.first[j]!; t < 4 * b.first[j + 1]!; t += 4) {
        const otherLeft = b.sides[t]!,
          otherLeftBy = b.sides[t + 1]! - otherLeft,
          otherRight = b.sides[t + 2]!,
          otherRightBy = b.sides[t + 3]! - otherRight;
        const low0 = left + leftBy * a0 - otherRight - otherRightBy * b0,
          low1 = left + leftBy * a1 - otherRight - otherRightBy * b1,
          high0 = right + rightBy * a0 - otherLeft - otherLeftBy * b0,
          high1 = right + rightBy * a1 - otherLeft - otherLeftBy * b1;
        this.add(Math.min(low0, low1) + TOUCH_MM, Math.max(high0, high1) - TOUCH_MM);
      }
    }
  }

  private add(low: number, high: number): void {
    const last = this.found - 1;
    if (high <= low) return;
    // Strips on top of each other mostly give one interval, and need no sorting.
    if (last >= 0 && low <= this.high[last]! && high >= this.low[last]!) {
      if (low < this.low[last]!) this.low[last] = low;
      if (high > this.high[last]!) this.high[last] = high;
      return;
    }
    if (this.found === this.low.length) {
      this.low = grown(this.low, Float64Array);
      this.high = grown(this.high, Float64Array);
    }
    this.low[this.found] = low;
    this.high[this.found] = high;
    this.found += 1;
  }
}

/** Sorts the first `count` intervals by their low ends and joins those that overlap, in place; they are few. @returns how many are left */
function mergeSorted(low: Float64Array, high: Float64Array, count: number): number {
  for (let index = 1; index < count; index++) {
    const l = low[index]!,
      h = high[index]!;
    let at = index - 1;
    for (; at >= 0 && low[at]! > l; at--) {
      low[at + 1] = low[at]!;
      high[at + 1] = high[at]!;
    }
    low[at + 1] = l;
    high[at + 1] = h;
  }
  let kept = 0;
  for (let index = 0; index < count; index++) {
    if (kept > 0 && low[index]! <= high[kept - 1]!) {
      if (high[index]! > high[kept - 1]!) high[kept - 1] = high[index]!;
    } else {
      low[kept] = low[index]!;
      high[kept] = high[index]!;
      kept += 1;
    }
  }
  return kept;
}
