import { lineInk, textInk, wrapped, type Ink } from '../ink/index.ts';
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts';
import { TEST_ACROSS_MM, TEST_UP_MM, type Printer } from './printer.ts';
import { printerWords } from './correction.ts';

const ARM_MM = 6;
const TEXT_MM = 4;
const LEADING_MM = 6;

/** Where the crosses of a test page stand, from the paper's lower left corner in mm: lower left, lower right, upper right, upper left. */
export const testCrosses = (widthMm: number, heightMm: number) => {
  const [minX, minY] = [(widthMm - TEST_ACROSS_MM) / 2, (heightMm - TEST_UP_MM) / 2];
  return [
    { x: minX, y: minY },
    { x: minX + TEST_ACROSS_MM, y: minY },
    { x: minX + TEST_ACROSS_MM, y: minY + TEST_UP_MM },
    { x: minX, y: minY + TEST_UP_MM },
  ] as const;
};

/** A page to measure a printer by: four crosses, named, and what to measure between them. */
export function testPage(
  printer: Printer,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  unit: LengthUnit,
  date: string,
): readonly Ink[] {
  const crosses = testCrosses(widthMm, heightMm),
    names = ['A', 'B', 'C', 'D'] as const;
  const length = (mm: number): string => formatLengthWithUnit(mm, unit, unit === 'mm' ? 1 : 3),
    diagonal = Math.hypot(TEST_ACROSS_MM, TEST_UP_MM);
  const lines = [
    `Printed at actual size, A to B measures ${length(TEST_ACROSS_MM)} and A to D ${length(TEST_UP_MM)};`,
    `A to C and D to B both ${length(diagonal)}.`,
    'Measure from cross to cross with a steel rule, to a tenth, and enter what you read under Printer.',
    'Then print this page again: it is corrected by then, and should measure true.',
  ].flatMap((words) => wrapped(words, Math.floor((widthMm - 60) / (TEXT_MM * 0.46))));
  const middle = widthMm / 2,
    top = heightMm / 2 + 30;
  return [
    ...crosses.flatMap(({ x, y }, index): readonly Ink[] => [
      lineInk({ x: x - ARM_MM, y }, { x: x + ARM_MM, y }, 0.15),
      lineInk({ x, y: y - ARM_MM }, { x, y: y + ARM_MM }, 0.15),
      textInk({ x: x + (index === 0 || index === 3 ? 3 : -6), y: y + (index < 2 ? 3 : -6) }, names[index]!, 5, {
        weight: 'bold',
      }),
    ]),
    textInk({ x: middle, y: top + 16 }, printer.name, 8, { weight: 'bold', align: 'centre' }),
    textInk(
      { x: middle, y: top + 8 },
      `${date} · ${printer.measuredOn ? `corrected: it prints ${printerWords(printer.map)}` : 'not corrected yet'}`,
      3.4,
      { weight: 'figure', align: 'centre' },
    ),
    ...lines.map((words, index) =>
      textInk({ x: middle, y: top - 4 - index * LEADING_MM }, words, TEXT_MM, { align: 'centre' }),
    ),
  ];
}
