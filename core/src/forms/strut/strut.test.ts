import * as fc from 'fast-check';
import { bodyContext } from '../../../test/bodies.ts';
import { drawnPlate } from '../../../test/drawn-plates.ts';
import { airframeOf, closingFaults, formOf, T, USUAL } from '../../../test/wings.ts';
import { formContext, withForm, withFormsKept, type Airframe } from '../../airframe/index.ts';
import { point3 } from '../../geometry/index.ts';
import { outlineOf } from '../../part/index.ts';
import { makeForm, scaleForm } from '../kinds.ts';
import { cornersOf, isMiss } from '../standing/index.ts';
import { tailFromNumbers, usualTail, type TailForm } from '../tail/index.ts';
import type { WingForm } from '../wing/index.ts';
import { foundStruts } from './found-struts.ts';
import type { LaidStrut } from './lay-strut.ts';
import type { MadeStruts } from './make-struts.ts';
import { strutWith, type Strut, type StrutForm } from './parameters.ts';

const setOf = (struts: readonly Strut[]): StrutForm => ({
  id: 's',
  kind: 'strut',
  name: 'Struts',
  parameters: { material: 'foam', struts },
  place: { at: point3(0, 0, 0), incidenceDegrees: 0 },
});
const made = (airframe: Airframe, strut: Strut): MadeStruts => makeForm(setOf([strut]), formContext(airframe));
const laid = (airframe: Airframe, strut: Strut): LaidStrut => {
  const one = made(airframe, strut).site!.laid[0]!;
  if (isMiss(one)) throw new Error(one.title);
  return one;
};
const between = (more: Partial<Strut> = {}): Strut =>
  strutWith({
    id: 'a',
    kind: 'strut',
    name: 'strut',
    lowerId: 'one',
    upperId: 'two',
    lowerOutMm: 80,
    upperOutMm: 80,
    ...more,
  });
/** Two level plates: the top of the lower at 5, the underside of the upper at 105; the upper is said to be a pair of one. */
const LOWER = drawnPlate('one', 100, 400, { at: point3(0, -200, 0) });
const UPPER = drawnPlate('two', 100, 400, { at: point3(0, -200, 105) });
describe('a strut', () => {
  it('is as long as the gap between both faces, upright and leaning', () => {
    const airframe = airframeOf([LOWER, UPPER]);
    expect(laid(airframe, between()).lengthMm).toBeCloseTo(100, 6);
    const leaning = laid(airframe, between({ upperOutMm: 130 }));
    expect(leaning.lengthMm).toBeCloseTo(Math.hypot(100, 50), 6);
    // It leans by atan(50 / 100): both ends are bevelled by that.
    expect([leaning.lowerBevel, leaning.upperBevel].map((bevel) => bevel.toFixed(2))).toEqual(['26.57', '26.57']);
  });

  it('takes the share of the section that it is given, and so its edges lean along the airframe', () => {
    const airframe = airframeOf([LOWER, UPPER]);
    const { foreMm, aftMm } = laid(
      airframe,
      between({ lowerFromPercent: 10, lowerToPercent: 30, upperFromPercent: 40, upperToPercent: 90 }),
    );
    expect(foreMm).toBeCloseTo(Math.hypot(100, 30), 6);
    expect(aftMm).toBeCloseTo(Math.hypot(100, 60), 6);
  });

  it('is cut to what it stands between at any tilt and lean: nothing is in anything, and both ends touch', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -12, max: 12, noNaN: true }),
        fc.double({ min: -12, max: 12, noNaN: true }),
        fc.double({ min: 20, max: 150, noNaN: true }),
        fc.double({ min: 20, max: 150, noNaN: true }),
        fc.integer({ min: 1, max: 3 }),
        (roll, pitch, lowerOutMm, upperOutMm, boards) => {
          const upper = drawnPlate('two', 100, 400, {
            at: point3(0, -200, 150),
            rollDegrees: roll,
            pitchDegrees: pitch,
          });
          const airframe = airframeOf([LOWER, upper]);
          const { parts, faults } = made(airframe, between({ lowerOutMm, upperOutMm, boards }));
          expect(faults).toEqual([]);
          expect(closingFaults({ ...airframe, parts: [LOWER, upper, ...parts] })).toEqual([]);
          // The foot of every board, bevelled as it stands, lies on the lower plate.
          const standing = formContext({ ...airframe, parts: [LOWER, upper, ...parts] }).standing!();
          for (const { id } of parts) {
            const lowest = Math.min(
              ...cornersOf(standing.pieces.filter(({ partId }) => partId === id)).map(({ z }) => z),
            );
            expect(Math.abs(lowest - T - 0.03)).toBeLessThan(0.05);
          }
        },
      ),
      { numRuns: 25 },
    );
  });

  it('goes through an outer sheet down to the plate under it, and tells the opening that it needs', () => {
    const group = { group: 'wing' };
    const airframe = airframeOf([
      { ...LOWER, ...group },
      drawnPlate('sheet', 100, 400, { at: point3(0, -200, 30) }, group),
      UPPER,
    ]);
    const on = laid(airframe, between()),
      through = laid(airframe, between({ lowerOn: 'inner plate', upperOutMm: 80 }));
    // From the top of the sheet at 35, or from the plate under it at 5.
    expect([on.lengthMm, through.lengthMm].map((mm) => mm.toFixed(3))).toEqual(['70.000', '100.000']);
    expect(on.reliefs).toEqual([]);
    expect(through.reliefs).toHaveLength(1);
    expect(through.reliefs[0]).toMatchObject({
      end: 'below',
      deepMm: expect.closeTo(T, 6),
      wideMm: expect.closeTo(T, 3),
    });
    expect(through.reliefs[0]!.longMm).toBeCloseTo(40 + 0.06, 6);
    expect(through.reliefs[0]!.behindNoseMm).toBeCloseTo(20, 6);
  });

  it('is one in the middle, else a pair', () => {
    const airframe = airframeOf([LOWER, UPPER]);
    expect(made(airframe, between()).parts.map(({ handed }) => handed)).toEqual(['pair']);
    expect(made(airframe, between({ lowerOutMm: 0, upperOutMm: 0 })).parts.map(({ handed }) => handed)).toEqual([
      'single',
    ]);
  });

  it.each<readonly [string, Partial<Strut>]>([
    ['PART_GONE', { lowerId: 'gone' }],
    ['NOTHING_THERE', { upperOutMm: 700 }],
    ['NOT_ABOVE', { lowerId: 'two', upperId: 'one' }],
    ['END_SHORT', { upperFromPercent: 50, upperToPercent: 51 }],
    ['NO_INNER_PLATE', { lowerOn: 'inner plate' }],
  ])('that cannot stand is told: %s', (code, more) => {
    const { faults, parts } = made(airframeOf([LOWER, UPPER]), between(more));
    expect(parts).toEqual([]);
    expect(faults[0]).toMatchObject({ code, isBlocking: false });
  });
});

describe('a gusset', () => {
  it('fills the corner of a fin and its stabiliser, its long side by the law of cosines', () => {
    const leaning = drawnPlate('two', 100, 120, { at: point3(0, 0, T), rollDegrees: 70 });
    const airframe = airframeOf([LOWER, leaning]);
    const gusset = strutWith({
      id: 'g',
      kind: 'gusset',
      name: 'gusset',
      lowerId: 'one',
      upperId: 'two',
      firstMm: 30,
      secondMm: 24,
    });
    const one = laid(airframe, gusset);
    const angle = (one.lowerDegrees * Math.PI) / 180;
    expect([70, 110].some((degrees) => Math.abs(one.lowerDegrees - degrees) < 1e-6)).toBe(true);
    expect(one.lengthMm).toBeCloseTo(Math.sqrt(30 ** 2 + 24 ** 2 - 2 * 30 * 24 * Math.cos(angle)), 3);
    expect(closingFaults({ ...airframe, parts: [LOWER, leaning, ...made(airframe, gusset).parts] })).toEqual([]);
  });
});

describe('a set', () => {
  const wing = (id: string, name: string, z: number): WingForm => ({
    ...formOf(USUAL),
    id,
    name,
    place: { at: point3(0, 0, z), incidenceDegrees: 0 },
  });
  const tail: TailForm = {
    id: 't1',
    kind: 'tail',
    name: 'Tail',
    parameters: tailFromNumbers({ ...usualTail('mm'), material: 'foam' }),
    place: { at: point3(560, 0, 20), incidenceDegrees: 0 },
  };
  const biplane = [wing('w1', 'Lower', 0), wing('w2', 'Upper', 140), tail].reduce<Airframe>(
    (held, form) => withForm(held, form),
    airframeOf([]),
  );

  it('is found between wings that lie over each other, and beside a fin; it follows them', () => {
    const struts = foundStruts('foam', formContext(biplane));
    expect(struts.map(({ name }) => name)).toEqual(['Wing strut', 'Tail gusset']);
    const whole = withForm(biplane, setOf(struts)),
      higher = withFormsKept(whole, withForm(whole, wing('w2', 'Upper', 165)));
    const high = (airframe: Airframe): number => {
      const ys = outlineOf(airframe.parts.find(({ id }) => id === 's-s1')!)!.nodes.map(({ y }) => y);
      return Math.max(...ys) - Math.min(...ys);
    };
    expect(high(higher) - high(whole)).toBeCloseTo(25, 4);
    expect(closingFaults(higher)).toEqual([]);
  });

  it('of none, of nothing and out of its bounds is refused', () => {
    const faults = (struts: readonly Strut[]) => makeForm(setOf(struts), bodyContext()).faults.map(({ code }) => code);
    expect(faults([])).toEqual(['STRUTS_COUNT']);
    expect(faults([between({ boards: 1.5 })])).toEqual(['OUT_OF_BOUNDS']);
    expect(faults([between({ upperOutMm: Number.NaN })])).toEqual(['OUT_OF_BOUNDS']);
  });

  it('scales by its places', () => {
    const [strut] = scaleForm(setOf([between({ firstMm: 30 })]), 2).parameters.struts;
    expect([strut!.lowerOutMm, strut!.firstMm, strut!.lowerFromPercent]).toEqual([160, 60, 20]);
  });
});
