import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, groove, made, outlined, plate, withLine } from '../../test/samples.ts';
import type { PartCommand } from '../editing/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import { polygonArea } from '../geometry/index.ts';
import { emptyPart, outlineOf, type Part } from '../part/index.ts';
import { circleDraft, polygonDraft } from '../paths/index.ts';
import { resolve } from '../resolve/index.ts';
import { foldOrder } from './fold-order.ts';
import { foldReport } from './fold-report.ts';
import { fold, foldedBy } from './fold.ts';
import { clashOf, plateBody, seamFigures, type FoldedPart } from './folded-part.ts';
import { clashesOf } from './interference.ts';
import { solidsOf } from './plate-solid.ts';
import { closingMend } from './seam-mends.ts';

const context = (thicknessMm = 5) => ({ thicknessMm, gramsPerSquareMetre: 480, plateThicknesses: {} });
const trench = (side: 'left' | 'right', foldDegrees: 90 | 180 = 90): OperationDraft => ({
  kind: 'trench',
  face: 'face',
  foldDegrees,
  widthMm: 'auto',
  side,
  label: '',
});
const line = (
  part: Part,
  from: readonly [number, number],
  to: readonly [number, number],
  operation: OperationDraft,
): Part => withLine(part, from, to, operation);

/**
 * A tray 120 × 80 outside with walls of 30: a cross of five rectangles, mitre grooves under the long walls, trenches under the short
 * ones, the walls' ends bevelled 45°. One short wall may be drawn short at one end.
 */
function tray(shortMm = 0): Part {
  const outline: readonly (readonly [number, number])[] = [
    [0, 0],
    [0, -30],
    [120, -30],
    [120, 0],
    [150, 0],
    [150, 80 - shortMm],
    [120, 80 - shortMm],
    [120, 80],
    [120, 110],
    [0, 110],
    [0, 80],
    [-30, 80],
    [-30, 0],
  ];
  const drawn = after(emptyPart('p1', 'Tray', 'foam'), {
    name: 'drawOutline',
    args: { draft: polygonDraft(outline.filter((_, index) => shortMm > 0 || index !== 6).map(([x, y]) => ({ x, y }))) },
  });
  const folded = line(
    line(
      line(line(drawn, [0, 0], [120, 0], groove()), [0, 80], [120, 80], groove()),
      [120, 0],
      [120, 80 - shortMm],
      trench('left'),
    ),
    [0, 0],
    [0, 80],
    trench('right'),
  );
  const path = outlineOf(folded)!;
  const ends = path.segments
    .filter((_, index) => {
      const a = path.nodes[index]!,
        b = path.nodes[(index + 1) % path.nodes.length]!;
      return Math.abs(Math.hypot(a.x - b.x, a.y - b.y) - 30) < 0.01;
    })
    .map(({ id }) => id);
  return after(folded, {
    name: 'addOperation',
    args: {
      on: { pathId: path.id, segmentIds: ends },
      operation: { kind: 'bevel', face: 'face', bevelDegrees: 45, label: 'corner' },
    },
  });
}
const withSeams = (part: Part, folded: FoldedPart): Part =>
  after(
    part,
    ...folded.near.map(({ seam }): PartCommand => ({
      name: 'addSeam',
      args: { fromSegmentId: seam.fromSegmentId, toSegmentId: seam.toSegmentId },
    })),
  );

describe('a tray with two mitred and two trenched walls', () => {
  test('its four corners nearly meet and are offered as seams; declared, all are closed, whatever the board', () => {
    const part = withSeams(tray(), plateBody(tray(), context())!);
    expect(part.seams).toHaveLength(4);
    for (const thicknessMm of [3, 5, 6.2]) {
      const figures = seamFigures(plateBody(part, context(thicknessMm))!.seams);
      expect(figures).toEqual({ closed: 4, open: 0, pressed: 0, worstMm: expect.any(Number) });
      expect(figures.worstMm).toBeLessThan(0.01);
    }
  });
  test('one wall drawn 1 mm short leaves one seam 1 mm open; its mend closes it', () => {
    const short = withSeams(tray(1), plateBody(tray(1), context())!);
    const folded = plateBody(short, context())!;
    expect(seamFigures(folded.seams)).toEqual({ closed: 3, open: 1, pressed: 0, worstMm: expect.closeTo(1, 2) });
    // The stub of floor that is left beside the short wall is bevelled away by the groove behind it: nothing is in the way.
    expect(clashOf(folded)).toBeUndefined();
    const { command } = closingMend(folded.seams.find(({ state }) => state === 'open')!)!;
    const mended = after(short, command);
    expect(seamFigures(plateBody(mended, context())!.seams)).toMatchObject({ closed: 4, open: 0 });
    expect(seamFigures(plateBody(mended, context(6.2))!.seams).open).toBe(0);
  });
  test('nothing is in the way while it folds, and every fold has its place in the order', () => {
    const folded = plateBody(tray(), context())!;
    expect(clashOf(folded)).toBeUndefined();
    const order = foldOrder(folded.solids, folded.tree, (id) => id);
    expect(order.map(({ operationId }) => operationId).sort()).toEqual(
      tray()
        .operations.filter(({ kind }) => kind === 'groove' || kind === 'trench')
        .map(({ id }) => id)
        .sort(),
    );
  });
});

describe('interference', () => {
  test('a groove too narrow presses its plates together, deeper the narrower it is', () => {
    const clash = (mouthMm: number): number => {
      const folded = plateBody(withLine(plate(200, 100), [0, 50], [200, 50], groove(90, mouthMm)), context())!;
      return Math.max(0, ...clashesOf(folded.solids, folded.tree, folded.maps).map(({ depthMm }) => depthMm));
    };
    const narrow = withLine(plate(200, 100), [0, 50], [200, 50], groove(90, 8));
    expect(foldReport(narrow, plateBody(narrow, context())!, 'mm').join(' ')).toContain(
      'into each other: widen mitre groove by 2.00 mm, to 10.00 mm.',
    );
    expect(clash(10)).toBeLessThan(0.02);
    expect(clash(8)).toBeGreaterThan(0.3);
    expect(clash(6)).toBeGreaterThan(clash(8));
  });
  test('flat, no part clashes; folded by any share a wide enough groove does not either', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.integer({ min: 10, max: 120 }), (share, angle) => {
        const folded = plateBody(
          withLine(withLine(plate(200, 100), [0, 25], [200, 35], groove(angle)), [0, 80], [200, 75], groove(60)),
          context(),
        )!;
        expect(clashesOf(folded.solids, folded.tree, fold(folded.tree, foldedBy(share)))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
  test('a groove anywhere across a disc presses nowhere and leaves two plates', () => {
    const disc = outlined(circleDraft({ x: 0, y: 0 }, 60));
    const steps = oracleRuns(50);
    for (let step = 0; step <= steps; step++) {
      const y = -55 + (110 * step) / steps;
      const half = Math.sqrt(60 ** 2 - y ** 2);
      const folded = plateBody(withLine(disc, [-half, y], [half, y], groove(90)), context())!;
      expect([y, folded.tree.plates.length]).toEqual([y, 2]);
      expect([y, clashesOf(folded.solids, folded.tree, folded.maps).map(({ depthMm }) => depthMm)]).toEqual([y, []]);
    }
  }, 600_000);
  test('a wall that meets another in its way is found on the way, with its depth', () => {
    // Two walls of 40 stand on a floor of 40 and bend in by 90°, 30 each: there is room for 20 each.
    let part = plate(100, 40 + 2 * 70);
    for (const y of [30, 70, 110, 150]) part = withLine(part, [0, y], [100, y], groove(90));
    const folded = plateBody(part, context())!;
    expect(clashOf(folded)).toMatchObject({ share: expect.any(Number), depthMm: expect.any(Number) });
  });
});

test('a loose lid is a plate of its own, and is told to fall out', () => {
  const part = after(withLine(plate(200, 100), [0, 30], [200, 30], groove(90)), {
    name: 'addFeature',
    args: { kind: 'hatch', at: { x: 100, y: 65 } },
  });
  const folded = plateBody(part, context())!;
  expect(folded.tree.plates).toHaveLength(3);
  // 80 × 45 with corners of 5.
  const areas = folded.tree.plates.map(({ outer }) => polygonArea(outer)).sort((a, b) => a - b);
  expect(areas[0]).toBeCloseTo(80 * 45 - (4 - Math.PI) * 25, 0);
  expect(folded.tree.loose).toHaveLength(1);
  expect(foldReport(part, folded, 'mm').join(' ')).toContain('One piece falls out: no fold joins it to the rest.');
});

test('volume is what was drawn less what grooves and bevels take away, folded or flat', () => {
  const part = tray(),
    resolved = resolve(part, context());
  const solids = solidsOf(resolved, plateBody(part, context())!.tree);
  const area = (ring: readonly { x: number; y: number }[]): number =>
    Math.abs(
      ring.reduce((sum, p, index) => {
        const q = ring[(index + 1) % ring.length]!;
        return sum + p.x * q.y - q.x * p.y;
      }, 0),
    ) / 2;
  // A frustum between far skin and face: the mean of both and of the ring half way up (Simpson's rule is exact for slanted planes).
  const volume = solids
    .filter(({ plate: { kind } }) => kind === 'board')
    .reduce((sum, { bottom, top, thicknessMm }) => {
      const middle = bottom.map((p, index) => ({ x: (p.x + top[index]!.x) / 2, y: (p.y + top[index]!.y) / 2 }));
      return sum + ((area(bottom) + 4 * area(middle) + area(top)) * thicknessMm) / 6;
    }, 0);
  const grooves = 2 * 120 * 25,
    trenches = 2 * 80 * 5 * 5,
    bevels = 8 * (30 * 12.5);
  const floor = 120 * 80 + 2 * 120 * 30 + 2 * 80 * 30;
  // Where a bevel meets a groove or trench the wedges share a corner, which hand figures count twice: within a few of these.
  expect(Math.abs(volume - (floor * 5 - grooves - trenches - bevels))).toBeLessThan(8 * 125);
  expect(made(part).areaMm2).toBeCloseTo(floor, 6);
});

test('a ring of folds cut open at one of them closes again there: four sectors of a shallow pyramid', () => {
  // Four creases from the middle of a plate to its edges, which no flat board can fold about at once.
  let part = plate(100, 100);
  for (const [x, y] of [
    [50, 0],
    [100, 50],
    [50, 100],
    [0, 50],
  ] as const)
    part = withLine(part, [50, 50], [x, y], { kind: 'crease', face: 'face', foldDegrees: 20, label: '' });
  const ring = plateBody(part, context())!;
  expect(ring.tornRings).toHaveLength(1);
  const cut = after(part, { name: 'openFold', args: { operationId: ring.tornRings[0]!.operationId } });
  const opened = plateBody(cut, context())!;
  expect(opened.tornRings).toEqual([]);
  // Four right angles close round a point only while they lie flat: folded they leave a gap or press, which the seam now tells.
  expect(opened.seams).toHaveLength(1);
  expect(opened.seams[0]).toMatchObject({ seam: { fromSegmentId: opened.seams[0]!.seam.toSegmentId } });
  expect(opened.seams[0]!.state).not.toBe('closed');
  expect(() =>
    after(part, {
      name: 'addSeam',
      args: { fromSegmentId: part.lines[0]!.segments[0]!.id, toSegmentId: part.lines[0]!.segments[0]!.id },
    }),
  ).toThrow('both sides of a through cut');
});
test('walls with square ends press where their ends meet, by a board; each bevelled by half, they do not', () => {
  const square = tray(),
    bevel = square.operations.find(({ kind }) => kind === 'bevel')!;
  const part = after(withSeams(square, plateBody(square, context())!), {
    name: 'removeOperation',
    args: { operationId: bevel.id },
  });
  const pressed = plateBody(part, context())!;
  expect(seamFigures(pressed.seams)).toMatchObject({ closed: 0, open: 0, pressed: 4 });
  // At each corner both walls claim the same post of 5 × 5.
  for (const { overlapMm } of pressed.seams) expect(overlapMm).toBeCloseTo(5, 1);
});
