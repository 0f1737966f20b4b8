import fc from 'fast-check';
import { airframeOf, closingFaults, CONTEXT, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import { boundsOf } from '../../geometry/index.ts';
import { outlineOf } from '../../part/index.ts';
import { makeWing } from './make-wing.ts';
import type { WingParameters } from './parameters.ts';

const partOf = (wing: WingParameters, role: string) =>
  makeWing(formOf(wing), CONTEXT).parts.find(({ source }) => source!.role === role)!;
const wide = (part: ReturnType<typeof partOf>): number => {
  const { minY, maxY } = boundsOf(outlineOf(part)!.nodes);
  return maxY - minY;
};

describe('a skin of two sheets', () => {
  it('should feather the lower sheet under the upper one, as wide as both come out by hand', () => {
    const wing: WingParameters = { ...USUAL, nose: 'parted', tail: 'square' };
    // By hand: the top's face meets the bottom's outside at the nose; at the tail it lies square on the bottom.
    const front = 0.28 * 180,
      depth = 10 + 2 * T;
    let [one, two] = [0.3, 0.1];
    for (let round = 0; round < 99; round++) {
      one = Math.atan2(depth - T * Math.cos(one), front - T * Math.tan(one / 2));
      two = Math.atan2(depth - T - T * Math.cos(two), 180 - front - 2 * T - T * Math.tan(two / 2));
    }
    const frontCrease = front - T * Math.tan(one / 2),
      rearCrease = front + 2 * T + T * Math.tan(two / 2);
    const upper = frontCrease / Math.cos(one) + (rearCrease - frontCrease) + (180 - rearCrease) / Math.cos(two);
    expect(wide(partOf(wing, 'skin-1'))).toBeCloseTo(180 - T * Math.sin(two) - T * Math.sin(one), 3);
    expect(wide(partOf(wing, 'cover-1'))).toBeCloseTo(upper, 3);
    const nose = partOf(wing, 'skin-1').operations.find(({ label }) => label === 'nose');
    expect(nose).toMatchObject({ kind: 'bevel', face: 'face' });
    expect(nose!.kind === 'bevel' && nose!.bevelDegrees).toBeCloseTo(90 - (one * 180) / Math.PI, 3);
  });

  it('should mitre both sheets of a drawn section by half of the turn at its nose', () => {
    const folded: WingParameters = {
      ...USUAL,
      tail: 'sanded',
      rootChordMm: 220,
      section: { kind: 'naca', digits: '2415', creases: 9 },
      panels: [panel('p1', { tipChordMm: 220, dihedralDegrees: 4 })],
    };
    const turn = partOf(folded, 'skin-1').operations.find(({ label }) => label === 'nose')!;
    for (const role of ['skin-1', 'cover-1']) {
      const bevel = partOf({ ...folded, nose: 'parted' }, role).operations.find(({ label }) => label === 'nose')!;
      expect('bevelDegrees' in bevel && 2 * bevel.bevelDegrees).toBeCloseTo(
        ('foldDegrees' in turn && turn.foldDegrees) || 0,
        3,
      );
    }
    expect(closingFaults(airframeOf(makeWing(formOf({ ...folded, nose: 'parted' }), CONTEXT).parts))).toEqual([]);
  });

  it('should put openings, leads and controls where they go, and close over a strip at the tail too', () => {
    const made = makeWing(
      formOf({
        ...USUAL,
        nose: 'parted',
        servos: [{ panelId: 'p1', outMm: 200, aftMm: 2, lengthMm: 20, widthMm: 9, heightMm: 9, leadMm: 150 }],
        controls: [{ panelId: 'p1', kind: 'aileron', fromMm: 220, toMm: 400, chordMm: 40, throwDegrees: 20, gapMm: 1 }],
      }),
      CONTEXT,
    );
    const holes = (role: string): number =>
      made.parts.find(({ source }) => source!.role === role)!.contours.filter(({ role: kind }) => kind === 'hole')
        .length;
    expect([holes('skin-1'), holes('cover-1')]).toEqual([1, 1]);
    expect(closingFaults(airframeOf(made.parts))).toEqual([]);
    expect(
      closingFaults(airframeOf(makeWing(formOf({ ...USUAL, nose: 'parted', tail: 'strip' }), CONTEXT).parts)),
    ).toEqual([]);
  });
});

describe('a bent nose', () => {
  it('should be as long on the flat as its arc by hand, and close with ribs, taper and sweep', () => {
    const wing: WingParameters = { ...USUAL, nose: 'bent', noseRadiusMm: 8, tail: 'square' };
    // By hand: the front plate is tangent to the arc; its slope follows from the crease, the arc turns by what is left of 180°.
    const front = 0.28 * 180,
      depth = 10 + 2 * T;
    let [one, two] = [0.2, 0.1];
    for (let round = 0; round < 99; round++) {
      const from = { x: 8 * (1 - Math.sin(one)), y: 8 * (1 + Math.cos(one)) };
      one = Math.atan2(depth - from.y, front - T * Math.tan(one / 2) - from.x);
      two = Math.atan2(depth - T - T * Math.cos(two), 180 - front - 2 * T - T * Math.tan(two / 2));
    }
    const from = { x: 8 * (1 - Math.sin(one)), y: 8 * (1 + Math.cos(one)) },
      frontCrease = front - T * Math.tan(one / 2),
      rearCrease = front + 2 * T + T * Math.tan(two / 2);
    const flat =
      180 -
      T * Math.sin(two) -
      8 +
      8 * (Math.PI - one) +
      Math.hypot(frontCrease - from.x, depth - from.y) +
      (rearCrease - frontCrease) +
      (180 - rearCrease) / Math.cos(two);
    // Drawn as strips it is shorter by less than a twentieth.
    expect(wide(partOf(wing, 'skin-1'))).toBeLessThan(flat + 1e-3);
    expect(wide(partOf(wing, 'skin-1'))).toBeGreaterThan(flat - 0.05);
    const ribs = { spacingMm: 100, material: 'foam', endMaterial: 'foam', hasWindows: true, tubes: [] };
    for (const more of [{}, { tipChordMm: 130 }, { tipChordMm: 140, sweepDegrees: 15 }]) {
      const one = panel('p1', { spanMm: 400, dihedralDegrees: 4, ...more });
      const { parts } = makeWing(formOf({ ...wing, ribs, panels: [one] }), CONTEXT);
      expect(closingFaults(airframeOf(parts))).toEqual([]);
    }
  });
});

describe('the joint in the middle', () => {
  it('should close for any sweep, taper and dihedral, and washout where it is not swept, with every nose and both schools of ends', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('trench' as const, 'parted' as const, 'bevels' as const, 'bent' as const),
        fc.constantFrom('square' as const, 'bevelled' as const),
        fc.integer({ min: 0, max: 15 }),
        fc.integer({ min: -20, max: 30 }),
        fc.integer({ min: 120, max: 200 }),
        fc.constantFrom(0, 2),
        (nose, ends, dihedralDegrees, sweep, tipChordMm, washoutDegrees) => {
          const sweepDegrees = washoutDegrees > 0 ? 0 : sweep;
          const one = panel('p1', { spanMm: 400, tipChordMm, sweepDegrees, dihedralDegrees, washoutDegrees });
          const made = makeWing(formOf({ ...USUAL, nose, ends, panels: [one] }), CONTEXT);
          expect(made.parts.length).toBeGreaterThan(0);
          expect(closingFaults(airframeOf(made.parts))).toEqual([]);
        },
      ),
      { numRuns: 15 },
    );
  });
});
