import fc from 'fast-check';
import { demo } from '../../test/demos.ts';
import { after, airframeOf, boxSide, plate, withRound } from '../../test/samples.ts';
import { scaleForm, sizedNumbers } from '../forms/index.ts';
import { boundsOf, boundsWidth } from '../geometry/index.ts';
import { rectangleDraft } from '../paths/index.ts';
import type { Airframe } from './airframe.ts';
import { resolveIn } from './funnel.ts';
import { sizedThings, withThingSized, type SizedThing } from './sized-things.ts';

const at = (airframe: Airframe, scale: number): Airframe => ({
  ...airframe,
  settings: { ...airframe.settings, scale },
});
const told = (airframe: Airframe, thing: SizedThing, sizing: SizedThing['sizing']): Airframe => {
  const done = withThingSized(airframe, thing, sizing);
  if (!done.ok) throw new Error(done.message);
  return done.airframe;
};
const thingOf = (airframe: Airframe, of: SizedThing['of'], word: string): SizedThing =>
  sizedThings(airframe).find((one) => one.of === of && one.word === word)!;
const holeWidth = (airframe: Airframe): number => {
  const [part] = airframe.parts;
  return boundsWidth(boundsOf(resolveIn(airframe, part!).holeRings[0]!));
};

describe('what keeps its size, thing by thing', () => {
  it('lists a hole for hardware with its size, and lets it grow and stay again', () => {
    const airframe = airframeOf([boxSide()]),
      hole = thingOf(airframe, 'path', 'Hole');
    expect(hole).toMatchObject({ sizing: 'fixed', choices: ['scaled', 'fixed', 'slot'] });
    expect(hole.mm).toBeCloseTo(10, 1);
    const growing = told(airframe, hole, 'scaled');
    expect(holeWidth(at(growing, 1.5))).toBeCloseTo(15, 1);
    expect(holeWidth(at(told(growing, hole, 'fixed'), 1.5))).toBeCloseTo(10, 1);
  });
  it('tells a slot by its width', () => {
    const airframe = airframeOf([
      after(plate(200, 100), {
        name: 'drawHole',
        args: { draft: rectangleDraft({ x: 50, y: 20 }, 60, 5), sizing: 'slot' },
      }),
    ]);
    expect(thingOf(airframe, 'path', 'Slot').mm).toBeCloseTo(5, 9);
  });
  it('lets the case of a servo grow by its lengths and not by its fit', () => {
    const part = after(plate(200, 100), { name: 'addFeature', args: { kind: 'servo', at: { x: 100, y: 50 } } }),
      airframe = airframeOf([part]),
      servo = thingOf(airframe, 'feature', 'Servo opening'),
      [feature] = part.features!;
    const { lengthMm, fitMm } = feature as unknown as { lengthMm: number; fitMm: number };
    const width = (of: Airframe): number => holeWidth(at(of, 2)),
      drawn = holeWidth(airframe);
    expect(drawn).toBeCloseTo(lengthMm + fitMm, 6);
    expect(width(airframe)).toBeCloseTo(drawn, 6);
    expect(width(told(airframe, servo, 'scaled'))).toBeCloseTo(2 * lengthMm + fitMm, 6);
    // Told back, nothing of it is noted.
    expect(told(told(airframe, servo, 'scaled'), servo, 'fixed')).toEqual(airframe);
  });
  it('says of everything of the demos what it does, and every choice can be carried out', () => {
    for (const name of ['saltbox-36', 'reedling-1100'] as const) {
      const airframe = demo(name),
        things = sizedThings(airframe),
        open = things.filter(({ choices }) => choices.length > 1);
      expect(things.every(({ mm, why }) => mm >= 0 && why !== '')).toBe(true);
      fc.assert(
        fc.property(fc.constantFrom(...open), (thing) => {
          for (const choice of thing.choices) {
            const done = withThingSized(airframe, thing, choice);
            if (!done.ok) throw new Error(done.message);
            const again = sizedThings(done.airframe).find(
              (one) => one.of === thing.of && one.ownerId === thing.ownerId && one.id === thing.id,
            );
            expect(again?.sizing).toBe(choice);
          }
        }),
        { numRuns: 15 },
      );
    }
  });
  it('refuses what something else decides, and what is gone', () => {
    const airframe = demo('saltbox-36'),
      made = sizedThings(airframe).find(({ of, choices }) => of === 'path' && choices.length === 1)!;
    expect(withThingSized(airframe, made, 'scaled')).toMatchObject({ ok: false });
    const gone = thingOf(airframeOf([withRound(plate(50, 50), 25, 25, 4, 'fixed')]), 'path', 'Hole');
    expect(withThingSized(airframeOf([]), gone, 'scaled')).toEqual({ ok: false, message: 'Part p1 is gone.' });
  });
});

describe('numbers of forms', () => {
  const airframe = demo('saltbox-36'),
    power = airframe.forms!.find(({ kind }) => kind === 'power')!;
  it('a number that is let grow does, and one that is kept stays, at every factor', () => {
    const numbers = sizedNumbers(power).filter(({ isChangeable }) => isChangeable);
    expect(numbers.length).toBeGreaterThan(8);
    fc.assert(
      fc.property(fc.constantFrom(...numbers), fc.double({ min: 0.3, max: 3, noNaN: true }), (number, factor) => {
        for (const sizing of ['scaled', 'fixed'] as const) {
          const form = { ...power, sizings: [{ path: number.path, sizing }] },
            scaled = sizedNumbers(scaleForm(form, factor)).find(({ path }) => path === number.path)!;
          expect(scaled.mm).toBeCloseTo(sizing === 'scaled' ? number.mm * factor : number.mm, 9);
        }
      }),
    );
  });
  it('the shaft’s hole of a grown power box is as large as it is told to be', () => {
    const shaft = sizedThings(airframe).find(({ word }) => word === 'Pattern: Hole for the shaft, across')!;
    const firewall = (of: Airframe): readonly number[] =>
      resolveIn(
        of,
        of.parts.find(({ name }) => name === 'Power box firewall 1')!,
      ).holeRings.map((ring) => boundsWidth(boundsOf(ring)));
    expect(Math.max(...firewall(at(airframe, 1.5)))).toBeCloseTo(4, 1);
    expect(Math.max(...firewall(at(told(airframe, shaft, 'scaled'), 1.5)))).toBeCloseTo(6, 1);
  });
});
