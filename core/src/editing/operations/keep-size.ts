import type { Part } from '../../part/index.ts';
import { findSegment } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/**
 * Says how a plate's size between two of its ends is meant: inside, so that the lines follow the board when it is measured anew, or along
 * the skin that stays, so that they stay where they are.
 * @param args ends by the ids of folds or straight edges, in any order
 */
export function keepSize(
  part: Part,
  args: { readonly ends: readonly [string, string]; readonly is: 'outer' | 'inner' },
): CommandResult {
  const [fromId, toId] = args.ends;
  const lost = args.ends.find(
    (id) => !findSegment(part, id) && !part.operations.some((operation) => operation.id === id),
  );
  if (lost !== undefined) return refused(`"${lost}" is no fold and no edge of ${part.name}.`);
  if (fromId === toId) return refused('A size lies between two different ends.');
  const ends = [...args.ends].sort().join();
  const { insideSizes = [], ...rest } = part;
  const others = insideSizes.filter((size) => [size.fromId, size.toId].sort().join() !== ends);
  const kept = args.is === 'inner' ? [...others, { fromId, toId }] : others;
  return done(
    kept.length > 0 ? { ...rest, insideSizes: kept } : rest,
    args.is === 'inner' ? 'Keep the inside size' : 'Keep the outside size',
  );
}
