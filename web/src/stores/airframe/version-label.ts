import type { SaveAirframe } from '@grain-fold/contract';
import type { Airframe } from '@grain-fold/core/airframe';
import type { History } from './history.ts';

/** Steps and parts told one by one; more are counted. */
const MOST_TOLD = 3;
/** Longest label that a version may have. */
const LONGEST_LABEL = 200;

/** The first of a list, and how many more there are. */
export const listed = (names: readonly string[]): string =>
  [...names.slice(0, MOST_TOLD), ...(names.length > MOST_TOLD ? [`${names.length - MOST_TOLD} more`] : [])].join(', ');

/**
 * What a version is called: the steps since the last one, and the parts that they changed, as far as the steps do not name them.
 * @param base what the server has acknowledged
 */
export function versionLabel(history: History, base: Airframe, now: Airframe, changes: SaveAirframe): string {
  const from = history.past.findIndex(({ before }) => before === base);
  const steps = from < 0 ? ['Undo'] : [...new Set(history.past.slice(from).map(({ label }) => label))];
  const told = listed(steps);
  const nameOf = (id: string): string | undefined => [...now.parts, ...base.parts].find((part) => part.id === id)?.name;
  const names = (changes.parts ?? [])
    .filter(
      ({ id, value }) =>
        value === null || base.parts.find((part) => part.id === id) !== now.parts.find((part) => part.id === id),
    )
    .flatMap(({ id }) => nameOf(id) ?? [])
    .filter((name) => !told.includes(name));
  return (names.length > 0 ? `${told} · ${listed([...new Set(names)])}` : told).slice(0, LONGEST_LABEL);
}
