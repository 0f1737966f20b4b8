import fc from 'fast-check';
import { DEFAULT_SETTINGS, type Airframe } from '@grain-fold/core/airframe';
import { HISTORY_LIMIT, NO_HISTORY, walked, withStep, type History, type Step } from './history.ts';

const state = (number: number): Airframe => ({
  id: 'a',
  name: `State ${number}`,
  settings: DEFAULT_SETTINGS,
  parts: [],
  boards: [],
});
const step = (label: string, before: Airframe): Step => ({ id: label, label, before });
const STATES = Array.from({ length: 30 }, (_, number) => state(number));
/** A history that led from state 0 to state n. */
const ledTo = (n: number): History =>
  STATES.slice(0, n).reduce(
    (history, before, index) => withStep(history, step(`step ${index + 1}`, before)),
    NO_HISTORY,
  );

test('walking anywhere and back gives the state that was there, by name', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 25 }),
      fc.array(fc.integer({ min: -8, max: 8 }), { maxLength: 20 }),
      (n, walk) => {
        let history = ledTo(n),
          now = STATES[n]!,
          at = n;
        for (const steps of walk) {
          const went = walked(history, now, steps);
          const wanted = Math.max(0, Math.min(n, at + steps));
          if (wanted === at) expect(went).toBeUndefined();
          else {
            ({ history, now } = went!);
            at = wanted;
          }
          expect(now).toBe(STATES[at]);
          expect(history.past.map(({ label }) => label)).toEqual(Array.from({ length: at }, (_, i) => `step ${i + 1}`));
          expect(history.future.map(({ label }) => label)).toEqual(
            Array.from({ length: n - at }, (_, i) => `step ${at + i + 1}`),
          );
        }
      },
    ),
  );
});

test('a new step ends what was taken back, and the oldest go beyond the limit', () => {
  const back = walked(ledTo(5), STATES[5]!, -2)!;
  expect(withStep(back.history, step('other', back.now))).toMatchObject({ future: [], past: { length: 4 } });
  let history = NO_HISTORY;
  for (let at = 0; at < HISTORY_LIMIT + 5; at++) history = withStep(history, step(`step ${at}`, STATES[0]!));
  expect(history.past).toHaveLength(HISTORY_LIMIT);
  expect(history.past[0]!.label).toBe('step 5');
});
