import type { NestInstance, NestPart } from '@grain-fold/core/nesting';
import { seededRandom } from '@grain-fold/core/units';

type XY = readonly [number, number];

/** A closed line round points, to a tenth of a micrometre, as files hold it. */
const ring = (points: readonly XY[]): readonly XY[] =>
  points.map(([x, y]) => [Math.round(x * 1e4) / 1e4, Math.round(y * 1e4) / 1e4] as const);

const plate = (wide: number, high: number): readonly XY[] =>
  ring([
    [0, 0],
    [wide, 0],
    [wide, high],
    [0, high],
  ]);
/** A wing panel or a fin: swept, tapered. */
const panel = (root: number, tip: number, span: number, sweep: number): readonly XY[] =>
  ring([
    [0, 0],
    [root, 0],
    [sweep + tip, span],
    [sweep, span],
  ]);
const ellipse = (a: number, b: number, count: number): readonly XY[] =>
  ring(
    Array.from({ length: count }, (_, index): XY => {
      const turn = (2 * Math.PI * index) / count;
      return [a * (1 + Math.cos(turn)), b * (1 + Math.sin(turn))];
    }),
  );
/** A rib: a round nose, a flat foot, a tail that runs to a point. */
const rib = (chord: number, thick: number): readonly XY[] => {
  const half = 14;
  const top = Array.from({ length: half + 1 }, (_, index): XY => {
    const x = 1 - Math.cos((Math.PI * index) / (2 * half));
    const y = 5 * (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x ** 2 + 0.2843 * x ** 3 - 0.1036 * x ** 4);
    return [chord * x, thick * y];
  });
  return ring([...top.map(([x]): XY => [x, 0]).slice(1), ...top.toReversed()].slice(0, -1));
};
/** A body side: straight above, bellied below. */
const side = (long: number, nose: number, deep: number, tail: number): readonly XY[] => {
  const count = 16;
  const belly = Array.from({ length: count + 1 }, (_, index): XY => {
    const t = index / count,
      height = nose + (tail - nose) * t + (deep - Math.max(nose, tail)) * Math.sin(Math.PI * t);
    return [long * t, deep - Math.max(tail, height)];
  });
  return ring([...belly, [long, deep], [0, deep]]);
};

/** So many sets of our own, each unlike the others in how much of it is large, long, round or small. */
export const OWN_SETS = 10;

/** A set as of an airframe, by its number: skins along the grain, sides and their twins, ribs, formers with windows, strips, plates. */
export function ownInstance(number: number): NestInstance {
  const random = seededRandom(7919 * (number + 1)),
    between = (low: number, high: number): number => low + (high - low) * random(),
    size = between(0.7, 1.25);
  const parts: NestPart[] = [];
  const add = (
    id: string,
    polygon: readonly XY[],
    quantity: number,
    rotations: readonly number[],
    more: Partial<NestPart> = {},
  ): void => {
    parts.push({ id: `${id}${parts.length}`, polygon, quantity, rotations, ...more });
  };
  const square = [0, 90, 180, 270],
    along = [0, 180];
  add(
    'skin',
    panel(size * between(180, 240), size * between(120, 170), size * between(330, 420), size * 25),
    2,
    along,
    {
      allowMirror: true,
    },
  );
  add('side', side(size * between(430, 560), size * 55, size * between(75, 105), size * 40), 2, along);
  add('floor', side(size * between(380, 480), size * 45, size * between(60, 80), size * 35), 1, along);
  for (let index = 0; index < 2 + (number % 4); index++)
    add('rib', rib(size * between(110, 210), size * between(14, 26)), 2 + (index % 3), square);
  for (let index = 0; index < 2 + (number % 3); index++) {
    const [wide, high] = [size * between(50, 80), size * between(45, 90)],
      rim = size * 12;
    add('former', plate(wide, high), 1, square, {
      holes: [plate(wide - 2 * rim, high - 2 * rim).map(([x, y]) => [x + rim, y + rim] as const)],
    });
  }
  for (let index = 0; index < 3 + (number % 5); index++)
    add('strip', plate(size * between(160, 460), size * between(9, 24)), 1 + (index % 2), along);
  add('stabiliser', panel(size * 110, size * 75, size * between(200, 260), size * 18), 2, along, { allowMirror: true });
  add('fin', panel(size * 130, size * 70, size * between(110, 150), size * 60), 1, square);
  for (let index = 0; index < 3 + (number % 6); index++)
    add('plate', plate(size * between(20, 70), size * between(15, 50)), 1 + (index % 3), square);
  add('disc', ellipse(size * between(22, 40), size * between(22, 40), 32), 2, square);
  return {
    name: `own-${number + 1}`,
    boards: [{ id: 'board', width: 700, height: 500, count: 12 }],
    clearance: number % 3 === 0 ? 1 : 2,
    edgeMargin: 3,
    parts,
  };
}
