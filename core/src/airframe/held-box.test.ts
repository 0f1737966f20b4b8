import * as fc from 'fast-check';
import { PLY } from '../../test/bodies.ts';
import { airframeOf, T } from '../../test/wings.ts';
import { assemble, foldedBy, placedPoint } from '../folds/index.ts';
import {
  bodyFromNumbers,
  makeForm,
  powerFromNumbers,
  usualBody,
  usualPower,
  withChanges,
  type BodyForm,
  type BodyParameters,
  type BoxDowels,
  type PowerForm,
  type PowerParameters,
} from '../forms/index.ts';
import { centroid, distance, type Point3 } from '../geometry/index.ts';
import type { Airframe } from './airframe.ts';
import { withForm, withFormsMade } from './forms-of-airframe.ts';
import { formContext, madeOf, standingParts } from './made-at-scale.ts';

const DOWELS: BoxDowels = { count: 2, acrossMm: 3, firstMm: 40, apartMm: 24, upMm: 18 };
const BOX = powerFromNumbers({ ...usualPower('mm'), widthMm: 30, heightMm: 36, lengthMm: 90, material: 'foam' }, 'ply');
/** Outside: 30 and four boards of 5 wide. */
const box = (more: Partial<PowerParameters> = {}, at = { x: 0, y: 0, z: 12 }): PowerForm => ({
  id: 'm1',
  kind: 'power',
  name: 'Box',
  parameters: { ...BOX, pattern: { ...BOX.pattern, firstMm: 19, secondMm: 16 }, dowels: DOWELS, ...more },
  place: { at, incidenceDegrees: 0 },
});
const BODY: BodyParameters = {
  ...bodyFromNumbers({ ...usualBody('mm'), lengthMm: 500, material: 'foam' }, T),
  plateMaterial: 'ply',
  topLine: 'straight',
  bottomLine: 'straight',
  widthLine: 'straight',
  corners: 'on floor',
  lid: 'on walls',
  formers: [],
  stations: [
    { id: 's1', aftMm: 0, bottomMm: 0, topMm: 80, widthMm: 60.4 },
    { id: 's2', aftMm: 200, bottomMm: 0, topMm: 80, widthMm: 60.4 },
    { id: 's3', aftMm: 500, bottomMm: 20, topMm: 80, widthMm: 30 },
  ],
  boxIds: ['m1'],
};
const body = (more: Partial<BodyParameters> = {}): BodyForm => ({
  id: 'b1',
  kind: 'body',
  name: 'Body',
  parameters: { ...BODY, ...more },
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
const EMPTY: Airframe = airframeOf([]);
const both = (power: PowerForm, hull: BodyForm): Airframe => withForm(withForm(EMPTY, power), hull);
const codes = (airframe: Airframe): readonly string[] =>
  makeForm(
    airframe.forms!.find(({ id }) => id === 'b1')!,
    formContext(airframe),
  ).faults.map(({ code }) => code);

/** Where the round holes of what stands lie, folded: on the far skin and on the face. */
function holesAsTheyStand(
  airframe: Airframe,
  acrossMm: number,
): readonly { skin: Point3; face: Point3; part: string }[] {
  const { pieces } = assemble(standingParts(airframe, airframe.parts), foldedBy(1));
  return pieces.flatMap(({ partId, body: { solids }, maps }) =>
    solids.flatMap(({ holes, plate, thicknessMm }) =>
      holes.flatMap((ring) => {
        const middle = centroid(ring);
        if (ring.length < 12 || Math.abs(distance(ring[0]!, middle) - acrossMm / 2) > 0.02) return [];
        const map = maps[plate.index]!;
        return [{ part: partId, skin: placedPoint(map, middle, 0), face: placedPoint(map, middle, thicknessMm) }];
      }),
    ),
  );
}
/** How many walls a line across meets a hole in, and how far the holes' middles lie off it at most. */
function onLine(airframe: Airframe, { x, z }: { x: number; z: number }, acrossMm = 3): readonly [number, number] {
  const off = holesAsTheyStand(airframe, acrossMm)
    .map(({ skin, face }) => Math.hypot((skin.x + face.x) / 2 - x, (skin.z + face.z) / 2 - z))
    .filter((mm) => mm < 5);
  return [off.length, Math.max(...off)];
}

describe('the dowels of a power box', () => {
  it('run through every wall of the folded box in one line, where they were said, pulling and pushing, at any thrust', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.boolean(),
        fc.constantFrom<'single' | 'doubled'>('single', 'doubled'),
        fc.record({
          count: fc.integer({ min: 1, max: 3 }),
          acrossMm: fc.double({ min: 2, max: 4, noNaN: true }),
          firstMm: fc.double({ min: 25, max: 40, noNaN: true }),
          apartMm: fc.double({ min: 10, max: 18, noNaN: true }),
          upMm: fc.double({ min: 8, max: 28, noNaN: true }),
        }),
        (rightDegrees, downDegrees, isPusher, walls, dowels) => {
          const airframe = withForm(
            EMPTY,
            box({ rightDegrees, downDegrees, isPusher, walls, dowels }, { x: 7, y: 0, z: 3 }),
          );
          for (let index = 0; index < dowels.count; index++) {
            const behind = dowels.firstMm + index * dowels.apartMm;
            const [found, off] = onLine(
              airframe,
              { x: 7 + (isPusher ? -behind : behind), z: 3 + T + dowels.upMm },
              dowels.acrossMm,
            );
            expect(found).toBe(walls === 'doubled' ? 4 : 2);
            expect(off).toBeLessThan(0.01);
          }
        },
      ),
      { numRuns: 15 },
    );
  });

  it.each<readonly [Partial<BoxDowels>, string]>([
    // A board and a half of the dowel from the rear: 90 − 5 − 1.5 − 24.
    [{ firstMm: 62 }, 'Set 59.5 mm'],
    // Over the floor at least 5 + 1.5, and 36 less that at most.
    [{ upMm: 3 }, 'Set 6.5 mm'],
    [{ upMm: 33 }, 'Set 29.5 mm'],
    [{ apartMm: 4 }, 'Set 8.0 mm'],
    [{ acrossMm: 40 }, 'Set 10.0 mm'],
    [{ count: 4, apartMm: 60 }, 'Glue it in'],
  ])('are refused where they break out, with what works: %j', (more, mend) => {
    const form = box({ dowels: { ...DOWELS, ...more } }),
      context = formContext(EMPTY),
      { faults, parts } = makeForm(form, context);
    expect(parts).toEqual([]);
    expect(faults[0]).toMatchObject({ isBlocking: true, mend: { label: mend } });
    const mended = makeForm(withChanges(form, faults[0]!.mend!.changes), context);
    expect(mended.faults.map(({ path }) => path)).not.toContain(faults[0]!.path);
  });
});

describe('a body that a power box slides into', () => {
  it('has the same holes in its walls and in a doubler, on one line across', () => {
    const airframe = both(box(), body({ doublers: [{ id: 'd1', fromMm: 100, toMm: 180 }] }));
    for (const x of [40, 64]) {
      // Two walls of the body, two of the box and two inner ones.
      const [found, off] = onLine(airframe, { x, z: 12 + T + 18 });
      expect(found).toBe(6);
      expect(off).toBeLessThan(0.01);
    }
    expect(codes(airframe)).toEqual([]);
    const { boxes } = madeOf(airframe.forms!.find(({ id }) => id === 'b1') as BodyForm, airframe).figures!;
    // 60.4 less two boards of 5 is 50.4; the box is 50. Dowels: 60.4 and five on either side, whole.
    expect(boxes).toEqual([
      { formId: 'm1', name: 'Box', sideMm: expect.closeTo(0.2, 2), dowels: 2, dowelMm: 3, dowelLengthMm: 71 },
    ]);
  });

  it('has them through walls that close in and a doubler within them, true halfway through each', () => {
    const wide = body({
      stations: BODY.stations.map((one, index) => (index === 0 ? { ...one, widthMm: 90.4 } : one)),
      doublers: [{ id: 'd1', fromMm: 5, toMm: 90 }],
    });
    const airframe = both(box({ insideWidthMm: 20 }), wide),
      [found, off] = onLine(airframe, { x: 64, z: 12 + T + 18 });
    expect(found).toBe(8);
    expect(off).toBeLessThan(0.02);
  });

  it('moves its holes with the box, and closes them when the box is glued in or goes to none', () => {
    const airframe = both(box(), body()),
      inWall = (one: Airframe): number => onLine(one, { x: 58, z: 12 + T + 18 })[0];
    expect(inWall(airframe)).toBe(0);
    const moved = withForm(airframe, box({}, { x: 18, y: 0, z: 12 }));
    expect(inWall(moved)).toBe(6);
    const { dowels: _gone, ...glued } = box().parameters;
    const first = { x: 40, z: 12 + T + 18 };
    expect(onLine(airframe, first)[0]).toBe(6);
    expect(onLine(withForm(airframe, { ...box(), parameters: glued }), first)[0]).toBe(0);
    expect(onLine(withForm(airframe, body({ boxIds: [] })), first)[0]).toBe(4);
  });

  it('tells what keeps the box from sitting or coming out', () => {
    const narrow = [
      { ...BODY.stations[0]!, widthMm: 46 },
      { ...BODY.stations[0]!, id: 's0', aftMm: 50 },
      ...BODY.stations.slice(1),
    ];
    const behind = { x: 60, y: 0, z: 12 };
    expect(codes(both(box({ insideWidthMm: 31 }), body()))).toEqual(['BOX_WIDE']);
    expect(codes(both(box({ insideWidthMm: 28 }), body()))).toEqual(['BOX_LOOSE']);
    expect(codes(both(box({}, { x: 0, y: 0, z: 3 }), body()))).toEqual(['BOX_HIGH']);
    expect(codes(both(box({}, { x: -120, y: 0, z: 12 }), body()))).toEqual(['BOX_BESIDE']);
    // Where it sits the walls are far enough apart, at the nose they leave 46 less two boards.
    expect(codes(both(box({}, behind), body({ stations: narrow })))).toEqual(['BOX_STUCK']);
    expect(
      codes(both(box({}, behind), body({ formers: [{ id: 'f1', aftMm: 30, boards: 1, rimMm: 0, leadMm: 0 }] }))),
    ).toEqual(['BOX_FORMER']);
    // The first dowel 3 mm behind the nose: its hole would leave half of that.
    expect(codes(both(box({}, { x: -37, y: 0, z: 12 }), body()))).toEqual(['BOX_DOWEL_WALL']);
    // One that is gone cuts nothing and tells nothing.
    expect(codes(withForm(EMPTY, body({ boxIds: ['gone', 'b1'] })))).toEqual([]);
  });

  it('is made anew once with a box that stands by it', () => {
    const by: PowerForm = { ...box(), standsBy: { formId: 'b1', aftMm: 10, upMm: 12, noseDownDegrees: 0 } };
    const airframe = withFormsMade(
      withForm(both(by, body()), { ...body(), place: { at: { x: 5, y: 0, z: 0 }, incidenceDegrees: 0 } }),
    );
    expect(airframe.forms!.find(({ id }) => id === 'm1')!.place.at).toMatchObject({ x: 15, z: 12 });
  });
});

it('a ply plate within keeps the dowels behind it', () => {
  // Two plates of 3 mm within, and a board of 5 and half a dowel behind them.
  const { faults } = makeForm(
    box({ rightDegrees: 0, downDegrees: 0, plugLayers: 2, dowels: { ...DOWELS, firstMm: 5 } }),
    formContext(EMPTY),
  );
  expect(faults[0]!.mend!.label).toBe(`Set ${(2 * PLY + T + 1.5).toFixed(1)} mm`);
});
