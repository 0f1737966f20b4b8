/**
 * The pairs of a DXF file: of each its group code, and where its value stands in the text. Files hold millions of them; nothing is made of one
 * before it is asked for.
 */
export class Pairs {
  constructor(
    private readonly text: string,
    private readonly codes: Int32Array,
    /** Start and end of each value, one after the other. */
    private readonly places: Int32Array,
    readonly count: number,
  ) {}

  code(index: number): number {
    return this.codes[index]!;
  }
  value(index: number): string {
    return this.text.slice(this.places[2 * index], this.places[2 * index + 1]).trim();
  }
}

/** What was read of a file: its pairs, and where it stops to be one. */
export interface ReadPairs {
  readonly pairs: Pairs;
  readonly fault: string | undefined;
}

/** More pairs than the most runs that a drawing may hold need. */
const MOST_PAIRS = 3_000_000;
const RETURN = 13;

/** Reads the pairs of lines of an ASCII DXF file. What stands before a broken line is kept. */
export function readPairs(text: string): ReadPairs {
  let codes = new Int32Array(4096),
    places = new Int32Array(8192);
  let count = 0,
    at = 0,
    line = 1,
    start = 0,
    end = 0;
  const nextLine = (): boolean => {
    if (at >= text.length) return false;
    start = at;
    end = text.indexOf('\n', at);
    if (end < 0) end = text.length;
    at = end + 1;
    if (end > start && text.charCodeAt(end - 1) === RETURN) end -= 1;
    return true;
  };
  const done = (fault?: string): ReadPairs => ({ pairs: new Pairs(text, codes, places, count), fault });
  while (nextLine()) {
    const code = groupCode(text, start, end);
    if (code === undefined) {
      const written = text.slice(start, Math.min(end, start + 20)).trim();
      return written === '' && at >= text.length ? done() : done(`Line ${line}: "${written}" is no group code.`);
    }
    if (!nextLine()) return done(`Line ${line}: the file is cut off.`);
    if (count === MOST_PAIRS)
      return done(`Line ${line}: it holds more than ${MOST_PAIRS.toLocaleString('en')} values.`);
    // 999 is a comment of the file.
    if (code !== 999) {
      if (count === codes.length) {
        codes = grown(codes);
        places = grown(places);
      }
      codes[count] = code;
      places[2 * count] = start;
      places[2 * count + 1] = end;
      count += 1;
    }
    line += 2;
  }
  return done();
}

function grown(list: Int32Array): Int32Array<ArrayBuffer> {
  const larger = new Int32Array(2 * list.length);
  larger.set(list);
  return larger;
}

/** A whole number that stands alone on a line, or undefined. */
function groupCode(text: string, start: number, end: number): number | undefined {
  if (end - start > 12) return undefined;
  const words = text.slice(start, end).trim();
  return /^-?\d{1,5}$/.test(words) ? Number(words) : undefined;
}

/** An entity, a table's line, a block's head: its kind, and its pairs in their order. */
export class DxfRecord {
  constructor(
    private readonly pairs: Pairs,
    /** Its first pair, of code 0. */ private readonly start: number,
    private readonly end: number,
  ) {}

  get kind(): string {
    return this.pairs.value(this.start).toUpperCase();
  }
  text(code: number): string | undefined {
    for (let index = this.start + 1; index < this.end; index++)
      if (this.pairs.code(index) === code) return this.pairs.value(index);
    return undefined;
  }
  /** The first number of a code; what is no number is NaN, so that what stands on it is left out. */
  number(code: number, otherwise: number): number {
    const value = this.text(code);
    return value === undefined ? otherwise : Number(value);
  }
  texts(code: number): readonly string[] {
    const found: string[] = [];
    for (let index = this.start + 1; index < this.end; index++)
      if (this.pairs.code(index) === code) found.push(this.pairs.value(index));
    return found;
  }
  numbers(code: number): readonly number[] {
    return this.texts(code).map(Number);
  }
  /** Calls for each pair after the first. */
  each(visit: (code: number, value: () => string) => void): void {
    for (let index = this.start + 1; index < this.end; index++)
      visit(this.pairs.code(index), () => this.pairs.value(index));
  }
  /** Points whose x and y stand one after the other, the x under a code. */
  points(code: number): readonly { readonly x: number; readonly y: number }[] {
    const points: { x: number; y: number }[] = [];
    this.each((own, value) => {
      if (own === code) points.push({ x: Number(value()), y: 0 });
      else if (own === code + 10 && points.length > 0) points.at(-1)!.y = Number(value());
    });
    return points;
  }
}

/** A stretch of pairs, from one to before another. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** The records of a stretch of pairs: each begins with a pair of code 0. @param most more are not made */
export function recordsOf(pairs: Pairs, { from, to }: Stretch, most = Infinity): readonly DxfRecord[] {
  const records: DxfRecord[] = [];
  let start = from;
  while (start < to && pairs.code(start) !== 0) start++;
  while (start < to && records.length < most) {
    let end = start + 1;
    while (end < to && pairs.code(end) !== 0) end++;
    records.push(new DxfRecord(pairs, start, end));
    start = end;
  }
  return records;
}
