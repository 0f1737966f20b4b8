import { withForm, withFormsKept, withoutForm } from '../airframe/index.ts';
import { airframeOf, closingFaults } from '../../test/wings.ts';
import { boundsOf } from '../geometry/index.ts';
import { outlineOf, type Part } from '../part/index.ts';
import type { FormContext } from './form/index.ts';
import { restOfBoards } from './rest-of-boards.ts';
import {
  formsFromNumbers,
  usualNumbers,
  WING_STARTS,
  withParameters,
  makeForm,
  type WingForm,
  type WingBuild,
} from './index.ts';

const CONTEXT: FormContext = {
  unit: 'mm',
  boardOf: () => ({ thicknessMm: 5, gramsPerSquareMetre: 480, longestMm: 1000, widthMm: 560 }),
  wingOf: () => undefined,
};
const naming = (name: string) => ({ id: name.toLowerCase().replace(/\W/g, ''), name });
const start = (
  kind: (typeof WING_STARTS)[number],
  build: WingBuild = 'folded',
  unit: 'mm' | 'in' = 'mm',
): readonly WingForm[] => formsFromNumbers(kind, build, { ...usualNumbers(kind, unit), material: 'foam' }, naming);
const width = (part: Part): number => {
  const { minY, maxY } = boundsOf(outlineOf(part)!.nodes);
  return maxY - minY;
};

test.each(
  WING_STARTS.flatMap((kind) =>
    (['folded', 'stepped', 'cambered', 'cored'] as const).map((build) => [kind, build] as const),
  ),
)('a %s of six numbers, %s, makes parts that close, in either unit', (kind, build) => {
  for (const unit of ['mm', 'in'] as const) {
    const forms = start(kind, build, unit);
    expect(forms).toHaveLength(kind === 'biplane' || kind === 'canard' ? 2 : 1);
    const made = forms.reduce((held, form) => withForm(held, form), airframeOf([]));
    for (const form of forms) expect(made.parts.some(({ source }) => source!.formId === form.id)).toBe(true);
    expect(closingFaults(made).filter((title) => / open /.test(title))).toEqual([]);
  }
});

test('a lower wing stands by the upper one wherever that goes, and stays where it stands when that one is gone', () => {
  const [upper, lower] = start('biplane');
  const made = [upper!, lower!].reduce((held, form) => withForm(held, form), airframeOf([]));
  // By hand: 0.3 and 1 of a chord of 150; one degree of decalage.
  expect(made.forms![1]!.place).toEqual({ at: { x: 45, y: 0, z: -150 }, incidenceDegrees: -1 });
  const moved = withForm(made, { ...made.forms![0]!, place: { at: { x: 100, y: 0, z: 80 }, incidenceDegrees: 3 } });
  expect(moved.forms![1]!.place).toEqual({ at: { x: 145, y: 0, z: -70 }, incidenceDegrees: 2 });
  const heights = (airframe: typeof made): number =>
    airframe.parts.find(({ source }) => source!.formId === 'lowerwing')!.place!.at.z;
  expect(heights(moved)).toBeGreaterThan(heights(made) + 70);
  const alone = withFormsKept(moved, withoutForm(moved, 'upperwing', false));
  expect(alone.forms).toHaveLength(1);
  expect(alone.forms![0]).toMatchObject({ id: 'lowerwing', place: moved.forms![1]!.place });
  expect(alone.forms![0]).not.toHaveProperty('standsBy');
});

test('a form that stands by itself, by none, or by one that stands by another stays where it is said', () => {
  const [upper, lower] = start('biplane');
  for (const formId of ['upperwing', 'gone', 'lowerwing']) {
    const made = [
      upper!,
      lower!,
      { ...upper!, id: 'third', standsBy: { formId, aftMm: 9, upMm: 9, noseDownDegrees: 0 } },
    ].reduce((held, form) => withForm(held, form), airframeOf([]));
    expect(made.forms![2]!.place.at).toEqual(formId === 'upperwing' ? { x: 9, y: 0, z: 9 } : { x: 0, y: 0, z: 0 });
  }
});

test('the lower wing comes out of what the skins of the upper leave of their boards', () => {
  const [upper, lower] = start('biplane');
  const skin = makeForm(upper!, CONTEXT).parts.find(({ source }) => source!.role === 'skin-1')!;
  const found = restOfBoards(upper!, lower!, CONTEXT, 3);
  if ('refused' in found) throw new Error(found.refused);
  // By hand: what a board of 560 leaves beside one skin, with 3 round everything.
  // Its two strips of the spar, 8 high, lie beside it.
  const each = width(skin) + 3 + 2 * (8 - 0.04 + 3);
  expect(found.beside).toBe(1);
  expect(found.restMm).toBeCloseTo(560 - 3 - each, 3);
  const made = makeForm({ ...lower!, parameters: withParameters(lower!.parameters, found.changes) }, CONTEXT);
  const own = width(made.parts.find(({ source }) => source!.role === 'skin-1')!);
  expect(own + 22).toBeLessThanOrEqual(found.restMm - 3 + 0.1);
  expect(own + 22).toBeGreaterThan(found.restMm - 3 - 1);
});

test('a wing that is larger than its board, of another board, or that leaves too little is told', () => {
  const [upper, lower] = start('biplane');
  const small: FormContext = { ...CONTEXT, boardOf: () => ({ ...CONTEXT.boardOf('foam'), widthMm: 200 }) };
  expect(restOfBoards(upper!, lower!, small, 3)).toMatchObject({
    refused: expect.stringContaining('larger than its board'),
  });
  const other = { ...lower!, parameters: { ...lower!.parameters, material: 'ply' } };
  expect(restOfBoards(upper!, other, CONTEXT, 3)).toMatchObject({ refused: expect.stringContaining('another board') });
  const skin = makeForm(upper!, CONTEXT).parts.find(({ source }) => source!.role === 'skin-1')!;
  const tight: FormContext = { ...CONTEXT, boardOf: () => ({ ...CONTEXT.boardOf('foam'), widthMm: width(skin) + 60 }) };
  expect(restOfBoards(upper!, lower!, tight, 3)).toMatchObject({
    refused: expect.stringContaining('too little for Lower wing'),
  });
});
