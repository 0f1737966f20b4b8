/** Hands out ids for the points and segments that an edit makes. */
export interface PathIds {
  next(prefix: 'n' | 's'): string;
}
