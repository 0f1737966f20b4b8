import fc from 'fast-check';
import { faultsIn, piecesOfAirframe, resolveIn } from '../airframe/index.ts';
import { slotWidth } from '../allowance/index.ts';
import { applyCommand } from '../editing/index.ts';
import { boundsHeight, boundsOf, boundsWidth, type Point } from '../geometry/index.ts';
import { holesOf, type Part } from '../part/index.ts';
import { polygonDraft, rectangleDraft } from '../paths/index.ts';
import { fitSlots } from './plate-slots.ts';
import { after, airframeOf, foam, plate, withRound } from '../../test/samples.ts';

const ply = { ...foam, id: 'b2', material: 'ply', thicknessMm: 3 };
/** A side of 200 × 100 with a slot of 60 × 4, drawn by hand, for a plate. */
const side = (material = 'foam', slantDegrees = 0, fitMm = 0.2): Part => {
  const drawn = after(plate(200, 100), { name: 'drawHole', args: { draft: rectangleDraft({ x: 50, y: 40 }, 60, 4) } });
  return after(drawn, {
    name: 'changeSlot',
    args: { pathId: holesOf(drawn)[0]!.id, plate: { material, slantDegrees, fitMm } },
  });
};
const widthIn = (part: Part, thicknessMm: number): number => {
  const airframe = airframeOf([part], { boards: [{ ...foam, thicknessMm }, ply] });
  return boundsHeight(boundsOf(resolveIn(airframe, part).holeRings[0]!));
};

test('slot widths by hand: upright, leaning by 30°, and with a press fit', () => {
  expect(slotWidth(5, 0, 5, 0.2)).toBeCloseTo(5.2, 9);
  expect(slotWidth(5, 30, 4, 0)).toBeCloseTo(5 / (Math.sqrt(3) / 2) + 4 / Math.sqrt(3), 9);
  expect(slotWidth(5, -30, 4, -0.3)).toBeCloseTo(slotWidth(5, 30, 4, -0.3), 12);
  expect(() => slotWidth(5, 75, 5, 0)).toThrow('got 75');
});
test('a plate leaning in its slot touches neither rim: its corners at both faces lie within the width', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 12, noNaN: true }),
      fc.double({ min: 0, max: 60, noNaN: true }),
      fc.double({ min: 1, max: 12, noNaN: true }),
      (p, slant, t) => {
        const a = (slant * Math.PI) / 180,
          half = slotWidth(p, slant, t, 0) / 2;
        // The plate's two sides as lines through the board, its middle at half depth in the slot's middle.
        for (const z of [-t / 2, t / 2])
          for (const sideOfPlate of [-1, 1])
            expect(Math.abs(z * Math.tan(a) + (sideOfPlate * p) / 2 / Math.cos(a))).toBeLessThanOrEqual(half + 1e-9);
      },
    ),
  );
});
test('the board measured 6.2 instead of 5.0: the slot follows, its place and length do not', () => {
  expect(widthIn(side(), 5)).toBeCloseTo(5.2, 6);
  expect(widthIn(side(), 6.2)).toBeCloseTo(6.4, 6);
  const airframe = airframeOf([side()], { boards: [{ ...foam, thicknessMm: 6.2 }] });
  const box = boundsOf(resolveIn(airframe, airframe.parts[0]!).holeRings[0]!);
  expect(boundsWidth(box)).toBeCloseTo(60, 6);
  expect([(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]).toEqual([
    expect.closeTo(80, 6),
    expect.closeTo(42, 6),
  ]);
});
test('a slot follows its plate, not its own board; a lean takes the board in', () => {
  expect(widthIn(side('ply'), 5)).toBeCloseTo(3.2, 6);
  expect(widthIn(side('ply'), 8)).toBeCloseTo(3.2, 6);
  expect(widthIn(side('ply', 20), 8)).toBeCloseTo(3 / Math.cos(Math.PI / 9) + 8 * Math.tan(Math.PI / 9) + 0.2, 6);
});
test('scaled, it grows along and stays as wide as the plate', () => {
  const airframe = airframeOf([side()]);
  const scaled = { ...airframe, settings: { ...airframe.settings, scale: 1.5 } };
  const box = boundsOf(piecesOfAirframe(scaled)[0]!.part.holeRings[0]!);
  expect([boundsWidth(box), boundsHeight(box)]).toEqual([expect.closeTo(90, 6), expect.closeTo(5.2, 6)]);
});
test('a slot at any turn is fitted across its run; fitting twice changes nothing; ids stay', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 360, noNaN: true }),
      fc.double({ min: 2, max: 9, noNaN: true }),
      (angleDegrees, thicknessMm) => {
        const drawn = side();
        const turned = after(drawn, {
          name: 'arrangePaths',
          args: {
            pathIds: [holesOf(drawn)[0]!.id],
            motion: { kind: 'turn', about: { x: 80, y: 42 }, angleDegrees },
            copies: 0,
          },
        });
        const context = { thicknessMm, plateThicknesses: { foam: thicknessMm } };
        const fitted = fitSlots(turned, context);
        const [a, b, c] = holesOf(fitted)[0]!.nodes as unknown as [Point, Point, Point];
        expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeCloseTo(60, 6);
        expect(Math.hypot(c.x - b.x, c.y - b.y)).toBeCloseTo(thicknessMm + 0.2, 6);
        expect(holesOf(fitSlots(fitted, context))[0]!.nodes.map(({ x, y }) => [x, y])).toEqual(
          holesOf(fitted)[0]!.nodes.map(({ x, y }) => [expect.closeTo(x, 9), expect.closeTo(y, 9)]),
        );
        expect(holesOf(fitted)[0]!.nodes.map(({ id }) => id)).toEqual(holesOf(turned)[0]!.nodes.map(({ id }) => id));
      },
    ),
  );
});
test('copies follow too; a plate that is not in stock is named; a round hole can hold none', () => {
  const drawn = side();
  const two = after(drawn, {
    name: 'arrangePaths',
    args: { pathIds: [holesOf(drawn)[0]!.id], motion: { kind: 'move', by: { x: 0, y: 25 } }, copies: 1 },
  });
  expect(resolveIn(airframeOf([two]), two).holeRings.map((ring) => boundsHeight(boundsOf(ring)))).toEqual([
    expect.closeTo(5.2, 6),
    expect.closeTo(5.2, 6),
  ]);
  const odd = side('balsa');
  expect(faultsIn(airframeOf([odd]), odd)[0]).toMatchObject({
    code: 'PLATE_MISSING',
    mend: { action: { name: 'addBoard', material: 'balsa' } },
  });
  const round = withRound(plate(100, 100), 50, 50, 10);
  const refused = (part: Part, pathId: string, changes: object = {}): string => {
    const result = applyCommand(part, {
      name: 'changeSlot',
      args: { pathId, plate: { material: 'foam', slantDegrees: 0, fitMm: 0.2, ...changes } },
    });
    return result.ok ? 'done' : result.message;
  };
  expect(refused(round, holesOf(round)[0]!.id)).toContain('draw a rectangle');
  expect(refused(round, round.contours[0]!.id)).toContain('Only a hole');
  const triangle = after(plate(100, 100), {
    name: 'drawHole',
    args: {
      draft: polygonDraft([
        { x: 20, y: 20 },
        { x: 60, y: 20 },
        { x: 60, y: 40 },
        { x: 20, y: 40 },
      ]),
    },
  });
  expect(refused(triangle, holesOf(triangle)[0]!.id, { slantDegrees: Number.NaN })).toContain('NaN');
  expect(refused(triangle, holesOf(triangle)[0]!.id, { fitMm: 1e12 })).toContain('1000000000000');
  const plain = applyCommand(side(), { name: 'changeSlot', args: { pathId: holesOf(side())[0]!.id, plate: null } });
  expect(plain.ok && 'plate' in holesOf(plain.part)[0]!).toBe(false);
});
