import type { PaperPage } from '../../airframe/index.ts';
import { boundsHeight, boundsWidth, transformPath, translation } from '../../geometry/index.ts';
import type { Ink } from '../../ink/index.ts';
import { BOARD_LAYER, CUT_LAYER, WORDS_LAYER } from './layer-names.ts';
import type { WrittenDrawing } from './written-drawing.ts';

/** Room round a drawing in mm. */
const ROOM_MM = 5;
const WORK_DASH_MM = [4, 1.5];

/** A drawing on one sheet as large as it needs, at true size. */
export function drawingPage({ lines, bounds }: WrittenDrawing): PaperPage {
  const t = translation(ROOM_MM - bounds.minX, ROOM_MM - bounds.minY);
  return {
    widthMm: boundsWidth(bounds) + 2 * ROOM_MM,
    heightMm: boundsHeight(bounds) + 2 * ROOM_MM,
    inks: lines.map(({ layer, path, isClosed }): Ink => {
      const isWhole = layer === CUT_LAYER || layer === BOARD_LAYER || layer === WORDS_LAYER;
      return {
        kind: 'path',
        path: transformPath(t, path),
        closed: isClosed,
        widthMm: layer === CUT_LAYER ? 0.35 : 0.2,
        tone: layer === BOARD_LAYER ? 'grey' : 'ink',
        ...(isWhole ? {} : { dashMm: WORK_DASH_MM }),
      };
    }),
  };
}
