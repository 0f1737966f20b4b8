import { bevelRun, STEEPEST_BEVEL_DEGREES, STEEPEST_SANDED_BEVEL_DEGREES } from '../allowance/index.ts';
import { hatching, run } from '../marks/index.ts';
import { formatAngle } from '../units/index.ts';
import { bandOn } from './band.ts';
import type { OperationBase } from './operation-base.ts';
import { ANGLE_BOUNDS } from './operation-field.ts';
import type { OperationTraits } from './operation-kind.ts';
import { sampleLine } from './sample-marks.ts';

/** Slanted edge: the face is cut back by t·tan β. On a line within the part it is one of the two lips of a groove. */
export interface Bevel extends OperationBase {
  readonly kind: 'bevel';
  readonly bevelDegrees: number;
  /** Long slopes are sanded or planed on a block; by knife when undefined. */
  readonly cutBy?: BevelTool;
}

type BevelTool = 'knife' | 'block';

const steepestOf = ({ cutBy = 'knife' }: Bevel): number =>
  cutBy === 'block' ? STEEPEST_SANDED_BEVEL_DEGREES : STEEPEST_BEVEL_DEGREES;

const runOf = (operation: Bevel, thicknessMm: number): number =>
  bevelRun(Math.min(Math.max(operation.bevelDegrees, 0), STEEPEST_SANDED_BEVEL_DEGREES), thicknessMm);

/** Slanted edge of a part. */
export const bevel: OperationTraits<Bevel> = {
  kind: 'bevel',
  word: 'edge bevel',
  toolWord: 'bevel',
  key: 'B',
  hint: 'Click the edge to bevel',
  ground: 'edge',
  choiceWord: 'bevel, one lip of a groove',
  lineFault: ({ closed, points }) =>
    closed || points !== 2 ? 'A bevel runs along an edge, or on one straight line as a lip of a groove.' : undefined,
  fields: [
    { key: 'bevelDegrees', word: 'Bevel', name: 'bevel', kind: 'angle', ...ANGLE_BOUNDS, isOnLine: true },
    {
      key: 'cutBy',
      word: 'Cut by',
      name: 'way of cutting',
      kind: 'choice',
      choices: [
        ['knife', 'knife'],
        ['block', 'sanding block'],
      ],
      usual: 'knife',
    },
  ],
  defaults: { kind: 'bevel', face: 'face', bevelDegrees: 45 },
  trueWidthMm: runOf,
  // The band straddles the edge with twice the run; what lies within the part is the bevel.
  area: (operation, site) => bandOn(site, 2 * runOf(operation, site.thicknessMm)),
  cutFace: ({ widthMm }) => ({ kind: 'slopes', reachMm: widthMm }),
  plateSide: ({ widthMm, face }) => ({ kind: 'bevel', runMm: widthMm, face }),
  caption: ({ bevelDegrees, cutBy }) => `bevel ${formatAngle(bevelDegrees)}${cutBy === 'block' ? ' · sanded' : ''}`,
  captionStands: 'beside the band',
  angleDegrees: (operation) => operation.bevelDegrees,
  figures: (operation, thicknessMm) => [
    { word: 'Reaches in by', kind: 'length', value: runOf(operation, thicknessMm) },
  ],
  faults: (operation) => {
    const steepest = steepestOf(operation);
    if (operation.bevelDegrees > 0 && operation.bevelDegrees <= steepest) return [];
    const mended = operation.bevelDegrees <= 0 ? 45 : steepest;
    const canSand =
      operation.bevelDegrees > STEEPEST_BEVEL_DEGREES && operation.bevelDegrees <= STEEPEST_SANDED_BEVEL_DEGREES;
    return [
      {
        code: 'BEVEL_STEEP',
        title: `Bevel ${formatAngle(operation.bevelDegrees)} cannot be cut`,
        detail: `A ${operation.cutBy === 'block' ? 'sanding block' : 'knife'} holds an edge between 0° and ${steepest}° from the normal.`,
        mend: canSand
          ? { label: 'Sand it on a block', changes: { cutBy: 'block' } }
          : { label: `Set ${mended}°`, changes: { bevelDegrees: mended } },
      },
    ];
  },
  marks: (stroke, pen) => [
    ...hatching(stroke.area).map(([a, b]) => pen.line(run(a, b), 'thin', 'solid')),
    ...pen.ends(),
  ],
  sample: [
    sampleLine({ x: 0, y: 1 }, { x: 10, y: 1 }, 'heavy'),
    ...[0, 2, 4, 6, 8].map((x) => sampleLine({ x, y: -1 }, { x: x + 1.2, y: 1 }, 'thin')),
  ],
  legend: 'edge bevel, true run',
  cutting: {
    order: 70,
    words: 'edge bevel',
    widthWord: 'run',
    toSkin: true,
    blades: 'tilted',
    details: ({ angleDegrees }) => ({ bladeDegrees: angleDegrees }),
  },
};
