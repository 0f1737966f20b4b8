import type { SectionPlate } from '../section/index.ts';
import type { UnrolledSkin } from '../skin/index.ts';
import { isSheet, type PanelSite } from './panel.ts';

/** One sheet of board that a panel's skin is cut of: the whole of it, or the lower or the upper one of two. */
export interface SkinSheet {
  readonly role: string;
  /** `skin`, `plate`, `lower skin`. */
  readonly word: string;
  readonly isLower: boolean;
  readonly isUpper: boolean;
  /** Its own part of the panel's skin, where that lies on the flat. */
  readonly skin: UnrolledSkin;
  readonly plates: readonly SectionPlate[];
  /** What the edges along its first and its last line are called. */
  readonly edges: readonly [first: string, last: string];
}

/** The role of the part whose upper edge closes the tail of a panel. */
export const upperRole = (site: Pick<PanelSite, 'wing' | 'sections'>, panel: number): string =>
  isParted(site) ? `cover-${panel}` : `skin-${panel}`;

/** Whether the skin is of two sheets, glued to each other along the nose. */
export const isParted = ({ wing, sections }: Pick<PanelSite, 'wing' | 'sections'>): boolean =>
  wing.nose === 'parted' && !sections.root.section.isOpen && !sections.root.section.isSolid;

/** The lines at which a parted skin's lower sheet ends and its upper one begins; one line where both end in one corner. */
export function partingLines({ sections }: Pick<PanelSite, 'sections'>): readonly [lower: number, upper: number] {
  const { plates } = sections.root.section,
    gap = plates.findIndex((plate) => plate.isParted);
  if (gap >= 0) return [gap, gap + 1];
  const upper = plates.findIndex(({ role }) => role.startsWith('top'));
  return [upper, upper];
}

/** The sheets of a panel's skin, the lower one first. */
export function skinSheets(site: PanelSite): readonly SkinSheet[] {
  const { skin, laid, sections } = site,
    { plates } = sections.root.section,
    own = { skin, plates };
  if (isSheet(site))
    return [
      { ...own, role: `skin-${laid.number}`, word: 'plate', isLower: true, isUpper: true, edges: ['tail-low', 'nose'] },
    ];
  if (!isParted(site))
    return [
      {
        ...own,
        role: `skin-${laid.number}`,
        word: 'skin',
        isLower: true,
        isUpper: true,
        edges: ['tail-low', 'tail-top'],
      },
    ];
  const [low, top] = partingLines(site);
  return [
    {
      ...between(skin, plates, 0, low),
      role: `skin-${laid.number}`,
      word: 'lower skin',
      isLower: true,
      isUpper: false,
      edges: ['tail-low', 'nose-low'],
    },
    {
      ...between(skin, plates, top, plates.length),
      role: upperRole(site, laid.number),
      word: 'upper skin',
      isLower: false,
      isUpper: true,
      edges: ['nose-top', 'tail-top'],
    },
  ];
}

/** A skin's plates between two of its lines, where they lie on the flat: nothing folds over the lines at both ends. */
function between(
  { ends, flat, plates: unrolled, turns }: UnrolledSkin,
  plates: readonly SectionPlate[],
  from: number,
  to: number,
): Pick<SkinSheet, 'skin' | 'plates'> {
  const own = turns.slice(from, to + 1).map((turn, index) => (index === 0 || index === to - from ? 0 : turn));
  return {
    skin: {
      ends: ends.slice(from, to + 1),
      flat: flat.slice(from, to + 1),
      plates: unrolled.slice(from, to),
      turns: own,
    },
    plates: plates.slice(from, to),
  };
}
