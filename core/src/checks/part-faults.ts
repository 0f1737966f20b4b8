import { featureWord, isOnEdge } from '../features/index.ts';
import { midpoint } from '../geometry/index.ts';
import { operationFaults } from '../operations/index.ts';
import { featureIdOf, isMirrorId, findPath, type Part } from '../part/index.ts';
import { expandPart, type ExpandContext, type ResolvedPart } from '../resolve/index.ts';
import type { Board, FitStep } from '../stock/index.ts';
import { drawingFaults, grainFaults } from './drawing-checks.ts';
import type { Fault, Mend } from './fault.ts';
import { foldFaults, lipFaults, slantFaults } from './fold-checks.ts';
import { holeFaults } from './hole-checks.ts';
import { lineFaults } from './line-checks.ts';
import { outlineFaults } from './outline-checks.ts';
import { sizeFaults, slotFaults } from './size-checks.ts';
import { webFaults } from './web-checks.ts';

/** What checks need to know of the airframe around a part. */
export interface CheckContext {
  readonly boards: readonly Board[];
  readonly scale: number;
  readonly edgeMarginMm: number;
  readonly turnStep: FitStep;
  /** Every variant of the airframe. */
  readonly variants: readonly string[];
}

/**
 * Everything that is wrong with a part before a knife touches foam, each with its mend.
 * @param drawn the part as drawn, at the airframe's scale
 * @param resolved the same part, resolved in the same context
 */
export function partFaults(
  drawn: Part,
  resolved: ResolvedPart,
  expandContext: ExpandContext,
  context: CheckContext,
): readonly Fault[] {
  const part = expandPart(drawn, expandContext);
  const variant = drawingFaults(drawn, expandContext, context.variants, drawn.sizing === 'fixed' ? 1 : context.scale);
  const isApart = variant.some(({ code }) => code === 'SYMMETRY_APART' || code === 'VARIANT_OPEN');
  const whole = [
    ...outlineFaults(part).filter(({ code }) => !isApart || (code !== 'OUTLINE_OPEN' && code !== 'OUTLINE_MISSING')),
    ...lineFaults(part),
    ...holeFaults(part),
    ...webFaults(part, resolved.thicknessMm, drawn.sizing === 'fixed' ? 1 : context.scale),
    ...operationFaultsOf(part, resolved.thicknessMm),
    ...foldFaults(part),
    ...slantFaults(resolved),
    ...lipFaults(part, resolved.thicknessMm),
    ...slotFaults(part, context.boards),
    ...sizeFaults(part, resolved, context.boards, context.scale, context.edgeMarginMm, context.turnStep),
    ...grainFaults(part, context.boards),
  ];
  return [...variant, ...ledToDrawing(drawn, whole)];
}

function operationFaultsOf(part: Part, thicknessMm: number): readonly Fault[] {
  return part.operations.flatMap((operation) => {
    const path = findPath(part, operation.on.pathId);
    return operationFaults(operation, thicknessMm).map((fault): Fault => ({
      code: fault.code,
      partId: part.id,
      targetId: operation.id,
      title: fault.title,
      detail: fault.detail,
      place: path && midpoint(path.nodes[0]!, path.nodes[1]!),
      mend: {
        label: fault.mend.label,
        command: { name: 'changeOperation', args: { operationId: operation.id, changes: fault.mend.changes } },
      },
    }));
  });
}

/** Faults of what a drawing becomes, led back to what was drawn: images of drawn things repeat theirs, and a feature's are mended on it. */
function ledToDrawing(drawn: Part, faults: readonly Fault[]): readonly Fault[] {
  return faults.flatMap((fault): readonly Fault[] => {
    if (fault.targetId === undefined) return [fault];
    const feature = drawn.features?.find(({ id }) => id === featureIdOf(fault.targetId!));
    if (isMirrorId(fault.targetId) && !feature) return [];
    if (!feature) return [{ ...fault, mend: withDrawnIds(fault.mend) }];
    if (isMirrorId(fault.targetId)) return [];
    if (fault.code === 'WEB_NARROW') return [{ ...fault, targetId: feature.id }];
    const mend =
      !isOnEdge(feature) && fault.code === 'HOLE_OUTSIDE'
        ? {
            label: 'Move it to the roomiest place',
            command: { name: 'centreFeature' as const, args: { featureId: feature.id } },
          }
        : {
            label: `Remove the ${featureWord(feature)}`,
            command: { name: 'removeFeature' as const, args: { featureId: feature.id } },
          };
    return [{ ...fault, targetId: feature.id, mend }];
  });
}

/** A mend that names only drawn things: pieces and images stand for what they come from. */
const withDrawnIds = (mend: Mend): Mend =>
  JSON.stringify(mend).includes('~')
    ? (JSON.parse(JSON.stringify(mend).replace(/"([A-Za-z]+\d+)(?:~(?:mirror|lips|f\d+\.\d+))+"/g, '"$1"')) as Mend)
    : mend;
