import fc from 'fast-check';
import { made, plate, polygonPart } from '../../test/samples.ts';
import { boundsOf, growBounds } from '../geometry/index.ts';
import { DEFAULT_PAGE_SETTINGS } from './paper.ts';
import { planPages } from './plan-pages.ts';
import { tapeSpots } from './tape-spots.ts';

const planOf = (...parts: Parameters<typeof made>[0][]) =>
  planPages(
    parts.map((part) => ({ part: made(part), pieces: 1 })),
    DEFAULT_PAGE_SETTINGS,
  );

describe('tape over joins', () => {
  it('holds a long plate by both of its edges at every join', () => {
    const plan = planOf(plate(600, 60)),
      spots = tapeSpots(plan, 1),
      joins = plan.pages.filter(({ neighbours: { right, below } }) => right ?? below).length;
    expect(joins).toBeGreaterThan(0);
    expect(spots).toHaveLength(2 * joins);
    // Over the edges: 60 mm apart along the join.
    const along = ({ at, isUpright }: (typeof spots)[number]): number => (isUpright ? at.y : at.x);
    expect(Math.abs(along(spots[0]!) - along(spots[1]!))).toBeCloseTo(60, 6);
  });
  it('holds a strip that one piece of tape covers by one', () => {
    const plan = planOf(plate(600, 12));
    expect(tapeSpots(plan, 1)).toHaveLength(plan.pages.length - 1);
  });
  it('lies on a join, within the sheet, of every template that is cut through, and of none that is not', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 120, max: 900 }),
        fc.integer({ min: 60, max: 500 }),
        fc.integer({ min: -60, max: 60 }),
        (wide, high, lean) => {
          const plan = planOf(
            polygonPart([
              [0, 0],
              [wide, lean],
              [wide, high + lean + 60],
              [0, high + 60],
            ]),
          );
          for (const { number, placed } of plan.sheets) {
            const pages = plan.pages.filter(({ sheet }) => sheet === number),
              spots = tapeSpots(plan, number);
            if (pages.length === 1) {
              expect(spots).toEqual([]);
              continue;
            }
            expect(placed.length).toBeGreaterThan(0);
            expect(spots.length).toBeGreaterThan(0);
            const joins = pages.flatMap(({ view, neighbours }) => {
              const cell = growBounds(view, -plan.settings.overlapMm / 2);
              return [...(neighbours.right ? [cell.maxX] : []), ...(neighbours.below ? [cell.minY] : [])];
            });
            const all = boundsOf(
              pages.flatMap(({ view }) => [
                { x: view.minX, y: view.minY },
                { x: view.maxX, y: view.maxY },
              ]),
            );
            for (const { at, isUpright } of spots) {
              expect(joins.some((join) => Math.abs(join - (isUpright ? at.x : at.y)) < 1e-9)).toBe(true);
              expect(at.x >= all.minX && at.x <= all.maxX && at.y >= all.minY && at.y <= all.maxY).toBe(true);
            }
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
