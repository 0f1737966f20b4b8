import { formatAngle } from '../units/index.ts';
import type { OperationBase } from './operation-base.ts';
import { ANGLE_BOUNDS } from './operation-field.ts';
import type { OperationTraits } from './operation-kind.ts';
import { plainLine } from './plain-line.ts';
import { sampleCentre } from './sample-marks.ts';

/** The board curves over this line by itself, between its neighbours: nothing is cut or dented. A bend is a row of them. */
export interface Bend extends OperationBase {
  readonly kind: 'bend';
  readonly foldDegrees: number;
  /** How deep under the far skin the board keeps its length, in per cent of its thickness; 0, the far skin itself, when undefined. */
  readonly neutralPercent?: number;
}

/** What the strips of a bend turn against each other at most: finer strips lie nearer to the curve. */
const MOST_BEND_DEGREES = 20;

/** A line of a bent region: drawn so that the bend is known on the flat board, and folded by its share of it. */
export const bend: OperationTraits<Bend> = {
  ...plainLine,
  kind: 'bend',
  word: 'bend',
  toolWord: 'bend',
  key: 'Q',
  hint: 'Click both ends of the line that the board bends over',
  fold: {
    sign: 1,
    numbers: (by) => ({ foldDegrees: Math.min(by, MOST_BEND_DEGREES) }),
    cannot: (by) =>
      by > MOST_BEND_DEGREES ? `One line of a bend turns by up to ${MOST_BEND_DEGREES}°, got ${by}.` : undefined,
  },
  fields: [
    { key: 'foldDegrees', word: 'Turns by', name: 'turn', kind: 'angle', ...ANGLE_BOUNDS, isOnLine: true },
    {
      key: 'neutralPercent',
      word: 'Keeps its length at, % of depth',
      name: 'depth of the neutral line',
      kind: 'count',
      least: 0,
      most: 100,
      usual: 0,
    },
  ],
  defaults: { kind: 'bend', face: 'face', foldDegrees: 5 },
  plateSide: ({ face }) => ({ kind: 'fold', runMm: 0, face }),
  caption: () => '',
  angleDegrees: (operation) => operation.foldDegrees,
  faults: (operation) => {
    if (Math.abs(operation.foldDegrees) <= MOST_BEND_DEGREES && operation.foldDegrees !== 0) return [];
    const mended = operation.foldDegrees === 0 ? 5 : Math.sign(operation.foldDegrees) * MOST_BEND_DEGREES;
    return [
      {
        code: 'BEND_STEEP',
        title: `One line of a bend cannot turn ${formatAngle(operation.foldDegrees)}`,
        detail: `Board bends by up to ${MOST_BEND_DEGREES}° from strip to strip. Use more lines, or crease it.`,
        mend: { label: `Turn ${mended}°`, changes: { foldDegrees: mended } },
      },
    ];
  },
  marks: (_stroke, pen) => [...pen.centres('thin', 'dots'), ...pen.ends()],
  sample: [sampleCentre('thin', 'dots')],
  legend: 'bend, nothing cut',
  cutting: { order: 85, words: 'bend over', angleWords: (angle) => `turns ${formatAngle(angle)}` },
  seamCost: 1,
};
