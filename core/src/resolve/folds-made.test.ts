import fc from 'fast-check';
import { after, context, groove, plate, withBevel, withLine } from '../../test/samples.ts';
import { foldOfMouth } from '../allowance/index.ts';
import { partFaults } from '../checks/index.ts';
import { applyCommand } from '../editing/index.ts';
import { plateBody } from '../folds/index.ts';
import { USUAL_FOLDS, type FoldDefaults, type OperationDraft, type Stroke } from '../operations/index.ts';
import type { Part } from '../part/index.ts';
import { polylineDraft } from '../paths/index.ts';
import { resolve } from './resolve.ts';
import { worded } from '../units/index.ts';

const stroke = (part: Part, folds?: FoldDefaults, thicknessMm = 5): Stroke =>
  resolve(part, { ...context, thicknessMm, ...(folds ? { folds } : {}) }).strokes[0]!;
const bevelLine: OperationDraft = { kind: 'bevel', face: 'face', bevelDegrees: 45, label: '' };
const codes = (part: Part): string[] =>
  partFaults(part, resolve(part, context), context, {
    boards: [],
    scale: 1,
    edgeMarginMm: 3,
    turnStep: 90,
    variants: [],
  })
    .map(({ code }) => code)
    .filter((code) => code !== 'BOARD_MISSING');

describe('how folds are made', () => {
  const tool: FoldDefaults = { ...USUAL_FOLDS, school: 'tool', toolDegrees: 45, hingeOn: 'tape' };
  const part = withLine(plate(200, 100), [0, 50], [200, 50], groove(60));
  test('follows the airframe until the fold says it itself', () => {
    expect(stroke(part)).toMatchObject({
      widthMm: expect.closeTo(5.7735, 4),
      cut: { school: 'knife' },
      caption: 'fold 60°',
    });
    expect(stroke(part, tool)).toMatchObject({
      widthMm: expect.closeTo(10, 9),
      cut: { school: 'tool', toolDegrees: 45 },
      isTaped: true,
      caption: 'fold 60° · 45° tool · tape',
    });
    const own = after(part, {
      name: 'changeOperation',
      args: { operationId: part.operations[0]!.id, changes: { school: 'sanded', hingeOn: 'skin' } },
    });
    expect(stroke(own, tool)).toMatchObject({ widthMm: expect.closeTo(5.7735, 4), caption: 'fold 60° · sanded' });
    const back = after(own, {
      name: 'changeOperation',
      args: { operationId: part.operations[0]!.id, changes: { school: undefined, hingeOn: undefined } },
    });
    expect(back.operations).toEqual(part.operations);
  });
  test('a square cut stands its plates back from the hinge on both skins; its lips meet when it is folded', () => {
    const folded = plateBody(withLine(plate(200, 100), [0, 50], [200, 50], groove(90)), {
      ...context,
      folds: { ...USUAL_FOLDS, school: 'square' },
    })!;
    const near = folded.solids.map(({ bottom, top }) =>
      [bottom, top].map((ring) => Math.min(...ring.map(({ y }) => Math.abs(y - 50)))),
    );
    expect(near).toEqual([
      [expect.closeTo(5, 2), expect.closeTo(5, 2)],
      [expect.closeTo(5, 2), expect.closeTo(5, 2)],
    ]);
  });
  test('a fold that its tool cannot close is told, with the mend', () => {
    const drawn = withLine(plate(200, 100), [0, 50], [200, 50], groove(110)),
      operationId = drawn.operations[0]!.id;
    const steep = after(drawn, {
      name: 'changeOperation',
      args: { operationId, changes: { school: 'tool', toolDegrees: 45 } },
    });
    expect(codes(steep)).toEqual(['GROOVE_STEEP']);
    expect(
      applyCommand(steep, { name: 'changeOperation', args: { operationId, changes: { toolDegrees: 89 } } }),
    ).toMatchObject({ ok: false, message: 'The tilt of the tool of a mitre groove is from 5° to 80°, got 89.' });
  });
});

describe('two bevel lines', () => {
  const lips = (mouth: number): Part =>
    withLine(
      withLine(plate(200, 100), [0, 50 - mouth / 2], [200, 50 - mouth / 2], bevelLine),
      [200, 50 + mouth / 2],
      [0, 50 + mouth / 2],
      bevelLine,
    );
  test('are one groove on their middle line that folds to where its lips meet: 10 mm apart in 5 mm board, 90°', () => {
    const [one, ...others] = resolve(lips(10), context).strokes;
    expect(others).toEqual([]);
    expect(one).toMatchObject({ kind: 'groove', widthMm: expect.closeTo(10, 9), angleDegrees: expect.closeTo(90, 9) });
    expect(one!.paths[0]!.map(({ from, to }) => [from.y, to.y])).toEqual([
      [expect.closeTo(50, 9), expect.closeTo(50, 9)],
    ]);
    expect(plateBody(lips(10), context)!.solids).toHaveLength(2);
    expect(codes(lips(10))).toEqual([]);
  });
  test('whatever their distance, plates folded to the angle found neither press nor gape', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 16, noNaN: true }), (mouth) => {
        const { angleDegrees } = stroke(lips(mouth));
        expect(angleDegrees).toBeCloseTo(foldOfMouth(mouth, 5), 9);
      }),
      { numRuns: 30 },
    );
  });
  test('are made one line that follows the board', () => {
    const part = lips(10),
      made = after(part, { name: 'lipsToFold', args: { operationId: part.operations[1]!.id, thicknessMm: 5 } });
    expect(made.lines).toHaveLength(1);
    expect(stroke(made, undefined, 6.2)).toMatchObject({
      kind: 'groove',
      angleDegrees: 90,
      widthMm: expect.closeTo(12.4, 9),
    });
  });
  test('one alone is told, and so are two too far apart', () => {
    expect(codes(withLine(plate(200, 100), [0, 50], [200, 50], bevelLine))).toEqual(['LIP_ALONE']);
    expect(codes(lips(30))).toEqual(['LIP_ALONE', 'LIP_ALONE']);
    expect(
      applyCommand(plate(200, 100), {
        name: 'drawLine',
        args: {
          draft: polylineDraft([
            { x: 0, y: 0 },
            { x: 9, y: 9 },
            { x: 20, y: 0 },
          ]),
          operation: bevelLine,
        },
      }),
    ).toMatchObject({ ok: false });
  });
});

describe('another kind of work on a line', () => {
  const changed = (operation: OperationDraft, kind: Parameters<typeof made>[1]): unknown =>
    made(withLine(plate(200, 100), [0, 50], [200, 50], operation), kind);
  function made(part: Part, kind: 'groove' | 'trench' | 'crease' | 'slit' | 'mark' | 'bevel' | 'pocket'): unknown {
    const result = applyCommand(part, { name: 'changeWork', args: { operationId: part.operations[0]!.id, kind } });
    return result.ok ? result.part.operations[0] : result.message;
  }
  test('a fold keeps its id, its label, and the way it turns, as far as its style can', () => {
    expect(changed({ ...groove(70), label: 'wall' }, 'trench')).toMatchObject({
      id: 'o14',
      kind: 'trench',
      foldDegrees: 90,
      face: 'face',
      label: 'wall',
    });
    expect(changed(groove(70), 'crease')).toMatchObject({ kind: 'crease', foldDegrees: 35, face: 'face' });
    // A slit opens: to turn toward the face it is cut from the back, and back again it is a groove in the face.
    expect(changed(groove(70), 'slit')).toMatchObject({ kind: 'slit', foldDegrees: 70, face: 'back' });
    expect(
      changed({ kind: 'slit', face: 'back', foldDegrees: 70, depthMm: 'auto', label: '' }, 'groove'),
    ).toMatchObject({ kind: 'groove', foldDegrees: 70, face: 'face' });
  });
  test('what cannot be is refused', () => {
    expect(changed(groove(70), 'pocket')).toContain('A pocket needs a closed line');
    expect(made(withBevel(plate(200, 100), 0, 30), 'groove')).toContain('Work on an edge stays');
  });
});

test('creases to a drawn section: a quarter round of radius 60 is met by four creases of 18°, and told how far it is off', () => {
  let part = withLine(plate(200, 300), [0, 40], [200, 40], {
    kind: 'crease',
    face: 'face',
    foldDegrees: 10,
    label: 'deck',
  });
  const crease = part.operations[0]!.id;
  part = after(part, {
    name: 'drawLine',
    args: {
      draft: {
        points: [
          { x: 300, y: 0 },
          { x: 360, y: 60 },
        ],
        segments: [{ kind: 'arc', bulge: Math.tan(Math.PI / 8) }],
        closed: false,
      },
      operation: { kind: 'mark', face: 'face', label: 'section' },
    },
  });
  const result = applyCommand(part, {
    name: 'creaseSection',
    args: { operationId: crease, sectionPathId: part.lines.at(-1)!.id, creases: 4, side: 'left' },
  });
  if (!result.ok) throw new Error(result.message);
  expect(worded(result.label, 'mm')).toBe('Crease to a section, 0.74 mm off');
  const rows = result.part.operations.filter(({ kind }) => kind === 'crease');
  expect(rows.map((one) => ('foldDegrees' in one ? one.foldDegrees : 0))).toEqual(
    [18, 18, 18, 18].map((angle) => expect.closeTo(angle, 0)),
  );
  const ys = rows.map(({ on }) => result.part.lines.find(({ id }) => id === on.pathId)!.nodes[0]!.y);
  // Strips are chords of 18°: 2 · 60 · sin 9° = 18.77.
  expect(ys[0]).toBe(40);
  for (const [index, y] of ys.entries()) expect(y).toBeCloseTo(40 + 18.77 * index, 0);
  expect(
    applyCommand(part, {
      name: 'creaseSection',
      args: { operationId: crease, sectionPathId: crease, creases: 4, side: 'left' },
    }),
  ).toMatchObject({ ok: false });
});
