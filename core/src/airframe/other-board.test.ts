import fc from 'fast-check';
import { demo } from '../../test/demos.ts';
import { after, airframeOf, boxSide, foam, plate } from '../../test/samples.ts';
import { formMaterials } from '../forms/index.ts';
import { boundsHeight, boundsOf, boundsWidth } from '../geometry/index.ts';
import { rectangleDraft } from '../paths/index.ts';
import { thicknessOf } from '../stock/index.ts';
import { resolveIn } from './funnel.ts';
import { inOtherBoard } from './other-board.ts';

/** As a boxSide whose mouths follow the board. */
const own = (thicknessMm: number) => {
  const airframe = airframeOf([boxSide()]),
    { airframe: then } = inOtherBoard(airframe, 'foam', { thicknessMm });
  return { then, part: resolveIn(then, then.parts[0]!) };
};

describe('the same outlines in another board', () => {
  it.each([3, 5, 6, 10])('in %d mm: the outline stays, mouths of square folds are twice the board', (thicknessMm) => {
    const { part, then } = own(thicknessMm);
    expect(boundsWidth(part.bounds)).toBeCloseTo(200, 9);
    expect(boundsHeight(part.bounds)).toBeCloseTo(100, 9);
    const grooves = part.strokes.filter(({ kind }) => kind === 'groove');
    expect(grooves).toHaveLength(2);
    // A mitre groove of 90°: two flanks at 45°, so 2 · t · tan 45°.
    for (const groove of grooves) expect(groove.widthMm).toBeCloseTo(2 * thicknessMm, 6);
    expect(part.strokes.find(({ kind }) => kind === 'bevel')!.angleDegrees).toBe(30);
    expect(thicknessOf(part.material, then.boards)).toBe(thicknessMm);
    expect(part.massG).toBeCloseTo(((0.02 - 25 * Math.PI * 1e-6) * 480 * thicknessMm) / 5, 1);
  });
  it('a slot is cut to the plate that is another board then; the other plates are not', () => {
    const slotted = after(plate(200, 100), {
      name: 'drawHole',
      args: { draft: rectangleDraft({ x: 50, y: 20 }, 60, 5), sizing: 'slot' },
    });
    const hole = slotted.contours[1]!;
    const airframe = airframeOf(
      [
        {
          ...slotted,
          contours: [slotted.contours[0]!, { ...hole, plate: { material: 'ply', slantDegrees: 0, fitMm: 0 } }],
        },
      ],
      { boards: [foam, { ...foam, id: 'b2', name: 'Ply', material: 'ply', thicknessMm: 3 }] },
    );
    const height = (of: typeof airframe): number =>
      Math.min(...resolveIn(of, of.parts[0]!).holeRings.map((ring) => boundsHeight(boundsOf(ring))));
    expect(height(airframe)).toBeCloseTo(3, 6);
    expect(height(inOtherBoard(airframe, 'ply', { thicknessMm: 4.5 }).airframe)).toBeCloseTo(4.5, 6);
    expect(height(inOtherBoard(airframe, 'foam', { thicknessMm: 4.5 }).airframe)).toBeCloseTo(3, 6);
  });
  it('leaves nothing of the demos in the board that it was cut from, forms and all', () => {
    for (const name of ['saltbox-36', 'paperbark-mite'] as const) {
      const airframe = demo(name),
        from = airframe.boards[0]!.material,
        { airframe: then, material, after: figures, before } = inOtherBoard(airframe, from, { thicknessMm: 6 });
      expect(then.parts.map(({ id }) => id)).toEqual(expect.arrayContaining(airframe.parts.map(({ id }) => id)));
      expect(then.parts.some((part) => part.material === from)).toBe(false);
      for (const form of then.forms ?? []) expect(formMaterials(form)).not.toContain(from);
      expect(material).not.toBe(from);
      expect(figures.foamG).toBeGreaterThan(before.foamG);
      // What was taken can be taken back, to the drawing that it was.
      const back = inOtherBoard(then, material, { material: from }).airframe;
      expect(back.parts.map((part) => part.contours)).toEqual(airframe.parts.map((part) => part.contours));
    }
  });
  it('is nothing at the thickness that the board has, and names no board twice', () => {
    const airframe = airframeOf([boxSide()]);
    expect(inOtherBoard(airframe, 'foam', { thicknessMm: 5 }).airframe).toBe(airframe);
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (a, b) => {
          const once = inOtherBoard(airframe, 'foam', { thicknessMm: a }),
            twice = inOtherBoard(once.airframe, once.material, { thicknessMm: b });
          expect(Math.abs(twice.thicknessMm - b)).toBeLessThanOrEqual(0.005);
          const ids = twice.airframe.boards.map(({ id }) => id);
          expect(new Set(ids).size).toBe(ids.length);
        },
      ),
      { numRuns: 30 },
    );
  });
  it.each([0, -3, Number.NaN, 101, Number.POSITIVE_INFINITY])('refuses a board of %d mm', (thicknessMm) =>
    expect(() => inOtherBoard(airframeOf([boxSide()]), 'foam', { thicknessMm })).toThrow('a board is from'),
  );
  it('refuses a sheet that is not in stock', () =>
    expect(() => inOtherBoard(airframeOf([boxSide()]), 'foam', { material: 'balsa' })).toThrow('no board of balsa'));
});
