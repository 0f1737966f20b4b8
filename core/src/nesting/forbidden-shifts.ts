import type { Strips } from './strips.ts';

/** Overlaps thinner than this count as touching, in mm. */
const TOUCH_MM = 1e-4;
const FIRST_ROOM = 1 << 16;
/** Stands for the low end of a row with several intervals. */
export const MANY = Infinity;

/**
 * Which shifts along x make two shapes overlap, for every difference of their feet by whole rows: the rows of their no-fit region,
 * each a few intervals. A row is worked out when it is first asked for, and kept.
 *
 * Shape b stands `rows` rows above shape a and `shift` mm to its right, both measured between their lower left corners.
 * @source within two strips both sides run straight, so that the shifts that overlap are one interval from the least difference of
 * sides at the strips' ends to the greatest
 */
export class ForbiddenShifts {
  /**
   * Two numbers for each row of each pair that was ever asked for: the ends of its one interval; `MANY` and where in the pool its
   * intervals stand; a low end above the high one where there is none; twice 0 while it is not known.
   */
  rows = new Float32Array(FIRST_ROOM);
  /** For rows of more than one interval: their count, then their ends, ascending. */
  pool = new Float32Array(FIRST_ROOM);
  private rowsUsed = 0;
  private poolUsed = 0;
  /** For each pair, where its rows begin, plus 1; 0 when it was never asked for. */
  private readonly bases: Int32Array;
  private readonly below: Int32Array;
  private low = new Float64Array(64);
  private high = new Float64Array(64);
  private found = 0;

  /**
   * @param shapes every pose of every piece
   * @param pitchMm height of a row
   */
  constructor(
    private readonly shapes: readonly Strips[],
    readonly pitchMm: number,
  ) {
    this.bases = new Int32Array(shapes.length * shapes.length);
    // Rows by which the foot of one shape may be below another's and still reach into it.
    this.below = Int32Array.from(shapes, ({ height }) => Math.max(0, Math.ceil((height - TOUCH_MM) / pitchMm) - 1));
  }

  /**
   * Where in `rows` the forbidden shifts of a pair stand, or -1 where there are none.
   * @param a index of a shape, at most b
   * @param rows rows by which b's foot stands above a's
   */
  place(a: number, b: number, rows: number): number {
    const below = this.below[b]!;
    if (rows < -below || rows > this.below[a]!) return -1;
    const key = a * this.shapes.length + b;
    let base = this.bases[key]!;
    if (base === 0) base = this.bases[key] = this.roomForRows(below + this.below[a]! + 1) + 1;
    const at = 2 * (base - 1 + below + rows);
    if (this.rows[at] === 0 && this.rows[at + 1] === 0) this.workOut(a, b, rows * this.pitchMm, at);
    return at;
  }

  private roomForRows(count: number): number {
    const base = this.rowsUsed;
    this.rowsUsed += count;
    while (2 * this.rowsUsed > this.rows.length) this.rows = grown(this.rows, Float32Array);
    return base;
  }

  private workOut(a: number, b: number, liftMm: number, at: number): void {
    this.collect(this.shapes[a]!, this.shapes[b]!, liftMm);
    const { low, high } = this;
    const count = mergeSorted(low, high, this.found);
    if (count < 2) {
      this.rows[at] = count === 1 ? low[0]! : 1;
      this.rows[at + 1] = count === 1 ? high[0]! : -1;
      return;
    }
    while (this.poolUsed + 2 * count + 1 > this.pool.length) this.pool = grown(this.pool, Float32Array);
    this.rows[at] = MANY;
    this.rows[at + 1] = this.poolUsed;
    this.pool[this.poolUsed++] = count;
    for (let index = 0; index < count; index++) {
      this.pool[this.poolUsed++] = low[index]!;
      this.pool[this.poolUsed++] = high[index]!;
    }
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

function grown<T extends Float64Array | Float32Array | Int32Array>(list: T, Kind: new (length: number) => T): T {
  const larger = new Kind(2 * list.length);
  larger.set(list);
  return larger;
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
