import fc from 'fast-check';
import type { Point } from '../../geometry/index.ts';
import { calibrationFault, lengthChecks, levelledBy, project, sheetMap, underlayMap } from '../index.ts';
import type { KnownLength, PlanSheet, SheetCalibration, Underlay } from '../index.ts';

const sheet = (calibration: SheetCalibration, lengths: readonly KnownLength[] = []): PlanSheet => ({
  id: 's1',
  name: 'three views',
  hash: '0'.repeat(64),
  kind: 'png',
  widthPx: 4000,
  heightPx: 3000,
  calibration,
  lengths,
});
const known = (id: string, from: Point, to: Point, lengthMm: number): KnownLength => ({
  id,
  name: id,
  from,
  to,
  lengthMm,
});
const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** A photograph of a flat drawing by a pinhole camera: turned about three axes, some way off. The drawing's y goes up, the picture's down. */
function photograph(turns: readonly [number, number, number], awayMm: number, p: Point): Point {
  const [a, b, c] = turns;
  // About the line of sight, then about the picture's x, then its y.
  const x1 = p.x * Math.cos(a) - p.y * Math.sin(a),
    y1 = p.x * Math.sin(a) + p.y * Math.cos(a);
  const y2 = y1 * Math.cos(b),
    z2 = y1 * Math.sin(b);
  const x3 = x1 * Math.cos(c) + z2 * Math.sin(c),
    z3 = -x1 * Math.sin(c) + z2 * Math.cos(c);
  const depth = awayMm + z3;
  return { x: 2000 + (3000 * x3) / depth, y: 1500 - (3000 * y2) / depth };
}

test('a grid photographed at a slant lies where it was drawn, within 0.2 pixels, by the four corners of its sheet', () => {
  const turn = fc.double({ min: -0.5, max: 0.5, noNaN: true });
  fc.assert(
    fc.property(fc.tuple(turn, turn, turn), fc.integer({ min: 700, max: 3000 }), (turns, away) => {
      const shot = (p: Point): Point => photograph(turns, away, p);
      const [w, h] = [420, 297];
      // The corners are picked in any order.
      const corners = [
        { x: w / 2, y: -h / 2 },
        { x: -w / 2, y: h / 2 },
        { x: w / 2, y: h / 2 },
        { x: -w / 2, y: -h / 2 },
      ].map(shot);
      const map = sheetMap(sheet({ kind: 'four corners', corners, widthMm: w, heightMm: h }));
      for (let i = -3; i <= 3; i++)
        for (let j = -2; j <= 2; j++) {
          const drawn = { x: i * 60, y: j * 60 },
            found = project(map, shot(drawn)),
            back = shot({ x: found.x - w / 2, y: found.y - h / 2 });
          expect(apart(back, shot(drawn))).toBeLessThan(0.2);
        }
    }),
  );
});

test('two lengths across each other tell how far the sheet was stretched each way', () => {
  const scale = fc.double({ min: 0.05, max: 2, noNaN: true }),
    stretch = fc.double({ min: 0.6, max: 1.7, noNaN: true });
  fc.assert(
    fc.property(scale, stretch, fc.integer({ min: -25, max: 25 }), (across, times, tilt) => {
      const up = across * times;
      const px = (x: number, y: number): Point => ({ x: 1000 + x / across, y: 1000 - y / up });
      const t = (tilt / 180) * Math.PI;
      const one = known('span', px(0, 0), px(900 * Math.cos(t), 900 * Math.sin(t)), 900),
        other = known('chord', px(0, 0), px(-200 * Math.sin(t), 200 * Math.cos(t)), 200);
      const plan = sheet({ kind: 'two lengths', lengthIds: ['span', 'chord'] }, [one, other]);
      const map = sheetMap(plan),
        [a, b] = [project(map, px(0, 0)), project(map, px(330, 120))];
      expect([b.x - a.x, b.y - a.y]).toEqual([expect.closeTo(330, 6), expect.closeTo(120, 6)]);
    }),
  );
});

test('every further known length tells by how many per cent it disagrees', () => {
  const lengths = [
    known('span', { x: 100, y: 500 }, { x: 2100, y: 500 }, 1000),
    // Drawn 3 % too long across the sheet.
    known('wheel', { x: 400, y: 400 }, { x: 400, y: 606 }, 100),
  ];
  const [span, wheel] = lengthChecks(sheet({ kind: 'one length', lengthId: 'span' }, lengths));
  expect(span).toMatchObject({ shownMm: 1000, offPerCent: 0, isSetting: true });
  expect(wheel).toMatchObject({ shownMm: expect.closeTo(103, 9), offPerCent: expect.closeTo(3, 9), isSetting: false });
});

test('an underlay brings its origin where it is wanted, turned level, nose the other way round when mirrored', () => {
  const plain: Underlay = {
    id: 'u1',
    sheetId: 's1',
    view: 'side',
    turnDegrees: 0,
    isMirrored: true,
    originPx: { x: 900, y: 700 },
    originAt: { x: 0, y: 20 },
    opacity: 1,
    isHidden: false,
    isLocked: false,
  };
  const own = sheet({ kind: 'none', mmPerPx: 0.5 });
  // A datum line that falls by 10 in 100 to the right.
  const level = levelledBy(plain, own, { x: 900, y: 700 }, { x: 400, y: 650 });
  const map = underlayMap(level, own);
  expect(project(map, { x: 900, y: 700 })).toEqual({ x: expect.closeTo(0, 9), y: expect.closeTo(20, 9) });
  const end = project(map, { x: 400, y: 650 });
  expect([end.x, end.y]).toEqual([expect.closeTo(Math.hypot(500, 50) / 2, 9), expect.closeTo(20, 9)]);
});

const square = [
  { x: 0, y: 0 },
  { x: 100, y: 0 },
  { x: 100, y: 100 },
  { x: 0, y: 100 },
];
const four = (corners: readonly Point[], widthMm = 100): PlanSheet =>
  sheet({ kind: 'four corners', corners, widthMm, heightMm: 100 });
test.each([
  [four([...square.slice(0, 3), { x: 50, y: 50 }]), 'on one line'],
  [four([square[0]!, { x: 50, y: 0.1 }, square[1]!, square[2]!]), 'on one line'],
  [four([...square.slice(0, 3), { x: 90, y: 50 }]), 'on one line'],
  [four(square.slice(0, 3)), '3 are picked'],
  [four(square, 0), 'above 0'],
  [sheet({ kind: 'one length', lengthId: 'x' }), 'gone'],
  [sheet({ kind: 'one length', lengthId: 'x' }, [known('x', square[0]!, { x: 2, y: 0 }, 10)]), '2.0 pixels apart'],
  [sheet({ kind: 'one length', lengthId: 'x' }, [known('x', square[0]!, square[1]!, 0)]), 'above 0'],
  [
    sheet({ kind: 'two lengths', lengthIds: ['x', 'y'] }, [
      known('x', square[0]!, square[1]!, 100),
      known('y', square[0]!, { x: 90, y: 1 }, 90),
    ]),
    'too much alike',
  ],
  [
    sheet({ kind: 'two lengths', lengthIds: ['x', 'y'] }, [
      known('x', square[0]!, square[2]!, 100),
      known('y', square[0]!, { x: 10, y: 100 }, 1000),
    ]),
    'cannot both be right',
  ],
] as const)('a calibration that cannot stand is named: %#', (plan, words) => {
  expect(calibrationFault(plan)).toContain(words);
});
