import { midpoint } from '../../geometry/index.ts';
import type { Board, TurnStep } from '../../stock/index.ts';
import { operationFaults } from '../operations/index.ts';
import { findPath, type Part } from '../part.ts';
import type { ResolvedPart } from '../resolve.ts';
import type { Fault } from './fault.ts';
import { foldFaults } from './fold-checks.ts';
import { holeFaults } from './hole-checks.ts';
import { lineFaults } from './line-checks.ts';
import { outlineFaults } from './outline-checks.ts';
import { sizeFaults, slotFaults } from './size-checks.ts';

export type { AirframeAction, Fault, FaultCode, Mend } from './fault.ts';
export { largestFit } from './size-checks.ts';

/** What checks need to know of the airframe around a part. */
export interface CheckContext {
  readonly boards: readonly Board[];
  readonly scale: number;
  readonly edgeMarginMm: number;
  readonly turnStep: TurnStep;
}

/**
 * Everything that is wrong with a part before a knife touches foam, each with its mend.
 * @param part the part at the airframe's scale
 * @param resolved the same part, resolved
 */
export function partFaults(part: Part, resolved: ResolvedPart, context: CheckContext): readonly Fault[] {
  const own = part.operations.flatMap((operation) => {
    const path = findPath(part, operation.on.pathId);
    return operationFaults(operation, resolved.thicknessMm).map((fault): Fault => ({
      code: fault.code, partId: part.id, targetId: operation.id, title: fault.title, detail: fault.detail,
      place: path && midpoint(path.nodes[0]!, path.nodes[1]!),
      mend: { label: fault.mend.label, command: { name: 'changeOperation', args: { operationId: operation.id, changes: fault.mend.changes } } },
    }));
  });
  return [...outlineFaults(part), ...lineFaults(part), ...holeFaults(part), ...own, ...foldFaults(part), ...slotFaults(part, context.boards), ...sizeFaults(part, resolved, context.boards, context.scale, context.edgeMarginMm, context.turnStep)];
}
