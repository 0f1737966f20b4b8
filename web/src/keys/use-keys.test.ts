import { parseKeybinding } from 'tinykeys';
import { STATIONS } from '../stations/stations.ts';
import { TOOLS } from '../stations/parts/drafting/part-tools.ts';
import { KEY_LINES, type KeyScope } from './key-map.ts';

/** Scopes that are there together on a station, from the outermost in. */
const TOGETHER: readonly (readonly KeyScope[])[] = [
  ['everywhere', 'parts', 'drawing', 'mat'],
  ['everywhere', 'parts', 'folded'],
  ['everywhere', 'boards', 'mat'],
];
/** Keys that two scopes share on purpose: the inner one takes them while it has a use for them, and passes them on else. */
const SHARED = ['Escape', 'Arrows', 'Ctrl+Z'];

test('every key of the map can be read, and its pattern fits what it shows', () => {
  for (const { keys, shown, word } of KEY_LINES) {
    expect(keys.flatMap((key) => parseKeybinding(key))).toHaveLength(keys.length);
    expect(shown.length * word.length).toBeGreaterThan(0);
  }
});

test.each(TOGETHER)('no key means two things at once on %s, %s, %s', (...scopes) => {
  const lines = KEY_LINES.filter(({ scope }) => (scopes as readonly string[]).includes(scope));
  const taken = lines.flatMap(({ scope, name, keys, shown }) =>
    SHARED.includes(shown) || shown === 'Esc' ? [] : keys.map((key) => ({ key, by: `${scope} ${name}` })),
  );
  const twice = taken.filter(({ key, by }) => taken.some((other) => other.key === key && other.by !== by));
  expect(twice).toEqual([]);
});

test('tools and stations take no key of the map on the parts, nor of each other', () => {
  const plain = KEY_LINES.filter(({ scope }) => ['everywhere', 'parts', 'mat', 'drawing'].includes(scope)).flatMap(
    ({ keys }) => keys.map(String),
  );
  const own = [...TOOLS.map(({ key }) => key.toLowerCase()), ...STATIONS.map(({ key }) => key)];
  expect(new Set(own).size).toBe(own.length);
  expect(own.filter((key) => plain.includes(key))).toEqual([]);
});
