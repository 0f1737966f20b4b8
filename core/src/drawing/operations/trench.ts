import { trenchWidth } from '../../allowance/index.ts';
import { bandAlong, intersectionOf, leftOf, unitVector, type Point } from '../../geometry/index.ts';
import { formatAngle } from '../../units/index.ts';
import type { Trench } from './operation.ts';
import type { OperationTraits } from './operation-kind.ts';

const widthOf = (operation: Trench, thicknessMm: number): number => (operation.widthMm === 'auto' ? trenchWidth(operation.foldDegrees, thicknessMm) : operation.widthMm);

/** The centre of the strip: on the line, or half a width to one side of it. */
function centreLine(run: readonly Point[], operation: Trench, thicknessMm: number): readonly Point[] {
  const first = run[0], last = run.at(-1);
  if (operation.side === 'centre' || !first || !last) return run;
  const side = leftOf(unitVector(first, last));
  const by = (operation.side === 'left' ? 0.5 : -0.5) * widthOf(operation, thicknessMm);
  return run.map((p) => ({ x: p.x + side.x * by, y: p.y + side.y * by }));
}

/** Strip of foam removed so that the far skin bends round a wall or doubles back. */
export const trench: OperationTraits<'trench'> = {
  kind: 'trench', word: 'trench', key: 'T', ground: 'line', folds: true,
  defaults: { kind: 'trench', face: 'face', foldDegrees: 90, widthMm: 'auto', side: 'centre' },
  trueWidthMm: widthOf,
  area: (operation, site) => intersectionOf(
    site.runs.flatMap((run) => bandAlong(centreLine(run, operation, site.thicknessMm), widthOf(operation, site.thicknessMm))), site.body),
  caption: (operation) => (operation.foldDegrees === 180 ? 'trench, doubled' : `trench ${formatAngle(operation.foldDegrees)}`),
  angleDegrees: (operation) => operation.foldDegrees,
  faults: (operation, thicknessMm) => {
    const needed = trenchWidth(operation.foldDegrees, thicknessMm);
    if (operation.widthMm === 'auto' || operation.widthMm >= needed - 0.05) return [];
    return [{
      code: 'TRENCH_NARROW',
      title: `Trench ${operation.widthMm.toFixed(1)} mm is too narrow for ${formatAngle(operation.foldDegrees)}`,
      detail: `${thicknessMm.toFixed(1)} mm board needs ${needed.toFixed(1)} mm of foam taken out; less holds the fold open.`,
      mend: { label: `Widen to ${needed.toFixed(1)}`, changes: { widthMm: 'auto' } },
    }];
  },
};
