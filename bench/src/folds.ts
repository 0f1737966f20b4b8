/** Times the folding of a row of many plates: one JSON line a case, medians in milliseconds. */
import { applyCommand, type PartCommand } from '@grain-fold/core/editing';
import { clashesOf, fold, foldTree, platesOf, solidsOf } from '@grain-fold/core/folds';
import { emptyPart, type Part } from '@grain-fold/core/part';
import { polylineDraft, rectangleDraft } from '@grain-fold/core/paths';
import { resolve } from '@grain-fold/core/resolve';

const RUNS = 9,
  PLATE_MM = 10,
  LENGTH_MM = 100;
const context = { thicknessMm: 5, gramsPerSquareMetre: 480, plateThicknesses: {} };

function run(part: Part, command: PartCommand): Part {
  const result = applyCommand(part, command);
  if (!result.ok) throw new Error(result.message);
  return result.part;
}
/** A row of plates with grooves between them that rolls up to most of a turn. */
function row(plates: number): Part {
  let part = run(emptyPart('row', 'Row', 'foam'), {
    name: 'drawOutline',
    args: { draft: rectangleDraft({ x: 0, y: 0 }, LENGTH_MM, plates * PLATE_MM) },
  });
  for (let index = 1; index < plates; index++) {
    const draft = polylineDraft([
      { x: 0, y: index * PLATE_MM },
      { x: LENGTH_MM, y: index * PLATE_MM },
    ]);
    part = run(part, {
      name: 'drawLine',
      args: {
        draft,
        operation: { kind: 'groove', face: 'face', foldDegrees: 324 / plates, mouthMm: 'auto', label: '' },
      },
    });
  }
  return part;
}
function median(work: () => void): number {
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return Number(times[Math.floor(RUNS / 2)]!.toFixed(1));
}

for (const plates of [10, 60, 500]) {
  const resolved = resolve(row(plates), context),
    flat = platesOf(resolved),
    tree = foldTree(flat),
    solids = solidsOf(resolved, flat);
  console.log(
    JSON.stringify({ case: 'find plates and hinges', plates, medianMs: median(() => void platesOf(resolved)) }),
  );
  console.log(
    JSON.stringify({
      case: 'fold with interference',
      plates,
      medianMs: median(() => void clashesOf(solids, tree, fold(tree))),
    }),
  );
}
