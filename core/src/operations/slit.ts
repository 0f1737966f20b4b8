import { slitGap, SLIT_FLOOR_MM } from '../allowance/index.ts';
import { add, leftOf, subtract, times, unitVector, type Point } from '../geometry/index.ts';
import { along, run } from '../marks/index.ts';
import { formatAngle, lengthText } from '../units/index.ts';
import { HELD_BY } from './held-by.ts';
import type { HingeGround, OperationBase } from './operation-base.ts';
import { ANGLE_BOUNDS, SIZE_BOUNDS } from './operation-field.ts';
import { tapeWord, type OperationTraits } from './operation-kind.ts';
import { sampleCentre, sampleLine } from './sample-marks.ts';

/** Plain cut that opens: the board folds away from it. */
export interface Slit extends OperationBase {
  readonly kind: 'slit';
  readonly foldDegrees: number;
  /** Depth in mm; auto leaves the far skin. */
  readonly depthMm: number | 'auto';
  /** As the airframe says when undefined. */
  readonly hingeOn?: HingeGround;
}

const BARB_PITCH_MM = 15;
const BARB_MM = 2.5;
const LARGEST_OPENING_DEGREES = 180;

/** How deep a slit is cut in mm. */
const slitDepth = (operation: Slit, thicknessMm: number): number =>
  operation.depthMm === 'auto' ? Math.max(SLIT_FLOOR_MM, thicknessMm - SLIT_FLOOR_MM) : operation.depthMm;

/** Barbs lean back from the cut on the side that they point to. */
const barb = (direction: Point): Point => unitVector({ x: 0, y: 0 }, subtract(leftOf(direction), direction));

/** A plain cut that opens as the board folds away from it. */
export const slit: OperationTraits<Slit> = {
  kind: 'slit',
  word: 'open slit',
  toolWord: 'slit',
  key: 'I',
  hint: 'Click both ends of the cut; the board folds away from it',
  ground: 'line',
  fold: {
    sign: -1,
    numbers: (by) => ({ foldDegrees: Math.min(by, LARGEST_OPENING_DEGREES) }),
    cannot: (by) =>
      by > LARGEST_OPENING_DEGREES ? `A slit opens by up to ${LARGEST_OPENING_DEGREES}°, got ${by}.` : undefined,
  },
  fields: [
    { key: 'foldDegrees', word: 'Opens by', name: 'opening', kind: 'angle', ...ANGLE_BOUNDS, isOnLine: true },
    { key: 'depthMm', word: 'Depth', name: 'depth', kind: 'length', ...SIZE_BOUNDS, auto: 'leaves the far skin' },
    HELD_BY,
  ],
  defaults: { kind: 'slit', face: 'face', foldDegrees: 30, depthMm: 'auto' },
  trueWidthMm: () => 0,
  depthMm: slitDepth,
  area: () => [],
  plateSide: ({ face }) => ({ kind: 'fold', runMm: 0, face }),
  caption: (operation) =>
    [`opens ${formatAngle(operation.foldDegrees)}`, tapeWord(operation)].filter(Boolean).join(' · '),
  angleDegrees: (operation) => operation.foldDegrees,
  figures: (operation, thicknessMm) => [
    { word: 'Gapes', kind: 'length', value: slitGap(Math.max(0, operation.foldDegrees), thicknessMm) },
  ],
  faults: (operation, thicknessMm) => {
    if (!(operation.foldDegrees > 0)) {
      return [
        {
          code: 'SLIT_TURN',
          title: `A slit cannot open ${formatAngle(operation.foldDegrees)}`,
          detail: `It opens by more than 0° and up to ${LARGEST_OPENING_DEGREES}°. To fold towards the cut, use a groove.`,
          mend: { label: 'Open it 30°', changes: { foldDegrees: 30 } },
        },
      ];
    }
    const depth = slitDepth(operation, thicknessMm);
    if (operation.hingeOn === 'tape' || depth < thicknessMm - 1e-9) return [];
    return [
      {
        code: 'SLIT_DEEP',
        title: `Slit ${lengthText(depth)} deep cuts through ${lengthText(thicknessMm)} board`,
        detail: `Leave ${lengthText(SLIT_FLOOR_MM)} and the skin under it.`,
        mend: { label: 'Leave the skin', changes: { depthMm: 'auto' } },
      },
    ];
  },
  marks: (stroke, pen) => [
    ...(stroke.isTaped ? pen.fold() : pen.centres('thin', 'solid')),
    ...along(stroke.paths, BARB_PITCH_MM).map(({ at, direction }) =>
      pen.line(run(at, add(at, times(barb(direction), BARB_MM))), 'thin', 'solid'),
    ),
    ...pen.ends(),
  ],
  sample: [
    sampleCentre('thin'),
    ...[2.5, 5.5, 8.5].map((x) => sampleLine({ x, y: 0 }, { x: x - 1.2, y: 1.2 }, 'thin')),
  ],
  legend: 'open slit, opens at the barbs',
  cutting: { order: 50, words: 'open slit', angleWords: (angle) => `folds ${formatAngle(angle)}` },
};
