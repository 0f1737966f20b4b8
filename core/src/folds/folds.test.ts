import fc from 'fast-check';
import { after, groove, made, plate, polygonPart, withBevel, withLine, withRound } from '../../test/samples.ts';
import { applyCommand, type PartCommand } from '../editing/index.ts';
import { applyRigid, distance3, polygonArea, regionArea, type Point3 } from '../geometry/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import type { Part } from '../part/index.ts';
import { polylineDraft } from '../paths/index.ts';
import { resolve, starboardTwin } from '../resolve/index.ts';
import { foldTree, type FoldTree } from './fold-tree.ts';
import { fold, foldedBy, placedPoint } from './fold.ts';
import { clashesOf } from './interference.ts';
import { solidsOf } from './plate-solid.ts';
import { platesOf } from './plates.ts';
import { unfold } from './unfold.ts';

const treeOf = (part: Part): FoldTree => foldTree(platesOf(made(part)));
const trench = (foldDegrees: 90 | 180, side: 'centre' | 'left' | 'right' = 'centre'): OperationDraft => ({
  kind: 'trench',
  face: 'face',
  foldDegrees,
  widthMm: 'auto',
  side,
  label: '',
});
const crease = (foldDegrees: number): OperationDraft => ({ kind: 'crease', face: 'face', foldDegrees, label: '' });
/** Every corner of the folded solids. */
const cornersOf = (part: Part, boardMm = 5): readonly Point3[] => {
  const resolved = resolve(part, { thicknessMm: boardMm, gramsPerSquareMetre: 480, plateThicknesses: {} }),
    flat = platesOf(resolved),
    maps = fold(foldTree(flat), foldedBy(1));
  return solidsOf(resolved, flat).flatMap(({ plate: { index }, bottom, top, thicknessMm }) => [
    ...bottom.map((p) => placedPoint(maps[index]!, p, 0)),
    ...top.map((p) => placedPoint(maps[index]!, p, thicknessMm)),
  ]);
};
const size = (points: readonly Point3[], axis: 'x' | 'y' | 'z'): number =>
  Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));

describe('plates', () => {
  test('two grooves across a plate give three plates and two hinges; nothing of the board is lost', () => {
    const tree = treeOf(
      withLine(withLine(plate(200, 100), [0, 30], [200, 30], groove()), [0, 70], [200, 70], groove()),
    );
    expect(tree.plates.map(({ outer }) => polygonArea(outer))).toEqual(
      [8000, 6000, 6000].map(() => expect.any(Number)),
    );
    expect(tree.plates.reduce((sum, { outer }) => sum + polygonArea(outer), 0)).toBeCloseTo(20_000, 0);
    expect(tree.hinges).toHaveLength(2);
    expect([tree.rings, tree.loose]).toEqual([[], []]);
    expect(polygonArea(tree.plates[tree.root]!.outer)).toBeCloseTo(8000, 0);
  });
  test('a trench leaves a strip of skin with a hinge on both edges', () => {
    const tree = treeOf(withLine(plate(200, 100), [0, 50], [200, 50], trench(180)));
    expect(tree.plates.map(({ kind }) => kind)).toEqual(['board', 'board', 'skin']);
    expect(polygonArea(tree.plates[2]!.outer)).toBeCloseTo(2000, 1);
    expect(tree.hinges).toHaveLength(2);
  });
  test('a fold over a hole is one hinge in two stretches; a through cut parts the board', () => {
    const over = treeOf(withLine(withRound(plate(200, 100), 100, 50, 10), [0, 50], [200, 50], groove()));
    expect([over.plates.length, over.hinges.length, over.turns.length, over.rings.length]).toEqual([2, 2, 1, 0]);
    const cut = treeOf(withLine(plate(200, 100), [50, 0], [50, 100], { kind: 'through', face: 'face', label: '' }));
    expect([cut.plates.length, cut.loose.length]).toEqual([2, 1]);
  });
  test('folds that enclose an island are a ring: it cannot turn about four lines', () => {
    const island = treeOf(
      after(
        plate(200, 100),
        ...[
          [60, 30, 140, 30],
          [140, 30, 140, 70],
          [140, 70, 60, 70],
          [60, 70, 60, 30],
        ].map(([x, y, u, v]): PartCommand => ({
          name: 'drawLine',
          args: {
            draft: polylineDraft([
              { x: x!, y: y! },
              { x: u!, y: v! },
            ]),
            operation: groove(30),
          },
        })),
      ),
    );
    expect([island.plates.length, island.turns.length, island.rings.length]).toEqual([2, 1, 3]);
  });
  test('four folds round a middle make a ring that is named, and still fold', () => {
    const crossed = treeOf(
      withLine(withLine(plate(100, 100), [50, 0], [50, 100], crease(20)), [0, 50], [100, 50], crease(20)),
    );
    expect(crossed.plates).toHaveLength(4);
    expect(crossed.rings).toHaveLength(1);
  });
});

describe('folded', () => {
  test('a channel 60 wide outside with walls of 40 has just these sizes, whatever the board', () => {
    for (const thicknessMm of [3, 5, 6.2]) {
      const part = withLine(withLine(plate(200, 140), [0, 40], [200, 40], groove()), [0, 100], [200, 100], groove());
      const corners = cornersOf(part, thicknessMm);
      expect(size(corners, 'y')).toBeCloseTo(60, 2);
      expect(size(corners, 'z')).toBeCloseTo(40, 2);
      expect(size(corners, 'x')).toBeCloseTo(200, 2);
    }
  });
  test('both faces of a mitre lie on each other', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 120, noNaN: true }), (angle) => {
        const part = withLine(plate(200, 100), [0, 50], [200, 50], groove(angle));
        const resolved = made(part),
          flat = platesOf(resolved),
          maps = fold(foldTree(flat)),
          [a, b] = solidsOf(resolved, flat);
        // The groove's upper edges, one on each plate, are where the two cut faces end: folded, they are one line.
        const lip = (solid: typeof a): Point3[] =>
          solid!.top
            .flatMap((p, index) =>
              solid!.sides[index] === 'groove' ? [p, solid!.top[(index + 1) % solid!.top.length]!] : [],
            )
            .map((p) => placedPoint(maps[solid!.plate.index]!, p, 5))
            .sort((p, q) => p.x - q.x);
        const [left, right] = [lip(a), lip(b)];
        expect(left).toHaveLength(2);
        left.forEach((p, index) => expect(distance3(p, right[index]!)).toBeLessThan(0.01));
      }),
    );
  });
  test('a doubled fold lies flat: two boards thick, face on face', () => {
    const part = withLine(plate(200, 110), [0, 55], [200, 55], trench(180));
    const corners = cornersOf(part);
    expect(size(corners, 'z')).toBeCloseTo(10, 2);
    expect(size(corners, 'y')).toBeCloseTo(50, 2);
  });
  test('wrapped round a doubled board the third lies flat on the other side: three boards thick, and nothing presses', () => {
    // 60 + 2 · 5 + 60 + 3 · 5 + 60, both strips folded toward the face.
    const part = withLine(withLine(plate(200, 205), [0, 65], [200, 65], trench(180)), [0, 137.5], [200, 137.5], {
      ...trench(180),
      layers: 2,
    } as OperationDraft);
    const corners = cornersOf(part),
      resolved = made(part),
      tree = treeOf(part);
    expect(
      tree.plates.filter(({ kind }) => kind === 'skin').map(({ outer }) => Math.round(polygonArea(outer))),
    ).toEqual([2000, 3000]);
    expect(size(corners, 'z')).toBeCloseTo(15, 2);
    expect(size(corners, 'y')).toBeCloseTo(60, 2);
    expect(clashesOf(solidsOf(resolved, tree), tree, fold(tree))).toEqual([]);
    expect(
      applyCommand(part, {
        name: 'changeOperation',
        args: { operationId: part.operations[0]!.id, changes: { layers: 7 } },
      }),
    ).toMatchObject({ message: 'The count of boards of a trench is from 1 to 6, got 7.' });
  });
  test('a trench of 90° stands its wall on the skin, flush with the trench’s far edge', () => {
    const part = withLine(plate(200, 100), [0, 60], [200, 60], trench(90, 'right'));
    // The strip lies from 55 to 60; the wall of 40 stands at 60, its foam on the strip, against the plate's edge at 55.
    const corners = cornersOf(part);
    expect(size(corners, 'y')).toBeCloseTo(60, 2);
    expect(size(corners, 'z')).toBeCloseTo(40, 2);
  });
  test('work on the back folds away from the face, a slit away from its own', () => {
    const back = cornersOf(withLine(plate(200, 100), [0, 60], [200, 60], { ...groove(), face: 'back' }));
    expect([Math.min(...back.map(({ z }) => z)), Math.max(...back.map(({ z }) => z))]).toEqual([
      expect.closeTo(-35, 2),
      expect.closeTo(5, 2),
    ]);
    const slit = cornersOf(
      withLine(plate(200, 100), [0, 60], [200, 60], {
        kind: 'slit',
        face: 'face',
        foldDegrees: 90,
        depthMm: 'auto',
        label: '',
      }),
    );
    expect(Math.min(...slit.map(({ z }) => z))).toBeCloseTo(-40, 2);
  });
});

/** Folds a tree, unrolls it, and compares by distances between plates, since the unrolled part lies in the frame of its root. */
function expectUnrolled(tree: FoldTree): void {
  const maps = fold(tree);
  const inSpace = tree.plates.map(({ outer }, index) => ({ outer: outer.map((p) => placedPoint(maps[index]!, p, 0)) }));
  const back = unfold(
    inSpace,
    tree.turns.map(({ parent, child, hinge }) => ({
      parent,
      child,
      from: placedPoint(maps[parent]!, hinge.from, 0),
      to: placedPoint(maps[parent]!, hinge.to, 0),
    })),
    tree.root,
  );
  const flat = tree.plates.flatMap(({ outer }) => outer.map((p) => ({ ...p, z: 0 }))),
    again = inSpace.flatMap(({ outer }, index) => outer.map((p) => applyRigid(back[index]!, p)));
  flat.forEach((p, index) => {
    expect(Math.abs(again[index]!.z)).toBeLessThan(0.01);
    expect(Math.abs(distance3(again[index]!, again[0]!) - distance3(p, flat[0]!))).toBeLessThan(0.01);
  });
}

test('unfolded again, every plate lies where it was drawn', () => {
  const angle = fc.double({ min: -80, max: 80, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 8, max: 60 }), fc.integer({ min: 1, max: 34 })), {
        minLength: 1,
        maxLength: 6,
      }),
      angle,
      (strips, slant) => {
        // A row of strips with slanted creases between them.
        const height = strips.reduce((sum, [width]) => sum + width, 40);
        const lean = Math.tan((slant * Math.PI) / 720);
        let part: Part = polygonPart([
            [0, -40],
            [100, -40],
            [100, height + 40],
            [0, height + 40],
          ]),
          y = 0;
        for (const [width, turn] of strips) {
          part = withLine(
            part,
            [0, y - (50 * lean) / strips.length],
            [100, y + (50 * lean) / strips.length],
            crease(turn),
          );
          y += width;
        }
        expectUnrolled(treeOf(part));
      },
    ),
    { numRuns: 60 },
  );
});
test('trees that branch, with flaps on flaps, unroll to where they were drawn, whatever their angles', () => {
  const turn = fc.integer({ min: -34, max: 34 }).map((angle) => (angle === 0 ? 5 : angle));
  // A cross: four walls round a floor, and on two of them flaps, one of them with a slanted fold.
  fc.assert(
    fc.property(
      fc.array(turn, { minLength: 6, maxLength: 6 }),
      fc.integer({ min: 20, max: 70 }),
      fc.integer({ min: -8, max: 8 }),
      (turns, depth, slant) => {
        const far = 80 + 2 * depth;
        let part = polygonPart([
          [0, 0],
          [0, -depth],
          [120, -depth],
          [120, 0],
          [120 + depth, 0],
          [120 + depth, 80],
          [120, 80],
          [120, far],
          [0, far],
          [0, 80],
          [-2 * depth, 80],
          [-2 * depth, 0],
        ]);
        const lines = [
          [
            [0, 0],
            [120, 0],
          ],
          [
            [120, 0],
            [120, 80],
          ],
          [
            [0, 80],
            [120, 80],
          ],
          [
            [0, 0],
            [0, 80],
          ],
          [
            [0, 80 + depth - slant],
            [120, 80 + depth + slant],
          ],
          [
            [-depth, 0],
            [-depth, 80],
          ],
        ] as const;
        lines.forEach(([from, to], index) => {
          part = withLine(part, from, to, crease(turns[index]!));
        });
        const tree = treeOf(part);
        expect([tree.plates.length, tree.turns.length, tree.rings.length]).toEqual([7, 6, 0]);
        expectUnrolled(tree);
      },
    ),
    { numRuns: 40 },
  );
});
test('one crease rolled into a row of nine turns the board by 180°, two radii high', () => {
  const drawn = withLine(plate(100, 300), [0, 100], [100, 100], crease(10));
  const part = after(drawn, {
    name: 'rollCrease',
    args: { operationId: drawn.operations[0]!.id, radiusMm: 40, turnDegrees: 180, creases: 9, side: 'left' },
  });
  expect(part.operations).toHaveLength(9);
  const tree = treeOf(part),
    maps = fold(tree);
  const top = ({ outer }: (typeof tree.plates)[number]): number => Math.max(...outer.map(({ y }) => y));
  const [near, far] = [
    tree.plates.reduce((a, b) => (top(b) < top(a) ? b : a)),
    tree.plates.reduce((a, b) => (top(b) > top(a) ? b : a)),
  ];
  const foot = placedPoint(maps[near.index]!, near.outer[0]!, 0).z;
  const heights = far.outer.map((p) => placedPoint(maps[far.index]!, p, 0).z - foot);
  // The far skin touches a circle of 40 on both sides: it comes back 80 above itself, whichever plate stands still.
  expect(Math.abs(heights.reduce((sum, z) => sum + z, 0) / heights.length)).toBeCloseTo(80, 6);
  expect(
    applyCommand(drawn, {
      name: 'rollCrease',
      args: { operationId: drawn.operations[0]!.id, radiusMm: 40, turnDegrees: 180, creases: 3, side: 'left' },
    }),
  ).toMatchObject({ message: '180° needs 6 to 200 creases, got 3.' });
});
test('a mirrored part folds to the mirrored shape', () => {
  const part = withBevel(withLine(plate(200, 100), [0, 30], [200, 60], groove(70)), 0, 30);
  const resolved = resolve(part, { thicknessMm: 5, gramsPerSquareMetre: 480, plateThicknesses: {} });
  const corners = (one: typeof resolved): Point3[] => {
    const flat = platesOf(one),
      maps = fold(foldTree(flat));
    return solidsOf(one, flat).flatMap(({ plate: { index }, bottom }) =>
      bottom.map((p) => placedPoint(maps[index]!, p, 0)),
    );
  };
  const own = corners(resolved),
    twin = corners(starboardTwin(resolved));
  // Whichever plate stands still, the distances between corners are those of the mirror image.
  const spread = (points: readonly Point3[]): number[] =>
    points.flatMap((p, index) => points.slice(index + 1).map((q) => distance3(p, q))).sort((a, b) => a - b);
  const [a, b] = [spread(own), spread(twin)];
  expect(b).toHaveLength(a.length);
  a.forEach((distance, index) => expect(b[index]).toBeCloseTo(distance, 2));
});
test('a bevel takes foam away, not skin', () => {
  const part = withBevel(withLine(plate(200, 100), [0, 30], [200, 60], groove(70)), 0, 30);
  const resolved = made(part),
    lower = solidsOf(resolved, platesOf(resolved)).find(({ sides }) => sides.includes('bevel'))!;
  expect(regionArea([lower.bottom]) - regionArea([lower.top])).toBeGreaterThan(200 * 5 * Math.tan(Math.PI / 6) - 1);
});
