import {
  applyTransform,
  boundsCentre,
  boundsHeight,
  boundsWidth,
  compose,
  flattenClosedPath,
  rotation,
  translation,
  type Point,
} from '../geometry/index.ts';
import { seededRandom } from '../units/index.ts';
import { nest, placementTransform, type NestBoard, type NestInstance, type NestPart } from '../nesting/index.ts';
import type { PlacedTemplate } from './sheet.ts';
import { templateBounds, templateInk, type Template } from './template.ts';
import { bestLattice, cellWindow, type InkLine, type TileLattice } from './tile-lattice.ts';

/** What a page can show, and what neighbours share, in mm. */
export interface PageRoom {
  readonly width: number;
  readonly height: number;
  readonly overlapMm: number;
}

/** A sheet whose templates and lattice are settled. */
export interface TiledSheet {
  readonly lattice: TileLattice;
  readonly placed: readonly PlacedTemplate[];
}

/** How far from its size a template may come in the order of a packing, as a power of e. */
const ORDER_SPREAD = 0.8;

/** Templates larger than a page in the order in which sheets are begun: by area, by length, and from then on about that, by the packing's number. */
function inOrder(templates: readonly Template[], packing: number): Template[] {
  const random = seededRandom(packing);
  const size = (template: Template): number => {
    const box = templateBounds(template),
      own = packing % 2 === 1 ? Math.max(boundsWidth(box), boundsHeight(box)) ** 2 : template.part.areaMm2;
    return packing < 2 ? own : own * Math.exp(ORDER_SPREAD * (2 * random() - 1));
  };
  return templates
    .map((template) => ({ template, size: size(template) }))
    .sort((a, b) => b.size - a.size)
    .map(({ template }) => template);
}

/** Paper between two templates, for scissors. */
export const SCISSORS_MM = 3;
/** A few orders are enough: pages are cheap and the figure must follow an edit at once. */
const ORDERS_TRIED = 3;
/** Templates are packed by outlines flattened this finely; the scissors' room makes up for it. */
const OUTLINE_TOLERANCE_MM = 0.2;
export const QUARTER_TURNS = [0, 90, 180, 270] as const;

/**
 * Templates larger than a page, several to a sheet: the largest one sets how many pages the sheet has, others join it where they fit.
 */
export function tiledSheets(templates: readonly Template[], room: PageRoom, packing = 0): readonly TiledSheet[] {
  const left = inOrder(templates, packing);
  const sheets: TiledSheet[] = [];
  while (left.length > 0) {
    const first = left[0]!;
    const alone = bestLattice(templateInk(first), room.width, room.height, room.overlapMm);
    const joined = joinSheet(left, alone, room);
    const lattice = joined.length > 1 ? bestLattice(inkOf(joined), room.width, room.height, room.overlapMm) : alone;
    const turn = rotation(lattice.turnDegrees);
    const placed =
      joined.length > 1
        ? joined.map(({ template, transform }) => ({ template, transform: compose(transform, turn) }))
        : [{ template: first, transform: turn }];
    sheets.push({ lattice, placed });
    for (const { template } of placed) left.splice(left.indexOf(template), 1);
  }
  return sheets;
}

/** Which other templates fit on the sheet of the first one, and where. */
function joinSheet(templates: readonly Template[], alone: TileLattice, room: PageRoom): readonly PlacedTemplate[] {
  const width = alone.columns * (room.width - room.overlapMm) + room.overlapMm,
    height = alone.rows * (room.height - room.overlapMm) + room.overlapMm;
  const instance: NestInstance = {
    name: 'sheet',
    clearance: SCISSORS_MM,
    edgeMargin: 0.2,
    boards: [{ id: 'sheet', width, height, count: 1 }],
    parts: templates.map((template, index) =>
      nestPart(template, index, index === 0 ? [alone.turnDegrees, ...QUARTER_TURNS] : QUARTER_TURNS),
    ),
  };
  const { layout } = nest(instance, { seed: 1, steps: 1, pitchMm: 2 });
  const placed = (layout.boards[0]?.placements ?? []).map((placement) => ({
    template: templates[Number(placement.partId)]!,
    transform: placementTransform(placement),
  }));
  return placed.some(({ template }) => template === templates[0])
    ? placed
    : [{ template: templates[0]!, transform: rotation(alone.turnDegrees) }];
}

/** Every line of ink of templates where they lie on their sheet. */
export const inkOf = (placed: readonly PlacedTemplate[]): readonly InkLine[] =>
  placed.flatMap(({ template, transform }) =>
    templateInk(template).map((line) => ({ ...line, points: line.points.map((p) => applyTransform(transform, p)) })),
  );

/**
 * Packs templates that fit a page: first into what is left free on the pages of tiled sheets, never across a seam, then onto pages of
 * their own, by true shape and in any quarter turn. The packer works in steps of its pitch, so that one which only just fits may find no
 * place: it gets a page alone.
 * @returns the tiled sheets with what joined them, and what lies on new sheets of a single page
 */
export function packSmall(
  templates: readonly Template[],
  tiled: readonly TiledSheet[],
  room: PageRoom,
): { readonly tiled: readonly TiledSheet[]; readonly singles: readonly (readonly PlacedTemplate[])[] } {
  if (templates.length === 0) return { tiled, singles: [] };
  const free = tiled.flatMap((sheet, at) =>
    sheet.lattice.cells.map(([column, row]) => freePage(sheet, at, column, row, room)),
  );
  const instance: NestInstance = {
    name: 'pages',
    clearance: SCISSORS_MM,
    edgeMargin: 0.3,
    boards: [
      ...free.map(({ board }) => board),
      { id: 'page', width: room.width, height: room.height, count: templates.length, price: 1 },
    ],
    parts: templates.map((template, index) => nestPart(template, index, QUARTER_TURNS)),
  };
  const { layout } = nest(instance, { seed: 1, steps: ORDERS_TRIED });
  const joining = new Map<number, PlacedTemplate[]>();
  const singles: (readonly PlacedTemplate[])[] = [];
  for (const { boardId, placements } of layout.boards) {
    if (placements.length === 0) continue;
    const page = free.find(({ board }) => board.id === boardId);
    const placed = placements.map((placement) => ({
      template: templates[Number(placement.partId)]!,
      transform: page
        ? compose(placementTransform(placement), translation(page.origin.x, page.origin.y))
        : placementTransform(placement),
    }));
    if (page) joining.set(page.sheet, [...(joining.get(page.sheet) ?? []), ...placed]);
    else singles.push(placed);
  }
  const isPacked = new Set(layout.boards.flatMap(({ placements }) => placements.map(({ partId }) => Number(partId))));
  for (const [index, template] of templates.entries()) if (!isPacked.has(index)) singles.push([alone(template, room)]);
  return {
    tiled: tiled.map((sheet, at) => ({ ...sheet, placed: [...sheet.placed, ...(joining.get(at) ?? [])] })),
    singles,
  };
}

/** A template in the middle of a page of its own, a quarter turned when it does not fit as drawn. */
function alone(template: Template, { width, height }: PageRoom): PlacedTemplate {
  const box = templateBounds(template);
  const turn = boundsWidth(box) <= width && boundsHeight(box) <= height ? rotation(0) : rotation(90);
  const centre = applyTransform(turn, boundsCentre(box));
  return { template, transform: compose(turn, translation(width / 2 - centre.x, height / 2 - centre.y)) };
}

/** A printed page of a tiled sheet as a board whose taken places are the templates on it. */
function freePage(
  sheet: TiledSheet,
  at: number,
  column: number,
  row: number,
  room: PageRoom,
): { readonly board: NestBoard; readonly origin: Point; readonly sheet: number } {
  const view = cellWindow(sheet.lattice, column, row, room.width, room.height, room.overlapMm);
  const origin = { x: view.minX + room.overlapMm / 2, y: view.minY + room.overlapMm / 2 };
  const holes = sheet.placed.map(({ template, transform }) =>
    outlineRing(template)
      .map((p) => applyTransform(transform, p))
      .map(({ x, y }) => [x - origin.x, y - origin.y] as const),
  );
  return {
    board: {
      id: `${at}/${column}/${row}`,
      width: room.width - room.overlapMm,
      height: room.height - room.overlapMm,
      count: 1,
      price: 0,
      holes,
    },
    origin,
    sheet: at,
  };
}

/** A template as the packer takes it, by the number of its place in a list. */
export const nestPart = (template: Template, index: number, rotations: readonly number[]): NestPart => ({
  id: String(index),
  quantity: 1,
  rotations,
  polygon: outlineRing(template).map(({ x, y }) => [x, y] as const),
});

const outlineRing = ({ part }: Template): readonly Point[] =>
  part.outline ? flattenClosedPath(part.outline, OUTLINE_TOLERANCE_MM) : part.outer;
