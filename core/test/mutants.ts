import { seededRandom, type RandomSource } from '../src/units/index.ts';

/** Any JSON value that can be changed in place. */
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
interface Place {
  readonly holder: Json[] | { [key: string]: Json };
  readonly key: string | number;
}

const pick = <T>(random: RandomSource, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

function placesIn(value: Json, found: Place[] = []): Place[] {
  if (typeof value !== 'object' || value === null) return found;
  const keys = Array.isArray(value) ? value.keys() : Object.keys(value);
  for (const key of keys) {
    found.push({ holder: value, key });
    placesIn((value as { [key: string | number]: Json })[key]!, found);
  }
  return found;
}
const at = ({ holder, key }: Place): Json => (holder as { [key: string | number]: Json })[key]!;
const put = ({ holder, key }: Place, value: Json): void => {
  (holder as { [key: string | number]: Json })[key] = value;
};

const NUMBERS = [0, -0, 1, -1, 1e-9, -1e-9, 0.5, 1000, -1000, 9999.999, 10_000, 1e7, 1e308, -1e308];
const TEXTS = ['', ' ', 'x'.repeat(81), '\u0000', '\ud800', '__proto__', 'none', '🛩', 'a\u0301'.repeat(60), '../..'];

function changedNumber(random: RandomSource, value: number): number {
  switch (Math.floor(random() * 5)) {
    case 0:
      return pick(random, NUMBERS);
    case 1:
      return -value;
    case 2:
      return value * 10 ** Math.floor(random() * 9 - 4);
    case 3:
      return value + (random() - 0.5) * 1e-3;
    default:
      return Math.round(value);
  }
}

/** Everything that stands in a list, or every point of a path, in one place. */
function collapse(value: Json, to: { readonly x: number; readonly y: number }): void {
  for (const place of placesIn(value)) {
    if (place.key === 'x') put(place, to.x);
    if (place.key === 'y') put(place, to.y);
  }
}

function change(random: RandomSource, place: Place, all: readonly Place[]): void {
  const value = at(place);
  if (typeof value === 'number') return put(place, changedNumber(random, value));
  // Half of all texts become another of the same file: ids that lead elsewhere.
  if (typeof value === 'string') {
    const others = all.filter(({ key }) => key === place.key).map(at);
    return put(place, random() < 0.6 ? structuredClone(pick(random, others)) : pick(random, TEXTS));
  }
  if (typeof value === 'boolean') return put(place, !value);
  if (value === null) return put(place, {});
  if (!Array.isArray(value)) {
    if (random() < 0.5) collapse(value, { x: Math.round(random() * 100), y: 0 });
    else if (random() < 0.5 && !Array.isArray(place.holder)) delete place.holder[place.key as string];
    else
      put(
        place,
        structuredClone(
          at(
            pick(
              random,
              all.filter(({ key }) => key === place.key),
            ),
          ),
        ),
      );
    return;
  }
  const one = Math.floor(random() * value.length);
  switch (Math.floor(random() * 6)) {
    case 0:
      value.splice(one, 1);
      break;
    case 1:
      value.push(structuredClone(value[one] ?? 0));
      break;
    case 2:
      value.reverse();
      break;
    case 3:
      value.length = Math.min(value.length, 1);
      break;
    case 4:
      collapse(value, { x: Math.round(random() * 100), y: 0 });
      break;
    default:
      put(
        place,
        structuredClone(
          at(
            pick(
              random,
              all.filter((other) => Array.isArray(at(other))),
            ),
          ),
        ),
      );
  }
}

/** A project file's data with one to three changes that a hand, a slip or malice could make; the same for the same seed. */
export function mutantOf(data: unknown, seed: number): unknown {
  const random = seededRandom(seed),
    mutant = structuredClone(data) as Json;
  for (let left = 1 + Math.floor(random() * 3); left > 0; left--) {
    const all = placesIn(mutant);
    // The most are points and ids; what is bigger is changed as often as what is small.
    const big = all.filter((place) => typeof at(place) === 'object');
    change(random, pick(random, random() < 0.4 ? big : all), all);
  }
  return mutant;
}
