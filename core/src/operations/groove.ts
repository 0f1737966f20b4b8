import {
  foldedMouthGap,
  foldOfMouth,
  largestFoldOf,
  mitreMouthWidth,
  schoolMouthWidth,
  USUAL_TOOL_DEGREES,
  type GrooveCut,
} from '../allowance/index.ts';
import { bandAlong, intersectionOf } from '../geometry/index.ts';
import { formatAngle } from '../units/index.ts';
import { tapeWord, type OperationFault, type OperationTraits } from './operation-kind.ts';
import type { Groove } from './operation.ts';

/** How a groove is cut; by knife where nothing says otherwise. */
export const cutOf = ({ school = 'knife', toolDegrees = USUAL_TOOL_DEGREES }: Groove): GrooveCut => ({
  school,
  toolDegrees,
});
const within = (operation: Groove): number => Math.min(Math.max(0, operation.foldDegrees), 170);
/** The least mouth that lets the fold come round. */
const neededMouth = (operation: Groove, thicknessMm: number): number => mitreMouthWidth(within(operation), thicknessMm);
const mouthOf = (operation: Groove, thicknessMm: number): number =>
  operation.mouthMm === 'auto' ? schoolMouthWidth(within(operation), thicknessMm, cutOf(operation)) : operation.mouthMm;

/** V groove between two plates that folds toward the grooved face. */
export const groove: OperationTraits<'groove'> = {
  kind: 'groove',
  word: 'mitre groove',
  key: 'V',
  ground: 'line',
  folds: true,
  defaults: { kind: 'groove', face: 'face', foldDegrees: 90, mouthMm: 'auto' },
  trueWidthMm: mouthOf,
  area: (operation, site) =>
    intersectionOf(
      site.runs.flatMap((run) => bandAlong(run, mouthOf(operation, site.thicknessMm))),
      site.body,
    ),
  caption: (operation) =>
    [`fold ${formatAngle(operation.foldDegrees)}`, cutWords(cutOf(operation)), tapeWord(operation)]
      .filter(Boolean)
      .join(' · '),
  angleDegrees: (operation) => operation.foldDegrees,
  faults: (operation, thicknessMm) => [...steep(operation), ...narrow(operation, thicknessMm)],
};

/** How a groove is cut, in words that stand on its line; nothing for a knife. */
export function cutWords({ school, toolDegrees }: GrooveCut): string {
  return { knife: '', tool: `${formatAngle(toolDegrees)} tool`, sanded: 'sanded', square: 'square cut' }[school];
}

const SCHOOL_WORDS = {
  knife: 'A knife cuts',
  tool: 'This tool cuts',
  sanded: 'Sanding makes',
  square: 'A square cut takes',
} as const;

function steep(operation: Groove): readonly OperationFault[] {
  const cut = cutOf(operation),
    largest = largestFoldOf(cut);
  if (operation.foldDegrees > 0 && operation.foldDegrees <= largest + 1e-6) return [];
  const mended = operation.foldDegrees <= 0 ? Math.min(90, largest) : largest;
  const isTool = cut.school === 'tool' && operation.foldDegrees > 0;
  return [
    {
      code: 'GROOVE_STEEP',
      title: `A groove cannot fold ${formatAngle(operation.foldDegrees)}${isTool ? ` with a ${formatAngle(cut.toolDegrees)} tool` : ''}`,
      detail: `${SCHOOL_WORDS[cut.school]} grooves for more than 0° and up to ${formatAngle(largest)}. Beyond that, ${isTool ? 'cut it by knife' : 'use a trench'}.`,
      mend: isTool
        ? { label: 'Cut it by knife', changes: { school: 'knife' } }
        : { label: `Fold ${formatAngle(mended)}`, changes: { foldDegrees: mended } },
    },
  ];
}

function narrow(operation: Groove, thicknessMm: number): readonly OperationFault[] {
  const needed = neededMouth(operation, thicknessMm);
  if (
    operation.mouthMm === 'auto' ||
    operation.foldDegrees > largestFoldOf(cutOf(operation)) ||
    operation.mouthMm >= needed - 0.05
  )
    return [];
  return [
    {
      code: 'GROOVE_NARROW',
      title: `Groove ${operation.mouthMm.toFixed(1)} mm is too narrow for ${formatAngle(operation.foldDegrees)}`,
      detail: `${thicknessMm.toFixed(1)} mm board needs a mouth of ${needed.toFixed(1)} mm. The wall would stop at ${formatAngle(Math.round(foldOfMouth(operation.mouthMm, thicknessMm)))}.`,
      mend: { label: `Widen to ${needed.toFixed(1)}`, changes: { mouthMm: 'auto' } },
    },
  ];
}

/** How far a groove's lips stand apart when it is folded, in mm; glue fills it. */
export const grooveGap = (operation: Groove, thicknessMm: number): number =>
  Math.max(0, foldedMouthGap(within(operation), mouthOf(operation, thicknessMm), thicknessMm));
