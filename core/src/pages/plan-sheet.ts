import {
  applyTransform,
  boundsCorners,
  boundsHeight,
  boundsOf,
  boundsWidth,
  compose,
  hangInWidth,
  joinBounds,
  rotation,
  translation,
} from '../geometry/index.ts';
import { nest, placementTransform } from '../nesting/index.ts';
import { inkOf, nestPart, QUARTER_TURNS, SCISSORS_MM, type PageRoom, type TiledSheet } from './pack-sheets.ts';
import type { PlacedTemplate } from './sheet.ts';
import { templateBounds, type Template } from './template.ts';
import { bestLattice } from './tile-lattice.ts';

/** Widths of a plan that are tried, in pages. */
const MOST_PAGES_ACROSS = 8;
/** Of them so many nearest to a square are packed by true shape too, which takes longer. */
const PACKED_WIDTHS = 2;
/** Room over the templates' own area in which they find a place by true shape. */
const PACKED_SHARE = 1.8;
/** Layouts whose boxes touch the fewest pages: lattices are searched over these. */
const LIKELY_LAYOUTS = 2;
/** Rough is enough: a plan is cut into pages that leave more free than that. */
const PACKED_PITCH_MM = 2;

/**
 * All templates as one plan that pages are laid over: hung in rows and packed by true shape in several widths, the one with the fewest pages,
 * then the cheapest seams.
 */
export function planSheet(templates: readonly Template[], room: PageRoom): TiledSheet {
  const cellWide = room.width - room.overlapMm,
    cellHigh = room.height - room.overlapMm;
  const areaMm2 = templates.reduce((sum, { part }) => sum + part.areaMm2, 0),
    square = Math.sqrt(areaMm2) / cellWide;
  const widths = Array.from({ length: MOST_PAGES_ACROSS }, (_, index) => index + 1),
    nearSquare = widths.toSorted((a, b) => Math.abs(a - square) - Math.abs(b - square)).slice(0, PACKED_WIDTHS);
  const layouts = [
    ...widths.map((across) => inRows(templates, across * cellWide + room.overlapMm)),
    ...nearSquare.flatMap((across) => {
      const width = across * cellWide + room.overlapMm,
        rows = Math.ceil((PACKED_SHARE * areaMm2) / width / cellHigh);
      return byShape(templates, width, Math.max(1, rows) * cellHigh + room.overlapMm) ?? [];
    }),
  ];
  const likely = layouts
    .map((placed) => ({ placed, cells: roughCells(placed, cellWide, cellHigh) }))
    .sort((a, b) => a.cells - b.cells)
    .slice(0, LIKELY_LAYOUTS);
  const sheets = likely.map(({ placed }): TiledSheet => {
    const lattice = bestLattice(inkOf(placed), room.width, room.height, room.overlapMm, [0, 90]),
      turn = rotation(lattice.turnDegrees);
    return {
      lattice,
      placed: placed.map(({ template, transform }) => ({ template, transform: compose(transform, turn) })),
    };
  });
  return sheets.reduce((best, one) => {
    const more = one.lattice.cells.length - best.lattice.cells.length;
    return more < 0 || (more === 0 && one.lattice.seamCost < best.lattice.seamCost - 1e-9) ? one : best;
  });
}

/** The fewer cells of a lattice, upright or on its side, that the boxes round templates touch. */
function roughCells(placed: readonly PlacedTemplate[], cellWide: number, cellHigh: number): number {
  const boxes = placed.map(({ template, transform }) =>
    boundsOf(boundsCorners(templateBounds(template)).map((p) => applyTransform(transform, p))),
  );
  const { minX, minY } = joinBounds(boxes);
  const count = (wide: number, high: number): number => {
    const touched = new Set<string>();
    for (const box of boxes)
      for (let column = Math.floor((box.minX - minX) / wide); column <= (box.maxX - minX) / wide; column++)
        for (let row = Math.floor((box.minY - minY) / high); row <= (box.maxY - minY) / high; row++)
          touched.add(`${column}/${row}`);
    return touched.size;
  };
  return Math.min(count(cellWide, cellHigh), count(cellHigh, cellWide));
}

/** Shares of the templates' own area that a sheet off a roll is tried with, shortest first. */
const ROLL_SHARES = [1.12, 1.25, 1.4, 1.6, 1.9, 2.4] as const;

/** All templates on one sheet off a roll, as short as packing finds; undefined where they do not go on one. */
export function rollSheet(
  templates: readonly Template[],
  { width, height }: Pick<PageRoom, 'width' | 'height'>,
): readonly PlacedTemplate[] | undefined {
  const areaMm2 = templates.reduce((sum, { part }) => sum + part.areaMm2, 0);
  // One longer than the roll is wide lies along it.
  const least = Math.max(
    ...templates.map(templateBounds).map((box) => {
      const [short, long] = [boundsWidth(box), boundsHeight(box)].sort((a, b) => a - b) as [number, number];
      return (long > width - SCISSORS_MM ? long : short) + SCISSORS_MM;
    }),
  );
  for (const share of ROLL_SHARES) {
    const [placed] = byShape(templates, width, Math.min(height, Math.max(least, (share * areaMm2) / width))) ?? [];
    if (placed) return placed;
  }
  return byShape(templates, width, height)?.[0];
}

/** Rows of templates, the highest first. */
function inRows(templates: readonly Template[], widthMm: number): readonly PlacedTemplate[] {
  const boxes = new Map(templates.map((template) => [template, templateBounds(template)] as const));
  const sorted = templates.toSorted((a, b) => boundsHeight(boxes.get(b)!) - boundsHeight(boxes.get(a)!));
  const { origins } = hangInWidth(
    sorted.map((template) => {
      const box = boxes.get(template)!;
      return { width: boundsWidth(box), height: boundsHeight(box) };
    }),
    widthMm,
    SCISSORS_MM,
    SCISSORS_MM,
  );
  return sorted.map((template, index) => {
    const { minX, minY } = boxes.get(template)!,
      { x, y } = origins[index]!;
    return { template, transform: translation(x - minX, y - minY) };
  });
}

/** Templates packed by true shape on one sheet; undefined where one finds no place. */
function byShape(
  templates: readonly Template[],
  width: number,
  height: number,
): readonly (readonly PlacedTemplate[])[] | undefined {
  const { layout } = nest(
    {
      name: 'plan',
      clearance: SCISSORS_MM,
      edgeMargin: 0.3,
      boards: [{ id: 'plan', width, height, count: 1 }],
      parts: templates.map((template, index) => nestPart(template, index, QUARTER_TURNS)),
    },
    { seed: 1, steps: 1, pitchMm: PACKED_PITCH_MM },
  );
  if (layout.unplaced.length > 0) return undefined;
  return layout.boards.map(({ placements }) =>
    placements.map((placement) => ({
      template: templates[Number(placement.partId)]!,
      transform: placementTransform(placement),
    })),
  );
}
