import { bevelRun, STEEPEST_BEVEL_DEGREES } from '../allowance/index.ts';
import { bandAlong, intersectionOf } from '../geometry/index.ts';
import { formatAngle } from '../units/index.ts';
import type { OperationTraits } from './operation-kind.ts';
import type { Bevel } from './operation.ts';

const runOf = (operation: Bevel, thicknessMm: number): number =>
  bevelRun(Math.min(Math.max(operation.bevelDegrees, 0), 85), thicknessMm);

/** Slanted edge of a part. */
export const bevel: OperationTraits<'bevel'> = {
  kind: 'bevel',
  word: 'edge bevel',
  key: 'B',
  ground: 'edge',
  folds: false,
  defaults: { kind: 'bevel', face: 'face', bevelDegrees: 45 },
  trueWidthMm: runOf,
  // The band straddles the edge with twice the run; what lies within the part is the bevel.
  area: (operation, site) =>
    intersectionOf(
      site.runs.flatMap((run) => bandAlong(run, 2 * runOf(operation, site.thicknessMm))),
      site.body,
    ),
  caption: (operation) => `bevel ${formatAngle(operation.bevelDegrees)}`,
  angleDegrees: (operation) => operation.bevelDegrees,
  faults: (operation) => {
    if (operation.bevelDegrees > 0 && operation.bevelDegrees <= STEEPEST_BEVEL_DEGREES) return [];
    const mended = operation.bevelDegrees <= 0 ? 45 : STEEPEST_BEVEL_DEGREES;
    return [
      {
        code: 'BEVEL_STEEP',
        title: `Bevel ${formatAngle(operation.bevelDegrees)} cannot be cut`,
        detail: `A knife holds an edge between 0° and ${STEEPEST_BEVEL_DEGREES}° from the normal.`,
        mend: { label: `Set ${mended}°`, changes: { bevelDegrees: mended } },
      },
    ];
  },
};
