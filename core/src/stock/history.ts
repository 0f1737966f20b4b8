import type { Board, BoardEvent } from './board.ts';

/** What may befall a board. */
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
