import { grown } from './grown-list.ts';
import { ShiftIntervals, TOUCH_MM } from './shift-intervals.ts';
import type { Strips } from './strips.ts';

const FIRST_ROOM = 1 << 16;
/** Stands for the low end of a row with several intervals. */
export const MANY = Infinity;

/**
 * Which shifts along x make two shapes overlap, for every difference of their feet by whole rows: the rows of their no-fit region,
 * each a few intervals. A row is worked out when it is first asked for, and kept.
 *
 * Shape b stands `rows` rows above shape a and `shift` mm to its right, both measured between their lower left corners.
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
  private readonly intervals = new ShiftIntervals();

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
    const count = this.intervals.workOut(this.shapes[a]!, this.shapes[b]!, liftMm);
    const { low, high } = this.intervals;
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
}
