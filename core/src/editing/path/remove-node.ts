import { type Part, findNode, pathWord, withoutLostPlaces, withPath } from '../../part/index.ts';
import type { Segment } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Takes a point out of its path; its two segments become one, of the first one's kind, that keeps the first one's id. */
export function removeNode(part: Part, args: { readonly nodeId: string }): CommandResult {
  const found = findNode(part, args.nodeId);
  if (!found) return refused(`There is no point "${args.nodeId}" in ${part.name}.`);
  const { path, index } = found;
  const least = path.closed ? 3 : 2;
  if (path.nodes.length <= least)
    return refused(`The ${pathWord(path)} needs at least ${least} points. Remove the whole ${pathWord(path)} instead.`);
  const nodes = path.nodes.toSpliced(index, 1);
  const count = path.segments.length;
  if (!path.closed && (index === 0 || index === path.nodes.length - 1)) {
    const segments = path.segments.toSpliced(index === 0 ? 0 : count - 1, 1);
    return done(withoutLostPlaces(withPath(part, path.id, (one) => ({ ...one, nodes, segments }))), 'Remove point');
  }
  const before = (index - 1 + count) % count;
  const first = path.segments[before]!,
    second = path.segments[index]!;
  const joined: Segment =
    first.kind === 'cubic'
      ? { ...first, control2: second.kind === 'cubic' ? second.control2 : first.control2 }
      : { id: first.id, kind: 'line' };
  const segments = path.segments.map((segment, at) => (at === before ? joined : segment)).toSpliced(index, 1);
  return done(withoutLostPlaces(withPath(part, path.id, (one) => ({ ...one, nodes, segments }))), 'Remove point');
}
