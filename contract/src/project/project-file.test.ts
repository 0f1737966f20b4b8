import fs from 'node:fs';
import path from 'node:path';
import Ajv2020 from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { cutBoard, scrapped, type Airframe } from '@grain-fold/core/airframe';
import { LARGEST_PROJECT_FILE, readProjectFile, writeProjectFile } from '../index.ts';
import { projectSchema, projectSchemaText } from '../schema/project-schema.ts';

const root = path.resolve(import.meta.dirname, '../../..');
const demos = fs
  .readdirSync(path.join(root, 'demo'))
  .filter((name) => name.endsWith('.json'))
  .map((name) => fs.readFileSync(path.join(root, 'demo', name), 'utf8'));
const mite = demos.find((text) => text.includes('Paperbark Mite'))!;
const data = (): Record<string, unknown> & { parts: { id: string }[] } =>
  JSON.parse(mite) as Record<string, unknown> & { parts: { id: string }[] };
const read = (file: unknown): ReturnType<typeof readProjectFile> =>
  readProjectFile(typeof file === 'string' ? file : JSON.stringify(file));
const airframe = (text: string): Airframe => {
  const result = readProjectFile(text);
  if (!result.ok) throw new Error(result.message);
  return result.airframe;
};

test.each(demos.map((text) => [airframe(text).name, text]))(
  '%s: written and read again it is the same airframe, to the last digit',
  (_, text) => {
    expect(airframe(writeProjectFile(airframe(text)))).toEqual(airframe(text));
    expect(writeProjectFile(airframe(text))).toBe(text);
  },
);
test('a file of version 1 is read and written as one of this version', () =>
  expect(JSON.parse(writeProjectFile(airframe(mite.replace('"formatVersion": 3', '"formatVersion": 1'))))).toEqual(
    JSON.parse(mite),
  ));
test('a byte-order mark in front is no fault', () => expect(read(`\uFEFF${mite}`).ok).toBe(true));

test('boards that are cut, with what was cut and what came to nothing, are written and read again as they are', () => {
  const before = airframe(mite);
  const cut = cutBoard(before, 0, [], () => 'b9', '2026-01-02')!.airframe;
  const spoilt = {
    ...cut,
    settings: { ...cut.settings, nest: { ...cut.settings.nest, turnsFreely: true as const } },
    nest: scrapped(cut.nest!, cut.nest!.boards[0]!.placements.slice(0, 1), true),
  };
  expect(spoilt.nest.boards[0]!.cutPieces!.length).toBeGreaterThan(1);
  expect(airframe(writeProjectFile(spoilt))).toEqual(spoilt);
});

/** A demo file with one place changed. */
const changed = (at: string, value: unknown): unknown => {
  const file = data();
  const keys = at.split('.');
  const last = keys.pop()!;
  const holder = keys.reduce<Record<string, unknown>>((object, key) => object[key] as Record<string, unknown>, file);
  if (value === undefined) delete holder[last];
  else holder[last] = value;
  return file;
};
/** A joint that would hold but for the field that a case breaks. */
const JOINT = {
  id: 'k9001',
  ownSegmentId: 's1',
  ownSkin: 'back',
  toPartId: 'elsewhere',
  toSegmentId: 's1',
  toSkin: 'face',
  turnDegrees: 90,
  alongMm: 0,
  isReversed: false,
};
test.each<[string, unknown, string, string]>([
  ['a file of another kind', { hello: 1 }, 'FILE_OF_ANOTHER_KIND', 'grain-fold-airframe'],
  ['a list', [1, 2], 'FILE_OF_ANOTHER_KIND', 'format'],
  ['a newer file', { ...data(), formatVersion: 99 }, 'FILE_NEWER', '99'],
  ['a version that is text', { ...data(), formatVersion: 'one' }, 'FILE_DAMAGED', 'formatVersion'],
  [
    'a coordinate that is text',
    changed('parts.1.contours.0.nodes.2.x', 'wide'),
    'FILE_DAMAGED',
    'parts[1].contours[0].nodes[2].x',
  ],
  ['a coordinate 100 m away', changed('parts.1.contours.0.nodes.2.x', 100_000), 'FILE_DAMAGED', 'at most 10000'],
  ['a missing material', changed('parts.0.material', undefined), 'FILE_DAMAGED', 'parts[0].material'],
  [
    'a field that nobody knows',
    changed('parts.0.colour', 'red'),
    'FILE_DAMAGED',
    'parts[0].colour: is not a known field',
  ],
  ['an operation of no kind', changed('parts.1.operations.0.kind', 'saw'), 'FILE_DAMAGED', 'parts[1].operations[0]'],
  [
    'an operation on a line that is not there',
    changed('parts.1.operations.0.on.pathId', 'l999'),
    'FILE_DAMAGED',
    'l999',
  ],
  [
    'too few segments',
    changed('parts.1.contours.0.segments', [{ id: 's1', kind: 'line' }]),
    'FILE_DAMAGED',
    'parts[1].contours[0].segments',
  ],
  ['a scale of 0', changed('settings.scale', 0), 'FILE_DAMAGED', 'settings.scale'],
  ['a part twice', { ...data(), parts: [...data().parts, data().parts[0]] }, 'FILE_DAMAGED', 'used twice'],
  [
    'a feature that nobody knows',
    changed('parts.0.features', [{ id: 'f9001', kind: 'window', label: '', at: { x: 1, y: 1 }, angleDegrees: 0 }]),
    'FILE_DAMAGED',
    'parts[0].features[0]',
  ],
  [
    'a feature with a name of its own',
    changed('parts.0.features', [
      { id: 'dowel', kind: 'dowel', label: '', at: { x: 1, y: 1 }, angleDegrees: 0, diameterMm: 3, fitMm: 0 },
    ]),
    'FILE_DAMAGED',
    'parts[0].features[0].id',
  ],
  [
    'a dowel of no size',
    changed('parts.0.features', [
      { id: 'f9001', kind: 'dowel', label: '', at: { x: 1, y: 1 }, angleDegrees: 0, diameterMm: 0, fitMm: 0 },
    ]),
    'FILE_DAMAGED',
    'diameterMm',
  ],
  [
    'tabs on an edge that is not there',
    changed('parts.0.features', [
      {
        id: 'f9001',
        kind: 'tabs',
        label: '',
        on: { pathId: 'c1', segmentId: 's999' },
        count: 1,
        lengthMm: 9,
        material: '',
        reachMm: 'auto',
      },
    ]),
    'FILE_DAMAGED',
    'parts[0].features[0]',
  ],
  [
    'slots for a mate that is no reference',
    changed('parts.0.features', [
      {
        id: 'f9001',
        kind: 'slots',
        label: '',
        at: { x: 1, y: 1 },
        angleDegrees: 0,
        mate: '../../x',
        slantDegrees: 0,
        fitMm: 0,
      },
    ]),
    'FILE_DAMAGED',
    'mate',
  ],
  [
    'a drawn point named like a feature’s own',
    changed('parts.1.contours.0.nodes.2.id', 'f1-2'),
    'FILE_DAMAGED',
    'parts[1].contours[0]: the id "f1-2" is that of something a feature draws',
  ],
  [
    'a guide beside itself',
    changed('parts.0.guides', [{ id: 'g9001', name: 'g', kind: 'beside', of: { guideId: 'g9001' }, byMm: 3 }]),
    'FILE_DAMAGED',
    'parts[0].guides[0].of',
  ],
  [
    'a point attached to no guide',
    changed('parts.0.attachments', [{ nodeId: 'n1', guideId: 'g1' }]),
    'FILE_DAMAGED',
    'attachments[0]',
  ],
  ['a thing that exists in no variant', changed('parts.0.variants', []), 'FILE_DAMAGED', 'parts[0].variants'],
  [
    'a centre line that is text',
    changed('parts.0.symmetry', { along: 'level', atMm: 'here' }),
    'FILE_DAMAGED',
    'parts[0].symmetry.atMm',
  ],
  [
    'a part that stands on itself',
    changed('parts.0.joints', [{ ...JOINT, toPartId: data().parts[0]!.id }]),
    'FILE_DAMAGED',
    'parts[0].joints[0].toPartId: a part cannot stand on itself',
  ],
  [
    'a joint by an edge that is not there',
    changed('parts.0.joints', [{ ...JOINT, ownSegmentId: 's99999' }]),
    'FILE_DAMAGED',
    's99999',
  ],
  [
    'a joint turned by more than half a turn',
    changed('parts.0.joints', [{ ...JOINT, turnDegrees: 200 }]),
    'FILE_DAMAGED',
    'parts[0].joints[0].turnDegrees',
  ],
  [
    'a joint on a text that is no edge',
    changed('parts.0.joints', [{ ...JOINT, toSegmentId: '../s1' }]),
    'FILE_DAMAGED',
    'toSegmentId',
  ],
  [
    'a place that is no number',
    changed('parts.0.place', { at: { x: 0, y: null, z: 0 }, rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0 }),
    'FILE_DAMAGED',
    'parts[0].place.at.y',
  ],
  [
    'a seam with a part that is no id',
    changed('parts.0.seams', [{ id: 'j9001', fromSegmentId: 's1', toSegmentId: 's2', toPartId: '<b>' }]),
    'FILE_DAMAGED',
    'toPartId',
  ],
  [
    'an order of folds that names no fold',
    changed('parts.0.foldOrder', ['o99999']),
    'FILE_DAMAGED',
    'parts[0].foldOrder',
  ],
  [
    'a school that nobody teaches',
    changed('settings.folds', { style: 'groove', school: 'laser beam', toolDegrees: 45, hingeOn: 'skin' }),
    'FILE_DAMAGED',
    'settings.folds.school',
  ],
  [
    'a tool that lies flat',
    changed('settings.folds', { style: 'groove', school: 'tool', toolDegrees: 90, hingeOn: 'skin' }),
    'FILE_DAMAGED',
    'settings.folds.toolDegrees',
  ],
  ['null for a part', changed('parts.0', null), 'FILE_DAMAGED', 'parts[0]'],
  ['a list for a part', changed('parts.0', []), 'FILE_DAMAGED', 'parts: must be a list of objects, number 1 is none'],
  ['a list for the settings', changed('settings', []), 'FILE_DAMAGED', 'settings: must be an object'],
  ['no settings', changed('settings', undefined), 'FILE_DAMAGED', 'settings: must be an object'],
  ['no page settings', changed('settings.pages', undefined), 'FILE_DAMAGED', 'settings.pages: must be an object'],
  [
    'a text for the nest settings',
    changed('settings.nest', 'none'),
    'FILE_DAMAGED',
    'settings.nest: must be an object',
  ],
  [
    'a part without its grain',
    changed('parts.1.grain', undefined),
    'FILE_DAMAGED',
    'parts[1].grain: must be an object',
  ],
  ['a list for a centre line', changed('parts.1.symmetry', []), 'FILE_DAMAGED', 'parts[1].symmetry: must be an object'],
  [
    'work that is on nothing',
    changed('parts.1.operations.0.on', undefined),
    'FILE_DAMAGED',
    'parts[1].operations[0].on',
  ],
  [
    'a point that is a list',
    changed('parts.1.contours.0.nodes.2', [1, 2]),
    'FILE_DAMAGED',
    'nodes: must be a list of objects, number 3 is none',
  ],
  [
    'a field named like what every object has',
    changed('parts.1.constructor', {}),
    'FILE_DAMAGED',
    'parts[1].constructor',
  ],
  ['null for the nest', changed('nest', null), 'FILE_DAMAGED', 'nest: must not be null'],
  [
    'a piece that is scrap or not',
    changed('nest.boards.0.placements.0.isScrap', false),
    'FILE_DAMAGED',
    'isScrap: must be true',
  ],
  [
    'a piece that was cut as a line',
    changed('nest.boards.0.cutPieces', [{ id: 'p1', name: 'Rib', outline: { corners: [0, 0, 10, 0] } }]),
    'FILE_DAMAGED',
    'nest.boards[0].cutPieces[0].outline.corners',
  ],
  [
    'a part turned freely or not',
    changed('settings.nest.turnsFreely', false),
    'FILE_DAMAGED',
    'settings.nest.turnsFreely: must be true, or left out',
  ],
  ['no segment', changed('parts.1.contours.0.segments.0', null), 'FILE_DAMAGED', 'parts[1].contours[0].segments'],
])('%s is refused, naming the field', (_, file, code, words) =>
  expect(read(file)).toMatchObject({ ok: false, code, message: expect.stringContaining(words) }),
);

test('a file that was cut off names the line', () => {
  const cut = mite.slice(0, Math.floor(mite.length / 2));
  expect(read(cut)).toMatchObject({
    ok: false,
    code: 'FILE_NOT_JSON',
    message: expect.stringMatching(new RegExp(`^Line ${cut.split('\n').length},`)),
  });
});
test('a file that is too large is refused before it is read', () =>
  expect(read('['.repeat(LARGEST_PROJECT_FILE + 1))).toMatchObject({ ok: false, code: 'FILE_TOO_LARGE' }));
test('a million brackets, and keys that reach for prototypes, do no harm', () => {
  expect(read('['.repeat(1_000_000)).ok).toBe(false);
  expect(read(mite.replace('"name"', '"__proto__": {"polluted": true}, "name"')).ok).toBe(false);
  expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
});
test('whatever text comes, it is an airframe or a reason', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc.integer({ min: 0, max: mite.length }).map((at) => mite.slice(0, at) + mite.slice(at + 7)),
      ),
      (text) => {
        const result = readProjectFile(text);
        if (!result.ok) expect(result.message.length).toBeGreaterThan(10);
      },
    ),
    { numRuns: 60 },
  );
});

describe('the JSON Schema', () => {
  const validate = new Ajv2020({ allErrors: false, strict: false }).compile(projectSchema());
  test('in the documentation is the one that the classes give', () =>
    expect(fs.readFileSync(path.join(root, 'docs/project-file.schema.json'), 'utf8')).toBe(projectSchemaText()));
  test('holds for every demo airframe', () => {
    for (const text of demos) expect(validate(JSON.parse(text))).toBe(true);
  });
  test('refuses what the program refuses', () => {
    for (const file of [
      changed('parts.1.contours.0.nodes.2.x', 'wide'),
      changed('parts.0.colour', 'red'),
      changed('parts.1.operations.0.kind', 'saw'),
      changed('settings.scale', 0),
      { ...data(), formatVersion: 6 },
    ])
      expect(validate(file)).toBe(false);
  });
});

describe('what stands nowhere in a file', () => {
  const named = (name: string) => readProjectFile(JSON.stringify({ ...JSON.parse(mite), name }));
  test.each([
    ['half a letter', 'Tern \ud83d', 'half a letter'],
    ['a flood of marks', `T${'\u0301'.repeat(9)}ern`, 'more than four marks'],
    ['a control character', 'Te\u0007rn', 'control character'],
  ])('%s is refused by its field', (_, name, words) => {
    expect(named(name)).toMatchObject({ ok: false, code: 'FILE_DAMAGED', message: expect.stringContaining(words) });
  });
  test('letters with marks of their own, and letters of two halves, stay', () => {
    for (const name of ['Flügel ố', 'नमस्ते', '🛩️ Tern', 'q\u0307\u0323'])
      expect(named(name)).toMatchObject({ ok: true, airframe: { name } });
  });
  test('a message shows what was there, or that nothing was', () => {
    const broken = JSON.parse(mite);
    delete broken.settings.unit;
    const read = readProjectFile(JSON.stringify(broken));
    expect(read).toMatchObject({ ok: false, message: expect.stringContaining('got nothing') });
  });
});
