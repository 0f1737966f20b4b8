import { seededRandom, type RandomSource } from '../units/index.ts';
import { boardKinds, greedyNest, type GreedyResult } from './greedy-nest.ts';
import type { NestInstance, NestLayout } from './instance.ts';
import { nestPiece, type NestPiece } from './nest-piece.ts';

/** What a search is given besides the instance. */
export interface SearchOptions {
  /** Same seed and same number of steps: same layout. */
  readonly seed: number;
  /** Height of the slabs that shapes are compared in, in mm; finer is denser and slower. 0 chooses by the board. */
  readonly pitchMm?: number;
}

/** One step of a search: the best nest so far and how good it is. */
export interface SearchStep {
  /** Nests tried so far, from 1. */
  readonly tried: number;
  readonly layout: NestLayout;
  /** Boards used, the last one counted by how far it is filled. Less is better. */
  readonly effectiveBoards: number;
  readonly improved: boolean;
}

/** How an order of pieces is judged: everything placed, then cost, then boards, then room left on the last. */
interface Score {
  readonly unplacedMm2: number;
  readonly cost: number;
  readonly effectiveBoards: number;
}
const isBetter = (a: Score, b: Score): boolean =>
  a.unplacedMm2 !== b.unplacedMm2
    ? a.unplacedMm2 < b.unplacedMm2
    : a.cost !== b.cost
      ? a.cost < b.cost
      : a.effectiveBoards < b.effectiveBoards - 1e-9;

interface Trial {
  readonly order: readonly NestPiece[];
  readonly lean: number;
  readonly score: Score;
  readonly layout: NestLayout;
}

const RULES = [0.02, 0.25, 0.6] as const;

/**
 * Searches for a nest without end: each step tries one more order of pieces and yields the best so far, never a worse one.
 * The caller stops it, after a time, a number of steps, or when the builder says so.
 */
export function* searchNest(instance: NestInstance, options: SearchOptions): Generator<SearchStep, never> {
  const pitchMm =
    options.pitchMm || Math.max(1, Math.min(3, Math.max(...instance.boards.map((board) => board.height)) / 400));
  const kinds = boardKinds(instance, pitchMm);
  const pieces = instance.parts.map((part) => nestPiece(part, instance.clearance, pitchMm));
  const all = pieces.flatMap((piece) => Array.from({ length: piece.part.quantity }, () => piece));
  const random = seededRandom(options.seed);
  const attempt = (order: readonly NestPiece[], lean: number): Trial => {
    const result = greedyNest(order, kinds, { lean });
    return { order, lean, layout: result.layout, score: scoreOf(result, pieces) };
  };
  let best: Trial | undefined, current: Trial | undefined;
  const firsts = firstOrders(all);
  for (let tried = 1; ; tried++) {
    const first = firsts[tried - 1];
    const trial = first ? attempt(first.order, first.lean) : attempt(...neighbour(current ?? best!, random));
    const improved: boolean = !best || isBetter(trial.score, best.score);
    if (improved) best = trial;
    if (!current || !isBetter(current.score, trial.score) || random() < 0.02) current = trial;
    if (tried % 60 === 0) current = best;
    yield { tried, layout: best!.layout, effectiveBoards: best!.score.effectiveBoards, improved };
  }
}

/** The orders that usually do well: by area, by length and by both, each with every rule of placing. */
function firstOrders(
  all: readonly NestPiece[],
): readonly { readonly order: readonly NestPiece[]; readonly lean: number }[] {
  const keys: readonly ((piece: NestPiece) => number)[] = [
    (p) => p.areaMm2,
    (p) => p.longestMm,
    (p) => p.areaMm2 * p.longestMm,
  ];
  return RULES.flatMap((lean) =>
    keys.map((key) => ({ order: [...all].sort((a, b) => key(b) - key(a) || (a.part.id < b.part.id ? -1 : 1)), lean })),
  );
}

/** A small change of an order: a piece moved, or two swapped, mostly near each other; seldom another rule. */
function neighbour(trial: Trial, random: RandomSource): [readonly NestPiece[], number] {
  const order = [...trial.order];
  const changes = 1 + Math.floor(random() * 3);
  for (let change = 0; change < changes; change++) {
    const from = Math.floor(random() * order.length);
    const reach = random() < 0.5 ? 4 : order.length;
    const to = Math.min(order.length - 1, Math.max(0, from + Math.round((random() - 0.5) * 2 * reach)));
    if (random() < 0.5) order.splice(to, 0, ...order.splice(from, 1));
    else [order[from], order[to]] = [order[to]!, order[from]!];
  }
  return [order, random() < 0.1 ? RULES[Math.floor(random() * RULES.length)]! : trial.lean];
}

function scoreOf(result: GreedyResult, pieces: readonly NestPiece[]): Score {
  const unplacedMm2 = result.layout.unplaced.reduce(
    (sum, { partId, quantity }) => sum + quantity * pieces.find((piece) => piece.part.id === partId)!.areaMm2,
    0,
  );
  const used = result.layout.boards.length;
  return {
    unplacedMm2,
    cost: result.cost,
    effectiveBoards: used === 0 ? 0 : used - 1 + result.lastRightMm / result.lastWidthMm,
  };
}

/** Runs a search for a number of steps and returns its best nest. */
export function nest(instance: NestInstance, options: SearchOptions & { readonly steps: number }): SearchStep {
  const search = searchNest(instance, options);
  let step = search.next().value;
  while (step.tried < options.steps) step = search.next().value;
  return step;
}
