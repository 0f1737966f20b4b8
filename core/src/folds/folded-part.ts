import { expandPart, resolve, traitsOf, type Part, type PartCommand, type ResolveContext, type ResolvedPart } from '../drawing/index.ts';
import { distance3 } from '../geometry/index.ts';
import { fold, foldedBy, placedPoint, type FoldedPlates } from './fold.ts';
import { foldOrder } from './fold-order.ts';
import { foldTree, type FoldTree } from './fold-tree.ts';
import { firstClash, type Clash } from './interference.ts';
import { solidsOf, type PlateSolid } from './plate-solid.ts';
import { platesOf, type Hinge } from './plates.ts';
import { CLOSED_MM, closingCommand, declaredSeams, nearSeams, seamEdges, type SeamState } from './seams.ts';

/** A part as it folds: its plates as solids, its tree, its seams. */
export interface FoldedPart {
  readonly resolved: ResolvedPart;
  readonly tree: FoldTree;
  readonly solids: readonly PlateSolid[];
  /** Where the plates lie when everything is folded. */
  readonly maps: FoldedPlates;
  readonly seams: readonly SeamState[];
  /** Edges that nearly meet without being declared a seam. */
  readonly near: readonly SeamState[];
  /** Folds that close a ring of plates and do not come together by themselves. */
  readonly tornRings: readonly Hinge[];
}

/** Edges nearer than this many board thicknesses are offered as seams. */
const NEAR_IN_THICKNESSES = 0.8;
const remembered = new WeakMap<ResolvedPart, FoldedPart>();

/** A part folded, or undefined when nothing of it folds. Remembered by the part as it is resolved. */
export function foldPart(part: Part, context: ResolveContext): FoldedPart | undefined {
  const resolved = resolve(part, context);
  const known = remembered.get(resolved);
  if (known) return known;
  const flat = platesOf(resolved), tree = foldTree(flat);
  if (tree.turns.length === 0) return undefined;
  const solids = solidsOf(resolved, flat), maps = fold(tree, foldedBy(1));
  const whole = expandPart(part, context);
  const edges = seamEdges(whole, solids, maps);
  const seams = declaredSeams(whole, edges);
  const taken = new Set(seams.flatMap(({ edges: [a, b] }) => [a, b]));
  const near = nearSeams(edges.filter((edge) => !taken.has(edge)), Math.max(3, NEAR_IN_THICKNESSES * resolved.thicknessMm));
  const folded: FoldedPart = { resolved, tree, solids, maps, seams, near, tornRings: tree.rings.filter((hinge) => isTorn(hinge, maps)) };
  remembered.set(resolved, folded);
  return folded;
}

/** Whether both plates of a fold carry its line to different places: a fold on which they agree closes a ring without harm. */
const isTorn = ({ from, to, zMm, left, right }: Hinge, maps: FoldedPlates): boolean => [from, to].some((p) => distance3(placedPoint(maps[left]!, p, zMm), placedPoint(maps[right]!, p, zMm)) > CLOSED_MM);

/** Seams of a part in numbers. */
export interface SeamFigures { readonly closed: number; readonly open: number; readonly worstMm: number }
export const seamFigures = (folded: FoldedPart): SeamFigures => ({
  closed: folded.seams.filter(({ state }) => state === 'closed').length, open: folded.seams.filter(({ state }) => state === 'open').length, worstMm: Math.max(0, ...folded.seams.map(({ gapMm }) => gapMm)),
});

/** The edit that closes one of a part's seams, or undefined when no edge can. */
export const closeSeam = (folded: FoldedPart, seam: SeamState): PartCommand | undefined => closingCommand(seam, folded.maps);

const orders = new WeakMap<ResolvedPart, readonly string[]>();
/** The folds of a resolved part in the order to fold them, each by its word and label; none when nothing folds. Remembered by the part. */
export function foldsInOrder(resolved: ResolvedPart): readonly string[] {
  const known = orders.get(resolved);
  if (known) return known;
  const nameOf = (operationId: string): string => { const stroke = resolved.strokes.find((one) => one.operationId === operationId); return stroke ? stroke.label || traitsOf(stroke.kind).word : 'fold'; };
  const flat = platesOf(resolved), tree = foldTree(flat);
  const names = tree.turns.length === 0 ? [] : inRuns(foldOrder(solidsOf(resolved, flat), tree, nameOf).map(({ operationId }) => nameOf(operationId)));
  orders.set(resolved, names);
  return names;
}

/** Neighbours of one name told once, with how many they are. */
function inRuns(names: readonly string[]): readonly string[] {
  const runs = names.reduce<{ readonly name: string; readonly count: number }[]>((list, name) => (list.at(-1)?.name === name ? [...list.slice(0, -1), { name, count: list.at(-1)!.count + 1 }] : [...list, { name, count: 1 }]), []);
  return runs.map(({ name, count }) => (count > 1 ? `${name} × ${count}` : name));
}

const clashes = new WeakMap<FoldedPart, { readonly clash: ReturnType<typeof firstClash> }>();
/** The first clash on a part's way to folded. Remembered by the part. */
export function clashOf(folded: FoldedPart): (Clash & { readonly share: number }) | undefined {
  const known = clashes.get(folded) ?? { clash: firstClash(folded.solids, folded.tree) };
  clashes.set(folded, known);
  return known.clash;
}
