import { dot3, point3, type Point, type RigidMap } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import { innerHeights } from '../section/index.ts';
import { endCut, type SkinEnd } from '../skin/index.ts';
import { sparBoardsOf, stripThickness, type EndSection } from './panel-sections.ts';
import { GLUE_FILM_MM, hasSkins, type PanelSite } from './panel.ts';

/** One upright strip of the spar in its panel: its far skin looks aft, its drawing runs outboard and up. */
export interface Strip {
  /** From the flat strip into the panel's frame. */
  readonly map: RigidMap;
  /** Foot and top over the pivot line, at both stations. */
  readonly root: { readonly foot: number; readonly top: number };
  readonly tip: { readonly foot: number; readonly top: number };
  /** Along the strip between the stations. */
  readonly lengthMm: number;
}

/** How many strips stand side by side. */
export const stripsOf = ({ wing, sections }: PanelSite): number =>
  wing.sparKind === 'none' || wing.sparKind === 'rod' || !hasSkins({ sections }) ? 0 : sparBoardsOf(wing);

/** How far before the planes of its ends the spar of a panel stops: it runs out to a free tip, and through where it lies in the middle. */
export function stopsOf({ wing, laid, isLast }: PanelSite): { readonly root: number; readonly tip: number } {
  const short = wing.sparEnds === 'short' ? wing.sparShortMm : 0;
  const hasInnerJoint = laid.number > 1 || laid.isMiddle || laid.rootTiltDegrees !== 0;
  return { root: hasInnerJoint ? short : 0, tip: isLast ? 0 : short };
}

/** Whether a rod lies between the skins in the spar's place. */
export const hasRod = ({ wing, sections }: PanelSite): boolean => wing.sparKind === 'rod' && hasSkins({ sections });

/** How thick a strip of the spar is, or its rod. */
export const stripMm = ({ wing, boardOf }: PanelSite): number => stripThickness(wing, boardOf);

/** How far the line of the spar runs aft over the panel, from its nose line's ends. */
export function sparRun({ laid, sections }: PanelSite): {
  readonly root: number;
  readonly tip: number;
  readonly cos: number;
} {
  const root = laid.rootNoseMm + sections.root.sparFrontMm,
    tip = laid.tipNoseMm + sections.tip.sparFrontMm;
  // Between tilted joints the cap's lines start and end at its height in their planes: the spar runs under them.
  const up = ({ sparFootMm, sparHeightMm }: EndSection): number => sparFootMm + sparHeightMm;
  const from = laid.number === 1 ? 0 : up(sections.root) * Math.tan(radians(laid.rootTiltDegrees)),
    to = laid.panel.spanMm - up(sections.tip) * Math.tan(radians(laid.tipTiltDegrees));
  const rise = (tip - root) / (to - from);
  return {
    root: root - rise * from,
    tip: tip + rise * (laid.panel.spanMm - to),
    cos: Math.cos(Math.atan(rise)),
  };
}

/** Foot and top of a strip at a station, in the panel's frame: what is free over its whole thickness. */
function strokeAt(
  { section, sparFrontMm, sparHeightMm, sparFootMm }: EndSection,
  washoutDegrees: number,
  from: number,
  to: number,
  thicknessMm: number,
): { readonly foot: number; readonly top: number } {
  const cos = Math.cos(radians(washoutDegrees)),
    sin = Math.sin(radians(washoutDegrees));
  const at = [from, to].map((offset) => {
    const own = innerHeights(section, sparFrontMm + offset, thicknessMm) ?? {
      low: sparFootMm,
      top: sparFootMm + sparHeightMm,
    };
    return { foot: offset * sin + own.low * cos, top: offset * sin + own.top * cos };
  });
  return { foot: Math.max(...at.map(({ foot }) => foot)), top: Math.min(...at.map(({ top }) => top)) - GLUE_FILM_MM };
}

export function stripOf(site: PanelSite, index: number): Strip {
  const { laid, sections, board } = site,
    t = board.thicknessMm,
    { root, tip, cos } = sparRun(site);
  const span = laid.panel.spanMm,
    long = Math.hypot(span, tip - root),
    along = point3(span / long, (tip - root) / long, 0);
  const own = stripMm(site),
    [from, to] = [(index * own) / cos, ((index + 1) * own) / cos];
  return {
    map: {
      x: along,
      y: point3(0, 0, 1),
      z: point3(along.y, -along.x, 0),
      origin: point3(0, root + to, 0),
    },
    root: strokeAt(sections.root, laid.rootWashoutDegrees, from, to, t),
    tip: strokeAt(sections.tip, laid.tipWashoutDegrees, from, to, t),
    lengthMm: long,
  };
}

/** A straight line on the flat strip: height at its root station, and how it rises. */
interface Slope {
  readonly at: number;
  readonly rise: number;
}

/** The end of a strip: where it ends at height 0, how that moves with height, and how its edge is cut. */
export interface StripEnd {
  readonly at: number;
  readonly lean: number;
  readonly bevelDegrees: number;
}

function stripEnd(
  { map }: Strip,
  { plane, school, filmMm }: SkinEnd,
  thicknessMm: number,
  shortMm: number,
  isTip: boolean,
): StripEnd {
  const across = dot3(plane.normal, map.x);
  const at = (plane.mostMm - dot3(plane.normal, map.origin)) / across;
  if (shortMm > 0) return { at: at + (isTip ? -shortMm : shortMm), lean: 0, bevelDegrees: 0 };
  const lean = -plane.normal.z / across;
  const alongEnd = point3(map.x.x * lean, map.x.y * lean, 1);
  const cut = endCut(plane, map.z, alongEnd, thicknessMm, school);
  return {
    at: at + ((cut.shiftMm - filmMm) / Math.abs(dot3(cut.outward, map.x))) * (isTip ? 1 : -1),
    lean,
    bevelDegrees: cut.bevelDegrees,
  };
}

const meet = ({ at, lean }: StripEnd, slope: Slope): Point => {
  const x = (at + lean * slope.at) / (1 - lean * slope.rise);
  return { x, y: slope.at + slope.rise * x };
};

/** The four corners of a strip, from the inner end of its foot outboard and round. */
export function stripCorners(
  site: PanelSite,
  strip: Strip,
): {
  readonly corners: readonly [Point, Point, Point, Point];
  readonly ends: { readonly root: StripEnd; readonly tip: StripEnd };
} {
  const own = stripMm(site),
    stops = stopsOf(site);
  const root = stripEnd(strip, site.root, own, stops.root, false),
    tip = stripEnd(strip, site.tip, own, stops.tip, true);
  const slope = (which: 'foot' | 'top'): Slope => ({
    at: strip.root[which],
    rise: (strip.tip[which] - strip.root[which]) / strip.lengthMm,
  });
  const [foot, top] = [slope('foot'), slope('top')];
  return { corners: [meet(root, foot), meet(tip, foot), meet(tip, top), meet(root, top)], ends: { root, tip } };
}
