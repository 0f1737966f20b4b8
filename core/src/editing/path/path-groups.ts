import { pathsOf, type Part, IdSource } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Groups lines, holes or the outline, so that they are chosen and moved as one. A line leaves the group it was in. */
export function groupPaths(
  part: Part,
  args: { readonly pathIds: readonly string[]; readonly name?: string },
): CommandResult {
  const pathIds = pathsOf(part)
    .map(({ id }) => id)
    .filter((id) => args.pathIds.includes(id));
  if (pathIds.length < 2) return refused('A group needs at least two lines: choose more with Shift.');
  if (args.name !== undefined && (args.name.trim() === '' || args.name.length > 40))
    return refused('A group needs a name of 1 to 40 letters.');
  const ids = new IdSource(part);
  const others = (part.pathGroups ?? [])
    .map((group) => ({ ...group, pathIds: group.pathIds.filter((id) => !pathIds.includes(id)) }))
    .filter((group) => group.pathIds.length > 1);
  return done(
    {
      ...part,
      pathGroups: [...others, { id: ids.next('g'), name: args.name ?? `Group ${others.length + 1}`, pathIds }],
      lastId: ids.lastId,
    },
    `Group ${pathIds.length} lines`,
  );
}

export function ungroupPaths(part: Part, args: { readonly groupId: string }): CommandResult {
  const found = part.pathGroups?.find(({ id }) => id === args.groupId);
  return found
    ? done({ ...part, pathGroups: part.pathGroups!.filter((group) => group !== found) }, `Ungroup ${found.name}`)
    : refused(`There is no group "${args.groupId}" in ${part.name}.`);
}
