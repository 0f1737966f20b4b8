import {
  boundsHeight,
  compose,
  rotation,
  translation,
  type Bounds,
  type Point,
  type Transform,
} from '../geometry/index.ts';
import { lineInk, moveInk, textInk, type Ink } from '../ink/index.ts';
import { MM_PER_INCH } from '../units/index.ts';

/** The bars that a builder measures to prove the printer: full length where there is room. */
export const BAR_MM = 100;
export const BAR_INCHES = 4;

/** A measuring bar with end strokes and divisions; the figure stands beside it. */
export function barAcross(at: Point, lengthMm: number, divisionMm: number, figure: string): readonly Ink[] {
  if (lengthMm <= 0) return [];
  const ticks = Array.from({ length: Math.round(lengthMm / divisionMm) + 1 }, (_, index) => at.x + index * divisionMm);
  return [
    lineInk({ x: at.x, y: at.y }, { x: at.x + lengthMm, y: at.y }, 0.25),
    ...ticks.map((x, index) =>
      lineInk({ x, y: at.y }, { x, y: at.y + (index === 0 || index === ticks.length - 1 ? 3 : 1.4) }, 0.2),
    ),
    textInk({ x: at.x + lengthMm + 1.5, y: at.y + 0.4 }, figure, 2.8, { weight: 'bold' }),
  ];
}

/** The same bars up the page, so that both directions of the printer can be measured. */
export function barsUp(gutter: Bounds): readonly Ink[] {
  const room = boundsHeight(gutter) - 14;
  const first = Math.min(BAR_MM, Math.floor(room / 20) * 10);
  const second = Math.min(BAR_INCHES, Math.floor((room - first - 12) / MM_PER_INCH));
  const turn = (base: Point): Transform => compose(rotation(90), translation(base.x, base.y));
  const upright = (inks: readonly Ink[], t: Transform): readonly Ink[] => inks.map((ink) => moveInk(ink, t));
  const x = gutter.minX + 5;
  return [
    ...upright(barAcross({ x: 0, y: 0 }, first, 10, `${first} mm`), turn({ x, y: gutter.minY + 2 })),
    ...(second > 0
      ? upright(
          barAcross({ x: 0, y: 0 }, second * MM_PER_INCH, MM_PER_INCH / 2, `${second} in`),
          turn({ x, y: gutter.minY + first + 16 }),
        )
      : []),
  ];
}
