import type { Part } from '../../part/index.ts';
import { defined } from '../../units/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Says in which variants of the airframe the part, or a hole, an outline, an operation or a feature of it exists; in all with null. */
export function setVariants(
  part: Part,
  args: { readonly targetId: string; readonly variants: readonly string[] | null },
): CommandResult {
  const { variants } = args;
  if (variants?.length === 0) return refused('It must exist in at least one variant. Remove it if it exists in none.');
  const set = <T extends { readonly variants?: readonly string[] }>(thing: T): T => {
    const { variants: _before, ...plain } = thing;
    return (variants ? { ...plain, variants } : plain) as T;
  };
  const label = variants ? `Only in ${variants.join(', ')}` : 'In every variant';
  if (args.targetId === part.id) return done(set(part), label);
  const change = <T extends { readonly id: string; readonly variants?: readonly string[] }>(
    list: readonly T[],
  ): readonly T[] => list.map((thing) => (thing.id === args.targetId ? set(thing) : thing));
  if (![...part.contours, ...part.operations, ...(part.features ?? [])].some(({ id }) => id === args.targetId))
    return refused(`There is nothing called "${args.targetId}" in ${part.name} that a variant could leave out.`);
  return done(
    {
      ...part,
      contours: change(part.contours),
      operations: change(part.operations),
      ...defined({ features: part.features && change(part.features) }),
    },
    label,
  );
}
