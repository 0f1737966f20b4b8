import { DEFAULT_SETTINGS, standardBoard, type Airframe } from '@grain-fold/core/airframe';
import { emptyPart } from '@grain-fold/core/part';
import { compareAirframes } from './compare-airframes.ts';

const then: Airframe = {
  id: 'x',
  name: 'Tern',
  settings: DEFAULT_SETTINGS,
  parts: [emptyPart('a', 'Rib', 'foam'), emptyPart('b', 'Spar', 'foam')],
  boards: [standardBoard('b1', 'foam')],
};

test('the same is the same, whatever the references', () =>
  expect(compareAirframes(then, structuredClone(then))).toEqual([]));
test('what was added, changed and removed since, each once', () => {
  const now: Airframe = {
    ...then,
    name: 'Shore Tern',
    parts: [{ ...then.parts[0]!, quantity: 4 }, emptyPart('c', 'Fin', 'foam')],
    boards: [],
    settings: { ...DEFAULT_SETTINGS, scale: 1.2, pages: { ...DEFAULT_SETTINGS.pages, paper: 'A3' } },
    nest: { readHash: '0', seed: 1, tried: 1, boards: [], unplaced: [] },
  };
  expect(compareAirframes(then, now)).toEqual(
    [
      { what: 'Name, then Tern', how: 'changed since' },
      { what: 'Rib', how: 'changed since' },
      { what: 'Fin', how: 'added since' },
      { what: 'Spar', how: 'removed since' },
      { what: 'faced board', how: 'removed since' },
      { what: 'Scale, then × 1.000', how: 'changed since' },
      { what: 'Settings of pages and nest', how: 'changed since' },
      { what: 'Nest', how: 'added since' },
    ].map((one) => (one.what === 'faced board' ? { ...one, what: then.boards[0]!.name } : one)),
  );
  expect(compareAirframes(now, then).find(({ what }) => what === 'Nest')).toEqual({
    what: 'Nest',
    how: 'removed since',
  });
});
