import { composeRigid, dot3, point3, type Point, type Point3, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { radians } from '../../units/index.ts';
import { madePart, placeIn, type MadeCorner, type MadeEdgeWork, type MadePartDraft } from '../form/index.ts';
import { innerHeights } from '../section/index.ts';
import { endCut, type SkinEnd } from '../skin/index.ts';
import type { EndSection } from './panel-sections.ts';
import { GLUE_FILM_MM, hasSkins, panelWord, type PanelSite } from './panel.ts';

/** One upright strip of the spar in its panel: its far skin looks aft, its drawing runs outboard and up. */
interface Strip {
  /** From the flat strip into the panel's frame. */
  readonly map: RigidMap;
  /** Foot and top over the pivot line, at both stations. */
  readonly root: { readonly foot: number; readonly top: number };
  readonly tip: { readonly foot: number; readonly top: number };
  /** Along the strip between the stations. */
  readonly lengthMm: number;
}

/** How many strips stand side by side. */
const stripsOf = ({ wing, sections }: PanelSite): number =>
  wing.sparKind === 'none' || !hasSkins({ sections }) ? 0 : wing.sparKind === 'doubled' ? 2 : wing.sparBoards;

/** How far the line of the spar runs aft over the panel, from its nose line's ends. */
function sparRun({ laid, sections }: PanelSite): {
  readonly root: number;
  readonly tip: number;
  readonly cos: number;
} {
  const root = laid.rootNoseMm + sections.root.sparFrontMm,
    tip = laid.tipNoseMm + sections.tip.sparFrontMm;
  // Between tilted joints the cap's lines start and end at its height in their planes: the spar runs under them.
  const up = ({ sparFootMm, sparHeightMm }: EndSection): number => sparFootMm + sparHeightMm;
  const from = up(sections.root) * Math.tan(radians(laid.rootTiltDegrees)),
    to = laid.panel.spanMm - up(sections.tip) * Math.tan(radians(laid.tipTiltDegrees));
  const rise = (tip - root) / (to - from);
  return {
    root: root - rise * from,
    tip: tip + rise * (laid.panel.spanMm - to),
    cos: Math.cos(Math.atan(rise)),
  };
}

/** Front and rear of the spar over a stretch of its panel, aft of the panel's nose line; undefined where none stands. */
export function sparSides(
  site: PanelSite,
  fromMm: number,
  toMm: number,
): { readonly frontMm: number; readonly rearMm: number } | undefined {
  const count = stripsOf(site),
    { wing, laid, board } = site;
  if (count === 0) return undefined;
  const span = laid.panel.spanMm,
    short = wing.sparEnds === 'short' ? wing.sparShortMm : 0;
  if (toMm < short || (fromMm > span - short && !(laid.number === wing.panels.length && !laid.isMiddle)))
    return undefined;
  const { root, tip, cos } = sparRun(site),
    places = [fromMm, toMm].map((out) => root + ((tip - root) * out) / span);
  return { frontMm: Math.min(...places), rearMm: Math.max(...places) + (count * board.thicknessMm) / cos };
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

function stripOf(site: PanelSite, index: number): Strip {
  const { laid, sections, board } = site,
    t = board.thicknessMm,
    { root, tip, cos } = sparRun(site);
  const span = laid.panel.spanMm,
    long = Math.hypot(span, tip - root),
    along = point3(span / long, (tip - root) / long, 0);
  const [from, to] = [(index * t) / cos, ((index + 1) * t) / cos];
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
interface StripEnd {
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
function stripCorners(
  site: PanelSite,
  strip: Strip,
): {
  readonly corners: readonly [Point, Point, Point, Point];
  readonly ends: { readonly root: StripEnd; readonly tip: StripEnd };
} {
  const { wing, laid, board, isLast } = site;
  const short = wing.sparEnds === 'short' ? wing.sparShortMm : 0;
  const hasInnerJoint = laid.number > 1 || laid.isMiddle || laid.rootTiltDegrees !== 0;
  const root = stripEnd(strip, site.root, board.thicknessMm, hasInnerJoint ? short : 0, false),
    tip = stripEnd(strip, site.tip, board.thicknessMm, isLast && !laid.isMiddle ? 0 : isLast ? 0 : short, true);
  const slope = (which: 'foot' | 'top'): Slope => ({
    at: strip.root[which],
    rise: (strip.tip[which] - strip.root[which]) / strip.lengthMm,
  });
  const [foot, top] = [slope('foot'), slope('top')];
  return { corners: [meet(root, foot), meet(tip, foot), meet(tip, top), meet(root, top)], ends: { root, tip } };
}

/** An edge of the spar's foot on the skin's face. */
export interface SparFoot {
  readonly name: string;
  readonly label: string;
  readonly root: Point3;
  readonly tip: Point3;
  /** Along the chord, in the section's own axes. */
  readonly atRoot: number;
  readonly atTip: number;
}

/** Where the spar's front and rear edges stand on the lower skin. */
export function sparFeet(site: PanelSite): readonly SparFoot[] {
  const count = stripsOf(site);
  if (count === 0) return [];
  const { sections, board } = site,
    { cos } = sparRun(site);
  return (
    [
      ['spar-front', 'spar front', 0, 0],
      ['spar-rear', 'spar rear', count - 1, 1],
    ] as const
  ).map(([name, label, index, side]): SparFoot => {
    const strip = stripOf(site, index),
      { corners } = stripCorners(site, strip);
    const isFront = side === 0;
    // The far skin looks aft: the front of a strip is its face.
    const z = isFront ? board.thicknessMm : 0,
      offset = ((index + side) * board.thicknessMm) / cos;
    const stood = ({ x, y }: Point): Point3 => {
      const { map } = strip;
      return {
        x: map.origin.x + map.x.x * x + map.z.x * z,
        y: map.origin.y + map.x.y * x + map.z.y * z,
        z: y,
      };
    };
    return {
      name,
      label,
      root: stood(corners[0]),
      tip: stood(corners[1]),
      atRoot: sections.root.sparFrontMm + offset,
      atTip: sections.tip.sparFrontMm + offset,
    };
  });
}

const endBevel = (edge: string, bevelDegrees: number): readonly MadeEdgeWork[] =>
  bevelDegrees === 0
    ? []
    : [
        {
          name: `bevel-${edge}`,
          edges: [edge],
          work: {
            kind: 'bevel',
            face: bevelDegrees > 0 ? 'face' : 'back',
            bevelDegrees: Math.abs(bevelDegrees),
            label: '',
          },
        },
      ];

/** The strips of a panel's spar, laminated side by side, or one strip doubled. */
export function sparParts(site: PanelSite): readonly Part[] {
  const count = stripsOf(site);
  if (count === 0) return [];
  if (site.wing.sparKind === 'doubled') return [doubledSpar(site)];
  return Array.from({ length: count }, (_, index) => {
    const strip = stripOf(site, index),
      { corners, ends } = stripCorners(site, strip);
    const edges = ['foot', 'tip', 'top', 'root'];
    return madePart({
      ...sparDraft(site, index + 1, count),
      outline: corners.map((at, corner): MadeCorner => ({ at, edge: edges[corner]! })),
      edgeWork: [...endBevel('tip', ends.tip.bevelDegrees), ...endBevel('root', ends.root.bevelDegrees)],
      seams:
        index === 0 && site.skin.plates.every(({ pieces }) => pieces.length === 1)
          ? [{ name: 'foot', from: 'foot', to: 'spar-front', role: `skin-${site.laid.number}`, mayOverhang: true }]
          : [],
      place: stripPlace(site, strip, corners),
    });
  });
}

type SparDraft = Omit<MadePartDraft, 'outline'>;

const sparDraft = (site: PanelSite, number: number, count: number): SparDraft => ({
  formId: site.formId,
  role: `spar-${site.laid.number}-${number}`,
  name: `${site.formName} spar${panelWord(site)}${count > 1 ? ` strip ${number}` : ''}`,
  group: site.formName,
  material: site.wing.material,
  handed: site.laid.isMiddle ? 'single' : 'pair',
  grain: { directionDegrees: 0, rule: 'along' },
});

const stripPlace = (site: PanelSite, { map }: Strip, corners: readonly Point[]): Part['place'] =>
  placeIn(site.place, composeRigid(map, site.laid.map), {
    x: (corners[0]!.x + corners[2]!.x) / 2,
    y: (corners[0]!.y + corners[2]!.y) / 2,
  });

/** A strip folded on itself along its foot, its skins outward. */
function doubledSpar(site: PanelSite): Part {
  const aft = stripOf(site, 1),
    { corners } = stripCorners(site, aft);
  const t = site.board.thicknessMm,
    [footRoot, footTip, topTip, topRoot] = corners;
  // The drawing stands its foot on the edge of the trench: the fold's middle lies a board below.
  const mirrored = (p: Point): Point => ({ x: p.x, y: -(p.y - footRoot.y) - 2 * t + footRoot.y });
  const low = footRoot.y - t;
  return madePart({
    ...sparDraft(site, 1, 1),
    outline: [
      { at: topRoot, edge: 'root' },
      { at: { x: footRoot.x, y: low }, edge: 'root-b' },
      { at: mirrored(topRoot), edge: 'top-b' },
      { at: mirrored(topTip), edge: 'tip-b' },
      { at: { x: footTip.x, y: low }, edge: 'tip' },
      { at: topTip, edge: 'top' },
    ],
    lines: [
      {
        name: 'double',
        from: { x: footRoot.x, y: low },
        to: { x: footTip.x, y: low },
        work: { kind: 'trench', face: 'face', foldDegrees: 180, widthMm: 'auto', side: 'centre', label: 'doubled' },
      },
    ],
    place: stripPlace(site, aft, corners),
  });
}
