import { boundsHeight, boundsOf, boundsWidth } from '../../geometry/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, FormFault } from '../form/index.ts';
import type { PanelSite } from './panel.ts';
import { isParted, skinSheets } from './skin-sheets.ts';

/** Skins that no board holds, lying along it: two sheets are narrower, two panels are shorter. */
export function boardAdvice(site: PanelSite, { unit }: FormContext): readonly FormFault[] {
  const { board, laid, wing } = site,
    { longestMm, widthMm } = board;
  if (longestMm === undefined || widthMm === undefined) return [];
  const length = (mm: number): string => formatLengthWithUnit(mm, unit, 0);
  return skinSheets(site).flatMap(({ skin, word }): readonly FormFault[] => {
    const bounds = boundsOf(skin.flat.flatMap(({ root, tip }) => [root, tip])),
      [long, wide] = [boundsWidth(bounds), boundsHeight(bounds)];
    if (long <= longestMm && wide <= widthMm) return [];
    const isWide = wide > widthMm;
    return [
      {
        code: 'SKIN_PAST_BOARD',
        path: isWide ? 'nose' : `panels.${laid.number - 1}.spanMm`,
        title: `The ${word} of panel ${laid.number} is ${length(long)} × ${length(wide)} on the flat`,
        detail: `The largest board of ${wing.material} is ${length(longestMm)} × ${length(widthMm)}: ${
          isWide ? 'take a smaller chord, or two sheets' : 'make two panels of it'
        }.`,
        isBlocking: false,
        ...(isWide && !isParted(site) && (wing.build ?? 'folded') === 'folded'
          ? { mend: { label: 'Make it of two sheets', changes: [{ path: 'nose', value: 'parted' }] } }
          : {}),
      },
    ];
  });
}
