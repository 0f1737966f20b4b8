import { pagesOf, titleOf, type Airframe } from '../../airframe/index.ts';
import { strokeText } from '../../features/index.ts';
import { circlePath, compose, rotation, transformPath, translation } from '../../geometry/index.ts';
import type { Ink } from '../../ink/index.ts';
import { frameOfPage, pageInk } from '../../pages/index.ts';
import { CoreError } from '../../units/index.ts';
import { clippedToBox } from '../pdf/clip-path.ts';
import { runsThrough } from '../drawing.ts';
import type { WrittenDrawing, WrittenLine } from './written-drawing.ts';

/** Layers of a page: what is drawn, and its words in letters of single strokes. */
const INK_LAYER = 'page',
  WORDS = 'page words';

/**
 * One of the printed pages of an airframe as lines, for a plotter. @param number from 1
 * @throws CoreError NOT_FOUND when there is no such page; OUT_OF_RANGE when its page settings cannot print
 */
export function pageDrawing(airframe: Airframe, number: number, version: number, date: string): WrittenDrawing {
  const plan = pagesOf(airframe),
    page = plan.pages[number - 1];
  if (!page) throw new CoreError('NOT_FOUND', `There are pages 1 to ${plan.pages.length}, got ${number}.`, { number });
  const { widthMm, heightMm } = frameOfPage(plan, page);
  return {
    title: `${airframe.name}, page ${number}`,
    lines: pageInk(plan, page, titleOf(airframe, version, date)).flatMap(linesOf),
    bounds: { minX: 0, minY: 0, maxX: widthMm, maxY: heightMm },
  };
}

function linesOf(ink: Ink): readonly WrittenLine[] {
  switch (ink.kind) {
    case 'path':
      // White over a line is no line.
      return ink.path.length > 0 && ink.tone !== 'paper'
        ? [{ layer: INK_LAYER, path: ink.path, isClosed: ink.closed }]
        : [];
    case 'disc':
      return [{ layer: INK_LAYER, path: circlePath(ink.at, ink.radiusMm), isClosed: true }];
    case 'text':
      return textLines(ink);
    case 'clip':
      return ink.inks.flatMap(linesOf).flatMap((line) =>
        clippedToBox(line.path, ink.box).map((path) => ({
          ...line,
          path,
          isClosed: line.isClosed && path.length === line.path.length,
        })),
      );
  }
}

function textLines({ text, sizeMm, at, align, angleDegrees }: Extract<Ink, { kind: 'text' }>): readonly WrittenLine[] {
  // Capitals are about seven tenths as high as a type is large.
  const { strokes, widthMm } = strokeText(text, 0.7 * sizeMm);
  const back = align === 'left' ? 0 : align === 'centre' ? widthMm / 2 : widthMm;
  const t = compose(compose(translation(-back, 0), rotation(angleDegrees)), translation(at.x, at.y));
  return strokes.map((chain) => ({ layer: WORDS, path: transformPath(t, runsThrough(chain, false)), isClosed: false }));
}
