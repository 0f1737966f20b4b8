import { splitInAirframe, standardBoard, type Airframe } from '@grain-fold/core/airframe';
import type { AirframeAction } from '@grain-fold/core/checks';
import { boardName } from '@grain-fold/core/stock';
import { countOf } from '@grain-fold/core/units';

/** Mends that change the airframe; the others only lead somewhere. */
export type CarriedOutAction = Exclude<AirframeAction, { name: 'startOutline' | 'seeFolded' }>;

/**
 * An airframe after a mend that concerns more than one part, and the name of the step.
 * @param freshId gives an id that nothing has, by its first letter
 */
export function carriedOut(
  airframe: Airframe,
  action: CarriedOutAction,
  freshId: (prefix: string) => string,
): { readonly label: string; readonly airframe: Airframe } {
  const { boards, parts, settings } = airframe;
  switch (action.name) {
    case 'removePart':
      return {
        label: `Remove ${parts.find(({ id }) => id === action.partId)?.name ?? 'part'}`,
        airframe: { ...airframe, parts: parts.filter(({ id }) => id !== action.partId) },
      };
    case 'splitPart': {
      const done = splitInAirframe(airframe, action.partId, freshId('p'));
      return {
        label: `Split ${parts.find(({ id }) => id === action.partId)?.name ?? 'part'}`,
        airframe: done?.airframe ?? airframe,
      };
    }
    case 'setScale':
      return {
        label: `Scale to ${action.factor.toFixed(3)}`,
        airframe: { ...airframe, settings: { ...settings, scale: action.factor } },
      };
    case 'setNest': {
      const { name: _name, ...changes } = action;
      return {
        label: 'Change nest',
        airframe: { ...airframe, settings: { ...settings, nest: { ...settings.nest, ...changes } } },
      };
    }
    case 'countBoards':
      return {
        label: `Count ${countOf(action.count, 'board')}`,
        airframe: {
          ...airframe,
          boards: boards.map((board) => (board.id === action.boardId ? { ...board, count: action.count } : board)),
        },
      };
    case 'addBoard':
      return {
        label: `Add board of ${action.material}`,
        airframe: { ...airframe, boards: [...boards, standardBoard(freshId('b'), action.material, settings.unit)] },
      };
    case 'addBoardOf': {
      const { material, widthMm, heightMm } = action;
      const {
        outline: _outline,
        blemishes: _blemishes,
        ...like
      } = boards.find((board) => board.material === material) ?? standardBoard('', material);
      const name = boardName(material, widthMm, heightMm, settings.unit);
      const fresh = { ...like, id: freshId('b'), name, widthMm, heightMm, count: 1 };
      return { label: `Add board of ${material}`, airframe: { ...airframe, boards: [...boards, fresh] } };
    }
  }
}
