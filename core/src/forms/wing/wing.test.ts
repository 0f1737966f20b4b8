import fc from 'fast-check';
import { standingPart, type Airframe } from '../../airframe/index.ts';
import { assemble, foldedBy, type StandingPart } from '../../folds/index.ts';
import { brokenInvariant, outOfBounds, type Part } from '../../part/index.ts';
import { applyRigid, type Point3 } from '../../geometry/index.ts';
import { airframeOf, closingFaults, CONTEXT, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import { withParameters } from '../form/index.ts';
import type { FormField } from '../form/index.ts';
import { makeWing } from './make-wing.ts';
import {
  CONTROL_FIELDS,
  PANEL_FIELDS,
  SECTION_FIELDS,
  SERVO_FIELDS,
  WING_FIELDS,
  type WingParameters,
} from './parameters.ts';

/** All outer corners of a skin as it stands folded, by the id of the drawn corner, in the airframe. */
function stoodCorners(airframe: Airframe, part: Part): ReadonlyMap<string, Point3> {
  const standing = standingPart(airframe, part)!;
  const { pieces } = assemble([standing] as readonly StandingPart[], foldedBy(1));
  const { body, maps } = pieces[0]!;
  return new Map(
    part.contours[0]!.nodes.flatMap((node): readonly (readonly [string, Point3])[] => {
      const plate = body.tree.plates.find(
        ({ kind, outer }) => kind === 'board' && outer.some((p) => Math.hypot(p.x - node.x, p.y - node.y) < 0.15),
      );
      return plate ? [[node.id, applyRigid(maps[plate.index]!, { x: node.x, y: node.y, z: 0 })]] : [];
    }),
  );
}

describe('a wing from six numbers', () => {
  const made = makeWing(formOf(USUAL), CONTEXT);
  const skin = made.parts.find(({ source }) => source?.role === 'skin-1')!;
  const at = stoodCorners(airframeOf(made.parts), skin);

  it('should be as deep over the spar as the spar and two boards, its bottom on the table at the middle', () => {
    // Port half: y is negative outboard, the panel rises 5°. Heights are measured square to the panel.
    const rad = (5 * Math.PI) / 180;
    const above = (p: Point3): number => p.z * Math.cos(rad) + p.y * Math.sin(rad);
    expect(above(at.get('m-n-tip-cap')!)).toBeCloseTo(10 + 2 * T, 2);
    expect(above(at.get('m-n-tip-rear')!)).toBeCloseTo(10 + 2 * T, 2);
    expect(above(at.get('m-n-tip-bottom')!)).toBeCloseTo(0, 2);
  });
  it('should span what was asked and be as long as its chord, tail of the top skin to nose', () => {
    expect(made.figures!.spanMm).toBeCloseTo(900, 6);
    expect(at.get('m-n-tail-top')!.x).toBeCloseTo(180, 2);
    expect(-at.get('m-n-tip-bottom')!.y).toBeCloseTo(450, 1);
  });
  it('should end in the middle plane with the face that touches first, which leaves the other skin short', () => {
    // The root is cut square: the top's outer corner and the bottom's inner one lie in the plane, nothing crosses it.
    expect(at.get('m-n-root-cap')!.y).toBeCloseTo(0, 1);
    expect(at.get('m-n-root-bottom')!.y).toBeCloseTo(
      -T * Math.tan((5 * Math.PI) / 180) * Math.cos((5 * Math.PI) / 180),
      1,
    );
    for (const [id, p] of at) if (id.includes('root') && !id.includes('nose')) expect(p.y).toBeLessThan(0.05);
  });
  it('should lift its tip by the length of the panel times the sine of its dihedral', () => {
    const block = made.parts.find(({ source }) => source?.role === 'block-1')!;
    const height = Math.max(...block.contours[0]!.nodes.map(({ y }) => y));
    expect(height).toBeCloseTo((450 / Math.cos((5 * Math.PI) / 180)) * Math.sin((5 * Math.PI) / 180), 4);
  });
  it('should weigh what its outlines weigh', () => {
    // Two halves of about 372 mm of skin over 452 mm, and four strips of 10 by 452 mm.
    const byHand = ((2 * 452 * 372 + 4 * 452 * 10) * 480) / 1e6;
    expect(made.figures!.massG).toBeGreaterThan(byHand * 0.97);
    expect(made.figures!.massG).toBeLessThan(byHand * 1.03);
  });
});

describe('joints of a wing', () => {
  const anyWing = fc
    .record({
      rootChordMm: fc.double({ min: 180, max: 320, noNaN: true }),
      sparHeightMm: fc.double({ min: 6, max: 12, noNaN: true }),
      tail: fc.constantFrom('lap' as const, 'square' as const, 'sanded' as const),
      ends: fc.constantFrom('square' as const, 'bevelled' as const),
      middle: fc.constantFrom('joint' as const, 'panel' as const),
      inner: fc.integer({ min: -20, max: 15 }),
      turn: fc.integer({ min: -15, max: 22 }),
      taper: fc.oneof(fc.constant(1), fc.double({ min: 0.9, max: 1, noNaN: true })),
      sweep: fc.oneof(fc.constant(0), fc.integer({ min: -3, max: 8 })),
    })
    .map(({ rootChordMm, sparHeightMm, tail, ends, middle, inner, turn, taper, sweep }): WingParameters => ({
      ...USUAL,
      rootChordMm,
      sparHeightMm,
      tail,
      // Bevelled ends of swept or tapered panels lean a little against each other.
      ends: taper > 0.99 && sweep === 0 ? ends : 'square',
      middle,
      panels: [
        panel('p1', { tipChordMm: rootChordMm, dihedralDegrees: middle === 'panel' ? 0 : inner }),
        panel('p2', { tipChordMm: rootChordMm * taper, dihedralDegrees: inner, sweepDegrees: sweep }),
        panel('p3', { tipChordMm: rootChordMm * taper * taper, dihedralDegrees: inner + turn, sweepDegrees: sweep }),
      ],
    }));

  it('should close with nothing pressed or open, for any chords, turns, sweep and way of cutting', () => {
    fc.assert(
      fc.property(anyWing, (parameters) => {
        const made = makeWing(formOf(parameters), CONTEXT);
        if (made.parts.length === 0) return expect(made.faults.length).toBeGreaterThan(0);
        expect(closingFaults(airframeOf(made.parts))).toEqual([]);
      }),
      { numRuns: 12, endOnFailure: true },
    );
  });

  it('should end each plate where the bisecting plane leaves it, by the height of the face that touches first', () => {
    const anyTurn = fc.record({
      turn: fc.integer({ min: -40, max: 50 }),
      heightMm: fc.double({ min: 6, max: 18, noNaN: true }),
    });
    fc.assert(
      fc.property(anyTurn, ({ turn, heightMm }) => {
        const made = makeWing(
          formOf({
            ...USUAL,
            sparHeightMm: heightMm,
            panels: [panel('p1', {}), panel('p2', { dihedralDegrees: turn })],
          }),
          CONTEXT,
        );
        const [inner, outer] = ['skin-1', 'skin-2'].map((role) =>
          made.parts.find(({ source }) => source?.role === role)!,
        );
        const x = (part: Part, id: string): number => part.contours[0]!.nodes.find((node) => node.id === id)!.x;
        // By hand: z·tan(Δ/2) with z the outer face where the joint closes at that side first, else the inner face.
        const tan = Math.tan((turn * Math.PI) / 360),
          cap = turn > 0 ? heightMm + 2 * T : heightMm + T,
          bottom = turn > 0 ? T : 0;
        expect(Math.abs(x(inner!, 'm-n-tip-cap') - (200 - cap * tan))).toBeLessThan(0.06);
        expect(Math.abs(x(outer!, 'm-n-root-cap') - cap * tan)).toBeLessThan(0.06);
        expect(Math.abs(x(inner!, 'm-n-tip-bottom') - (200 - bottom * tan))).toBeLessThan(0.06);
        expect(Math.abs(x(outer!, 'm-n-root-bottom') - bottom * tan)).toBeLessThan(0.06);
      }),
      { numRuns: 30 },
    );
  });
});

describe('controls of a wing', () => {
  const anyControl = fc.record({
    tail: fc.constantFrom('lap' as const, 'square' as const),
    taper: fc.constantFrom(1, 0.85),
    sweep: fc.constantFrom(0, 6),
    from: fc.integer({ min: 12, max: 150 }),
    long: fc.integer({ min: 40, max: 240 }),
    chordMm: fc.integer({ min: 25, max: 55 }),
  });
  it('should take from both skins what they are, and close again with nothing pressed or open', () => {
    fc.assert(
      fc.property(anyControl, ({ tail, taper, sweep, from, long, chordMm }) => {
        const whole = {
          ...USUAL,
          rootChordMm: 200,
          tail,
          panels: [panel('p1', { spanMm: 420, tipChordMm: 200 * taper, sweepDegrees: sweep, dihedralDegrees: 3 })],
        };
        const made = makeWing(
          formOf({
            ...whole,
            controls: [
              {
                panelId: 'p1',
                kind: 'aileron',
                fromMm: from,
                toMm: from + long,
                chordMm,
                throwDegrees: 25,
                gapMm: 1.5,
              },
            ],
          }),
          CONTEXT,
        );
        expect(made.faults).toEqual([]);
        const aileron = made.parts.find(({ source }) => source?.role === 'aileron-1-1')!,
          [a, b, c, d] = aileron.contours[0]!.nodes;
        // As deep as asked and as long, less its gaps, square to the panel's axis.
        expect(b!.x - a!.x).toBeCloseTo(long - 3, 1);
        expect(d!.y - a!.y).toBeCloseTo(chordMm, 1);
        expect(c!.y - b!.y).toBeCloseTo(chordMm, 1);
        expect(closingFaults(airframeOf(made.parts))).toEqual([]);
      }),
      { numRuns: 12, endOnFailure: true },
    );
  });
});

describe('numbers of a wing at their bounds and beyond', () => {
  const FIELDS: readonly (readonly [string, FormField])[] = [
    ...Object.entries(WING_FIELDS),
    ...Object.entries(SECTION_FIELDS).map(([key, field]) => [`section.${key}`, field] as const),
    ...[0, 1].flatMap((index) =>
      Object.entries(PANEL_FIELDS).map(([key, field]) => [`panels.${index}.${key}`, field] as const),
    ),
    ...Object.entries(CONTROL_FIELDS).map(([key, field]) => [`controls.0.${key}`, field] as const),
    ...Object.entries(SERVO_FIELDS).map(([key, field]) => [`servos.0.${key}`, field] as const),
  ];
  const start: WingParameters = {
    ...USUAL,
    panels: [panel('p1', {}), panel('p2', { tipChordMm: 150, dihedralDegrees: 8 })],
    controls: [{ panelId: 'p2', kind: 'aileron', fromMm: 20, toMm: 180, chordMm: 35, throwDegrees: 25, gapMm: 1.5 }],
    servos: [{ panelId: 'p2', outMm: 90, aftMm: 4, lengthMm: 23, widthMm: 12, heightMm: 24, leadMm: 150 }],
  };
  const anyChange = fc.constantFrom(...FIELDS).chain(([path, { least, most }]) =>
    fc.record({
      path: fc.constant(path),
      value: fc.oneof(
        fc.constantFrom(least, most, least - 1, most + 1, 0, -1, NaN, Infinity, -Infinity, 1e9, 0.5),
        fc.double({ min: least, max: most, noNaN: true }),
      ),
    }),
  );
  const anyStart = fc.record({
    kind: fc.constantFrom('strip-spar' as const, 'naca' as const),
    digits: fc.constantFrom('2412', '0012', '23012', '4415', '0004', '99', '6099'),
    skin: fc.constantFrom('creased' as const, 'bent' as const),
    nose: fc.constantFrom('trench' as const, 'bevels' as const),
    tail: fc.constantFrom('lap' as const, 'square' as const, 'sanded' as const, 'strip' as const),
    sparKind: fc.constantFrom('strips' as const, 'doubled' as const, 'none' as const),
    sparEnds: fc.constantFrom('through' as const, 'short' as const),
    middle: fc.constantFrom('joint' as const, 'panel' as const),
    ends: fc.constantFrom('square' as const, 'bevelled' as const),
  });

  it('should make sound parts, or name faults whose mends lead to sound parts', () => {
    fc.assert(
      fc.property(anyStart, fc.array(anyChange, { maxLength: 4 }), ({ kind, digits, ...styles }, changes) => {
        let parameters = withParameters<WingParameters>(
          { ...start, ...styles, section: { kind, digits, creases: 9 } },
          changes,
        );
        for (let round = 0; round < 40; round++) {
          const made = makeWing(formOf(parameters), CONTEXT);
          for (const part of made.parts) {
            expect(brokenInvariant(part)).toBeUndefined();
            expect(outOfBounds(part)).toBeUndefined();
          }
          for (const { title, detail } of made.faults)
            expect(`${title} ${detail}`).not.toMatch(/NaN|undefined|Infinity/);
          if (made.parts.length > 0) return;
          const mend = made.faults.find((fault) => fault.mend)?.mend;
          expect(made.faults.length).toBeGreaterThan(0);
          expect(mend).toBeDefined();
          const next = withParameters(parameters, mend!.changes);
          expect(next).not.toEqual(parameters);
          parameters = next;
        }
        throw new Error(`no parts after 40 mends: ${JSON.stringify(parameters)}`);
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });
});
