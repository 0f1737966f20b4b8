import { after, made, plate, polygonPart, withRound } from '../../test/samples.ts';
import { distance } from '../geometry/index.ts';
import { emptyPart, holesOf, outlineOf, type Part } from '../part/index.ts';
import { bulgeLeaving, bulgeOfRadius, polylineDraft, roundEndedSlot } from '../paths/index.ts';
import { expandPart } from '../resolve/index.ts';
import { measureOnDrawing } from './measure.ts';
import { pick } from './pick.ts';
import { snap } from './snap-on-part.ts';

const context = { thicknessMm: 5, plateThicknesses: {} };
const options = { reachMm: 3, gridMm: 0 };

describe('the pointer on what was not drawn by hand', () => {
  const half = after(
    emptyPart('p1', 'Half', 'foam'),
    { name: 'setSymmetry', args: { symmetry: { along: 'upright', atMm: 0 } } },
    {
      name: 'drawOutline',
      args: {
        draft: polylineDraft([
          { x: 0, y: 0 },
          { x: 100, y: 0 },
          { x: 100, y: 50 },
          { x: 0, y: 50 },
        ]),
      },
    },
    { name: 'addFeature', args: { kind: 'dowel', at: { x: 50, y: 25 }, numbers: { diameterMm: 10, fitMm: 0 } } },
  );
  const under = (x: number, y: number): ReturnType<typeof pick> =>
    pick(expandPart(half, context), made(half), { x, y }, 1);
  test('finds the drawn edge, point or feature behind its image', () => {
    const outline = outlineOf(half)!;
    expect(under(-100, 20)).toMatchObject({
      kind: 'segment',
      segmentId: outline.segments[1]!.id,
      pathId: outline.id,
      isImage: true,
    });
    expect(under(-100, 50)).toEqual({ kind: 'node', nodeId: outline.nodes[2]!.id, pathId: outline.id, isImage: true });
    expect(under(55, 25)).toEqual({ kind: 'feature', featureId: half.features![0]!.id });
    expect(under(-45, 25)).toEqual({ kind: 'feature', featureId: half.features![0]!.id, isImage: true });
  });
  test('finds a guide after edges, and catches on it, on its crossings and on the part beneath', () => {
    const part = after(
      plate(200, 100),
      { name: 'addGuide', args: { guide: { kind: 'line', at: { x: 0, y: 30 }, angleDegrees: 0 } } },
      { name: 'addGuide', args: { guide: { kind: 'circle', at: { x: 100, y: 30 }, radiusMm: 20 } } },
    );
    expect(pick(part, made(part), { x: 60, y: 31 }, 3)).toEqual({ kind: 'guide', guideId: part.guides![0]!.id });
    expect(snap(part, { x: 60, y: 31 }, options)).toEqual({ reason: 'guide', point: { x: 60, y: 30 } });
    expect(snap(part, { x: 120.5, y: 31 }, options)).toEqual({
      reason: 'crossing',
      point: { x: expect.closeTo(120, 9), y: expect.closeTo(30, 9) },
    });
    expect(snap(part, { x: 0.5, y: 31 }, options)).toEqual({
      reason: 'crossing',
      point: { x: expect.closeTo(0, 9), y: expect.closeTo(30, 9) },
    });
    const beneath = polygonPart([
      [50, 50],
      [90, 50],
      [70, 80],
    ]);
    expect(snap(part, { x: 50.4, y: 50.4 }, { ...options, beneath })).toEqual({
      reason: 'other part',
      point: expect.objectContaining({ x: 50, y: 50 }),
    });
    expect(snap(part, { x: 65, y: 51 }, { ...options, beneath })).toEqual({
      reason: 'other part',
      point: { x: 65, y: 50 },
    });
  });
});

describe('measures between two places', () => {
  const part = withRound(plate(200, 100), 100, 50, 20);
  test('along the outline both ways, the shorter first', () =>
    expect(measureOnDrawing(part, { x: 50, y: 0 }, { x: 200, y: 40 }).alongMm).toEqual([
      expect.closeTo(190, 6),
      expect.closeTo(410, 6),
    ]));
  test('a quarter of the hole: its length, its radius', () => {
    const found = measureOnDrawing(part, { x: 120, y: 50 }, { x: 100, y: 70 });
    expect(found.alongMm![0]).toBeCloseTo(10 * Math.PI, 4);
    expect(found.radiusMm).toBeCloseTo(20, 9);
  });
  test('the angle between two edges; places off the drawing tell nothing', () => {
    const wedge = polygonPart([
      [0, 0],
      [100, 0],
      [0, 100],
    ]);
    expect(measureOnDrawing(wedge, { x: 50, y: 0 }, { x: 50, y: 50 }).betweenDegrees).toBeCloseTo(135, 6);
    expect(measureOnDrawing(part, { x: 500, y: 0 }, { x: 700, y: 9 })).toEqual({});
  });
});

test('an arc that goes on from a run leaves in its direction; one of a radius has it; a slot has round ends', () => {
  expect(bulgeLeaving({ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 10, y: 10 })).toBeCloseTo(Math.tan(Math.PI / 8), 9);
  expect(bulgeLeaving({ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 10, y: 0 })).toBe(0);
  const bulge = bulgeOfRadius({ x: 0, y: 0 }, { x: 60, y: 0 }, 50, 'left')!;
  expect((60 * (1 + bulge ** 2)) / (4 * Math.abs(bulge))).toBeCloseTo(50, 9);
  expect(bulgeOfRadius({ x: 0, y: 0 }, { x: 60, y: 0 }, 29, 'left')).toBeUndefined();
  const slotted: Part = after(plate(200, 100), {
    name: 'drawHole',
    args: { draft: roundEndedSlot({ x: 50, y: 50 }, { x: 90, y: 80 }, 8) },
  });
  expect(20_000 - made(slotted).areaMm2).toBeCloseTo(50 * 8 + Math.PI * 16, 6);
  expect(holesOf(slotted)[0]!.nodes.every((node) => distance(node, { x: 70, y: 65 }) < 30)).toBe(true);
});
