import fc from 'fast-check';
import { airframeOf, foam } from '../../../test/samples.ts';
import type { Board } from '../../stock/index.ts';
import { stockCsv, stockFromCsv } from './stock-list.ts';

let number = 0;
const freshId = (): string => `n${(number += 1)}`;
const read = (text: string) => stockFromCsv(text, foam, freshId);

const length = (least: number, most: number) =>
  fc.integer({ min: least * 1000, max: most * 1000 }).map((thousandths) => thousandths / 1000);
const board: fc.Arbitrary<Board> = fc.record(
  {
    id: fc.constant('b'),
    name: fc.constantFrom('Board', '=SUM(A1)', 'a "quoted", one', '+5 mm', 'Schaum ü', '-'),
    material: fc.constantFrom('faced board', "'ply", '@foam'),
    thicknessMm: length(1, 20),
    widthMm: length(10, 9000),
    heightMm: length(10, 9000),
    count: fc.integer({ min: 0, max: 999 }),
    price: fc.integer({ min: 0, max: 9999 }).map((cents) => cents / 100),
    grain: fc.constantFrom<Board['grain']>('width', 'height', 'none'),
    gramsPerSquareMetre: fc.integer({ min: 1, max: 5000 }),
    blemishes: fc.array(fc.record({ x: length(0, 500), y: length(0, 500), radiusMm: length(1, 90) }), {
      minLength: 1,
      maxLength: 3,
    }),
  },
  {
    requiredKeys: [
      'id',
      'name',
      'material',
      'thicknessMm',
      'widthMm',
      'heightMm',
      'count',
      'price',
      'grain',
      'gramsPerSquareMetre',
    ],
  },
);

test('a list written and read again is the same to a thousandth of a millimetre, in inches too', () => {
  fc.assert(
    fc.property(
      fc.array(board, { minLength: 1, maxLength: 5 }),
      fc.constantFrom<'mm' | 'in'>('mm', 'in'),
      (boards, unit) => {
        const airframe = airframeOf([], { boards });
        const text = stockCsv({ ...airframe, settings: { ...airframe.settings, unit, currency: 'kr' } });
        const { boards: again, faults } = read(text);
        expect(faults).toEqual([]);
        const plain = (one: Board): object =>
          JSON.parse(
            JSON.stringify({ ...one, id: '' }, (key, value: unknown) =>
              typeof value === 'number'
                ? Math.round(value * 1000)
                : key === 'name' || key === 'material'
                  ? String(value).replace(/^'/, '')
                  : value,
            ),
          ) as object;
        expect(again.map(plain)).toEqual(boards.map(plain));
      },
    ),
  );
});

test('an offcut comes back with its outline', () => {
  const offcut: Board = {
    ...foam,
    widthMm: 200,
    heightMm: 100,
    outline: [
      { x: 0, y: 0 },
      { x: 200, y: 0 },
      { x: 0, y: 100 },
    ],
  };
  const airframe = airframeOf([], { boards: [offcut] });
  expect(read(stockCsv(airframe)).boards[0]).toEqual({ ...offcut, id: expect.any(String) });
});

test('a short list by hand: what it does not say is as usual; commas for points', () => {
  const { boards, faults } = read('Board;Material;Across mm;Up mm;Price\nShed;foam;600;400,5;3,20\n\n');
  expect(faults).toEqual([]);
  expect(boards).toEqual([
    {
      ...foam,
      id: expect.any(String),
      name: 'Shed',
      material: 'foam',
      widthMm: 600,
      heightMm: 400.5,
      price: 3.2,
      count: 1,
    },
  ]);
});

test.each([
  ['', 'no column “board”, “material”, “across mm or across in”, “up mm or up in”'],
  ['board,material,across mm\nA,foam,5', 'no column “up mm or up in”'],
  ['board,material,across mm,up mm\nA,foam,9,100', 'Row 2: across mm must be a number from 10 to 10000, it is “9”'],
  ['board,material,across mm,up mm\nA,foam,100,1e9', 'up mm must be a number'],
  ['board,material,across in,up in\nA,foam,NaN,4', 'across in must be a number from 0.394 to 393.701, it is “NaN”'],
  ['board,material,across mm,up mm\n,foam,100,100', 'Row 2: it has no name'],
  ['board,material,across mm,up mm,grain\nA,foam,100,100,oblique', 'grain must be width, height, none or nothing'],
  ['board,material,across mm,up mm,count\nA,foam,100,100,1000', 'count must be a number from 0 to 999'],
  ['board,material,across mm,up mm,outline mm\nA,foam,100,100,"0 0, 100 100, 100 0, 0 100"', 'outline bounds no piece'],
  ['board,material,across mm,up mm,outline mm\nA,foam,100,100,"0 0, 1 x"', 'holds “1 x”: 2 numbers'],
  ['\u0000\u0001binary"', 'no column'],
])('what is no list says why: %j', (text, words) => {
  const { boards, faults } = read(text);
  expect(boards).toEqual([]);
  expect(faults.join(' ')).toContain(words);
});
