import {
  MOST_OPEN_DEGREES,
  MOST_TRENCH_LAYERS,
  openTrenchWidth,
  trenchWidth,
  type TrenchFold,
} from '../allowance/index.ts';
import { scatter } from '../marks/index.ts';
import { formatAngle, lengthText } from '../units/index.ts';
import { bandOn } from './band.ts';
import type { OperationBase } from './operation-base.ts';
import { SIZE_BOUNDS } from './operation-field.ts';
import type { OperationTraits } from './operation-kind.ts';
import { sampleDot, SAMPLE_RAILS } from './sample-marks.ts';

/** Strip of foam removed, far skin kept. */
export interface Trench extends OperationBase {
  readonly kind: 'trench';
  readonly foldDegrees: TrenchFold;
  /** Width in mm; auto follows the measured thickness. */
  readonly widthMm: number | 'auto';
  /** Where the strip lies, looking along the line. */
  readonly side: 'centre' | 'left' | 'right';
  /** Boards that stand on it or that it wraps round; one when undefined. */
  readonly layers?: number;
  /** By how much a doubled fold stays open, as a wing's nose does; 0 when undefined. */
  readonly openDegrees?: number;
  /** How much more than half of the turn a doubled fold takes at the edge right of its line; 0 when undefined. */
  readonly leanDegrees?: number;
}

const FOAM_DOT_MM = 0.35;
/** A turn beyond this doubles the board, in degrees. */
const DOUBLES_BEYOND_DEGREES = 135;
const OTHER_SIDE = { left: 'right', right: 'left', centre: 'centre' } as const;

const openOf = ({ foldDegrees, openDegrees = 0 }: Trench): number => (foldDegrees === 180 ? openDegrees : 0);
const neededWidth = (operation: Trench, thicknessMm: number): number =>
  openOf(operation) > 0 && (operation.layers ?? 1) === 1
    ? openTrenchWidth(openOf(operation), thicknessMm)
    : trenchWidth(operation.foldDegrees, thicknessMm, operation.layers);
const widthOf = (operation: Trench, thicknessMm: number): number =>
  operation.widthMm === 'auto' ? neededWidth(operation, thicknessMm) : operation.widthMm;

/** Strip of foam removed so that the far skin bends round a wall or doubles back. */
export const trench: OperationTraits<Trench> = {
  kind: 'trench',
  word: 'trench',
  toolWord: 'trench',
  key: 'T',
  hint: 'Click both ends of the fold',
  ground: 'line',
  fold: {
    sign: 1,
    leavesStrip: true,
    numbers: (by) => ({ foldDegrees: by > DOUBLES_BEYOND_DEGREES ? 180 : 90 }),
    cannot: (by) => (by === 90 || by === 180 ? undefined : `A trench folds by 90° or 180°, got ${by}.`),
  },
  fields: [
    {
      key: 'foldDegrees',
      word: 'Folds to',
      name: 'fold',
      kind: 'choice',
      choices: [
        [90, 'wall, 90°'],
        [180, 'doubled, 180°'],
      ],
    },
    {
      key: 'layers',
      word: 'Wall thickness, boards',
      name: 'count of boards',
      kind: 'count',
      least: 1,
      most: MOST_TRENCH_LAYERS,
      usual: 1,
    },
    {
      key: 'openDegrees',
      word: 'Stays open by',
      name: 'opening',
      kind: 'angle',
      least: 0,
      most: MOST_OPEN_DEGREES,
      usual: 0,
    },
    {
      key: 'leanDegrees',
      word: 'Skin leans by',
      name: 'lean of the skin',
      kind: 'angle',
      least: -MOST_OPEN_DEGREES,
      most: MOST_OPEN_DEGREES,
      usual: 0,
    },
    {
      key: 'widthMm',
      word: 'Width',
      name: 'width',
      kind: 'length',
      ...SIZE_BOUNDS,
      auto: 'follows the measured board',
    },
    {
      key: 'side',
      word: 'Strip lies',
      name: 'side',
      kind: 'choice',
      choices: [
        ['centre', 'on the line'],
        ['left', 'left of it'],
        ['right', 'right of it'],
      ],
    },
  ],
  defaults: { kind: 'trench', face: 'face', foldDegrees: 90, widthMm: 'auto', side: 'centre' },
  trueWidthMm: widthOf,
  area: (operation, site) => bandOn(site, widthOf(operation, site.thicknessMm), operation.side),
  cutFace: (_stroke, thicknessMm) => ({ kind: 'level', depthMm: thicknessMm }),
  plateSide: ({ face }) => ({ kind: 'trench', runMm: 0, face }),
  caption: (operation) =>
    operation.foldDegrees === 180
      ? (operation.layers ?? 1) > 1
        ? `trench, round ${operation.layers} boards`
        : openOf(operation) > 0
          ? `trench, to ${formatAngle(180 - openOf(operation))}`
          : 'trench, doubled'
      : `trench ${formatAngle(operation.foldDegrees)}`,
  angleDegrees: (operation) => operation.foldDegrees - openOf(operation),
  faults: (operation, thicknessMm) => {
    const needed = neededWidth(operation, thicknessMm);
    if (operation.widthMm === 'auto' || operation.widthMm >= needed - 0.05) return [];
    return [
      {
        code: 'TRENCH_NARROW',
        title: `Trench ${lengthText(operation.widthMm)} is too narrow for ${formatAngle(operation.foldDegrees)}`,
        detail: `${lengthText(thicknessMm)} board needs ${lengthText(needed)} of foam taken out; less holds the fold open.`,
        mend: { label: `Widen to ${lengthText(needed)}`, changes: { widthMm: 'auto' } },
      },
    ];
  },
  mirrored: ({ leanDegrees, ...operation }) => ({
    ...operation,
    side: OTHER_SIDE[operation.side],
    ...(leanDegrees ? { leanDegrees: -leanDegrees } : {}),
  }),
  marks: (stroke, pen) => [
    ...pen.edges(),
    ...scatter(stroke.area).map((at) => pen.dot(at, FOAM_DOT_MM)),
    ...pen.ends(),
  ],
  sample: [
    ...SAMPLE_RAILS,
    ...[1, 3, 5, 7, 9].map((x) => sampleDot({ x, y: x % 4 === 1 ? FOAM_DOT_MM : -FOAM_DOT_MM }, 0.22)),
  ],
  legend: 'trench: foam out, skin stays',
  cutting: {
    order: 20,
    words: 'trench',
    angleWords: (angle) => `folds ${formatAngle(angle)}`,
    widthWord: 'width',
    toSkin: true,
    blades: 'upright',
  },
};
