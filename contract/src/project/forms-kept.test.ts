import { someParts, withForm } from '@grain-fold/core/airframe';
import { wingFromNumbers, type Form } from '@grain-fold/core/forms';
import { airframeOf } from '../../../core/test/samples.ts';
import { readProjectFile, writeProjectFile } from '../index.ts';

const parameters = wingFromNumbers({
  spanMm: 913.37,
  rootChordMm: 184.15,
  tipChordMm: 133.35,
  dihedralDegrees: 3.5,
  sparHeightMm: 9.525,
  material: 'foam',
});
const form: Form = {
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters: {
    ...parameters,
    section: { kind: 'naca', digits: '23012', creases: 7 },
    tail: 'sanded',
    ribs: {
      spacingMm: 101.6,
      material: 'foam',
      endMaterial: 'ply',
      hasWindows: true,
      tubes: [{ panelId: 'p1', atPercent: 50, diameterMm: 4, reachMm: 50.8 }],
    },
    layers: [{ side: 'top', fromPercent: 0, toPercent: 33.3 }],
    camber: { heightPercent: 4.5, atPercent: 41 },
    servos: [{ panelId: 'p1', outMm: 200, aftMm: 2, lengthMm: 23, widthMm: 9, heightMm: 24, leadMm: 150 }],
  },
  place: { at: { x: 120.5, y: 0, z: 33 }, incidenceDegrees: 2 },
};
const airframe = withForm(airframeOf([]), form);
const data = (): Record<string, unknown> => JSON.parse(writeProjectFile(airframe)) as Record<string, unknown>;
/** The file with one value changed, by its path. */
function changed(path: string, value: unknown): string {
  const file = data(),
    keys = path.split('.');
  const held = keys.slice(0, -1).reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, file);
  held[keys.at(-1)!] = value;
  return JSON.stringify(file);
}

test('a form and the parts that it makes come back from a file to the last digit', () => {
  expect(airframe.parts.length).toBeGreaterThan(3);
  const read = readProjectFile(writeProjectFile(airframe));
  expect(read).toEqual({ ok: true, airframe });
});

test('parts taken out of an airframe by themselves are drawn parts, in a file that can be read', () => {
  const [skin, spar] = airframe.parts,
    read = readProjectFile(writeProjectFile(someParts(airframe, [skin!.id, spar!.id])));
  expect(read).toMatchObject({ ok: true, airframe: { parts: [{ id: skin!.id }, { id: spar!.id }] } });
  expect(read.ok && [read.airframe.forms, ...read.airframe.parts.map(({ source }) => source)]).toEqual([
    undefined,
    undefined,
    undefined,
  ]);
});

test.each([
  ['forms.0.parameters.rootChordMm', null, 'rootChordMm: must not be null'],
  ['forms.0.parameters.rootChordMm', 1e9, 'must be at most 2000'],
  ['forms.0.parameters.sparBoards', 1.5, 'whole number'],
  ['forms.0.parameters.section.digits', '24x2', 'four or five digits'],
  ['forms.0.parameters.panels', [], 'panels'],
  ['forms.0.parameters.build', 'glass', 'must be folded'],
  ['forms.0.parameters.layers.0.side', 'left', 'must be top or bottom'],
  ['forms.0.parameters.layers', Array.from({ length: 9 }, () => ({})), 'layers'],
  ['forms.0.parameters.camber.heightPercent', -1, 'must be at least 0.5'],
  ['forms.0.parameters.ribs.tubes.0.reachMm', 1e7, 'must be at most 1500'],
  ['forms.0.parameters.ribs.hasWindows', 'yes', 'true or false'],
  ['forms.0.parameters.panels.0.sweepDegrees', 89, 'must be at most 60'],
  ['forms.0.parameters.colour', 'red', 'not a known field'],
  ['forms.0.kind', 'balloon', 'kind'],
  ['forms.0.name', 'W'.repeat(60), 'at most 40'],
  ['parts.0.source.formId', 'w9', 'there is no form "w9"'],
  ['parts.0.source.own', ['outline'], 'must be some of'],
  ['parts.0.place.onPlate', { x: 1e9, y: 0 }, 'at most 10000'],
])('%s = %j is refused by its field', (path, value, message) => {
  expect(readProjectFile(changed(path, value))).toMatchObject({ ok: false, message: expect.stringContaining(message) });
});

test('two forms of one id are refused', () => {
  const file = data();
  file['forms'] = [...(file['forms'] as unknown[]), (file['forms'] as unknown[])[0]];
  expect(readProjectFile(JSON.stringify(file))).toMatchObject({ ok: false, message: expect.stringContaining('twice') });
});
