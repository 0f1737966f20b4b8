import { nearestPolylines } from '../../allowance/index.ts';
import { cross, distance, dot, subtract, unitVector, type Point } from '../../geometry/index.ts';
import { degrees, lengthText, memo } from '../../units/index.ts';
import { bentLine, stripCorners, tightestRadius } from './bent-line.ts';
import type { SectionPlate, SectionRefusal, SkinSection } from './section.ts';

/** A drawn section on a chord of 1 as creases follow it. */
export interface CreasedOutline {
  readonly corners: readonly Point[];
  /** Greatest distance of the drawn line from the skin, as a share of the chord. */
  readonly deviation: number;
  /** Index of the corner at the nose, where low plates end and top plates begin. */
  readonly nose: number;
  /** Smallest radius of a bent one, as a share of the chord. */
  readonly tightest?: number;
}

/** Points along each side of a drawn section that creases are fitted to. */
const POINTS_A_SIDE = 90;

/** The nose of an outer line: the corner furthest forward. */
const noseOf = (corners: readonly Point[]): number =>
  corners.reduce((best, corner, index) => (corner.x < corners[best]!.x ? index : best), 0);

/** The creases that lie best on a drawn outer line, one of them at its nose; remembered by the line. */
export const creasedOutline = memo(
  (outline: readonly Point[], creases: number, noseClear: number): CreasedOutline => {
    const at = noseOf(outline),
      nose = outline[at]!;
    // Beside the nose's fold its bevels want board: no crease stands within their run.
    const isClear = (p: Point): boolean => p === nose || distance(p, nose) >= noseClear;
    const low = outline.slice(0, at + 1).filter(isClear),
      top = outline.slice(at).filter(isClear);
    // One crease is the nose; the others are shared between both sides so that the greater deviation is least.
    const left = creases - 1,
      most = (side: readonly Point[]): number => Math.min(left, side.length - 2);
    const onLowSide = nearestPolylines(low, Math.max(1, most(low))),
      onTopSide = nearestPolylines(top, Math.max(1, most(top)));
    let best: CreasedOutline | undefined;
    for (let onLow = 0; onLow <= left; onLow++) {
      const [a, b] = [onLowSide[onLow], onTopSide[left - onLow]];
      if (!a || !b) continue;
      const deviation = Math.max(a.deviationMm, b.deviationMm);
      if (!best || deviation < best.deviation - 1e-9)
        best = { corners: [...a.corners, ...b.corners.slice(1)], deviation, nose: a.corners.length - 1 };
    }
    return best!;
  },
  (creases, noseClear) => `${creases}/${noseClear.toFixed(5)}`,
);

/** Height of a side of a section at a place along its chord. */
function heightAt(side: readonly Point[], x: number): number {
  for (let index = 0; index + 1 < side.length; index++) {
    const [p, q] = [side[index]!, side[index + 1]!];
    if ((p.x - x) * (q.x - x) <= 0 && p.x !== q.x) return p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x);
  }
  return 0;
}

/** A skin bent over a spar that is as high as the drawn section there: each side from the nose's fold to the tail by itself. */
function bentOutline(outline: readonly Point[], spar: readonly [number, number], flatTail: number): CreasedOutline {
  const at = noseOf(outline);
  const side = (points: readonly Point[], sign: 1 | -1) => {
    // The lower side is bent as its mirror image is.
    const up = points.map(({ x, y }): Point => ({ x, y: sign * y }));
    const ends = [up[0]!, up.at(-1)!] as const,
      rests = spar.map((x): Point => ({ x, y: heightAt(up, x) }));
    const line = bentLine(ends, rests);
    return {
      corners: stripCorners(line, ends, rests, flatTail).map(({ x, y }): Point => ({ x, y: sign * y })),
      deviation: Math.max(...up.map(({ x, y }) => Math.abs(line.height(x) - y) * Math.cos(Math.atan(line.slope(x))))),
      tightest: tightestRadius(line, ends, rests),
    };
  };
  const low = side([...outline.slice(0, at + 1)].reverse(), -1),
    top = side(outline.slice(at), 1);
  return {
    corners: [...[...low.corners].reverse(), ...top.corners.slice(1)],
    deviation: Math.max(low.deviation, top.deviation),
    nose: low.corners.length - 1,
    tightest: Math.min(low.tightest, top.tightest),
  };
}

/** Points of an outer line thinned or kept so that each side has about as many as creases are fitted to. */
export const fittedPoints = POINTS_A_SIDE;

/** Greatest turn of one fold: beyond it a groove's bevels cannot be made. */
const STEEPEST_FOLD_DEGREES = 150;

/**
 * The skin over a drawn section, creased to it: both sides are sanded to a line at the tail, or cut off square where their faces meet.
 * @param chordMm of the whole section
 * @param bentOver the spar that a skin without creases is bent over, instead of creasing it
 * @param noseClear how far from the nose no crease stands, as a share of the chord: one number for all sections of a wing
 */
export function drawnSection(
  outline: readonly Point[],
  creases: number,
  chordMm: number,
  thicknessMm: number,
  tail: 'sanded' | 'square',
  noseClear: number,
  bentOver?: { readonly frontMm: number; readonly widthMm: number; readonly flatTailMm?: number },
): SkinSection | SectionRefusal {
  const creased = bentOver
    ? bentOutline(
        outline,
        [bentOver.frontMm / chordMm, (bentOver.frontMm + bentOver.widthMm) / chordMm],
        (bentOver.flatTailMm ?? 0) / chordMm,
      )
    : creasedOutline(outline, creases, noseClear);
  // It stands on its lowest corner, as a wing lies on the table.
  const lowest = Math.min(...creased.corners.map(({ y }) => y));
  const corners = creased.corners.map(({ x, y }) => ({ x: x * chordMm, y: (y - lowest) * chordMm }));
  const plates: SectionPlate[] = corners.slice(1).map((_, index): SectionPlate => ({
    role: index < creased.nose ? `low-${creased.nose - index}` : `top-${index - creased.nose + 1}`,
    ...(bentOver ? { isBent: true as const } : {}),
  }));
  const steepest = Math.max(
    ...corners.slice(1, -1).map((corner, index) => Math.abs(turnAt(corners[index]!, corner, corners[index + 2]!))),
  );
  if (steepest > STEEPEST_FOLD_DEGREES)
    return {
      refused: `The skin would turn ${Math.round(steepest)}° in one fold at the nose`,
      detail: `A sanded groove turns by up to ${STEEPEST_FOLD_DEGREES}°: use more creases, or a thicker section.`,
      key: 'section.creases',
      nearest: Math.min(40, creases + 2),
    };
  const thickest = thicknessOf(corners, creased.nose);
  if (thickest.heightMm < 2.4 * thicknessMm)
    return {
      refused: 'The section is too thin for two skins',
      detail: `It is ${lengthText(thickest.heightMm)} thick at most: two skins of ${lengthText(thicknessMm)} leave no room.`,
      key: 'rootChordMm',
      nearest: Math.ceil((chordMm * 2.5 * thicknessMm) / thickest.heightMm),
    };
  const low = unitVector(corners[1]!, corners[0]!),
    top = unitVector(corners.at(-2)!, corners.at(-1)!);
  const wedge = degrees(Math.atan2(Math.abs(cross(low, top)), dot(low, top)));
  if (tail === 'square')
    return cutSquare({ corners, plates, wedge, deviationMm: creased.deviation * chordMm }, thicknessMm);
  return {
    corners,
    plates,
    tailBevels: { lowDegrees: Math.min(88, 90 - wedge / 2), topDegrees: Math.min(88, 90 - wedge / 2) },
    deviationMm: creased.deviation * chordMm,
    ...(creased.tightest !== undefined ? { tightestMm: creased.tightest * chordMm } : {}),
  };
}

/** Turn at a corner, to the right above 0: that is how an outer line runs round its nose. */
const turnAt = (a: Point, b: Point, c: Point): number => {
  const [u, v] = [subtract(b, a), subtract(c, b)];
  return degrees(Math.atan2(-cross(u, v), dot(u, v)));
};

/** The greatest height between both sides, at a corner. */
function thicknessOf(corners: readonly Point[], nose: number): { readonly heightMm: number } {
  const low = corners.slice(0, nose + 1),
    top = corners.slice(nose);
  return { heightMm: Math.max(...corners.map(({ x }) => heightAt(top, x) - heightAt(low, x))) };
}

/** Both sides cut off square where their faces meet: the tail is as high as two boards. */
function cutSquare(
  section: { corners: readonly Point[]; plates: readonly SectionPlate[]; wedge: number; deviationMm: number },
  thicknessMm: number,
): SkinSection {
  const { corners, plates, wedge, deviationMm } = section;
  const back = thicknessMm / Math.tan((wedge * Math.PI) / 360);
  const shortened = (tail: Point, before: Point): Point => {
    const run = distance(tail, before),
      share = Math.min(0.9, back / run);
    return { x: tail.x + (before.x - tail.x) * share, y: tail.y + (before.y - tail.y) * share };
  };
  return {
    corners: [
      shortened(corners[0]!, corners[1]!),
      ...corners.slice(1, -1),
      shortened(corners.at(-1)!, corners.at(-2)!),
    ],
    plates,
    tailBevels: { lowDegrees: 0, topDegrees: 0 },
    deviationMm,
  };
}
