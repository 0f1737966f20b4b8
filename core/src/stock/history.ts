import type { Board } from './board.ts';

/** What befell a board on a day: some were bought, it was cut from another for an airframe, or came over from one. */
export type BoardEvent =
  | { readonly date: string; readonly kind: 'bought'; readonly count: number }
  | { readonly date: string; readonly kind: 'cut'; readonly from: string; readonly airframe: string }
  | { readonly date: string; readonly kind: 'taken'; readonly airframe: string };
export const BOARD_EVENTS = ['bought', 'cut', 'taken'] as const satisfies readonly BoardEvent['kind'][];

/** Events that are kept of one board: the last ones. */
export const MOST_EVENTS = 20;

/** A board with something more that befell it. What a rest was cut from befell the rest as well: it keeps that board's events. */
export const withEvent = (board: Board, event: BoardEvent): Board => ({
  ...board,
  history: [...(board.history ?? []), event].slice(-MOST_EVENTS),
});

/** A board as what a nest or a kind asks of it: what befell it is of no matter there. */
export function withoutHistory(board: Board): Board {
  const { history: _history, ...rest } = board;
  return rest;
}

/** An event in words, without its date. */
export function eventWords(event: BoardEvent): string {
  switch (event.kind) {
    case 'bought':
      return `${event.count} bought`;
    case 'cut':
      return `cut from ${event.from} for ${event.airframe}`;
    case 'taken':
      return `taken over from ${event.airframe}`;
  }
}
