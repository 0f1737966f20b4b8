import fc from 'fast-check';
import Papa from 'papaparse';
import { after, airframeOf, boxSide, groove, made, plate, polygonPart, withLine } from '../../test/samples.ts';
import { cutListOf, quickNest } from '../airframe/index.ts';
import { partPicture } from '../ink/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import type { Part } from '../part/index.ts';
import { rectangleDraft } from '../paths/index.ts';
import { starboardTwin } from '../resolve/index.ts';
import { worded } from '../units/index.ts';
import { cutListCsv } from './cut-list-csv.ts';
import { cutListPages } from './cut-list-pages.ts';
import { linesOf, type CutLine } from './cut-lines.ts';
import { cutList } from './cut-list.ts';
import { placeWords } from './cut-place.ts';
import { cutCells } from './cut-words.ts';

const lineWith = (part: Part, kind: CutLine['kind']): CutLine => linesOf(made(part)).find((one) => one.kind === kind)!;

test('a folded box side: every line of work with its place and its numbers, by hand', () => {
  const lines = linesOf(made(boxSide()));
  expect(lines.find(({ kind }) => kind === 'outline')).toMatchObject({ lengthMm: 600, face: 'through' });
  const hole = lines.find(({ kind }) => kind === 'hole')!;
  expect(hole.lengthMm).toBeCloseTo(Math.PI * 10, 6);
  expect(hole.place).toMatchObject({ kind: 'circle', diameterMm: expect.closeTo(10, 9) });
  const grooves = lines.filter(({ kind }) => kind === 'groove');
  expect(grooves).toHaveLength(2);
  for (const groove of grooves)
    expect(groove).toMatchObject({
      lengthMm: 200,
      angleDegrees: 90,
      widthMm: expect.closeTo(10, 9),
      depthMm: 5,
      face: 'face',
      blades: [{ side: 'each side', tiltDegrees: 45, reachMm: expect.closeTo(5, 4) }],
    });
  expect(lines.find(({ kind }) => kind === 'bevel')).toMatchObject({
    lengthMm: 200,
    angleDegrees: 30,
    widthMm: expect.closeTo(2.8868, 3),
    blades: [{ tiltDegrees: 30, reachMm: expect.closeTo(2.8868, 3) }],
  });
});

test('a line’s two ends on the board come from the words and the columns, whatever the drawing’s origin and hand', () => {
  const size = fc.integer({ min: 60, max: 400 }),
    shift = fc.integer({ min: -300, max: 300 });
  fc.assert(
    fc.property(
      size,
      size,
      shift,
      shift,
      fc.integer({ min: 5, max: 55 }),
      fc.integer({ min: 5, max: 55 }),
      (w, h, x, y, a, b) => {
        const corners = [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x, y + h],
        ] as const;
        const part = withLine(polygonPart(corners), [x + a, y], [x + b, y + h], groove());
        const own = made(part);
        for (const [drawing, turned] of [
          [own, false],
          [starboardTwin(own), true],
        ] as const) {
          const { place } = linesOf(drawing).find(({ kind }) => kind === 'groove')!;
          const [low, high] = turned ? [w - a, w - b] : [a, b];
          if (place.kind !== 'run') throw new Error(place.kind);
          const ends = [place.from, place.to].sort((p, q) => p.y - q.y);
          expect(ends[0]).toEqual({ x: expect.closeTo(low, 6), y: expect.closeTo(0, 6) });
          expect(ends[1]).toEqual({ x: expect.closeTo(high, 6), y: expect.closeTo(h, 6) });
          expect(place.isEdgeToEdge).toBe(true);
          const words = worded(placeWords(place), 'mm');
          expect(words).toBe(
            low === high
              ? `${low}.0 from the left`
              : low < high
                ? `from (${low}.0, 0.0) to (${high}.0, ${h}.0)`
                : `from (${high}.0, ${h}.0) to (${low}.0, 0.0)`,
          );
        }
      },
    ),
  );
});

test('blades say on which side they tilt and how far they come out: a hinge relieved on one edge, trenches beside their line', () => {
  const level = (operation: OperationDraft) => withLine(plate(200, 100), [0, 40], [200, 40], operation);
  const upright = (operation: OperationDraft) => withLine(plate(200, 100), [150, 0], [150, 100], operation);
  const relieved = {
    kind: 'hinge',
    face: 'face',
    deflectionDegrees: 30,
    relief: 'left',
    label: '',
  } as const;
  // Left of a line that runs to the right is above it; 5 · tan 30° = 2.887.
  expect(lineWith(level(relieved), 'hinge').blades).toEqual([
    { side: 'above', tiltDegrees: expect.closeTo(30, 3), reachMm: expect.closeTo(5 * Math.tan(Math.PI / 6), 3) },
  ]);
  expect(lineWith(upright(relieved), 'hinge').blades).toMatchObject([{ side: 'left' }]);
  // Both edges take half of it each: 5 · tan 15° = 1.340.
  expect(lineWith(level({ ...relieved, relief: 'both' }), 'hinge').blades).toEqual([
    { side: 'each side', tiltDegrees: expect.closeTo(15, 3), reachMm: expect.closeTo(5 * Math.tan(Math.PI / 12), 3) },
  ]);
  const trench = { kind: 'trench', face: 'face', foldDegrees: 90, widthMm: 'auto', side: 'right', label: '' } as const;
  const cut = lineWith(upright(trench), 'trench');
  expect(cut).toMatchObject({ widthMm: 5, depthMm: 5, blades: [{ side: 'right', tiltDegrees: 0 }] });
  expect(cutCells(cut, 'mm')).toMatchObject({
    where: '150.0 from the left',
    wide: '5.0 mm',
    deep: '5.0 mm, to the skin',
    blades: 'upright right, out to 5.0',
    long: '100.0 mm',
  });
});

test('an outline is told so that it can be drawn with a rule and compasses; a hole of four edges by its corner', () => {
  const rounded = after(plate(100, 60), {
    name: 'shapeCorners',
    args: { nodeIds: [plate(100, 60).contours[0]!.nodes[2]!.id], sizeMm: 20, how: 'round' },
  });
  const words = worded(placeWords(lineWith(rounded, 'outline').place), 'mm');
  // The corner at (100, 60) becomes an arc of 20 about (80, 40), from (100, 40) to (80, 60).
  expect(words).toContain('(100.0, 40.0), arc of 20.0 about (80.0, 40.0) to (80.0, 60.0)');
  const holed = after(plate(100, 60), {
    name: 'drawHole',
    args: { draft: rectangleDraft({ x: 30, y: 10 }, 25.4, 12.7) },
  });
  expect(cutCells(lineWith(holed, 'hole'), 'in').where).toBe('1 wide, 1/2 high, lower left corner at (1.181, 0.394)');
});

test('a square cut that is taped: its blade stands upright, glue fills 25 mm² along 200 mm, tape is as long as the fold', () => {
  const folds = { style: 'groove', school: 'square', toolDegrees: 45, hingeOn: 'tape' } as const;
  const airframe = airframeOf([withLine(plate(200, 100), [0, 50], [200, 50], groove())]);
  const list = cutListOf({ ...airframe, settings: { ...airframe.settings, folds } });
  expect(list.parts[0]!.lines.find(({ kind }) => kind === 'groove')).toMatchObject({
    words: 'mitre groove, square cut, cut through, taped',
    blades: [{ side: 'each side', tiltDegrees: 0 }],
    widthMm: expect.closeTo(10, 9),
    glueMl: expect.closeTo(5, 6),
  });
  expect(list.totals.tapeMm).toBeCloseTo(200, 9);
  expect(
    Papa.parse<Record<string, string>>(cutListCsv(list, 'mm'), { header: true }).data.find(({ work }) =>
      work?.includes('taped'),
    ),
  ).toMatchObject({ 'glue ml': '5.0', 'blade °': '0' });
  expect(cutListOf(airframe).totals.tapeMm).toBe(0);
});

test('what stands on what, and which edges are glued, is told at both parts with the edge and where it lies', () => {
  const floor = { ...plate(200, 100, 'floor'), name: 'Floor' };
  const wall = after(
    { ...plate(80, 40, 'wall'), name: 'Wall' },
    {
      name: 'addJoint',
      args: {
        joint: {
          ownSegmentId: plate(80, 40, 'wall').contours[0]!.segments[0]!.id,
          ownSkin: 'back',
          toPartId: 'floor',
          toSegmentId: floor.contours[0]!.segments[1]!.id,
          toSkin: 'face',
          turnDegrees: 90,
          alongMm: 0,
          isReversed: false,
        },
      },
    },
  );
  const [onFloor, onWall] = cutListOf(airframeOf([floor, wall])).parts.map(({ joins }) =>
    joins.map((words) => worded(words, 'mm')),
  );
  expect(onWall).toEqual(['Stands by its edge 1 from (0.0, 0.0) to (80.0, 0.0) on Floor, edge 2, at 90°.']);
  expect(onFloor).toEqual(['Wall stands on its edge 2 from (200.0, 0.0) to (200.0, 100.0), at 90°.']);
});

test('totals count every piece of a handed pair, and boards tell what lies on them', () => {
  const pair = after(withLine(plate(200, 100), [0, 50], [200, 50], groove()), {
    name: 'changeDetails',
    args: { changes: { handed: 'pair', quantity: 2 } },
  });
  const airframe = airframeOf([pair]);
  const list = cutListOf({ ...airframe, nest: quickNest(airframe).nest });
  expect(list.totals).toMatchObject({ pieces: 4, throughMm: 2400, grooveMm: 800 });
  expect(list.parts.map(({ part, quantity, boards }) => [part.side, quantity, boards])).toEqual([
    ['port', 2, [1]],
    ['starboard', 2, [1]],
  ]);
  expect(list.boards).toHaveLength(1);
  expect(list.boards[0]!.totals).toMatchObject({ pieces: 4, throughMm: 2400 });
  expect(cutListOf(airframe).boards).toEqual([]);
});

describe('as a table', () => {
  const rows = (csv: string): Record<string, string>[] =>
    Papa.parse<Record<string, string>>(csv, { header: true }).data;
  test('lengths are in the builder’s unit and read back', () => {
    const list = cutList([{ part: made(boxSide()), quantity: 3 }], []);
    const metric = rows(cutListCsv(list, 'mm'));
    expect(metric.filter(({ work }) => work === 'mitre groove')).toHaveLength(2);
    expect(metric.find(({ work }) => work === 'mitre groove')).toMatchObject({
      quantity: '3',
      face: 'face',
      'length mm': '200.00',
      'width mm': '10.00',
      'depth mm': '5.00',
      'angle °': '90',
      'blade °': '45',
      'blade side': 'each side',
    });
    // 254 mm are ten inches; 3.175 mm an eighth: decimals, so that a column adds up.
    const slab = withLine(plate(254, 101.6), [3.175, 0], [3.175, 101.6], groove());
    const inch = rows(cutListCsv(cutList([{ part: made(slab), quantity: 1 }], []), 'in'));
    expect(inch[0]).toMatchObject({ work: 'outline', 'length in': '28.000', 'part across in': '10.000' });
    expect(inch[1]).toMatchObject({ 'from across in': '0.125', 'to up in': '4.000', 'where in': '1/8 from the left' });
    for (const row of inch)
      for (const [column, value] of Object.entries(row))
        if (/ in$/.test(column) && !column.startsWith('where')) expect(value).toMatch(/^(\d+\.\d{3})?$/);
  });
  test('a name that a spreadsheet would run is written as text', () => {
    const named = after(plate(20, 10), { name: 'changeDetails', args: { changes: { name: '=HYPERLINK("x")' } } });
    expect(rows(cutListCsv(cutList([{ part: made(named), quantity: 1 }], []), 'mm'))[0]!.part).toBe(
      '\'=HYPERLINK("x")',
    );
  });
});

describe('on paper', () => {
  const many = Array.from({ length: 40 }, (_, index) => ({ part: made(boxSide(`p${index}`)), quantity: 1 }));
  const title = { airframe: 'Test', version: 1, scale: 1, date: '2026-01-02', unit: 'mm' as const };
  test('nothing runs off the paper, every part is there with its picture', () => {
    const pages = cutListPages(cutList(many, [{ label: 'Foam, 700 × 500 mm', pieces: many }]), title, {
      widthMm: 210,
      heightMm: 297,
    });
    const texts = pages.flatMap((page) => page.flatMap((ink) => (ink.kind === 'text' ? [ink] : [])));
    for (const { at } of texts) {
      expect(at.y).toBeGreaterThan(5);
      expect(at.y).toBeLessThan(292);
      expect(at.x).toBeLessThan(200);
    }
    for (const { part } of many) expect(texts.some(({ text }) => text === part.name)).toBe(true);
    expect(pages.length).toBeGreaterThan(3);
  });
  test('a picture keeps within its box and its shape', () => {
    const xs = partPicture(made(boxSide()), { minX: 10, maxX: 56, minY: 20, maxY: 44 }).flatMap((ink) =>
      ink.kind === 'path' ? ink.path.flatMap(({ from }) => [from.x]) : [],
    );
    expect(Math.min(...xs)).toBeCloseTo(10, 6);
    expect(Math.max(...xs)).toBeCloseTo(56, 6);
  });
});
