/** How long a nest is searched for: steps in the page, seconds on the server. */
export interface SearchLength {
  readonly id: string;
  readonly word: string;
  readonly tries: number;
  readonly seconds: number;
}
export const SEARCHES = [
  { id: 'briefly', word: 'briefly', tries: 40, seconds: 5 },
  { id: 'usual', word: 'as usual', tries: 240, seconds: 20 },
  { id: 'minute', word: 'a minute or so', tries: 3000, seconds: 60 },
  { id: 'ten', word: 'ten minutes or so', tries: 30_000, seconds: 600 },
  { id: 'open', word: 'until stopped', tries: 1_000_000, seconds: 600 },
] as const satisfies readonly SearchLength[];

/** What a search is run with. */
export interface SearchOrder {
  readonly length: SearchLength;
  /** Whether the server runs it, so that the page may be closed. */
  readonly isOnServer: boolean;
}
export const USUAL_ORDER: SearchOrder = { length: SEARCHES[1], isOnServer: false };
