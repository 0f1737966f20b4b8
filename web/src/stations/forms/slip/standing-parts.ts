import type { StandingAirframe } from '@grain-fold/core/forms';

/** The parts that stand, to choose from: those of one name are told apart by their group. */
export function standingParts({ parts }: StandingAirframe): readonly (readonly [id: string, word: string])[] {
  const names = new Map<string, number>();
  for (const { part } of parts) names.set(part.name, (names.get(part.name) ?? 0) + 1);
  return parts
    .map(({ part: { id, name, group } }) => [id, names.get(name)! > 1 ? `${name} (${group || id})` : name] as const)
    .sort(([, a], [, b]) => a.localeCompare(b));
}

/** Those with one that is chosen though it is gone, so that it is seen. */
export const partsWith = (
  standing: readonly (readonly [id: string, word: string])[],
  id: string,
): readonly (readonly [string, string])[] =>
  standing.some(([one]) => one === id)
    ? standing
    : [[id, id === '' ? 'choose a part' : 'a part that is gone'], ...standing];
