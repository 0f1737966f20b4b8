import type { NamedEdge } from '../form/index.ts';
import type { Point, Polygon } from '../../geometry/index.ts';
import type { TailParameters } from './parameters.ts';

/** A plate's outline with the names of its edges, counter-clockwise. */
export interface NamedOutline {
  readonly ring: Polygon;
  readonly edges: readonly NamedEdge[];
}

const named = (corners: readonly (readonly [at: Point, edge: string])[]): NamedOutline => ({
  ring: corners.map(([at]) => at),
  edges: corners.map(([from, name], index) => ({ name, from, to: corners[(index + 1) % corners.length]![0] })),
});
type Corners = readonly (readonly [at: Point, edge: string])[];
const flipped = ({ x, y }: Point): Point => ({ x, y: -y });
/** The mirror image of edges, run the other way round. */
const mirrored = (edges: readonly NamedEdge[]): readonly NamedEdge[] =>
  edges.map(({ name, from, to }) => ({ name, from: flipped(to), to: flipped(from) })).reverse();
const renamed = (edges: readonly NamedEdge[], suffix: string): readonly NamedEdge[] =>
  edges.map((edge) => ({ ...edge, name: `${edge.name}${suffix}` }));
const outlineOf = (edges: readonly NamedEdge[]): NamedOutline => ({ ring: edges.map(({ from }) => from), edges });
/** Edges from corner to corner, and on to an end. */
const edgesTo = (corners: Corners, end: Point): readonly NamedEdge[] =>
  corners.map(([from, name], index) => ({ name, from, to: corners[index + 1]?.[0] ?? end }));
/** A plate over both sides, from the corners of its starboard half: from one place in the middle round to another. */
function bothSides(half: Corners, end: Point): NamedOutline {
  const edges = edgesTo(half, end);
  return outlineOf([...renamed(edges, '-starboard'), ...renamed(mirrored(edges), '-port')]);
}

/** Lines of the stabiliser's starboard half: x aft, y out. */
export interface LevelLines {
  readonly halfMm: number;
  readonly noseAt: (outMm: number) => number;
  readonly hingeAt: (outMm: number) => number;
  readonly tailAt: (outMm: number) => number;
}

export function levelLines({ stabiliser, elevator }: TailParameters): LevelLines {
  const { spanMm, rootMm, tipMm, sweepMm } = stabiliser,
    halfMm = spanMm / 2;
  const noseAt = (outMm: number): number => (sweepMm * outMm) / halfMm,
    hingeAt = (outMm: number): number => rootMm + ((sweepMm + tipMm - rootMm) * outMm) / halfMm;
  const chordAt = (outMm: number): number =>
    elevator ? elevator.rootMm + ((elevator.tipMm - elevator.rootMm) * outMm) / halfMm : 0;
  return { halfMm, noseAt, hingeAt, tailAt: (outMm) => hingeAt(outMm) + chordAt(outMm) };
}

/** How far out a balance tab of the elevator begins; the half span when there is none. */
const tabFrom = ({ elevator }: TailParameters, halfMm: number): number =>
  elevator && elevator.tabMm > 0 && elevator.tabForeMm > 0 ? Math.max(halfMm / 4, halfMm - elevator.tabMm) : halfMm;

/** The fixed plate: both halves, x aft and y to starboard. */
export function stabiliserOutline(tail: TailParameters): NamedOutline {
  const { halfMm, noseAt, hingeAt } = levelLines(tail),
    from = tabFrom(tail, halfMm),
    fore = (tail.elevator?.tabForeMm ?? 0) + tail.gapMm,
    cut = from - tail.gapMm;
  const tip: Corners =
    from < halfMm
      ? [
          [{ x: hingeAt(cut), y: cut }, 'tab-side'],
          [{ x: hingeAt(cut) - fore, y: cut }, 'tab-fore'],
          [{ x: hingeAt(halfMm) - fore, y: halfMm }, 'tip'],
        ]
      : [[{ x: hingeAt(halfMm), y: halfMm }, 'tip']];
  return bothSides([[{ x: hingeAt(0), y: 0 }, 'hinge'], ...tip, [{ x: noseAt(halfMm), y: halfMm }, 'nose']], {
    x: noseAt(0),
    y: 0,
  });
}

/** Corners of the elevator's starboard half from its tail in the middle round to its hinge. */
function elevatorCorners(tail: TailParameters): Corners {
  const { halfMm, hingeAt, tailAt } = levelLines(tail),
    from = tabFrom(tail, halfMm),
    fore = tail.elevator!.tabForeMm;
  const hinge: Corners =
    from < halfMm
      ? [
          [{ x: hingeAt(halfMm) - fore, y: halfMm }, 'tab-fore'],
          [{ x: hingeAt(from) - fore, y: from }, 'tab-side'],
          [{ x: hingeAt(from), y: from }, 'hinge'],
        ]
      : [[{ x: hingeAt(halfMm), y: halfMm }, 'hinge']];
  return [[{ x: tailAt(0), y: 0 }, 'tail'], [{ x: tailAt(halfMm), y: halfMm }, 'tip'], ...hinge];
}

/** One half of the elevator, to port. */
export function elevatorHalf(tail: TailParameters): NamedOutline {
  const corners = elevatorCorners(tail),
    middle = { x: levelLines(tail).hingeAt(0), y: 0 };
  return outlineOf(mirrored(edgesTo([...corners, [middle, 'root']], corners[0]![0])));
}

/** Both halves of an elevator in one. */
export const elevatorWhole = (tail: TailParameters): NamedOutline =>
  bothSides(elevatorCorners(tail), { x: levelLines(tail).hingeAt(0), y: 0 });

/** Lines of a fin: x aft, y up from the stabiliser's underside. */
export interface UprightLines {
  readonly footMm: number;
  readonly topMm: number;
  readonly hingeAt: (upMm: number) => number;
}

/** Where the fin's foot has its nose along the tail. */
const finNose = (tail: TailParameters): number => {
  const { halfMm, noseAt } = levelLines(tail);
  return tail.fin!.aftMm + noseAt(tail.fin!.place === 'tips' ? halfMm : 0);
};

export function uprightLines(tail: TailParameters, thicknessMm: number): UprightLines {
  const { heightMm, rootMm, tipMm, sweepMm, place, belowMm } = tail.fin!,
    nose = finNose(tail);
  const hingeAt = (upMm: number): number =>
    nose + rootMm + ((sweepMm + tipMm - rootMm) * (upMm - thicknessMm)) / heightMm;
  return {
    footMm: place === 'tips' ? thicknessMm - belowMm : thicknessMm,
    topMm: thicknessMm + heightMm,
    hingeAt: (upMm) => hingeAt(upMm),
  };
}

/** Of the fin's foot, what of it goes through the stabiliser: from where to where; undefined when there is no room for it. */
export function finTab(tail: TailParameters): readonly [number, number] | undefined {
  const { fin } = tail;
  if (!fin || fin.place !== 'middle' || !fin.hasTab) return undefined;
  const nose = finNose(tail),
    { hingeAt, noseAt } = levelLines(tail);
  const from = Math.max(noseAt(0) + TAB_EDGE_MM, nose + 0.2 * fin.rootMm),
    to = Math.min(hingeAt(0) - TAB_EDGE_MM, nose + 0.8 * fin.rootMm);
  return to - from >= LEAST_TAB_MM ? [from, to] : undefined;
}
/** Board that a slot leaves before and behind it, and the shortest tab that holds, in mm. */
export const TAB_EDGE_MM = 8;
const LEAST_TAB_MM = 10;

/** The fixed upright plate, x aft and y up. */
export function finOutline(tail: TailParameters, thicknessMm: number): NamedOutline {
  const { heightMm, sweepMm } = tail.fin!,
    { footMm, topMm, hingeAt } = uprightLines(tail, thicknessMm),
    nose = finNose(tail),
    tab = finTab(tail),
    balance = balanceOf(tail);
  const noseAt = (upMm: number): number =>
    upMm < thicknessMm ? nose : nose + (sweepMm * (upMm - thicknessMm)) / heightMm;
  const cut = topMm - (balance?.alongMm ?? 0) - tail.gapMm;
  return named([
    ...(footMm < thicknessMm ? ([[{ x: nose, y: thicknessMm }, 'nose-low']] as const) : []),
    [{ x: nose, y: footMm }, 'foot'],
    ...(tab
      ? ([
          [{ x: tab[0], y: footMm }, 'tab-fore'],
          [{ x: tab[0], y: 0 }, 'tab'],
          [{ x: tab[1], y: 0 }, 'tab-aft'],
          [{ x: tab[1], y: footMm }, 'foot-aft'],
        ] as const)
      : []),
    [{ x: hingeAt(footMm), y: footMm }, 'hinge'],
    ...(balance
      ? ([
          [{ x: hingeAt(cut), y: cut }, 'balance-foot'],
          [{ x: hingeAt(cut) - balance.foreMm - tail.gapMm, y: cut }, 'balance-fore'],
          [{ x: hingeAt(topMm) - balance.foreMm - tail.gapMm, y: topMm }, 'top'],
        ] as const)
      : ([[{ x: hingeAt(topMm), y: topMm }, 'top']] as const)),
    [{ x: noseAt(topMm), y: topMm }, 'nose'],
  ]);
}

/** The rudder's balance tab, if it has one. */
function balanceOf({ rudder, fin }: TailParameters): { readonly alongMm: number; readonly foreMm: number } | undefined {
  if (!rudder || !fin || rudder.tabMm <= 0 || rudder.tabForeMm <= 0) return undefined;
  return { alongMm: Math.min(rudder.tabMm, fin.heightMm / 2), foreMm: rudder.tabForeMm };
}

/** What moves behind the fin, x aft and y up. */
export function rudderOutline(tail: TailParameters, thicknessMm: number): NamedOutline {
  const { rootMm, tipMm, footMm } = tail.rudder!,
    { topMm, hingeAt } = uprightLines(tail, thicknessMm),
    low = thicknessMm + footMm,
    balance = balanceOf(tail);
  const cut = topMm - (balance?.alongMm ?? 0);
  return named([
    [{ x: hingeAt(low), y: low }, 'foot'],
    [{ x: hingeAt(low) + rootMm, y: low }, 'tail'],
    [{ x: hingeAt(topMm) + tipMm, y: topMm }, 'top'],
    ...(balance
      ? ([
          [{ x: hingeAt(topMm) - balance.foreMm, y: topMm }, 'balance-fore'],
          [{ x: hingeAt(cut) - balance.foreMm, y: cut }, 'balance-foot'],
          [{ x: hingeAt(cut), y: cut }, 'hinge'],
        ] as const)
      : ([[{ x: hingeAt(topMm), y: topMm }, 'hinge']] as const)),
  ]);
}
