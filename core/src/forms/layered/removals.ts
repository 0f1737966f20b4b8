import { counterClockwise, type Polygon } from '../../geometry/index.ts';
import { heightAt, type BodyLines, type SeatCut } from '../body/index.ts';
import type { LayeredParameters } from './parameters.ts';

/** Which of the two fellow layers a plate is: both alike, one of them, or the one in the middle. */
export type LayerSide = 'pair' | 'port' | 'starboard' | 'middle';

/** What is taken out of a layer. */
export interface Removal {
  /** Tells it from the others: `seat-k1`. */
  readonly key: string;
  /** In words, for faults. */
  readonly word: string;
  readonly ring: Polygon;
  /** Whether it keeps its size at another scale. */
  readonly isFixed: boolean;
  readonly round?: { readonly centre: { readonly x: number; readonly y: number }; readonly radiusMm: number };
}

/** Beyond every edge of a body, in mm. */
const BEYOND_MM = 5000;
/** A wing that ends this near to the tail of the body is slid in from there, in mm. */
const OPEN_TAIL_MM = 12;
const ROUND_CORNERS = 24;

const box = (from: number, to: number, low: number, top: number): Polygon => [
  { x: from, y: low },
  { x: to, y: low },
  { x: to, y: top },
  { x: from, y: top },
];

/** The shape of a wing or tail that sits in the body: open above, below, or toward the tail where it goes through near it. */
function seatRing({ side, under, upper, toMm }: SeatCut, tailMm: number): Polygon {
  const low = under.map(({ x, z }) => ({ x, y: z })),
    high = [...upper].reverse().map(({ x, z }) => ({ x, y: z }));
  if (side === 'top')
    return counterClockwise([...low, { x: low.at(-1)!.x, y: BEYOND_MM }, { x: low[0]!.x, y: BEYOND_MM }]);
  if (side === 'below')
    return counterClockwise([...high, { x: high.at(-1)!.x, y: -BEYOND_MM }, { x: high[0]!.x, y: -BEYOND_MM }]);
  if (toMm < tailMm - OPEN_TAIL_MM) return counterClockwise([...low, ...high]);
  return counterClockwise([
    ...low,
    { x: tailMm + BEYOND_MM, y: low.at(-1)!.y },
    { x: tailMm + BEYOND_MM, y: high[0]!.y },
    ...high,
  ]);
}

const seats = (cuts: readonly SeatCut[], tailMm: number): readonly Removal[] =>
  cuts
    .filter(({ side }) => side !== 'clear')
    .map((cut) => ({ key: `seat-${cut.seat.id}`, word: cut.name, ring: seatRing(cut, tailMm), isFixed: false }));

/** Where dowels for bands cross all layers, before and behind a wing. */
function bandDowels({ top, bottom, breaks }: BodyLines, cuts: readonly SeatCut[]): readonly Removal[] {
  const [nose, tail] = [breaks[0]!.x, breaks.at(-1)!.x];
  return cuts.flatMap(({ seat, side, fromMm, toMm, name }) => {
    if (seat.hold !== 'dowels' || side === 'through') return [];
    const radiusMm = seat.dowelMm / 2;
    return (
      [
        ['fore', fromMm - seat.aheadMm],
        ['aft', toMm + seat.behindMm],
      ] as const
    ).flatMap(([word, x]): readonly Removal[] => {
      if (x < nose + seat.dowelMm || x > tail - seat.dowelMm) return [];
      const centre = { x, y: side === 'below' ? heightAt(bottom, x) + seat.inMm : heightAt(top, x) - seat.inMm };
      return [
        {
          key: `dowel-${word}-${seat.id}`,
          word: `the dowel ${word === 'fore' ? 'before' : 'behind'} ${name}`,
          ring: Array.from({ length: ROUND_CORNERS }, (_, index) => {
            const angle = (2 * Math.PI * index) / ROUND_CORNERS;
            return { x: centre.x + radiusMm * Math.cos(angle), y: centre.y + radiusMm * Math.sin(angle) };
          }),
          isFixed: true,
          round: { centre, radiusMm },
        },
      ];
    });
  });
}

/** Everything that is taken out of a layer: seats, dowels, slits, and the openings that go through it. */
export function removalsOf(
  { openings, slits }: LayeredParameters,
  lines: BodyLines,
  cuts: readonly SeatCut[],
  layer: number,
  side: LayerSide,
): readonly Removal[] {
  const { top, bottom, breaks } = lines;
  return [
    ...seats(cuts, breaks.at(-1)!.x),
    ...bandDowels(lines, cuts),
    ...slits.map(({ id, edge, aftMm, acrossMm, deepMm }): Removal => {
      const [from, to] = [aftMm - acrossMm / 2, aftMm + acrossMm / 2];
      return {
        key: `slit-${id}`,
        word: 'a slit',
        ring:
          edge === 'above'
            ? box(from, to, heightAt(top, aftMm) - deepMm, BEYOND_MM)
            : box(from, to, -BEYOND_MM, heightAt(bottom, aftMm) + deepMm),
        isFixed: true,
      };
    }),
    ...openings
      .filter(
        (one) =>
          one.fromLayer <= layer &&
          layer <= one.toLayer &&
          (one.side === 'both' || side === 'pair' || side === 'middle' || one.side === side),
      )
      .map(({ id, name, kind, fromMm, lengthMm, upMm, heightMm }): Removal => {
        const to = fromMm + lengthMm,
          middle = fromMm + lengthMm / 2;
        return {
          key: `opening-${id}`,
          word: name,
          ring:
            kind === 'bay'
              ? box(fromMm, to, upMm - heightMm / 2, upMm + heightMm / 2)
              : kind === 'notch above'
                ? box(fromMm, to, heightAt(top, middle) - heightMm, BEYOND_MM)
                : box(fromMm, to, -BEYOND_MM, heightAt(bottom, middle) + heightMm),
          isFixed: true,
        };
      }),
  ];
}
