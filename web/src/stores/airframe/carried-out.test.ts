import { faultsIn } from '@grain-fold/core/airframe';
import { after, airframeOf, foam, plate } from '../../../../core/test/samples.ts';
import type { Part } from '@grain-fold/core/part';
import { carriedOut, type CarriedOutAction } from './carried-out.ts';

const board = { ...foam, widthMm: 700, heightMm: 500 };
const stocked = (part: Part, edgeMarginMm = 12) => {
  const airframe = airframeOf([part], { boards: [board] });
  return { ...airframe, settings: { ...airframe.settings, nest: { ...airframe.settings.nest, edgeMarginMm } } };
};
const freshId = (prefix: string): string => `${prefix}99`;

/** Every way to mend the one fault of a part, and what is left to mend afterwards. */
function mended(part: Part, edgeMarginMm?: number): Readonly<Record<string, number>> {
  const airframe = stocked(part, edgeMarginMm);
  const [fault] = faultsIn(airframe, part);
  return Object.fromEntries(
    [fault!.mend, ...(fault!.others ?? [])].map((mend) => {
      const next =
        'command' in mend
          ? { ...airframe, parts: [after(part, mend.command)] }
          : carriedOut(airframe, mend.action as CarriedOutAction, freshId).airframe;
      return [mend.label, faultsIn(next, next.parts[0]!).length];
    }),
  );
}

test('a part that misses the board by its margin may lie nearer to the edge, be scaled, or get a larger board', () => {
  // 690 + 2 · 12 is more than 700; (700 − 690) / 2 is 5.
  expect(mended(plate(690, 400))).toEqual({
    'Scale to 0.979': 0,
    'Edge margin 5.0 mm': 0,
    'Add a board of 720 × 430 mm': 0,
    'Split it at 345 mm, with tongues': 0,
  });
});
test('a long strip that fits aslant is turned by the coarsest step that lets it', () => {
  // At 30°: 780 · cos 30° + 20 · sin 30° = 685.5 long and 407.3 high; at 45° it is 565.7 both ways.
  const ways = mended(plate(780, 20), 3);
  expect(Object.keys(ways)).toContain('Turn free parts by 30°');
  expect(Object.values(ways).every((left) => left === 0)).toBe(true);
});
test('held to its grain it may be let lie any way, which comes first', () => {
  const held = after(plate(480, 600), {
    name: 'changeDetails',
    args: { changes: { grain: { rule: 'along', directionDegrees: 0 } } },
  });
  const ways = mended(held, 3);
  expect(Object.keys(ways)[0]).toBe('Let it lie any way');
  expect(Object.values(ways).every((left) => left === 0)).toBe(true);
});
test('a part put away by a mend is gone, boards are counted, and nothing else changes', () => {
  const airframe = stocked(plate(100, 100));
  expect(carriedOut(airframe, { name: 'removePart', partId: 'p1' }, freshId)).toMatchObject({
    label: 'Remove Part p1',
    airframe: { parts: [], boards: airframe.boards },
  });
  const counted = carriedOut(airframe, { name: 'countBoards', boardId: 'b1', count: 9 }, freshId).airframe;
  expect(counted).toEqual({ ...airframe, boards: [{ ...board, count: 9 }] });
});
