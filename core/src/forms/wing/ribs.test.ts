import fc from 'fast-check';
import { airframeOf, closingFaults, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import { boundsOf, isInside } from '../../geometry/index.ts';
import { brokenInvariant, outlineOf, outOfBounds, piecesOf, type Part } from '../../part/index.ts';
import { withParameters, type FormContext } from '../form/index.ts';
import { makeWing } from './make-wing.ts';
import type { WingParameters } from './parameters.ts';
import { RIB_FIELDS, TUBE_FIELDS, type WingRibs } from './rib-parameters.ts';

const PLY = 3;
const CONTEXT: FormContext = {
  unit: 'mm',
  boardOf: (material) => ({ thicknessMm: material === 'ply' ? PLY : T, gramsPerSquareMetre: 480 }),
  wingOf: () => undefined,
};
const RIBS: WingRibs = { spacingMm: 120, material: 'foam', endMaterial: 'ply', hasWindows: true, tubes: [] };
const TUBE = { panelId: 'p1', atPercent: 50, diameterMm: 6, reachMm: 100 };
const WING: WingParameters = { ...USUAL, sparHeightMm: 20, ribs: RIBS };
const ribsOf = (parts: readonly Part[]): readonly Part[] =>
  parts.filter(({ source }) => source!.role.startsWith('rib-'));
const bounds = (part: Part) => boundsOf(outlineOf(part)!.nodes);

/** A place of a flat part in the airframe, by turns about x, y and z of its own. */
function stood({ place }: Part, { x, y, z }: { x: number; y: number; z: number }): { x: number; y: number; z: number } {
  const { at, rollDegrees, pitchDegrees, yawDegrees } = place!;
  const turn = (u: number, v: number, degrees: number): readonly [number, number] => {
    const angle = (degrees * Math.PI) / 180;
    return [u * Math.cos(angle) - v * Math.sin(angle), u * Math.sin(angle) + v * Math.cos(angle)];
  };
  const [y1, z1] = turn(y, z, rollDegrees),
    [z2, x2] = turn(z1, x, pitchDegrees),
    [x3, y3] = turn(x2, y1, yawDegrees);
  return { x: at.x + x3, y: at.y + y3, z: at.z + z2 };
}

describe('ribs between folded skins', () => {
  it('should be as high as the spar where it stands, and in two pieces round it', () => {
    const made = makeWing(formOf(WING), CONTEXT),
      ribs = ribsOf(made.parts);
    // Panels of 451.7 mm want four bays of at most 120: five ribs, a nose and a tail each, in pairs.
    expect(ribs).toHaveLength(10);
    expect(ribs.every((part) => piecesOf(part) === 2)).toBe(true);
    expect(ribs.map(({ material }) => material)).toEqual(['ply', 'ply', ...Array.from({ length: 8 }, () => 'foam')]);
    const [, , nose, tail] = ribs;
    // Front of the spar at 28 % of 180 = 50.4, two boards wide; the slopes fall away from its edges, so both pieces are as high as it.
    expect(bounds(nose!).maxX).toBeCloseTo(50.4 - 0.25, 2);
    expect(bounds(tail!).minX).toBeCloseTo(50.4 + 2 * T + 0.25, 2);
    for (const piece of [nose!, tail!]) {
      const { minY, maxY } = bounds(piece);
      expect(maxY - minY).toBeGreaterThan(20 - 0.35);
      expect(maxY - minY).toBeLessThan(20);
    }
    expect(closingFaults(airframeOf(made.parts))).toEqual([]);
  });

  it('should end before a control and its strip, leave a servo its place, and let leads through', () => {
    const made = makeWing(
      formOf({
        ...WING,
        controls: [
          { panelId: 'p1', kind: 'aileron', fromMm: 200, toMm: 440, chordMm: 40, throwDegrees: 25, gapMm: 1.5 },
        ],
        servos: [{ panelId: 'p1', outMm: 226, aftMm: 4, lengthMm: 23, widthMm: 12, heightMm: 24, leadMm: 150 }],
      }),
      CONTEXT,
    );
    const tails = ribsOf(made.parts).filter(({ name }) => name.endsWith('tail'));
    // Ribs at 0, 113, 226, 339 and 452: the servo stands where the third would.
    expect(tails).toHaveLength(4);
    expect(tails.map((part) => bounds(part).maxX < 180 - 40 - T)).toEqual([false, false, true, true]);
    const notched = tails.map((part) => outlineOf(part)!.nodes.length > 4);
    expect(notched.slice(0, 2)).toEqual([true, true]);
    expect(notched[3]).toBe(false);
    expect(closingFaults(airframeOf(made.parts))).toEqual([]);
  });

  it('should take a tube straight through the joint of both halves, its dihedral in the holes', () => {
    const made = makeWing(
      formOf({ ...WING, sparKind: 'none', ribs: { ...RIBS, spacingMm: 60, tubes: [{ ...TUBE, atPercent: 40 }] } }),
      CONTEXT,
    );
    expect(made.faults).toEqual([]);
    expect(made.figures!.tubes).toMatchObject([{ name: 'middle', tubeMm: 200, sleeveMm: 100, leanDegrees: 5 }]);
    // In the airframe the tube is level: its holes lie at one height and one place aft, whatever rib they are in.
    const centres = ribsOf(made.parts).flatMap((part) => {
      const hole = part.contours.find(({ id }) => id.startsWith('m-h-tube'));
      if (!hole) return [];
      const [a, b] = hole.nodes,
        thickness = part.material === 'ply' ? PLY : T;
      return [stood(part, { x: (a!.x + b!.x) / 2, y: (a!.y + b!.y) / 2, z: thickness / 2 })];
    });
    expect(centres).toHaveLength(2);
    expect(centres[1]!.x).toBeCloseTo(centres[0]!.x, 3);
    expect(centres[1]!.z).toBeCloseTo(centres[0]!.z, 3);
    expect(centres[0]!.x).toBeCloseTo(0.4 * 180, 3);
    expect(
      ribsOf(made.parts).every((part) => {
        const outline = outlineOf(part)!.nodes;
        return part.contours.slice(1).every(({ nodes }) => nodes.every((node) => isInside(node, outline)));
      }),
    ).toBe(true);
  });

  it('should name a tube that leaves the section or runs into the spar, with numbers that work', () => {
    for (const tube of [
      { ...TUBE, atPercent: 34 },
      { ...TUBE, reachMm: 400 },
      { ...TUBE, diameterMm: 30 },
      { ...TUBE, panelId: 'gone' },
    ]) {
      let parameters: WingParameters = { ...WING, ribs: { ...RIBS, tubes: [tube] } };
      const first = makeWing(formOf(parameters), CONTEXT);
      expect(first.parts).toEqual([]);
      for (let round = 0; round < 6 && makeWing(formOf(parameters), CONTEXT).parts.length === 0; round++)
        parameters = withParameters(parameters, makeWing(formOf(parameters), CONTEXT).faults[0]!.mend!.changes);
      expect(makeWing(formOf(parameters), CONTEXT).parts.length).toBeGreaterThan(5);
    }
  });

  it('should close in any wing, and be sound or told at the bounds of their numbers', () => {
    const any = fc.record({
      section: fc.constantFrom('strip-spar' as const, 'naca' as const),
      tail: fc.constantFrom('lap' as const, 'square' as const, 'strip' as const, 'sanded' as const),
      sparKind: fc.constantFrom('strips' as const, 'doubled' as const, 'none' as const),
      tip: fc.double({ min: 0.55, max: 1, noNaN: true }),
      dihedral: fc.double({ min: -5, max: 9, noNaN: true }),
      sweep: fc.double({ min: -8, max: 12, noNaN: true }),
      spacing: fc.oneof(
        fc.constantFrom(RIB_FIELDS.spacingMm.least, RIB_FIELDS.spacingMm.most, NaN, -1),
        fc.double({ min: 30, max: 300, noNaN: true }),
      ),
      diameter: fc.oneof(
        fc.constantFrom(TUBE_FIELDS.diameterMm.least, TUBE_FIELDS.diameterMm.most, 0),
        fc.double({ min: 2, max: 8, noNaN: true }),
      ),
    });
    fc.assert(
      fc.property(any, ({ section, tail, sparKind, tip, dihedral, sweep, spacing, diameter }) => {
        let parameters: WingParameters = {
          ...WING,
          section: { kind: section, digits: '2415', creases: 9 },
          tail: section === 'naca' && tail !== 'square' ? 'sanded' : tail,
          sparKind,
          rootChordMm: 200,
          panels: [
            panel('p1', { spanMm: 250, tipChordMm: 200 * tip, dihedralDegrees: dihedral, sweepDegrees: sweep }),
            panel('p2', { spanMm: 200, tipChordMm: 190 * tip, dihedralDegrees: dihedral + 6 }),
          ],
          ribs: { ...RIBS, spacingMm: spacing, tubes: [{ ...TUBE, atPercent: 55, diameterMm: diameter, reachMm: 40 }] },
        };
        for (let round = 0; round < 12; round++) {
          const made = makeWing(formOf(parameters), CONTEXT);
          if (made.parts.length === 0) {
            parameters = withParameters(parameters, made.faults.find(({ mend }) => mend)!.mend!.changes);
            continue;
          }
          for (const part of made.parts) {
            expect(brokenInvariant(part)).toBeUndefined();
            expect(outOfBounds(part)).toBeUndefined();
          }
          expect(closingFaults(airframeOf(made.parts)).filter((title) => title.includes(' rib '))).toEqual([]);
          return;
        }
        throw new Error(`no parts after 12 mends: ${JSON.stringify(parameters)}`);
      }),
      { numRuns: 20, endOnFailure: true },
    );
  });
});
