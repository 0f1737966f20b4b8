import * as fc from 'fast-check';
import { bodyContext } from '../../../test/bodies.ts';
import { drawnPlate } from '../../../test/drawn-plates.ts';
import { airframeOf, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import {
  formContext,
  standingPart,
  withForm,
  withFormsKept,
  withFormsMade,
  type Airframe,
} from '../../airframe/index.ts';
import { placeMap } from '../../folds/index.ts';
import { applyRigid, dot3, point3, subtract3, type Point3, type RigidMap } from '../../geometry/index.ts';
import { brokenInvariant, outlineOf, outOfBounds, type Part } from '../../part/index.ts';
import { makeForm, scaleForm, type Form } from '../kinds.ts';
import { tailFromNumbers, usualTail, type TailForm } from '../tail/index.ts';
import { powerFromNumbers, usualPower, type PowerForm } from '../power/index.ts';
import type { WingForm } from '../wing/index.ts';
import { foundGauges } from './found-gauges.ts';
import { isMiss } from '../standing/index.ts';
import type { LaidGauge } from './laid-gauge.ts';
import type { MadeGauges } from './make-gauges.ts';
import { gaugeWith, type Gauge, type GaugeForm } from './parameters.ts';

const ORIGIN = { at: point3(0, 0, 0), incidenceDegrees: 0 };
const setOf = (gauges: readonly Gauge[], more: Partial<GaugeForm['parameters']> = {}): GaugeForm => ({
  id: 'g',
  kind: 'gauge',
  name: 'Gauges',
  parameters: { material: 'ply', gauges, ...more },
  place: ORIGIN,
});
const made = (airframe: Airframe, gauges: readonly Gauge[]): MadeGauges =>
  makeForm(setOf(gauges), formContext(airframe));
const laid = (airframe: Airframe, gauge: Gauge): LaidGauge => {
  const one = made(airframe, [gauge]).site!.laid[0]!;
  if (isMiss(one)) throw new Error(one.title);
  return one;
};

const angleOf = (kind: Partial<Gauge>): Gauge =>
  gaugeWith({ id: 'a', kind: 'angle', name: 'angle', partId: 'one', ...kind });

/** How far a place of a gauge lies off the nearer skin of a standing part. */
function offSkin(map: RigidMap, at: { readonly x: number; readonly y: number }, part: Part): number {
  const stands = placeMap(part.place!),
    off = subtract3(applyRigid(map, point3(at.x, at.y, 0)), stands.origin),
    height = dot3(off, stands.z);
  return Math.min(Math.abs(height), Math.abs(height - T));
}

describe('an angle', () => {
  it('is held into the corner of two drawn plates that stand together, at any turn', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -25, max: 25, noNaN: true }),
        fc.double({ min: 25, max: 155, noNaN: true }),
        fc.double({ min: -40, max: 40, noNaN: true }),
        (tilt, angle, yaw) => {
          const one = drawnPlate('one', 200, 120, { yawDegrees: yaw, rollDegrees: tilt }),
            two = drawnPlate('two', 200, 90, { yawDegrees: yaw, rollDegrees: tilt + angle });
          const { map, plates } = laid(airframeOf([one, two]), angleOf({ against: 'part', againstId: 'two' }));
          const corners = plates[0]!.outline,
            named = (edge: string) => corners.find((corner) => corner.edge === edge)!.at;
          // Both ends of each arm lie on a skin of its own part.
          const far = corners[1]!.at;
          expect(offSkin(map!, named('first'), one)).toBeLessThan(1e-6);
          expect(offSkin(map!, far, one)).toBeLessThan(1e-6);
          expect(offSkin(map!, named('second'), two)).toBeLessThan(1e-6);
          expect(offSkin(map!, named('relief'), two)).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('under both halves of a wing turns by the dihedral of both, its arms on their undersides', () => {
    const airframe = withForm(airframeOf([]), formOf(USUAL)),
      skin = airframe.parts.find(({ id }) => id === 'w1-skin-1')!;
    const gauge = laid(airframe, angleOf({ partId: skin.id, against: 'mirror' }));
    // Twice the 5° of each half.
    expect(gauge.figure).toBe('10°');
    const [inner, corner, end] = gauge.plates[0]!.outline.map(({ at }) =>
      applyRigid(gauge.map!, point3(at.x, at.y, 0)),
    );
    const tan = Math.tan((5 * Math.PI) / 180);
    expect(corner!.z).toBeCloseTo(0, 2);
    for (const p of [inner!, end!]) expect(p.z / Math.abs(p.y)).toBeCloseTo(tan, 3);
    // Its backs lie below the wing.
    expect(applyRigid(gauge.map!, point3(0, -22, 0)).z).toBeLessThan(-20);
  });

  it('of a panel to the table is a wedge that rises by reach · tan', () => {
    const airframe = withForm(airframeOf([]), formOf(USUAL)),
      gauge = laid(airframe, angleOf({ partId: 'w1-skin-1', against: 'table', reachMm: 100 }));
    const { at } = gauge.plates[0]!.outline.find(({ edge }) => edge === 'second')!;
    expect(gauge.figure).toBe('5°');
    expect(at.y).toBeCloseTo(100 * Math.tan((5 * Math.PI) / 180), 4);
  });

  it('of a firewall tells its thrust: 88° to starboard for 2° to the right, 93° up for 3° down', () => {
    const power: PowerForm = {
      id: 'm1',
      kind: 'power',
      name: 'Power',
      parameters: powerFromNumbers({ ...usualPower('mm'), material: 'foam' }, 'ply'),
      place: ORIGIN,
    };
    const airframe = withForm(airframeOf([]), power);
    const figure = (against: Gauge['against']): string =>
      laid(airframe, angleOf({ partId: 'm1-front-1', against })).figure;
    expect([figure('upright'), figure('table')]).toEqual(['88°', '93°']);
  });

  it.each<readonly [string, Partial<Gauge>]>([
    ['PART_GONE', { partId: 'nowhere' }],
    ['PART_GONE', { against: 'part', againstId: 'nowhere' }],
    ['NO_MIRROR', { against: 'mirror' }],
    ['NO_ANGLE', { against: 'table' }],
  ])('that is none is told and left out: %s', (code, more) => {
    const airframe = airframeOf([drawnPlate('one', 200, 120, {})]);
    const { faults, parts } = made(airframe, [
      angleOf(more),
      gaugeWith({ id: 't', kind: 'throw', name: 'throw', partId: '' }),
    ]);
    expect(faults.map((fault) => [fault.code, fault.path])).toEqual([[code, 'gauges.0.partId']]);
    expect(parts.map(({ id }) => id)).toEqual(['g-t']);
  });
});

describe('a station', () => {
  /** A plate that leads up forward by so much, its nose at 0. */
  const inclined = (pitch: number): Airframe =>
    airframeOf([drawnPlate('one', 150, 200, { at: point3(0, -200, 40), pitchDegrees: pitch })]);

  it('is carried by a cradle that touches its underside, over one table', () => {
    const gauge = laid(inclined(4), gaugeWith({ id: 'c', kind: 'cradle', name: 'c', partId: 'one', outMm: 60 }));
    const tan = Math.tan((4 * Math.PI) / 180);
    const tops = gauge.plates[0]!.outline.filter(({ edge }) => edge !== 'foot' && edge !== 'aft').map(({ at }) =>
      applyRigid(gauge.map!, point3(at.x, at.y, 0)),
    );
    // The far skin starts at 40 and falls by tan 4° aft.
    for (const p of tops) expect(p.z).toBeCloseTo(40 - p.x * tan, 2);
    const lowest = 40 - 150 * Math.sin((4 * Math.PI) / 180);
    expect(applyRigid(gauge.map!, point3(0, 0, 0)).z).toBeCloseTo(lowest - 25, 6);
  });

  it('has its incidence by a profile whose back is level', () => {
    const gauge = laid(inclined(4), gaugeWith({ id: 'p', kind: 'profile', name: 'p', partId: 'one', outMm: 60 }));
    expect(gauge.figure).toBe('4°');
    const [fore, back] = ['fore', 'back'].map(
      (edge) => gauge.plates[0]!.outline.find((corner) => corner.edge === edge)!.at,
    );
    expect(fore!.y).toBeCloseTo(back!.y, 9);
    expect(gauge.map!.x.z).toBeCloseTo(0, 9);
  });

  it('has its camber by a profile along the chord: no more over it than the plate was rolled', () => {
    const rolled = formOf({
      ...USUAL,
      build: 'cambered',
      camber: { heightPercent: 5, atPercent: 40 },
      panels: [panel('p1', { spanMm: 300 })],
    });
    const airframe = withForm(airframeOf([]), rolled);
    const gauge = laid(
      airframe,
      gaugeWith({ id: 'p', kind: 'profile', name: 'p', partId: 'w1-skin-1', outMm: 100, back: 'chord' }),
    );
    // 5 % of 180 on the underside of the plate; its upper face, a board higher, is as high over the line between its own ends within the lean of those.
    expect(Number.parseFloat(gauge.figure)).toBeGreaterThan(8.4);
    expect(Number.parseFloat(gauge.figure)).toBeLessThan(9.6);
  });

  it('stands on a block as high as the tip: span · sin of its dihedral', () => {
    const airframe = withForm(airframeOf([]), formOf(USUAL));
    const gauge = laid(airframe, gaugeWith({ id: 'b', kind: 'block', name: 'b', partId: 'w1-skin-1', outMm: 300 }));
    const heights = gauge.plates[0]!.outline.map(({ at }) => at.y);
    // Out on the table 300 mm, the flat underside has risen by 300 · tan 5° over the corner in the middle.
    expect(Math.max(...heights)).toBeCloseTo(300 * Math.tan((5 * Math.PI) / 180), 0);
    expect(gauge.plates[0]!.edgeWork![0]!.work).toMatchObject({
      kind: 'bevel',
      face: 'back',
      bevelDegrees: expect.closeTo(5, 1),
    });
  });

  it('beyond the tip is told, with one that is there', () => {
    const { faults } = made(inclined(0), [
      gaugeWith({ id: 'c', kind: 'cradle', name: 'c', partId: 'one', outMm: 260 }),
    ]);
    expect(faults[0]).toMatchObject({
      code: 'NOTHING_THERE',
      mend: { changes: [{ path: 'gauges.0.outMm', value: 195 }] },
    });
  });
});

describe('a throw', () => {
  const tail: TailForm = {
    id: 't1',
    kind: 'tail',
    name: 'Tail',
    parameters: tailFromNumbers({ ...usualTail('mm'), material: 'foam' }),
    place: ORIGIN,
  };
  const gauge = gaugeWith({
    id: 'e',
    kind: 'throw',
    name: 'elevator',
    partId: '',
    formId: 't1',
    control: 'elevator',
    upDegrees: 1,
  });
  const words = (part: Part): readonly string[] => part.operations.map(({ label }) => label);

  it('follows the control that it is for, each way by itself', () => {
    const wanted = { ...tail.parameters.elevator!, rootMm: 40, upDegrees: 30, downDegrees: 20 };
    const airframe = withForm(airframeOf([]), { ...tail, parameters: { ...tail.parameters, elevator: wanted } });
    // By hand: 40 · sin 20 = 13.7, 40 · sin 10 = 6.9, 40 · sin 15 = 10.4, 40 · sin 30 = 20.
    expect(words(made(airframe, [gauge]).parts[0]!)).toEqual([
      '20° 13.7 mm',
      '10° 6.9 mm',
      '0',
      '15° 10.4 mm',
      '30° 20.0 mm',
    ]);
  });

  it('is cut anew when only the throw is changed, and no other part', () => {
    const whole = withForm(withForm(airframeOf([]), tail), setOf([gauge]));
    const { elevator } = tail.parameters;
    const less = { ...tail, parameters: { ...tail.parameters, elevator: { ...elevator!, upDegrees: 11 } } };
    const followed = withFormsKept(whole, { ...whole, forms: [less, whole.forms![1]!] });
    expect(words(followed.parts.find(({ id }) => id === 'g-e')!).at(-1)).toMatch(/^11° /);
  });

  it('keeps its own numbers when the form is gone', () => {
    expect(laid(airframeOf([]), { ...gauge, upDegrees: 12, downDegrees: 8 }).figure).toBe('12°, 8°');
  });
});

describe('what is measured across', () => {
  it('is square when both sides are as far: √(aft² + out² + up²)', () => {
    const wing = drawnPlate('one', 100, 300, { at: point3(0, -300, 30) }),
      post = drawnPlate('two', 20, 40, { at: point3(400, 0, 0), rollDegrees: 90 });
    const gauge = laid(
      airframeOf([wing, post]),
      gaugeWith({ id: 's', kind: 'square', name: 's', partId: 'one', againstId: 'two' }),
    );
    const [a, b] = ['print-from', 'print-to'].map(
      (name) => gauge.plates[0]!.lines!.find((line) => line.name === name)!.from.x,
    );
    expect(b! - a!).toBeCloseTo(Math.hypot(420 - 100, 300, 40 - 30), 4);
  });

  it('balances at a place that lies aft / sin(sweep) out along a swept nose', () => {
    const airframe = withForm(
      airframeOf([]),
      formOf({ ...USUAL, build: 'stepped', layers: [], panels: [panel('p1', { spanMm: 400, sweepDegrees: 25 })] }),
    );
    const gauge = laid(
      airframe,
      gaugeWith({ id: 'b', kind: 'balance', name: 'b', partId: 'w1-skin-1', aftMm: 90, outMm: 50 }),
    );
    const { lines } = gauge.plates.find(({ suffix }) => suffix === 'nose strip')!;
    const [a, b] = ['print-from', 'print-to'].map((name) => lines!.find((line) => line.name === name)!.from.x);
    expect(b! - a!).toBeCloseTo(90 / Math.sin((25 * Math.PI) / 180), 0);
    const base = gauge.plates
      .find(({ suffix }) => suffix === 'base')!
      .holes!.map((hole) => ('corners' in hole ? hole.corners[0]!.y : 0));
    expect(base[1]! - base[0]!).toBeCloseTo(100, 9);
  });
});

describe('a set', () => {
  const wing: WingForm = { ...formOf(USUAL), place: { at: point3(0, 0, 0), incidenceDegrees: 2 } };
  const tail: TailForm = {
    id: 't1',
    kind: 'tail',
    name: 'Tail',
    parameters: tailFromNumbers({ ...usualTail('mm'), material: 'foam' }),
    place: { at: point3(560, 0, 20), incidenceDegrees: 0 },
  };
  const trainer = [wing, tail].reduce<Airframe>((held: Airframe, form: Form) => withForm(held, form), airframeOf([]));
  const found = foundGauges('ply', formContext(trainer));

  it('is found for what stands: joints, tips, stations, fin, throws, squares, and no part of it stands itself', () => {
    expect(found.map(({ name }) => name)).toEqual([
      'Wing dihedral',
      'Wing tip block',
      'Wing middle cradle',
      'Wing tip cradle',
      'Wing incidence',
      'Wing balance stand',
      'Tail fin square',
      'Tail incidence',
      'Tail elevator throw',
      'Tail rudder throw',
      'Wing square',
      'Tail square',
    ]);
    const { parts, working } = made(trainer, found);
    expect(parts.every(({ place, material }) => place === undefined && material === 'ply')).toBe(true);
    expect(working.at(-1)).toMatchObject({ words: 'Decalage, Wing incidence to Tail incidence', result: '2°' });
  });

  it('follows when a wing is moved or a board is measured again, and is found for drawn parts too', () => {
    const form = setOf(found),
      whole = withForm(trainer, form);
    const steeper = {
      ...wing,
      parameters: { ...wing.parameters, panels: [panel('p1', { ...wing.parameters.panels[0]!, dihedralDegrees: 8 })] },
    };
    const followed = withFormsKept(whole, withForm(whole, steeper));
    const printed = ({ parts }: Airframe): string => parts.find(({ id }) => id === 'g-g1')!.operations[0]!.label;
    expect([printed(whole), printed(followed)]).toEqual([
      'Wing dihedral 10°: Wing skin',
      'Wing dihedral 16°: Wing skin',
    ]);
    expect(withFormsMade(followed).parts.find(({ id }) => id === 'g-g1')).toBe(
      followed.parts.find(({ id }) => id === 'g-g1'),
    );
    const stood = drawnPlate(
      'two',
      90,
      60,
      { rollDegrees: 70 },
      {
        joints: [
          {
            id: 'j',
            ownSegmentId: 'm-a',
            ownSkin: 'back',
            toPartId: 'one',
            toSegmentId: 'm-a',
            toSkin: 'face',
            turnDegrees: 70,
            alongMm: 0,
            isReversed: false,
          },
        ],
      },
    );
    expect(
      foundGauges('ply', formContext(airframeOf([drawnPlate('one', 200, 100, {}), stood]))).map(({ name }) => name),
    ).toEqual(['two to one']);
  });

  it('is cut in its variant alone, as often as it is asked for, and folds to nothing', () => {
    const form = setOf([{ ...found[0]!, quantity: 3 }], { variant: 'with gauges' }),
      airframe = withForm(trainer, form),
      part = airframe.parts.find(({ id }) => id === 'g-g1')!;
    expect([part.variants, part.quantity]).toEqual([['with gauges'], 3]);
    expect(standingPart(airframe, part)!.body.tree.turns).toEqual([]);
    expect(outlineOf(part)!.nodes.length).toBeGreaterThan(4);
  });

  it('of any numbers within their bounds makes sound parts or tells why not', () => {
    const any = fc.record({
      kind: fc.constantFrom<Gauge['kind']>('angle', 'cradle', 'profile', 'block', 'throw', 'square', 'balance'),
      partId: fc.constantFrom('w1-skin-1', 't1-fin', 't1-stabiliser', 'gone'),
      against: fc.constantFrom<Gauge['against']>('part', 'mirror', 'table', 'upright'),
      againstId: fc.constantFrom('w1-skin-1', 't1-fin', 't1-stabiliser', ''),
      outMm: fc.double({ min: 0, max: 600, noNaN: true }),
      reachMm: fc.double({ min: 20, max: 400, noNaN: true }),
      back: fc.constantFrom<Gauge['back']>('level', 'chord'),
      upDegrees: fc.double({ min: 1, max: 80, noNaN: true }),
      aftMm: fc.double({ min: -100, max: 400, noNaN: true }),
    });
    fc.assert(
      fc.property(any, (numbers) => {
        const { parts, faults } = made(trainer, [gaugeWith({ id: 'a', name: 'a', ...numbers })]);
        expect(parts.length + faults.length).toBeGreaterThan(0);
        const all: readonly Point3[] = parts.flatMap((part) =>
          outlineOf(part)!.nodes.map(({ x, y }) => point3(x, y, 0)),
        );
        expect(all.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
        expect(parts.flatMap((part) => brokenInvariant(part) ?? outOfBounds(part) ?? [])).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it.each<readonly [string, readonly Gauge[]]>([
    ['GAUGES_COUNT', []],
    ['OUT_OF_BOUNDS', [angleOf({ reachMm: Number.NaN })]],
    ['OUT_OF_BOUNDS', [angleOf({ quantity: 2.5 })]],
    ['OUT_OF_BOUNDS', [gaugeWith({ id: 'c', kind: 'cradle', name: 'c', partId: 'one', outMm: -3 })]],
    ['NO_THROW', [gaugeWith({ id: 't', kind: 'throw', name: 't', partId: '', upDegrees: 0, downDegrees: 0 })]],
  ])('that cannot be is refused: %s', (code, gauges) => {
    const { parts, faults } = makeForm(setOf(gauges), bodyContext());
    expect(parts).toEqual([]);
    expect(faults[0]).toMatchObject({ code, isBlocking: true });
  });

  it('scales by its places, not by its arms', () => {
    const [gauge] = scaleForm(setOf([angleOf({ outMm: 100, reachMm: 80 })]), 2).parameters.gauges;
    expect([gauge!.outMm, gauge!.reachMm]).toEqual([200, 80]);
  });
});
