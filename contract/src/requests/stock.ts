import { Matches } from 'class-validator';
import { MOST_BOARDS, type Board } from '@grain-fold/core/stock';
import { IsCountBetween, IsIdentifier } from '../project/rules.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
const WORDS = { message: 'must be the id of an airframe' };

/** Boards handed from one airframe of a workshop to another. */
export class HandBoards {
  @Matches(UUID, WORDS) from!: string;
  @Matches(UUID, WORDS) to!: string;
  @IsIdentifier() boardId!: string;
  @IsCountBetween(1, MOST_BOARDS) count!: number;
}

/** Boards of one kind that lie with an airframe. */
export interface WorkshopBoards {
  readonly airframeId: string;
  readonly airframe: string;
  readonly board: Board;
  /** How many of them the airframe's nest is to be cut from: reserved for it. */
  readonly reserved: number;
}

/** All boards of a workshop, by the airframes that they lie with. */
export interface WorkshopStock {
  readonly boards: readonly WorkshopBoards[];
}
