import { findPath, type Part, pathWord, withPath } from '../../part/index.ts';
import { type Sizing, SIZING_WORDS } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Says what scaling does to a hole or a line. */
export function changeSizing(part: Part, args: { readonly pathId: string; readonly sizing: Sizing }): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  if ('role' in path && path.role === 'outer')
    return refused('An outline scales with its part: set the whole part to keep its size instead.');
  return done(
    withPath(part, path.id, (one) => ({ ...one, sizing: args.sizing })),
    `The ${pathWord(path)} ${SIZING_WORDS[args.sizing]}`,
  );
}
