import fc from 'fast-check';
import type { ReadDrawing, ReadLine } from '../formats/index.ts';
import { brokenInvariant } from '../part/index.ts';
import { pathLength, type Curve, type Path, type Point } from '../geometry/index.ts';
import { seededRandom } from '../units/index.ts';
import { fileBytes, readPdf, readText } from '../../test/read-file.ts';
import { chainCurves } from './chain.ts';
import {
  caughtMove,
  drawnOnce,
  intoParts,
  joinPages,
  likelyBoard,
  proposeWorks,
  takeIn,
  usualAngle,
  USUAL_INTAKE,
  type Intake,
  type IntakeOptions,
} from './index.ts';
import { partWords } from './part-words.ts';
import { withArcs } from './recover-arcs.ts';

const line = (from: Point, to: Point): Curve => ({ kind: 'line', from, to });
const ring = (points: readonly Point[]): Path =>
  points.map((from, index) => line(from, points[(index + 1) % points.length]!));
const box = (x: number, y: number, width: number, height: number): Path =>
  ring([
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ]);
const drawn = (curves: readonly Curve[], more: Partial<ReadLine> = {}): readonly ReadLine[] =>
  curves.map((curve) => ({
    path: [curve],
    isClosed: false,
    layer: 'a',
    colour: '#000000',
    width: 0,
    isDashed: false,
    ...more,
  }));
const drawing = (...lines: readonly (readonly ReadLine[])[]): ReadDrawing => ({
  lines: lines.flat(),
  texts: [],
  unit: { word: 'millimetre', mmPerUnit: 1, isCertain: true },
  leftOut: [],
});
const taken = (read: ReadDrawing, more: Partial<IntakeOptions> = {}): Intake =>
  takeIn(read, { ...USUAL_INTAKE, mmPerUnit: read.unit.mmPerUnit, works: proposeWorks(read), ...more });
const areas = ({ parts }: Intake): readonly number[] => parts.map(({ areaMm2 }) => areaMm2).sort((a, b) => a - b);
const told = ({ told: all }: Intake): Readonly<Record<string, number>> =>
  Object.fromEntries(all.map(({ what, count }) => [what, count]));

/** Curves in another order, some run the other way, some cut in two, some drawn again in part or whole. */
function scattered(curves: readonly Curve[], seed: number): readonly Curve[] {
  const random = seededRandom(seed);
  const pieces = curves.flatMap((curve): readonly Curve[] => {
    if (curve.kind !== 'line' || random() < 0.4) return random() < 0.3 ? [curve, curve] : [curve];
    const t = 0.2 + 0.6 * random(),
      middle = { x: curve.from.x + t * (curve.to.x - curve.from.x), y: curve.from.y + t * (curve.to.y - curve.from.y) };
    const cut = [line(curve.from, middle), line(middle, curve.to)];
    return random() < 0.5 ? [...cut, curve] : cut;
  });
  return pieces
    .map((curve) => ({
      curve: curve.kind === 'line' && random() < 0.5 ? line(curve.to, curve.from) : curve,
      place: random(),
    }))
    .sort((a, b) => a.place - b.place)
    .map(({ curve }) => curve);
}

test('however lines are cut, turned, shuffled and drawn again, the same parts with the same holes come in', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          width: fc.integer({ min: 20, max: 200 }),
          height: fc.integer({ min: 20, max: 200 }),
          slant: fc.integer({ min: -9, max: 9 }),
          hasHole: fc.boolean(),
        }),
        { minLength: 1, maxLength: 6 },
      ),
      fc.integer(),
      (shapes, seed) => {
        const wanted: number[] = [];
        const curves = shapes.flatMap(({ width, height, slant, hasHole }, index) => {
          const x = index * 300;
          const outline = ring([
            { x, y: 0 },
            { x: x + width, y: slant },
            { x: x + width, y: slant + height },
            { x, y: height },
          ]);
          wanted.push(width * height - (hasHole ? 30 : 0));
          return hasHole ? [...outline, ...box(x + 5, 9.5, 6, 5)] : outline;
        });
        const intake = taken(drawing(drawn(scattered(curves, seed))));
        const found = areas(intake);
        expect(found).toHaveLength(wanted.length);
        [...wanted].sort((a, b) => a - b).forEach((area, index) => expect(found[index]).toBeCloseTo(area, 6));
        expect(intake.loose).toEqual([]);
        // Cuts in a straight edge are gone again.
        expect(intake.parts.every(({ outline }) => outline.length === 4)).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});

test('parts that share an edge are one each, and a part in a hole of another is a part', () => {
  const shared = [...box(0, 0, 60, 40), ...box(60, 0, 30, 40)];
  const once = drawnOnce(shared, 0.05);
  expect([once.again, once.curves.length]).toEqual([1, 7]);
  expect(areas(taken(drawing(drawn(shared))))).toEqual([1200, 2400]);
  const nested = taken(drawing(drawn([...box(0, 0, 100, 100), ...box(10, 10, 80, 80), ...box(20, 20, 30, 30)])));
  expect(areas(nested)).toEqual([900, 10_000 - 6400]);
});

test('arcs drawn again, over each other and from another start, are kept once', () => {
  const arc = (from: number, to: number): Curve => {
    const at = (degrees: number): Point => ({
      x: 20 * Math.cos((degrees * Math.PI) / 180),
      y: 20 * Math.sin((degrees * Math.PI) / 180),
    });
    return { kind: 'arc', from: at(from), to: at(to), bulge: Math.tan(((to - from) * Math.PI) / 720) };
  };
  const { curves } = drawnOnce([arc(0, 180), arc(180, 360), arc(90, 270), arc(300, 200), arc(-90, 90)], 0.05);
  expect(curves.reduce((sum, curve) => sum + pathLength([curve]), 0)).toBeCloseTo(2 * Math.PI * 20, 9);
  expect(chainCurves(curves, 0.05).map(({ isClosed }) => isClosed)).toEqual([true]);
  expect(areas(taken(drawing(drawn([arc(0, 180), arc(180, 360), arc(90, 270)]))))[0]).toBeCloseTo(Math.PI * 400, 6);
});

test('gaps are told with their size, stay open, and are closed when that is asked for', () => {
  const [a, b, c, d] = box(0, 0, 50, 30) as [Curve, Curve, Curve, Curve];
  const open = drawing(drawn([a, b, { ...c, to: { x: 0.6, y: 30 } } as Curve, d]));
  const before = taken(open);
  expect(before.parts).toEqual([]);
  expect(before.gaps.map(({ gapMm }) => Math.round(gapMm * 1000) / 1000)).toEqual([0.6]);
  const after = taken(open, { gapMm: 0.7 });
  expect(areas(after)[0]).toBeCloseTo(1500, 6);
  expect(after.gaps).toEqual([]);
  expect(told(after)).toMatchObject({ 'gaps closed': 1 });
  // At the very limit: just under the gap nothing is closed.
  expect(taken(open, { gapMm: 0.59 }).parts).toEqual([]);
  expect(areas(taken(open, { joinMm: 0.61 }))).toHaveLength(1);
});

test('short runs along an arc become the arc; a polygon with few corners stays one', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 200, noNaN: true }),
      fc.integer({ min: 40, max: 200 }),
      fc.integer({ min: 30, max: 330 }),
      (radius, steps, sweep) => {
        const at = (step: number): Point => {
          const angle = (sweep * step * Math.PI) / 180 / steps;
          return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
        };
        // Runs deeper than the tolerance under their arc are no arc: those fine enough are.
        const sagitta = radius * (1 - Math.cos((sweep * Math.PI) / 360 / steps));
        fc.pre(sagitta < 0.04);
        const runs = Array.from({ length: steps }, (_, step) => line(at(step), at(step + 1)));
        const { path } = withArcs({ path: runs, isClosed: false }, 0.05);
        expect(path.length).toBeLessThanOrEqual(2);
        expect(path.every(({ kind }) => kind === 'arc')).toBe(true);
        expect(pathLength(path)).toBeCloseTo((radius * sweep * Math.PI) / 180, 1);
      },
    ),
    { numRuns: 80 },
  );
  const octagon = ring(
    Array.from({ length: 8 }, (_, index) => ({
      x: 20 * Math.cos((index * Math.PI) / 4),
      y: 20 * Math.sin((index * Math.PI) / 4),
    })),
  );
  expect(withArcs({ path: octagon, isClosed: true }, 0.05).path).toHaveLength(8);
});

test('a rectangle round parts with holes is a frame; round holes alone it is a part, until it is said to be none', () => {
  const frame = box(-10, -10, 300, 200),
    part = [...box(0, 0, 100, 60), ...box(20, 20, 10, 10)];
  const plan = drawing(drawn([...frame, ...part, ...box(150, 0, 50, 50)]));
  expect(areas(taken(plan))).toEqual([2500, 5900]);
  expect(told(taken(plan))).toMatchObject({ 'frame round everything': 1 });
  expect(areas(taken(plan, { leavesFrameOut: false }))).toEqual([100, 60_000 - 6000 - 2500]);
  const plate = drawing(drawn([...box(0, 0, 100, 60), ...box(20, 20, 10, 10), ...box(60, 20, 10, 10)]));
  expect(areas(taken(plate))).toEqual([5800]);
  expect(taken(plate).isFrameLeftOut).toBe(false);
  expect(areas(taken(plate, { leavesFrameOut: true }))).toEqual([100, 100]);
  expect(taken(drawing(drawn(part))).isFrameLeftOut).toBeUndefined();
});

test('work that nobody gives an angle has the one that its kind usually has', () => {
  const marked = drawing(
    drawn(box(0, 0, 100, 60), { layer: 'x' }),
    drawn([line({ x: 0, y: 20 }, { x: 100, y: 20 })], { layer: 'y' }),
  );
  const kinds = [
    ['crease', 15],
    ['slit', 30],
    ['groove', 90],
  ] as const;
  for (const [kind, angle] of kinds) {
    const works = Object.fromEntries(
      Object.entries(proposeWorks(marked)).map(([key, { work }]) => [key, { work: work === 'cut' ? work : kind }]),
    );
    const { parts } = intoParts(taken(marked, { works }).parts, 'foam', () => 'p1');
    expect(parts[0]!.operations[0]).toMatchObject({ kind, foldDegrees: angle });
    expect(usualAngle(kind)).toBe(angle);
  }
  expect([usualAngle('trench'), usualAngle('mark')]).toEqual([undefined, undefined]);
});

test('letters are left out unless they are asked for; holes in a row are none', () => {
  const letters = [0, 1, 2, 3].flatMap((index) => [
    ...box(10 + 6 * index, 10, 4, 5),
    line({ x: 12 + 6 * index, y: 10 }, { x: 12 + 6 * index, y: 12 }),
  ]);
  const holes = [0, 1, 2, 3].flatMap((index) => box(10 + 8 * index, 40, 5, 5));
  const read = drawing(drawn([...box(0, 0, 80, 60), ...holes]), drawn(letters.slice(0, 4)), drawn(letters.slice(5, 9)));
  expect(areas(taken(read))[0]).toBeCloseTo(4800 - 100 - 40, 6);
  const triangles = [0, 1, 2, 3].flatMap((index) =>
    ring([
      { x: 10 + 6 * index, y: 10 },
      { x: 14 + 6 * index, y: 10 },
      { x: 12 + 6 * index, y: 15 },
    ]),
  );
  const lettered = drawing(drawn([...box(0, 0, 80, 60), ...triangles]));
  expect(areas(taken(lettered))).toEqual([4800]);
  expect(told(taken(lettered))).toMatchObject({ 'letters and figures': 4 });
  expect(areas(taken(lettered, { keepsLetters: true }))).toEqual([4800 - 40]);
});

test('lines from edge to edge are folds, dashed ones marks, whatever their colour; a slot and a trench follow the board', () => {
  const fold = (y: number): Curve => line({ x: 0, y }, { x: 100, y });
  const read = drawing(
    drawn([...box(0, 0, 100, 60), ...box(20, 50, 30, 4)], { layer: 'x', colour: '#00ff00' }),
    drawn([fold(20), fold(24), fold(40)], { layer: 'y', colour: '#ff0000' }),
    drawn([line({ x: 10, y: 5 }, { x: 90, y: 5 })], { layer: 'z', isDashed: true }),
  );
  expect(
    Object.values(proposeWorks(read))
      .map(({ work }) => work)
      .sort(),
  ).toEqual(['cut', 'groove', 'mark']);
  const asDrawn = taken(read);
  expect(asDrawn.parts[0]!.works.map(({ kind }) => kind).sort()).toEqual(['groove', 'groove', 'groove', 'mark']);
  expect(likelyBoard(asDrawn.parts[0]!.holes.map(({ path }) => path))).toBe(4);
  const following = taken(read, { drawnForMm: 4 });
  expect(following.parts[0]!.works.map(({ kind }) => kind).sort()).toEqual(['groove', 'mark', 'trench']);
  expect(following.parts[0]!.works.find(({ kind }) => kind === 'trench')!.path[0]!.from.y).toBe(22);
  expect(following.parts[0]!.holes.map(({ isSlot }) => isSlot)).toEqual([true]);
  const { parts, refused } = intoParts(following.parts, 'foam', () => 'p1');
  expect(refused).toEqual([]);
  expect(brokenInvariant(parts[0]!)).toBeUndefined();
  expect(parts[0]!.contours[1]).toMatchObject({ role: 'hole', sizing: 'slot', plate: { material: 'foam', fitMm: 0 } });
});

test('a DXF with blocks, lines drawn twice and shared edges gives clean parts, sized in inches', () => {
  const intake = taken(readText('siskin-parts.dxf'));
  expect(intake.parts).toHaveLength(8);
  expect([intake.loose.length, intake.gaps.length]).toEqual([0, 0]);
  const inch2 = 25.4 * 25.4,
    byName = new Map(intake.parts.map((part) => [part.name, part]));
  expect(byName.get('Skin')!.areaMm2 / inch2).toBeCloseTo(18 * 6, 6);
  expect(
    byName
      .get('Skin')!
      .works.map(({ kind }) => kind)
      .sort(),
  ).toEqual(['groove', 'groove', 'mark']);
  // 6 by 4 less the corner outside a quarter of radius 2, less an ellipse with half axes of 1.044 and half of it.
  const long2 = 1 + 0.09;
  expect(byName.get('Tip')!.areaMm2 / inch2).toBeCloseTo(24 - (4 - Math.PI) - Math.PI * long2 * 0.5, 4);
  expect([byName.get('Bulkhead'), byName.get('Hatch')].map((part) => part!.areaMm2 / inch2)).toEqual([
    expect.closeTo(9, 6),
    expect.closeTo(6, 6),
  ]);
  const ribs = intake.parts
    .filter(({ name }) => name === 'Rib')
    .map(({ areaMm2, quantity }) => [areaMm2, quantity] as const);
  expect(ribs.map(([, quantity]) => quantity)).toEqual([2, 2, 2, 2]);
  const sizes = ribs.map(([area]) => area).sort((a, b) => a - b);
  expect(sizes[0]! / sizes[3]!).toBeCloseTo(0.64, 6);
});

// Areas by the shoelace and the segments of arcs, as the script that drew the plan figures them.
const DUNLIN = {
  'Body side': 24043.376,
  'Wing half': 40943.3637,
  'Wing doubler': 6919.469,
  Stabiliser: 14500,
  Fin: 8271.7257,
  'Box floor': 23993.1417,
  'Nose former': 2835.8407,
};

test('twelve pages of a tiled plan are joined into its parts; frames and titles are dropped', async () => {
  const pages = await readPdf(fileBytes('dunlin-tiled.pdf'));
  const joined = joinPages(pages);
  expect(joined.layout).toMatchObject({ inLine: 4, runsDown: false });
  expect(joined.layout.acrossMm.x).toBeCloseTo(180, 2);
  expect(joined.layout.downMm.y).toBeCloseTo(-170, 2);
  expect(joined.meetings).toBeGreaterThan(20);
  const intake = taken(joined.drawing, { drawnForMm: 5 });
  expect(Object.fromEntries(intake.parts.map(({ name, areaMm2 }) => [name, Math.round(areaMm2)]))).toEqual(
    Object.fromEntries(Object.entries(DUNLIN).map(([name, area]) => [name, expect.closeTo(area, -0.5)])),
  );
  const byName = new Map(intake.parts.map((part) => [part.name, part]));
  expect(byName.get('Wing half')!.quantity).toBe(2);
  expect(byName.get('Box floor')!.works.map(({ kind }) => kind)).toEqual(['trench', 'trench']);
  expect(byName.get('Body side')!.holes.filter(({ isSlot }) => isSlot)).toHaveLength(2);
  expect(intake.loose).toEqual([]);
});

test('pages laid wrongly are laid by hand: a page that is nearly in place catches where its lines meet', async () => {
  const pages = await readPdf(fileBytes('dunlin-tiled.pdf'));
  const { layout } = joinPages(pages);
  const off = { 5: { x: 2.5, y: -1.8 } };
  const wrong = joinPages(pages, layout, off);
  expect(taken(wrong.drawing).parts.length).toBeLessThan(7);
  const caught = caughtMove(pages, wrong, 5, off[5], off[5]);
  expect(Math.hypot(caught.x, caught.y)).toBeLessThan(0.01);
  expect(taken(joinPages(pages, layout, { 5: caught }).drawing).parts).toHaveLength(7);
});

test('a page by itself keeps all that is on it', async () => {
  const [page] = await readPdf(fileBytes('chromium.pdf'));
  const { drawing: single, corners } = joinPages([page!]);
  expect(single.lines).toHaveLength(page!.lines.length);
  expect(corners).toEqual([{ x: 0, y: 0 }]);
});

test.each([
  ['Rib 3 x2', 'Rib 3', 2],
  ['2x Wing half', 'Wing half', 2],
  ['Former (4 off)', 'Former', 4],
  ['X-brace', 'X-brace', 1],
  ['Side × 2', 'Side', 2],
])('"%s" names %s', (text, name, quantity) => {
  expect(partWords(text)).toEqual({ name, quantity });
});

test('words on the parts of an SVG name them', () => {
  const intake = taken(readText('plover-tail.svg'));
  expect(intake.parts.map(({ name, quantity }) => [name, quantity])).toEqual([
    ['Stabiliser half', 2],
    ['Fin', 1],
    ['', 1],
  ]);
});
