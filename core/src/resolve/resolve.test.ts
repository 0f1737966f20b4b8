import { applyCommand, type PartCommand } from '../editing/index.ts';
import { boundsOf, polygonArea, regionArea } from '../geometry/index.ts';
import { lineMarks } from '../linecode/index.ts';
import { pick, snap } from '../pointing/index.ts';
import { backView, starboardTwin } from './twin.ts';
import { rectangleDraft } from '../paths/index.ts';
import { after, boxSide, groove, made, plate, withBevel, withLine, withRound } from '../../test/samples.ts';

describe('a part made exact', () => {
  const part = made(boxSide());
  test('area, mass and lengths by hand: 200 × 100 less a hole of 10 mm, at 480 g/m²', () => {
    const area = 20_000 - Math.PI * 25;
    expect(part.areaMm2).toBeCloseTo(area, 6);
    expect(part.massG).toBeCloseTo((area / 1e6) * 480, 6);
    expect(part.outlineLengthMm).toBeCloseTo(600 + Math.PI * 10, 6);
  });
  test('a 90° groove in 5 mm board is 10 mm wide and clipped to the part; a 30° bevel reaches in 2.887 mm', () => {
    const grooves = part.strokes.filter(({ kind }) => kind === 'groove');
    expect(grooves.map(({ widthMm }) => widthMm)).toEqual([expect.closeTo(10, 9), expect.closeTo(10, 9)]);
    expect(regionArea(grooves[0]!.area)).toBeCloseTo(2000, 3);
    const bevel = part.strokes.find(({ kind }) => kind === 'bevel')!;
    expect(bevel.widthMm).toBeCloseTo(5 * Math.tan(Math.PI / 6), 9);
    expect(regionArea(bevel.area)).toBeCloseTo(200 * 5 * Math.tan(Math.PI / 6), 0);
  });
  test('holes that overlap each other or hang over the edge are cut out once', () => {
    const hole = (x: number, y: number, width: number, height: number): PartCommand => ({
      name: 'drawHole',
      args: { draft: rectangleDraft({ x, y }, width, height) },
    });
    // 60 × 40 and 40 × 30, of which 20 × 10 is common; then one of 20 × 30 with half of it beside the plate.
    const both = made(after(plate(200, 100), hole(20, 20, 60, 40), hole(60, 50, 40, 30)));
    expect(both.areaMm2).toBeCloseTo(20_000 - 2400 - 1200 + 200, 2);
    expect(both.holeRings).toHaveLength(1);
    const over = made(after(plate(200, 100), hole(190, 30, 20, 30)));
    expect(over.areaMm2).toBeCloseTo(20_000 - 300, 2);
    expect(polygonArea(over.outer)).toBeCloseTo(20_000 - 300, 2);
    // Work is done on what is left: a line through both holes has three stretches of foam.
    const lined = made(
      withLine(after(plate(200, 100), hole(20, 20, 60, 40), hole(60, 50, 40, 30)), [0, 55], [200, 55], groove()),
    );
    expect(lined.strokes[0]!.lengthMm).toBeCloseTo(20 + 100, 2);
  });
  test('a groove that runs past the part is worked only on the part', () => {
    const over = made(withLine(plate(200, 100), [-40, 50], [260, 50], groove()));
    expect(regionArea(over.strokes[0]!.area)).toBeCloseTo(2000, 3);
    expect(over.strokes[0]!.lengthMm).toBeCloseTo(200, 6);
    expect(over.bounds).toEqual({ minX: 0, maxX: 200, minY: 0, maxY: 100 });
  });
  test('a fold across a hole counts what it cuts: 200 less the 20 of the hole, in two runs', () => {
    const stroke = made(withLine(withRound(plate(200, 100), 100, 50, 10), [0, 50], [200, 50], groove())).strokes[0]!;
    expect(stroke.paths).toHaveLength(2);
    expect(stroke.lengthMm).toBeCloseTo(180, 2);
  });
  test('a line beside the part stays where it can be seen', () => {
    expect(made(withLine(plate(200, 100), [0, 150], [200, 150], groove())).strokes[0]!.lengthMm).toBeCloseTo(200, 6);
  });
});

describe('the other side', () => {
  const part = made(boxSide());
  test('the starboard twin has the same area and lies mirrored, its work on the same face', () => {
    const twin = starboardTwin(part);
    expect(twin.side).toBe('starboard');
    expect(polygonArea(twin.outer)).toBeCloseTo(polygonArea(part.outer), 6);
    expect(boundsOf(twin.outer)).toMatchObject({ minX: expect.closeTo(-200, 6), maxX: expect.closeTo(0, 6) });
    expect(twin.strokes.map(({ face }) => face)).toEqual(part.strokes.map(({ face }) => face));
    expect(twin.strokes.map(({ area }) => regionArea(area))).toEqual(
      part.strokes.map(({ area }) => expect.closeTo(regionArea(area), 3)),
    );
  });
  test('the back view exchanges the faces, and twice turned over is as before', () => {
    const back = backView(part);
    expect(back.strokes.every(({ face }) => face === 'back')).toBe(true);
    const again = backView(back);
    expect(again.strokes.map(({ face }) => face)).toEqual(part.strokes.map(({ face }) => face));
    expect(again.bounds.minX).toBeCloseTo(part.bounds.minX, 9);
  });
});

describe('the line code', () => {
  test('a groove is two thin lines at its true width and a dashed middle; work on the back is grey', () => {
    const part = withLine(plate(200, 100), [0, 50], [200, 50], groove());
    const marks = lineMarks(made(part)).filter((mark) => mark.operationId);
    const thin = marks.flatMap((mark) =>
      mark.kind === 'path' && mark.pen === 'thin' ? mark.path.map(({ from }) => from.y) : [],
    );
    expect([Math.min(...thin), Math.max(...thin)]).toEqual([expect.closeTo(45, 3), expect.closeTo(55, 3)]);
    expect(marks.some((mark) => mark.kind === 'path' && mark.dash === 'long')).toBe(true);
    const back = lineMarks(made(withLine(plate(200, 100), [0, 50], [200, 50], { ...groove(), face: 'back' })));
    expect(back.filter((mark) => mark.operationId).every((mark) => mark.tone === 'back')).toBe(true);
  });
  test('a hinge shows its relief at true width on the bevelled side, with rings; a slit barbs and its depth', () => {
    const hinged = made(
      withLine(plate(200, 100), [0, 50], [200, 50], {
        kind: 'hinge',
        face: 'face',
        deflectionDegrees: 45,
        relief: 'left',
        label: '',
      }),
    );
    const ys = hinged.strokes[0]!.area.flatMap((ring) => ring.map(({ y }) => y));
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([expect.closeTo(50, 3), expect.closeTo(55, 3)]);
    expect(
      lineMarks(hinged).filter(
        (mark) => mark.kind === 'path' && mark.operationId && mark.path.some(({ kind }) => kind === 'arc'),
      ),
    ).toHaveLength(10);
    const slitted = made(
      withLine(plate(200, 100), [0, 50], [200, 50], {
        kind: 'slit',
        face: 'face',
        foldDegrees: 30,
        depthMm: 'auto',
        label: '',
      }),
    );
    expect(slitted.strokes[0]!.depthMm).toBeCloseTo(4.5, 9);
    expect(lineMarks(slitted).filter((mark) => mark.kind === 'path' && mark.operationId)).toHaveLength(1 + 13);
    const mirrored = applyCommand(
      withLine(plate(200, 100), [0, 50], [200, 50], {
        kind: 'hinge',
        face: 'face',
        deflectionDegrees: 45,
        relief: 'left',
        label: '',
      }),
      { name: 'mirrorPart', args: { across: 'horizontal' } },
    );
    expect(mirrored.ok && mirrored.part.operations[0]).toMatchObject({ relief: 'right' });
  });
  test('hatch of a bevel stays within its band', () => {
    const marks = lineMarks(made(withBevel(plate(200, 100), 0, 45))).filter(
      (mark) => mark.kind === 'path' && mark.operationId,
    );
    const ys = marks.flatMap((mark) =>
      mark.kind === 'path' ? mark.path.flatMap(({ from, to }) => [from.y, to.y]) : [],
    );
    expect(Math.min(...ys)).toBeGreaterThanOrEqual(-1e-6);
    expect(Math.max(...ys)).toBeLessThanOrEqual(5 + 1e-6);
  });
});

describe('pointing', () => {
  const part = withRound(plate(200, 100), 100, 50, 10);
  test('an end wins over a middle, a middle over an edge, an edge over the grid', () => {
    const options = { reachMm: 4, gridMm: 10 };
    expect(snap(part, { x: 2, y: 1 }, options)).toEqual({ reason: 'end', point: { x: 0, y: 0 } });
    expect(snap(part, { x: 101, y: 2 }, options)).toMatchObject({ reason: 'middle', point: { x: 100, y: 0 } });
    expect(snap(part, { x: 33, y: 2 }, options)).toMatchObject({ reason: 'edge', point: { x: 33, y: 0 } });
    expect(snap(part, { x: 52, y: 28 }, options)).toMatchObject({ reason: 'grid', point: { x: 50, y: 30 } });
    expect(snap(part, { x: 55, y: 25 }, { reachMm: 1, gridMm: 0 })).toMatchObject({
      reason: 'free',
      point: { x: 55, y: 25 },
    });
  });
  test('centres, crossings, touches and square meetings', () => {
    const drawn = withLine(withLine(part, [20, 20], [60, 80], groove()), [20, 80], [60, 20], groove());
    const options = { reachMm: 4, gridMm: 0 };
    expect(snap(drawn, { x: 99, y: 51 }, options)).toEqual({
      reason: 'centre',
      point: { x: expect.closeTo(100, 6), y: expect.closeTo(50, 6) },
    });
    expect(snap(drawn, { x: 41, y: 51 }, options)).toEqual({
      reason: 'crossing',
      point: { x: expect.closeTo(40, 6), y: expect.closeTo(50, 6) },
    });
    // From (150, 50), 50 mm from the middle of a circle of 10 mm: it is touched at 10²/50 = 2 mm before the middle's height.
    const touch = snap(drawn, { x: 102, y: 59.5 }, { ...options, reachMm: 1, from: { x: 150, y: 50 } });
    expect(touch).toEqual({
      reason: 'tangent',
      point: { x: expect.closeTo(102, 6), y: expect.closeTo(50 + Math.sqrt(96), 6) },
    });
    expect(snap(drawn, { x: 151, y: 98 }, { ...options, from: { x: 150, y: 30 } })).toEqual({
      reason: 'square',
      point: { x: expect.closeTo(150, 6), y: 100 },
    });
  });
  test('pressing near an edge picks it, in the open nothing', () => {
    expect(pick(part, made(part), { x: 60, y: 1 }, 3)).toMatchObject({ kind: 'segment' });
    expect(pick(part, made(part), { x: 0.5, y: 0.5 }, 3)).toMatchObject({ kind: 'node' });
    expect(pick(part, made(part), { x: 40, y: 40 }, 3)).toBeUndefined();
  });
});
