import type { RandomSource } from '../units/index.ts';
import { isBetter, scored, type NestScore, type ScoredLayout } from './effective-boards.ts';
import { boardKinds, greedyNest } from './greedy-nest.ts';
import type { NestInstance } from './instance.ts';
import { nestPiece, type NestPiece } from './nest-piece.ts';

/** A nest of one order, or of its beginning where the pieces are many. */
export interface OrderStep extends ScoredLayout {
  readonly isWhole: boolean;
}
interface Trial extends OrderStep {
  readonly order: readonly NestPiece[];
  readonly lean: number;
}

const RULES = [0.02, 0.25, 0.6] as const;
/** Orders that usually do well. */
const FIRST_ORDERS = 9;
/** Pieces of a set that is tried in every order there is: 120 at most. */
const FEW_PIECES = 5;

/** Area of each part in mm², by its id. */
export const partAreas = (instance: NestInstance, pieces: readonly NestPiece[]): ReadonlyMap<string, number> =>
  new Map(instance.parts.map(({ id }, index) => [id, pieces[index]!.areaMm2]));

/** The slab height that suits an instance's boards, in mm. */
export const usualPitch = (instance: NestInstance): number =>
  Math.max(1, Math.min(3, Math.max(...instance.boards.map((board) => board.height)) / 400));

/**
 * Nests found by placing pieces one after the other, in orders that differ: first those that usually do well, then small changes of
 * the best; few pieces in every order between. Without end; each is as it came, not the best so far, and of many pieces it is told as it grows.
 */
export function* searchOrders(
  instance: NestInstance,
  pieces: readonly NestPiece[],
  pitchMm: number,
  random: RandomSource,
): Generator<OrderStep, never> {
  const kinds = boardKinds(instance, pitchMm);
  const all = pieces.flatMap((piece) => Array.from({ length: piece.part.quantity }, () => piece));
  const areas = partAreas(instance, pieces);
  const attempt = function* (order: readonly NestPiece[], lean: number): Generator<Trial, Trial> {
    const growing = greedyNest(order, kinds, { lean });
    for (;;) {
      const { value, done } = growing.next();
      const trial = { order, lean, isWhole: done === true, ...scored(instance, value, areas) };
      if (done) return trial;
      yield trial;
    }
  };
  const firsts = fixedOrders(all);
  let best: NestScore | undefined, bestTrial: Trial | undefined, current: Trial | undefined;
  for (let tried = 1; ; tried++) {
    const first = firsts[tried - 1];
    const trial = yield* first ? attempt(first.order, first.lean) : attempt(...neighbour(current!, random));
    if (!best || isBetter(trial.score, best)) {
      best = trial.score;
      bestTrial = trial;
    }
    if (!current || !isBetter(current.score, trial.score) || random() < 0.02) current = trial;
    if (tried % 60 === 0) current = bestTrial;
    yield trial;
  }
}

/** How many orders an instance is nested in before any by chance. */
export const fixedOrderCount = ({ parts }: NestInstance): number => {
  const all = parts.flatMap((part) => Array.from({ length: Math.min(part.quantity, FEW_PIECES + 1) }, () => part.id));
  return FIRST_ORDERS + (all.length > FEW_PIECES ? 0 : everyOrder(all).length);
};

/** The orders that usually do well, and where pieces are few all others too. */
const fixedOrders = (all: readonly NestPiece[]): ReturnType<typeof firstOrders> => [
  ...firstOrders(all),
  ...(all.length > FEW_PIECES ? [] : everyOrder(all).map((order) => ({ order, lean: RULES[0] }))),
];

/** Every order of a few things; what is alike changes places with itself to no effect, and is left out. */
function everyOrder<Thing>(things: readonly Thing[]): readonly (readonly Thing[])[] {
  if (things.length < 2) return [things];
  return [...new Set(things)].flatMap((first) =>
    everyOrder(things.toSpliced(things.indexOf(first), 1)).map((rest) => [first, ...rest]),
  );
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

/** The best nest of so many orders: quick, for what is nested in passing. */
export function bestOfOrders(
  instance: NestInstance,
  options: { readonly steps: number; readonly pitchMm?: number },
  random: RandomSource,
): ScoredLayout {
  const pitchMm = options.pitchMm ?? usualPitch(instance);
  const pieces = instance.parts.map((part) => nestPiece(part, instance.clearance, pitchMm));
  const search = searchOrders(instance, pieces, pitchMm, random);
  let best: ScoredLayout | undefined;
  for (let orders = 0; orders < options.steps || !best;) {
    const next = search.next().value;
    if (!next.isWhole) continue;
    orders += 1;
    if (!best || isBetter(next.score, best.score)) best = next;
  }
  return best;
}
