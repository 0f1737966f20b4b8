import { drawnPlate } from '../../test/drawn-plates.ts';
import { airframeOf, formOf, T, USUAL } from '../../test/wings.ts';
import { point3 } from '../geometry/index.ts';
import { gaugeWith, tailFromNumbers, usualTail, type Form } from '../forms/index.ts';
import type { Airframe } from './airframe.ts';
import { seamsNamed } from './assembled.ts';
import { quickFigures, slowFigures } from './figures.ts';
import { withForm } from './forms-of-airframe.ts';
import { madeOf } from './made-at-scale.ts';
import { seamRows, wholeMass } from './whole-airframe.ts';

const wing: Form = { ...formOf(USUAL), place: { at: point3(40, 0, 10), incidenceDegrees: 0 } };
const tail: Form = {
  id: 't1',
  kind: 'tail',
  name: 'Tail',
  parameters: tailFromNumbers({ ...usualTail('mm'), material: 'foam' }),
  place: { at: point3(560, 0, 20), incidenceDegrees: 0 },
};
const gauges: Form = {
  id: 'g1',
  kind: 'gauge',
  name: 'Gauges',
  parameters: {
    material: 'foam',
    gauges: [gaugeWith({ id: 'a', kind: 'cradle', name: 'cradle', partId: 'w1-skin-1', outMm: 100 })],
  },
  place: { at: point3(0, 0, 0), incidenceDegrees: 0 },
};
const PLATE = drawnPlate('tray', 100, 60, { at: point3(200, -30, 0) });
const whole = [wing, tail, gauges].reduce<Airframe>((held, form) => withForm(held, form), airframeOf([PLATE]));

test('one mass of all forms and drawn parts, as the ticket has it, and where it lies', () => {
  const { rows, massG, standingG, at } = wholeMass(whole);
  expect(rows.map(({ name }) => name)).toEqual(['Drawn by hand', 'Wing', 'Tail']);
  expect(massG).toBeCloseTo(quickFigures(whole).foamG, 9);
  expect(standingG).toBeCloseTo(massG, 9);
  // By hand: 100 × 60 mm at 480 g/m², its middle half way along and half a board up.
  expect(rows[0]!.massG).toBeCloseTo(2.88, 9);
  expect(rows[0]!.at!.x).toBeCloseTo(250, 9);
  expect(rows[0]!.at!.z).toBeCloseTo(T / 2, 9);
  // What a form says of itself, by its own way.
  const own = madeOf(tail as Form & { kind: 'tail' }, whole).figures!;
  expect(rows[2]!.massG).toBeCloseTo(own.massG, 6);
  expect(rows[2]!.at!.x).toBeCloseTo(own.massAt.x, 0);
  expect(at!.x).toBeCloseTo(rows.reduce((sum, row) => sum + row.massG * row.at!.x, 0) / massG, 9);
});

test('one list of seams by the parts that meet in them, as many as there are, the widest first', () => {
  const rows = seamRows(seamsNamed(whole)),
    { seams } = slowFigures(whole);
  const sum = (key: 'closed' | 'open' | 'pressed'): number => rows.reduce((total, row) => total + row[key], 0);
  expect([sum('closed'), sum('open'), sum('pressed')]).toEqual([seams.closed, seams.open, seams.pressed]);
  expect(rows.length).toBeGreaterThan(1);
  expect(rows.some(({ names }) => names.length === 2)).toBe(true);
  expect(Math.max(...rows.map(({ worstMm }) => worstMm))).toBeCloseTo(seams.worstMm, 9);
});

test('what weighs nothing has no middle', () => {
  expect(wholeMass(airframeOf([]))).toEqual({ rows: [], massG: 0, standingG: 0 });
});
