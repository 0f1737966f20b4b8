import { cheaperPlans, hasChoiceOfBoards, type BoardPlan } from './board-plans.ts';
import type { NestInstance } from './instance.ts';

/** Share of all moves that goes into boards that cost less, and how many such choices of boards are tried in turn, the cheapest. */
const SHARE_OF_MOVES = 0.4,
  PLANS_IN_TURN = 6;

/** What boards could be bought for less than those of a nest, tried in turn. Changed in place: it lives for one search. */
export class BoughtForLess {
  private plans: readonly BoardPlan[] = [];
  private tried = 0;
  private moves = 0;
  private cost: number | undefined;

  /**
   * @param neededMm2 area of all pieces
   * @param fill share of boards that they may take at most, 0 to 1
   */
  constructor(
    private readonly instance: NestInstance,
    private readonly neededMm2: number,
    private readonly fill: number,
  ) {}

  /** Looks for what costs less than a nest does. */
  than(cost: number): void {
    if (cost === this.cost || !hasChoiceOfBoards(this.instance)) return;
    this.cost = cost;
    this.plans = cheaperPlans(this.instance, this.neededMm2, this.fill, cost);
  }

  /** The next boards to try; undefined where there are none, or they have had their share of all moves. */
  next(allMoves: number): BoardPlan | undefined {
    if (this.plans.length === 0 || this.moves > SHARE_OF_MOVES * allMoves) return undefined;
    return this.plans[this.tried++ % Math.min(this.plans.length, PLANS_IN_TURN)];
  }

  /** Counts moves that went into them. */
  spend(moves: number): void {
    this.moves += moves;
  }
}
