import type { Part } from './part.ts';

/** Hands out ids that the part has never used; lives for one command. */
export class IdSource {
  private last: number;
  constructor(part: Part) {
    this.last = part.lastId;
  }
  next(prefix: 'n' | 's' | 'c' | 'l' | 'o' | 'd' | 'f' | 'g' | 'j' | 'k'): string {
    return `${prefix}${++this.last}`;
  }
  get lastId(): number {
    return this.last;
  }
}
