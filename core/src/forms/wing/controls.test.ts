import fc from 'fast-check';
import { airframeOf, closingFaults, CONTEXT, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import { applyRigid, boundsOf, turnAbout } from '../../geometry/index.ts';
import { outlineOf } from '../../part/index.ts';
import { withParameters } from '../form/index.ts';
import { endSweep } from './control-advice.ts';
import { makeWing } from './make-wing.ts';
import type { WingControl, WingParameters } from './parameters.ts';

const control = (more: Partial<WingControl> = {}): WingControl => ({
  panelId: 'p1',
  kind: 'aileron',
  fromMm: 150,
  toMm: 350,
  chordMm: 40,
  throwDegrees: 20,
  gapMm: 1,
  ...more,
});
const wingWith = (controls: readonly WingControl[], more: Partial<WingParameters> = {}): WingParameters => ({
  ...USUAL,
  panels: [panel('p1', { spanMm: 400, dihedralDegrees: 4 })],
  controls,
  ...more,
});
const made = (wing: WingParameters) => makeWing(formOf(wing), CONTEXT);
const sizeOf = (wing: WingParameters, role: string): readonly [number, number] => {
  const part = made(wing).parts.find(({ source }) => source!.role === role)!;
  const { minX, maxX, minY, maxY } = boundsOf(outlineOf(part)!.nodes);
  return [maxX - minX, maxY - minY];
};

describe('controls that taper, run out, or stay on the skin', () => {
  it('should taper a control from its inner chord to its outer, and end it flush with a free tip without a gap', () => {
    const wing = wingWith([control({ toMm: 400, tipChordMm: 20 })]);
    const part = made(wing).parts.find(({ source }) => source!.role === 'aileron-1-1')!;
    const nodes = outlineOf(part)!.nodes;
    // By hand: a gap of 1 inboard, none at the tip; the chord falls by 20 over 250.
    expect(sizeOf(wing, 'aileron-1-1')[0]).toBeCloseTo(249, 3);
    const across = [nodes[1]!.y - nodes[2]!.y, nodes[0]!.y - nodes[3]!.y].map(Math.abs);
    expect(across[0]).toBeCloseTo(20, 3);
    expect(across[1]).toBeCloseTo(40 - 20 / 250, 3);
    expect(closingFaults(airframeOf(made(wing).parts))).toEqual([]);
  });

  it('should name a control that leaves a sliver at the tip, and run it out', () => {
    const wing = wingWith([control({ toMm: 398 })]);
    const [fault] = made(wing).faults;
    expect(fault!.title).toMatch(/sliver/);
    const mended = withParameters(wing, fault!.mend!.changes);
    expect(mended.controls[0]!.toMm).toBe(400);
    expect(made(mended).parts.length).toBeGreaterThan(0);
  });

  it('should leave a control on the lower skin between two slots, grooved where it hinges', () => {
    const { parts } = made(wingWith([control({ hinge: 'skin' })]));
    expect(parts.some(({ source }) => source!.role.startsWith('aileron'))).toBe(false);
    const skin = parts[0]!,
      hinge = skin.operations.find(({ kind }) => kind === 'hinge')!;
    expect(hinge).toMatchObject({ deflectionDegrees: 20, relief: 'left', hingeOn: 'skin' });
    const line = skin.lines.find(({ id }) => id === hinge.on.pathId)!;
    // By hand: 200 less a slot of 1 at both ends.
    expect(Math.abs(line.nodes[1]!.x - line.nodes[0]!.x)).toBeCloseTo(198, 3);
    expect(closingFaults(airframeOf(parts))).toEqual([]);
  });

  it('should name a gap that rubs where the hinge runs askew, by turning the corner about the hinge in space', () => {
    const wing = wingWith([control({ gapMm: 0.2 })], {
      panels: [panel('p1', { spanMm: 400, tipChordMm: 180, sweepDegrees: 20 })],
    });
    const { faults, sites } = made(wing);
    const rubs = faults.find(({ code }) => code === 'CONTROL_RUBS')!;
    // By hand: the tail corner 40 aft of the hinge and a board up, turned by 20° about the hinge, which runs 20° aft.
    const axis = { x: Math.cos((20 * Math.PI) / 180), y: Math.sin((20 * Math.PI) / 180), z: 0 };
    const turned = applyRigid(turnAbout({ x: 0, y: 0, z: 0 }, axis, 20), { x: 0, y: 40, z: T }),
      back = applyRigid(turnAbout({ x: 0, y: 0, z: 0 }, axis, -20), { x: 0, y: 40, z: T });
    const moves = Math.max(Math.abs(turned.x), Math.abs(back.x));
    expect(endSweep(sites[0]!, wing.controls[0]!)).toBeCloseTo(moves, 2);
    const mended = withParameters(wing, rubs.mend!.changes);
    expect(mended.controls[0]!.gapMm).toBeGreaterThanOrEqual(moves);
    expect(made(mended).faults).toEqual([]);
  });
});

describe('controls of both skins', () => {
  const thick = wingWith([control({ chordMm: 70, hasUpperSkin: true })], { sparHeightMm: 20, tail: 'square' });
  it('should clear the wing at full throw up: the upper half begins where a turn by hand lets it', () => {
    const [, plateWide] = sizeOf(thick, 'aileron-1-1'),
      [, topWide] = sizeOf(thick, 'aileron-top-1-1');
    expect(plateWide).toBeCloseTo(70, 3);
    // By hand: slope of the rear plate, its outside's height over the hinge, and that height turned by 20°.
    const rear = slope(),
      high = T + T * Math.cos(rear) + 70 * Math.tan(rear);
    const behind = high * Math.tan((20 * Math.PI) / 180);
    expect(topWide * Math.cos(rear)).toBeLessThan(70 - behind + T);
    expect(topWide * Math.cos(rear)).toBeGreaterThan(70 - behind - T);
  });
  /** Of the rear plate of a square lap: from the crease behind the spar down to two boards at the tail. */
  function slope(): number {
    let rear = 0.1;
    for (let round = 0; round < 99; round++)
      rear = Math.atan2(20 + 2 * T - T - T * Math.cos(rear), 180 - 0.28 * 180 - 2 * T - T * Math.tan(rear / 2));
    return rear;
  }

  it('should cut a strip at the tail where a control is, and give one of its own to a control of both skins', () => {
    const strips = (hasUpperSkin: boolean): readonly (readonly [string, number])[] => {
      const wing = wingWith([control({ chordMm: 50, hasUpperSkin })], { tail: 'strip', sparHeightMm: 20 });
      const { parts } = made(wing);
      expect(closingFaults(airframeOf(parts))).toEqual([]);
      return parts.flatMap(({ source }): readonly (readonly [string, number])[] =>
        source!.role.startsWith('tail-') ? [[source!.role, Math.round(sizeOf(wing, source!.role)[0])]] : [],
      );
    };
    // By hand: 150 inboard less the tilt of the joint over two boards, 50 outboard, and 200 less both gaps.
    const inboard = Math.round(150 - 2 * T * Math.tan((4 * Math.PI) / 180));
    expect(strips(false)).toEqual([
      ['tail-1-1', inboard],
      ['tail-1-1-2', 50],
    ]);
    expect(strips(true)).toContainEqual(['tail-1-1-aileron-1', 198]);
  });

  it('should fill what is thick with prisms, a board higher each, and close with a lap, a drawn section, and square under washout', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('lap' as const, 'square' as const),
        fc.constantFrom(undefined, 'skin' as const),
        fc.boolean(),
        fc.integer({ min: 12, max: 40 }),
        fc.integer({ min: 30, max: 80 }),
        fc.integer({ min: 300, max: 400 }),
        fc.constantFrom(0, 0, 2),
        (tail, hinge, isDrawn, sparHeightMm, deep, ends, washoutDegrees) => {
          // Both skins of a control end where their tail bevels begin: a sanded one wants more depth.
          const chordMm = isDrawn ? Math.max(50, deep) : deep,
            toMm = ends > 390 ? 400 : ends;
          const one = control({ chordMm, toMm, hasUpperSkin: true, ...(hinge ? { hinge } : {}) });
          const { parts } = made(
            wingWith([one], {
              sparHeightMm,
              rootChordMm: 230,
              panels: [
                panel('p1', {
                  spanMm: 400,
                  tipChordMm: 200,
                  dihedralDegrees: 4,
                  washoutDegrees: isDrawn || tail === 'lap' ? 0 : washoutDegrees,
                }),
              ],
              ...(isDrawn ? { tail: 'sanded', section: { kind: 'naca', digits: '2418', creases: 9 } } : { tail }),
            }),
          );
          expect(parts.some(({ source }) => source!.role === 'aileron-top-1-1')).toBe(true);
          expect(closingFaults(airframeOf(parts))).toEqual([]);
        },
      ),
      { numRuns: 8 },
    );
    const high = made(
      wingWith([control({ chordMm: 110, hasUpperSkin: true })], {
        sparHeightMm: 40,
        rootChordMm: 250,
        panels: [panel('p1', { spanMm: 400, tipChordMm: 250 })],
      }),
    );
    expect(high.parts.filter(({ source }) => source!.role.includes('prism')).length).toBeGreaterThan(1);
  });
});
