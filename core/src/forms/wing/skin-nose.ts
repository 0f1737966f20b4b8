import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import { dot3 } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import type { UnrolledPlate } from '../skin/index.ts';
import type { MadeEdgeWork, MadeSeam } from '../form/index.ts';
import type { PanelSite } from './panel.ts';
import { isParted, partingLines, upperRole } from './skin-sheets.ts';

/** The greatest angle between the insides of two plates that meet, in degrees: twisted ones have two pieces. */
const steepest = (low: UnrolledPlate, top: UnrolledPlate): number =>
  Math.max(
    ...low.pieces.flatMap((one) =>
      top.pieces.map((other) => degrees(Math.acos(Math.max(-1, Math.min(1, dot3(one.inward, other.inward)))))),
    ),
  );

/** The bevels along the nose of a skin of two sheets: both mitred where they end in one corner, else the lower one feathered under the upper. */
export function noseWork(site: PanelSite): readonly MadeEdgeWork[] {
  if (!isParted(site)) return [];
  const [low, top] = partingLines(site),
    { turns, plates } = site.skin;
  const bevels: readonly (readonly [edge: string, bevelDegrees: number])[] =
    low === top
      ? [
          ['nose-low', turns[low]! / 2],
          ['nose-top', turns[low]! / 2],
        ]
      : [['nose-low', steepest(plates[low - 1]!, plates[top]!) - 90]];
  return bevels.map(([edge, bevelDegrees]) => ({
    name: `bevel-${edge}`,
    edges: [edge],
    work: {
      kind: 'bevel',
      face: 'face',
      bevelDegrees,
      ...(bevelDegrees > STEEPEST_BEVEL_DEGREES ? { cutBy: 'block' as const } : {}),
      label: 'nose',
    },
  }));
}

/** The seam along the nose between both sheets of a skin. */
export const noseSeams = (site: PanelSite): readonly MadeSeam[] =>
  isParted(site)
    ? [
        {
          name: 'nose',
          from: 'nose-low',
          to: 'nose-top',
          role: upperRole(site, site.laid.number),
          mayOverhang: true,
        },
      ]
    : [];
