import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import type { OperationDraft } from '../../operations/index.ts';
import type { PanelSite } from './panel.ts';

/** Bevels of less than this are none, in degrees. */
const SQUARE_DEGREES = 0.05;

/** The bevel of one of a panel's tail edges; undefined where it is cut square. */
export function tailBevel(site: PanelSite, side: 'low' | 'top'): OperationDraft | undefined {
  const { sections } = site,
    which = side === 'low' ? 'lowDegrees' : 'topDegrees';
  // A bevel runs square to its edge, which a taper leans.
  const { root, tip } = site.skin.ends[0]!,
    lean = Math.atan2(tip.y - root.y, tip.x - root.x);
  // Where both ends differ the steeper one: glue takes a gap, foam that presses has no place to go.
  const along = Math.max(sections.root.section.tailBevels[which], sections.tip.section.tailBevels[which]);
  const bevelDegrees = (Math.atan(Math.tan((along * Math.PI) / 180) * Math.cos(lean)) * 180) / Math.PI;
  if (bevelDegrees < SQUARE_DEGREES) return undefined;
  return {
    kind: 'bevel',
    face: 'face',
    bevelDegrees,
    ...(bevelDegrees > STEEPEST_BEVEL_DEGREES ? { cutBy: 'block' as const } : {}),
    label: 'tail',
  };
}
