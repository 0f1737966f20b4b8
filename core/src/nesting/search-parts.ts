import { seededRandom } from '../units/index.ts';
import { cheaperPlans, hasChoiceOfBoards, onPlan } from './board-plans.ts';
import { layoutFaults } from './check-layout.ts';
import { isBetter, scored, type NestScore, type ScoredLayout } from './effective-boards.ts';
import type { NestInstance, NestLayout } from './instance.ts';
import { hasManyTurns, turnedAround, withSquareEdges } from './free-turns.ts';
import { nestPiece, type NestPiece } from './nest-piece.ts';
import { fixedOrderCount, partAreas, searchOrders, usualPitch } from './order-search.ts';
import { OverlapSearch } from './overlap-search.ts';

/** Fill of all boards that placing in an order comes to at the best, and orders tried on boards that might be bought for less. */
const GREEDY_FILL = 0.85,
  ORDERS_A_PLAN = 3;
/** With more pieces an order takes long: then so many choices of boards are tried, in one order each. */
const MANY_PIECES = 400,
  PLANS_OF_MANY = 6;
const sumOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);

/** What a search is given besides the instance. */
export interface SearchOptions {
  /** Same seed and same number of steps: same layout. */
  readonly seed: number;
  /** Height of the slabs that shapes are compared in, in mm; finer is denser and slower. Chosen by the board when left out. */
  readonly pitchMm?: number;
  /** A nest that is known, to be bettered; left aside where it does not hold. */
  readonly start?: NestLayout;
}

/** One step of a search: the best nest so far and how good it is. */
export interface SearchStep {
  /** Steps taken so far, from 1. */
  readonly tried: number;
  readonly layout: NestLayout;
  readonly score: NestScore;
  readonly improved: boolean;
  /** Whether it has not come to the end of its first nest yet: of many pieces some have not had their turn. */
  readonly isGrowing: boolean;
}

/** Moves of pieces in one step: some ten milliseconds. */
const MOVES_A_STEP = 200;
/** Orders tried anew when bettering one nest has come to its end; the last of them is bettered then. */
const ORDERS_ANEW = 5;
/** Steps after which other turns are tried beside those that freely turned pieces have; tables are worked out anew for it. */
const STEPS_A_TURN = 1000;

/**
 * Searches for a nest of single parts without end and yields the best so far after each step, never a worse one. It places pieces in orders that
 * usually do well, then takes the best of these, makes its last board smaller again and again and moves what overlaps; when that
 * comes to nothing for long, another order is bettered. The caller stops it, after a time, a number of steps, or when the builder says so.
 */
export function* searchParts(given: NestInstance, options: SearchOptions): Generator<SearchStep, never> {
  const instance = withSquareEdges(given);
  const pitchMm = options.pitchMm ?? usualPitch(instance);
  const pieces = instance.parts.map((part) => nestPiece(part, instance.clearance, pitchMm));
  const random = seededRandom(options.seed);
  const orders = searchOrders(instance, pieces, pitchMm, random);
  let best: ScoredLayout | undefined,
    tried = 0,
    isGrowing = true;
  const step = (found: ScoredLayout | undefined): SearchStep => {
    const improved = found !== undefined && (!best || isBetter(found.score, best.score));
    if (improved) best = found;
    tried += 1;
    return { tried, ...best!, improved, isGrowing };
  };
  const areas = partAreas(instance, pieces);
  if (options.start && layoutFaults(instance, options.start).length === 0) {
    isGrowing = false;
    yield step(scored(instance, options.start, areas));
  }
  const fixed = fixedOrderCount(instance);
  for (let whole = 0; whole < fixed;) {
    const found = orders.next().value;
    if (found.isWhole) {
      whole += 1;
      isGrowing = false;
    }
    yield step(found);
  }
  const area = sumOf(instance.parts.map(({ id, quantity }) => quantity * areas.get(id)!));
  for (const found of nestedForLess(instance, pieces, pitchMm, area, best!.score)) yield step(found);
  const isAround = hasManyTurns(instance);
  let overlaps: OverlapSearch | undefined;
  const better = (start: ScoredLayout): OverlapSearch => {
    const known = isAround ? undefined : overlaps,
      around = isAround ? turnedAround(instance, start.layout, random) : instance;
    const search = known ?? new OverlapSearch(around, pitchMm, areas, random);
    search.begin(start);
    return search;
  };
  overlaps = better(best!);
  for (let steps = 1; ; steps++) {
    yield step(overlaps.step(MOVES_A_STEP));
    if (!overlaps.isStale) {
      if (isAround && steps % STEPS_A_TURN === 0) overlaps = better(overlaps.reached!);
      continue;
    }
    let start: ScoredLayout | undefined;
    for (let whole = 0; whole < ORDERS_ANEW || !start;) {
      const found = orders.next().value;
      yield step(found);
      if (!found.isWhole) continue;
      whole += 1;
      start = found;
    }
    overlaps = better(start);
  }
}

/** Nests on boards that cost less than a nest does, a few orders each, until one places as much. */
function* nestedForLess(
  instance: NestInstance,
  pieces: readonly NestPiece[],
  pitchMm: number,
  areaMm2: number,
  { cost, unplacedMm2 }: NestScore,
): Generator<ScoredLayout> {
  if (!hasChoiceOfBoards(instance)) return;
  const isLarge = sumOf(instance.parts.map(({ quantity }) => quantity)) > MANY_PIECES,
    plans = cheaperPlans(instance, areaMm2 - unplacedMm2, GREEDY_FILL, cost);
  for (const plan of isLarge ? plans.slice(0, PLANS_OF_MANY) : plans) {
    const orders = searchOrders(onPlan(instance, plan), pieces, pitchMm, seededRandom(1));
    for (let whole = 0; whole < (isLarge ? 1 : ORDERS_A_PLAN);) {
      const found = orders.next().value;
      yield found;
      if (!found.isWhole) continue;
      whole += 1;
      if (found.score.unplacedMm2 <= unplacedMm2) return;
    }
  }
}
