import fc from 'fast-check';
import { context, groove, plate, withLine } from '../../test/samples.ts';
import { plateFaces, type FoldedFace } from './folded-faces.ts';
import { plateBody } from './folded-part.ts';
import { measureOnModel, placeInSight, type MeasuredPlace } from './measure-model.ts';

/** A floor of 200 × 60 with a wall of 40 folded up by an angle along y = 60. */
const walled = (angle: number): readonly FoldedFace[] => {
  const body = plateBody(withLine(plate(200, 100), [0, 60], [200, 60], groove(angle)), context)!;
  return body.solids.flatMap((solid) => plateFaces(solid, body.maps[solid.plate.index]!));
};
/** A look straight down on a place, at what lies highest there when nothing else is said. */
const down = (faces: readonly FoldedFace[], x: number, y: number, z?: number): MeasuredPlace | undefined =>
  placeInSight(
    faces,
    { from: { x, y, z: 500 }, direction: { x: 0, y: 0, z: -1 }, ...(z === undefined ? {} : { hit: { x, y, z } }) },
    2,
  );

describe('what a click on the model means', () => {
  const faces = walled(90);
  test('a corner within reach, else an edge, else the face; beside the model by more nothing at all', () => {
    expect(down(faces, 0.9, 1.1, 5)).toMatchObject({ on: 'corner', at: { x: 0, y: 0, z: 5 } });
    expect(down(faces, 80, 1.5, 5)).toMatchObject({ on: 'edge', at: { x: expect.closeTo(80, 9), y: 0, z: 5 } });
    expect(down(faces, 80, 30, 5)).toMatchObject({ on: 'face', at: { x: 80, y: 30, z: 5 } });
    expect(down(faces, 80, -1.5)).toMatchObject({ on: 'edge', at: { y: 0 } });
    expect(down(faces, 80, -2.5)).toBeUndefined();
  });
  test('what the surface hides is not caught: the far skin’s edge lies 5 beneath', () => {
    expect(down(faces, 80, 1, 5)!.at.z).toBeCloseTo(5, 9);
  });
});

describe('what two places are to each other', () => {
  test('the inner faces of floor and wall stand at the fold’s angle to each other, whatever it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 115 }), (angle) => {
        const faces = walled(angle);
        const floor = down(faces, 100, 20, 5)!;
        // The wall's outer skin, seen square from outside: 20 up along it from its fold.
        const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
        const at = { x: 100, y: 60 + 20 * c, z: 20 * s };
        const outward = { x: 0, y: s, z: -c };
        const wall = placeInSight(
          faces,
          {
            from: { x: at.x + 50 * outward.x, y: at.y + 50 * outward.y, z: at.z + 50 * outward.z },
            direction: { x: 0, y: -s, z: c },
            hit: at,
          },
          2,
        )!;
        expect(wall.on).toBe('face');
        // The floor's normal points up, the wall's out and down: between them 180 less the fold.
        expect(measureOnModel(floor, wall).angleDegrees).toBeCloseTo(180 - angle, 6);
      }),
      { numRuns: 40 },
    );
  });
  test('from edge to edge that run alike: parallel, and square across by hand', () => {
    const faces = walled(90);
    // The free edge of the floor's face, and the upper edge of the wall's face: 55 across and 35 up.
    const [low, high] = [
      down(faces, 40, 0, 5)!,
      placeInSight(
        faces,
        { from: { x: 150, y: 55, z: 500 }, direction: { x: 0, y: 0, z: -1 }, hit: { x: 150, y: 55.5, z: 40 } },
        2,
      )!,
    ];
    expect(high).toMatchObject({ on: 'edge', at: { y: expect.closeTo(55, 6), z: expect.closeTo(40, 6) } });
    const measure = measureOnModel(low, high);
    expect(measure.isParallel).toBe(true);
    expect(measure.acrossMm).toBeCloseTo(Math.hypot(55, 35), 6);
    expect(measure.distanceMm).toBeCloseTo(Math.hypot(55, 35, 110), 6);
  });
  test('from a corner square to a face; between two corners only the distance', () => {
    const faces = walled(90);
    const corner = down(faces, 0, 0, 5)!;
    const top = placeInSight(
      faces,
      { from: { x: 0, y: 55, z: 500 }, direction: { x: 0, y: 0, z: -1 }, hit: { x: 0, y: 55, z: 40 } },
      2,
    )!;
    expect(measureOnModel(corner, top)).toEqual({
      distanceMm: expect.closeTo(Math.hypot(55, 35), 6),
      isParallel: false,
    });
    expect(measureOnModel(top, down(faces, 100, 20, 5)!).acrossMm).toBeCloseTo(35, 6);
  });
});
