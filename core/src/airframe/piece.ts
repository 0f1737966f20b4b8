import type { ResolvedPart } from '../resolve/index.ts';

/** One shape to cut and how often; a handed pair gives two. */
export interface Piece {
  readonly id: string;
  readonly part: ResolvedPart;
  readonly quantity: number;
  /** The airframe that it belongs to, where it is another one's. */
  readonly guest?: string;
}

/** What a piece is called: its part's name, and its side where it has one. */
export const pieceName = ({ part }: Piece): string =>
  part.side === 'single' ? part.name : `${part.name}, ${part.side}`;
