import type { TailParameters } from './parameters.ts';

/** Lengths of a group at another size: its angles, its choices and what follows a wire stay. */
const scaled = <Group extends object>(group: Group, factor: number, kept: readonly (keyof Group)[] = []): Group =>
  Object.fromEntries(
    Object.entries(group).map(([key, value]) => [
      key,
      typeof value === 'number' && key.endsWith('Mm') && !kept.includes(key as keyof Group) ? value * factor : value,
    ]),
  ) as Group;

/** A tail of another size: the room between what moves stays. */
export const scaleTail = (tail: TailParameters, factor: number): TailParameters => ({
  ...tail,
  stabiliser: scaled(tail.stabiliser, factor),
  ...(tail.elevator ? { elevator: scaled(tail.elevator, factor, ['joinerMm']) } : {}),
  ...(tail.fin ? { fin: scaled(tail.fin, factor) } : {}),
  ...(tail.rudder ? { rudder: scaled(tail.rudder, factor) } : {}),
});

/** The sheets that a tail's parts are cut from. */
export const tailMaterials = ({ material }: TailParameters): readonly string[] => [material];
