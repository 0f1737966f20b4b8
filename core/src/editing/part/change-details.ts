import type { Part } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** What a part is, apart from its drawing. */
export type PartDetails = Pick<
  Part,
  'name' | 'group' | 'material' | 'quantity' | 'handed' | 'grain' | 'sizing' | 'notes'
>;

const WORDS: Readonly<Record<keyof PartDetails, string>> = {
  name: 'Rename part',
  group: 'Move to group',
  material: 'Change material',
  quantity: 'Change quantity',
  handed: 'Change pair',
  grain: 'Change grain',
  sizing: 'Change scaling',
  notes: 'Change notes',
};

/** Changes a part's name, group, material, quantity, pair, grain rule, scaling or notes. */
export function changeDetails(part: Part, args: { readonly changes: Partial<PartDetails> }): CommandResult {
  const { changes } = args;
  if (changes.name !== undefined && (changes.name.trim() === '' || changes.name.length > 80))
    return refused('A part needs a name of 1 to 80 characters.');
  if (
    changes.quantity !== undefined &&
    !(Number.isInteger(changes.quantity) && changes.quantity >= 1 && changes.quantity <= 999)
  ) {
    return refused(`A quantity is a whole number from 1 to 999, got ${changes.quantity}.`);
  }
  if (changes.grain && !Number.isFinite(changes.grain.directionDegrees))
    return refused('A grain direction must be a number of degrees.');
  const first = (Object.keys(changes) as (keyof PartDetails)[])[0];
  if (!first) return refused('There is nothing to change.');
  return done({ ...part, ...changes, name: (changes.name ?? part.name).trim() }, WORDS[first]);
}
