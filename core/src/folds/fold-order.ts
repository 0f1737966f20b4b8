import { drawnId } from '../part/index.ts';
import type { FoldTree } from './fold-tree.ts';
import { fold, type HingeState } from './fold.ts';
import { bentBodies } from './bent-bodies.ts';
import { clashesOf } from './interference.ts';
import type { PlateSolid } from './plate-solid.ts';

/** One fold in its turn, and why it stands there. */
export interface OrderedFold {
  readonly operationId: string;
  readonly reason: string;
  /** Whether a plate is in its way in this order. */ readonly isBlocked: boolean;
}

/** Shares of a turn at which a plate is looked for in its way. */
const STEPS = [0.5, 1];
/** Foam that is in the way by less than this gives way. */
const GIVES_WAY_MM = 0.1;
/** Trying every fold in every place pays up to so many; beyond, the folds furthest out come first. */
const MOST_TRIED = 12;

/**
 * An order in which a part can be folded: the one that the builder keeps, or those furthest out first, unless a plate would be in the
 * way.
 * @param nameOf what a fold is called in the reasons
 * @param kept ids of folds as drawn; folds that it leaves out follow
 */
export function foldOrder(
  solids: readonly PlateSolid[],
  tree: FoldTree,
  nameOf: (operationId: string) => string,
  kept?: readonly string[],
): readonly OrderedFold[] {
  return kept && kept.length > 0 ? keptOrder(solids, tree, nameOf, kept) : orderAnew(solids, tree, nameOf);
}

/** The kept order, each fold tried in its place. */
function keptOrder(
  solids: readonly PlateSolid[],
  tree: FoldTree,
  nameOf: (operationId: string) => string,
  kept: readonly string[],
): readonly OrderedFold[] {
  const own = orderAnew(solids, tree, nameOf).map(({ operationId }) => operationId);
  const named = kept.flatMap((drawn) => own.filter((id) => drawnId(id) === drawn));
  const order = [...named, ...own.filter((id) => !named.includes(id))];
  const isTried = order.length <= MOST_TRIED;
  return order.map((operationId, index) => {
    const blocker = isTried ? blockedBy(solids, tree, new Set(order.slice(0, index)), operationId) : undefined;
    return {
      operationId,
      isBlocked: blocker !== undefined,
      reason:
        blocker !== undefined
          ? `here it is blocked by ${plateWords(blocker)}`
          : named.includes(operationId)
            ? 'as you keep it'
            : 'not in your order: last',
    };
  });
}

function orderAnew(
  solids: readonly PlateSolid[],
  tree: FoldTree,
  nameOf: (operationId: string) => string,
): readonly OrderedFold[] {
  const depth = new Map<number, number>([[tree.root, 0]]);
  for (const { parent, child } of tree.turns) depth.set(child, depth.get(parent)! + 1);
  const furthest = new Map<string, number>();
  for (const { hinge, child } of tree.turns)
    if (hinge.turnDegrees !== 0)
      furthest.set(hinge.operationId, Math.max(furthest.get(hinge.operationId) ?? 0, depth.get(child)!));
  const left = [...furthest].sort((a, b) => b[1] - a[1]).map(([operationId]) => operationId);
  if (left.length === 1) return [{ operationId: left[0]!, isBlocked: false, reason: 'the only fold' }];
  if (left.length > MOST_TRIED)
    return left.map((operationId) => ({ operationId, isBlocked: false, reason: 'further out before nearer in' }));
  const done = new Set<string>(),
    order: OrderedFold[] = [];
  while (left.length > 0) {
    const blocked: string[] = [];
    const next = left.find((operationId) => {
      const isFree = blockedBy(solids, tree, done, operationId) === undefined;
      if (!isFree) blocked.push(operationId);
      return isFree;
    });
    const chosen = next ?? left[0]!;
    const reason =
      next === undefined
        ? `in every order it is blocked by ${plateWords(blockedBy(solids, tree, done, chosen))}`
        : blocked.length > 0
          ? `before ${blocked.map(nameOf).join(' and ')}, which would block it`
          : order.length === 0
            ? 'nothing is in its way'
            : `after ${order.length === 1 ? 'the first' : `the first ${order.length}`}`;
    order.push({ operationId: chosen, reason, isBlocked: next === undefined });
    done.add(chosen);
    left.splice(left.indexOf(chosen), 1);
  }
  return order;
}

const plateWords = (plate: number | undefined): string => (plate === undefined ? 'a plate' : `plate ${plate + 1}`);

/** The plate that stands still in the way of those that one fold moves; none when its way is free. */
function blockedBy(
  solids: readonly PlateSolid[],
  tree: FoldTree,
  done: ReadonlySet<string>,
  moving: string,
): number | undefined {
  // A plate that bends gives way while it is folded.
  const bodyOf = bentBodies(tree),
    givesWay = bodyOf.map((body, index) => bodyOf.some((other, at) => other === body && at !== index));
  const carried = new Set<number>();
  for (const { hinge, parent, child } of tree.turns)
    if (hinge.operationId === moving || carried.has(parent)) carried.add(child);
  for (const share of STEPS) {
    const clash = clashesOf(
      solids,
      tree,
      fold(tree, stateWith(done, moving, share)),
      (a, b) => carried.has(a) !== carried.has(b) && !givesWay[a] && !givesWay[b],
    ).find(({ depthMm }) => depthMm > GIVES_WAY_MM);
    if (clash) return clash.plates.find((plate) => !carried.has(plate));
  }
  return undefined;
}

/** Folds done are folded, one is on its way, the others lie flat. */
const stateWith =
  (done: ReadonlySet<string>, moving: string, share: number): HingeState =>
  ({ operationId, turnDegrees }) =>
    operationId === moving ? turnDegrees * share : done.has(operationId) ? turnDegrees : 0;
