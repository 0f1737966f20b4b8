import fc from 'fast-check';
import { DEFAULT_SETTINGS, standardBoard, type Airframe } from '@grain-fold/core/airframe';
import { emptyPart, type Part } from '@grain-fold/core/part';
import { AirframeKeeper, AirframeSender, OUT_OF_STEP } from './kept-airframe.ts';

const start: Airframe = {
  id: 'a',
  name: 'A',
  settings: DEFAULT_SETTINGS,
  boards: [standardBoard('b1', 'foam')],
  parts: ['p0', 'p1', 'p2'].map((id) => emptyPart(id, id, 'foam')),
};
/** What a worker gets is a copy, never the page's own object. */
const sent = (sender: AirframeSender, airframe: Airframe) => structuredClone(sender.changeTo(airframe));

type Edit = (airframe: Airframe, number: number) => Airframe;
const EDITS: Readonly<Record<string, Edit>> = {
  rename: (airframe, number) => ({ ...airframe, name: `Name ${number}` }),
  changePart: (airframe, number) => ({
    ...airframe,
    parts: airframe.parts.map((part, index): Part =>
      index === number % Math.max(1, airframe.parts.length) ? { ...part, quantity: number + 1 } : part,
    ),
  }),
  addPart: (airframe, number) => ({ ...airframe, parts: [...airframe.parts, emptyPart(`q${number}`, 'Q', 'foam')] }),
  removePart: (airframe) => ({ ...airframe, parts: airframe.parts.slice(1) }),
  turnOrder: (airframe) => ({ ...airframe, parts: airframe.parts.toReversed() }),
  addBoard: (airframe, number) => ({ ...airframe, boards: [...airframe.boards, standardBoard(`b${number}`, 'ply')] }),
  setNest: (airframe, number) => ({ ...airframe, nest: { boards: [], hash: String(number) } as never }),
  dropNest: ({ nest: _nest, ...airframe }) => airframe,
  other: (airframe, number) => ({ ...airframe, id: `other${number}` }),
};

test('after any edits the kept airframe equals the sent one, and what did not change is the same object as before', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...Object.keys(EDITS)), { maxLength: 20 }), (names) => {
      const sender = new AirframeSender(),
        keeper = new AirframeKeeper();
      let airframe = start,
        kept = keeper.take(sent(sender, airframe));
      names.forEach((name, number) => {
        const next = EDITS[name]!(airframe, number);
        const before = new Map(airframe.parts.map((part, index) => [part, kept.parts[index]!]));
        const boardsBefore = kept.boards;
        const isOther = next.id !== airframe.id;
        const keptNext = keeper.take(sent(sender, next));
        expect(keptNext).toEqual(next);
        if (!isOther) {
          next.parts.forEach((part, index) => {
            if (before.has(part)) expect(keptNext.parts[index]).toBe(before.get(part));
          });
          if (next.boards === airframe.boards) expect(keptNext.boards).toBe(boardsBefore);
        }
        [airframe, kept] = [next, keptNext];
      });
    }),
  );
});

test('only what changed travels', () => {
  const sender = new AirframeSender();
  sender.changeTo(start);
  const changed = { ...start, parts: start.parts.with(1, { ...start.parts[1]!, quantity: 3 }) };
  expect(sender.changeTo(changed)).toMatchObject({ fields: {}, order: ['p0', 'p1', 'p2'], parts: [{ id: 'p1' }] });
  expect(sender.changeTo(changed)).toMatchObject({ fields: {}, parts: [] });
});

test('a receiver that was started anew says so, and takes the whole airframe then', () => {
  const sender = new AirframeSender();
  sender.changeTo(start);
  const keeper = new AirframeKeeper();
  expect(() => keeper.take(sent(sender, { ...start, name: 'B' }))).toThrow(OUT_OF_STEP);
  sender.forget();
  expect(keeper.take(sent(sender, { ...start, name: 'B' }))).toMatchObject({ name: 'B', parts: start.parts });
});
