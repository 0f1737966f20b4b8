import fc from 'fast-check';
import { applyCommand, type PartCommand } from '@grain-fold/core/editing';
import { LONGEST_NAME, outlineOf, type Part } from '@grain-fold/core/part';
import { circleDraft } from '@grain-fold/core/paths';
import { anyChoice, commandFrom, wildly } from '../../../core/test/any-command.ts';
import { oracleRuns } from '../../../core/test/oracle-runs.ts';
import { after, airframeOf, boxSide, plate } from '../../../core/test/samples.ts';
import { readProjectFile, writeProjectFile } from '../index.ts';
import { BOUNDS } from './rules.ts';

/** The part as it comes back from a file; why it was refused otherwise. */
function kept(part: Part): Part | string {
  const result = readProjectFile(writeProjectFile(airframeOf([part])));
  return result.ok ? result.airframe.parts[0]! : result.message;
}

test('whatever is done, with whatever values, is kept by the project file to the last digit, or refused at once', () => {
  const chance = fc.double({ min: 0, max: 0.999999, noNaN: true });
  const step = fc.record({
    choice: anyChoice,
    chances: fc.array(chance, { minLength: 7, maxLength: 31 }),
    isWild: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 18 }), (steps) => {
      let part = boxSide();
      for (const { choice, chances, isWild } of steps) {
        const usual = commandFrom(part, choice);
        const command = isWild ? wildly(usual, chances) : usual;
        let result: ReturnType<typeof applyCommand>;
        try {
          result = applyCommand(part, command);
        } catch (error) {
          // What is not even of the right shape may be thrown out, as long as nothing comes of it.
          if (isWild) continue;
          throw error;
        }
        if (result.ok) part = result.part;
      }
      expect(kept(part)).toEqual(part);
    }),
    { numRuns: oracleRuns(250) },
  );
}, 600_000);

describe('edits that a file would refuse are refused at once', () => {
  const run = (part: Part, command: unknown): ReturnType<typeof applyCommand> =>
    applyCommand(part, command as PartCommand);
  const outline = outlineOf(plate(200, 100))!;
  const edge = outline.segments[0]!.id;
  const work = (operation: object): unknown => ({
    name: 'addOperation',
    args: { on: { pathId: outline.id, segmentIds: [edge] }, operation },
  });
  const grooved = (changes: object): object => ({
    kind: 'groove',
    face: 'face',
    foldDegrees: 90,
    mouthMm: 'auto',
    label: '',
    ...changes,
  });
  const line = (operation: object): unknown => ({
    name: 'drawLine',
    args: {
      draft: {
        points: [
          { x: 0, y: 50 },
          { x: 200, y: 50 },
        ],
        segments: [{ kind: 'line' }],
        closed: false,
      },
      operation,
    },
  });
  test.each<[string, unknown, string]>([
    [
      'a trench of 100°',
      line({ kind: 'trench', face: 'face', foldDegrees: 100, widthMm: 'auto', side: 'centre', label: '' }),
      'got 100',
    ],
    ['a label of 200 letters', line(grooved({ label: 'x'.repeat(200) })), 'at most 80 letters, this one 200'],
    ['a school that is none', line(grooved({ school: 'saw' })), 'saw'],
    ['a blank material', { name: 'changeDetails', args: { changes: { material: '  ' } } }, 'must not be blank'],
    [
      'a guide at 725°',
      { name: 'addGuide', args: { guide: { kind: 'line', at: { x: 0, y: 0 }, angleDegrees: 725 } } },
      'got 725',
    ],
    [
      'a seam to a mirror image',
      { name: 'addSeam', args: { fromSegmentId: edge, toSegmentId: `${edge}~mirror`, toPartId: 'p2' } },
      'drawn half stands for both',
    ],
    ['a bevel of NaN', work({ kind: 'bevel', face: 'face', bevelDegrees: Number.NaN, label: '' }), 'NaN'],
  ])('%s', (_, command, message) => {
    expect(run(plate(200, 100), command)).toMatchObject({ ok: false, message: expect.stringContaining(message) });
  });

  test('more copies than a part may hold: the fourth two hundred are refused with the count, the part stays', () => {
    let part = after(plate(2000, 1000), { name: 'drawHole', args: { draft: circleDraft({ x: 20, y: 20 }, 2) } });
    const hole = part.contours[1]!.id;
    const copies = (by: number): PartCommand => ({
      name: 'arrangePaths',
      args: { pathIds: [hole], motion: { kind: 'move', by: { x: by, y: 3 } }, copies: 200 },
    });
    part = after(part, copies(5), copies(6));
    const refused = run(part, copies(7));
    expect(refused).toMatchObject({ ok: false, message: expect.stringContaining('at most 500 outlines and holes') });
    expect(kept(part)).toEqual(part);
  });

  test('level grain is level when it is mirrored, not minus zero', () => {
    const part = after(plate(200, 100), { name: 'mirrorPart', args: { across: 'horizontal' } });
    expect(Object.is(part.grain.directionDegrees, 0)).toBe(true);
    expect(kept(part)).toEqual(part);
  });

  test('grain and features turned to −270° can be mirrored as often as wanted', () => {
    const mirror: PartCommand = { name: 'mirrorPart', args: { across: 'vertical' } };
    const turned = after(
      plate(200, 100),
      { name: 'changeDetails', args: { changes: { grain: { rule: 'along', directionDegrees: -270 } } } },
      { name: 'addFeature', args: { kind: 'servo', at: { x: 100, y: 50 } } },
    );
    const feature = turned.features![0]!.id;
    const part = after(
      turned,
      { name: 'changeFeature', args: { featureId: feature, changes: { angleDegrees: -270 } } },
      mirror,
      mirror,
      mirror,
    );
    expect(kept(part)).toEqual(part);
    // −270° is upright; mirrored left to right it is upright still.
    expect(Math.abs(part.grain.directionDegrees % 180)).toBe(90);
  });
});

test('names are as long in the forms of the first page as in a part', () =>
  expect(BOUNDS.nameLength).toBe(LONGEST_NAME));
