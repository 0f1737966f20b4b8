import { distance3 } from '../geometry/index.ts';
import { traitsOf } from '../operations/index.ts';
import type { Part } from '../part/index.ts';
import { expandPart, resolve, type ResolveContext, type ResolvedPart } from '../resolve/index.ts';
import { memo } from '../units/index.ts';
import { foldOrder, type OrderedFold } from './fold-order.ts';
import { foldTree, type FoldTree } from './fold-tree.ts';
import { fold, foldedBy, placedPoint, type FoldedPlates } from './fold.ts';
import { firstClash, type Clash } from './interference.ts';
import { solidsOf, type PlateSolid } from './plate-solid.ts';
import { platesOf, type Hinge } from './plates.ts';
import { edgesNamed, placedEdge, seamEdges, type SeamEdge } from './seam-edges.ts';
import { CLOSED_MM, declaredSeams, nearSeams, type SeamState } from './seams.ts';

/** A part as it folds: its plates as solids, its tree, its seams. */
export interface FoldedPart {
  readonly resolved: ResolvedPart;
  readonly tree: FoldTree;
  readonly solids: readonly PlateSolid[];
  /** Where the plates lie when everything is folded. */
  readonly maps: FoldedPlates;
  /** Free straight edges of its plates, on the flat part. */
  readonly edges: readonly SeamEdge[];
  /** Seams within the part. */
  readonly seams: readonly SeamState[];
  /** Edges that nearly meet without being declared a seam. */
  readonly near: readonly SeamState[];
  /** Folds that close a ring of plates and do not come together by themselves. */
  readonly tornRings: readonly Hinge[];
}

/** Edges nearer than this many board thicknesses are offered as seams. */
const NEAR_IN_THICKNESSES = 0.8;

/**
 * A part folded; one that has no folds is a single plate. Remembered by the part as it is resolved.
 * @returns undefined while the part has no closed outline
 */
export function plateBody(part: Part, context: ResolveContext): FoldedPart | undefined {
  return bodyOf(resolve(part, context), expandPart(part, context));
}

/** The resolved part is made of the whole one, so it stands for both. */
const bodyOf = memo((resolved: ResolvedPart, whole: Part): FoldedPart | undefined => {
  const flat = platesOf(resolved),
    tree = foldTree(flat);
  if (flat.plates.length === 0) return undefined;
  const solids = solidsOf(resolved, flat),
    maps = fold(tree, foldedBy(1));
  const edges = seamEdges(whole, solids),
    placed = edges.map((edge) => placedEdge(edge, maps[edge.solid.plate.index]!));
  const seams = declaredSeams(whole, (segmentId) =>
    edgesNamed(whole, { edges, solids }, segmentId).map((edge) => placedEdge(edge, maps[edge.solid.plate.index]!)),
  );
  const taken = new Set(seams.flatMap(({ edges: [a, b] }) => [a.edge, b.edge]));
  const near = nearSeams(
    placed.filter(({ edge }) => !taken.has(edge)),
    Math.max(3, NEAR_IN_THICKNESSES * resolved.thicknessMm),
  );
  return {
    resolved,
    tree,
    solids,
    maps,
    edges,
    seams,
    near,
    tornRings: tree.rings.filter((hinge) => isTorn(hinge, maps)),
  };
});

/** Whether both plates of a fold carry its line to different places: a fold on which they agree closes a ring without harm. */
const isTorn = ({ from, to, zMm, neutralMm = zMm, left, right }: Hinge, maps: FoldedPlates): boolean =>
  [from, to].some(
    (p) => distance3(placedPoint(maps[left]!, p, neutralMm), placedPoint(maps[right]!, p, neutralMm)) > CLOSED_MM,
  );

/** Seams in numbers. */
export interface SeamFigures {
  readonly closed: number;
  readonly open: number;
  readonly pressed: number;
  readonly worstMm: number;
}
export const seamFigures = (seams: readonly SeamState[]): SeamFigures => {
  const count = (state: SeamState['state']): number => seams.filter((seam) => seam.state === state).length;
  return {
    closed: count('closed'),
    open: count('open'),
    pressed: count('pressed'),
    worstMm: Math.max(0, ...seams.map(({ gapMm }) => gapMm)),
  };
};

/** The folds of a resolved part in the order to fold them, each with its reason; none when nothing folds. Remembered by the part. */
export const foldsInOrder = memo((resolved: ResolvedPart): readonly OrderedFold[] => {
  const flat = platesOf(resolved),
    tree = foldTree(flat);
  return tree.turns.length === 0
    ? []
    : foldOrder(solidsOf(resolved, flat), tree, (operationId) => strokeName(resolved, operationId), resolved.foldOrder);
});

/** What a fold of a resolved part is called: its label, or its word. */
function strokeName(resolved: ResolvedPart, operationId: string): string {
  const stroke = resolved.strokes.find((one) => one.operationId === operationId);
  return stroke ? stroke.label || traitsOf(stroke.kind).word : 'fold';
}

/** The names of a part's folds in the order to fold them; neighbours of one name are told once. */
export const foldNamesInOrder = (resolved: ResolvedPart): readonly string[] =>
  inRuns(foldsInOrder(resolved).map(({ operationId }) => strokeName(resolved, operationId)));

/** Neighbours of one name told once, with how many they are. */
function inRuns(names: readonly string[]): readonly string[] {
  const runs = names.reduce<{ readonly name: string; readonly count: number }[]>(
    (list, name) =>
      list.at(-1)?.name === name
        ? [...list.slice(0, -1), { name, count: list.at(-1)!.count + 1 }]
        : [...list, { name, count: 1 }],
    [],
  );
  return runs.map(({ name, count }) => (count > 1 ? `${name} × ${count}` : name));
}

/** The first clash on a part's way to folded. Remembered by the part. */
export const clashOf = memo((folded: FoldedPart): (Clash & { readonly share: number }) | undefined =>
  firstClash(folded.solids, folded.tree),
);
