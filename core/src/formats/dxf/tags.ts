/** A pair of a DXF file: what kind of value it is, and the value as it is written. */
export interface Tag {
  readonly code: number;
  readonly value: string;
  /** Line of the file on which the code stands, from 1. */
  readonly line: number;
}

/** The pairs of a DXF file, or where it stops to be one. */
export interface Tags {
  readonly tags: readonly Tag[];
  readonly fault: string | undefined;
}

const MOST_TAGS = 12_000_000;

/** Reads the pairs of lines of an ASCII DXF file. What stands before a broken line is kept. */
export function readTags(text: string): Tags {
  const tags: Tag[] = [];
  let at = 0,
    line = 1;
  const nextLine = (): string | undefined => {
    if (at >= text.length) return undefined;
    let end = text.indexOf('\n', at);
    if (end < 0) end = text.length;
    const isReturn = end > at && text.charCodeAt(end - 1) === 13;
    const words = text.slice(at, isReturn ? end - 1 : end);
    at = end + 1;
    return words;
  };
  for (;;) {
    const written = nextLine();
    if (written === undefined) return { tags, fault: undefined };
    const code = Number(written);
    if (written.trim() === '' || !Number.isInteger(code)) {
      if (written.trim() === '' && at >= text.length) return { tags, fault: undefined };
      return { tags, fault: `Line ${line}: "${written.trim().slice(0, 20)}" is no group code.` };
    }
    const value = nextLine();
    if (value === undefined) return { tags, fault: `Line ${line}: the file is cut off.` };
    // Comments of the file.
    if (code !== 999) tags.push({ code, value, line });
    if (tags.length > MOST_TAGS) return { tags, fault: `It holds more than ${MOST_TAGS.toLocaleString('en')} values.` };
    line += 2;
  }
}

/** An entity, a table's line, a block's head: its kind, and its pairs in their order. */
export class DxfRecord {
  constructor(
    readonly kind: string,
    readonly tags: readonly Tag[],
  ) {}

  text(code: number): string | undefined {
    return this.tags.find((tag) => tag.code === code)?.value.trim();
  }
  /** The first number of a code; NaN stays NaN, so that what stands on it is left out. */
  number(code: number, otherwise: number): number {
    const value = this.text(code);
    return value === undefined ? otherwise : Number(value);
  }
  numbers(code: number): readonly number[] {
    return this.tags.flatMap((tag) => (tag.code === code ? [Number(tag.value)] : []));
  }
  /** Points whose x, y, z stand one after the other, the x under a code. */
  points(code: number): readonly { readonly x: number; readonly y: number; readonly z: number }[] {
    const points: { x: number; y: number; z: number }[] = [];
    for (const tag of this.tags) {
      if (tag.code === code) points.push({ x: Number(tag.value), y: 0, z: 0 });
      else if (tag.code === code + 10 && points.length > 0) points.at(-1)!.y = Number(tag.value);
      else if (tag.code === code + 20 && points.length > 0) points.at(-1)!.z = Number(tag.value);
    }
    return points;
  }
}

/** The records of some pairs: each begins with a pair of code 0. */
export function recordsOf(tags: readonly Tag[]): readonly DxfRecord[] {
  const records: DxfRecord[] = [];
  let start = tags.findIndex(({ code }) => code === 0);
  while (start >= 0 && start < tags.length) {
    let end = start + 1;
    while (end < tags.length && tags[end]!.code !== 0) end++;
    records.push(new DxfRecord(tags[start]!.value.trim().toUpperCase(), tags.slice(start + 1, end)));
    start = end;
  }
  return records;
}
