import { DEFAULT_SETTINGS, type Airframe } from '@grain-fold/core/airframe';
import { emptyPart, type Part } from '@grain-fold/core/part';
import { changedBetween, withChanged, type ChangedParts } from '../../workers/changed-parts.ts';
import type { Worked } from '../../workers/worked.ts';
import { Measuring } from './measuring.ts';

const part = (id: string, notes = ''): Part => ({ ...emptyPart(id, id, 'foam'), notes });
const airframe = (...parts: readonly Part[]): Airframe => ({
  id: 'x',
  name: 'X',
  settings: DEFAULT_SETTINGS,
  parts,
  boards: [],
});
const settled = async (): Promise<void> => new Promise((done) => setTimeout(done));

/** An airframe that is edited, questions answered by hand, and what was taken in. */
function desk(first: Airframe) {
  let now: Airframe | undefined = first;
  const answers: ((worked: Worked<ChangedParts | undefined>) => void)[] = [],
    failures: (() => void)[] = [],
    taken: Airframe[] = [];
  const measuring = new Measuring(
    () => now,
    async () =>
      new Promise((answer, fail) => {
        answers.push(answer);
        failures.push(() => fail(new Error('gone')));
      }),
    (next) => {
      taken.push(next);
      now = next;
    },
  );
  return { measuring, answers, failures, taken, edit: (next: Airframe | undefined) => (now = next) };
}

test('what became of the parts is taken in; the others stay the same objects', async () => {
  const [a, b] = [part('a'), part('b')],
    { measuring, answers, taken } = desk(airframe(a, b));
  measuring.later();
  answers[0]!({ ok: true, value: { order: ['a', 'b', 'c'], parts: [part('b', 'longer'), part('c')], forms: [] } });
  await settled();
  expect(taken).toHaveLength(1);
  expect(taken[0]!.parts.map(({ id, notes }) => [id, notes])).toEqual([
    ['a', ''],
    ['b', 'longer'],
    ['c', ''],
  ]);
  expect(taken[0]!.parts[0]).toBe(a);
});

test('what was edited meanwhile is measured anew, and the old answer is dropped', async () => {
  const { measuring, answers, taken, edit } = desk(airframe(part('a')));
  measuring.later();
  edit(airframe(part('a', 'edited')));
  answers[0]!({ ok: true, value: { order: ['a'], parts: [part('a', 'of yesterday')], forms: [] } });
  await settled();
  expect(taken).toEqual([]);
  answers[1]!({ ok: true, value: undefined });
  await settled();
  expect([taken, answers.length]).toEqual([[], 2]);
});

test('nothing is taken in of an airframe that was closed; a worker that failed is done without', async () => {
  const closed = desk(airframe(part('a')));
  closed.measuring.later();
  closed.edit(undefined);
  closed.answers[0]!({ ok: true, value: { order: ['a'], parts: [part('a', 'late')], forms: [] } });
  await settled();
  expect(closed.taken).toEqual([]);
  const failed = desk(airframe(part('a')));
  failed.measuring.later();
  failed.failures[0]!();
  await settled();
  expect(failed.taken.map(({ parts }) => parts.map(({ id }) => id))).toEqual([['a']]);
});

test('another airframe that was opened and edited meanwhile is measured too', async () => {
  const other: Airframe = { ...airframe(part('z')), id: 'y' },
    { measuring, answers, taken, edit } = desk(airframe(part('a')));
  measuring.later();
  edit(other);
  measuring.later();
  answers[0]!({ ok: true, value: { order: ['a'], parts: [part('a', 'late')], forms: [] } });
  await settled();
  expect(answers).toHaveLength(2);
  answers[1]!({ ok: true, value: { order: ['z'], parts: [part('z', 'longer')], forms: [] } });
  await settled();
  expect(taken.map(({ id, parts }) => [id, parts[0]!.notes])).toEqual([['y', 'longer']]);
});

test('only what is otherwise travels, and makes the same again', () => {
  const before = airframe(part('a'), part('b'), part('gone')),
    next = airframe(part('c'), part('a'), part('b', 'longer'));
  const change = changedBetween(before, next)!;
  expect(change.parts.map(({ id }) => id)).toEqual(['c', 'b']);
  expect(withChanged(before, change)).toEqual(next);
  expect(changedBetween(before, structuredClone(before))).toBeUndefined();
});
