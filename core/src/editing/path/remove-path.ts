import { findPath, type Part, pathWord, withoutLostPlaces } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Removes an outline, hole or line with the operations on it. */
export function removePath(part: Part, args: { readonly pathId: string }): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  const left: Part = {
    ...part,
    contours: part.contours.filter((one) => one.id !== args.pathId),
    lines: part.lines.filter((one) => one.id !== args.pathId),
  };
  return done(withoutLostPlaces(left), `Remove ${pathWord(path)}`);
}
