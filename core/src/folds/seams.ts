import { applyRigid, cross3, distance3, distanceToRun, distanceToRun3, dot, interpolate3, invertRigid, leftOf, length3, subtract, subtract3, times, unitVector, type Point, type Point3 } from '../geometry/index.ts';
import { curveOf, drawnId, isMirrorId, pathsOf, type Part, type PartCommand, type Seam } from '../drawing/index.ts';
import { degrees } from '../units/index.ts';
import { placedPoint, type FoldedPlates } from './fold.ts';
import type { PlateSolid } from './plate-solid.ts';

/** One free edge of a plate, where it lies in space: its two lines, on the far skin and on the face. */
export interface SeamEdge {
  readonly plate: number;
  readonly segmentId: string;
  /** On the flat part. */
  readonly from: Point;
  readonly to: Point;
  readonly lines: readonly (readonly [Point3, Point3])[];
}

/** How two edges that are meant to meet lie to each other. Lengths in mm. */
export interface SeamState {
  readonly seam: Pick<Seam, 'fromSegmentId' | 'toSegmentId'> & { readonly id?: string };
  readonly edges: readonly [SeamEdge, SeamEdge];
  /** The lines that meet nearest. */
  readonly lines: readonly [readonly [Point3, Point3], readonly [Point3, Point3]];
  /** Greatest distance along the shorter edge. */
  readonly gapMm: number;
  /** Angle between the two edges. */
  readonly angleDegrees: number;
  readonly state: 'closed' | 'open';
}

/** Seams no wider than this are closed: a film of glue fills them. */
export const CLOSED_MM = 0.3;
const ON_EDGE_MM = 0.01;
const SHORTEST_EDGE_MM = 2;
const SAMPLES = [0, 0.25, 0.5, 0.75, 1];

/** The free straight edges of folded plates: sides that are cut or bevelled and lie on a straight edge of the drawing. */
export function seamEdges(part: Part, solids: readonly PlateSolid[], maps: FoldedPlates): readonly SeamEdge[] {
  const runs = pathsOf(part).filter((path) => 'role' in path).flatMap((path) => path.segments.flatMap((segment, index) => (segment.kind === 'line' ? [{ segmentId: segment.id, curve: curveOf(path, index) }] : [])));
  return solids.filter(({ plate }) => plate.kind === 'board').flatMap(({ plate, bottom, top, sides, thicknessMm }) => sides.flatMap((side, index): readonly SeamEdge[] => {
    if (side !== 'cut' && side !== 'bevel') return [];
    const next = (index + 1) % plate.outer.length, from = plate.outer[index]!, to = plate.outer[next]!;
    if (Math.hypot(to.x - from.x, to.y - from.y) < SHORTEST_EDGE_MM) return [];
    const run = runs.find(({ curve }) => distanceToRun(from, curve.from, curve.to) < ON_EDGE_MM && distanceToRun(to, curve.from, curve.to) < ON_EDGE_MM);
    if (!run) return [];
    const map = maps[plate.index]!;
    const line = (ring: readonly Point[], zMm: number): readonly [Point3, Point3] => [placedPoint(map, ring[index]!, zMm), placedPoint(map, ring[next]!, zMm)];
    return [{ plate: plate.index, segmentId: run.segmentId, from, to, lines: [line(bottom, 0), line(top, thicknessMm)] }];
  }));
}

/** How two edges lie to each other: by those of their lines that meet nearest, a skin on a skin or an end on a face. */
export function measureSeam(a: SeamEdge, b: SeamEdge): Pick<SeamState, 'lines' | 'gapMm' | 'angleDegrees'> {
  const pairs = a.lines.flatMap((m) => b.lines.map((n) => ({ lines: [m, n] as const, gapMm: gapBetween(m, n) })));
  const best = pairs.reduce((x, y) => (y.gapMm < x.gapMm - 1e-9 ? y : x));
  return { ...best, angleDegrees: angleOf(best.lines[0], best.lines[1]) };
}

function gapBetween(m: readonly [Point3, Point3], n: readonly [Point3, Point3]): number {
  const [short, long] = distance3(...m) <= distance3(...n) ? [m, n] : [n, m];
  return Math.max(...SAMPLES.map((t) => distanceToRun3(interpolate3(short[0], short[1], t), long[0], long[1])));
}
function angleOf(m: readonly [Point3, Point3], n: readonly [Point3, Point3]): number {
  const u = subtract3(m[1], m[0]), v = subtract3(n[1], n[0]);
  const sine = length3(cross3(u, v)) / (length3(u) * length3(v));
  return degrees(Math.asin(Math.min(1, sine)));
}

/** Edges that nearly meet when the part is folded, though no seam says that they should: nearest first, each edge once. */
export function nearSeams(edges: readonly SeamEdge[], reachMm: number): readonly SeamState[] {
  const found: SeamState[] = [];
  edges.forEach((a, index) => edges.slice(index + 1).forEach((b) => {
    if (a.plate === b.plate || a.segmentId === b.segmentId || isMirrorId(a.segmentId) && isMirrorId(b.segmentId)) return;
    const [m, n] = [distance3(...a.lines[0]!), distance3(...b.lines[0]!)];
    if (Math.min(m, n) < 0.6 * Math.max(m, n) || distance3(interpolate3(...a.lines[0]!, 0.5), interpolate3(...b.lines[0]!, 0.5)) > reachMm + Math.abs(m - n) / 2 + 2 * distance3(a.lines[0]![0], a.lines[1]![0])) return;
    const state = stateOf({ fromSegmentId: a.segmentId, toSegmentId: b.segmentId }, a, b);
    if (state.gapMm <= reachMm && state.angleDegrees < 10) found.push(state);
  }));
  const used = new Set<SeamEdge>();
  return found.sort((a, b) => a.gapMm - b.gapMm).filter(({ edges: [a, b] }) => {
    if (used.has(a) || used.has(b)) return false;
    used.add(a).add(b);
    return true;
  });
}

function stateOf(seam: SeamState['seam'], a: SeamEdge, b: SeamEdge): SeamState {
  const measured = measureSeam(a, b);
  return { seam, edges: [a, b], ...measured, state: measured.gapMm <= CLOSED_MM ? 'closed' : 'open' };
}

/** The seams that a part declares, as they lie; of an edge that folds part, the pieces that lie nearest to each other. */
export function declaredSeams(part: Part, edges: readonly SeamEdge[]): readonly SeamState[] {
  return (part.seams ?? []).flatMap((seam): readonly SeamState[] => {
    const of = (segmentId: string): readonly SeamEdge[] => edges.filter((edge) => edge.segmentId === segmentId || edge.segmentId.replace(/~f.*$/, '') === segmentId);
    const states = of(seam.fromSegmentId).flatMap((a) => of(seam.toSegmentId).filter((b) => b.plate !== a.plate).map((b) => stateOf(seam, a, b)));
    return states.length === 0 ? [] : [states.reduce((a, b) => (b.gapMm < a.gapMm ? b : a))];
  });
}

/**
 * The edit that closes a seam: of its two edges the one that can reach the other within its own plate is moved, straight across itself.
 * @returns undefined when neither can, or the seam is closed to a hundredth
 */
export function closingCommand(state: SeamState, maps: FoldedPlates): PartCommand | undefined {
  if (state.gapMm < 0.01) return undefined;
  const steps = state.edges.map((edge, index) => stepTo(edge, state.lines[index]!, state.lines[1 - index]!, maps));
  const best = steps.filter((step) => step !== undefined).sort((a, b) => a.offPlaneMm - b.offPlaneMm)[0];
  if (!best || best.offPlaneMm > Math.max(0.2, 0.5 * best.acrossMm)) return undefined;
  return { name: 'moveEdge', args: { segmentId: drawnId(best.edge.segmentId), acrossMm: best.acrossMm * best.sign } };
}

/** How far an edge must go, straight across itself in its own plate, to lie on a line in space; and how far off its plate the line is. */
function stepTo(edge: SeamEdge, own: readonly [Point3, Point3], line: readonly [Point3, Point3], maps: FoldedPlates): { readonly edge: SeamEdge; readonly acrossMm: number; readonly sign: 1 | -1; readonly offPlaneMm: number } | undefined {
  const back = invertRigid(maps[edge.plate]!);
  const middle = interpolate3(own[0], own[1], 0.5);
  const along = subtract3(line[1], line[0]), squared = length3(along) ** 2;
  if (squared === 0) return undefined;
  const t = Math.min(1, Math.max(0, (subtract3(middle, line[0]).x * along.x + subtract3(middle, line[0]).y * along.y + subtract3(middle, line[0]).z * along.z) / squared));
  const [here, there] = [applyRigid(back, middle), applyRigid(back, interpolate3(line[0], line[1], t))];
  const across = leftOf(unitVector(edge.from, edge.to));
  const step = dot(subtract(there, here), across);
  const isMirrored = isMirrorId(edge.segmentId);
  return { edge, acrossMm: Math.abs(step), sign: (step > 0) !== isMirrored ? 1 : -1, offPlaneMm: Math.hypot(there.z - here.z, length2(subtract(subtract(there, here), times(across, step)))) };
}
const length2 = (p: Point): number => Math.hypot(p.x, p.y);
