import {
  bulgeThrough,
  curveTangent,
  distance,
  interpolate,
  smoothCurve,
  unitVector,
  type Point,
} from '@grain-fold/core/geometry';
import {
  bulgeLeaving,
  bulgeOfRadius,
  circleDraft,
  rectangleDraft,
  roundEndedSlot,
  type DraftSegment,
  type PathDraft,
} from '@grain-fold/core/paths';

/** How the run that is drawn next goes. */
export type RunKind = 'line' | 'arc' | 'cubic';
/** What a closed tool draws: point by point, or a whole shape by two places. */
export type DraftShape = 'points' | 'rectangle' | 'circle' | 'slot';
/** How an arc is told: through a third place, going on from the run before, or by its radius. */
export type ArcWay = 'through' | 'touching' | 'radius';

/** How an arc is told, with what it takes: a place on its way, a radius that bends to the right below 0. */
export interface ArcTold {
  readonly way: ArcWay;
  readonly via?: Point;
  readonly radiusMm: number;
}

/** The direction in which the last run of a draft arrives, or undefined at the start. */
function arriving(points: readonly Point[], segments: readonly DraftSegment[]): Point | undefined {
  const from = points.at(-1),
    before = points.at(-2),
    last = segments.at(-1);
  return before && from && last
    ? unitVector({ x: 0, y: 0 }, curveTangent({ ...last, from: before, to: from }, 1))
    : undefined;
}

/** The next run of a draft, from its last point to an end. An arc that would be straight is a line. */
export function nextRun(
  points: readonly Point[],
  segments: readonly DraftSegment[],
  end: Point,
  kind: RunKind,
  arc: ArcTold,
): DraftSegment {
  const from = points.at(-1)!;
  if (kind === 'cubic')
    return { kind: 'cubic', control1: interpolate(from, end, 1 / 3), control2: interpolate(from, end, 2 / 3) };
  if (kind !== 'arc') return { kind: 'line' };
  const bulge = arcBulge(from, end, arriving(points, segments) ?? { x: 1, y: 0 }, arc);
  return bulge === 0 ? { kind: 'line' } : { kind: 'arc', bulge };
}

function arcBulge(from: Point, end: Point, direction: Point, { way, via, radiusMm }: ArcTold): number {
  switch (way) {
    case 'touching':
      return bulgeLeaving(from, direction, end);
    case 'radius':
      return bulgeOfRadius(from, end, Math.abs(radiusMm), radiusMm > 0 ? 'left' : 'right') ?? 0;
    case 'through':
      return via ? bulgeThrough(from, via, end) : 0;
  }
}

/** Every chain of neighbouring curve runs as one smooth curve through its points, going on from the run before it. */
export function smoothedRuns(
  all: readonly Point[],
  runs: readonly DraftSegment[],
  closed: boolean,
): readonly DraftSegment[] {
  const at = (index: number): Point => all[index % all.length]!;
  const result = [...runs];
  for (let start = 0; start < runs.length; start++) {
    if (runs[start]!.kind !== 'cubic') continue;
    let stop = start;
    while (runs[stop + 1]?.kind === 'cubic') stop += 1;
    const leaving = (index: number, t: 0 | 1): Point | undefined => {
      const run = runs[index];
      return run && run.kind !== 'cubic'
        ? unitVector({ x: 0, y: 0 }, curveTangent({ ...run, from: at(index), to: at(index + 1) }, t))
        : undefined;
    };
    const chain = Array.from({ length: stop - start + 2 }, (_, step) => at(start + step));
    smoothCurve(chain, {
      start: leaving(start - 1, 1),
      end: closed && stop + 1 === runs.length ? leaving(0, 0) : undefined,
    }).forEach(({ control1, control2 }, step) => {
      result[start + step] = { kind: 'cubic', control1, control2 };
    });
    start = stop;
  }
  return result;
}

/** The shape that two places give, or undefined while they are one. */
export function shapeDraft(
  shape: Exclude<DraftShape, 'points'>,
  first: Point,
  second: Point,
  slotWidthMm: number,
): PathDraft | undefined {
  if (distance(first, second) < 1e-6) return undefined;
  if (shape === 'circle') return circleDraft(first, distance(first, second));
  if (shape === 'slot') return roundEndedSlot(first, second, slotWidthMm);
  const [width, height] = [Math.abs(second.x - first.x), Math.abs(second.y - first.y)];
  return width < 1e-6 || height < 1e-6
    ? undefined
    : rectangleDraft({ x: Math.min(first.x, second.x), y: Math.min(first.y, second.y) }, width, height);
}
