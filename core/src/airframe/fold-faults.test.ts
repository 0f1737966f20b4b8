import { after, airframeOf, foam, groove, plate, withLine } from '../../test/samples.ts';
import type { Fault } from '../checks/index.ts';
import { applyCommand, type PartCommand } from '../editing/index.ts';
import { emptyPart, outlineOf, type Part } from '../part/index.ts';
import { quickNest } from './nest-airframe.ts';
import { cutListOf } from './figures.ts';
import { foldFaults } from './fold-faults.ts';
import { placeFaults } from './place-faults.ts';
import { cutListCsv, placedWords } from '../cutting/index.ts';

const faultsOf = (...parts: readonly Part[]): readonly Fault[] => foldFaults(airframeOf(parts));
const mended = (part: Part, { mend }: Fault): Part => {
  if (!('command' in mend)) throw new Error(`"${mend.label}" is no edit`);
  const result = applyCommand(part, mend.command);
  if (!result.ok) throw new Error(result.message);
  return result.part;
};
const joint = (part: Part, edge: number, to: Part, toSegmentId: string, turnDegrees = 90): Part =>
  after(part, {
    name: 'addJoint',
    args: {
      joint: {
        ownSegmentId: outlineOf(part)!.segments[edge]!.id,
        ownSkin: 'back',
        toPartId: to.id,
        toSegmentId,
        toSkin: 'face',
        turnDegrees,
        alongMm: 0,
        isReversed: false,
      },
    },
  } as PartCommand);

describe('faults of folding', () => {
  test('a groove too narrow for its turn is told with what it presses, and widened by its mend', () => {
    const part = withLine(plate(200, 100), [0, 50], [200, 50], groove(90, 8));
    const [fault, ...others] = faultsOf(part);
    expect(others).toEqual([]);
    expect(fault).toMatchObject({ code: 'PLATES_PRESS', partId: 'p1', mend: { label: 'Widen it to 10.00 mm' } });
    expect(faultsOf(mended(part, fault!))).toEqual([]);
  });
  test('flanges that meet over a floor of 60 press by what they are too long, and the mend shortens one by that', () => {
    // Floor 60, walls 40, flanges 35 and 35 folded in: over the floor there is room for 60 in all, less what is asked of it: 10 too many.
    const part = [35, 75, 135, 175].reduce(
      (now, y) => withLine(now, [0, y], [100, y], groove(90)),
      plate(100, 35 + 40 + 60 + 40 + 35),
    );
    const [fault, ...others] = faultsOf(part);
    expect(others).toEqual([]);
    // They lie in one plane, 5 thick: what both claim is 5 × 10.
    expect(fault).toMatchObject({ code: 'PLATES_PRESS', title: expect.stringContaining('5.00 mm') });
    expect(fault!.mend.label).toBe('See it folded');
    // A millimetre too many is less than the board is thick: then an edge is shortened by it.
    const slight = [30.5, 70.5, 130.5, 170.5].reduce(
      (now, y) => withLine(now, [0, y], [100, y], groove(90)),
      plate(100, 30.5 + 40 + 60 + 40 + 30.5),
    );
    const [press] = faultsOf(slight);
    expect(press).toMatchObject({ code: 'PLATES_PRESS', mend: { label: 'Shorten its edge by 1.00 mm' } });
    expect(faultsOf(mended(slight, press!))).toEqual([]);
  });
  test('linings that press face to face have no edge to shorten: the fold between them is moved by what they press', () => {
    // Lining 18, wall 25, floor 20, wall 25, lining 18 for 5 mm board: four boards of 5.4 want 21.6 on a floor of 20.
    const box = after(emptyPart('box', 'Box', 'foam'), {
      name: 'foldStrip',
      args: {
        lengthMm: 100,
        thicknessMm: 5,
        sides: [18, 25, 20, 25, 18].map((sizeMm) => ({ sizeMm, is: 'outer' as const })),
        folds: [180, 90, 90, 180].map((foldDegrees) => ({
          foldDegrees,
          style: foldDegrees === 180 ? ('trench' as const) : ('groove' as const),
        })),
      },
    });
    const inBoard = (part: Part): readonly Fault[] =>
      foldFaults(airframeOf([part], { boards: [{ ...foam, thicknessMm: 5.4 }] }));
    const press = inBoard(box).find(({ title }) => title.includes('1.60 mm'))!;
    expect(press).toMatchObject({ code: 'PLATES_PRESS', mend: { label: 'Move mitre groove by 1.60 mm' } });
    expect(inBoard(mended(box, press)).filter(({ title }) => title.includes('1.60'))).toEqual([]);
  });
  test('a declared seam open by more than 0.3 mm is a fault with its gap; closed to less it is none', () => {
    // A U of 40, 60, 40: the inner skins of its free edges stand 60 less two boards apart.
    const open = [40, 100].reduce((now, y) => withLine(now, [0, y], [100, y], groove(90)), plate(100, 140));
    const [first, , third] = outlineOf(open)!.segments;
    const seamed = after(open, { name: 'addSeam', args: { fromSegmentId: first!.id, toSegmentId: third!.id } });
    expect(faultsOf(seamed)).toMatchObject([{ code: 'SEAM_OPEN', title: expect.stringContaining('50.00 mm') }]);
    // A box of four sides closes; its last corner is cut square on both sides, and bevelled by the mend, one edge after the other.
    const box = [40, 100, 140].reduce((now, y) => withLine(now, [0, y], [100, y], groove(90)), plate(100, 200));
    const edges = outlineOf(box)!.segments;
    let closed = after(box, { name: 'addSeam', args: { fromSegmentId: edges[0]!.id, toSegmentId: edges[2]!.id } });
    expect(faultsOf(closed)).toMatchObject([{ code: 'PLATES_PRESS', mend: { label: 'Bevel the edge to meet' } }]);
    for (let step = 0; step < 2; step++) closed = mended(closed, faultsOf(closed)[0]!);
    expect(faultsOf(closed)).toEqual([]);
  });
  test('two parts that want one place are told with how deep they press', () => {
    const floor: Part = {
      ...withLine(plate(200, 100, 'floor'), [0, 50], [200, 50], { kind: 'mark', face: 'face', label: '' }),
      place: { at: { x: 0, y: 0, z: 0 }, rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0 },
    };
    const mark = floor.lines[0]!.segments[0]!.id;
    const [a, b] = [joint(plate(60, 40, 'a'), 0, floor, mark), joint(plate(60, 40, 'b'), 0, floor, mark)];
    // Both stand on the same stretch of the same line.
    expect(faultsOf(floor, a, b)).toMatchObject([
      {
        code: 'PARTS_PRESS',
        title: 'Part a and Part b press 5.00 mm into each other',
        mend: { label: 'See it folded' },
      },
    ]);
    expect(faultsOf(floor, a)).toEqual([]);
  });
});

describe('pieces without a place', () => {
  const five = { ...plate(400, 360), quantity: 5 };
  const small = airframeOf([five], { boards: [{ ...foam, count: 1 }] });

  test('are faults that say what to buy; counted, they have a place', () => {
    // A board of 700 × 500 holds one plate of 400 × 360: two side by side are 760 long even when one is turned.
    const [fault] = placeFaults(small, quickNest(small).nest);
    expect(fault).toMatchObject({
      code: 'PIECE_UNPLACED',
      partId: 'p1',
      title: '4 Part p1 have no place on the boards',
      detail: '4 more boards of Foam would take everything.',
      mend: { label: 'Count 4 more', action: { name: 'countBoards', boardId: 'b1', count: 5 } },
    });
    const bought = { ...small, boards: [{ ...foam, count: 5 }] };
    expect(placeFaults(bought, quickNest(bought).nest)).toEqual([]);
  });
  test('stand in the cut list, its CSV and its words', () => {
    const list = cutListOf({ ...small, nest: quickNest(small).nest });
    expect(placedWords(list)).toBe('5 pieces, 1 of them on 1 board');
    expect(list.unplaced).toMatchObject([{ quantity: 4, words: '4 more boards of Foam would take everything.' }]);
    const [head, row] = cutListCsv(list, 'mm').split('\r\n');
    expect(row!.split(',')[head!.split(',').indexOf('without place')]).toBe('4');
  });
  test('too large for every board, they say the size that is needed', () => {
    const large = airframeOf([plate(900, 300)], { boards: [{ ...foam, count: 3 }] });
    const [fault] = placeFaults(large, quickNest(large).nest);
    expect(fault!.detail).toBe('No board of foam in stock takes it: it needs 900 × 300 mm.');
  });
});
