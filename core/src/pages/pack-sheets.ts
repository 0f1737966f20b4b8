import { nest, placementTransform, type NestInstance } from '../nesting/index.ts';
import type { Sheet } from './plan-pages.ts';
import type { Template } from './template.ts';

/** Paper between two templates, for scissors. */
const SCISSORS_MM = 3;
/** A few orders are enough: pages are cheap and the figure must follow an edit at once. */
const ORDERS_TRIED = 3;

/** Packs templates that fit a page onto single pages, by true shape and in any quarter turn. */
export function packSheets(templates: readonly Template[], width: number, height: number, firstNumber: number): readonly Sheet[] {
  if (templates.length === 0) return [];
  const instance: NestInstance = {
    name: 'pages', clearance: SCISSORS_MM, edgeMargin: 0.3,
    boards: [{ id: 'page', width, height, count: templates.length }],
    parts: templates.map(({ part }, index) => ({
      id: String(index), quantity: 1, rotations: [0, 90, 180, 270],
      polygon: part.outer.map(({ x, y }) => [x, y] as const), holes: part.holeRings.map((ring) => ring.map(({ x, y }) => [x, y] as const)),
    })),
  };
  const { layout } = nest(instance, { seed: 1, steps: ORDERS_TRIED });
  return layout.boards.map(({ placements }, index) => ({
    number: firstNumber + index, columns: 1, rows: 1, cells: [[0, 0] as const],
    placed: placements.map((placement) => ({ template: templates[Number(placement.partId)]!, transform: placementTransform(placement) })),
  }));
}
