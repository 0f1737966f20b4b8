import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { separation } from '../geometry/index.ts';
import { layoutFaults } from './check-layout.ts';
import {
  withKerfInClearance,
  type NestInstance,
  type NestLayout,
  type NestPart,
  type Placement,
  type XY,
} from './instance.ts';
import { placedShape } from './nest-piece.ts';
import { instanceFault } from './read-instance.ts';
import { searchNest } from './search-nest.ts';

const rectangle = (width: number, height: number): readonly XY[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];
const part = (id: string, polygon: readonly XY[], quantity = 1, more: Partial<NestPart> = {}): NestPart => ({
  id,
  polygon,
  quantity,
  rotations: [0, 180],
  ...more,
});
const instanceOf = (parts: readonly NestPart[], more: Partial<NestInstance> = {}): NestInstance => ({
  name: 'pairs',
  boards: [{ id: 'B', width: 700, height: 500, count: 6 }],
  clearance: 3,
  edgeMargin: 5,
  parts,
  ...more,
});
function searched(instance: NestInstance, steps = 40, seed = 1, start?: NestLayout): NestLayout {
  for (const { layout, tried } of searchNest(instance, { seed, ...(start ? { start } : {}) }))
    if (tried >= steps) return layout;
  throw new Error('a search has no end');
}
/** Least distance between a piece of one part and one of another on each board. */
function distances(instance: NestInstance, layout: NestLayout, a: string, b: string): readonly number[] {
  const shape = (placed: Placement) =>
    placedShape(
      instance.parts.find(({ id }) => id === placed.partId)!,
      placed,
    );
  return layout.boards.flatMap(({ placements }) =>
    placements
      .filter(({ partId }) => partId === a)
      .map((first) =>
        Math.min(
          ...placements
            .filter((one) => one !== first && one.partId === b)
            .map((second) => separation(shape(first), shape(second), 1000)),
        ),
      ),
  );
}

/** A tapered panel, its narrow end to the right. */
const taper: readonly XY[] = [
  [0, 0],
  [460, 40],
  [460, 120],
  [0, 160],
];

test('two tapered panels lie head to tail, the clearance apart, in less than both boxes', () => {
  const instance = instanceOf([part('panel', taper, 2)], { sideBySide: [['panel', 'panel']] });
  const layout = searched(instance, 5);
  expect(layoutFaults(instance, layout)).toEqual([]);
  const [first, second] = layout.boards[0]!.placements;
  expect(Math.abs(first!.rotation - second!.rotation)).toBe(180);
  // Worked out by hand: turned against each other their slopes lie along each other. Halves of 160 + 80, and 3 mm across the slope.
  const shapes = [first!, second!].map((placed) => placedShape(instance.parts[0]!, placed));
  expect(separation(shapes[0]!, shapes[1]!, 10)).toBeGreaterThanOrEqual(3);
  expect(separation(shapes[0]!, shapes[1]!, 10)).toBeLessThan(3.1);
  const ys = shapes.flatMap(({ outer }) => outer.map(({ y }) => y));
  expect(Math.max(...ys) - Math.min(...ys)).toBeLessThan(160 + 120 + 3.2);
});

test('what would be spread over boards lies side by side where it is asked for', () => {
  // Two boards hold two large plates each and a strip beside; left alone both strips go wherever there is room.
  const parts = [
    part('wide', rectangle(680, 200), 4),
    part('left', rectangle(300, 40)),
    part('right', rectangle(300, 40)),
  ];
  const instance = instanceOf(parts, { sideBySide: [['left', 'right']] });
  const layout = searched(instance);
  expect(layoutFaults(instance, layout)).toEqual([]);
  const [apart] = distances(instance, layout, 'left', 'right');
  expect(apart).toBeGreaterThanOrEqual(3);
  expect(apart).toBeLessThan(3.1);
});

test('a pair that no board holds side by side is laid apart, and so is one that finds no place', () => {
  const wide = part('wide', rectangle(680, 300), 2);
  const tooTall = instanceOf([wide], { sideBySide: [['wide', 'wide']] });
  const layout = searched(tooTall);
  expect(layout.unplaced).toEqual([]);
  expect(layout.boards.length).toBe(2);
  // Each offcut holds one; both side by side would need a board that there is none left of.
  const offcuts = [1, 2].map((at) => ({ id: `O${at}`, width: 330, height: 110, count: 1 }));
  const long: NestPart[] = [part('long', rectangle(310, 90), 2), part('plate', rectangle(680, 480))];
  const full = instanceOf(long, {
    boards: [...offcuts, { id: 'B', width: 700, height: 500, count: 1 }],
    sideBySide: [['long', 'long']],
  });
  const placed = searched(full);
  expect(placed.unplaced).toEqual([]);
  expect(layoutFaults(full, placed)).toEqual([]);
});

test('any outlines, hands, holes and quantities: every pair lies near, no nest has a fault, a nest to start from is not made worse', () => {
  const star = fc.array(fc.double({ min: 0.35, max: 1, noNaN: true }), { minLength: 5, maxLength: 12 }).map((radii) =>
    radii.map((share, index): XY => {
      const angle = (2 * Math.PI * index) / radii.length;
      return [share * 110 * Math.cos(angle), share * 70 * Math.sin(angle)];
    }),
  );
  fc.assert(
    fc.property(
      star,
      star,
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 3 }),
      fc.constantFrom(0, 2, 7),
      fc.boolean(),
      (a, b, countA, countB, clearance, isSame) => {
        const hole: readonly XY[] = [
          [-12, -8],
          [12, -8],
          [0, 12],
        ];
        const parts = [
          part('a', a, countA + 1, { holes: [hole], allowMirror: true, rotations: [0, 90, 180, 270] }),
          part('b', b, countB, { allowMirror: true }),
          part('c', rectangle(150, 60), 2),
        ];
        const pair: readonly [string, string] = isSame ? ['a', 'a'] : ['a', 'b'];
        const instance = instanceOf(parts, { clearance, edgeMargin: 4, sideBySide: [pair] });
        const layout = searched(instance, 25);
        expect(layoutFaults(instance, layout)).toEqual([]);
        expect(layout.unplaced).toEqual([]);
        const pairs = isSame ? Math.floor((countA + 1) / 2) : Math.min(countA + 1, countB);
        const near = distances(instance, layout, pair[0], pair[1]).filter((mm) => mm < clearance + 0.2);
        expect(near.length).toBeGreaterThanOrEqual(isSame ? 2 * pairs : pairs);
        const on = searchNest(instance, { seed: 9, start: layout }).next().value;
        expect(on.layout.boards.length).toBeLessThanOrEqual(layout.boards.length);
        expect(on.layout.unplaced).toEqual([]);
      },
    ),
    { numRuns: 25 },
  );
});

test('a file names pairs of parts that there are, each in one pair', () => {
  const parts = [part('a', rectangle(10, 10)), part('b', rectangle(10, 10), 2)];
  expect(instanceFault(instanceOf(parts, { sideBySide: [['b', 'b']] }))).toBeUndefined();
  const faultOf = (sideBySide: unknown): string | undefined => instanceFault({ ...instanceOf(parts), sideBySide });
  expect(faultOf([['a', 'c']])).toBe('sideBySide[0]: must be the ids of two parts');
  expect(
    faultOf([
      ['a', 'b'],
      ['b', 'b'],
    ]),
  ).toBe('sideBySide[1]: "b" is in a pair already');
  expect(faultOf([['a']])).toBe('sideBySide[0]: must be the ids of two parts');
  expect(instanceFault({ ...instanceOf(parts), kerf: -1 })).toBe('kerf: must be 0 or more mm, got -1');
  const { edgeMargin: _margin, ...bare } = instanceOf(parts);
  expect(withKerfInClearance({ ...bare, kerf: 1.5 })).toEqual({ ...bare, clearance: 4.5, edgeMargin: 3 });
  expect(faultOf('a b')).toBe('sideBySide: must be a list of pairs of ids');
});
