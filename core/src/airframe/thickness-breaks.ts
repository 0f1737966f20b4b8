import type { Fault } from '../checks/index.ts';
import { memo } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { foldFaults } from './fold-faults.ts';
import { faultsIn } from './funnel.ts';
import { withFormsKept } from './forms-of-airframe.ts';
import { withSizesKept } from './kept-sizes.ts';

/** What would happen to an airframe in board of another thickness. */
export interface ThicknessBreaks {
  readonly thicknessMm: number;
  /** Faults that it would have and does not have now. */
  readonly faults: readonly Fault[];
  /** Parts whose lines would move to keep their inside sizes. */
  readonly movedIds: readonly string[];
}

/**
 * What another measured thickness of a material would break, before it is typed. Takes a fold of every part: for a worker.
 * @param thicknessMm of every board of the material
 */
export function thicknessBreaks(airframe: Airframe, material: string, thicknessMm: number): ThicknessBreaks {
  const boards = airframe.boards.map((board) => (board.material === material ? { ...board, thicknessMm } : board));
  const { airframe: then, partIds } = withSizesKept(airframe, withFormsKept(airframe, { ...airframe, boards }));
  return { thicknessMm, faults: newFaults(airframe, then), movedIds: partIds };
}

/** Faults of parts by themselves and folded that an airframe has then, and has not now. */
export function newFaults(now: Airframe, then: Airframe): readonly Fault[] {
  const known = new Set(allFaults(now).map(keyOf));
  return allFaults(then).filter((fault) => !known.has(keyOf(fault)));
}

const allFaults = memo((airframe: Airframe): readonly Fault[] => [
  ...airframe.parts.flatMap((part) => faultsIn(airframe, part)),
  ...foldFaults(airframe),
]);

/** A fault by what it is about: its figures change with the board. */
const keyOf = ({ code, partId, targetId, place, title }: Fault): string =>
  [code, partId, targetId ?? '', place ? '' : title.replace(/[\d.,/″"]+/g, '#')].join('|');
