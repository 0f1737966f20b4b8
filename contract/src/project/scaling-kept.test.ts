import {
  inOtherBoard,
  MOST_PACKINGS,
  sizedThings,
  withPacking,
  withThingSized,
  type Airframe,
} from '@grain-fold/core/airframe';
import { demo } from '../../../core/test/demos.ts';
import { readProjectFile, writeProjectFile } from '../index.ts';

const file = readProjectFile(JSON.stringify(demo('saltbox-36')));
if (!file.ok) throw new Error(file.message);
const SALTBOX = file.airframe;
/** Everything of the Saltbox’s parts and its power box that can be told otherwise, told so. */
const told = sizedThings(SALTBOX)
  .filter(({ of, ownerName, choices }) => choices.length > 1 && (of !== 'form' || ownerName === 'Power box'))
  .reduce<Airframe>((held, thing) => {
    const done = withThingSized(
      held,
      thing,
      thing.choices.find((one) => one !== thing.sizing)!,
    );
    return done.ok ? done.airframe : held;
  }, SALTBOX);

test('what was let grow, and what was told to stay, comes back from a file as it was', () => {
  expect(told.forms!.some(({ sizings }) => (sizings?.length ?? 0) > 2)).toBe(true);
  expect(told.parts.some(({ features }) => features?.some(({ sizing }) => sizing === 'scaled'))).toBe(true);
  expect(readProjectFile(writeProjectFile(told))).toEqual({ ok: true, airframe: told });
});

test('an airframe in another board comes back from a file, its new board too', () => {
  const { airframe } = inOtherBoard(SALTBOX, SALTBOX.boards[0]!.material, { thicknessMm: 6.35 });
  expect(readProjectFile(writeProjectFile(airframe))).toEqual({ ok: true, airframe });
});

/** The file of the told Saltbox with one thing of it changed by hand. */
const spoilt = (change: (file: Airframe) => void): string => {
  const file = JSON.parse(writeProjectFile(withPacking(told, 7))) as Airframe;
  change(file);
  return JSON.stringify(file);
};
const formOf = (file: Airframe) => file.forms!.find(({ sizings }) => sizings)! as { sizings: unknown };
const pagesOf = (file: Airframe) => file.settings.pages as unknown as Record<string, unknown>;
test.each([
  ['a place of a list', (file: Airframe) => (formOf(file).sizings = [{ path: 'bays.0.lengthMm', sizing: 'scaled' }])],
  ['a path into a prototype', (file: Airframe) => (formOf(file).sizings = [{ path: '__proto__', sizing: 'scaled' }])],
  ['a sizing that there is not', (file: Airframe) => (formOf(file).sizings = [{ path: 'lineMm', sizing: 'slot' }])],
  ['a list that is none', (file: Airframe) => (formOf(file).sizings = 'lineMm')],
  ['a packing beyond the last', (file: Airframe) => (pagesOf(file)['packing'] = MOST_PACKINGS)],
  ['a packing that is no number', (file: Airframe) => (pagesOf(file)['packing'] = 'seven')],
  [
    'a mirror that is no yes or no',
    (file: Airframe) => (pagesOf(file)['sections'] = [{ id: 's1', way: 'decals', isMirrored: 1 }]),
  ],
])('a file with %s is refused', (_, change) => {
  expect(readProjectFile(spoilt(() => undefined))).toMatchObject({ ok: true });
  expect(readProjectFile(spoilt(change))).toMatchObject({ ok: false });
});

test('a length of a form that is gone grows nothing, and breaks nothing', () => {
  const read = readProjectFile(
    spoilt((file) => (formOf(file).sizings = [{ path: 'constructor.name', sizing: 'scaled' }])),
  );
  expect(read.ok).toBe(true);
  if (!read.ok) return;
  const airframe = { ...read.airframe, settings: { ...read.airframe.settings, scale: 1.5 } };
  expect(sizedThings(airframe).length).toBeGreaterThan(100);
});
