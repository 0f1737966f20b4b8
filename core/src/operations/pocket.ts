import { intersectionOf } from '../geometry/index.ts';
import { ring } from '../marks/index.ts';
import type { OperationBase } from './operation-base.ts';
import { SIZE_BOUNDS } from './operation-field.ts';
import type { OperationTraits } from './operation-kind.ts';
import { sampleDot } from './sample-marks.ts';
import { lengthText, bareLengthText } from '../units/index.ts';

/** Area cut away to a depth, far skin kept. */
export interface Pocket extends OperationBase {
  readonly kind: 'pocket';
  readonly depthMm: number;
}

/** Least foam and skin that a pocket leaves under it, in mm. */
const LEAST_FLOOR_MM = 0.5;
const CORNER_DOT_MM = 0.9;
const SAMPLE_CORNERS = [
  { x: 1, y: -1 },
  { x: 9, y: -1 },
  { x: 9, y: 1 },
  { x: 1, y: 1 },
];

/** Area cut away to a depth with the far skin kept. */
export const pocket: OperationTraits<Pocket> = {
  kind: 'pocket',
  word: 'pocket',
  toolWord: 'pocket',
  key: 'P',
  hint: 'Click corner by corner; end on the first one',
  ground: 'area',
  lineFault: ({ closed }) => (closed ? undefined : 'A pocket needs a closed line: end it on its first point.'),
  fields: [{ key: 'depthMm', word: 'Depth', name: 'depth', kind: 'length', ...SIZE_BOUNDS, isOnLine: true }],
  defaults: { kind: 'pocket', face: 'face', depthMm: 2.5 },
  trueWidthMm: () => 0,
  depthMm: (operation) => operation.depthMm,
  area: (_operation, site) => intersectionOf(site.runs, site.body),
  cutFace: ({ depthMm = 0 }) => ({ kind: 'level', depthMm }),
  caption: (operation) => `pocket ${bareLengthText(operation.depthMm)}`,
  captionStands: 'in the area',
  angleDegrees: () => undefined,
  faults: (operation, thicknessMm) => {
    if (operation.depthMm > 0 && operation.depthMm <= thicknessMm - LEAST_FLOOR_MM + 1e-9) return [];
    const mended = Math.max(LEAST_FLOOR_MM / 2, Math.round((thicknessMm - LEAST_FLOOR_MM) * 100) / 100);
    return [
      {
        code: 'POCKET_DEEP',
        title: `Pocket ${lengthText(operation.depthMm)} deep does not fit ${lengthText(thicknessMm)} board`,
        detail: `It may go down to ${lengthText(mended)} and keep ${lengthText(LEAST_FLOOR_MM)} under it.`,
        mend: { label: `Set ${lengthText(mended)} deep`, changes: { depthMm: mended } },
      },
    ];
  },
  marks: (stroke, pen) => [
    ...pen.centres('thin', 'solid'),
    ...stroke.paths.flatMap((path) => path.map(({ from }) => pen.dot(from, CORNER_DOT_MM))),
  ],
  sample: [
    { kind: 'path', path: ring(SAMPLE_CORNERS), closed: true, pen: 'thin', dash: 'solid', tone: 'ink' },
    ...SAMPLE_CORNERS.map((corner) => sampleDot(corner, 0.4)),
  ],
  legend: 'pocket: skin stays',
  cutting: { order: 10, words: 'pocket' },
};
