import fc from 'fast-check';
import { after, context, groove, plate, polygonPart, withBevel, withLine } from '../../test/samples.ts';
import { unequalBevelAngles } from '../allowance/index.ts';
import { applyRigid, distance3, type Point3 } from '../geometry/index.ts';
import { outlineOf, type Joint, type Part } from '../part/index.ts';
import { expandPart } from '../resolve/index.ts';
import { assemblyClashes, assemblySeams, assemble, standingWith, type Assembly } from './assembly.ts';
import { assemblyReport } from './fold-report.ts';
import { standingContacts } from './standing-contacts.ts';
import type { StandingPart } from './standing.ts';
import { foldedBy } from './fold.ts';
import { plateBody } from './folded-part.ts';
import { bevellingMends, bevelsOf, closingMend } from './seam-mends.ts';

const standing = (part: Part, thicknessMm = 5): StandingPart => {
  const own = { ...context, thicknessMm };
  return { part, whole: expandPart(part, own), body: plateBody(part, own)! };
};
const edge = (part: Part, index: number): string => outlineOf(part)!.segments[index]!.id;
const joint = (own: Part, ownEdge: number, to: Part, toSegmentId: string, changes: Partial<Joint> = {}): Part =>
  after(own, {
    name: 'addJoint',
    args: {
      joint: {
        ownSegmentId: edge(own, ownEdge),
        ownSkin: 'back',
        toPartId: to.id,
        toSegmentId,
        toSkin: 'back',
        turnDegrees: 90,
        alongMm: 0,
        isReversed: false,
        ...changes,
      },
    },
  });
const stood = (parts: readonly StandingPart[]): Assembly => assemble(parts, foldedBy(1));
/** Box of a piece's corners on both skins: [low, high] along each axis. */
function boxOf({ pieces }: Assembly, partId: string, side = 'single'): Record<'x' | 'y' | 'z', [number, number]> {
  const piece = pieces.find(
    (one) => one.partId === partId && (one.side === side || (one.side === 'port' && side === 'single')),
  )!;
  const corners = piece.body.solids.flatMap(({ bottom, top, thicknessMm, plate: { index } }) =>
    [...bottom.map((p): Point3 => ({ ...p, z: 0 })), ...top.map((p): Point3 => ({ ...p, z: thicknessMm }))].map((p) =>
      applyRigid(piece.maps[index]!, p),
    ),
  );
  const along = (axis: 'x' | 'y' | 'z'): [number, number] => [
    Math.min(...corners.map((p) => p[axis])),
    Math.max(...corners.map((p) => p[axis])),
  ];
  return { x: along('x'), y: along('y'), z: along('z') };
}
const near = (low: number, high: number): [unknown, unknown] => [expect.closeTo(low, 9), expect.closeTo(high, 9)];

// A floor of 200 × 100: its drawing lies with its middle on the airframe's middle plane, far skin at z = 0.
const floor = plate(200, 100, 'floor');

describe('a wall on a floor', () => {
  test('against the floor’s edge, its foot flush with the underside', () => {
    const wall = joint(plate(200, 40, 'wall'), 0, floor, edge(floor, 2), { ownSkin: 'face' });
    const box = boxOf(stood([standing(floor), standing(wall)]), 'wall');
    expect(box).toEqual({ x: near(0, 200), y: near(50, 55), z: near(0, 40) });
  });
  test('on the floor’s face, at a mark, from either side of it, and shifted along it', () => {
    const marked = withLine(floor, [60, 20], [60, 80], { kind: 'mark', face: 'face', label: '' }),
      line = marked.lines[0]!.segments[0]!.id;
    const former = (changes: Partial<Joint>): Part =>
      joint(plate(50, 30, 'former'), 0, marked, line, { toSkin: 'face', ...changes });
    // The mark runs to port along +y of the drawing: what goes on from its right lies at greater x, its far skin on the mark.
    expect(boxOf(stood([standing(marked), standing(former({}))]), 'former')).toEqual({
      x: near(55, 60),
      y: near(-25, 25),
      z: near(5, 35),
    });
    expect(boxOf(stood([standing(marked), standing(former({ isReversed: true, alongMm: 7 }))]), 'former')).toEqual({
      x: near(60, 65),
      y: near(-18, 32),
      z: near(5, 35),
    });
  });
  test('laid face up on the face, and hung from the edge', () => {
    const doubler = joint(plate(200, 20, 'doubler'), 2, floor, edge(floor, 2), {
      toSkin: 'face',
      turnDegrees: 0,
      isReversed: true,
    });
    expect(boxOf(stood([standing(floor), standing(doubler)]), 'doubler')).toEqual({
      x: near(0, 200),
      y: near(30, 50),
      z: near(5, 10),
    });
    const hung = joint(plate(200, 20, 'hung'), 0, floor, edge(floor, 2), { turnDegrees: -90 });
    expect(boxOf(stood([standing(floor), standing(hung)]), 'hung').z).toEqual(near(-20, 0));
  });
  test('the starboard piece of a pair is the port piece seen in the middle plane; a part on a part on a part stands too', () => {
    const side: Part = {
      ...joint(plate(200, 40, 'side'), 0, floor, edge(floor, 0), { ownSkin: 'face' }),
      handed: 'pair',
    };
    const rail = joint(plate(200, 10, 'rail'), 0, side, edge(side, 2), { turnDegrees: 0 });
    const all = stood([standing(rail), standing(side), standing(floor)]);
    expect(boxOf(all, 'side', 'port')).toMatchObject({ y: near(-55, -50) });
    expect(boxOf(all, 'side', 'starboard')).toMatchObject({ y: near(50, 55), z: near(0, 40) });
    expect(boxOf(all, 'rail')).toMatchObject({ y: near(-55, -50), z: near(40, 50) });
    expect(assemblyClashes(all)).toEqual([]);
    expect(standingWith([floor, side, rail, plate(9, 9, 'other')], 'floor').map(({ id }) => id)).toEqual([
      'floor',
      'side',
      'rail',
    ]);
  });
  test('a place rolls, pitches and yaws in this order about the airframe’s axes', () => {
    const part = after(plate(100, 40, 'fin'), {
      name: 'setPlace',
      args: { place: { at: { x: 300, y: 0, z: 50 }, rollDegrees: 90, pitchDegrees: 0, yawDegrees: 0 } },
    });
    expect(boxOf(stood([standing(part)]), 'fin')).toEqual({ x: near(300, 400), y: near(-5, 0), z: near(50, 90) });
    const yawed = after(part, {
      name: 'setPlace',
      args: { place: { at: { x: 0, y: 0, z: 0 }, rollDegrees: 90, pitchDegrees: 0, yawDegrees: 90 } },
    });
    expect(boxOf(stood([standing(yawed)]), 'fin')).toEqual({ x: near(0, 5), y: near(0, 100), z: near(0, 40) });
  });
  test('whatever the joint, a piece keeps its shape and its line lies on the other’s', () => {
    const any = fc.record({
      ownSkin: fc.constantFrom('face' as const, 'back' as const),
      toSkin: fc.constantFrom('face' as const, 'back' as const),
      turnDegrees: fc.double({ min: -180, max: 180, noNaN: true }),
      alongMm: fc.double({ min: -50, max: 50, noNaN: true }),
      isReversed: fc.boolean(),
    });
    fc.assert(
      fc.property(any, fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 3 }), (changes, own, to) => {
        const part = joint(
          polygonPart(
            [
              [0, 0],
              [90, 0],
              [90, 50],
              [0, 50],
            ],
            'one',
          ),
          own,
          floor,
          edge(floor, to),
          changes,
        );
        const { pieces } = stood([standing(floor), standing(part)]);
        const [base, piece] = [
          pieces.find(({ partId }) => partId === 'floor')!,
          pieces.find(({ partId }) => partId === 'one')!,
        ];
        const z = (skin: 'face' | 'back'): number => (skin === 'face' ? 5 : 0);
        const ends = [...outlineOf(part)!.nodes.slice(own), ...outlineOf(part)!.nodes]
          .slice(0, 2)
          .map((p) => applyRigid(piece.maps[0]!, { x: p.x, y: p.y, z: z(changes.ownSkin) }));
        const [a, b] = [...outlineOf(floor)!.nodes.slice(to), ...outlineOf(floor)!.nodes]
          .slice(0, 2)
          .map((p) => applyRigid(base.maps[0]!, { x: p.x, y: p.y, z: z(changes.toSkin) })) as [Point3, Point3];
        // On the straight line through a and b: as far from both as along the line.
        for (const p of ends) {
          const t =
            ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y) + (p.z - a.z) * (b.z - a.z)) / distance3(a, b) ** 2;
          expect(
            distance3(p, { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y), z: a.z + t * (b.z - a.z) }),
          ).toBeLessThan(1e-9);
        }
        expect(
          distance3(
            applyRigid(piece.maps[0]!, { x: 0, y: 0, z: 0 }),
            applyRigid(piece.maps[0]!, { x: 90, y: 50, z: 5 }),
          ),
        ).toBeCloseTo(Math.hypot(90, 50, 5), 9);
      }),
    );
  });
});

describe('seams between parts', () => {
  const withSeam = (part: Part, own: number, to: Part, toEdge: number): Part =>
    after(part, {
      name: 'addSeam',
      args: { fromSegmentId: edge(part, own), toSegmentId: edge(to, toEdge), toPartId: to.id },
    });
  const lid = joint(plate(200, 99, 'lid'), 0, plate(200, 40, 'wall'), edge(plate(200, 40, 'wall'), 2), {
    turnDegrees: 90,
  });
  test('a lid 1 mm short of the other wall is 1 mm open, and its mend reaches it', () => {
    const port = joint(plate(200, 40, 'wall'), 0, floor, edge(floor, 0)),
      starboard = joint(plate(200, 40, 'other'), 0, floor, edge(floor, 2));
    const seamed = withSeam(lid, 2, starboard, 2);
    const parts = [floor, port, starboard, seamed].map((part) => standing(part));
    const [seam] = assemblySeams(parts, stood(parts));
    expect(seam).toMatchObject({ state: 'open', gapMm: expect.closeTo(1, 9), partId: 'lid' });
    const mend = closingMend(seam!)!;
    const target = mend.side === 0 ? seamed : starboard;
    const mended = parts.map((one) => (one.part === target ? standing(after(target, mend.command)) : one));
    expect(assemblySeams(mended, stood(mended))[0]!.gapMm).toBeLessThan(1e-9);
  });
  test('outer skins that meet at 90° in 5 and 3 mm want bevels of 30.96° and 59.04°, which the mends cut; square they press', () => {
    const thin = withSeam(joint(plate(200, 40, 'thin'), 0, floor, edge(floor, 2)), 0, floor, 2);
    const parts = [standing(floor), standing(thin, 3)];
    const [square] = assemblySeams(parts, stood(parts));
    expect(square).toMatchObject({ state: 'pressed', gapMm: expect.closeTo(0, 9) });
    // Square ends share a bar 5 × 3 in section; its middle is 1.5 from the nearest side.
    expect(square!.overlapMm).toBeGreaterThan(1.4);
    const bevels = bevelsOf(square!)!;
    expect(bevels).toMatchObject({
      turnDegrees: expect.closeTo(90, 6),
      faces: ['face', 'face'],
      present: [expect.closeTo(0, 9), expect.closeTo(0, 9)],
    });
    // tan β of the 3 mm plate is 5/3, of the 5 mm plate 3/5.
    expect(bevels.wanted.map((angle) => Math.tan((angle * Math.PI) / 180))).toEqual([
      expect.closeTo(5 / 3, 9),
      expect.closeTo(3 / 5, 9),
    ]);
    const cut = bevellingMends(square!).reduce(
      (now, { side, command }) =>
        now.map((one) =>
          one.part.id === (side === 0 ? 'thin' : 'floor')
            ? standing(after(one.part, command), side === 0 ? 3 : 5)
            : one,
        ),
      parts,
    );
    const [mitred] = assemblySeams(cut, stood(cut));
    expect(mitred).toMatchObject({ state: 'closed' });
    expect(mitred!.overlapMm).toBeLessThan(0.01);
    expect(bevelsOf(mitred!)).toBeUndefined();
  });
  test('at any turn and any two boards, bevelled as told, plates neither press nor gape', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 115, noNaN: true }),
        fc.double({ min: 2, max: 8, noNaN: true }),
        fc.double({ min: 2, max: 8, noNaN: true }),
        (turnDegrees, first, second) => {
          fc.pre(unequalBevelAngles(turnDegrees, first, second).every((angle) => angle > 1 && angle < 65));
          const wall = withSeam(joint(plate(200, 60, 'w'), 0, floor, edge(floor, 2), { turnDegrees }), 0, floor, 2);
          const parts = [standing(floor, first), standing(wall, second)];
          const mends = bevellingMends(assemblySeams(parts, stood(parts))[0]!);
          expect(mends).toHaveLength(2);
          const cut = mends.reduce(
            (now, { side, command }) =>
              now.map((one) =>
                one.part.id === (side === 0 ? 'w' : 'floor')
                  ? standing(after(one.part, command), side === 0 ? second : first)
                  : one,
              ),
            parts,
          );
          const [seam] = assemblySeams(cut, stood(cut));
          expect(seam!.overlapMm).toBeLessThan(0.01);
          // Both cut faces end on one line inside the bend too: the lips meet.
          const [a, b] = seam!.edges.map(({ lines }) => lines[1]);
          expect(Math.min(distance3(a![0], b![1]), distance3(a![0], b![0]))).toBeLessThan(0.01);
        },
      ),
      { numRuns: 40 },
    );
  });
  test('a lid that rests with its inner skin on a wall’s outer corner is closed, and wants no bevel there', () => {
    const side = joint(plate(200, 40, 'wall'), 0, floor, edge(floor, 2), { ownSkin: 'face' });
    const resting = withSeam(
      joint(plate(200, 60, 'lid'), 0, side, edge(side, 2), { ownSkin: 'back', toSkin: 'face', turnDegrees: 70 }),
      0,
      side,
      2,
    );
    const parts = [floor, side, resting].map((part) => standing(part));
    const [seam] = assemblySeams(parts, stood(parts));
    expect(seam).toMatchObject({ gapMm: expect.closeTo(0, 9), skins: [0, 1] });
    expect(bevelsOf(seam!)).toBeUndefined();
  });
  test('a V of two panels: the port piece meets its own starboard piece', () => {
    const panel: Part = {
      ...after(withBevel(plate(200, 110, 'v'), 0, 37.5), {
        name: 'setPlace',
        args: { place: { at: { x: 0, y: 0, z: 0 }, rollDegrees: 142.5, pitchDegrees: 0, yawDegrees: 0 } },
      }),
      handed: 'pair',
    };
    const seamed = withSeam(panel, 0, panel, 0),
      parts = [standing(seamed)];
    expect(assemblySeams(parts, stood(parts))[0]).toMatchObject({ gapMm: expect.closeTo(0, 9) });
  });
});

test('what cannot stand is told: a part that is gone, a line that is gone, a ring', () => {
  const [a, b] = [plate(50, 50, 'a'), plate(50, 50, 'b')];
  const ringed = [joint(a, 0, b, edge(b, 0)), joint(b, 0, a, edge(a, 0))].map((part) => standing(part));
  expect(stood(ringed)).toMatchObject({
    pieces: [],
    strays: [
      { partId: 'a', reason: 'stands nowhere' },
      { partId: 'b', reason: 'stands nowhere' },
    ],
  });
  const lost = [
    standing(floor),
    standing(joint(a, 0, floor, 's999')),
    standing(joint(b, 0, plate(9, 9, 'gone'), 's1')),
  ];
  const assembly = stood(lost);
  expect(assembly.strays.map(({ reason }) => reason).sort()).toEqual(['line gone', 'part gone']);
  expect(
    assemblyReport(
      lost.map(({ part }) => part),
      assembly,
      [],
      [],
      standingContacts(lost, assembly),
      'mm',
    ).join(' '),
  ).toContain('Part a does not stand: the line it stands on is gone.');
});
test('a former that is too wide is told with the wall that it is in, and how deep', () => {
  const walls: Part = {
    ...joint(plate(200, 40, 'wall'), 0, floor, edge(floor, 0), { ownSkin: 'face' }),
    handed: 'pair',
  };
  const marked = withLine(floor, [60, 20], [60, 80], { kind: 'mark', face: 'face', label: '' });
  const former = joint(plate(104, 30, 'former'), 0, marked, marked.lines[0]!.segments[0]!.id, { toSkin: 'face' });
  const clashes = assemblyClashes(stood([marked, walls, former].map((part) => standing(part))));
  expect(clashes).toHaveLength(1);
  expect(clashes[0]!.pieces.map(({ partId }) => partId)).toEqual(['wall', 'former']);
  expect(clashes[0]!.depthMm).toBeCloseTo(2, 6);
});
test('folds turn a standing part as they turn it alone: a folded wall carries what stands on it', () => {
  const tray = withLine(plate(200, 140, 'tray'), [0, 100], [200, 100], groove());
  const onTop = joint(plate(200, 30, 'top'), 0, tray, edge(tray, 2), { turnDegrees: 0 });
  const box = boxOf(stood([standing(tray), standing(onTop)]), 'top');
  // The wall of 40 stands up; what goes on flat beyond its edge stands from 40 to 70.
  expect(box.z).toEqual(near(40, 70));
});
