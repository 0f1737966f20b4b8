import * as fc from 'fast-check';
import { bodyContext, bodyForm, notClosed, USUAL_BODY } from '../../../test/bodies.ts';
import { airframeOf } from '../../../test/wings.ts';
import { madeOf, withForm, type Airframe } from '../../airframe/index.ts';
import {
  applyRigid,
  isInside,
  invertRigid,
  composeRigid,
  point3,
  polygonArea,
  type Point,
} from '../../geometry/index.ts';
import { outlineOf, type Part } from '../../part/index.ts';
import { USUAL_SEAT, type BodyForm } from '../body/index.ts';
import { makeForm, scaleForm } from '../kinds.ts';
import type { MadeTail } from './make-tail.ts';
import type { TailForm, TailParameters } from './parameters.ts';
import { turned } from './plate.ts';
import type { CutPlate } from './tail-site.ts';
import { tailFromNumbers, usualTail } from './tail-starts.ts';

const T = 5;
const CONTEXT = { ...bodyContext(), boardOf: () => ({ thicknessMm: T, gramsPerSquareMetre: 480 }) };
const USUAL = tailFromNumbers({ ...usualTail('mm'), material: 'foam' });
const formOf = (parameters: TailParameters): TailForm => ({
  id: 't1',
  kind: 'tail',
  name: 'Tail',
  parameters,
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
const tailOf = (more: Partial<TailParameters> = {}): MadeTail => makeForm(formOf({ ...USUAL, ...more }), CONTEXT);
const elevator = (more: Partial<NonNullable<TailParameters['elevator']>>) => ({
  elevator: { ...USUAL.elevator!, ...more },
});
const rudder = (more: Partial<NonNullable<TailParameters['rudder']>>) => ({ rudder: { ...USUAL.rudder!, ...more } });
const named = (parts: readonly Part[], role: string): Part => parts.find(({ source }) => source!.role === role)!;

/** Points within a plate as it is cut: over its flat and through its thickness, behind the relief of its hinge. */
function pointsWithin({
  left: [ring],
  travel: { plate },
}: CutPlate): readonly { readonly x: number; readonly y: number; readonly z: number }[] {
  const xs = ring!.map(({ x }) => x),
    ys = ring!.map(({ y }) => y),
    found = [];
  const { hinge } = plate;
  for (let x = Math.min(...xs); x <= Math.max(...xs); x += 1.5)
    for (let y = Math.min(...ys); y <= Math.max(...ys); y += 1.5) {
      if (!isInside({ x, y }, ring!)) continue;
      for (const z of [0.05, 1.3, 2.5, 3.7, 4.95]) {
        if (hinge) {
          const { from, to, behind, face, runMm } = hinge,
            off =
              (behind * ((to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x))) /
              Math.hypot(to.x - from.x, to.y - from.y);
          if (off < (runMm * (face === 'face' ? z : T - z)) / T) continue;
        }
        found.push(point3(x, y, z));
      }
    }
  return found;
}
/** How many points of one plate lie in another while both are turned through all of their travels, in steps of their own. */
function contacts(a: CutPlate, b: CutPlate, stepDegrees: number): number {
  const points = pointsWithin(a);
  const steps = ({ travel: { fromDegrees, toDegrees } }: CutPlate): readonly number[] => {
    const turns = [];
    for (let at = fromDegrees; at < toDegrees; at += stepDegrees) turns.push(at);
    return [...turns, toDegrees];
  };
  let met = 0;
  for (const one of steps(a))
    for (const other of steps(b)) {
      const into = composeRigid(turned(a.travel.plate, one), invertRigid(turned(b.travel.plate, other)));
      for (const p of points) {
        const { x, y, z } = applyRigid(into, p);
        if (z > 0.02 && z < T - 0.02 && isInside({ x, y } as Point, b.left[0]!)) met += 1;
      }
    }
  return met;
}

describe('elevator and rudder', () => {
  it('would meet at ±25° and ±30° if nothing were cut, and do not when the elevator is cut out', () => {
    const { site, parts, faults } = tailOf();
    expect(faults).toEqual([]);
    const { elevator: cut, rudder: swings } = site!;
    const uncut = { ...cut!, left: [cut!.outline.ring] };
    expect(contacts(swings!, uncut, 6)).toBeGreaterThan(100);
    expect(contacts(swings!, cut!, 3.7)).toBe(0);
    expect(notClosed(parts)).toEqual([]);
  });

  it('do not when the rudder is cut back instead: the elevator stays whole', () => {
    const { site } = tailOf({ yields: 'rudder' });
    expect(site!.elevator!.left[0]).toHaveLength(site!.elevator!.outline.ring.length);
    expect(polygonArea(site!.rudder!.left[0]!)).toBeLessThan(polygonArea(site!.rudder!.outline.ring));
    expect(contacts(site!.rudder!, site!.elevator!, 3.7)).toBe(0);
  });

  it('do not at random, in halves, with the rudder reaching down between them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 35 }),
        fc.integer({ min: 5, max: 35 }),
        fc.integer({ min: 10, max: 40 }),
        fc.integer({ min: -30, max: 20 }),
        fc.constantFrom<'top' | 'bottom'>('top', 'bottom'),
        (upDegrees, downDegrees, travelDegrees, footMm, tape) => {
          const { site, faults } = tailOf({
            ...elevator({ upDegrees, downDegrees, tape, halves: 'two' }),
            ...rudder({ travelDegrees, footMm }),
          });
          expect(faults.filter(({ isBlocking }) => isBlocking)).toEqual([]);
          expect(contacts(site!.rudder!, site!.elevator!, 5.3)).toBe(0);
        },
      ),
      { numRuns: 6, seed: 7, endOnFailure: true },
    );
  });

  it('at the tips leave each other room as well', () => {
    const { site } = tailOf({
      fin: { ...USUAL.fin!, place: 'tips', aftMm: 5, belowMm: 40 },
      ...rudder({ footMm: -30 }),
    });
    expect(contacts(site!.rudder!, site!.elevator!, 4.1)).toBe(0);
  });

  it('of one piece that a rudder cuts through are refused, with two halves as the mend', () => {
    const { parts, faults } = tailOf(rudder({ footMm: -20 }));
    expect(parts).toEqual([]);
    expect(faults[0]).toMatchObject({
      code: 'ELEVATOR_PARTED',
      mend: { changes: [{ path: 'elevator.halves', value: 'two' }] },
    });
    const mended = tailOf({ ...rudder({ footMm: -20 }), ...elevator({ halves: 'two' }) });
    expect(named(mended.parts, 'elevator').handed).toBe('pair');
  });

  it('whose rudder swings into the stabiliser are refused', () => {
    const before = { fin: { ...USUAL.fin!, aftMm: 0 }, ...elevator({ halves: 'two' }), ...rudder({ footMm: -20 }) };
    expect(tailOf(before).faults[0]).toMatchObject({ code: 'RUDDER_STRIKES', isBlocking: true });
    expect(tailOf({ ...before, ...rudder({ footMm: 1.5 }) }).faults.filter(({ isBlocking }) => isBlocking)).toEqual([]);
  });
});

describe('the plates', () => {
  it('have the areas of their trapezoids', () => {
    const { site } = tailOf();
    // Half span 200: (95 + 71)/2 each side, and a fin of (71 + 38)/2 over 150 with a tab 5 deep through the stabiliser.
    expect(polygonArea(site!.stabiliser.left[0]!)).toBeCloseTo(400 * 83, 3);
    const tab = outlineOf(named(tailOf().parts, 'fin'))!
      .nodes.filter(({ y }) => y === 0)
      .map(({ x }) => x);
    expect(polygonArea(site!.fin!.left[0]!)).toBeCloseTo(
      ((71 + 38) / 2) * 150 + 5 * (Math.max(...tab) - Math.min(...tab)),
      3,
    );
  });

  it('are relieved by their travel toward the side that closes, and 2° more', () => {
    const bevelOf = (made: MadeTail, role: string) =>
      named(made.parts, role).operations.find(({ kind }) => kind === 'bevel');
    const made = tailOf(elevator({ downDegrees: 18 }));
    // Taped on top it closes below.
    expect(bevelOf(made, 'elevator')).toMatchObject({ face: 'back', bevelDegrees: 20 });
    expect(bevelOf(made, 'rudder')).toMatchObject({ face: 'face', bevelDegrees: 32 });
    expect(bevelOf(tailOf(elevator({ tape: 'bottom', upDegrees: 21 })), 'elevator')).toMatchObject({
      face: 'face',
      bevelDegrees: 23,
    });
  });

  it('move so far: 45 of chord at 25° is 19.5', () => {
    expect(tailOf().figures!.up!.mm).toBeCloseTo(2 * 45 * Math.sin((12.5 * Math.PI) / 180), 6);
  });

  it('have balance tabs that stand clear of what they move past', () => {
    const { site, parts } = tailOf({
      ...elevator({ tabMm: 30, tabForeMm: 25 }),
      ...rudder({ tabMm: 25, tabForeMm: 15 }),
    });
    expect(notClosed(parts)).toEqual([]);
    // 25 before the hinge on 30 of each tip: the stabiliser loses that and the gap of 1.5 round it.
    expect(polygonArea(site!.stabiliser.left[0]!)).toBeCloseTo(400 * 83 - 2 * 31.5 * 26.5, 0);
  });

  it('are joined, in halves, by a wire behind a straight hinge', () => {
    const { figures } = tailOf({ ...elevator({ halves: 'two' }), ...rudder({ footMm: -20 }) });
    expect(figures!.joiner!.bendDegrees).toBeCloseTo(90, 6);
    expect(figures!.joiner!.bridgeMm).toBeGreaterThan(2 * T);
  });

  it('scale by their parameters, the room between them does not', () => {
    const twice = makeForm(scaleForm(formOf(USUAL), 2), CONTEXT);
    expect(polygonArea(twice.site!.stabiliser.left[0]!)).toBeCloseTo(4 * 400 * 83, 3);
    expect(twice.site!.tail.gapMm).toBe(USUAL.gapMm);
  });

  it.each<readonly [string, Partial<TailParameters>]>([
    ['OUT_OF_BOUNDS', { stabiliser: { ...USUAL.stabiliser, spanMm: Number.NaN } }],
    ['OUT_OF_BOUNDS', elevator({ upDegrees: 200 })],
    ['PAST_PLATE', elevator({ hornMm: 900 })],
    ['PAST_PLATE', rudder({ footMm: 200 })],
  ])('that cannot be are refused with the nearest that can: %s', (code, more) => {
    const { faults, parts } = tailOf(more);
    expect(parts).toEqual([]);
    expect(faults[0]).toMatchObject({ code, isBlocking: true });
    expect(faults[0]!.mend!.changes).toHaveLength(1);
  });
});

describe('a tail in a body', () => {
  const seated = (up: number): Airframe => {
    const body = bodyForm({ ...USUAL_BODY, seats: [{ id: 'k1', formId: 't1', ...USUAL_SEAT }] }),
      last = USUAL_BODY.stations.at(-1)!;
    const tail: TailForm = {
      ...formOf(USUAL),
      place: { at: { x: last.aftMm - 95, y: 0, z: last.topMm + up }, incidenceDegrees: 0 },
    };
    return withForm(withForm(airframeOf([]), tail), body);
  };

  it('sits in its walls: they are cut to the stabiliser, and cut anew when it moves', () => {
    const sunk = seated(-6);
    const body = sunk.forms!.find(({ kind }) => kind === 'body') as BodyForm;
    expect(madeOf(body, sunk).figures!.seats).toMatchObject([{ name: 'Tail', side: 'top' }]);
    expect(notClosed(sunk.parts.filter(({ source }) => source!.role !== 'fin' && source!.role !== 'rudder'))).toEqual(
      [],
    );
    const wallOf = ({ parts }: Airframe): Part => parts.find(({ id }) => id === 'b1-wall')!;
    const tail = sunk.forms!.find(({ id }) => id === 't1')!,
      moved = withForm(sunk, { ...tail, place: { ...tail.place, at: { ...tail.place.at, x: tail.place.at.x - 30 } } });
    expect(outlineOf(wallOf(moved))!.nodes).not.toEqual(outlineOf(wallOf(sunk))!.nodes);
  });
});
