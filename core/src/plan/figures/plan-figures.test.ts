import fc from 'fast-check';
import { distance3 } from '../../geometry/index.ts';
import {
  balanceOfPlan,
  EMPTY_PLAN,
  massSoFar,
  planFigures,
  usualThing,
  wingSet,
  type BodyThing,
  type Plan,
  type PlanContext,
  type PlannedThing,
  type SurfaceThing,
} from '../index.ts';
import { tailPulls } from './wing-set.ts';

const context: PlanContext = { unit: 'mm', boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 700 };
const planOf = (...things: readonly PlannedThing[]): Plan => ({ ...EMPTY_PLAN, things });
const surface = (kind: SurfaceThing['kind'], change: Partial<SurfaceThing>): SurfaceThing => ({
  ...(usualThing(kind, kind, 5) as SurfaceThing),
  ...change,
});
const figureOf = (plan: Plan, key: string) => planFigures(plan, context).figures.find((one) => one.key === key);

const stationsOf = fc
  .array(
    fc.record({
      step: fc.integer({ min: 30, max: 400 }),
      sweepMm: fc.integer({ min: -80, max: 250 }),
      chordMm: fc.integer({ min: 20, max: 350 }),
    }),
    { minLength: 2, maxLength: 4 },
  )
  .map((steps) => {
    let outMm = -steps[0]!.step;
    return steps.map(({ step, sweepMm, chordMm }, index) => ({
      outMm: (outMm += step),
      sweepMm: index === 0 ? 0 : sweepMm,
      chordMm,
    }));
  });
const anglesOf = fc.array(fc.integer({ min: -15, max: 40 }), { minLength: 3, maxLength: 3 });

/** Thin strips of a wing's starboard half, as they stand. */
function strips({
  at,
  stations,
  angles,
}: SurfaceThing): readonly { dy: number; x: number; y: number; chord: number }[] {
  const COUNT = 300;
  let y = 0;
  return stations.slice(1).flatMap((b, index) => {
    const a = stations[index]!,
      dy = ((b.outMm - a.outMm) * Math.cos((angles[index]! * Math.PI) / 180)) / COUNT;
    return Array.from({ length: COUNT }, (_, strip) => {
      const t = (strip + 0.5) / COUNT;
      y += dy;
      return {
        dy,
        x: at.x + a.sweepMm + t * (b.sweepMm - a.sweepMm),
        y: y - dy / 2,
        chord: a.chordMm + t * (b.chordMm - a.chordMm),
      };
    });
  });
}

test('area, span and mean chord of one wing or two are those of adding up strips as they are seen from above', () => {
  fc.assert(
    fc.property(stationsOf, stationsOf, anglesOf, fc.integer({ min: -200, max: 200 }), (upper, lower, angles, back) => {
      const wings = [upper, lower].map((stations, index) =>
        surface('wing', {
          id: `w${index}`,
          stations,
          angles: angles.slice(0, stations.length - 1),
          at: { x: index * back, y: 0, z: index * 100 },
        }),
      );
      const all = wings.flatMap(strips);
      const area = all.reduce((sum, { dy, chord }) => sum + 2 * dy * chord, 0),
        mean = all.reduce((sum, { dy, chord }) => sum + 2 * dy * chord ** 2, 0) / area,
        edge = all.reduce((sum, { dy, chord, x }) => sum + 2 * dy * chord * x, 0) / area;
      const set = wingSet(planOf(...wings))!;
      expect(Math.abs(set.areaMm2 / area - 1)).toBeLessThan(0.001);
      expect(Math.abs(set.chordMm / mean - 1)).toBeLessThan(0.001);
      expect(set.leadingEdgeMm).toBeCloseTo(edge, 1);
      expect(set.spanMm / 2).toBeCloseTo(Math.max(...all.map(({ y, dy }) => y + dy / 2)), 6);
    }),
  );
});

test('a V-tail counts for pitch and yaw as the forces on its tilted halves do', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 89 }), fc.integer({ min: 40, max: 200 }), (cant, chord) => {
      const tail = surface('tail', {
        stations: [
          { outMm: 0, sweepMm: 0, chordMm: chord },
          { outMm: 200, sweepMm: 0, chordMm: chord },
        ],
        angles: [cant],
      });
      const [pull] = tailPulls(planOf(tail));
      // A wind from below of one unit meets each half along its normal; its force stands along the normal, and its upright part counts.
      const angle = (cant * Math.PI) / 180,
        normal = { y: -Math.sin(angle), z: Math.cos(angle) };
      const fromBelow = normal.z * normal.z * 2 * 200 * chord,
        fromAside = normal.y * normal.y * 2 * 200 * chord;
      expect(pull!.horizontalMm2).toBeCloseTo(fromBelow, 4);
      expect(pull!.verticalMm2).toBeCloseTo(fromAside, 4);
    }),
  );
});

const straight = (x: number, chord: number, half: number, kind: SurfaceThing['kind'] = 'wing'): SurfaceThing =>
  surface(kind, {
    at: { x, y: 0, z: 0 },
    stations: [
      { outMm: 0, sweepMm: 0, chordMm: chord },
      { outMm: half, sweepMm: 0, chordMm: chord },
    ],
    angles: [kind === 'fin' ? 90 : 0],
  });

test('volumes, balance and loading of a plain model are as by hand', () => {
  const body: BodyThing = { ...(usualThing('body', 'b', 5) as BodyThing), at: { x: 20, y: 0, z: 0 } };
  const plan = planOf(body, straight(220, 200, 500), straight(820, 120, 200, 'tail'), straight(840, 100, 150, 'fin'), {
    ...usualThing('pack', 'p', 5),
    massG: 300,
  });
  // Arms from 270 to 850 and 865; areas 48,000 and 15,000; the wing has 200,000, chord 200, span 1,000.
  expect(figureOf(plan, 'tailVolume')!.amount).toBeCloseTo((48_000 * 580) / (200_000 * 200), 9);
  expect(figureOf(plan, 'finVolume')!.amount).toBeCloseTo((15_000 * 595) / (200_000 * 1000), 9);
  expect(figureOf(plan, 'balance')).toMatchObject({
    text: '27 to 33 %',
    source: expect.stringContaining('flat bottom tractor'),
  });
  // 220 + 0.27 · 200 and 220 + 0.33 · 200, from the nose at 20.
  expect(figureOf(plan, 'balanceFromNose')!.text).toBe('254 to 266 mm');
  const { massG } = massSoFar(plan, context);
  expect(figureOf(plan, 'loading')!.amount).toBeCloseTo(massG / 20, 9);
});

test('a balance range is never told without its school, whichever it is', () => {
  const wing = straight(200, 180, 500);
  for (const school of [
    { kind: 'part of mean chord', of: 'glider' },
    { kind: 'neutral point less margin', least: 0.05, most: 0.12 },
  ] as const) {
    const plan = { ...planOf(wing), school };
    for (const key of ['balance', 'balanceFromNose']) {
      const words = school.kind === 'part of mean chord' ? 'glider' : 'neutral point less 5 to 12 %';
      expect(figureOf(plan, key)!.source).toContain(words);
    }
    expect(figureOf(plan, 'balance')!.working.join(' ')).toContain('check it by hand, and with someone who knows');
  }
});

test('along a swept nose edge the range is as far out as the edge passes it', () => {
  const wing = surface('wing', {
    at: { x: 100, y: 0, z: 0 },
    stations: [
      { outMm: 0, sweepMm: 0, chordMm: 300 },
      { outMm: 600, sweepMm: 400, chordMm: 150 },
    ],
    angles: [10],
  });
  const { band, alongEdge } = balanceOfPlan(planOf(wing))!;
  for (const [x, run] of [
    [band.foreMm, alongEdge!.foreMm!],
    [band.aftMm, alongEdge!.aftMm!],
  ] as const) {
    // Stepped along the edge in space until it comes to the place.
    const end = { x: 500, y: 600 * Math.cos(Math.PI / 18), z: 600 * Math.sin(Math.PI / 18) };
    const whole = distance3({ x: 100, y: 0, z: 0 }, end);
    expect(100 + (400 * run) / whole).toBeCloseTo(x, 9);
  }
});

test('foam is from areas before parts, from parts then, and items weigh what is typed', () => {
  const wing = surface('wing', { stations: straight(0, 200, 500).stations, thicknessMm: 5 });
  const plan = planOf(wing, { ...usualThing('servo', 's', 5), massG: 9 });
  // One board over 0.2 m² of 480 g/m², with a tenth for glue, and the servo.
  expect(massSoFar(plan, context).massG).toBeCloseTo(0.2 * 480 * 1.1 + 9, 9);
  expect(massSoFar(plan, { ...context, partsFoamG: 80 }).massG).toBeCloseTo(80 * 1.1 + 9, 9);
  expect(massSoFar(planOf({ ...wing, massG: 120 }), { ...context, partsFoamG: 80 }).massG).toBe(120);
});
