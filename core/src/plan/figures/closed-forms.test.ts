import fc from 'fast-check';
import {
  aspectRatio,
  balanceBand,
  cubicLoading,
  downwashSlope,
  horizontalTailVolume,
  liftSlope,
  meanChord,
  neutralPoint,
  planformArea,
  planformSpan,
  projectedPlanform,
  staticThrust,
  stallSpeed,
  taperRatio,
  thrustToWeight,
  verticalTailVolume,
  vTailShares,
  wingLoading,
  type Planform,
} from '../index.ts';

const within = (value: number, wanted: number, part = 0.001): void =>
  expect(Math.abs(value / wanted - 1)).toBeLessThan(part);

test('an ellipse of many chords has the area, mean chord and place of the true one', () => {
  const [half, root] = [500, 200];
  const ellipse = Array.from({ length: 400 }, (_, index) => {
    // Closer together at the tip, where the edge bends.
    const outMm = half * Math.sin((index / 399) * (Math.PI / 2)),
      chordMm = root * Math.sqrt(Math.max(0, 1 - (outMm / half) ** 2));
    return { outMm, leadingEdgeMm: (root - chordMm) / 4, chordMm };
  });
  within(planformArea(ellipse), (Math.PI * half * root) / 2);
  const { chordMm, leadingEdgeMm, outMm } = meanChord(ellipse);
  within(chordMm, (8 * root) / (3 * Math.PI));
  // Quarter points lie in one line, so that of the mean chord does too.
  within(leadingEdgeMm + chordMm / 4, root / 4);
  within(outMm, (4 * half) / (3 * Math.PI));
  within(aspectRatio(ellipse), (8 * half) / (Math.PI * root));
});

test('a delta has two thirds of its root as mean chord, a third of its half span out', () => {
  const delta: Planform = [
    { outMm: 0, leadingEdgeMm: 10, chordMm: 300 },
    { outMm: 240, leadingEdgeMm: 310, chordMm: 0 },
  ];
  expect(meanChord(delta)).toEqual({
    chordMm: expect.closeTo(200, 9),
    leadingEdgeMm: expect.closeTo(110, 9),
    outMm: expect.closeTo(80, 9),
  });
  expect([planformArea(delta), planformSpan(delta), taperRatio(delta)]).toEqual([72_000, 480, 0]);
});

test('figures of any cranked and swept planform are those of adding up thin strips', () => {
  const station = fc.record({
    step: fc.integer({ min: 20, max: 400 }),
    leadingEdgeMm: fc.integer({ min: -200, max: 300 }),
    chordMm: fc.integer({ min: 5, max: 400 }),
  });
  fc.assert(
    fc.property(fc.array(station, { minLength: 2, maxLength: 5 }), (steps) => {
      let outMm = -steps[0]!.step;
      const planform = steps.map(({ step, leadingEdgeMm, chordMm }) => ({
        outMm: (outMm += step),
        leadingEdgeMm,
        chordMm,
      }));
      let area = 0,
        square = 0,
        edge = 0;
      const STRIPS = 400;
      planform.slice(1).forEach((b, index) => {
        const a = planform[index]!,
          dy = (b.outMm - a.outMm) / STRIPS;
        for (let strip = 0; strip < STRIPS; strip++) {
          const t = (strip + 0.5) / STRIPS,
            c = a.chordMm + t * (b.chordMm - a.chordMm);
          area += c * dy;
          square += c * c * dy;
          edge += (a.leadingEdgeMm + t * (b.leadingEdgeMm - a.leadingEdgeMm)) * c * dy;
        }
      });
      within(planformArea(planform), 2 * area);
      within(meanChord(planform).chordMm, square / area);
      expect(meanChord(planform).leadingEdgeMm).toBeCloseTo(edge / area, 1);
    }),
  );
});

test('dihedral shortens what is seen from above, panel by panel', () => {
  const flat: Planform = [0, 300, 500].map((outMm) => ({ outMm, leadingEdgeMm: 0, chordMm: 150 }));
  const seen = projectedPlanform(flat, [0, 60]);
  expect(seen.map(({ outMm }) => outMm)).toEqual([0, 300, expect.closeTo(400, 9)]);
  expect(planformArea(seen)).toBeCloseTo(120_000, 6);
  expect(() => projectedPlanform(flat, [0])).toThrow('3 chords have 2 panels, got 1 angles');
});

test('tail volumes and the shares of a V-tail are as by hand', () => {
  expect(horizontalTailVolume({ areaMm2: 30_000, armMm: 500 }, { areaMm2: 150_000, meanChordMm: 160 })).toBeCloseTo(
    0.625,
    12,
  );
  expect(verticalTailVolume({ areaMm2: 12_000, armMm: 500 }, { areaMm2: 150_000, spanMm: 1000 })).toBeCloseTo(0.04, 12);
  // Halves at 105° to each other are canted by 37.5°.
  const { horizontal, vertical } = vTailShares(40_000, 37.5);
  expect([horizontal, vertical]).toEqual([expect.closeTo(40_000 * 0.62941, 0), expect.closeTo(40_000 * 0.37059, 0)]);
});

test('slopes go to those of an endless and of a very short wing', () => {
  within(liftSlope(1e6), 2 * Math.PI);
  within(liftSlope(1e-3), (Math.PI * 1e-3) / 2);
  // A = 6: 12π/(2 + √40).
  within(liftSlope(6), (12 * Math.PI) / (2 + Math.sqrt(40)), 1e-12);
  within(downwashSlope(6), (2 * liftSlope(6)) / (6 * Math.PI), 1e-12);
});

const rectangle = (at: number, chordMm: number, half: number): Planform => [
  { outMm: 0, leadingEdgeMm: at, chordMm },
  { outMm: half, leadingEdgeMm: at, chordMm },
];

test('without a tail an airframe is neutral at a quarter of its mean chord; a tail draws it aft by its pull', () => {
  const wing = { planform: rectangle(100, 200, 600) };
  expect(neutralPoint([wing]).atMm).toBeCloseTo(150, 9);
  const tail = { planform: rectangle(800, 100, 200) };
  const found = neutralPoint([wing], [tail]);
  // By hand: wing A = 6, slope 4.52767, area 240,000; tail A = 4, slope 3.88322, area 40,000, less a downwash of 0.480398.
  const wingPull = 4.52767 * 240_000,
    tailPull = 3.88322 * (1 - 0.480398) * 40_000;
  expect(found.atMm).toBeCloseTo((wingPull * 150 + tailPull * 825) / (wingPull + tailPull), 1);
  // Half of the tail's area counts half as much.
  expect(neutralPoint([wing], [{ ...tail, share: 0.5 }]).atMm).toBeLessThan(found.atMm);
});

test('a balance range is told with its school, and a margin is counted back from the neutral point', () => {
  const wing = meanChord(rectangle(100, 200, 600));
  expect(balanceBand(wing, { kind: 'part of mean chord', of: 'flat bottom tractor' })).toMatchObject({
    foreMm: 154,
    aftMm: 166,
  });
  const band = balanceBand(wing, { kind: 'neutral point less margin', neutralMm: 180, least: 0.05, most: 0.15 });
  expect([band.foreMm, band.aftMm]).toEqual([expect.closeTo(150, 9), expect.closeTo(170, 9)]);
  expect(band.school.kind).toBe('neutral point less margin');
});

test('loadings, stall speed and thrust are as by hand', () => {
  expect(wingLoading(600, 200_000)).toBeCloseTo(30, 12);
  within(cubicLoading(600, 200_000), 0.6 / 0.2 ** 1.5, 1e-12);
  // Twice as large and eight times as heavy: the same cubic loading.
  within(cubicLoading(4800, 800_000), cubicLoading(600, 200_000), 1e-12);
  within(stallSpeed(600, 200_000, 1.1), Math.sqrt((2 * 0.6 * 9.80665) / (1.225 * 0.2 * 1.1)), 1e-12);
  // An ideal disc of 200 mm at 100 W: (2·1.225·0.0314159·10,000)^(1/3) = 9.165 N.
  within(staticThrust(100, 200, 1), 9.165);
  within(thrustToWeight(staticThrust(100, 200, 0.6), 600), (0.6 * 9.165) / 5.884);
});

test.each([
  [[], 'two chords'],
  [[{ outMm: 0, leadingEdgeMm: 0, chordMm: 100 }], 'two chords'],
  [rectangle(0, 0, 100), 'some area'],
  [rectangle(0, 100, 0), 'some area'],
  [[...rectangle(0, 100, 200), { outMm: 150, leadingEdgeMm: 0, chordMm: 50 }], 'Station 3 lies further in'],
  [rectangle(0, Number.NaN, 100), 'Station 1 of the surface is no chord'],
] as readonly (readonly [Planform, string])[])('%j is refused in words', (planform, words) => {
  expect(() => planformArea(planform)).toThrow(words);
});
