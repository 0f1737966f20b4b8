import { findPath, type Part, IdSource, pathWord, withoutLostPlaces, withPath } from '../../part/index.ts';
import { uncrossedPath } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Cuts the smaller loop off where a closed path crosses itself, at its first crossing. */
export function uncrossOutline(part: Part, args: { readonly pathId: string }): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path?.closed) return refused(`There is no closed line "${args.pathId}" in ${part.name}.`);
  const ids = new IdSource(part);
  const kept = uncrossedPath(path, ids);
  if (!kept) return refused(`The ${pathWord(path)} does not cross itself.`);
  if (kept.nodes.length < 2) return refused(`Nothing would be left of the ${pathWord(path)}.`);
  const mended = withPath(part, path.id, (one) => ({ ...one, ...kept }));
  return done(withoutLostPlaces({ ...mended, lastId: ids.lastId }), 'Cut off the crossing loop');
}
