import { add3, subtract3, times3, type Point } from '../../geometry/index.ts';
import { radians, type LengthUnit } from '../../units/index.ts';
import type { FormBoard, FormContext, FormPlace } from '../form/index.ts';
import { endPlane, unrollSkin, type SkinEnd, type SkinLine, type UnrolledSkin } from '../skin/index.ts';
import type { LaidPanel } from './panel-layout.ts';
import { placedCorners, type PanelSections } from './panel-sections.ts';
import type { WingParameters } from './parameters.ts';

/** All that the parts of one panel are made from. */
export interface PanelSite {
  readonly formId: string;
  readonly formName: string;
  readonly place: FormPlace;
  readonly wing: WingParameters;
  readonly board: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: LengthUnit;
  readonly laid: LaidPanel;
  readonly sections: PanelSections;
  readonly skin: UnrolledSkin;
  readonly root: SkinEnd;
  readonly tip: SkinEnd;
  /** Number of the first panel that has a pair's skins: a joint leads to the next, or across the middle. */
  readonly isLast: boolean;
}

/** Ends of a joint stay this far before its plane: glue takes the room, and nothing presses. */
export const GLUE_FILM_MM = 0.04;

/** How a panel's parts are called when there is more than one panel. */
export const panelWord = ({ wing, laid }: Pick<PanelSite, 'wing' | 'laid'>): string =>
  wing.panels.length === 1 ? '' : laid.isMiddle ? ' middle' : ` ${laid.number}`;

/**
 * The lines of a panel's skin, from where its root's corners lie in the plane of that joint to where its tip's lie in theirs: so both
 * panels of a joint end in the same corners, however they are swept.
 * @param roots corners of the inner section: aft, and up
 */
function panelLines(
  { panel, rootTiltDegrees, tipTiltDegrees }: LaidPanel,
  roots: readonly Point[],
  tips: readonly Point[],
  plates: PanelSections['root']['section']['plates'],
): readonly SkinLine[] {
  const atRoot = Math.tan(radians(rootTiltDegrees)),
    atTip = Math.tan(radians(tipTiltDegrees));
  const lines = roots.map((corner, index): SkinLine => ({
    root: { x: corner.y * atRoot, y: corner.x, z: corner.y },
    tip: { x: panel.spanMm - tips[index]!.y * atTip, y: tips[index]!.x, z: tips[index]!.y },
  }));
  const strip = plates.findIndex(({ isSkin }) => isSkin);
  return strip < 0
    ? lines
    : lines.map((line, index) => (index === strip + 1 ? besideLine(lines[strip]!, line, panel.spanMm, atTip) : line));
}

/**
 * The upper line of a nose's strip of skin: beside the lower one all along, since a trench has one width and its skin no twist.
 * @returns it starts at its own root and ends in the plane of the tip's joint
 */
function besideLine(low: SkinLine, { root }: SkinLine, spanMm: number, atTip: number): SkinLine {
  const along = subtract3(low.tip, low.root);
  const share = (spanMm - root.z * atTip - root.x) / (along.x + along.z * atTip);
  return { root, tip: add3(root, times3(along, share)) };
}

/** The corners at a panel's tip as they came to lie, aft and up, for the next panel to go on from. */
export const tipCorners = ({ skin }: PanelSite): readonly Point[] =>
  skin.ends.map(({ tip }) => ({ x: tip.y, y: tip.z }));

/** Whether a panel is of one sheet, without a spar and skins over it. */
export const isSheet = ({ sections }: Pick<PanelSite, 'sections'>): boolean => Boolean(sections.root.section.isOpen);

/** Whether a panel is of folded skins: not of one sheet, nor of foam all through. */
export const hasSkins = ({ sections }: Pick<PanelSite, 'sections'>): boolean =>
  !sections.root.section.isOpen && !sections.root.section.isSolid;

/** Both ends of a panel, and its skin unrolled between them. */
export function panelSite(
  about: Pick<PanelSite, 'formId' | 'formName' | 'place' | 'wing' | 'board' | 'boardOf' | 'unit'>,
  laid: LaidPanel,
  sections: PanelSections,
  roots: readonly Point[],
): PanelSite {
  const { wing } = about,
    { panel } = laid,
    { plates } = sections.root.section;
  const isLast = laid.number === wing.panels.length;
  const root: SkinEnd = {
      plane: endPlane(0, laid.rootTiltDegrees, false),
      school: wing.ends,
      filmMm: laid.isMiddle && isLast ? 0 : GLUE_FILM_MM,
    },
    tip: SkinEnd = {
      plane: endPlane(panel.spanMm, laid.tipTiltDegrees, true),
      school: wing.ends,
      filmMm: isLast ? 0 : GLUE_FILM_MM,
    };
  const lines = panelLines(laid, roots, placedCorners(sections.tip, laid.tipNoseMm, laid.tipWashoutDegrees), plates);
  return {
    ...about,
    laid,
    sections,
    root,
    tip,
    skin: unrollSkin(lines, root.plane, tip.plane, firstPlate(plates, lines)),
    isLast,
  };
}

/** The plate that is laid first: the widest at the root that is board. */
function firstPlate(plates: readonly { readonly isSkin?: true }[], lines: readonly SkinLine[]): number {
  const width = (index: number): number =>
    Math.hypot(lines[index + 1]!.root.y - lines[index]!.root.y, lines[index + 1]!.root.z - lines[index]!.root.z);
  return plates.reduce<number>(
    (best, { isSkin }, index) => (isSkin || (best >= 0 && width(index) <= width(best)) ? best : index),
    -1,
  );
}
