import { hingeWidth, STEEPEST_BEVEL_DEGREES, type HingeRelief } from '../allowance/index.ts';
import { along, circle } from '../marks/index.ts';
import { formatAngle } from '../units/index.ts';
import { bandOn } from './band.ts';
import { HELD_BY } from './held-by.ts';
import type { HingeGround, OperationBase } from './operation-base.ts';
import { ANGLE_BOUNDS } from './operation-field.ts';
import { tapeWord, type OperationTraits } from './operation-kind.ts';
import { SAMPLE_RAILS, sampleCentre } from './sample-marks.ts';

/** Control hinge with foam bevelled away for its deflection. */
export interface Hinge extends OperationBase {
  readonly kind: 'hinge';
  readonly deflectionDegrees: number;
  /** Which edges are bevelled, looking along the line. */
  readonly relief: HingeRelief;
  /** As the airframe says when undefined. */
  readonly hingeOn?: HingeGround;
}

const RING_PITCH_MM = 20;
const RING_MM = 1.1;
const OTHER_SIDE = { left: 'right', right: 'left', both: 'both' } as const;

/** Steepest deflection that its relief lets a knife cut. */
const steepest = (operation: Hinge): number =>
  operation.relief === 'both' ? 2 * STEEPEST_BEVEL_DEGREES : STEEPEST_BEVEL_DEGREES;
const within = (operation: Hinge): number => Math.min(Math.max(0, operation.deflectionDegrees), steepest(operation));
const widthOf = (operation: Hinge, thicknessMm: number): number =>
  hingeWidth(within(operation), operation.relief, thicknessMm);

/** A control hinge on the far skin or on tape, with foam bevelled away so that it can move. */
export const hinge: OperationTraits<Hinge> = {
  kind: 'hinge',
  word: 'control hinge',
  toolWord: 'hinge',
  key: 'H',
  hint: 'Click both ends of the hinge',
  ground: 'line',
  fold: { sign: 0, numbers: () => ({}), cannot: () => 'A control hinge stands still until it is moved.' },
  fields: [
    {
      key: 'deflectionDegrees',
      word: 'Deflects ±',
      name: 'deflection',
      kind: 'angle',
      ...ANGLE_BOUNDS,
      isOnLine: true,
    },
    {
      key: 'relief',
      word: 'Bevelled',
      name: 'relief',
      kind: 'choice',
      choices: [
        ['both', 'both edges'],
        ['left', 'the edge left of it'],
        ['right', 'the edge right of it'],
      ],
    },
    HELD_BY,
  ],
  defaults: { kind: 'hinge', face: 'face', deflectionDegrees: 30, relief: 'both' },
  trueWidthMm: widthOf,
  area: (operation, site) =>
    bandOn(site, widthOf(operation, site.thicknessMm), operation.relief === 'both' ? 'centre' : operation.relief),
  plateSide: ({ widthMm, face }) => ({ kind: 'groove', runMm: widthMm / 2, face }),
  caption: (operation) =>
    [`hinge ±${formatAngle(operation.deflectionDegrees)}`, tapeWord(operation)].filter(Boolean).join(' · '),
  angleDegrees: (operation) => operation.deflectionDegrees,
  figures: (operation, thicknessMm) => [
    { word: 'Relief', kind: 'length', value: widthOf(operation, thicknessMm), after: 'wide' },
  ],
  faults: (operation) => {
    if (operation.deflectionDegrees > 0 && operation.deflectionDegrees <= steepest(operation)) return [];
    const mended = operation.deflectionDegrees <= 0 ? 30 : steepest(operation);
    return [
      {
        code: 'HINGE_STEEP',
        title: `A hinge cannot deflect ${formatAngle(operation.deflectionDegrees)}`,
        detail: `Bevelling ${operation.relief === 'both' ? 'both edges' : 'one edge'} allows up to ${steepest(operation)}° either way.`,
        mend: { label: `Deflect ${mended}°`, changes: { deflectionDegrees: mended } },
      },
    ];
  },
  mirrored: (operation) => ({ ...operation, relief: OTHER_SIDE[operation.relief] }),
  marks: (stroke, pen) => [
    ...pen.edges(),
    ...pen.fold(),
    ...along(stroke.paths, RING_PITCH_MM).map(({ at }) => pen.line(circle(at, RING_MM), 'thin', 'solid', true)),
    ...pen.ends(),
  ],
  sample: [
    ...SAMPLE_RAILS,
    sampleCentre('middle', 'long'),
    ...[3, 7].map((x) => ({
      kind: 'path' as const,
      path: circle({ x, y: 0 }, 0.7),
      closed: true,
      pen: 'thin' as const,
      dash: 'solid' as const,
      tone: 'ink' as const,
    })),
  ],
  legend: 'control hinge, relief true width',
  cutting: {
    order: 60,
    words: 'control hinge',
    angleWords: (angle) => `moves ±${formatAngle(angle)}`,
    widthWord: 'relief',
    toSkin: true,
    blades: 'tilted',
  },
};
