import { demo } from '../../test/demos.ts';
import { assemble, foldedBy, assemblyClashes, PRESS_FAULT_MM } from '../folds/index.ts';
import { makeForm } from '../forms/index.ts';
import type { Airframe } from './airframe.ts';
import { seamsOfAirframe } from './assembled.ts';
import { foldFaults } from './fold-faults.ts';
import { withFormsMade } from './forms-of-airframe.ts';
import { formContext, standingParts } from './made-at-scale.ts';
import { OPEN_FAULT_MM } from './standing-faults.ts';

const measured = (airframe: Airframe, times: number): Airframe =>
  withFormsMade({
    ...airframe,
    boards: airframe.boards.map((board) => ({ ...board, thicknessMm: board.thicknessMm * times })),
  });

describe.each([
  // What is drawn beside the made parts.
  ['reedling-1100', 9, []],
  ['saltbox-36', 6, ['Aileron']],
] as const)('%s', (name, forms, drawn) => {
  const airframe = demo(name);

  it('is whole from forms', () => {
    expect(airframe.forms).toHaveLength(forms);
    expect(airframe.parts.filter(({ source }) => !source).map((part) => part.name)).toEqual(drawn);
    for (const form of airframe.forms!)
      expect([form.name, makeForm(form, formContext(airframe)).faults]).toEqual([form.name, []]);
  });

  it('stands: no seam open, no piece in another', () => {
    expect(foldFaults(airframe)).toEqual([]);
    const gaps = seamsOfAirframe(airframe).map(({ gapMm }) => gapMm);
    expect(gaps.length).toBeGreaterThan(20);
    expect(Math.max(...gaps)).toBeLessThan(OPEN_FAULT_MM);
    const clashes = assemblyClashes(assemble(standingParts(airframe, airframe.parts), foldedBy(1)));
    expect(clashes.filter(({ depthMm }) => depthMm > PRESS_FAULT_MM)).toEqual([]);
  });

  it('stands in boards measured an eighth thinner', () => {
    expect(foldFaults(measured(airframe, 7 / 8))).toEqual([]);
  });
});

it('tells what thicker boards leave no room for: the boom between walls that are 20 mm apart outside', () => {
  const faults = foldFaults(measured(demo('reedling-1100'), 5.4 / 4.9)).map(({ title }) => title);
  // Two walls and two boards of the boom are 4 · 5.4 = 21.6 mm: 0.8 mm too much on either side.
  expect(faults).toContainEqual(expect.stringMatching(/^Pod wall and Boom layer 1 press 0\.(79|80) mm/));
});
