import { distance, type Point } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import { USUAL_CORE, type WingCore } from './core-parameters.ts';
import type { LaidPanel } from './panel-layout.ts';
import { drawnOutlineOf } from './panel-sections.ts';
import type { WingParameters } from './parameters.ts';

/** Foam that is left round the core in its block, in mm. */
const MARGIN_MM = 10;

/** One end of a block, as it is seen from its tip with the nose to the left: x aft of the block's front, y up from its base. */
export interface CoreEnd {
  readonly chordMm: number;
  /** Where the wire runs, over the upper side and under the lower, from the nose to the tail. */
  readonly upper: readonly Point[];
  readonly lower: readonly Point[];
}

/** The block of foam that a panel's core is cut from. */
export interface CoreBlock {
  readonly panel: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly massG: number;
  readonly root: CoreEnd;
  readonly tip: CoreEnd;
}

/** What a core is cut with, as it is usual where nothing is said. */
export const coreOf = ({ core }: WingParameters): WingCore => core ?? USUAL_CORE;

/** A line moved to its left by a distance, corner by corner. */
function beside(line: readonly Point[], byMm: number): readonly Point[] {
  return line.map((p, index) => {
    const [a, b] = [line[Math.max(0, index - 1)]!, line[Math.min(line.length - 1, index + 1)]!],
      long = distance(a, b);
    return { x: p.x - (byMm * (b.y - a.y)) / long, y: p.y + (byMm * (b.x - a.x)) / long };
  });
}

/** Both sides of a section from its nose aft, on a chord of 1. */
function sidesOf(outline: readonly Point[]): { readonly upper: readonly Point[]; readonly lower: readonly Point[] } {
  const nose = outline.reduce((best, p, index) => (p.x < outline[best]!.x ? index : best), 0);
  return { lower: outline.slice(0, nose + 1).reverse(), upper: outline.slice(nose) };
}

/** A side of the section as the wire runs: at its chord, turned by its washout about the spar, moved to its nose, off it by covering and melt. */
function wireLine(
  side: readonly Point[],
  chordMm: number,
  noseMm: number,
  washoutDegrees: number,
  pivot: number,
  outMm: number,
): readonly Point[] {
  const cos = Math.cos(radians(washoutDegrees)),
    sin = Math.sin(radians(washoutDegrees));
  const placed = side.map(({ x, y }): Point => {
    const [along, up] = [(x - pivot) * chordMm, y * chordMm];
    return { x: noseMm + pivot * chordMm + along * cos - up * sin, y: along * sin + up * cos };
  });
  return beside(placed, outMm);
}

/** Area of a section on a chord of 1. */
function unitArea(outline: readonly Point[]): number {
  return Math.abs(
    outline.reduce((sum, p, index) => {
      const next = outline[(index + 1) % outline.length]!;
      return sum + (p.x * next.y - next.x * p.y) / 2;
    }, 0),
  );
}

/**
 * The block of a panel with the wire's way at both ends. Sweep and washout lie in how the sections are placed on the ends.
 * @source the core is the section less its covering; the wire melts on beyond the edge that it runs on, so the edge stands outside the core by
 * that much
 */
export function coreBlock(wing: WingParameters, laid: LaidPanel): CoreBlock | undefined {
  const outline = drawnOutlineOf(wing.section);
  if (!outline) return undefined;
  const { upper, lower } = sidesOf(outline),
    { coveringMm, burnMm, kilogramsPerCubicMetre } = coreOf(wing),
    out = burnMm - coveringMm,
    pivot = wing.sparPercent / 100;
  const end = (chordMm: number, noseMm: number, washout: number): CoreEnd => ({
    chordMm,
    upper: wireLine(upper, chordMm, noseMm, washout, pivot, out),
    lower: wireLine(lower, chordMm, noseMm, washout, pivot, -out),
  });
  const root = end(laid.rootChordMm, laid.rootNoseMm, laid.rootWashoutDegrees),
    tip = end(laid.panel.tipChordMm, laid.tipNoseMm, laid.tipWashoutDegrees);
  const all = [root, tip].flatMap((one) => [...one.upper, ...one.lower]);
  const low = { x: Math.min(...all.map(({ x }) => x)) - MARGIN_MM, y: Math.min(...all.map(({ y }) => y)) - MARGIN_MM };
  const moved = (one: CoreEnd): CoreEnd => ({
    chordMm: one.chordMm,
    upper: one.upper.map(({ x, y }) => ({ x: x - low.x, y: y - low.y })),
    lower: one.lower.map(({ x, y }) => ({ x: x - low.x, y: y - low.y })),
  });
  const [a, b] = [laid.rootChordMm, laid.panel.tipChordMm];
  const cubicMetres = (unitArea(outline) * laid.panel.spanMm * (a * a + a * b + b * b)) / 3 / 1e9;
  return {
    panel: laid.number,
    lengthMm: laid.panel.spanMm,
    widthMm: Math.max(...all.map(({ x }) => x)) - low.x + MARGIN_MM,
    heightMm: Math.max(...all.map(({ y }) => y)) - low.y + MARGIN_MM,
    massG: cubicMetres * kilogramsPerCubicMetre * 1000,
    root: moved(root),
    tip: moved(tip),
  };
}
