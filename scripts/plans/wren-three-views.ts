/** Draws the made-up three-view picture that ships to trace: as it might come from a scanner, a little turned and stretched. */
import { execFileSync } from 'node:child_process';
import path from 'node:path';

const PX_PER_MM = 1.55,
  TURN_DEGREES = 1.2,
  STRETCH = 1.03,
  [WIDTH, HEIGHT] = [3100, 2300];
type P = readonly [number, number];

/** Model coordinates in mm to the sheet: side view at the lower left, top view over it, front view beside it. */
const side = ([x, z]: P): P => [220 + x * PX_PER_MM, 2040 - z * PX_PER_MM];
const top = ([x, y]: P): P => [220 + x * PX_PER_MM, 960 - y * PX_PER_MM];
const front = ([y, z]: P): P => [2250 - y * PX_PER_MM, 2040 - z * PX_PER_MM];
const run = (to: (p: P) => P, points: readonly P[], close = true): string =>
  `<path d="M${points
    .map((p) =>
      to(p)
        .map((v) => v.toFixed(1))
        .join(' '),
    )
    .join('L')}${close ? 'Z' : ''}"/>`;
const circle = (to: (p: P) => P, at: P, mm: number): string =>
  `<circle cx="${to(at)[0]}" cy="${to(at)[1]}" r="${mm * PX_PER_MM}"/>`;
const words = (x: number, y: number, text: string, size = 40, turn = 0): string =>
  `<text x="${x}" y="${y}" font-size="${size}" transform="rotate(${turn} ${x} ${y})" stroke="none" fill="#222">${text}</text>`;
function dimension(from: P, to: P, text: string, turn = 0): string {
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  return `<path d="M${from.join(' ')}L${to.join(' ')}" stroke-width="2"/>${words(x - 90, y - 14, text, 38, turn)}`;
}

const BODY: readonly P[] = [
  [0, -28],
  [40, -42],
  [230, -50],
  [380, -40],
  [760, -6],
  [760, 22],
  [420, 38],
  [395, 52],
  [205, 52],
  [170, 34],
  [0, 24],
];
const wing = (sign: 1 | -1): readonly P[] => [
  [200, 0],
  [200, sign * 420],
  [212, sign * 500],
  [240, sign * 510],
  [345, sign * 510],
  [370, sign * 470],
  [370, 0],
];
const tail = (sign: 1 | -1): readonly P[] => [
  [640, 0],
  [662, sign * 180],
  [690, sign * 190],
  [748, sign * 190],
  [756, sign * 30],
  [748, 0],
];
const drawn = [
  run(side, BODY),
  run(side, [
    [200, 66],
    [215, 74],
    [270, 76],
    [370, 58],
    [200, 56],
  ]),
  run(side, [
    [628, 26],
    [690, 150],
    [752, 152],
    [760, 22],
  ]),
  run(
    side,
    [
      [712, 24],
      [722, 151],
    ],
    false,
  ),
  circle(side, [150, -108], 32),
  run(
    side,
    [
      [150, -108],
      [170, -46],
    ],
    false,
  ),
  circle(side, [738, -26], 9),
  run(
    side,
    [
      [-8, -112],
      [-8, 108],
    ],
    false,
  ),
  run(top, wing(1)),
  run(top, wing(-1)),
  run(top, tail(1)),
  run(top, tail(-1)),
  run(top, [
    [0, -24],
    [60, -34],
    [380, -34],
    [760, -8],
    [760, 8],
    [380, 34],
    [60, 34],
    [0, 24],
  ]),
  run(front, [
    [-510, 88],
    [0, 60],
    [510, 88],
    [510, 94],
    [0, 76],
    [-510, 94],
  ]),
  run(front, [
    [-34, -48],
    [34, -48],
    [34, 52],
    [-34, 52],
  ]),
  circle(front, [0, -2], 110),
  ...([1, -1] as const).map((sign) =>
    run(front, [
      [sign * 84, -140],
      [sign * 98, -140],
      [sign * 98, -76],
      [sign * 84, -76],
    ]),
  ),
  dimension(top([-70, 510]), top([-70, -510]), 'SPAN 1020', -90),
  dimension(side([0, -170]), side([760, -170]), 'LENGTH 760'),
  dimension(top([200, 560]), top([370, 560]), 'CHORD 170'),
  words(1900, 220, 'WREN', 110),
  words(1900, 290, 'Park trainer of foam board. All sizes in mm.', 44),
];
const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
<rect width="100%" height="100%" fill="#f4efe2"/>
<g transform="translate(${WIDTH / 2} ${HEIGHT / 2}) scale(${STRETCH} 1) rotate(${TURN_DEGREES}) translate(${-WIDTH / 2} ${-HEIGHT / 2})"
 fill="none" stroke="#222" stroke-width="4" stroke-linejoin="round" font-family="Barlow, DejaVu Sans, sans-serif">${drawn.join('\n')}</g></svg>`;
// Drawn by librsvg's own program: `apt-get install librsvg2-bin`.
execFileSync('rsvg-convert', ['--output', path.join(import.meta.dirname, '../../demo/plans/wren-three-views.png')], {
  input: svg,
});
