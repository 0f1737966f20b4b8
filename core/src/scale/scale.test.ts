import fc from 'fast-check';
import { after, airframeOf, boxSide, made, plate, withRound } from '../../test/samples.ts';
import { quickFigures } from '../airframe/index.ts';
import { boundsHeight, boundsOf, boundsWidth, regionArea } from '../geometry/index.ts';
import { holesOf, outlineOf } from '../part/index.ts';
import { polylineDraft, rectangleDraft } from '../paths/index.ts';
import { scalePart } from './scale-part.ts';

describe('scaling true to the board', () => {
  const scaled = scalePart(boxSide(), 1.2);
  test('outline and places of folds grow by 1.2; the mouth of the groove does not', () => {
    const part = made(scaled);
    expect(boundsWidth(part.bounds)).toBeCloseTo(240, 9);
    expect(boundsHeight(part.bounds)).toBeCloseTo(120, 9);
    const [lower, upper] = part.strokes.filter(({ kind }) => kind === 'groove');
    expect(lower!.paths[0]![0]!.from.y).toBeCloseTo(36, 9);
    expect(upper!.paths[0]![0]!.from.y).toBeCloseTo(84, 9);
    expect(lower!.widthMm).toBeCloseTo(10, 9);
    expect(part.strokes.find(({ kind }) => kind === 'bevel')!.angleDegrees).toBe(30);
    expect(regionArea(part.strokes.find(({ kind }) => kind === 'bevel')!.area)).toBeCloseTo(
      240 * 5 * Math.tan(Math.PI / 6),
      0,
    );
  });
  test('a hole for hardware keeps its size and moves with its place', () => {
    const hole = made(scaled).holeRings[0]!;
    expect(boundsWidth(boundsOf(hole))).toBeCloseTo(10, 2);
    expect((boundsOf(hole).minX + boundsOf(hole).maxX) / 2).toBeCloseTo(120, 6);
  });
  test('a slot for a plate grows in length and keeps its width', () => {
    const part = after(plate(200, 100), {
      name: 'drawHole',
      args: { draft: rectangleDraft({ x: 50, y: 20 }, 60, 5), sizing: 'slot' },
    });
    const box = boundsOf(holesOf(scalePart(part, 1.5))[0]!.nodes);
    expect([boundsWidth(box), boundsHeight(box)]).toEqual([expect.closeTo(90, 9), expect.closeTo(5, 9)]);
    expect((box.minX + box.maxX) / 2).toBeCloseTo(120, 9);
  });
  test('two bevel lines of a groove keep their distance about their middle, and with it the angle that they fold to', () => {
    // 10 mm apart in 5 mm board: they close at 2·atan(10 / 10) = 90°, at every scale.
    const lip = (y: number) =>
      ({
        name: 'drawLine',
        args: {
          draft: polylineDraft([
            { x: 0, y },
            { x: 200, y },
          ]),
          operation: { kind: 'bevel', face: 'face', bevelDegrees: 45, label: '' },
        },
      }) as const;
    const part = after(plate(200, 100), lip(40), lip(50));
    for (const factor of [0.6, 1, 1.7]) {
      const grooves = made(scalePart(part, factor)).strokes.filter(({ kind }) => kind === 'groove');
      expect(grooves).toHaveLength(1);
      expect(grooves[0]!.angleDegrees).toBeCloseTo(90, 6);
      expect(grooves[0]!.paths[0]![0]!.from.y).toBeCloseTo(45 * factor, 6);
    }
  });
  test('a whole part that keeps its size does', () => {
    const gauge = after(boxSide(), { name: 'changeDetails', args: { changes: { sizing: 'fixed' } } });
    expect(scalePart(gauge, 3)).toBe(gauge);
  });
  test('places and shifts along a line grow with the airframe, for parts that keep their size too', () => {
    const standing = after(
      plate(200, 100),
      {
        name: 'setPlace',
        args: { place: { at: { x: 10, y: -20, z: 30 }, rollDegrees: 90, pitchDegrees: 0, yawDegrees: 5 } },
      },
      {
        name: 'addJoint',
        args: {
          joint: {
            ownSegmentId: outlineOf(plate(200, 100))!.segments[0]!.id,
            ownSkin: 'back',
            toPartId: 'x',
            toSegmentId: 's1',
            toSkin: 'face',
            turnDegrees: 90,
            alongMm: 7,
            isReversed: false,
          },
        },
      },
    );
    for (const sizing of ['scaled', 'fixed'] as const) {
      const large = scalePart({ ...standing, sizing }, 1.5);
      expect(large.place).toEqual({ at: { x: 15, y: -30, z: 45 }, rollDegrees: 90, pitchDegrees: 0, yawDegrees: 5 });
      expect(large.joints![0]).toMatchObject({ alongMm: 10.5, turnDegrees: 90 });
      expect(outlineOf(large)!.nodes[2]!.x).toBeCloseTo(sizing === 'scaled' ? 300 : 200, 9);
    }
  });
  test('there and back again', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (factor) => {
        const back = scalePart(scalePart(withRound(plate(200, 100), 60, 40, 7), factor), 1 / factor);
        expect(outlineOf(back)!.nodes[2]!.x).toBeCloseTo(200, 6);
        expect(made(back).areaMm2).toBeCloseTo(20_000 - Math.PI * 49, 3);
      }),
    );
  });
  test.each([0, -1, Number.NaN, 21, 0.01])('a factor of %d is refused', (factor) =>
    expect(() => scalePart(plate(10, 10), factor)).toThrow('from 0.05 to 20'),
  );
  test('foam grows by the square of the factor', () => {
    const airframe = airframeOf([plate(200, 100)]);
    const figures = quickFigures({ ...airframe, settings: { ...airframe.settings, scale: 1.2 } });
    expect(figures.foamG).toBeCloseTo(0.02 * 480 * 1.44, 9);
    expect(figures.longestMm).toBeCloseTo(240, 9);
  });
});
