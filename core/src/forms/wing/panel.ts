import type { Point } from '../../geometry/index.ts';
import type { LengthUnit } from '../../units/index.ts';
import type { FormBoard, FormContext, FormPlace } from '../form/index.ts';
import { endPlane, plateTrims, unrollSkin, type SkinEnd, type SkinLine, type UnrolledSkin } from '../skin/index.ts';
import type { LaidPanel } from './panel-layout.ts';
import { panelLines } from './panel-lines.ts';
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
  const tips = placedCorners(sections.tip, laid.tipNoseMm, laid.tipWashoutDegrees),
    lines = panelLines(laid, roots, tips, plates, about.board.thicknessMm);
  const first = firstPlate(plates, lines),
    plain = unrollSkin(lines, root.plane, tip.plane, first);
  // Twisted plates bend from corner to corner: where those lie is known once the ends are cut.
  const skin = plain.plates.some(({ bend }) => bend)
    ? unrollSkin(lines, root.plane, tip.plane, first, plateTrims(plain, plates, root, tip, about.board.thicknessMm))
    : plain;
  return { ...about, laid, sections, root, tip, skin, isLast };
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
