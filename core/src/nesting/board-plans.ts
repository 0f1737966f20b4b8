import { polygonArea } from '../geometry/index.ts';
import type { NestBoard, NestInstance } from './instance.ts';

/** How many boards of each kind, by its index in the instance; kinds that cost nothing as many as there are. */
export type BoardPlan = readonly number[];

/** Most plans that are told, and most that are looked through for them. */
const MOST_PLANS = 40,
  MOST_LOOKED_THROUGH = 20_000;

/** How much more may be spent each time that too few plans are found. */
const MORE_MONEY = 1.2;
/** Rounding of sums, in mm². */
const LEAST_MM2 = 1e-3;

interface PricedPlan {
  readonly plan: BoardPlan;
  readonly cost: number;
}

const priceOf = ({ price = 0 }: NestBoard): number => price;
const isBought = (board: NestBoard): boolean => priceOf(board) > 0 && !board.taken;

/** Whether boards of different prices or sizes can be chosen among, so that what is bought is a question of its own. */
export const hasChoiceOfBoards = ({ boards }: NestInstance): boolean =>
  new Set(boards.filter(isBought).map((board) => [priceOf(board), board.width, board.height].join(' '))).size > 1;

/** What of a board parts may take, in mm². */
function usableMm2({ width, height, polygon, taken = [], holes = [] }: NestBoard, edgeMargin: number): number {
  const whole = polygon
    ? polygonArea(polygon.map(([x, y]) => ({ x, y })))
    : Math.max(0, width - 2 * edgeMargin) * Math.max(0, height - 2 * edgeMargin);
  const lost = [...taken.map((shape) => shape.polygon), ...holes].reduce(
    (sum, ring) => sum + polygonArea(ring.map(([x, y]) => ({ x, y }))),
    0,
  );
  return Math.max(0, whole - lost);
}

/**
 * What boards could be bought for less, the cheapest first.
 * @param neededMm2 area of all parts
 * @param fill share of all boards that parts are thought to take at most, 0 to 1
 * @param below what they have to cost less than, with what is bought already
 */
export function cheaperPlans(
  { boards, clearance, edgeMargin = clearance }: NestInstance,
  neededMm2: number,
  fill: number,
  below: number,
): readonly BoardPlan[] {
  const areas = boards.map((board) => usableMm2(board, edgeMargin));
  const given = boards.map((board) => (isBought(board) ? 0 : board.count));
  const total = (plan: BoardPlan, of: readonly number[]): number =>
    plan.reduce((sum, count, kind) => sum + count * of[kind]!, 0);
  const wanted = neededMm2 / fill - total(given, areas),
    budget =
      below -
      total(
        given.map((count, kind) => (boards[kind]!.taken ? count : 0)),
        boards.map(priceOf),
      ) -
      1e-9;
  const kinds = boards
    .flatMap((board, kind) => (isBought(board) && areas[kind]! > 0 ? [kind] : []))
    .sort((a, b) => areas[b]! - areas[a]!);
  // Most area that money buys of the kinds from each on: what cannot come to the area any more is not looked through.
  const areaForMoney = kinds.map((_, at) =>
    Math.max(...kinds.slice(at).map((kind) => areas[kind]! / priceOf(boards[kind]!))),
  );
  const plansWithin = (most: number): readonly PricedPlan[] => {
    const found: PricedPlan[] = [];
    let looked = 0;
    const add = (at: number, plan: BoardPlan, areaMm2: number, cost: number): void => {
      if ((looked += 1) > MOST_LOOKED_THROUGH) return;
      const kind = kinds[at];
      if (kind === undefined) {
        if (areaMm2 >= wanted) found.push({ plan, cost });
        return;
      }
      if (areaMm2 + (most - cost) * areaForMoney[at]! < wanted - LEAST_MM2) return;
      const price = priceOf(boards[kind]!),
        count = Math.min(boards[kind]!.count, Math.floor((most - cost) / price));
      for (let some = 0; some <= count; some++)
        add(at + 1, plan.with(kind, some), areaMm2 + some * areas[kind]!, cost + some * price);
    };
    add(0, given, 0, 0);
    return found;
  };
  if (budget < 0) return [];
  // With little money there is little to look through: more is allowed until there are plans enough.
  const least = Math.min(...kinds.map((kind) => priceOf(boards[kind]!)));
  let most = Math.min(budget, Math.max(least, wanted / (areaForMoney[0] ?? 1)));
  let found = plansWithin(most);
  while (most < budget && found.length < MOST_PLANS) {
    most = Math.min(budget, most * MORE_MONEY);
    found = plansWithin(most);
  }
  return found
    .toSorted((a, b) => a.cost - b.cost)
    .slice(0, MOST_PLANS)
    .map(({ plan }) => plan);
}

/** An instance with the boards of a plan. */
export const onPlan = (instance: NestInstance, plan: BoardPlan): NestInstance => ({
  ...instance,
  boards: instance.boards
    .map((board, kind) => ({ ...board, count: plan[kind]! }))
    .filter(({ count, taken }) => count > 0 || taken),
});

/**
 * The kinds of the boards of a plan, those that a nest has already first and in its order, and where its pieces lie on them; what lay on others has
 * no place yet. Boards that cost nothing are those of the nest.
 * @param kinds of the nest's boards
 */
export function planned<Spot extends { readonly board: number }>(
  { boards }: NestInstance,
  plan: BoardPlan,
  kinds: readonly number[],
  spots: readonly (Spot | undefined)[],
): { readonly kinds: readonly number[]; readonly spots: readonly (Spot | undefined)[] } {
  const left = plan.map((count, kind) => (isBought(boards[kind]!) ? count : 0));
  const stays = kinds.map((kind) => {
    if (!isBought(boards[kind]!)) return true;
    left[kind]! -= 1;
    return left[kind]! >= 0;
  });
  const places = stays.map((_, board) => stays.slice(0, board).filter(Boolean).length);
  return {
    kinds: [
      ...kinds.filter((_, board) => stays[board]),
      ...left.flatMap((count, kind) => Array.from({ length: Math.max(0, count) }, () => kind)),
    ],
    spots: spots.map((spot) => (spot && stays[spot.board] ? { ...spot, board: places[spot.board]! } : undefined)),
  };
}
