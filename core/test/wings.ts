import { DEFAULT_SETTINGS, foldFaults, standardBoard, type Airframe } from '../src/airframe/index.ts';
import type { FormContext, WingForm, WingParameters } from '../src/forms/index.ts';
import { wingFromNumbers } from '../src/forms/index.ts';
import type { Part } from '../src/part/index.ts';

export const T = 5;
export const CONTEXT: FormContext = {
  unit: 'mm',
  boardOf: () => ({ thicknessMm: T, gramsPerSquareMetre: 480 }),
  wingOf: () => undefined,
};
export const formOf = (parameters: WingParameters): WingForm => ({
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters,
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
export const USUAL = wingFromNumbers({
  spanMm: 900,
  rootChordMm: 180,
  tipChordMm: 180,
  dihedralDegrees: 5,
  sparHeightMm: 10,
  material: 'foam',
});
export const panel = (
  id: string,
  more: Partial<WingParameters['panels'][number]>,
): WingParameters['panels'][number] => ({
  id,
  spanMm: 200,
  tipChordMm: 180,
  sweepDegrees: 0,
  dihedralDegrees: 0,
  washoutDegrees: 0,
  ...more,
});
export const airframeOf = (parts: readonly Part[]): Airframe => ({
  id: 'a',
  name: 'A',
  settings: DEFAULT_SETTINGS,
  parts,
  boards: [
    { ...standardBoard('b', 'foam'), widthMm: 3000, heightMm: 3000 },
    { ...standardBoard('p', 'ply'), thicknessMm: 3, widthMm: 3000, heightMm: 3000 },
  ],
});

/** Faults of the folded wing beyond a tenth of a millimetre of press or 0.35 of opening: corners are kept to a step of 0.085. */
export const closingFaults = (airframe: Airframe): readonly string[] =>
  foldFaults(airframe)
    .filter(({ code }) => code !== 'FOLD_BLOCKED')
    .map(({ title }) => title)
    .filter((title) => !/ (press 0\.(0\d|10)|open by 0\.3[0-5]) mm/.test(title));
