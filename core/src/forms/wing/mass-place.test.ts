import { withForm } from '../../airframe/index.ts';
import { planContext } from '../../airframe/index.ts';
import { airframeOf, CONTEXT, formOf, panel, USUAL } from '../../../test/wings.ts';
import { EMPTY_PLAN, massSoFar, usualThing, type SurfaceThing } from '../../plan/index.ts';
import { makeWing } from './make-wing.ts';
import { formFromPlanned } from './planned-wing.ts';

const PLATE = { ...USUAL, build: 'stepped' as const, layers: [], hasTipBlocks: false };

test('a plate has its mass in the middle of its area, as it is swept, raised, inclined and placed', () => {
  const wing = {
    ...PLATE,
    rootChordMm: 200,
    panels: [panel('p1', { spanMm: 400, tipChordMm: 200, sweepDegrees: 20, dihedralDegrees: 10 })],
  };
  const { figures } = makeWing(formOf(wing), CONTEXT);
  // By hand: half way out, half a chord behind the nose; and up by the dihedral, half a board above the pivot line.
  const [aft, up] = [
    200 * Math.tan((20 * Math.PI) / 180) + 100,
    200 * Math.sin((10 * Math.PI) / 180) + 2.5 * Math.cos((10 * Math.PI) / 180),
  ];
  expect(figures!.massAt!.x).toBeCloseTo(aft, 0);
  expect(figures!.massAt!.z).toBeCloseTo(up, 0);
  const tilted = makeWing(
    { ...formOf(wing), place: { at: { x: 50, y: 0, z: 30 }, incidenceDegrees: 5 } },
    CONTEXT,
  ).figures!;
  const angle = (5 * Math.PI) / 180;
  expect(tilted.massAt!.x).toBeCloseTo(50 + aft * Math.cos(angle) + up * Math.sin(angle), 0);
  expect(tilted.massAt!.z).toBeCloseTo(30 - aft * Math.sin(angle) + up * Math.cos(angle), 0);
});

test('pieces weigh what the whole does, and layers draw the middle forward', () => {
  const layered = makeWing(
    formOf({ ...PLATE, layers: [{ side: 'top', fromPercent: 0, toPercent: 50 }] }),
    CONTEXT,
  ).figures!;
  expect(layered.pieces.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(layered.massG, 9);
  // By hand: a plate of 180 with its middle at 90 and a layer of 90 with its middle at 45.
  expect(layered.massAt!.x).toBeCloseTo((180 * 90 + 90 * 45) / 270, 0);
  const cored = makeWing(
    formOf({ ...USUAL, build: 'cored', section: { kind: 'naca', digits: '0012', creases: 7 } }),
    CONTEXT,
  ).figures!;
  expect(cored.massAt!.x).toBeCloseTo(0.42 * 180, 1);
});

test('the plan weighs a wing that is made by what it is made of, where that lies', () => {
  const thing = { ...(usualThing('wing', 'wing', 5) as SurfaceThing), at: { x: 80, y: 0, z: 40 } };
  const form = formFromPlanned(thing, 'w1', 'Wing', 'foam', 5);
  const airframe = withForm({ ...airframeOf([]), plan: { ...EMPTY_PLAN, things: [thing] } }, form);
  const figures = makeWing(form, CONTEXT).figures!;
  const mass = massSoFar(airframe.plan!, planContext(airframe));
  const [own] = mass.each;
  // A tenth more for glue and tape, as for all foam.
  const board = airframe.boards[0]!.gramsPerSquareMetre / CONTEXT.boardOf('foam').gramsPerSquareMetre;
  expect(own!.massG).toBeCloseTo(1.1 * figures.massG * board, 3);
  expect(own!.atMm).toBeCloseTo(figures.massAt!.x, 6);
  expect(mass.balanceMm).toBeCloseTo(figures.massAt!.x, 6);
  // At another scale it is the mass of the larger wing.
  const larger = massSoFar(
    airframe.plan!,
    planContext({ ...airframe, settings: { ...airframe.settings, scale: 1.5 } }),
  );
  expect(larger.each[0]!.massG).toBeGreaterThan(1.5 * own!.massG);
});
