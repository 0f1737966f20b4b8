import { DEFAULT_SETTINGS, type Airframe } from '@grain-fold/core/airframe';
import { emptyPart } from '@grain-fold/core/part';
import { changesBetween, mergeEdits } from './changes.ts';

const [a, b, c] = ['a', 'b', 'c'].map((id) => emptyPart(id, `Part ${id}`, 'foam')) as [
  ReturnType<typeof emptyPart>,
  ReturnType<typeof emptyPart>,
  ReturnType<typeof emptyPart>,
];
const base: Airframe = { id: 'x', name: 'X', settings: DEFAULT_SETTINGS, parts: [a, b], boards: [] };
const versions = { settings: 3, parts: { a: 5, b: 2 }, boards: {}, nest: 0, plan: 0 };
const renamed = (part: typeof a, name: string): typeof a => ({ ...part, name });
let count = 0;
const newId = (prefix: string): string => `${prefix}new${++count}`;

test('only what changed is sent, on the version it was made from', () => {
  expect(changesBetween(base, base, versions, 'x')).toBeUndefined();
  expect(changesBetween(base, { ...base, parts: [renamed(a, 'Rib'), b] }, versions, 'Rename part')).toEqual({
    label: 'Rename part',
    parts: [{ id: 'a', basedOn: 5, position: 0, value: renamed(a, 'Rib') }],
  });
  expect(changesBetween(base, { ...base, parts: [b, c] }, versions, 'x')!.parts).toEqual([
    { id: 'b', basedOn: 2, position: 0, value: b },
    { id: 'c', basedOn: 0, position: 1, value: c },
    { id: 'a', basedOn: 5, position: 0, value: null },
  ]);
  expect(changesBetween(base, { ...base, settings: { ...DEFAULT_SETTINGS, scale: 2 } }, versions, 'x')).toMatchObject({
    settings: { basedOn: 3, value: { scale: 2 } },
  });
});

describe('edits that met a newer version', () => {
  const mine: Airframe = { ...base, parts: [renamed(a, 'Mine'), b, c], settings: { ...DEFAULT_SETTINGS, scale: 1.2 } };
  const theirs: Airframe = { ...base, parts: [renamed(a, 'Theirs'), renamed(b, 'Changed by them')] };
  test('keeping both loses nothing: theirs stays, mine comes beside it, what only one changed is kept', () => {
    const merged = mergeEdits(base, mine, theirs, 'both', newId);
    expect(merged.parts.map(({ name }) => name)).toEqual(['Theirs', 'Mine (mine)', 'Changed by them', 'Part c']);
    expect(new Set(merged.parts.map(({ id }) => id)).size).toBe(4);
    expect(merged.settings.scale).toBe(1.2);
  });
  test('taking theirs keeps what they did not touch', () => {
    const merged = mergeEdits(base, mine, theirs, 'theirs', newId);
    expect(merged.parts.map(({ name }) => name)).toEqual(['Theirs', 'Changed by them', 'Part c']);
    expect(merged.settings.scale).toBe(1.2);
  });
  test('what I removed and they did not touch is gone; what they changed meanwhile stays', () => {
    expect(mergeEdits(base, { ...base, parts: [a] }, theirs, 'both', newId).parts.map(({ name }) => name)).toEqual([
      'Theirs',
      'Changed by them',
    ]);
    expect(mergeEdits(base, { ...base, parts: [a] }, { ...base, parts: [a, b] }, 'both', newId).parts).toEqual([a]);
  });
  test('what they removed and I changed comes back with both, and not with theirs', () => {
    const removed: Airframe = { ...base, parts: [b] };
    expect(mergeEdits(base, mine, removed, 'both', newId).parts.map(({ name }) => name)).toEqual([
      'Part b',
      'Mine',
      'Part c',
    ]);
    expect(mergeEdits(base, mine, removed, 'theirs', newId).parts.map(({ name }) => name)).toEqual([
      'Part b',
      'Part c',
    ]);
  });
});
