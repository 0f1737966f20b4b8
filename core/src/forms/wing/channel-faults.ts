import { formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, FormFault } from '../form/index.ts';
import { blocking } from '../form/index.ts';
import type { PanelSite } from './panel.ts';
import type { WingParameters } from './parameters.ts';
import { stripOf, stripsOf } from './spar-strip.ts';

/** Boards that a channel is wide at least: two walls, and room between them. */
const LEAST_BOARDS = 3;
/** What of a wall hangs under the cap at least, in mm. */
const LEAST_WALL_MM = 2;

/** A channel that is too narrow for its two walls. */
export function channelNumberFaults({ sparKind, sparBoards }: WingParameters): readonly FormFault[] {
  if (sparKind !== 'channel' || sparBoards >= LEAST_BOARDS) return [];
  return [
    blocking(
      'CHANNEL_NARROW',
      'sparBoards',
      `A channel of ${sparBoards} boards has no room between its walls`,
      `Each wall is a board thick: it is at least ${LEAST_BOARDS} boards wide.`,
      `Set ${LEAST_BOARDS}`,
      [{ path: 'sparBoards', value: LEAST_BOARDS }],
    ),
  ];
}

/** A channel so low somewhere that its walls would lie within its cap. */
export function channelFaults(sites: readonly PanelSite[], { unit }: FormContext): readonly FormFault[] {
  const { wing, board } = sites[0]!;
  if (wing.sparKind !== 'channel') return [];
  const heights = sites.flatMap((site) =>
    Array.from({ length: stripsOf(site) }, (_, index) => stripOf(site, index)).flatMap(({ root, tip }) => [
      root.top - root.foot,
      tip.top - tip.foot,
    ]),
  );
  const lowest = Math.min(...heights),
    least = board.thicknessMm + LEAST_WALL_MM;
  if (lowest >= least) return [];
  return [
    blocking(
      'CHANNEL_LOW',
      'sparKind',
      `The channel would be ${formatLengthWithUnit(lowest, unit)} high where it is lowest`,
      `Its cap is a board thick, and its walls want ${formatLengthWithUnit(least, unit)} at least.`,
      'Take strips side by side',
      [{ path: 'sparKind', value: 'strips' }],
    ),
  ];
}
