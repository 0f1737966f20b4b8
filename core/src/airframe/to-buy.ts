import type { Board } from '../stock/index.ts';
import type { Airframe } from './airframe.ts';
import { nestToGoBy } from './nest-airframe.ts';
import { buyWords, unplacedIn } from './place-faults.ts';

/** Boards to buy of one kind. */
export interface BoardsToBuy {
  readonly board: Board;
  readonly count: number;
  /** Price of them all, in the builder's currency. */
  readonly price: number;
}

/** What an airframe lacks to be cut. */
export interface ToBuy {
  readonly boards: readonly BoardsToBuy[];
  readonly price: number;
  /** Pieces that no board in stock takes, however many there were, and what they need, in words with lengths as marks. */
  readonly without: readonly { readonly name: string; readonly words: string }[];
}

/** What is to be bought so that every piece finds a place, beside what is in stock. Nests where no nest fits: for a worker. */
export function toBuy(airframe: Airframe): ToBuy {
  const left = unplacedIn(airframe, nestToGoBy(airframe).nest);
  const boards = new Map<string, BoardsToBuy>();
  // Pieces of one material are told the same boards: together they find their places there.
  for (const { buy } of left) if (buy) boards.set(buy.board.id, { ...buy, price: buy.count * buy.board.price });
  return {
    boards: [...boards.values()],
    price: [...boards.values()].reduce((sum, { price }) => sum + price, 0),
    without: left.filter(({ buy }) => !buy).map((one) => ({ name: one.piece.part.name, words: buyWords(one) })),
  };
}
