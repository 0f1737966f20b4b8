import { jest } from '@jest/globals';
import { run } from '../marks/index.ts';
import type { OperationBase } from './operation-base.ts';
import type { OperationTraits } from './operation-kind.ts';
import * as known from './kinds.ts';
import { worded } from '../units/index.ts';

/** A made-up kind of work: a row of stitches that lets the board fold away from its face by up to 60°. */
interface Stitch extends OperationBase {
  readonly kind: 'stitch';
  readonly foldDegrees: number;
  readonly pitchMm: number;
  readonly side: 'left' | 'right';
}
const stitch: OperationTraits<Stitch> = {
  kind: 'stitch',
  word: 'row of stitches',
  toolWord: 'stitch',
  key: 'Y',
  hint: 'Click both ends of the row',
  ground: 'line',
  lineFault: ({ closed }) => (closed ? 'A row of stitches has two ends.' : undefined),
  fold: { sign: -1, numbers: (by) => ({ foldDegrees: Math.min(by, 60) }), cannot: () => undefined },
  fields: [
    { key: 'foldDegrees', word: 'Gives by', name: 'give', kind: 'angle', least: 0, most: 90 },
    { key: 'pitchMm', word: 'Pitch', name: 'pitch', kind: 'length', least: 1, most: 20 },
    {
      key: 'side',
      word: 'Knots lie',
      name: 'side of the knots',
      kind: 'choice',
      choices: [
        ['left', 'left of it'],
        ['right', 'right of it'],
      ],
    },
  ],
  defaults: { kind: 'stitch', face: 'face', foldDegrees: 30, pitchMm: 8, side: 'left' },
  trueWidthMm: () => 0,
  area: () => [],
  plateSide: ({ face }) => ({ kind: 'fold', runMm: 0, face }),
  caption: ({ foldDegrees }) => `stitched ${foldDegrees}°`,
  angleDegrees: ({ foldDegrees }) => foldDegrees,
  faults: () => [],
  mirrored: (operation) => ({ ...operation, side: operation.side === 'left' ? 'right' : 'left' }),
  marks: (_stroke, pen) => pen.centres('thin', 'dots'),
  sample: [
    { kind: 'path', path: run({ x: 0, y: 0 }, { x: 10, y: 0 }), closed: false, pen: 'thin', dash: 'dots', tone: 'ink' },
  ],
  legend: 'stitches',
  cutting: { order: 55, words: 'stitches', angleWords: (angle) => `gives ${angle}°` },
};

jest.unstable_mockModule('./kinds.ts', () => ({ ...known, KINDS: { ...known.KINDS, stitch } }));
const { applyCommand } = await import('../editing/index.ts');
const { cutCells, cutList, cutListPages } = await import('../cutting/index.ts');
const { plateBody } = await import('../folds/index.ts');
const { legendSample, legendWords } = await import('../ink/index.ts');
const { lineMarks, lineTexts } = await import('../linecode/index.ts');
const { resolve, starboardTwin } = await import('../resolve/index.ts');
const { FOLD_STYLES, mirroredOperation, OPERATION_KINDS, operationDraft, traitsOf } = await import('./index.ts');
const { plate } = await import('../../test/samples.ts');

type Kind = (typeof OPERATION_KINDS)[number];
const KIND = 'stitch' as Kind;
const context = { thicknessMm: 5, gramsPerSquareMetre: 500, plateThicknesses: {} };
const across = {
  points: [
    { x: 0, y: 50 },
    { x: 200, y: 50 },
  ],
  segments: [{ kind: 'line' as const }],
  closed: false,
};
const drawn = (changes: object = {}) =>
  applyCommand(plate(200, 100), {
    name: 'drawLine',
    args: { draft: across, operation: { ...operationDraft(KIND), ...changes } },
  });
const stitched = () => {
  const result = drawn();
  if (!result.ok) throw new Error(result.message);
  return result.part;
};

describe('a kind that is one file and one line in the table', () => {
  test('is a tool, a way to make folds, and drawn with its own first values', () => {
    expect(OPERATION_KINDS).toContain(KIND);
    expect(FOLD_STYLES).toContain(KIND);
    expect(traitsOf(KIND).key).toBe('Y');
    expect(stitched().operations).toMatchObject([{ kind: 'stitch', foldDegrees: 30, pitchMm: 8, side: 'left' }]);
  });
  test('has its numbers and choices kept within the table when it is drawn and when it is changed', () => {
    const refused = drawn({ pitchMm: 21 });
    expect(refused.ok || worded(refused.message, 'mm')).toBe(
      'The pitch of a row of stitches is from 1 mm to 20 mm, got 21.',
    );
    const change = (changes: Record<string, unknown>) =>
      applyCommand(stitched(), {
        name: 'changeOperation',
        args: { operationId: stitched().operations[0]!.id, changes },
      });
    expect(change({ pitchMm: 20, foldDegrees: 90, side: 'right' }).ok).toBe(true);
    expect(change({ side: 'above' })).toMatchObject({
      message: 'The side of the knots of a row of stitches is left or right, got above.',
    });
    expect(change({ depthMm: 2 })).toMatchObject({ message: 'A row of stitches has no depthMm to change.' });
  });
  test('refuses the lines that it cannot run on', () => {
    const closed = { ...across, points: [...across.points, { x: 100, y: 80 }], closed: true };
    const segments = [0, 1, 2].map(() => ({ kind: 'line' as const }));
    const result = applyCommand(plate(200, 100), {
      name: 'drawLine',
      args: { draft: { ...closed, segments }, operation: operationDraft(KIND) },
    });
    expect(result).toMatchObject({ message: 'A row of stitches has two ends.' });
  });
  test('can be made of another fold, which keeps its turn by lying on the other face', () => {
    const groove = applyCommand(plate(200, 100), {
      name: 'drawLine',
      args: { draft: across, operation: { ...operationDraft('groove'), foldDegrees: 80 } as never },
    });
    if (!groove.ok) throw new Error(groove.message);
    const made = applyCommand(groove.part, {
      name: 'changeWork',
      args: { operationId: groove.part.operations[0]!.id, kind: KIND },
    });
    expect(made).toMatchObject({ part: { operations: [{ kind: 'stitch', face: 'back', foldDegrees: 60 }] } });
  });
  test('stands in the line code, the legend and the cut list with its own marks and words', () => {
    const part = resolve(stitched(), context);
    expect(lineMarks(part).filter(({ operationId }) => operationId)).toMatchObject([{ pen: 'thin', dash: 'dots' }]);
    expect(lineTexts(part, 'mm')).toMatchObject([{ text: 'stitched 30°' }]);
    expect(legendSample(KIND, { x: 2, y: 3 })).toMatchObject([{ path: [{ from: { x: 2, y: 3 } }] }]);
    expect(legendWords(KIND)).toBe('stitches');
    const title = { airframe: 'Test', version: 1, scale: 1, date: '2026-01-02', unit: 'mm' as const };
    const list = cutList([{ part, quantity: 1 }], []);
    expect(cutCells(list.parts[0]!.lines.at(-1)!, 'mm')).toMatchObject({
      work: 'stitches · on the face · gives 30°',
      long: '200.0 mm',
    });
    const inks = cutListPages(list, title, { widthMm: 210, heightMm: 297 }).flat();
    expect(inks.flatMap((ink) => (ink.kind === 'text' ? [ink.text] : []))).toContain('stitches');
  });
  test('folds the board away from its face, and lies mirrored on the twin', () => {
    const folded = plateBody(stitched(), context)!;
    expect(folded.tree.hinges.map(({ turnDegrees }) => turnDegrees)).toEqual([-30]);
    expect(mirroredOperation(stitched().operations[0]!)).toMatchObject({ side: 'right' });
    expect(starboardTwin(resolve(stitched(), context)).strokes).toHaveLength(1);
  });
});
