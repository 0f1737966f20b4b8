import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, airframeOf, foam, plate, withLine } from '../../test/samples.ts';
import type { Fault, Mend } from '../checks/index.ts';
import { applyCommand } from '../editing/index.ts';
import { outlineOf, type Joint, type Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { foldFaults } from './fold-faults.ts';
import { foldView, type ShownContact } from './fold-view.ts';

const MARK = { kind: 'mark', face: 'face', label: '' } as const;
const floor = (from: readonly [number, number] = [60, 20], to: readonly [number, number] = [60, 80]): Part =>
  withLine(plate(200, 100, 'floor'), from, to, MARK);
const stand = (own: Part, to: Part, changes: Partial<Joint>): Part =>
  after(own, {
    name: 'addJoint',
    args: {
      joint: {
        ownSegmentId: outlineOf(own)!.segments[0]!.id,
        ownSkin: 'back',
        toPartId: to.id,
        toSegmentId: to.lines[0]!.segments[0]!.id,
        toSkin: 'face',
        turnDegrees: 90,
        alongMm: 0,
        isReversed: false,
        ...changes,
      },
    },
  });
/** An airframe after one click on a mend. */
function mended(airframe: Airframe, partId: string, mend: Mend): Airframe {
  const edits = 'edits' in mend ? mend.edits : 'command' in mend ? [{ partId, command: mend.command }] : [];
  return {
    ...airframe,
    parts: edits.reduce(
      (parts, edit) =>
        parts.map((part) => {
          if (part.id !== edit.partId) return part;
          const result = applyCommand(part, edit.command);
          if (!result.ok) throw new Error(result.message);
          return result.part;
        }),
      airframe.parts,
    ),
  };
}
const told = (airframe: Airframe): readonly string[] => foldFaults(airframe).map(({ title }) => title);
const contact = (airframe: Airframe, partId: string): ShownContact =>
  foldView(airframe, partId, 'together', 'mm')!.contacts[0]!;
const mendOf = ({ mends }: ShownContact, words: string): Mend =>
  mends.find(({ label }) => label.includes(words)) ?? { label: 'none', edits: [] };

describe('a former and a fin at a lean', () => {
  // 5 · sin 10° = 0.868; 5 · sin 30° = 2.5.
  const base = floor();
  test('a former at 80° or 100° presses or stands open: told with its angle, bevelled by one click', () => {
    const found = [80, 100].map((turnDegrees) => {
      const airframe = airframeOf([base, stand(plate(50, 30, 'former'), base, { turnDegrees })]);
      const [fault, ...others] = foldFaults(airframe);
      expect(others).toEqual([]);
      expect(fault!.mend.label).toBe('Bevel the foot by 10°');
      expect(told(mended(airframe, 'former', fault!.mend))).toEqual([]);
      return fault!;
    });
    expect(found.map(({ code }) => code).sort()).toEqual(['JOINT_OPEN', 'PARTS_PRESS']);
    const open = found.find(({ code }) => code === 'JOINT_OPEN')!;
    expect(open.title).toBe('Part former stands open on Part floor by 10°, 0.87 mm at its mouth');
  });
  test('left square, its wedge is filled with glue: in both senses of the lean nothing presses and nothing is told', () => {
    for (const turnDegrees of [60, 120]) {
      const airframe = airframeOf([base, stand(plate(40, 50, 'fin'), base, { turnDegrees })]);
      const [fault] = foldFaults(airframe);
      const glue = fault!.others!.find(({ label }) => label.includes('glue the wedge'))!;
      const glued = mended(airframe, 'fin', glue);
      expect(told(glued)).toEqual([]);
      expect(contact(glued, 'fin').sentence).toContain('stays open by 30°, 2.50 mm at its mouth, which glue fills');
    }
  });
  test('an airframe that is cut square and glued has no open foot to tell', () => {
    const airframe = airframeOf([base, stand(plate(40, 50, 'fin'), base, { turnDegrees: 60 })]);
    const squared = {
      ...airframe,
      settings: {
        ...airframe.settings,
        folds: { style: 'groove', school: 'square', toolDegrees: 45, hingeOn: 'skin' },
      } as Airframe['settings'],
    };
    expect([...told(airframe), ...told(squared)].filter((title) => title.includes('open')).length).toBeLessThan(2);
  });
});

test('two square walls that meet at their edges are bevelled to each other by one click on both parts', () => {
  const base = plate(200, 100, 'floor');
  const wall = stand(plate(200, 40, 'wall'), floor(), {
    toSegmentId: outlineOf(base)!.segments[2]!.id,
    ownSkin: 'back',
    toSkin: 'back',
    turnDegrees: 90,
  });
  const airframe = airframeOf([base, wall]);
  const [fault] = foldFaults(airframe);
  expect(fault).toMatchObject({ code: 'PARTS_PRESS', mend: { label: 'Bevel both edges' } });
  expect(told(mended(airframe, 'wall', fault!.mend))).toEqual([]);
});

describe('what a foot on a line can have', () => {
  test('the line as long as the foot, where the foot stands', () => {
    const base = floor([60, 10], [60, 80]);
    const airframe = airframeOf([base, stand(plate(50, 30, 'former'), base, { alongMm: 7 })]);
    const drawn = mended(airframe, 'former', mendOf(contact(airframe, 'former'), 'as long as the foot'));
    const ends = drawn.parts[0]!.lines[0]!.nodes.map(({ y }) => y).sort((a, b) => a - b);
    // Middle of the old line at 45, shifted by 7 along it: the foot runs from 27 to 77.
    expect(ends).toEqual([expect.closeTo(27, 6), expect.closeTo(77, 6)]);
    expect(contact(drawn, 'former').sentence).toBe(contact(airframe, 'former').sentence);
    expect(mendOf(contact(drawn, 'former'), 'as long as the foot').label).toBe('none');
  });
  test('tabs and slots that fit: at any lean, board and scale nothing presses afterwards', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 130, noNaN: true }),
        fc.double({ min: 3, max: 6.2, noNaN: true }),
        fc.constantFrom(0.8, 1, 1.4),
        fc.constantFrom('face' as const, 'back' as const),
        fc.boolean(),
        (turnDegrees, thicknessMm, scale, ownSkin, isReversed) => {
          const base = floor();
          const fresh = airframeOf([base, stand(plate(50, 60, 'former'), base, { turnDegrees, ownSkin, isReversed })], {
            boards: [{ ...foam, thicknessMm }],
          });
          const airframe = { ...fresh, settings: { ...fresh.settings, scale } };
          const bevel = mendOf(contact(airframe, 'former'), 'Bevel the foot');
          const bevelled = mended(airframe, 'former', bevel);
          const slotted = mended(bevelled, 'former', mendOf(contact(bevelled, 'former'), 'slot'));
          expect(slotted.parts[0]!.features).toHaveLength(1);
          expect(foldFaults(slotted).map(({ title }: Fault) => title)).toEqual([]);
          expect(contact(slotted, 'former').sentence).toContain('along its whole end');
        },
      ),
      { numRuns: oracleRuns(40) },
    );
  });
});

test('a seam may name a line: a wall’s edge on a mark is closed where it stands, and open by what it is lifted', () => {
  const base = floor();
  const wall = after(plate(60, 40, 'wall'), {
    name: 'setPlace',
    args: { place: { at: { x: 60, y: -30, z: 5 }, rollDegrees: 90, pitchDegrees: 0, yawDegrees: 90 } },
  });
  const seamed = (z: number): Airframe => {
    const own = after(wall, {
      name: 'setPlace',
      args: { place: { ...wall.place!, at: { ...wall.place!.at, z } } },
    });
    const met = after(own, {
      name: 'addSeam',
      args: {
        fromSegmentId: outlineOf(own)!.segments[0]!.id,
        toSegmentId: base.lines[0]!.segments[0]!.id,
        toPartId: 'floor',
      },
    });
    const ground = after(base, {
      name: 'setPlace',
      args: { place: { at: { x: 0, y: -50, z: 0 }, rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0 } },
    });
    return airframeOf([ground, met]);
  };
  expect(told(seamed(5))).toEqual([]);
  expect(told(seamed(6.25))).toEqual(['A seam of Part wall with another part is open by 1.25 mm']);
});
