import { MM_PER_INCH, mmPer, type LengthUnit } from './length-unit.ts';

export type ParsedLength =
  { readonly ok: true; readonly mm: number } | { readonly ok: false; readonly message: string };

/** A number on its way through a sum: pure, or already a length in mm. */
interface Quantity {
  readonly value: number;
  readonly isLength: boolean;
}

const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
};
/** Longest length anything here may have: ten metres is beyond every board, page and airframe. */
export const LONGEST_LENGTH_MM = 10_000;

class SyntaxFault extends Error {}

/** Recursive descent over one typed entry; lives for one call. */
class LengthReader {
  private at = 0;
  constructor(
    private readonly text: string,
    private readonly unitMm: number,
    private readonly hyphenJoinsFraction: boolean,
  ) {}

  read(): Quantity {
    const result = this.sum();
    this.skipSpace();
    if (this.at < this.text.length) throw new SyntaxFault(`"${this.text.slice(this.at)}" is not part of a length`);
    return result;
  }

  private sum(): Quantity {
    let left = this.product();
    for (;;) {
      const sign = this.take(/[+\-−]/y);
      if (!sign) return left;
      const right = this.product();
      const factor = sign === '+' ? 1 : -1;
      if (left.isLength || right.isLength)
        left = { value: this.asMm(left) + factor * this.asMm(right), isLength: true };
      else left = { value: left.value + factor * right.value, isLength: false };
    }
  }

  private product(): Quantity {
    let left = this.factor();
    for (;;) {
      const sign = this.take(/[*×/÷]/y);
      if (!sign) return left;
      const right = this.factor();
      if (sign === '*' || sign === '×') {
        if (left.isLength && right.isLength) throw new SyntaxFault('a length times a length is an area, not a length');
        left = { value: left.value * right.value, isLength: left.isLength || right.isLength };
      } else {
        if (right.value === 0) throw new SyntaxFault('it divides by zero');
        if (right.isLength && !left.isLength) throw new SyntaxFault('a number divided by a length is not a length');
        left = { value: left.value / right.value, isLength: left.isLength && !right.isLength };
      }
    }
  }

  private factor(): Quantity {
    const sign = this.take(/[+\-−]/y);
    if (sign) {
      const inner = this.factor();
      return sign === '+' ? inner : { ...inner, value: -inner.value };
    }
    if (this.take(/\(/y)) {
      const inner = this.sum();
      if (!this.take(/\)/y)) throw new SyntaxFault('a bracket is not closed');
      return inner;
    }
    return this.measure();
  }

  private measure(): Quantity {
    const mixed = this.hyphenJoinsFraction ? /(\d+)(?:\s+|-)(\d+)\/(\d+)/y : /(\d+)\s+(\d+)\/(\d+)/y;
    const parts = this.match(mixed) ?? this.match(/()(\d+)\/(\d+)(?=\s*(?:$|["″']|in|ft|mm|cm))/y);
    let value: number;
    if (parts) {
      if (Number(parts[3]) === 0) throw new SyntaxFault('a fraction has 0 below the line');
      value = Number(parts[1] || 0) + Number(parts[2]) / Number(parts[3]);
    } else {
      const plain = this.match(/\d+(?:[.,]\d*)?|[.,]\d+/y);
      if (!plain)
        throw new SyntaxFault(
          this.at >= this.text.length
            ? 'a number is missing at the end'
            : `"${this.text.slice(this.at)}" is not a number`,
        );
      value = Number(plain[0].replace(',', '.'));
    }
    const unit = this.match(/\s*(mm|cm|m|inch|in|ft|"|″|')(?![a-z])/y);
    const feetAndInches = unit?.[1] === "'" && /\s*\d/y.exec(this.text.slice(this.at));
    if (!unit) return { value, isLength: false };
    const mm = value * (UNIT_MM[unit[1]!] ?? 1);
    if (!feetAndInches) return { value: mm, isLength: true };
    const rest = this.measure();
    return { value: mm + (rest.isLength ? rest.value : rest.value * MM_PER_INCH), isLength: true };
  }

  private asMm(quantity: Quantity): number {
    return quantity.isLength ? quantity.value : quantity.value * this.unitMm;
  }

  private skipSpace(): void {
    this.match(/\s*/y);
  }

  private take(pattern: RegExp): string | undefined {
    this.skipSpace();
    return this.match(pattern)?.[0];
  }

  private match(pattern: RegExp): RegExpExecArray | undefined {
    if (this.text[this.at] === ' ' && !pattern.source.startsWith('\\s'))
      this.at += /^\s*/.exec(this.text.slice(this.at))![0].length;
    pattern.lastIndex = this.at;
    const found = pattern.exec(this.text);
    if (!found) return undefined;
    this.at = pattern.lastIndex;
    return found;
  }
}

/**
 * Reads a length as a builder types it: `187.3`, `7 3/8`, `7-3/8"`, `12.5in`, `1' 6"`, `=2*95+6`, `(40+2)/2`.
 *
 * A hyphen before a fraction joins it (`7-3/8` is seven and three eighths) unless the entry starts with `=`.
 *
 * @param typed what was typed
 * @param unit unit of numbers that carry none
 * @returns the length in mm, or why it is not one; never NaN, never beyond ±10 m
 * @example parseLength('7 3/8', 'in') // { ok: true, mm: 187.325 }
 */
export function parseLength(typed: string, unit: LengthUnit): ParsedLength {
  const trimmed = typed.trim().toLowerCase();
  const isSum = trimmed.startsWith('=');
  const text = isSum ? trimmed.slice(1) : trimmed;
  if (text.trim() === '') return { ok: false, message: 'Type a length, for example 187.3, 7 3/8" or =2*95+6.' };
  if (text.length > 200) return { ok: false, message: 'That entry is longer than 200 characters.' };
  try {
    const quantity = new LengthReader(text, mmPer(unit), !isSum).read();
    const mm = quantity.isLength ? quantity.value : quantity.value * mmPer(unit);
    if (!Number.isFinite(mm) || Math.abs(mm) > LONGEST_LENGTH_MM) {
      return { ok: false, message: `"${typed.trim()}" is beyond 10 m (${LONGEST_LENGTH_MM} mm).` };
    }
    return { ok: true, mm };
  } catch (error) {
    if (error instanceof SyntaxFault || error instanceof RangeError)
      return { ok: false, message: `"${typed.trim()}" is not a length: ${error.message}.` };
    throw error;
  }
}

/**
 * Reads a plain number or sum (an angle in degrees, a factor, a count): `30`, `22.5°`, `=180/7`, `1 1/4`.
 * @returns the number, or why it is not one
 */
export function parseNumber(
  typed: string,
): { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string } {
  const parsed = parseLength(typed.replace(/[°%×]\s*$/, '').replace(/^\s*×/, ''), 'mm');
  if (parsed.ok) return { ok: true, value: parsed.mm };
  return { ok: false, message: parsed.message.replace('a length', 'a number') };
}
