import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, context, plate, withLine } from '../../test/samples.ts';
import { applyRigid, distance3 } from '../geometry/index.ts';
import { outlineOf, type Joint, type Part } from '../part/index.ts';
import { expandPart } from '../resolve/index.ts';
import { assemble, assemblyClashes } from './assembly.ts';
import { foldedBy } from './fold.ts';
import { plateBody } from './folded-part.ts';
import { footCommands } from './foot-contact.ts';
import { standingContacts, type StandingContact } from './standing-contacts.ts';
import type { StandingPart } from './standing.ts';

const standing = (part: Part, thicknessMm = 5): StandingPart => {
  const own = { ...context, thicknessMm };
  return { part, whole: expandPart(part, own), body: plateBody(part, own)! };
};
const edge = (part: Part, index: number): string => outlineOf(part)!.segments[index]!.id;
const floor = withLine(plate(200, 100, 'floor'), [60, 20], [60, 80], { kind: 'mark', face: 'face', label: '' });
const mark = floor.lines[0]!.segments[0]!.id;
const stand = (own: Part, changes: Partial<Joint>): Part =>
  after(own, {
    name: 'addJoint',
    args: {
      joint: {
        ownSegmentId: edge(own, 0),
        ownSkin: 'back',
        toPartId: 'floor',
        toSegmentId: mark,
        toSkin: 'face',
        turnDegrees: 90,
        alongMm: 0,
        isReversed: false,
        ...changes,
      },
    },
  });
const contactOf = (...parts: readonly StandingPart[]): StandingContact =>
  standingContacts(parts, assemble(parts, foldedBy(1)))[0]!;
const pressBetween = (...parts: readonly StandingPart[]): number =>
  Math.max(0, ...assemblyClashes(assemble(parts, foldedBy(1))).map(({ depthMm }) => depthMm));

describe('a former on a mark', () => {
  test('square, it stands on its whole end', () => {
    expect(contactOf(standing(floor), standing(stand(plate(50, 30, 'former'), {})))).toMatchObject({
      kind: 'end',
      wedgeDegrees: 0,
      wedgeMm: 0,
      pressMm: 0,
      footMm: 50,
      contactMm: expect.closeTo(50, 6),
    });
  });
  test('at a lean of 10° its end stands open or presses by t · sin 10°, by the side that it leans to', () => {
    const lean = 5 * Math.sin((10 * Math.PI) / 180);
    const found = [80, 100].map((turnDegrees) =>
      contactOf(standing(floor), standing(stand(plate(50, 30, 'former'), { turnDegrees }))),
    );
    expect(found.map(({ wedgeMm, pressMm }) => [wedgeMm, pressMm]).sort((a, b) => a[0]! - b[0]!)).toEqual([
      [0, expect.closeTo(lean, 9)],
      [expect.closeTo(lean, 9), 0],
    ]);
    expect(Math.max(...found.map(({ wedgeDegrees }) => wedgeDegrees))).toBeCloseTo(10, 9);
    expect(found.map(({ bevel }) => bevel!.bevelDegrees)).toEqual([expect.closeTo(10, 9), expect.closeTo(10, 9)]);
  });
  test('half off its plate, it is told how much of its foot has foam under it', () => {
    const contact = contactOf(standing(floor), standing(stand(plate(50, 30, 'former'), { alongMm: 45 })));
    // The mark's middle is at y = 50: the foot reaches from 70 to 120, the floor to 100.
    expect(contact.contactMm).toBeCloseTo(30, 6);
    expect(distance3(...contact.line)).toBeCloseTo(30, 6);
  });
  test('laid on the face it is a lap, and at an edge it meets the other end', () => {
    const kinds = [
      contactOf(standing(floor), standing(stand(plate(50, 30, 'former'), { turnDegrees: 180, ownSkin: 'face' }))),
      contactOf(
        standing(floor),
        standing(stand(plate(200, 30, 'wall'), { toSegmentId: edge(floor, 2), turnDegrees: 0, ownSkin: 'face' })),
      ),
    ];
    expect(kinds.map(({ kind, wedgeDegrees, pressMm }) => [kind, wedgeDegrees, pressMm])).toEqual([
      ['lap', 0, 0],
      ['edges', 0, 0],
    ]);
  });
  test('a square wall outside a floor’s edge leaves the corner open by 90°', () => {
    const wall = stand(plate(200, 30, 'wall'), { toSegmentId: edge(floor, 2), ownSkin: 'face' });
    expect(contactOf(standing(floor), standing(wall))).toMatchObject({
      kind: 'edges',
      wedgeDegrees: expect.closeTo(90, 6),
      wedgeMm: expect.closeTo(5 * Math.SQRT2, 6),
    });
  });
});

test('a foot bevelled for its lean lies on its plate along the whole end, and stands where it stood: any lean, skin, side and board', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 30, max: 150, noNaN: true }),
      fc.constantFrom('face' as const, 'back' as const),
      fc.constantFrom('face' as const, 'back' as const),
      fc.boolean(),
      fc.constantFrom(1, -1),
      fc.double({ min: 2, max: 8, noNaN: true }),
      fc.double({ min: 0, max: 60, noNaN: true }),
      (lean, ownSkin, toSkin, isReversed, sign, thickness, bevelled) => {
        const cut = after(plate(50, 60, 'former'), {
          name: 'bevelEdge',
          args: { segmentId: edge(plate(50, 60, 'former'), 0), face: 'face', bevelDegrees: Math.round(bevelled) },
        });
        // From the face a part stands up by a turn above 0, from the far skin by one below.
        const turnDegrees = (toSkin === 'face' ? 1 : -1) * (sign > 0 ? lean : 180 - lean);
        const part = stand(cut, { ownSkin, toSkin, isReversed, turnDegrees });
        const [ground, before] = [standing(floor), standing(part, thickness)];
        const contact = contactOf(ground, before);
        if (!contact.bevel) {
          expect(contact.wedgeMm + contact.pressMm).toBe(0);
          return;
        }
        const mended = standing(after(part, ...footCommands(contact.edges[0], contact.bevel)), thickness);
        const now = contactOf(ground, mended);
        expect([now.wedgeMm, now.pressMm, now.bevel]).toEqual([0, 0, undefined]);
        expect(pressBetween(ground, mended)).toBeLessThan(0.01);
        // Its foot's two lines lie on the skin: looked at in the floor's own frame.
        const skin = toSkin === 'face' ? 5 : 0;
        const { pieces } = assemble([ground, mended], foldedBy(1));
        const [own, map] = [now.edges[0], pieces.find(({ partId }) => partId === 'floor')!.maps[0]!];
        const floorHeight = applyRigid(map, { x: 0, y: 0, z: skin }).z;
        own.lines.flat().forEach((point) => expect(point.z).toBeCloseTo(floorHeight, 6));
        // The line it stands by has not moved.
        const line = (one: StandingContact): number => distance3(one.line[0], contact.line[0]);
        expect(Math.min(line(now), distance3(now.line[1], contact.line[0]))).toBeLessThan(0.05);
      },
    ),
    { numRuns: oracleRuns(300) },
  );
});
