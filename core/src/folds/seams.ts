import {
  cross3,
  distance3,
  distanceToRun3,
  dot3,
  interpolate3,
  length3,
  subtract3,
  type Point3,
} from '../geometry/index.ts';
import { isMirrorId, type Part, type Seam } from '../part/index.ts';
import { degrees } from '../units/index.ts';
import { overlapOf } from './interference.ts';
import type { Line3, PlacedEdge } from './seam-edges.ts';

/** How two edges that are meant to meet lie to each other. Lengths in mm. */
export interface SeamState {
  readonly seam: Pick<Seam, 'fromSegmentId' | 'toSegmentId' | 'toPartId' | 'mayOverhang'> & { readonly id?: string };
  readonly edges: readonly [PlacedEdge, PlacedEdge];
  /** Which of each edge's lines meet nearest: 0 that on the far skin, 1 that on the face. */
  readonly skins: readonly [0 | 1, 0 | 1];
  /** Greatest distance along the shorter edge between the lines that meet nearest. */
  readonly gapMm: number;
  /** How deep the two plates are in each other. */
  readonly overlapMm: number;
  /** Angle between the two edges. */
  readonly angleDegrees: number;
  readonly state: 'closed' | 'open' | 'pressed';
}

/** Seams no wider than this are closed: a film of glue fills them. */
export const CLOSED_MM = 0.3;
/** Plates of a seam that are deeper in each other than this hold it open: more than a board's thickness can be measured to. */
export const PRESSED_MM = 0.1;
const SAMPLES = [0, 0.25, 0.5, 0.75, 1];
const SKINS = [0, 1] as const;

/** How two edges lie to each other: by those of their lines that meet nearest, a skin on a skin or an end on a face. */
export function measureSeam(
  a: PlacedEdge,
  b: PlacedEdge,
  mayOverhang = false,
): Pick<SeamState, 'skins' | 'gapMm' | 'angleDegrees'> {
  const gap = (m: Line3, n: Line3): number =>
    gapBetween(mayOverhang ? besideOf(m, n) : m, mayOverhang ? besideOf(n, m) : n);
  const pairs = SKINS.flatMap((i) =>
    SKINS.map((j) => ({ skins: [i, j] as const, gapMm: gap(a.lines[i], b.lines[j]) })),
  );
  const best = pairs.reduce((x, y) => (y.gapMm < x.gapMm - 1e-9 ? y : x));
  return { ...best, angleDegrees: angleOf(a.lines[best.skins[0]], b.lines[best.skins[1]]) };
}

/** The two lines of a seam that meet nearest. */
export const seamLines = ({ edges, skins }: SeamState): readonly [Line3, Line3] => [
  edges[0].lines[skins[0]],
  edges[1].lines[skins[1]],
];

/** Edges that lie beside each other over less of the shorter one than this do not meet. */
const LEAST_BESIDE = 0.5;

/** What of a line lies beside another one: past its ends there is nothing to meet. */
function besideOf(line: Line3, other: Line3): Line3 {
  const along = subtract3(line[1], line[0]),
    squared = dot3(along, along);
  if (squared === 0) return line;
  const [s, u] = other.map((p) => Math.min(1, Math.max(0, dot3(subtract3(p, line[0]), along) / squared)));
  const [from, to] = s! < u! ? [s!, u!] : [u!, s!];
  const shorter = Math.min(1, distance3(...other) / Math.sqrt(squared));
  return to - from < LEAST_BESIDE * shorter ? line : [interpolate3(...line, from), interpolate3(...line, to)];
}

function gapBetween(m: Line3, n: Line3): number {
  const [short, long] = distance3(...m) <= distance3(...n) ? [m, n] : [n, m];
  return Math.max(...SAMPLES.map((t) => distanceToRun3(interpolate3(short[0], short[1], t), long[0], long[1])));
}
function angleOf(m: Line3, n: Line3): number {
  const u = subtract3(m[1], m[0]),
    v = subtract3(n[1], n[0]);
  const lengths = length3(u) * length3(v);
  // An edge of no length has no direction.
  if (lengths === 0) return 0;
  const sine = length3(cross3(u, v)) / lengths;
  return degrees(Math.asin(Math.min(1, sine)));
}

/** How a seam stands between two edges. */
export function seamState(seam: SeamState['seam'], a: PlacedEdge, b: PlacedEdge): SeamState {
  const measured = measureSeam(a, b, seam.mayOverhang),
    overlapMm = overlapOf({ solid: a.edge.solid, map: a.map }, { solid: b.edge.solid, map: b.map });
  return {
    seam,
    edges: [a, b],
    ...measured,
    overlapMm,
    state: measured.gapMm > CLOSED_MM ? 'open' : overlapMm > PRESSED_MM ? 'pressed' : 'closed',
  };
}

/** Edges that nearly meet when the part is folded, though no seam says that they should: nearest first, each edge once. */
export function nearSeams(edges: readonly PlacedEdge[], reachMm: number): readonly SeamState[] {
  const found: (readonly [PlacedEdge, PlacedEdge, number])[] = [];
  edges.forEach((a, index) =>
    edges.slice(index + 1).forEach((b) => {
      const [own, other] = [a.edge, b.edge];
      if (
        own.solid === other.solid ||
        own.segmentId === other.segmentId ||
        (isMirrorId(own.segmentId) && isMirrorId(other.segmentId))
      )
        return;
      const [m, n] = [distance3(...a.lines[0]), distance3(...b.lines[0])];
      if (
        Math.min(m, n) < 0.6 * Math.max(m, n) ||
        distance3(interpolate3(...a.lines[0], 0.5), interpolate3(...b.lines[0], 0.5)) >
          reachMm + Math.abs(m - n) / 2 + 2 * distance3(a.lines[0][0], a.lines[1][0])
      )
        return;
      const { gapMm, angleDegrees } = measureSeam(a, b);
      if (gapMm <= reachMm && angleDegrees < 10) found.push([a, b, gapMm]);
    }),
  );
  const used = new Set<PlacedEdge>();
  return found
    .sort((a, b) => a[2] - b[2])
    .filter(([a, b]) => {
      if (used.has(a) || used.has(b)) return false;
      used.add(a).add(b);
      return true;
    })
    .map(([a, b]) => seamState({ fromSegmentId: a.edge.segmentId, toSegmentId: b.edge.segmentId }, a, b));
}

/** Pairs of pieces by the piece of the first edge. */
function byFirst(
  pairs: readonly (readonly [PlacedEdge, PlacedEdge])[],
): readonly (readonly (readonly [PlacedEdge, PlacedEdge])[])[] {
  const found = new Map<PlacedEdge, (readonly [PlacedEdge, PlacedEdge])[]>();
  for (const pair of pairs) found.set(pair[0], [...(found.get(pair[0]) ?? []), pair]);
  return [...found.values()];
}

/**
 * How a declared seam lies, by the pieces of its two edges that lie nearest to each other; undefined while either edge is gone.
 * @param pairs the pieces of the first edge with those of the second, as far as they may meet
 * @returns of a curved edge, whose pieces all have to meet, the piece that lies worst
 */
export function nearestState(seam: Seam, pairs: readonly (readonly [PlacedEdge, PlacedEdge])[]): SeamState | undefined {
  if (pairs.some(([a, b]) => a.edge.isCurved && b.edge.isCurved)) return worstState(seam, pairs);
  const nearest = pairs.reduce<{ pair: readonly [PlacedEdge, PlacedEdge]; gapMm: number } | undefined>((best, pair) => {
    const { gapMm } = measureSeam(...pair, seam.mayOverhang);
    return !best || gapMm < best.gapMm ? { pair, gapMm } : best;
  }, undefined);
  return nearest && seamState(seam, ...nearest.pair);
}

/** How the worst lying piece of a curved edge lies to the piece of the other that is nearest to it. */
function worstState(seam: Seam, pairs: readonly (readonly [PlacedEdge, PlacedEdge])[]): SeamState | undefined {
  const middle = ({ lines: [[a, b]] }: PlacedEdge): Point3 => interpolate3(a, b, 0.5);
  const nearest = byFirst(pairs).map((own) =>
    own.reduce((best, pair) =>
      distance3(middle(pair[0]), middle(pair[1])) < distance3(middle(best[0]), middle(best[1])) ? pair : best,
    ),
  );
  const measured = nearest.map((pair) => ({ pair, ...measureSeam(...pair, true) }));
  const worst = measured.reduce((most, one) => (one.gapMm > most.gapMm ? one : most));
  return seamState({ ...seam, mayOverhang: true }, ...worst.pair);
}

/**
 * The seams that a part declares within itself, as they lie.
 * @param edgesOf the pieces of an edge of the part, where its plates lie
 */
export function declaredSeams(part: Part, edgesOf: (segmentId: string) => readonly PlacedEdge[]): readonly SeamState[] {
  return (part.seams ?? [])
    .filter(({ toPartId }) => toPartId === undefined)
    .flatMap((seam): readonly SeamState[] => {
      const to = edgesOf(seam.toSegmentId);
      const state = nearestState(
        seam,
        edgesOf(seam.fromSegmentId).flatMap((a) =>
          to.filter((b) => b.edge.solid !== a.edge.solid).map((b) => [a, b] as const),
        ),
      );
      return state ? [state] : [];
    });
}
