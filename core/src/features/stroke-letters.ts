import type { Point } from '../geometry/index.ts';

/**
 * Letters of single strokes, drawn for this program on a grid 4 wide and 6 high: each stroke is a chain of points, two digits a point.
 * A knife or a pen runs along them once.
 */
const STROKES: Readonly<Record<string, string>> = {
  A: '002640 1333',
  B: '00063645443303 3342413000',
  C: '4536160501103041',
  D: '00062644422000',
  E: '46060040 0333',
  F: '460600 0333',
  G: '45361605011030414323',
  H: '0006 4046 0343',
  I: '0020 0626 1016',
  J: '4641301001',
  K: '0006 4602 1340',
  L: '060040',
  M: '0006234640',
  N: '00064046',
  O: '103041453616050110',
  P: '00063645443303',
  Q: '103041453616050110 2240',
  R: '00063645443303 2340',
  S: '453616050413334241301001',
  T: '0646 2620',
  U: '060110304146',
  V: '062046',
  W: '0610233046',
  X: '0046 0640',
  Y: '062346 2320',
  Z: '06460040',
  0: '103041453616050110 1135',
  1: '042620',
  2: '05163645440040',
  3: '051636454433 13334241301001',
  4: '30360242',
  5: '460603334241301001',
  6: '4536160501103041423303',
  7: '064610',
  8: '13334445361605041302011030414233',
  9: '0110304145361605041343',
  '-': '0323',
  '.': '0001',
  ',': '1100',
  '/': '0036',
  '+': '2125 0343',
  '(': '16040210',
  ')': '06141200',
  "'": '0605',
  '"': '0605 1615',
  ':': '0102 0405',
  '°': '0616150506',
  '×': '0145 0541',
  '=': '0242 0444',
  '%': '0046 0616150506 3040413130',
  '?': '05163645442322 2021',
  '#': '1016 3036 0242 0444',
  '&': '4005051625041001103042',
};

const GRID_HEIGHT = 6;
const GAP = 1.6;
const SPACE = 3;
/** Small letters are drawn as capitals of this size. */
const SMALL = 0.75;

/** Accents are left off: the letter under them is drawn. */
const plain = (text: string): readonly string[] => [...text.normalize('NFD').replace(/[\u0300-\u036f]/g, '')];
const isDrawn = (letter: string): boolean => letter === ' ' || STROKES[letter.toUpperCase()] !== undefined;

/** Letters of a text that there are no strokes for. */
export const lettersMissing = (text: string): readonly string[] => [
  ...new Set(plain(text).filter((letter) => !isDrawn(letter))),
];

/**
 * A text as strokes on a line from (0, 0) to the right; letters without strokes are left out as a space.
 * @param heightMm height of capitals
 * @returns the strokes, each a chain of points, and the width of the whole
 */
export function strokeText(
  text: string,
  heightMm: number,
): { readonly strokes: readonly (readonly Point[])[]; readonly widthMm: number } {
  const unit = heightMm / GRID_HEIGHT;
  const strokes: Point[][] = [];
  let x = 0,
    end = 0;
  for (const letter of plain(text)) {
    const chains = STROKES[letter.toUpperCase()]?.split(' ');
    const size = letter !== letter.toUpperCase() ? SMALL : 1;
    if (!chains) {
      x += SPACE;
      continue;
    }
    const points = chains.map((chain) =>
      Array.from({ length: chain.length / 2 }, (_, index) => ({
        x: Number(chain[2 * index]) * size,
        y: Number(chain[2 * index + 1]) * size,
      })),
    );
    for (const chain of points) strokes.push(chain.map((p) => ({ x: (x + p.x) * unit, y: p.y * unit })));
    end = x + Math.max(...points.flat().map((p) => p.x));
    x = end + GAP;
  }
  return { strokes, widthMm: end * unit };
}
