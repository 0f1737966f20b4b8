import type { Point } from '../../geometry/index.ts';
import { lengthText, memo, radians } from '../../units/index.ts';
import {
  camberedSheet,
  drawnSection,
  fittedPoints,
  flatSheet,
  innerHeights,
  isRefused,
  nacaOutline,
  solidSection,
  stripSparSection,
  type SectionRefusal,
  type SkinSection,
} from '../section/index.ts';
import type { FormContext } from '../form/index.ts';
import { USUAL_CAMBER } from './builds.ts';
import { controlChords } from './control-chords.ts';
import type { LaidPanel } from './panel-layout.ts';
import type { WingParameters, WingSection } from './parameters.ts';
import { planeSpar } from './plane-spar.ts';

/** The section at one end of a panel, and the spar in it. */
export interface EndSection {
  readonly section: SkinSection;
  readonly chordMm: number;
  readonly sparFrontMm: number;
  /** Of the foam that fills the space between the skins. */
  readonly sparHeightMm: number;
  /** Height of the spar's foot over the pivot line, in the section's own axes. */
  readonly sparFootMm: number;
}

/** Both ends of a panel. */
export interface PanelSections {
  readonly root: EndSection;
  readonly tip: EndSection;
}

/** A refusal, with the path of the number that it is about. */
export interface WingRefusal extends SectionRefusal {
  readonly path: string;
}

const isRefusal = (one: EndSection | SectionRefusal): one is SectionRefusal => 'refused' in one;

/** The bevels of a drawn section's nose run so many boards from its fold. */
const NOSE_CLEAR_BOARDS = 2.2;
/** A plate or a skin without creases stays flat at its tail over this share of the chord at most. */
const MOST_FLAT_TAIL = 0.6;
/** Height under which a spar is no longer cut, in mm. */
const LEAST_SPAR_MM = 2;
const ROUNDS = 4;

/** How thick one strip of the spar is, or the rod in its place. */
export function stripThickness(wing: WingParameters, boardOf: FormContext['boardOf']): number {
  if (wing.sparKind === 'rod') return wing.sparHeightMm;
  const isOfItsOwn = wing.sparKind === 'strips' && wing.sparMaterial !== undefined;
  return boardOf(isOfItsOwn ? wing.sparMaterial! : wing.material).thicknessMm;
}

/** How many boards the spar is wide: a doubled strip is two of them, a rod one. */
export const sparBoardsOf = ({ sparKind, sparBoards }: WingParameters): number =>
  sparKind === 'rod' ? 1 : sparKind === 'doubled' ? 2 : Math.max(1, sparBoards);

/** The spar's width along the chord, where its line runs askew. */
const chordwise = (widthMm: number, runMm: number, spanMm: number): number =>
  widthMm / Math.cos(Math.atan2(runMm, spanMm));

/** The outer line of a drawn section, on a chord of 1; undefined over a strip spar. Remembered by the section. */
export const drawnOutlineOf = memo(({ kind, digits = '', points = [] }: WingSection): readonly Point[] | undefined => {
  if (kind === 'naca') return nacaOutline(digits, fittedPoints);
  if (kind !== 'points') return undefined;
  return Array.from({ length: points.length / 2 }, (_, index) => ({
    x: points[2 * index]!,
    y: points[2 * index + 1]!,
  })).reverse();
});

/** Length of the lap: no bevel runs on past the hinge line of a control. */
function lapOf({ lapMm, controls }: WingParameters, thicknessMm: number): { readonly lapMm?: number } {
  const most = Math.min(...controls.map((control) => Math.max(0, controlChords(control).least - thicknessMm)));
  return lapMm === undefined && most === Infinity ? {} : { lapMm: Math.min(lapMm ?? Infinity, most) };
}

/** The section of a wing of one sheet or of foam, at a chord; undefined when it has skins. */
function sheetSection(wing: WingParameters, chordMm: number, thicknessMm: number): SkinSection | undefined {
  if (wing.build === 'stepped') return flatSheet(chordMm);
  if (wing.build === 'cored') {
    const outline = drawnOutlineOf(wing.section);
    return outline && solidSection(outline, chordMm);
  }
  if (wing.build !== 'cambered') return undefined;
  const { heightPercent, atPercent } = wing.camber ?? USUAL_CAMBER;
  return camberedSheet(chordMm, heightPercent / 100, atPercent / 100, flatTail(wing, thicknessMm));
}

/** The share of every chord that stays one flat strip at the tail, so that controls are cut out of no other: one share leaves strips plane. */
function flatTail({ controls, rootChordMm, panels }: WingParameters, thicknessMm: number): number {
  const deepest = Math.max(0, ...controls.map((control) => controlChords(control).most)),
    narrowest = Math.min(rootChordMm, ...panels.map(({ tipChordMm }) => tipChordMm));
  return deepest > 0 ? Math.min((deepest + thicknessMm) / narrowest, MOST_FLAT_TAIL) : 0;
}

/** The section of a wing at a chord. */
function endSection(
  wing: WingParameters,
  chordMm: number,
  sparFrontMm: number,
  sparHeightMm: number,
  sparWidthMm: number,
  thicknessMm: number,
): EndSection | SectionRefusal {
  const sheet = sheetSection(wing, chordMm, thicknessMm);
  if (sheet) return { section: sheet, chordMm, sparFrontMm, sparHeightMm: 0, sparFootMm: thicknessMm };
  const outline = drawnOutlineOf(wing.section);
  if (!outline) {
    const section = stripSparSection({
      chordMm,
      sparFrontMm,
      sparWidthMm,
      sparHeightMm,
      thicknessMm,
      nose: wing.nose,
      ...(wing.noseRadiusMm === undefined ? {} : { noseRadiusMm: wing.noseRadiusMm }),
      tail: wing.tail,
      stripBoards: wing.stripBoards,
      isBent: wing.skin === 'bent',
      flatTailMm: flatTail(wing, thicknessMm) * chordMm,
      ...lapOf(wing, thicknessMm),
    });
    return isRefused(section) ? section : { section, chordMm, sparFrontMm, sparHeightMm, sparFootMm: thicknessMm };
  }
  const section = drawnSection(
    outline,
    wing.section.creases,
    chordMm,
    thicknessMm,
    wing.tail === 'square' ? 'square' : 'sanded',
    (NOSE_CLEAR_BOARDS * thicknessMm) / Math.min(wing.rootChordMm, ...wing.panels.map(({ tipChordMm }) => tipChordMm)),
    wing.skin === 'bent'
      ? { frontMm: sparFrontMm, widthMm: sparWidthMm, flatTailMm: flatTail(wing, thicknessMm) * chordMm }
      : undefined,
  );
  if (isRefused(section)) return section;
  // The spar stands where the skins leave least room over its width.
  const heights = [0, 0.25, 0.5, 0.75, 1]
    .map((share) => innerHeights(section, sparFrontMm + share * sparWidthMm, thicknessMm))
    .filter((one) => one !== undefined);
  const low = Math.max(...heights.map((one) => one.low)),
    top = Math.min(...heights.map((one) => one.top));
  if (wing.sparKind !== 'none' && (heights.length === 0 || top - low < LEAST_SPAR_MM))
    return {
      refused: 'The skins leave no room for the spar',
      detail: `Between them ${lengthText(Math.max(0, top - low))} are left where it stands.`,
      key: 'sparPercent',
      nearest: 30,
    };
  const isRod = wing.sparKind === 'rod';
  if (isRod && top - low < wing.sparHeightMm)
    return {
      refused: 'The skins leave no room for the rod',
      detail: `Between them ${lengthText(Math.max(0, top - low))} are left where it lies.`,
      key: 'sparHeightMm',
      nearest: Math.max(1, Math.floor(top - low)),
    };
  return {
    section: { ...section, spar: { frontMm: sparFrontMm, widthMm: sparWidthMm } },
    chordMm,
    sparFrontMm,
    sparHeightMm: isRod ? wing.sparHeightMm : top - low,
    sparFootMm: low,
  };
}

/**
 * The sections at both ends of every panel.
 * @returns the first number that makes no section, with its path
 */
export const panelSections = (
  wing: WingParameters,
  laid: readonly LaidPanel[],
  boardOf: FormContext['boardOf'],
): readonly PanelSections[] | WingRefusal =>
  settledSections(wing, laid, boardOf(wing.material).thicknessMm, sparBoardsOf(wing) * stripThickness(wing, boardOf));

/** The same for a board and a spar so wide; remembered by the wing, whose panels lie as it says: what is looked over is made next. */
const settledSections = memo(
  (
    wing: WingParameters,
    laid: readonly LaidPanel[],
    thicknessMm: number,
    width: number,
  ): readonly PanelSections[] | WingRefusal => {
    let askew = laid.map(() => 0),
      found: readonly PanelSections[] | WingRefusal = [];
    for (let round = 0; round < ROUNDS; round++) {
      const widthMm = Math.max(...laid.map(({ panel }, index) => chordwise(width, askew[index]!, panel.spanMm)));
      found = sectionsAt(wing, laid, thicknessMm, widthMm);
      if ('refused' in found) return found;
      const runs = found.map(
        ({ root, tip }, index) => laid[index]!.tipNoseMm + tip.sparFrontMm - laid[index]!.rootNoseMm - root.sparFrontMm,
      );
      if (runs.every((run, index) => Math.abs(run - askew[index]!) < 1e-6)) break;
      askew = runs;
    }
    return found;
  },
  (_laid, thicknessMm, width) => `${thicknessMm}/${width}`,
  2,
);

function sectionsAt(
  wing: WingParameters,
  laid: readonly LaidPanel[],
  thicknessMm: number,
  sparWidthMm: number,
): readonly PanelSections[] | WingRefusal {
  const isDrawn = wing.section.kind !== 'strip-spar';
  // A bent top lies nearly as a creased one does over the same spar: what leaves that plane leaves this least twisted.
  const creased: WingParameters = wing.skin === 'bent' ? { ...wing, skin: 'creased' } : wing;
  let root = endSection(
    wing,
    wing.rootChordMm,
    (wing.rootChordMm * wing.sparPercent) / 100,
    wing.sparHeightMm,
    sparWidthMm,
    thicknessMm,
  );
  if (isRefusal(root)) return { ...root, path: root.key ?? 'rootChordMm' };
  const sections: PanelSections[] = [];
  for (const [index, { panel }] of laid.entries()) {
    const before: EndSection = root;
    const flat =
      isDrawn || before.section.isOpen || before.section.isSolid
        ? undefined
        : endSection(creased, before.chordMm, before.sparFrontMm, before.sparHeightMm, sparWidthMm, thicknessMm);
    const plane =
      flat && !isRefusal(flat) ? planeSpar(flat.section, before.chordMm, panel.tipChordMm, thicknessMm) : undefined;
    // A rod is as thick at the tip as at the root.
    const given = wing.sparKind === 'rod' ? wing.sparHeightMm : panel.tipSparHeightMm,
      isGiven = given !== undefined && !isDrawn;
    const share = panel.tipChordMm / before.chordMm;
    const isPlane = !isGiven && (plane?.heightMm ?? 0) >= LEAST_SPAR_MM;
    const tipWith = (frontMm: number, heightMm: number): EndSection | SectionRefusal =>
      endSection(wing, panel.tipChordMm, frontMm, heightMm, sparWidthMm, thicknessMm);
    const scaled = (): EndSection | SectionRefusal =>
      tipWith(before.sparFrontMm * share, isGiven ? given : Math.max(LEAST_SPAR_MM, before.sparHeightMm * share));
    // Where a blunt nose leaves hardly a slope the plane one may have no room for its spar: then both slopes twist a little.
    const wanted = isPlane ? tipWith(plane!.frontMm, plane!.heightMm) : scaled(),
      tip = isPlane && isRefusal(wanted) ? scaled() : wanted;
    if (isRefusal(tip)) return tipRefusal(tip, index, panel.tipChordMm, before.chordMm);
    sections.push({ root: before, tip });
    root = tip;
  }
  return sections;
}

/** A refusal at a tip is about the tip's chord or its spar: the root was well. */
function tipRefusal(refusal: SectionRefusal, index: number, tipChordMm: number, rootChordMm: number): WingRefusal {
  return {
    refused: `${refusal.refused} at the tip of panel ${index + 1}`,
    detail: refusal.detail,
    key: 'tipChordMm',
    nearest: Math.ceil(Math.min(rootChordMm, tipChordMm + (rootChordMm - tipChordMm) / 2)),
    path: `panels.${index}.tipChordMm`,
  };
}

/** The outer corners of an end's section in its panel's frame: turned by its washout about the spar's foot, and moved to its nose. */
export function placedCorners(
  { section, sparFrontMm }: EndSection,
  noseMm: number,
  washoutDegrees: number,
): readonly Point[] {
  const cos = Math.cos(radians(washoutDegrees)),
    sin = Math.sin(radians(washoutDegrees));
  return section.corners.map(({ x, y }) => ({
    x: noseMm + sparFrontMm + (x - sparFrontMm) * cos - y * sin,
    y: (x - sparFrontMm) * sin + y * cos,
  }));
}
